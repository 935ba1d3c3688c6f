// What a drag makes of what is selected: moved, sized, turned, slanted, mirrored, held; guides.
#include <numbers>
#include <set>

#include "app/bench/bench.hpp"
#include "app/bench/rulers.hpp"
#include "core/place/axes.hpp"
#include "core/place/held.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

Affine about(Vec middle, const Affine& map) {
  return Affine::move(middle.x, middle.y) * map * Affine::move(-middle.x, -middle.y);
}

}  // namespace

void Bench::beginDrag(Drag drag) {
  drag_ = drag;
  press_bounds_ = frame();
  start_ = {};
  ghosted_ = false;
  held_node_.reset();
  if (drag == Drag::move || drag == Drag::size) middle_.reset();
  snapping_.end();
  ghost_.drop();
  session_.seal();
  session_.setHandsOn(true);
  ++drag_count_;
}

void Bench::dragEdit(const Affine& map, std::function<void()> edit) {
  if (!ghost_.on() && moved_lines_.empty()) {
    Drawing dragged;
    const auto pieces = session_.selectedPieces();
    const std::set<int> ids(pieces.begin(), pieces.end());
    for (const auto& piece : session_.drawing().pieces) {
      if (ids.contains(piece->piece->id)) dragged.pieces.push_back(piece);
    }
    // Before the first edit of the drag everything still lies where it was.
    if (!ghosted_ && Ghost::worth(dragged)) {
      ghost_.begin(session_.project(), dragged, view_, canvas(), devicePixelRatioF());
      around_ = aroundGhost().pieces;
      refresh();
    }
    ghosted_ = true;
  }
  ghost_.set(map);
  ghost_.edit(std::move(edit));
}

Drawing Bench::aroundGhost() const {
  Drawing out = shown();
  std::erase_if(out.pieces, [this](const auto& piece) { return ghost_.holds(piece->piece->id); });
  return out;
}

std::string Bench::dragKey(const char* what) const { return what + std::to_string(drag_count_); }

void Bench::setSnapping(bool on, bool dots) {
  snaps_ = on, dots_ = dots;
  snapping_.clear();
  update();
}

std::optional<QPointF> Bench::shownMiddle() const {
  if (!middle_ && !middle_shows_) return std::nullopt;
  return view_.to_px(middle_.value_or(frame().centre()));
}

const SnapScene* Bench::scene(Qt::KeyboardModifiers keys) {
  const auto pieces = session_.selectedPieces();
  const bool lines = !moved_lines_.empty() && drag_ == Drag::move;
  if (start_.empty()) {
    start_ = lines ? press_bounds_ : frame_around(session_.drawing(), pieces);
    if (drag_ == Drag::move && !lines) held_node_ = node_at(session_.drawing(), pieces, view_.to_mm(press_), reach());
  }
  if (!snaps_ || (keys & Qt::ControlModifier)) {
    snapping_.clear();
    return nullptr;
  }
  if (!snapping_.begun()) {
    Ground ground = plainTable()  ? Ground{{}, {}, session_.project().guides}
                    : showsMats() ? ground_on_mat(session_.project(), load_)
                                  : ground_of(session_.project(), load_);
    if (dots_) ground.grid_mm = mat_dots_mm(view_);
    std::vector<int> dragged;
    // What is put somewhere by itself may meet everything.
    if (!sketch_.active() &&
        (drag_ == Drag::move || drag_ == Drag::size || drag_ == Drag::turn || drag_ == Drag::node)) {
      dragged = with_followers(session_.project(), pieces);
    }
    if (drag_ == Drag::guide && guide_at_ < ground.guides.size())
      ground.guides.erase(ground.guides.begin() + static_cast<std::ptrdiff_t>(guide_at_));
    snapping_.begin(shown(), dragged, std::move(ground));
  }
  return snapping_.scene();
}

std::vector<Hold> Bench::meetings() {
  std::vector<Hold> out;
  const auto pieces = session_.selectedPieces();
  if (pieces.size() != 1 || showsMats()) return out;
  if (snapping_.last().meetings.empty()) {
    // Not brought there just now: what it lies against anyway.
    constexpr double kLiesOn = 1e-4;  // mm
    moved_lines_.clear();
    beginDrag(Drag::move);
    const SnapScene* around = scene(Qt::NoModifier);
    if (around && !start_.empty()) {
      Snapped met = around->frame(start_, {}, kLiesOn);
      std::erase_if(met.meetings, [](const Meeting& m) { return m.met == Met::gap; });  // by chance
      snapping_.met(std::move(met), start_);
    }
    snapping_.end();
    drag_ = Drag::none;
    session_.setHandsOn(false);
  }
  // Of what is met on an axis the more welcome is held: a middle before an edge, what is near before what is far.
  for (const Axis axis : kAxes) {
    const Meeting* best = nullptr;
    for (const auto& meeting : snapping_.last().meetings) {
      if (meeting.axis != axis || meeting.to.empty()) continue;
      const auto welcome = [](const Meeting& m) { return m.met == Met::gap ? 2 : m.own_share == 0.5 ? 1 : 0; };
      if (!best || welcome(meeting) > welcome(*best)) best = &meeting;
    }
    if (!best) continue;
    Hold hold;
    hold.axis = axis, hold.own_share = best->own_share, hold.to = best->to;
    out.push_back(std::move(hold));
  }
  return out;
}

