// Sheets against size: a staircase for each stock, with today's size and the largest.
#pragma once

#include <QWidget>
#include <vector>

#include "core/layout/size_curve.hpp"

namespace dotlane {

class SizeChart : public QWidget {
  Q_OBJECT
 public:
  explicit SizeChart(QWidget* parent);

  /// What is drawn: points in the order of size; the largest scale that fits; the figure's height today, mm.
  void show(const Project& project, std::vector<SizePoint> points, double most, double height_mm);
  /// The size that is chosen, as a scale; 0: none.
  void choose(double scale);

 signals:
  /// A size was clicked.
  void picked(double scale);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  [[nodiscard]] QRectF plot() const;
  [[nodiscard]] double x(double scale) const;
  [[nodiscard]] double scaleAt(double x) const;

  Project project_;
  std::vector<SizePoint> points_;
  double most_ = 0, height_mm_ = 0, chosen_ = 0, pointed_ = 0;
};

}  // namespace dotlane
