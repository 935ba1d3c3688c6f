// From mm on the mat to pixels on a canvas, and back.
#pragma once

#include <QPointF>
#include <QRectF>

#include "core/geometry/vec.hpp"

namespace dotlane {

struct View {
  double px_per_mm = 2;
  QPointF origin;  ///< where the mat's top left corner is, px

  [[nodiscard]] QPointF to_px(Vec p) const { return {origin.x() + p.x * px_per_mm, origin.y() + p.y * px_per_mm}; }
  [[nodiscard]] Vec to_mm(QPointF p) const {
    return {(p.x() - origin.x()) / px_per_mm, (p.y() - origin.y()) / px_per_mm};
  }
  [[nodiscard]] QRectF to_px(const Box& b) const { return {to_px(Vec{b.x0, b.y0}), to_px(Vec{b.x1, b.y1})}; }
  [[nodiscard]] Affine onto_pixels() const { return {px_per_mm, 0, 0, px_per_mm, origin.x(), origin.y()}; }
  /// The view that shows the box as large as the canvas allows, with a margin in px around it.
  [[nodiscard]] static View fitting(const Box& box, const QRectF& canvas, double margin) {
    View v;
    const double w = std::max(box.width(), 1.0), h = std::max(box.height(), 1.0);
    v.px_per_mm = std::max(0.01, std::min((canvas.width() - 2 * margin) / w, (canvas.height() - 2 * margin) / h));
    v.origin = canvas.center() - QPointF(box.centre().x, box.centre().y) * v.px_per_mm;
    return v;
  }
};

}  // namespace dotlane
