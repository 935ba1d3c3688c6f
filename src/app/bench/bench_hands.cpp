// The bench's hands: what mouse and keys do to what is on it.
#include <QMouseEvent>
#include <numbers>
#include <set>

#include "app/bench/bench.hpp"
#include "app/bench/rulers.hpp"
#include "core/place/axes.hpp"
#include "core/place/catch.hpp"
#include "core/project/arrange.hpp"
#include "core/project/dependence.hpp"
#include "core/project/edit.hpp"
#include "core/shape/draw.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kReachPx = 6;  // how near a click must be to a line

Affine about(Vec middle, const Affine& map) {
  return Affine::move(middle.x, middle.y) * map * Affine::move(-middle.x, -middle.y);
}

}  // namespace

std::optional<LineRef> Bench::hit(QPointF at) const {
  const Drawing shown = reachable();
  const Vec mm = view_.to_mm(at);
  if (auto line = pick_line(shown, mm, kReachPx / view_.px_per_mm)) return line;
  // Not on a line: the smallest piece around the place.
  std::optional<LineRef> inside;
  double smallest = std::numeric_limits<double>::infinity();
  for (const auto& piece : shown.pieces) {
    const double area = piece->bounds.width() * piece->bounds.height();
    if (piece->bounds.contains(mm) && area < smallest) {
      smallest = area;
      inside = LineRef{piece->piece->id, ""};
    }
  }
  return inside;
}

std::vector<int> Bench::piecesAt(QPointF at) const {
  std::vector<int> out;
  const Vec mm = view_.to_mm(at);
  const Drawing drawing = reachable();
  for (const auto& piece : drawing.pieces) {
    const bool there = piece->bounds.contains(mm) || pick_line(Drawing{{piece}}, mm, kReachPx / view_.px_per_mm);
    if (there) out.push_back(piece->piece->id);
  }
  return out;
}

void Bench::selectBelow() {
  const auto there = piecesAt(pointer_);
  if (there.empty()) return;
  const auto selected = session_.selectedPieces();
  // From the lowest of those selected on.
  std::size_t next = 0;
  for (std::size_t i = 0; i < there.size(); ++i) {
    if (std::find(selected.begin(), selected.end(), there[i]) != selected.end()) next = i + 1;
  }
  session_.select({{there[next % there.size()], ""}});
}

void Bench::lookUnder(int piece) {
  if (piece == under_) return;
  under_ = piece;
  refresh();
}

void Bench::clickAt(QPointF at, Qt::KeyboardModifiers keys) {
  const auto found = hit(at);
  auto selection = session_.selection();
  if (!found) {
    if (!(keys & Qt::ControlModifier)) session_.select({});
    return;
  }
  if (keys & Qt::ControlModifier) {
    const LineRef ref = *found;
    const auto known = std::find(selection.begin(), selection.end(), ref);
    if (known != selection.end()) {
      selection.erase(known);
    } else {
      selection.push_back(ref);
    }
    session_.select(selection);
  } else {
    selectGroup(found->piece);
  }
}

void Bench::selectGroup(int piece) {
  std::vector<LineRef> all;
  for (const int id : with_group(session_.project(), {piece})) {
    if (inReach(id) || showsMats()) all.push_back({id, ""});
  }
  session_.select(std::move(all));
}

void Bench::pickContour(QPointF at, bool keep) {
  const auto pieces = session_.selectedPieces();
  const auto found = hit(at);
  if (record_ || !found || found->line.empty() || pieces != std::vector<int>{found->piece}) return;
  session_.editDrawn(
      [piece = found->piece, place = view_.to_mm(at), keep](const Project& project, const Drawing& drawing) {
        return pick_contour(project, drawing, piece, place, keep);
      },
      keep ? tr("Keep a contour alone") : tr("Drop a contour"));
}

void Bench::pickBridge(QPointF at) {
  const auto pieces = session_.selectedPieces();
  if (record_ || pieces.size() != 1) return;
  session_.editDrawn([piece = pieces.front(), place = view_.to_mm(at), reach = (kStepHandlePx + 2) / view_.px_per_mm](
                         const Project& project,
                         const Drawing& drawing) { return pick_bridge(project, drawing, piece, place, reach); },
                     tr("Set or take away a bridge"));
}

