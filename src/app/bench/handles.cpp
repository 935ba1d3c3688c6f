#include "app/bench/handles.hpp"

#include <QCoreApplication>
#include <array>

namespace dotlane {
namespace {

QString say(const char* text) { return QCoreApplication::translate("Bench", text); }

using Does = Handle::Does;
constexpr double kBeside = 20;  // px from the frame to the knobs around it
constexpr double kSmall = 44;   // px: frames below that show no knobs but the one that turns

const std::array<Handle, 8> kSizing{{{Does::size, true, true, {1, 1}, Qt::SizeFDiagCursor, {}, {0, 0}},
                                     {Does::size, false, true, {0.5, 1}, Qt::SizeVerCursor, {}, {0.5, 0}},
                                     {Does::size, true, true, {0, 1}, Qt::SizeBDiagCursor, {}, {1, 0}},
                                     {Does::size, true, false, {0, 0.5}, Qt::SizeHorCursor, {}, {1, 0.5}},
                                     {Does::size, true, true, {0, 0}, Qt::SizeFDiagCursor, {}, {1, 1}},
                                     {Does::size, false, true, {0.5, 0}, Qt::SizeVerCursor, {}, {0.5, 1}},
                                     {Does::size, true, true, {1, 0}, Qt::SizeBDiagCursor, {}, {0, 1}},
                                     {Does::size, true, false, {1, 0.5}, Qt::SizeHorCursor, {}, {0, 0.5}}}};

const Handle kTurn{Does::turn, false, false, {}, Qt::PointingHandCursor, {kBeside, -kBeside}, {1, 0}};
const std::array<Handle, 4> kKnobs{
    {{Does::mirror, true, false, {}, Qt::PointingHandCursor, {-kBeside, -kBeside}, {0, 0}},
     {Does::mirror, false, true, {}, Qt::PointingHandCursor, {-kBeside, kBeside}, {0, 1}},
     {Does::slant, true, false, {}, Qt::SizeHorCursor, {0, kBeside}, {0.5, 1}},
     {Does::slant, false, true, {}, Qt::SizeVerCursor, {-kBeside, 0}, {0, 0.5}}}};

QPointF place_in(const QRectF& frame, const Handle& handle) {
  return QPointF(frame.left() + handle.place.x * frame.width(), frame.top() + handle.place.y * frame.height()) +
         handle.at;
}

bool near(QPointF a, QPointF b, double reach = 6) {
  return std::abs(a.x() - b.x()) <= reach && std::abs(a.y() - b.y()) <= reach;
}

/// The knobs beside the frame, where there is room to tell them apart.
bool has_knobs(const QRectF& frame) { return frame.width() >= kSmall && frame.height() >= kSmall; }

}  // namespace

QPointF turn_knob(const QRectF& frame) { return place_in(frame, kTurn); }

std::optional<Handle> handle_at(const QRectF& frame, std::optional<QPointF> middle, QPointF at) {
  for (const auto& handle : kSizing) {
    if (near(place_in(frame, handle), at)) return handle;
  }
  if (near(turn_knob(frame), at)) return kTurn;
  if (!has_knobs(frame)) return std::nullopt;
  for (const auto& handle : kKnobs) {
    if (near(place_in(frame, handle), at, 8)) return handle;
  }
  if (middle && near(*middle, at)) return Handle{Does::middle, false, false, {}, Qt::SizeAllCursor, {}, {}};
  return std::nullopt;
}

QString handle_text(const Handle& handle) {
  switch (handle.does) {
    case Does::size:
      return {};
    case Does::turn:
      return say(
          "Drag to turn it: every 15° and its neighbours' angles are met, with Ctrl none. A click shows what it turns "
          "about, "
          "to be put elsewhere.");
    case Does::slant:
      return handle.across ? say("Slant it across") : say("Slant it upright");
    case Does::mirror:
      return handle.across ? say("Mirror it left to right, about its middle")
                           : say("Mirror it top to bottom, about its middle");
    case Does::middle:
      return say("What it is turned and mirrored about. Drag it; a double click puts it back.");
  }
  return {};
}

void paint_handles(QPainter& p, const QRectF& frame, std::optional<QPointF> middle, const Theme& theme) {
  const QColor ground = theme.dark ? theme.ground : QColor(Qt::white);
  p.setPen(QPen(theme.accent, 1.2));
  p.setBrush(ground);
  for (const auto& handle : kSizing) {
    const QPointF at = place_in(frame, handle);
    p.drawRect(QRectF(at.x() - 3.5, at.y() - 3.5, 7, 7));
  }
  paint_turn_knob(p, frame, theme);
  if (!has_knobs(frame)) return;
  for (const auto& handle : kKnobs) {
    const QPointF at = place_in(frame, handle);
    p.setPen(Qt::NoPen);
    p.setBrush(ground);
    p.drawEllipse(at, 8.5, 8.5);
    p.setPen(QPen(theme.accent, 1.4));
    p.setBrush(Qt::NoBrush);
    const bool across = handle.across;
    const auto point = [&](double x, double y) { return at + (across ? QPointF(x, y) : QPointF(y, x)); };
    if (handle.does == Does::slant) {
      p.drawPolygon(QPolygonF{point(-5.5, 3.5), point(-1.5, -3.5), point(5.5, -3.5), point(1.5, 3.5)});
    } else {
      // Two wings about a line.
      p.drawLine(point(0, -6), point(0, 6));
      p.drawPolygon(QPolygonF{point(-2.5, 0), point(-6, -3.5), point(-6, 3.5)});
      p.setBrush(theme.accent);
      p.drawPolygon(QPolygonF{point(2.5, 0), point(6, -3.5), point(6, 3.5)});
    }
  }
  if (!middle) return;
  p.setBrush(Qt::NoBrush);
  for (const auto& [color, width] : {std::pair(ground, 3.6), std::pair(theme.accent, 1.4)}) {
    p.setPen(QPen(color, width));
    p.drawEllipse(*middle, 3.5, 3.5);
    for (const QPointF way : {QPointF(1, 0), QPointF(-1, 0), QPointF(0, 1), QPointF(0, -1)})
      p.drawLine(*middle + way * 3.5, *middle + way * 7.5);
  }
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
