#include "core/shape/step_handles.hpp"

#include <algorithm>

#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

/// The last step that is on, with what it came to.
struct LastStep {
  const Step* step = nullptr;
  const StepOutcome* outcome = nullptr;
  Box before;  // what it worked on
  Affine map;  // to the figure
};

const Step* last_on(const Piece& piece) {
  const auto last = std::find_if(piece.steps.rbegin(), piece.steps.rend(), [](const Step& s) { return s.on; });
  return last == piece.steps.rend() ? nullptr : &*last;
}

const Step* step_by_id(const Piece& piece, int id) {
  const auto step = std::find_if(piece.steps.begin(), piece.steps.end(), [id](const Step& s) { return s.id == id; });
  return step == piece.steps.end() ? nullptr : &*step;
}

std::optional<LastStep> last_step(const Project& project, const Drawing& drawing, int id) {
  const Piece* piece = find_piece(project, id);
  const DrawnPiece* drawn = find_drawn(drawing, id);
  if (!piece || !drawn || drawn->stale) return std::nullopt;
  const Step* last = last_on(*piece);
  if (!last || drawn->outcomes.size() < 2 || drawn->outcomes.back().step != last->id) return std::nullopt;
  return LastStep{last, &drawn->outcomes.back(), drawn->outcomes[drawn->outcomes.size() - 2].bounds, drawn->map};
}

/// From the figure to shares of the box that the step worked on.
Affine share_of(const LastStep& last) {
  const Box& b = last.before;
  if (b.width() <= 0 || b.height() <= 0) return {};
  return Affine::scale(1 / b.width(), 1 / b.height()) * Affine::move(-b.x0, -b.y0) * last.map.inverse();
}

std::vector<double> places(const Step& step, const char* key) {
  return Reading(*find_kind(step_kinds(), step.kind), step.values).list(key);
}

Project with_places(Project project, int piece, int step, const char* key, std::vector<double> list) {
  auto changed = set_step_value(project, piece, step, key, std::move(list));
  return changed ? std::move(*changed) : project;
}

/// A handle on every bridge.
std::vector<StepHandle> bridge_handles(const LastStep& last, int piece) {
  std::vector<StepHandle> out;
  const Affine share = share_of(last);
  const auto& bridges = last.outcome->bridged->bridges;
  const std::size_t set = places(*last.step, "set").size() / 2;
  for (std::size_t i = 0; i < bridges.size(); ++i) {
    StepHandle handle;
    handle.what = StepHandle::What::bridge;
    handle.piece = piece, handle.step = last.step->id;
    handle.at = last.map(bridges[i].at);
    handle.bridge = i, handle.share = share;
    handle.set = bridges[i].set, handle.set_as = bridges[i].set.value_or(set);
    out.push_back(handle);
  }
  return out;
}

/// How far fabric's edge and its stitch line are from the shape's own edge: handles beside its rightmost place.
std::vector<StepHandle> fabric_handles(const LastStep& last, const DrawnPiece& drawn) {
  std::vector<StepHandle> out;
  // The rightmost place of what is cut, which lies as far out as the allowance.
  std::optional<Vec> cut;
  for (std::size_t i = 0; i < drawn.piece->lines.size(); ++i) {
    if (drawn.piece->lines[i].role != Role::cut) continue;
    const Affine at = drawn.flat->lines[i].at;
    for (const auto& polyline : *drawn.flat->lines[i].polylines) {
      for (const Vec p : polyline.points) {
        if (const Vec q = at(p); !cut || q.x > cut->x) cut = q;
      }
    }
  }
  if (!cut) return out;
  const Reading take(*find_kind(step_kinds(), "applique"), last.step->values);
  const bool reverse = take.is("edge", "reverse"), hem = reverse || take.is("edge", "turned");
  const double outward = reverse ? -1 : 1, allowance = hem ? take.number("allowance") : 0;
  const auto add = [&](StepHandle::What what, double value, double way) {
    // From the edge that is seen.
    const Vec edge = *cut - Vec{outward * allowance, 0};
    StepHandle handle;
    handle.what = what, handle.piece = drawn.piece->id, handle.step = last.step->id;
    handle.at = last.map(edge + Vec{way * value, 0});
    handle.origin = last.map(edge), handle.unit = last.map(edge + Vec{way, 0}) - handle.origin;
    out.push_back(handle);
  };
  if (hem) add(StepHandle::What::allowance, allowance, outward);
  if (take.number("stitch") > 0) add(StepHandle::What::stitch, take.number("stitch"), -outward);
  if (const auto& under = last.outcome->underlap) {
    StepHandle handle;
    handle.what = StepHandle::What::underlap, handle.piece = drawn.piece->id, handle.step = last.step->id;
    handle.at = last.map(under->cut), handle.origin = last.map(under->seen);
    handle.unit = (handle.at - handle.origin) * (1 / distance(under->seen, under->cut));
    out.push_back(handle);
  }
  return out;
}

}  // namespace

