#include "app/bench/handles.hpp"

#include <array>

namespace dotlane {
namespace {

struct Place {
  Handle handle;
  double x, y;  // in the frame, 0..1
};

constexpr std::array<Place, 8> kPlaces{{{{{1, 1}, true, true, false, Qt::SizeFDiagCursor}, 0, 0},
                                        {{{0.5, 1}, false, true, false, Qt::SizeVerCursor}, 0.5, 0},
                                        {{{0, 1}, true, true, false, Qt::SizeBDiagCursor}, 1, 0},
                                        {{{0, 0.5}, true, false, false, Qt::SizeHorCursor}, 1, 0.5},
                                        {{{0, 0}, true, true, false, Qt::SizeFDiagCursor}, 1, 1},
                                        {{{0.5, 0}, false, true, false, Qt::SizeVerCursor}, 0.5, 1},
                                        {{{1, 0}, true, true, false, Qt::SizeBDiagCursor}, 0, 1},
                                        {{{1, 0.5}, true, false, false, Qt::SizeHorCursor}, 0, 0.5}}};

QPointF place_in(const QRectF& frame, const Place& place) {
  return {frame.left() + place.x * frame.width(), frame.top() + place.y * frame.height()};
}

bool near(QPointF a, QPointF b) { return std::abs(a.x() - b.x()) <= 6 && std::abs(a.y() - b.y()) <= 6; }

}  // namespace

QPointF turn_knob(const QRectF& frame) { return frame.topRight() + QPointF(20, -20); }

std::optional<Handle> handle_at(const QRectF& frame, QPointF at) {
  for (const auto& place : kPlaces) {
    if (near(place_in(frame, place), at)) return place.handle;
  }
  if (near(turn_knob(frame), at)) return Handle{{}, false, false, true, Qt::PointingHandCursor};
  return std::nullopt;
}

void paint_handles(QPainter& p, const QRectF& frame, const Theme& theme) {
  const QColor ground = theme.dark ? theme.ground : QColor(Qt::white);
  p.setPen(QPen(theme.accent, 1.2));
  p.setBrush(ground);
  for (const auto& place : kPlaces) {
    const QPointF at = place_in(frame, place);
    p.drawRect(QRectF(at.x() - 3.5, at.y() - 3.5, 7, 7));
  }
  paint_turn_knob(p, frame, theme);
}

void paint_turn_knob(QPainter& p, const QRectF& frame, const Theme& theme) {
  // A ring that is not closed, with a tip: the way things turn.
  const QPointF knob = turn_knob(frame);
  p.setPen(QPen(theme.accent, 1.2));
  p.setBrush(theme.dark ? theme.ground : QColor(Qt::white));
  p.drawLine(frame.topRight() + QPointF(4, -4), knob + QPointF(-5, 5));
  p.setPen(Qt::NoPen);
  p.drawEllipse(knob, 8.5, 8.5);
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(theme.accent, 1.6));
  p.drawArc(QRectF(knob.x() - 6, knob.y() - 6, 12, 12), 60 * 16, 280 * 16);
  p.setBrush(theme.accent);
  p.setPen(Qt::NoPen);
  const QPointF tip = knob + QPointF(3, -5.2);
  p.drawPolygon(QPolygonF{tip + QPointF(-3.5, -3), tip + QPointF(3, 0), tip + QPointF(-3.5, 3)});
}

}  // namespace dotlane