void Bench::setPicking(Picking what) {
  if (what == Picking::erase || what == Picking::split)
    return sketch(what == Picking::erase ? Sketch::What::erase : Sketch::What::split);
  if (what != Picking::none) sketch_.end();
  const auto pieces = session_.selectedPieces();
  const bool can =
      !record_ && pieces.size() == 1 && (what != Picking::bridges || has_bridges(session_.project(), pieces.front()));
  picking_ = can ? what : Picking::none;
  setCursor(picking_ != Picking::none ? Qt::CrossCursor : Qt::ArrowCursor);
  update();
}

Box Bench::frame() const {
  if (wanted_) return *wanted_;
  if (ghost_.on() && drag_ == Drag::move) return moved(start_, ghost_.by());
  return bounds_of(space(), session_.selection());
}

/// What was asked for is shown until it is there.
void Bench::dropWanted() {
  if (!wanted_ || drag_ == Drag::size || session_.editing()) return;
  const auto pieces = session_.selectedPieces();
  const bool waits = std::any_of(pieces.begin(), pieces.end(), [this](int id) {
    const DrawnPiece* drawn = find_drawn(session_.drawing(), id);
    return drawn && drawn->stale;
  });
  if (!waits) wanted_.reset(), update();
}

bool Bench::hasHandles() const {
  const auto& selection = session_.selection();
  return !selection.empty() && !showsMats() && !record_ && scrub_ < 0 && !typing_.active() &&
         picking_ == Picking::none && !sketch_.active() &&
         std::all_of(selection.begin(), selection.end(),
                     [this](const LineRef& ref) { return ref.line.empty() && inReach(ref.piece); });
}

std::optional<Handle> Bench::handleAt(QPointF at) const {
  if (!hasHandles()) return std::nullopt;
  const Box box = frame();
  return box.empty() ? std::nullopt : handle_at(view_.to_px(box), shownMiddle(), at);
}

std::vector<StepHandle> Bench::stepHandles() const {
  const auto pieces = session_.selectedPieces();
  if ((!hasHandles() && picking_ != Picking::bridges) || pieces.size() != 1) return {};
  return step_handles(session_.project(), session_.drawing(), pieces.front());
}

std::optional<StepHandle> Bench::stepHandleAt(QPointF at) const {
  for (const auto& handle : stepHandles()) {
    const QPointF off = at - view_.to_px(handle.at);
    if (std::hypot(off.x(), off.y()) <= kStepHandlePx + 2) return handle;
  }
  return std::nullopt;
}

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
      dragged = pieces;
      for (const int id : pieces) {
        const auto users = users_of(session_.project(), id);  // they go along
        dragged.insert(dragged.end(), users.begin(), users.end());
      }
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