void Bench::dragMove(QPointF at, Qt::KeyboardModifiers keys) {
  if (record_) return;
  Vec by{(at.x() - press_.x()) / view_.px_per_mm, (at.y() - press_.y()) / view_.px_per_mm};
  const bool straight = keys & Qt::ShiftModifier, across = std::abs(by.x) >= std::abs(by.y);
  if (straight) (across ? by.y : by.x) = 0;
  if (const SnapScene* around = scene(keys); around && !start_.empty()) {
    Snapped met =
        around->frame(moved(start_, by), held_node_ ? std::optional(*held_node_ + by) : std::nullopt, reach());
    if (straight) {
      (across ? met.by.y : met.by.x) = 0;
      met.point.reset();
      std::erase_if(met.meetings, [&](const Meeting& m) { return (m.axis == Axis::x) != across; });
    }
    by = by + met.by;
    snapping_.met(std::move(met), moved(start_, by));
  }
  dragEdit(Affine::move(by.x, by.y), [this, lines = moved_lines_, pieces = session_.selectedPieces(), by] {
    session_.edit(
        [lines, pieces, by](const Project& project, Effort) {
          return lines.empty() ? move_pieces(project, pieces, by) : move_lines(project, lines, by);
        },
        tr("Move"), dragKey("move-"));
  });
  update();
}

/// Sizes what is selected so that the handle lies under the pointer.
void Bench::dragSize(QPointF at, Qt::KeyboardModifiers keys) {
  const auto pieces = session_.selectedPieces();
  Vec to = view_.to_mm(at);
  const Vec anchor = handle_.anchor;
  const SnapScene* around = scene(keys);
  const Box& was = start_;
  const Vec fixed{was.x0 + anchor.x * was.width(), was.y0 + anchor.y * was.height()};
  Sizing sizing;
  sizing.anchor = anchor;
  sizing.scale_steps = session_.scalesSteps();
  double sx = 1, sy = 1;
  constexpr double kLeast = 0.5;  // mm
  const auto pull = [&] {
    if (handle_.across && was.width() > 0) sx = std::max(kLeast, std::abs(to.x - fixed.x)) / was.width();
    if (handle_.along && was.height() > 0) sy = std::max(kLeast, std::abs(to.y - fixed.y)) / was.height();
  };
  pull();
  const bool even = keeps_proportions(session_.project(), pieces);
  // The larger of the two pulls decides, inward as outward.
  const bool by_width = handle_.across && (!handle_.along || std::abs(sx - 1) > std::abs(sy - 1));
  if (around) {
    std::vector<Meeting> met;
    for (const Axis axis : kAxes) {
      const bool x = axis == Axis::x;
      if (!(x ? handle_.across : handle_.along) || (even && x != by_width)) continue;
      double& edge = x ? to.x : to.y;
      if (const auto meeting = around->edge(axis, edge, was, reach())) edge = meeting->at, met.push_back(*meeting);
    }
    pull();
    snapping_.met(met, was);
  }
  if (even) {
    (by_width ? sizing.width_mm : sizing.height_mm) = by_width ? sx * was.width() : sy * was.height();
    sx = sy = by_width ? sx : sy;
  } else {
    if (handle_.across) sizing.width_mm = sx * was.width();
    if (handle_.along) sizing.height_mm = sy * was.height();
  }
  wanted_ = Box{fixed.x + (was.x0 - fixed.x) * sx, fixed.y + (was.y0 - fixed.y) * sy, fixed.x + (was.x1 - fixed.x) * sx,
                fixed.y + (was.y1 - fixed.y) * sy};
  if (around) snapping_.met(snapping_.last(), *wanted_);
  const Affine map = about(fixed, Affine::scale(sx, sy));
  dragEdit(map, [this, pieces, sizing] { session_.size(pieces, sizing, dragKey("size-")); });
  update();
}

void Bench::placeBy(const Affine& map, const QString& label, const char* key) {
  dragEdit(map, [this, pieces = session_.selectedPieces(), map, label, key = dragKey(key)] {
    session_.edit([pieces, map](const Project& project, Effort) { return place_pieces(project, pieces, map); }, label,
                  key);
  });
  update();
}

