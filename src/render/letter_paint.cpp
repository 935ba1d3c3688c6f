#include "render/letter_paint.hpp"

#include "core/geometry/measure.hpp"

namespace dotlane {

QPainterPath painter_path(const Path& path, const Affine& map) {
  QPainterPath out;
  out.setFillRule(path.fill_rule == FillRule::evenodd ? Qt::OddEvenFill : Qt::WindingFill);
  auto at = [&](Vec p) {
    const Vec m = map(p);
    return QPointF(m.x, m.y);
  };
  for (const auto& contour : path.contours) {
    out.moveTo(at(contour.start));
    for (const auto& s : contour.segments) {
      if (s.straight) {
        out.lineTo(at(s.end));
      } else {
        out.cubicTo(at(s.c1), at(s.c2), at(s.end));
      }
    }
    if (contour.closed) out.closeSubpath();
  }
  return out;
}

void paint_letters(QPainter& painter, const QRectF& box, const Path& path, bool strokes, const QColor& ink,
                   double largest, Qt::Alignment align) {
  const Box bounds = bounds_of(path);
  if (bounds.empty()) return;
  const double w = std::max(bounds.width(), 1e-6), h = std::max(bounds.height(), 1e-6);
  const double scale = std::min({box.width() / w, box.height() / h, largest});
  const double x = align & Qt::AlignHCenter ? box.center().x() - w * scale / 2 : box.left();
  const double y = box.center().y() - h * scale / 2;
  painter.setRenderHint(QPainter::Antialiasing);
  const QPainterPath drawn =
      painter_path(path, Affine::move(x, y) * Affine::scale(scale, scale) * Affine::move(-bounds.x0, -bounds.y0));
  painter.setPen(strokes ? QPen(ink, 1.3, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin) : QPen(Qt::NoPen));
  painter.setBrush(strokes ? QBrush(Qt::NoBrush) : QBrush(ink));
  painter.drawPath(drawn);
}

}  // namespace dotlane
