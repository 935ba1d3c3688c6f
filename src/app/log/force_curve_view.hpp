// How likely a pass cuts through and cuts the mat, against its force, how unsure that is, and the passes behind it.
#pragma once

#include <QWidget>

#include "core/logbook/advice.hpp"

namespace dotlane {

class ForceCurveView : public QWidget {
  Q_OBJECT
 public:
  explicit ForceCurveView(QWidget* parent);
  /// What is set now is marked; passes of another depth are faint.
  void show(ForceCurve curve, double force_gf, double depth);
  void setForce(double force_gf);
  [[nodiscard]] const ForceCurve& curve() const { return curve_; }

 signals:
  void picked(double force_gf);  ///< a force was clicked, to 5 gf

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  bool event(QEvent* event) override;

 private:
  [[nodiscard]] QRectF plot() const;
  [[nodiscard]] double most() const;
  [[nodiscard]] double xOf(double force) const;
  [[nodiscard]] double forceAt(double x) const;

  ForceCurve curve_;
  double force_ = 0, depth_ = 0;
};

}  // namespace dotlane
