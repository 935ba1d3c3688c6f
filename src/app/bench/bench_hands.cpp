// The bench's hands: what mouse and keys do to what is on it.
#include <QMouseEvent>
#include <numbers>

#include "app/bench/bench.hpp"
#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

constexpr double kReachPx = 6;  // how near a click must be to a line

}  // namespace

std::optional<LineRef> Bench::hit(QPointF at) const {
  const Drawing shown = this->shown();
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
  for (const int id : with_group(session_.project(), {piece})) all.push_back({id, ""});
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
  const auto pieces = session_.selectedPieces();
  const bool can =
      !record_ && pieces.size() == 1 && (what != Picking::bridges || has_bridges(session_.project(), pieces.front()));
  picking_ = can ? what : Picking::none;
  setCursor(picking_ != Picking::none ? Qt::CrossCursor : Qt::ArrowCursor);
  update();
}

Box Bench::frame() const { return wanted_ ? *wanted_ : bounds_of(space(), session_.selection()); }

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
         picking_ == Picking::none &&
         std::all_of(selection.begin(), selection.end(), [](const LineRef& ref) { return ref.line.empty(); });
}

std::optional<Handle> Bench::handleAt(QPointF at) const {
  if (!hasHandles()) return std::nullopt;
  const Box box = frame();
  return box.empty() ? std::nullopt : handle_at(view_.to_px(box), at);
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
  session_.seal();
  ++drag_count_;
}

std::string Bench::dragKey(const char* what) const { return what + std::to_string(drag_count_); }

/// Sizes what is selected so that the handle lies under the pointer.
void Bench::dragSize(QPointF at) {
  const auto pieces = session_.selectedPieces();
  const Vec to = view_.to_mm(at), anchor = handle_.anchor;
  const Box& was = press_bounds_;
  const Vec fixed{was.x0 + anchor.x * was.width(), was.y0 + anchor.y * was.height()};
  Sizing sizing;
  sizing.anchor = anchor;
  sizing.scale_steps = session_.scalesSteps();
  double sx = 1, sy = 1;
  constexpr double kLeast = 0.5;  // mm
  if (handle_.across && was.width() > 0) sx = std::max(kLeast, std::abs(to.x - fixed.x)) / was.width();
  if (handle_.along && was.height() > 0) sy = std::max(kLeast, std::abs(to.y - fixed.y)) / was.height();
  if (keeps_proportions(session_.project(), pieces)) {
    // The larger of the two pulls decides, inward as outward.
    const bool by_width = handle_.across && (!handle_.along || std::abs(sx - 1) > std::abs(sy - 1));
    (by_width ? sizing.width_mm : sizing.height_mm) = by_width ? sx * was.width() : sy * was.height();
    sx = sy = by_width ? sx : sy;
  } else {
    if (handle_.across) sizing.width_mm = sx * was.width();
    if (handle_.along) sizing.height_mm = sy * was.height();
  }
  wanted_ = Box{fixed.x + (was.x0 - fixed.x) * sx, fixed.y + (was.y0 - fixed.y) * sy, fixed.x + (was.x1 - fixed.x) * sx,
                fixed.y + (was.y1 - fixed.y) * sy};
  session_.size(pieces, sizing, dragKey("size-"));
  update();
}

/// Turns what is selected about the middle it had, by as much as the pointer went around it.
void Bench::dragTurn(QPointF at, bool even) {
  const Vec middle = press_bounds_.centre();
  auto degrees_at = [&](QPointF px) {
    const Vec v = view_.to_mm(px) - middle;
    return -std::atan2(v.y, v.x) * 180 / std::numbers::pi;
  };
  turned_ = std::remainder(degrees_at(at) - degrees_at(press_), 360.0);
  if (even) turned_ = std::round(turned_ / 15) * 15;
  const Affine map = Affine::move(middle.x, middle.y) * Affine::rotate(-turned_) * Affine::move(-middle.x, -middle.y);
  session_.edit([pieces = session_.selectedPieces(), map](const Project& project,
                                                          Effort) { return place_pieces(project, pieces, map); },
                tr("Turn"), dragKey("turn-"));
  update();
}

