#include "app/bench/snapping.hpp"

#include <set>

#include "app/bench/overlay.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/dependence.hpp"

namespace dotlane {
namespace {

/// From the nearer edge of one box to that of the other along an axis: where to write how far apart they are.
std::optional<std::pair<double, double>> space_between(double a0, double a1, double b0, double b1) {
  if (a1 < b0) return std::pair(a1, b0);
  if (b1 < a0) return std::pair(b1, a0);
  return std::nullopt;
}

}  // namespace

void Snapping::begin(const Drawing& around, const std::vector<int>& dragged, Ground ground) {
  std::map<const DrawnPiece*, SnapPiece> known;
  std::vector<SnapPiece> pieces;
  std::set<double> turns;
  for (const auto& piece : around.pieces) {
    if (std::find(dragged.begin(), dragged.end(), piece->piece->id) != dragged.end()) continue;
    const auto old = known_.find(piece.get());
    SnapPiece made = old != known_.end() ? std::move(old->second) : snap_piece(piece);
    pieces.push_back(made);
    known.emplace(piece.get(), std::move(made));
    turns.insert(std::round(turn_of(piece->map) * 1e6) / 1e6);
  }
  known_ = std::move(known);
  turns_.assign(turns.begin(), turns.end());
  scene_ = std::make_unique<SnapScene>(std::move(pieces), std::move(ground));
  last_ = {};
}

void Snapping::end() { scene_.reset(); }

void Snapping::met(const std::vector<Meeting>& what, const Box& frame) {
  last_ = {};
  last_.meetings = what;
  frame_ = frame;
}

void Snapping::paint(QPainter& p, const View& view, LengthUnit unit, const QRectF& canvas) const {
  p.setRenderHint(QPainter::Antialiasing);
  const QPen line(theme().hands, 1.2, Qt::DashLine);
  if (last_.point) {
    const QPointF at = view.to_px(*last_.point);
    p.setPen(QPen(theme().hands, 1.6));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(at, 6, 6);
    p.drawLine(at - QPointF(10, 0), at + QPointF(10, 0));
    p.drawLine(at - QPointF(0, 10), at + QPointF(0, 10));
  }
  const QRectF frame = view.to_px(frame_);
  std::vector<std::pair<QPointF, QString>> pills;  // above all lines
  for (const auto& meeting : last_.meetings) {
    const bool upright = meeting.axis == Axis::x;
    if (meeting.met == Met::gap) {
      p.setPen(QPen(theme().hands, 1.6));
      for (const Box& gap : meeting.gaps) {
        const QPointF a = view.to_px(Vec{gap.x0, gap.y0}), b = view.to_px(Vec{gap.x1, gap.y1});
        const QPointF tick = upright ? QPointF(0, 5) : QPointF(5, 0);
        p.drawLine(a, b);
        p.drawLine(a - tick, a + tick);
        p.drawLine(b - tick, b + tick);
      }
      if (!meeting.gaps.empty()) {
        const Box& gap = meeting.gaps.front();
        pills.push_back({(view.to_px(Vec{gap.x0, gap.y0}) + view.to_px(Vec{gap.x1, gap.y1})) / 2 + QPointF(0, -16),
                         length_text(upright ? gap.width() : gap.height(), unit)});
      }
      continue;
    }
    const QRectF other = meeting.other.empty() ? canvas : view.to_px(meeting.other);
    p.setPen(line);
    if (upright) {
      const double x = view.to_px(Vec{meeting.at, 0}).x();
      p.drawLine(QPointF(x, std::min(frame.top(), other.top())), QPointF(x, std::max(frame.bottom(), other.bottom())));
      if (meeting.other.empty()) continue;
      if (const auto space = space_between(frame_.y0, frame_.y1, meeting.other.y0, meeting.other.y1))
        pills.push_back({{x, view.to_px(Vec{0, (space->first + space->second) / 2}).y()},
                         length_text(space->second - space->first, unit)});
    } else {
      const double y = view.to_px(Vec{0, meeting.at}).y();
      p.drawLine(QPointF(std::min(frame.left(), other.left()), y), QPointF(std::max(frame.right(), other.right()), y));
      if (meeting.other.empty()) continue;
      if (const auto space = space_between(frame_.x0, frame_.x1, meeting.other.x0, meeting.other.x1))
        pills.push_back({{view.to_px(Vec{(space->first + space->second) / 2, 0}).x(), y},
                         length_text(space->second - space->first, unit)});
    }
  }
  // One pill a place is enough.
  std::vector<QPointF> taken;
  for (const auto& [at, text] : pills) {
    const bool near = std::any_of(taken.begin(), taken.end(),
                                  [&, place = at](QPointF q) { return (q - place).manhattanLength() < 40; });
    if (near) continue;
    taken.push_back(at);
    paint_pill(p, text, at, canvas);
  }
}

}  // namespace dotlane
