// A dial for the angle and the spacing of a fill: its strokes as they will lie, turned by the rim, spread by the
// middle.
#pragma once

#include <QWidget>

#include "core/shape/fill/fill.hpp"

namespace dotlane {

class FillDial : public QWidget {
  Q_OBJECT
 public:
  explicit FillDial(QWidget* parent);

  /// The fill as it is now. `tip_mm` is how wide its strokes are, `ink` and `ground` their colour and the stock's.
  void show(const FillOptions& options, double tip_mm, const QColor& ink, const QColor& ground);
  [[nodiscard]] double angle() const { return options_.angle; }
  [[nodiscard]] double spacing() const { return options_.spacing; }

 signals:
  /// While dragging and by keys: whole degrees; mm.
  void angleEdited(double degrees);
  void spacingEdited(double mm);
  void committed();

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  [[nodiscard]] double radius() const;
  [[nodiscard]] bool turns() const;  // whether the pattern has an angle
  [[nodiscard]] QPointF knob() const;
  void turnTo(QPointF at, bool coarse);
  void spread(double factor);
  void setAngle(double degrees);
  void setSpacing(double mm);

  FillOptions options_;
  double tip_mm_ = 0.3;
  QColor ink_, ground_;
  enum class Drag { none, turn, spread } drag_ = Drag::none;
  QPointF from_;
  double spacing_from_ = 0;
};

}  // namespace dotlane
