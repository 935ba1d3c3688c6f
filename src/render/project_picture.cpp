#include "render/project_picture.hpp"

#include <QPainter>

#include "render/paint.hpp"

namespace dotlane {

QImage project_picture(const Project& project, const Drawing& drawing, QSize size) {
  QImage out(size, QImage::Format_ARGB32_Premultiplied);
  out.fill(Qt::transparent);
  if (drawing.pieces.empty()) return out;
  QPainter painter(&out);
  painter.setRenderHint(QPainter::Antialiasing);
  constexpr double kMargin = 4;
  LineOptions options;
  options.stacked = true, options.hidden = false;
  options.clip = QRectF(QPointF(0, 0), QSizeF(size));
  paint_lines(painter, View::fitting(drawing.bounds(), options.clip, kMargin), project, drawing, light_theme(),
              options);
  return out;
}

QImage piece_picture(const Project& project, const DrawnPiece& piece, QSize size, const Theme& theme) {
  QImage out(size, QImage::Format_ARGB32_Premultiplied);
  out.fill(Qt::transparent);
  QPainter painter(&out);
  paint_thumbnail(painter, QRectF(QPointF(0, 0), QSizeF(size)), project, piece, theme);
  return out;
}

}  // namespace dotlane
