#include "app/widgets/paint_widgets.hpp"

#include <QFrame>
#include <QPainter>
#include <QPainterPath>

#include "app/style.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

template <class Paint>
QIcon painted(QSize size, Paint paint) {
  QPixmap pixmap(size * 2);
  pixmap.setDevicePixelRatio(2);
  pixmap.fill(Qt::transparent);
  QPainter p(&pixmap);
  p.setRenderHint(QPainter::Antialiasing);
  paint(p, QRectF(QPointF(), QSizeF(size)));
  return QIcon(pixmap);
}

}  // namespace

QIcon role_icon(Role role, const QColor& color) {
  return painted({16, 16}, [&](QPainter& p, const QRectF& r) { paint_role_glyph(p, r.center(), role, color, 11); });
}

QIcon swatch_icon(const QColor& color) {
  return painted({16, 16}, [&](QPainter& p, const QRectF& r) {
    p.setPen(QPen(theme().hairline.darker(115), 1));
    p.setBrush(color);
    p.drawRoundedRect(r.adjusted(1.5, 1.5, -1.5, -1.5), 4, 4);
  });
}

QIcon holder_icon(int holder) {
  return painted({20, 20}, [&](QPainter& p, const QRectF& r) { paint_holder(p, r, holder, theme()); });
}

QIcon lock_icon(bool locked, const QColor& color) {
  return painted({16, 16}, [&](QPainter& p, const QRectF&) {
    p.setPen(QPen(color, 1.6));
    p.setBrush(Qt::NoBrush);
    QPainterPath bow;
    const double lift = locked ? 0 : -2.5;
    bow.moveTo(5, 8);
    bow.lineTo(5, 6 + lift);
    bow.arcTo(QRectF(5, 3 + lift, 6, 6), 180, -180);
    if (locked) bow.lineTo(11, 8);
    p.drawPath(bow);
    p.setBrush(locked ? color : Qt::transparent);
    p.drawRoundedRect(QRectF(3, 8, 10, 6.5), 1.5, 1.5);
  });
}

QIcon eye_icon(bool open, const QColor& color) {
  return painted({16, 16}, [&](QPainter& p, const QRectF&) {
    p.setPen(QPen(color, 1.4));
    QPainterPath lids;
    lids.moveTo(1.5, 8);
    lids.quadTo(8, open ? 1.5 : 13, 14.5, 8);
    if (open) lids.quadTo(8, 14.5, 1.5, 8);
    p.drawPath(lids);
    if (open) {
      p.setBrush(color);
      p.drawEllipse(QPointF(8, 8), 1.8, 1.8);
    } else {
      for (const double x : {3.5, 8.0, 12.5})
        p.drawLine(QPointF(x, x == 8.0 ? 10.8 : 9.8), QPointF(8 + (x - 8) * 1.25, 13.2));
    }
  });
}

QLabel* make_label(const QString& text, const char* kind, QWidget* parent) {
  auto* label = new QLabel(text, parent);
  set_kind(label, kind);
  // Names of fields and figures stay on one line; sentences wrap.
  label->setWordWrap(text.size() > 24 || text.isEmpty());
  return label;
}

QWidget* make_line(QWidget* parent) {
  auto* line = new QFrame(parent);
  set_kind(line, "line");
  return line;
}

}  // namespace dotlane
