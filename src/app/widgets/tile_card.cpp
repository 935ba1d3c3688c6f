#include "app/widgets/tile_card.hpp"

#include "app/style.hpp"

namespace dotlane {

QRectF paint_tile_card(QPainter& p, const QStyleOptionViewItem& option, const QRectF& card, const QPixmap& picture,
                       double picture_height) {
  const Theme& t = theme();
  const bool chosen = option.state & QStyle::State_Selected, focus = option.state & QStyle::State_HasFocus;
  p.setRenderHint(QPainter::Antialiasing);
  p.setRenderHint(QPainter::SmoothPixmapTransform);
  p.setPen(QPen(chosen || focus ? t.accent : t.hairline, chosen ? 2 : 1));
  p.setBrush(chosen ? t.accent_soft : t.field);
  p.drawRoundedRect(card.adjusted(1, 1, -1, -1), 8, 8);
  const QRectF room(card.left() + 6, card.top() + 6, card.width() - 12, picture_height);
  if (!picture.isNull()) {
    const QSizeF size = QSizeF(picture.size()).scaled(room.size(), Qt::KeepAspectRatio);
    p.drawPixmap(QRectF(room.center() - QPointF(size.width(), size.height()) / 2, size), picture,
                 QRectF(picture.rect()));
  }
  return {card.left() + 9, room.bottom() + 3, card.width() - 18, card.bottom() - room.bottom() - 3};
}

void paint_tile_line(QPainter& p, const QRectF& line, const QString& text) {
  p.drawText(line, Qt::AlignVCenter, p.fontMetrics().elidedText(text, Qt::ElideRight, static_cast<int>(line.width())));
}

}  // namespace dotlane
