// Coverage and minutes of a fill against its angle, today's angle and the best one marked.
#pragma once

#include <QWidget>

#include "core/plan/fill_advice.hpp"

namespace dotlane {

class AngleCurve : public QWidget {
  Q_OBJECT
 public:
  explicit AngleCurve(QWidget* parent);

  void show(AngleAdvice advice);
  void setAngle(double degrees);
  /// What is shown as long as there is no curve.
  void say(const QString& why);
  [[nodiscard]] const AngleAdvice& advice() const { return advice_; }

 signals:
  /// An angle was clicked.
  void picked(double degrees);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  [[nodiscard]] QRectF plot() const;
  [[nodiscard]] double step() const;
  [[nodiscard]] double span() const;  // degrees across
  [[nodiscard]] std::size_t nearest(double x) const;

  AngleAdvice advice_;
  double angle_ = 0;
  QString why_;
  int pointed_ = -1;
};

}  // namespace dotlane