std::vector<StepHandle> step_handles(const Project& project, const Drawing& drawing, int id) {
  const auto last = last_step(project, drawing, id);
  if (!last) return {};
  if (last->outcome->bridged) return bridge_handles(*last, id);
  if (last->step->kind == "applique") return fabric_handles(*last, *find_drawn(drawing, id));
  if (!last->outcome->repeated) return {};
  const Repeated& made = *last->outcome->repeated;
  const Reading take(*find_kind(step_kinds(), "repeat"), last->step->values);
  const Vec middle = last->before.centre(), size{last->before.width(), last->before.height()};
  std::vector<StepHandle> out;
  using What = StepHandle::What;
  const auto add = [&](What what, Vec at, Vec origin, Vec unit, double pitch) {
    const Vec from = last->map(origin), along = last->map(origin + unit) - from;
    out.push_back({what, id, last->step->id, last->map(at), from, along, pitch, 0, {}, 0, {}});
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
  if (!last || !last->outcome->repeated || last->outcome->repeated->room.empty()) return {};
  const Box& b = last->outcome->repeated->room;
  return {last->map({b.x0, b.y0}), last->map({b.x1, b.y0}), last->map({b.x1, b.y1}), last->map({b.x0, b.y1})};
}

Project drag_handle(Project project, const StepHandle& handle, Vec to) {
  const Piece* piece = find_piece(project, handle.piece);
  if (!piece) return project;
  const Step* step = step_by_id(*piece, handle.step);
  if (!step) return project;
  if (handle.what == StepHandle::What::bridge) {
    auto set = places(*step, "set");
    const Vec share = handle.share(to);
    if (handle.set && 2 * *handle.set + 1 < set.size()) {
      set[2 * *handle.set] = share.x, set[2 * *handle.set + 1] = share.y;
    } else {
      set.insert(set.end(), {share.x, share.y});
    }
    return with_places(std::move(project), handle.piece, handle.step, "set", std::move(set));
  }
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
    case StepHandle::What::allowance:
      key = "allowance", next = std::clamp(value, 0.1, 100.0);
      break;
    case StepHandle::What::stitch:
      key = "stitch", next = std::clamp(value, 0.1, 100.0);
      break;
    case StepHandle::What::underlap:
      key = "underlap", next = std::clamp(value, 0.1, 100.0);
      break;
    case StepHandle::What::bridge:
      return project;
  }
  auto changed = set_step_value(project, handle.piece, handle.step, key, rounded(next));
  return changed ? std::move(*changed) : project;
}

Project click_handle(Project project, const StepHandle& handle) {
  if (handle.what != StepHandle::What::bridge) return project;
  if (!handle.set) return drag_handle(std::move(project), handle, handle.at);
  const Piece* piece = find_piece(project, handle.piece);
  const Step* step = piece ? step_by_id(*piece, handle.step) : nullptr;
  if (!step) return project;
  auto set = places(*step, "set");
  const auto at = static_cast<std::ptrdiff_t>(2 * *handle.set);
  if (at + 2 > static_cast<std::ptrdiff_t>(set.size())) return project;
  set.erase(set.begin() + at, set.begin() + at + 2);
  return with_places(std::move(project), handle.piece, handle.step, "set", std::move(set));
}

bool has_bridges(const Project& project, int id) {
  const Piece* piece = find_piece(project, id);
  const Step* last = piece ? last_on(*piece) : nullptr;
  return last && last->kind == "bridge";
}

Project pick_bridge(Project project, const Drawing& drawing, int id, Vec at, double reach) {
  const auto last = last_step(project, drawing, id);
  if (!last || !last->outcome->bridged) return project;
  const int step = last->step->id;
  const Affine share = share_of(*last);
  auto set = places(*last->step, "set"), none = places(*last->step, "none");
  // Places within reach of this one.
  const auto forget = [&](std::vector<double>& list) {
    const std::size_t before = list.size();
    for (std::size_t i = 0; i + 1 < list.size();) {
      const auto k = static_cast<std::ptrdiff_t>(i);
      if (distance(share.inverse()({list[i], list[i + 1]}), at) <= reach)
        list.erase(list.begin() + k, list.begin() + k + 2);
      else
        i += 2;
    }
    return list.size() != before;
  };
  if (!forget(none)) {
    const StepHandle* hit = nullptr;
    const auto handles = bridge_handles(*last, id);
    for (const auto& handle : handles) {
      if (distance(handle.at, at) <= reach && (!hit || distance(handle.at, at) < distance(hit->at, at))) hit = &handle;
    }
    const Vec place = share(hit ? hit->at : at);
    if (!hit) {
      set.insert(set.end(), {place.x, place.y});
    } else if (hit->set && 2 * *hit->set + 1 < set.size()) {
      const auto k = static_cast<std::ptrdiff_t>(2 * *hit->set);
      set.erase(set.begin() + k, set.begin() + k + 2);
    } else {
      none.insert(none.end(), {place.x, place.y});
    }
  }
  project = with_places(std::move(project), id, step, "set", std::move(set));
  return with_places(std::move(project), id, step, "none", std::move(none));
}

Project room_on_sheet(Project project, const Drawing& drawing, int id) {
  const Piece* piece = find_piece(project, id);
  const auto last = last_step(project, drawing, id);
  if (!piece || !last || !last->outcome->repeated) return project;
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