/// Turns what is selected about its middle, by as much as the pointer went around it.
void Bench::dragTurn(QPointF at, Qt::KeyboardModifiers keys) {
  const Vec about_there = middle_.value_or(press_bounds_.centre());
  auto degrees_at = [&](QPointF px) {
    const Vec v = view_.to_mm(px) - about_there;
    return -std::atan2(v.y, v.x) * 180 / std::numbers::pi;
  };
  turned_ = std::remainder(degrees_at(at) - degrees_at(press_), 360.0);
  if (keys & Qt::ShiftModifier) {
    turned_ = std::round(turned_ / 15) * 15;
  } else if (scene(keys)) {
    const auto pieces = session_.selectedPieces();
    if (!own_turn_) {
      const Piece* piece = pieces.size() == 1 ? find_piece(session_.project(), pieces.front()) : nullptr;
      own_turn_ = piece ? turn_of(piece->placement) : 0;
    }
    turned_ =
        snapped_turn(turned_, *own_turn_, pieces.size() == 1 ? snapping_.turns() : std::vector<double>{}, kSnapTurn);
  }
  placeBy(about(about_there, Affine::rotate(-turned_)), tr("Turn"), "turn-");
}

/// Slants what is selected so that the edge at the handle goes with the pointer and the one across stays.
void Bench::dragSlant(QPointF at, Qt::KeyboardModifiers keys) {
  const Box& was = press_bounds_;
  const bool across = handle_.across;
  const double length = across ? was.height() : -was.width();  // the handles are below and at the left
  const double pull = (across ? at.x() - press_.x() : at.y() - press_.y()) / view_.px_per_mm;
  if (length == 0) return;
  constexpr double kMost = 80;  // degrees: what is left of it then is a line
  turned_ = std::clamp(std::atan(pull / length) * 180 / std::numbers::pi, -kMost, kMost);
  const double step = std::round(turned_ / 15) * 15;
  if (keys & Qt::ShiftModifier || (snaps_ && !(keys & Qt::ControlModifier) && std::abs(turned_ - step) < kSnapTurn))
    turned_ = step;
  const double k = std::tan(turned_ * std::numbers::pi / 180);
  placeBy(about({was.x1, was.y0}, across ? Affine{1, 0, k, 1, 0, 0} : Affine{1, k, 0, 1, 0, 0}), tr("Slant"), "slant-");
}

Vec Bench::metPlace(QPointF at, Qt::KeyboardModifiers keys) {
  Vec to = view_.to_mm(at);
  if (const SnapScene* around = scene(keys)) {
    Snapped met = around->point(to, reach());
    to = to + met.by;
    snapping_.met(std::move(met), Box{to.x, to.y, to.x, to.y});
  }
  return to;
}

void Bench::dragMiddle(QPointF at, Qt::KeyboardModifiers keys) {
  middle_ = metPlace(at, keys);
  update();
}

void Bench::mirrorBy(const Handle& handle) {
  const Affine flip = handle.across ? Affine::scale(-1, 1) : Affine::scale(1, -1);
  const Vec about_there = middle_.value_or(frame_around(session_.drawing(), session_.selectedPieces()).centre());
  placeBy(about(about_there, flip), tr("Mirror"), "mirror-");
}

std::optional<Axis> Bench::rulerAt(QPointF at) const {
  if (showsMats() || record_) return std::nullopt;
  if (at.y() < kRulerHeight && at.x() >= kRulerWidth) return Axis::y;  // pulled down from the one above
  if (at.x() < kRulerWidth && at.y() >= kRulerHeight) return Axis::x;
  return std::nullopt;
}

std::optional<std::size_t> Bench::guideAt(QPointF at) const {
  const auto& guides = session_.project().guides;
  if (showsMats() || record_) return std::nullopt;
  for (std::size_t i = guides.size(); i-- > 0;) {
    const Vec on{guides[i].at_mm, guides[i].at_mm};
    const double off = guides[i].axis == Axis::x ? view_.to_px(on).x() - at.x() : view_.to_px(on).y() - at.y();
    if (std::abs(off) <= 3) return i;
  }
  return std::nullopt;
}

void Bench::dragGuide(QPointF at, Qt::KeyboardModifiers keys) {
  const Vec to = view_.to_mm(at);
  guide_.at_mm = guide_.axis == Axis::x ? to.x : to.y;
  const Box here{to.x, to.y, to.x, to.y};
  if (const SnapScene* around = scene(keys)) {
    const auto met = around->edge(guide_.axis, guide_.at_mm, here, reach());
    if (met) guide_.at_mm = met->at;
    snapping_.met(met ? std::vector{*met} : std::vector<Meeting>{}, here);
  }
  update();
}

/// Keeps the guide where it was let go; back on its ruler it is gone.
void Bench::dropGuide(QPointF at) {
  Project next = session_.project();
  const bool known = guide_at_ < next.guides.size();
  const bool back = !canvas().contains(at);
  if (!known && back) return;
  if (back) {
    next.guides.erase(next.guides.begin() + static_cast<std::ptrdiff_t>(guide_at_));
  } else if (known) {
    next.guides[guide_at_] = guide_;
  } else {
    next.guides.push_back(guide_);
  }
  session_.commit(std::move(next), back ? tr("Take a guide away") : known ? tr("Move a guide") : tr("Pull a guide"));
}

}  // namespace dotlane
