// How the lanes are painted.
#include <QLocale>
#include <QPainter>
#include <QPainterPath>
#include <QScrollBar>
#include <algorithm>

#include "app/lanes/lane_metrics.hpp"
#include "app/lanes/lanes.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "render/role_style.hpp"

namespace dotlane {

using namespace lane_metrics;

namespace {

double axis_step(double seconds, double width) {
  static constexpr double steps[] = {1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1800, 3600, 7200, 14400};
  for (const double s : steps) {
    if (s / seconds * width >= 64) return s;
  }
  return 36000;
}

QString clock_text(double seconds) {
  return QStringLiteral("%1:%2")
      .arg(static_cast<int>(seconds) / 60)
      .arg(static_cast<int>(seconds) % 60, 2, 10, QLatin1Char('0'));
}

void paint_pin(QPainter& p, QPointF at, const QColor& color) {
  p.setPen(QPen(color, 1.4));
  p.setBrush(color);
  p.drawEllipse(at, 2.6, 2.6);
  p.drawLine(at + QPointF(0, 2), at + QPointF(0, 7));
}

}  // namespace

void Lanes::paintEvent(QPaintEvent*) {
  QPainter p(viewport());
  const Theme& t = theme();
  p.fillRect(viewport()->rect(), t.panel);
  p.setRenderHint(QPainter::Antialiasing);
  const Project& project = session_.project();
  if (plan().passes.empty()) {
    p.setFont(ui_font(13, true));
    p.setPen(t.quiet);
    p.drawText(QPointF(16, 24), tr("Lanes"));
    p.setFont(ui_font(13));
    p.drawText(QRectF(viewport()->rect()), Qt::AlignCenter,
               project.pieces.empty()
                   ? tr("The passes appear here, along time, as soon as lines have roles.")
                   : tr("No line has a role that a tool carries out. Select lines and give them one."));
    return paintRing(p);
  }
  paintHead(p);
  if (viewport()->height() < kTop + 10) {
    paintFolded(p);
    return paintRing(p);
  }
  p.save();
  p.setClipRect(QRectF(kLeft - 8, 0, viewport()->width(), viewport()->height()));
  paintAxis(p);
  paintPauses(p);
  p.restore();
  paintNames(p);
  p.save();
  p.setClipRect(QRectF(kLeft - 8, kTop - 6, viewport()->width(), viewport()->height()));
  paintBlocks(p);
  p.restore();
  paintHands(p);
  paintRing(p);
}

void Lanes::paintRing(QPainter& p) {
  if (!hasFocus()) return;
  p.setRenderHint(QPainter::Antialiasing, false);
  p.setPen(QPen(theme().accent, 2));
  p.setBrush(Qt::NoBrush);
  p.drawRect(viewport()->rect().adjusted(1, 1, -1, -1));
}

void Lanes::paintHead(QPainter& p) {
  const Theme& t = theme();
  const Handwork hands = handwork_of(plan());
  QString text =
      QStringLiteral("%1  ·  %2  ·  %3")
          .arg(counted(plan().passes.size(), tr("pass"), tr("passes")),
               counted(static_cast<std::size_t>(hands.pauses), tr("pause"), tr("pauses")), time_text(plan().seconds));
  const QFont title = ui_font(13, true), figures = ui_font(12.5);
  const int after_title = QFontMetrics(title).horizontalAdvance(tr("Lanes")) + 12;
  const bool both = after_title + QFontMetrics(figures).horizontalAdvance(text) < kLeft - 24;
  if (both) {
    p.setFont(title);
    p.setPen(t.quiet);
    p.drawText(QPointF(16, 24), tr("Lanes"));
  }
  p.setFont(figures);
  p.setPen(t.ink);
  p.drawText(QRectF(both ? 16 + after_title : 16, 8, kLeft - 24, 22), Qt::AlignVCenter, text);
}

/// One line, all passes in a row.
void Lanes::paintFolded(QPainter& p) {
  const Theme& t = theme();
  p.setClipRect(QRectF(kLeft - 8, 0, viewport()->width(), viewport()->height()));
  for (const auto& pass : plan().passes) {
    const QRectF block(xOf(pass.start_s), 12, std::max(2.0, xOf(pass.start_s + pass.seconds) - xOf(pass.start_s)), 12);
    QColor fill = role_color(pass.role, t.dark);
    fill.setAlpha(90);
    p.setPen(Qt::NoPen);
    p.setBrush(fill);
    p.drawRoundedRect(block, 3, 3);
  }
  p.setPen(Qt::NoPen);
  p.setBrush(t.hands);
  for (const auto& pause : plan().pauses) {
    if (pause.hands()) p.drawEllipse(QPointF(xOf(pause.start_s), 18), 3.5, 3.5);
  }
}

void Lanes::paintAxis(QPainter& p) {
  const Theme& t = theme();
  const double height = viewport()->height(), step = axis_step(plan().seconds, width() * zoom_);
  p.setFont(ui_font(10.5));
  QColor grid = t.hairline;
  grid.setAlpha(150);
  const double last = std::min(plan().seconds, secondsAt(viewport()->width()));
  for (double s = std::floor(from_ / step) * step; s <= last + 1e-6; s += step) {
    const double x = xOf(s);
    if (x < kLeft - 1) continue;
    p.setPen(QPen(grid, 1));
    p.drawLine(QPointF(x, kTop - 8), QPointF(x, height - 4));
    p.setPen(t.quiet);
    const QString label = step < 60 ? (s < 60 ? QStringLiteral("%1 s").arg(s) : clock_text(s))
                                    : (s == 0 ? tr("0 min") : QLocale().toString(s / 60, 'f', 0));
    p.drawText(QRectF(x - 30, 16, 60, 16), Qt::AlignCenter, label);
  }
}

void Lanes::paintPauses(QPainter& p) {
  const Theme& t = theme();
  const double height = viewport()->height();
  QColor span = t.hands;
  span.setAlphaF(t.dark ? 0.16F : 0.1F);
  for (const auto& pause : plan().pauses) {
    // From where the head has stopped, as long as hands take; then, dotted, until what is run over next is dry.
    const double x = xOf(pause.start_s), end = xOf(pause.start_s + pause.seconds);
    if (end < kLeft || x > viewport()->width()) continue;
    const double done = xOf(pause.start_s + pause.seconds - pause.dries_s);
    p.fillRect(QRectF(QPointF(x, kTop - 2), QPointF(done, height - 6)), span);
    if (pause.dries_s > 0)
      p.fillRect(QRectF(QPointF(done, kTop - 2), QPointF(end, height - 6)), QBrush(t.hairline, Qt::Dense6Pattern));
    if (!pause.hands()) continue;
    QPen dash(t.hands, 1.4, Qt::CustomDashLine);
    dash.setDashPattern({2, 2});
    p.setPen(dash);
    p.drawLine(QPointF(x, kTop - 2), QPointF(x, height - 6));
    p.setPen(QPen(t.panel, 2));
    p.setBrush(t.hands);
    p.drawEllipse(QPointF(x, kTop + 1), 6, 6);
  }
}

/// What is at the left of each lane. Lanes scroll below the axis.
void Lanes::paintNames(QPainter& p) {
  const Theme& t = theme();
  const Project& project = session_.project();
  p.save();
  p.setClipRect(QRectF(0, kTop - 6, viewport()->width(), viewport()->height()));
  for (const auto& lane : in_lane_) {
    const std::size_t first = lane.front();
    const Pass& pass = plan().passes[first];
    const double y = blockOf(static_cast<int>(first) + 1).center().y();
    if (y < 0 || y > viewport()->height() + kLane) continue;
    const Tool* tool = find_tool(project, pass.tool);
    paint_holder(p, QRectF(16, y - 10, 20, 20), pass.holder, t);
    paint_role_glyph(p, {51, y}, pass.role, line_color(pass.role, tool ? tool->ink : Color{}, to_color(t.panel)), 10);
    p.setFont(ui_font(12.5));
    p.setPen(t.ink);
    p.drawText(QRectF(66, y - 11, kLeft - 84, 22), Qt::AlignVCenter,
               p.fontMetrics().elidedText(tool_name(project, pass.tool), Qt::ElideRight, static_cast<int>(kLeft) - 84));
    QPen dots(t.hairline, 1, Qt::CustomDashLine);
    dots.setDashPattern({1, 5});
    p.setPen(dots);
    p.drawLine(QPointF(kLeft, y), QPointF(viewport()->width() - kRight, y));
  }
  p.restore();
}

void Lanes::paintBlocks(QPainter& p) {
  const Theme& t = theme();
  const Project& project = session_.project();
  const auto& passes = plan().passes;
  for (std::size_t i = 0; i < passes.size() && i < lane_of_.size(); ++i) {
    const Pass& pass = passes[i];
    QRectF block = blockOf(static_cast<int>(i) + 1);
    if (block.right() < kLeft - 8 || block.left() > viewport()->width()) continue;
    if (block.bottom() < 0 || block.top() > viewport()->height()) continue;
    if (dragged_ == static_cast<int>(i) + 1 && moved_)
      block.translate(at_.x() - press_.x(), 0);  // it goes with the hand
    const Tool* tool = find_tool(project, pass.tool);
    const QColor color = line_color(pass.role, tool ? tool->ink : Color{}, to_color(t.panel));
    QColor wash = color;
    wash.setAlphaF(t.dark ? 0.28F : 0.17F);
    p.setPen(Qt::NoPen);
    p.setBrush(t.panel);
    p.drawRoundedRect(block, 4, 4);
    p.setBrush(wash);
    p.drawRoundedRect(block, 4, 4);
    // The role's pattern along the foot of the block.
    QPen foot = role_pen(pass.role, color);
    foot.setWidthF(std::min(2.2, foot.widthF() + 0.4));
    p.setBrush(Qt::NoBrush);
    if (pass.role == Role::foil) {
      foot.setWidthF(1.2);
      p.setPen(foot);
      p.drawLine(block.bottomLeft() - QPointF(0, 3.5), block.bottomRight() - QPointF(0, 3.5));
    }
    p.setPen(foot);
    p.drawLine(block.bottomLeft() - QPointF(0, 0.5), block.bottomRight() - QPointF(0, 0.5));
    if (static_cast<int>(i) + 1 == current_) {
      p.setPen(QPen(t.accent, 1.6));
      p.drawRoundedRect(block.adjusted(-1.5, -1.5, 1.5, 1.5), 5, 5);
    }
    if (pass.pinned) paint_pin(p, block.topLeft() + QPointF(1.5, -1), t.accent);
  }
  QColor span = t.hands;
  span.setAlphaF(t.dark ? 0.16F : 0.1F);
  p.setFont(ui_font(11.5));
  for (std::size_t i = 0; i < labels_.size(); ++i) {
    const Label& label = labels_[i];
    if (label.words.isEmpty() || (moved_ && dragged_ == static_cast<int>(i) + 1)) continue;
    if (!label.inside) {
      p.fillRect(label.place, t.panel);
      for (const auto& pause : plan().pauses) {
        const QRectF over(QPointF(xOf(pause.start_s), kTop - 2),
                          QPointF(xOf(pause.start_s + pause.seconds), viewport()->height() - 6));
        if (over.intersects(label.place)) p.fillRect(over.intersected(label.place), span);
      }
    }
    p.setPen(t.ink);
    p.drawText(label.place, label.inside ? Qt::AlignVCenter : Qt::AlignCenter, label.words);
  }
}

/// The play head, and what is dragged.
void Lanes::paintHands(QPainter& p) {
  const Theme& t = theme();
  const double height = viewport()->height();
  if (const double x = xOf(time_); time_ >= 0 && x >= kLeft - 1 && x <= viewport()->width()) {
    p.setPen(QPen(t.ink, 1.4));
    p.drawLine(QPointF(x, 34), QPointF(x, height - 4));
    p.setPen(Qt::NoPen);
    p.setBrush(t.ink);
    p.drawPolygon(QPolygonF{QPointF(x - 6, 30), QPointF(x + 6, 30), QPointF(x, 38)});
    p.setFont(ui_font(10.5, true));
    const QRectF tag(x - 20, 13, 40, 17);
    p.drawRoundedRect(tag, 5, 5);
    p.setPen(t.panel);
    p.drawText(tag, Qt::AlignCenter, clock_text(time_));
  }
  if (dragged_ == 0 || !moved_) return;
  p.setPen(QPen(t.accent, 2));
  p.drawLine(QPointF(at_.x(), kTop - 4), QPointF(at_.x(), height - 4));
  if (cost_text_.isEmpty()) return;
  p.setFont(ui_font(12, true));
  const double wide = p.fontMetrics().horizontalAdvance(cost_text_) + 18;
  const double left = std::clamp(at_.x() + 12, kLeft, std::max(kLeft, viewport()->width() - wide - 8));
  const QRectF bubble(left, std::clamp(at_.y() - 30, 6.0, height - 30), wide, 24);
  p.setPen(Qt::NoPen);
  p.setBrush(t.ink);
  p.drawRoundedRect(bubble, 6, 6);
  p.setPen(t.panel);
  p.drawText(bubble, Qt::AlignCenter, cost_text_);
}

}  // namespace dotlane