void Bench::dragMiddle(QPointF at, Qt::KeyboardModifiers keys) {
  Vec to = view_.to_mm(at);
  if (const SnapScene* around = scene(keys)) {
    Snapped met = around->point(to, reach());
    to = to + met.by;
    snapping_.met(std::move(met), Box{to.x, to.y, to.x, to.y});
  }
  middle_ = to;
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

void Bench::mousePressEvent(QMouseEvent* event) {
  pointer_ = event->position();
  if (pressed(event) || event->button() != Qt::LeftButton) return;
  if (sketch_.active()) {
    drag_ = Drag::sketch;
    sketch_.press(sketchPlace(press_, event->modifiers()), view_.px_per_mm);
    return update();
  }
  if (picking_ == Picking::bridges) {
    drag_ = Drag::picked;
    return pickBridge(press_);
  }
  if (picking_ == Picking::contours || (event->modifiers() & Qt::AltModifier)) {
    drag_ = Drag::picked;
    pickContour(press_, event->modifiers() & Qt::ShiftModifier);
    return;
  }
  if (typing_.active()) {
    if (typing_.press(view_.to_mm(press_), event->modifiers() & Qt::ShiftModifier)) {
      drag_ = Drag::mark;
      return;
    }
    typing_.end();
  }
  if (const auto handle = stepHandleAt(press_)) {
    step_handle_ = *handle;
    return beginDrag(Drag::step);
  }
  if (const auto node = nodeAt(press_)) {
    dragged_node_ = *node;
    beginDrag(Drag::node);
    node_ = node->ref;
    return update();
  }
  node_.reset();
  if (const auto axis = rulerAt(press_)) {
    guide_ = {*axis, 0};
    guide_at_ = session_.project().guides.size();
    return beginDrag(Drag::guide);
  }
  if (const auto handle = handleAt(press_)) {
    handle_ = *handle;
    own_turn_.reset();
    beginDrag(handle->does == Handle::Does::size     ? Drag::size
              : handle->does == Handle::Does::turn   ? Drag::turn
              : handle->does == Handle::Does::slant  ? Drag::slant
              : handle->does == Handle::Does::middle ? Drag::middle
                                                     : Drag::picked);
    if (handle->does == Handle::Does::mirror) mirrorBy(*handle);
    return;
  }
  if (event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) {
    drag_ = Drag::band;
    return;
  }
  press_bounds_ = frame();
  const auto found = hit(press_);
  if (const auto guide = guideAt(press_); guide && (!found || found->line.empty())) {
    guide_ = session_.project().guides[*guide];
    guide_at_ = *guide;
    return beginDrag(Drag::guide);
  }
  if (!found) {
    drag_ = Drag::band;
    return;
  }
  const auto pieces = session_.selectedPieces();
  const Box before = press_bounds_;
  if (std::find(pieces.begin(), pieces.end(), found->piece) == pieces.end()) selectGroup(found->piece);
  if (showsMats()) return;  // what lies there was put there; the figure moves in the draft
  const auto& chosen = session_.selection();
  const bool on_chosen = std::find(chosen.begin(), chosen.end(), *found) != chosen.end();
  moved_lines_ = on_chosen && can_move_lines(session_.project(), chosen) ? chosen : std::vector<LineRef>{};
  beginDrag(Drag::move);
  press_bounds_ = before;  // tells a click on what was selected already
}

/// What a press here would take hold of.
void Bench::showCursor(QPointF at) {
  const auto handle = handleAt(at);
  const auto step = stepHandleAt(at);
  const auto ruler = rulerAt(at);
  const auto guide = handle || step ? std::nullopt : guideAt(at);
  const auto along = [](Axis axis) { return axis == Axis::x ? Qt::SplitHCursor : Qt::SplitVCursor; };
  const Qt::CursorShape shape = picking_ != Picking::none ? Qt::CrossCursor
                                : step                    ? Qt::PointingHandCursor
                                : ruler                   ? along(*ruler)
                                : handle                  ? handle->cursor
                                : guide                   ? along(session_.project().guides[*guide].axis)
                                                          : Qt::ArrowCursor;
  if (cursor().shape() != shape) setCursor(shape);
  if (ruler) return setToolTip(tr("Drag a guide from here onto the bench"));
  if (guide) return setToolTip(tr("A guide. Drag it; back on the ruler it is gone."));
  const bool bridge = step && step->what == StepHandle::What::bridge && picking_ == Picking::none;
  if (!bridge) return setToolTip(handle ? handle_text(*handle) : QString());
  setToolTip(step_text(session_.drawing(), *step, session_.project().unit) +
             (step->set ? tr(", set by hand. Drag it; a click lets it go.")
                        : tr(". Drag it along, or click to set it here.")));
}

void Bench::mouseMoveEvent(QMouseEvent* event) {
  const QPointF at = event->position();
  pointer_ = at;
  if (sketch_.active() && !dragged(event, false)) {
    sketch_.move(sketchPlace(at, event->modifiers()), drag_ == Drag::sketch, view_.px_per_mm);
    return update();
  }
  if (dragged(event, drag_ != Drag::none)) return;
  if (drag_ == Drag::none) return showCursor(at);
  switch (drag_) {
    case Drag::move:
      dragMove(at, event->modifiers());
      break;
    case Drag::size:
      dragSize(at, event->modifiers());
      break;
    case Drag::turn:
      dragTurn(at, event->modifiers());
      break;
    case Drag::slant:
      dragSlant(at, event->modifiers());
      break;
    case Drag::middle:
      dragMiddle(at, event->modifiers());
      break;
    case Drag::guide:
      dragGuide(at, event->modifiers());
      break;
    case Drag::node:
      dragNode(at, event->modifiers());
      break;
    case Drag::step:
      session_.edit([handle = step_handle_, to = view_.to_mm(at)](const Project& project,
                                                                  Effort) { return drag_handle(project, handle, to); },
                    tr("Change a step"), dragKey("step-"));
      break;
    case Drag::mark:
      typing_.drag(view_.to_mm(at));
      break;
    case Drag::band:
      band_ = QRectF(press_, at).normalized();
      update();
      break;
    default:
      break;
  }
}

void Bench::mouseReleaseEvent(QMouseEvent* event) {
  if (released()) return;
  const Drag drag = std::exchange(drag_, Drag::none);
  if (ghost_.on()) {
    ghost_.end();
    around_.clear();
    refresh();
  }
  session_.setHandsOn(false);
  if (drag == Drag::sketch) {
    sketch_.release(sketchPlace(event->position(), event->modifiers()), view_.px_per_mm);
    snapping_.clear();
    return update();
  }
  if (event->button() != Qt::LeftButton || drag == Drag::mark || drag == Drag::picked) return;
  snapping_.end();
  if (drag == Drag::guide) {
    snapping_.clear();
    if (moved_) dropGuide(event->position());
    return update();
  }
  if (drag == Drag::middle || drag == Drag::slant || drag == Drag::node) return update();
  // An edit under way still belongs to this drag; the next drag has a key of its own.
  if (drag == Drag::size || drag == Drag::turn || drag == Drag::step) {
    dropWanted();
    update();
    if (moved_) return;
    if (drag == Drag::turn) {
      middle_shows_ = !middle_shows_ && !middle_;
      middle_.reset();
      return;
    }
    if (drag == Drag::step && step_handle_.what == StepHandle::What::bridge) {
      session_.edit([handle = step_handle_](const Project& project, Effort) { return click_handle(project, handle); },
                    step_handle_.set ? tr("Let a bridge go") : tr("Set a bridge"));
      return;
    }
  }
  if (drag == Drag::band && moved_) {
    const Vec a = view_.to_mm(band_.topLeft()), b = view_.to_mm(band_.bottomRight());
    selectCaught({a, {b.x, a.y}, b, {a.x, b.y}}, event->modifiers() & Qt::ControlModifier);
    update();
  } else if (!moved_) {
    // A click on a piece that was selected already picks the single line under it.
    const auto found = hit(press_);
    const auto& selection = session_.selection();
    const bool again = found && !found->line.empty() && drag == Drag::move && !press_bounds_.empty() &&
                       selection.size() == 1 && selection.front() == LineRef{found->piece, ""} &&
                       press_bounds_ == frame();
    // On a line whose nodes show: a double click may follow, and works on them.
    if (found && selection.size() == 1 && *found == selection.front() && !nodes().empty()) return;
    if (again && !(event->modifiers() & Qt::ControlModifier)) {
      session_.select({*found});
    } else {
      clickAt(press_, event->modifiers());
    }
  }
}

void Bench::mouseDoubleClickEvent(QMouseEvent* event) {
  if (sketch_.active()) {
    sketch_.doubleClick();
    drag_ = Drag::picked;
    return update();
  }
  if (const auto handle = handleAt(event->position()); handle && handle->does == Handle::Does::middle) {
    middle_.reset();
    middle_shows_ = true;
    drag_ = Drag::picked;
    return update();
  }
  if (workNode(event->position())) {
    drag_ = Drag::picked;
    return;
  }
  // Inside a group a double click means the single piece, on that piece the single line.
  const auto found = hit(event->position());
  const Piece* piece = found ? find_piece(session_.project(), found->piece) : nullptr;
  if (piece && piece->source.kind == "lettering" && !record_ && scrub_ < 0) {
    session_.select({{found->piece, ""}});
    typing_.begin(found->piece, view_.to_mm(event->position()));
    drag_ = Drag::mark;
    return;
  }
  // The release that follows is no click of its own, or it would pick the whole again.
  drag_ = Drag::picked;
  if (found && session_.selectedPieces().size() > 1) {
    session_.select({{found->piece, ""}});
  } else if (found && !found->line.empty()) {
    session_.select({*found});
  }
}

void Bench::sketch(Sketch::What what) {
  if (record_ || (showsMats() && what != Sketch::What::tape)) what = Sketch::What::none;
  if (picking_ != Picking::none) setPicking(Picking::none);
  typing_.end();
  sketch_.begin(what == sketch_.what() ? Sketch::What::none : what);
  snapping_.end(), snapping_.clear();
  setCursor(sketch_.active() ? Qt::CrossCursor : Qt::ArrowCursor);
  update();
}

void Bench::setTouching(bool on) {
  touching_ = on;
  update();
}

Vec Bench::sketchPlace(QPointF at, Qt::KeyboardModifiers keys) {
  Vec to = view_.to_mm(at);
  if (!sketch_.meets()) return to;
  const SnapScene* around = scene(keys);
  if (around) {
    Snapped met = around->point(to, reach());
    to = to + met.by;
    snapping_.met(std::move(met), Box{to.x, to.y, to.x, to.y});
  }
  return to;
}

void Bench::selectCaught(const std::vector<Vec>& loop, bool more) {
  auto take = [this, more](std::vector<LineRef> lines) {
    if (more) {
      const auto& old = session_.selection();
      lines.insert(lines.end(), old.begin(), old.end());
    }
    session_.select(std::move(lines));
  };
  constexpr std::size_t kAtOnce = 30'000;  // segments that are looked at without anybody waiting
  const Caught how = touching_ ? Caught::touched : Caught::enclosed;
  const Drawing drawing = reachable();
  if (drawing.segments() <= kAtOnce) return take(caught(drawing, loop, how));
  session_.aside([drawing, loop, how, take] { return [take, lines = caught(drawing, loop, how)] { take(lines); }; }, 1);
}

void Bench::sketched(Sketch::What what, const std::vector<Vec>& places, bool closed) {
  using What = Sketch::What;
  if (what == What::loop) return selectCaught(places, false);
  const auto chosen = session_.selectedPieces();
  if (what == What::erase || what == What::split) {
    // What is selected, else everything in reach.
    std::vector<int> pieces = chosen;
    if (pieces.empty()) {
      const Drawing drawing = reachable();
      for (const auto& piece : drawing.pieces) pieces.push_back(piece->piece->id);
    }
    return session_.editDrawn(
        [pieces, places, erase = what == What::erase](const Project& p, const Drawing& d) {
          return erase ? erase_within(p, d, pieces, places) : split_along(p, d, pieces, places);
        },
        what == What::erase ? tr("Erase") : tr("Cut in two"));
  }
  const Drawn how = what == What::straight   ? Drawn::straight
                    : what == What::polyline ? Drawn::polyline
                    : what == What::freehand ? Drawn::freehand
                                             : Drawn::fold;
  const Drawing drawing = reachable();
  const auto under = piecesAt(view_.to_px(lerp(places.front(), places.back(), 0.5)));
  // What is cut there is what it is drawn on, the top layer first.
  int over = under.empty() ? 0 : under.back();
  for (auto it = under.rbegin(); it != under.rend(); ++it) {
    const auto& lines = find_drawn(drawing, *it)->piece->lines;
    if (std::any_of(lines.begin(), lines.end(), [](const Line& line) { return line.role == Role::cut; })) over = *it;
  }
  std::vector<Contour> contours;
  if (how == Drawn::fold) {
    contours = fold_across(find_drawn(drawing, over), places.front(), places.back());
  } else if (auto contour = drawn_contour(places, how, closed)) {
    contours.push_back(std::move(*contour));
  }
  if (contours.empty()) return;
  int id = 0;
  const QString name = how == Drawn::fold ? tr("Fold") : tr("Line");
  session_.commit(add_drawn(session_.project(), contours, how, over, name.toStdString(), &id),
                  how == Drawn::fold ? tr("Draw a fold") : tr("Draw a line"));
  session_.select({{id, ""}});
}

void Bench::nudge(double dx, double dy) {
  const auto pieces = session_.selectedPieces();
  if (pieces.empty() || record_ || showsMats()) return;
  if (!std::all_of(pieces.begin(), pieces.end(), [this](int id) { return inReach(id); })) return;
  const auto& chosen = session_.selection();
  session_.commit(can_move_lines(session_.project(), chosen) ? move_lines(session_.project(), chosen, {dx, dy})
                                                             : move_pieces(session_.project(), pieces, {dx, dy}),
                  tr("Nudge"), "nudge");
}

bool Bench::event(QEvent* event) {
  // While typing, keys that other actions have for shortcuts are letters first.
  if (event->type() == QEvent::ShortcutOverride) {
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool letter = typing_.active() && Typing::wants(key);
    const bool of_node = node_ && (key->key() == Qt::Key_Delete || key->key() == Qt::Key_Backspace);
    if (letter || of_node) {
      event->accept();
      return true;
    }
  }
  return QWidget::event(event);
}

void Bench::inputMethodEvent(QInputMethodEvent* event) { typing_.compose(event); }

QVariant Bench::inputMethodQuery(Qt::InputMethodQuery query) const {
  const QVariant known = typing_.ask(query, view_);
  return known.isValid() ? known : QWidget::inputMethodQuery(query);
}

void Bench::keyPressEvent(QKeyEvent* event) {
  if (typing_.key(event)) return;
  const bool alone = event->modifiers() == Qt::NoModifier && !event->isAutoRepeat();
  if (sketch_.key(*event)) {
    if (!sketch_.active()) sketch(Sketch::What::none);
    return update();
  }
  if (node_ && (event->key() == Qt::Key_Delete || event->key() == Qt::Key_Backspace)) {
    const NodeRef node = *std::exchange(node_, std::nullopt);
    return session_.commit(remove_node(session_.project(), node), tr("Take a node out"));
  }
  if (event->key() == Qt::Key_T && alone && (drag_ == Drag::band || sketch_.what() == Sketch::What::loop))
    return setTouching(!touching_);
  // Where the system repeats a held key as presses and releases of their own, a release counts only if no press
  // follows.
  if ((event->key() == Qt::Key_M || event->key() == Qt::Key_U) && let_up_.isActive()) return let_up_.stop();
  if (event->key() == Qt::Key_M && event->modifiers() == Qt::NoModifier) {
    if (alone && !sketch_.active()) tape_held_ = true, sketch(Sketch::What::tape);
    return;
  }
  if (event->key() != Qt::Key_U || event->modifiers() != Qt::NoModifier) return Table::keyPressEvent(event);
  if (event->isAutoRepeat() || showsMats()) return;
  const auto there = piecesAt(pointer_);
  lookUnder(there.empty() ? 0 : there.front());
}

void Bench::keyReleaseEvent(QKeyEvent* event) {
  if ((event->key() == Qt::Key_U || event->key() == Qt::Key_M) && !event->isAutoRepeat()) let_up_.start();
  Table::keyReleaseEvent(event);
}

void Bench::letUp() {
  let_up_.stop();
  lookUnder(0);
  if (std::exchange(tape_held_, false)) sketch(Sketch::What::none);
}

void Bench::focusOutEvent(QFocusEvent* event) {
  letUp();
  Table::focusOutEvent(event);
}

void Bench::escape() {
  if (picking_ != Picking::none) {
    setPicking(Picking::none);
  } else {
    session_.select({});
  }
}

}  // namespace dotlane
