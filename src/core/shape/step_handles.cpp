#include "core/shape/step_handles.hpp"

#include <algorithm>

#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

/// The last step that is on, with what it came to.
struct LastStep {
  const Step* step = nullptr;
  const Repeated* repeated = nullptr;
  Box before;  // the motif
  Affine map;  // to the figure
};

std::optional<LastStep> last_step(const Project& project, const Drawing& drawing, int id) {
  const Piece* piece = find_piece(project, id);
  const DrawnPiece* drawn = find_drawn(drawing, id);
  if (!piece || !drawn || drawn->stale) return std::nullopt;
  const auto last = std::find_if(piece->steps.rbegin(), piece->steps.rend(), [](const Step& s) { return s.on; });
  if (last == piece->steps.rend() || last->kind != "repeat" || drawn->outcomes.size() < 2) return std::nullopt;
  const StepOutcome& outcome = drawn->outcomes.back();
  if (outcome.step != last->id || !outcome.repeated) return std::nullopt;
  return LastStep{&*last, outcome.repeated.get(), drawn->outcomes[drawn->outcomes.size() - 2].bounds, drawn->map};
}

}  // namespace

std::vector<StepHandle> step_handles(const Project& project, const Drawing& drawing, int id) {
  const auto last = last_step(project, drawing, id);
  if (!last) return {};
  const Repeated& made = *last->repeated;
  const Reading take(*find_kind(step_kinds(), "repeat"), last->step->values);
  const Vec middle = last->before.centre(), size{last->before.width(), last->before.height()};
  std::vector<StepHandle> out;
  using What = StepHandle::What;
  const auto add = [&](What what, Vec at, Vec origin, Vec unit, double pitch) {
    const Vec from = last->map(origin), along = last->map(origin + unit) - from;
    out.push_back({what, id, last->step->id, last->map(at), from, along, pitch});
  };
  if (take.is("way", "path")) return out;
  if (take.is("way", "around")) {
    if (!take.is("ring", "shapes")) add(What::radius, middle + Vec{0, made.radius_mm}, middle, {0, 1}, 0);
    return out;
  }
  if (take.is("each", "p6") && !take.is("way", "row")) return out;
  if (!made.room.empty()) {
    const Box& room = made.room;
    // Beside the middles of the edges, where those are that size the whole.
    add(What::wide, {room.x1, middle.y + room.height() / 4}, middle, {1, 0}, 0);
    add(What::high, {middle.x + room.width() / 4, room.y1}, middle, {0, 1}, 0);
    return out;
  }
  if (made.columns > 1) add(What::pitch, middle + Vec{made.pitch_mm, 0}, middle, {1, 0}, made.pitch_mm);
  const double across = made.columns > 1 ? made.pitch_mm : size.x + 2,
               down = made.rows > 1 ? made.pitch_down_mm : size.y + 2;
  // Where the next one would be.
  add(What::across, middle + Vec{made.columns * across, 0}, middle, {1, 0}, across);
  if (take.is("way", "row")) return out;
  const bool own_rows = take.is("by", "count-pitch") && (take.is("way", "grid") || take.is("way", "brick"));
  if (own_rows && made.rows > 1)
    add(What::pitch_down, middle + Vec{0, made.pitch_down_mm}, middle, {0, 1}, made.pitch_down_mm);
  add(What::down, middle + Vec{0, made.rows * down}, middle, {0, 1}, down);
  return out;
}

std::vector<Vec> step_room(const Project& project, const Drawing& drawing, int id) {
  const auto last = last_step(project, drawing, id);
  if (!last || last->repeated->room.empty()) return {};
  const Box& b = last->repeated->room;
  return {last->map({b.x0, b.y0}), last->map({b.x1, b.y0}), last->map({b.x1, b.y1}), last->map({b.x0, b.y1})};
}

Project drag_handle(Project project, const StepHandle& handle, Vec to) {
  const Piece* piece = find_piece(project, handle.piece);
  if (!piece) return project;
  const auto step =
      std::find_if(piece->steps.begin(), piece->steps.end(), [&](const Step& s) { return s.id == handle.step; });
  if (step == piece->steps.end()) return project;
  const Reading take(*find_kind(step_kinds(), step->kind), step->values);
  const double value = dot(to - handle.origin, handle.unit);
  const auto rounded = [](double v) { return std::round(v * 100) / 100; };  // no more digits than a hand can mean
  const auto number = [&](double pitch) { return std::clamp(std::round(value / pitch), 1.0, 200.0); };
  std::string key;
  double next = 0;
  switch (handle.what) {
    case StepHandle::What::pitch:
      if (take.is("by", "count-pitch")) {
        key = "pitch", next = std::clamp(value, 0.1, 5000.0);
      } else {  // the gap grows as the pitch does
        const double least = take.is("by", "count-shapes") ? 0 : -500;
        key = "gap", next = std::clamp(take.number("gap") + value - handle.pitch, least, 500.0);
      }
      break;
    case StepHandle::What::pitch_down:
      key = "pitch-down", next = std::clamp(value, 0.1, 5000.0);
      break;
    case StepHandle::What::across:
      key = "count", next = number(handle.pitch);
      break;
    case StepHandle::What::down:
      key = "rows", next = number(handle.pitch);
      break;
    case StepHandle::What::wide:
    case StepHandle::What::high:
      // The room lies around the motif's middle.
      key = handle.what == StepHandle::What::wide ? "wide" : "high", next = std::clamp(2 * value, 0.1, 5000.0);
      break;
    case StepHandle::What::radius:
      key = "radius", next = std::clamp(value, 0.0, 2000.0);
      break;
  }
  auto changed = set_step_value(project, handle.piece, handle.step, key, rounded(next));
  return changed ? std::move(*changed) : project;
}

Project room_on_sheet(Project project, const Drawing& drawing, int id) {
  const Piece* piece = find_piece(project, id);
  const auto last = last_step(project, drawing, id);
  if (!piece || !last) return project;
  const KindSpec& kind = *find_kind(step_kinds(), "repeat");
  const Reading take(kind, last->step->values);
  if (!applies(*kind.find("wide"), take) || take.number("wide") > 0 || take.number("high") > 0) return project;
  const Sheet* sheet = first_sheet(project, piece->stock);
  if (!sheet) return project;
  const Box seen = sheet->seen(), mat = project.machine.usable_area();
  // What tools reach of the sheet, in the figure that is seen through it.
  const Vec shift{seen.x0 - sheet->area.x0, seen.y0 - sheet->area.y0};
  const Box reach{std::max(seen.x0, mat.x0 + shift.x), std::max(seen.y0, mat.y0 + shift.y),
                  std::min(seen.x1, mat.x1 + shift.x), std::min(seen.y1, mat.y1 + shift.y)};
  const Vec by = reach.centre() - last->map(last->before.centre());  // the room lies around the motif's middle
  return move_pieces(std::move(project), {id}, by);
}

}  // namespace dotlane