void Bench::mousePressEvent(QMouseEvent* event) {
  if (pressed(event) || event->button() != Qt::LeftButton) return;
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
  if (const auto handle = handleAt(press_)) {
    handle_ = *handle;
    return beginDrag(handle->turns ? Drag::turn : Drag::size);
  }
  if (event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) {
    drag_ = Drag::band;
    return;
  }
  press_bounds_ = frame();
  const auto found = hit(press_);
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

void Bench::mouseMoveEvent(QMouseEvent* event) {
  const QPointF at = event->position();
  if (dragged(event, drag_ != Drag::none)) return;
  if (drag_ == Drag::none) {
    const auto handle = handleAt(at);
    const auto step = stepHandleAt(at);
    const Qt::CursorShape shape = picking_ != Picking::none ? Qt::CrossCursor
                                  : step                    ? Qt::PointingHandCursor
                                  : handle                  ? handle->cursor
                                                            : Qt::ArrowCursor;
    if (cursor().shape() != shape) setCursor(shape);
    const bool bridge = step && step->what == StepHandle::What::bridge && picking_ == Picking::none;
    setToolTip(!bridge     ? QString()
               : step->set ? step_text(session_.drawing(), *step, session_.project().unit) +
                                 tr(", set by hand. Drag it; a click lets it go.")
                           : step_text(session_.drawing(), *step, session_.project().unit) +
                                 tr(". Drag it along, or click to set it here."));
    return;
  }
  switch (drag_) {
    case Drag::move: {
      if (record_) break;
      const Vec by{(at.x() - press_.x()) / view_.px_per_mm, (at.y() - press_.y()) / view_.px_per_mm};
      session_.edit(
          [lines = moved_lines_, pieces = session_.selectedPieces(), by](const Project& project, Effort) {
            return lines.empty() ? move_pieces(project, pieces, by) : move_lines(project, lines, by);
          },
          tr("Move"), dragKey("move-"));
      break;
    }
    case Drag::size:
      dragSize(at);
      break;
    case Drag::turn:
      dragTurn(at, event->modifiers() & Qt::ShiftModifier);
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
  if (event->button() != Qt::LeftButton || drag == Drag::mark || drag == Drag::picked) return;
  // An edit under way still belongs to this drag; the next drag has a key of its own.
  if (drag == Drag::size || drag == Drag::turn || drag == Drag::step) {
    dropWanted();
    update();
    if (moved_) return;
    if (drag == Drag::step && step_handle_.what == StepHandle::What::bridge) {
      session_.edit([handle = step_handle_](const Project& project, Effort) { return click_handle(project, handle); },
                    step_handle_.set ? tr("Let a bridge go") : tr("Set a bridge"));
      return;
    }
  }
  if (drag == Drag::band && moved_) {
    const Vec a = view_.to_mm(band_.topLeft()), b = view_.to_mm(band_.bottomRight());
    auto lines = lines_inside(space(), {a.x, a.y, b.x, b.y});
    if (event->modifiers() & Qt::ControlModifier) {
      const auto& old = session_.selection();
      lines.insert(lines.end(), old.begin(), old.end());
    }
    session_.select(std::move(lines));
    update();
  } else if (!moved_) {
    // A click on a piece that was selected already picks the single line under it.
    const auto found = hit(press_);
    const auto& selection = session_.selection();
    const bool again = found && !found->line.empty() && drag == Drag::move && !press_bounds_.empty() &&
                       selection.size() == 1 && selection.front() == LineRef{found->piece, ""} &&
                       press_bounds_ == frame();
    if (again && !(event->modifiers() & Qt::ControlModifier)) {
      session_.select({*found});
    } else {
      clickAt(press_, event->modifiers());
    }
  }
}

void Bench::mouseDoubleClickEvent(QMouseEvent* event) {
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
  const auto& chosen = session_.selection();
  session_.commit(can_move_lines(session_.project(), chosen) ? move_lines(session_.project(), chosen, {dx, dy})
                                                             : move_pieces(session_.project(), pieces, {dx, dy}),
                  tr("Nudge"), "nudge");
}

bool Bench::event(QEvent* event) {
  // While typing, keys that other actions have for shortcuts are letters first.
  if (event->type() == QEvent::ShortcutOverride && typing_.active() && Typing::wants(static_cast<QKeyEvent*>(event))) {
    event->accept();
    return true;
  }
  return QWidget::event(event);
}

void Bench::inputMethodEvent(QInputMethodEvent* event) { typing_.compose(event); }

QVariant Bench::inputMethodQuery(Qt::InputMethodQuery query) const {
  const QVariant known = typing_.ask(query, view_);
  return known.isValid() ? known : QWidget::inputMethodQuery(query);
}

void Bench::keyPressEvent(QKeyEvent* event) {
  if (!typing_.key(event)) Table::keyPressEvent(event);
}

void Bench::escape() {
  if (picking_ != Picking::none) {
    setPicking(Picking::none);
  } else {
    session_.select({});
  }
}

}  // namespace dotlane
