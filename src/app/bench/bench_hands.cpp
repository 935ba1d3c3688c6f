// The bench's hands: what mouse and keys do to what is on it.
#include <QMouseEvent>

#include "app/bench/bench.hpp"
#include "app/bench/overlay.hpp"
#include "core/place/axes.hpp"
#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

constexpr double kReachPx = 6;  // how near a click must be to a line

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

void Bench::pickPlace(QPointF at) {
  const auto pieces = session_.selectedPieces();
  if (record_ || pieces.size() != 1) return;
  session_.editDrawn(
      [piece = pieces.front(), place = view_.to_mm(at), reach = (kStepHandlePx + 2) / view_.px_per_mm](
          const Project& project, const Drawing& drawing) { return pick_place(project, drawing, piece, place, reach); },
      placed_by_last(session_.project(), pieces.front()) == Placed::seams ? tr("Set or take away a seam")
                                                                          : tr("Set or take away a bridge"));
}

void Bench::setPicking(Picking what) {
  if (what == Picking::erase || what == Picking::split)
    return sketch(what == Picking::erase ? Sketch::What::erase : Sketch::What::split);
  if (what != Picking::none) sketch_.end();
  const auto pieces = session_.selectedPieces();
  const bool can = !record_ && pieces.size() == 1 &&
                   (what != Picking::places || placed_by_last(session_.project(), pieces.front()) != Placed::nothing);
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
  const auto& pieces = session_.selectedPieces();
  if (pieces.size() != 1 || (!hasHandles() && picking_ != Picking::places)) return {};
  auto handles = step_handles(session_.project(), session_.drawing(), pieces.front());
  // Of a seam too short to tell its handles apart, the middle one.
  constexpr double kShortSeamPx = 36;
  std::erase_if(handles, [this](const StepHandle& h) {
    return h.what == StepHandle::What::seam_end && distance(h.a, h.b) * view_.px_per_mm < kShortSeamPx;
  });
  return handles;
}

std::optional<StepHandle> Bench::stepHandleAt(QPointF at) const {
  for (const auto& handle : stepHandles()) {
    const QPointF off = at - view_.to_px(handle.at);
    if (std::hypot(off.x(), off.y()) <= kStepHandlePx + 2) return handle;
  }
  return std::nullopt;
}

void Bench::mousePressEvent(QMouseEvent* event) {
  pointer_ = event->position();
  if (pressed(event) || event->button() != Qt::LeftButton) return;
  if (sketch_.active()) {
    drag_ = Drag::sketch;
    sketch_.press(sketchPlace(press_, event->modifiers()), view_.px_per_mm);
    return update();
  }
  if (picking_ == Picking::places) {
    drag_ = Drag::picked;
    return pickPlace(press_);
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
  const bool told = step && picking_ == Picking::none &&
                    (step->what == StepHandle::What::bridge || step->what == StepHandle::What::seam ||
                     step->what == StepHandle::What::seam_end);
  if (!told) return setToolTip(handle ? handle_text(*handle) : QString());
  const QString what = step->what == StepHandle::What::seam_end ? tr(". Drag to turn it about its other end.")
                       : step->what == StepHandle::What::seam
                           ? (step->set ? tr(", pinned. Drag it; a click lets it go.")
                                        : tr(". Drag it, or click to pin it: it then stays when divided anew."))
                       : step->set ? tr(", set by hand. Drag it; a click lets it go.")
                                   : tr(". Drag it along, or click to set it here.");
  setToolTip(step_text(session_.drawing(), *step, session_.project().unit) + what);
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
  update();  // handles are there again
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
    const bool seam = step_handle_.what == StepHandle::What::seam;
    if (drag == Drag::step && (seam || step_handle_.what == StepHandle::What::bridge)) {
      session_.edit([handle = step_handle_](const Project& project, Effort) { return click_handle(project, handle); },
                    seam               ? (step_handle_.set ? tr("Let a seam go") : tr("Pin a seam"))
                    : step_handle_.set ? tr("Let a bridge go")
                                       : tr("Set a bridge"));
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
