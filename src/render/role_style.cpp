#include "render/role_style.hpp"

namespace dotlane {
namespace {

/// WCAG 2.2, success criterion 1.4.11: what must be made out stands out 3:1.
constexpr double kLeastContrast = 3;

}  // namespace

void paint_role_glyph(QPainter& p, QPointF c, Role role, const QColor& color, double size) {
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  const double r = size / 2;
  QPen pen(color, size * 0.18, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin);
  p.setPen(pen);
  p.setBrush(Qt::NoBrush);
  switch (role) {
    case Role::cut: {
      p.setPen(Qt::NoPen);
      p.setBrush(color);
      p.drawPolygon(QPolygonF{QPointF(c.x() - r, c.y() + r * 0.9), QPointF(c.x() + r, c.y() + r * 0.9),
                              QPointF(c.x(), c.y() - r * 0.9)});
      break;
    }
    case Role::score:
      for (const double dy : {-0.75, 0.15}) {
        p.drawPolyline(QPolygonF{QPointF(c.x() - r, c.y() + r * dy), QPointF(c.x(), c.y() + r * (dy + 0.7)),
                                 QPointF(c.x() + r, c.y() + r * dy)});
      }
      break;
    case Role::draw:
      p.drawEllipse(c, r * 0.82, r * 0.82);
      break;
    case Role::foil:
      p.drawPolygon(QPolygonF{QPointF(c.x(), c.y() - r), QPointF(c.x() + r, c.y()), QPointF(c.x(), c.y() + r),
                              QPointF(c.x() - r, c.y())});
      break;
    case Role::engrave:
      for (const double dy : {-0.7, 0.0, 0.7}) {
        p.drawLine(QPointF(c.x() - r, c.y() + r * dy), QPointF(c.x() + r, c.y() + r * dy));
      }
      break;
    case Role::emboss:  // pressed up from a flat sheet
      p.drawLine(QPointF(c.x() - r, c.y() + r * 0.6), QPointF(c.x() + r, c.y() + r * 0.6));
      p.setBrush(color);
      p.drawChord(QRectF(c.x() - r * 0.66, c.y() - r * 0.66, r * 1.32, r * 1.32), 0, 180 * 16);
      break;
    case Role::print:
      p.setPen(Qt::NoPen);
      p.setBrush(QColor(color.red(), color.green(), color.blue(), 110));
      p.drawRoundedRect(QRectF(c.x() - r * 0.9, c.y() - r * 0.9, 1.8 * r, 1.8 * r), 1.5, 1.5);
      break;
    case Role::guide:
      p.setPen(Qt::NoPen);
      p.setBrush(color);
      for (const double dx : {-0.75, 0.0, 0.75}) p.drawEllipse(QPointF(c.x() + r * dx, c.y()), r * 0.2, r * 0.2);
      break;
  }
  p.restore();
}

void paint_holder(QPainter& p, const QRectF& box, int holder, const Theme& theme) {
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme.hairline.darker(theme.dark ? 80 : 110), 1));
  p.setBrush(theme.field);
  p.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 5, 5);
  p.setPen(theme.ink);
  p.setFont(ui_font(12, true));
  p.drawText(box, Qt::AlignCenter, QString::number(holder));
  p.restore();
}

QColor role_color(Role role, bool on_dark) {
  switch (role) {
    case Role::cut:
      return on_dark ? QColor("#E4EBE4") : QColor("#22433A");
    case Role::score:
      return on_dark ? QColor("#E2B45C") : QColor("#8A5A00");
    case Role::draw:
      return on_dark ? QColor("#7CC4CA") : QColor("#1F6F78");
    case Role::foil:
      return on_dark ? QColor("#E39CBB") : QColor("#A8496F");
    case Role::engrave:
      return on_dark ? QColor("#C3C9B0") : QColor("#565E3A");
    case Role::emboss:
      return on_dark ? QColor("#B9AEE0") : QColor("#5A4A8A");
    case Role::print:
      return on_dark ? QColor("#A39D92") : QColor("#8B857B");
    default:
      return on_dark ? QColor("#A39D92") : QColor("#8B857B");
  }
}

QColor mark_color(const Tool& tool, Role role, const Stock* stock) {
  if ((role != Role::engrave && role != Role::emboss) || !stock) return to_qcolor(tool.ink);
  if (stock->clear) return {250, 252, 252};
  const QColor ground = to_qcolor(stock->color);
  if (role == Role::emboss) return luminance(stock->color) > 0.25 ? ground.darker(128) : ground.lighter(150);
  return luminance(stock->color) > 0.25 ? ground.darker(190) : ground.lighter(220);
}

QColor line_color(Role role, Color ink, Color ground) {
  const bool on_dark = luminance(ground) < 0.25;
  QColor color = role == Role::draw ? to_qcolor(ink) : role_color(role, on_dark);
  for (int i = 0; i < 40 && contrast(to_color(color), ground) < kLeastContrast; ++i) {
    color = on_dark ? QColor::fromRgbF(color.redF() * 0.85F + 0.15F, color.greenF() * 0.85F + 0.15F,
                                       color.blueF() * 0.85F + 0.15F)
                    : QColor::fromRgbF(color.redF() * 0.88F, color.greenF() * 0.88F, color.blueF() * 0.88F);
  }
  return color;
}

QPen role_pen(Role role, const QColor& color) {
  QPen pen(color, 1.2);
  pen.setCosmetic(true);
  pen.setCapStyle(Qt::FlatCap);
  pen.setJoinStyle(Qt::RoundJoin);
  switch (role) {
    case Role::cut:
      pen.setWidthF(1.7);
      break;
    case Role::score:
      pen.setWidthF(1.7);
      pen.setDashPattern({5, 3});
      break;
    case Role::foil:
      pen.setWidthF(3.4);
      break;
    case Role::engrave:
      pen.setWidthF(1.6);
      pen.setDashPattern({1, 1.6});
      break;
    case Role::emboss:
      pen.setWidthF(2.4);
      pen.setDashPattern({4, 1.2, 1, 1.2});
      break;
    case Role::print:
      pen.setWidthF(1.0);
      break;
    case Role::guide:
      pen.setWidthF(1.0);
      pen.setDashPattern({1, 3});
      break;
    case Role::draw:
      break;
  }
  return pen;
}

}  // namespace dotlane
