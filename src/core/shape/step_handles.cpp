#include "core/shape/step_handles.hpp"

#include <algorithm>

#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/applique.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/seams.hpp"
#include "core/shape/steps.hpp"

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
    handle.made = i, handle.share = share;
    handle.set = bridges[i].set, handle.set_as = bridges[i].set.value_or(set);
    out.push_back(handle);
  }
  return out;
}

/// Handles on the middle and the ends of every seam.
std::vector<StepHandle> seam_handles(const LastStep& last, int piece) {
  std::vector<StepHandle> out;
  const auto& runs = last.outcome->seamed->runs;
  for (std::size_t i = 0; i < runs.size(); ++i) {
    const Seam& seam = runs[i].seam;
    const auto add = [&](int end, Vec at, Vec a, Vec b) {
      StepHandle handle;
      handle.what = end == 0 ? StepHandle::What::seam : StepHandle::What::seam_end, handle.end = end;
      handle.piece = piece, handle.step = last.step->id;
      handle.at = last.map(at), handle.a = last.map(a), handle.b = last.map(b);
      handle.made = i, handle.set_as = runs[i].index, handle.share = share_of(last);
      if (runs[i].pinned) handle.set = runs[i].index;
      out.push_back(handle);
    };
    add(0, seam.middle(), seam.a, seam.b);
    add(1, seam.a, seam.a, seam.b);
    add(2, seam.b, seam.b, seam.a);
  }
  return out;
}

/// The list of pinned middles without this one.
std::vector<double> without_pin(std::vector<double> pinned, double x, double y) {
  constexpr double kSame = 1e-9;
  for (std::size_t i = 0; i + 1 < pinned.size();) {
    const auto k = pinned.begin() + static_cast<std::ptrdiff_t>(i);
    if (std::abs(pinned[i] - x) < kSame && std::abs(pinned[i + 1] - y) < kSame)
      pinned.erase(k, k + 2);
    else
      i += 2;
  }
  return pinned;
}

/// The seam at this index of the step's list between these places, in shares; pinned or not.
Project with_seam_at(Project project, const Step& step, int piece, std::size_t index, Vec a, Vec b, bool pinned) {
  auto seams = places(step, "seams"), pins = places(step, "pinned");
  const std::size_t at = 4 * index;
  if (at + 4 > seams.size()) return project;
  pins = without_pin(std::move(pins), (seams[at] + seams[at + 2]) / 2, (seams[at + 1] + seams[at + 3]) / 2);
  seams[at] = a.x, seams[at + 1] = a.y, seams[at + 2] = b.x, seams[at + 3] = b.y;
  if (pinned) pins.insert(pins.end(), {(a.x + b.x) / 2, (a.y + b.y) / 2});
  const int id = step.id;
  project = with_places(std::move(project), piece, id, "seams", std::move(seams));
  return with_places(std::move(project), piece, id, "pinned", std::move(pins));
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
  if (last->outcome->seamed) return seam_handles(*last, id);
  if (last->step->kind == "applique") return fabric_handles(*last, *find_drawn(drawing, id));
  if (!last->outcome->repeated) return {};
  const Repeated& made = *last->outcome->repeated;
  const Reading take(*find_kind(step_kinds(), "repeat"), last->step->values);
  const Vec middle = last->before.centre(), size{last->before.width(), last->before.height()};
  std::vector<StepHandle> out;
  using What = StepHandle::What;
  const auto add = [&](What what, Vec at, Vec origin, Vec unit, double pitch) {
    const Vec from = last->map(origin), along = last->map(origin + unit) - from;
    StepHandle handle;
    handle.what = what, handle.piece = id, handle.step = last->step->id;
    handle.at = last->map(at), handle.origin = from, handle.unit = along, handle.pitch = pitch;
    out.push_back(handle);
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

std::vector<SeamStretch> seams_in(const Project& project, const Drawing& drawing) {
  std::vector<SeamStretch> out;
  for (const auto& drawn : drawing.pieces) {
    if (std::none_of(drawn->outcomes.begin(), drawn->outcomes.end(), [](const auto& o) { return o.seamed; })) continue;
    const Piece* piece = find_piece(project, drawn->piece->id);
    const Seamed* seamed = nullptr;
    for (const auto& outcome : drawn->outcomes) {
      const Step* step = piece ? step_by_id(*piece, outcome.step) : nullptr;
      if (step && only_places(step->kind)) seamed = nullptr;
      if (outcome.seamed) seamed = outcome.seamed.get();
    }
    if (!seamed) continue;
    for (const auto& run : seamed->runs) {
      std::vector<double> ends{0};  // hidden and seen in turn, from a on
      const double length = run.seam.length();
      for (const auto& h : run.hidden) {
        const double from = distance(run.seam.a, h.a), to = distance(run.seam.a, h.b);
        out.push_back({drawn->map(h.a), drawn->map(h.b), true});
        ends.push_back(std::min(from, to)), ends.push_back(std::max(from, to));
      }
      ends.push_back(length);
      std::sort(ends.begin(), ends.end());
      for (std::size_t k = 0; k + 1 < ends.size(); k += 2) {
        if (ends[k + 1] - ends[k] < kMeetingEnds) continue;
        out.push_back({drawn->map(lerp(run.seam.a, run.seam.b, ends[k] / length)),
                       drawn->map(lerp(run.seam.a, run.seam.b, ends[k + 1] / length)), false});
      }
    }
  }
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
  if (handle.what == StepHandle::What::seam || handle.what == StepHandle::What::seam_end) {
    const Vec by = to - handle.at;
    const bool whole = handle.what == StepHandle::What::seam;
    // The direction says which tile gives way: it stays.
    Vec a = handle.share(handle.a + by), b = handle.share(whole ? handle.b + by : handle.b);
    if (handle.end == 2) std::swap(a, b);
    return with_seam_at(std::move(project), *step, handle.piece, handle.set_as, a, b, true);
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
    case StepHandle::What::seam:
    case StepHandle::What::seam_end:
      return project;
  }
  auto changed = set_step_value(project, handle.piece, handle.step, key, rounded(next));
  return changed ? std::move(*changed) : project;
}

Project click_handle(Project project, const StepHandle& handle) {
  const Piece* piece = find_piece(project, handle.piece);
  const Step* step = piece ? step_by_id(*piece, handle.step) : nullptr;
  if (!step) return project;
  if (handle.what == StepHandle::What::seam) {
    // As it was asked for, not as it runs: so that pinning and letting go leaves no trace.
    const auto seams = places(*step, "seams");
    const std::size_t at = 4 * handle.set_as;
    if (at + 4 > seams.size()) return project;
    return with_seam_at(std::move(project), *step, handle.piece, handle.set_as, {seams[at], seams[at + 1]},
                        {seams[at + 2], seams[at + 3]}, !handle.set);
  }
  if (handle.what != StepHandle::What::bridge) return project;
  if (!handle.set) return drag_handle(std::move(project), handle, handle.at);
  auto set = places(*step, "set");
  const auto at = static_cast<std::ptrdiff_t>(2 * *handle.set);
  if (at + 2 > static_cast<std::ptrdiff_t>(set.size())) return project;
  set.erase(set.begin() + at, set.begin() + at + 2);
  return with_places(std::move(project), handle.piece, handle.step, "set", std::move(set));
}

Placed placed_by_last(const Project& project, int id) {
  const Piece* piece = find_piece(project, id);
  const Step* last = piece ? last_on(*piece) : nullptr;
  if (!last) return Placed::nothing;
  return last->kind == "bridge" ? Placed::bridges : last->kind == "seams" ? Placed::seams : Placed::nothing;
}

namespace {

Project pick_seam(Project project, const Drawing& drawing, const LastStep& last, int id, Vec at, double reach) {
  auto seams = places(*last.step, "seams"), pins = places(*last.step, "pinned");
  const int step = last.step->id;
  const Vec local = last.map.inverse()(at);
  // The nearest within reach goes.
  const Seamed::Run* hit = nullptr;
  double nearest = reach;
  if (last.outcome->seamed) {
    for (const auto& run : last.outcome->seamed->runs) {
      const double far = distance(last.map(nearest_on(run.seam.a, run.seam.b, local)), at);
      if (far <= nearest) hit = &run, nearest = far;
    }
  }
  const Affine share = share_of(last);
  if (hit && 4 * hit->index + 4 <= seams.size()) {
    const auto k = seams.begin() + static_cast<std::ptrdiff_t>(4 * hit->index);
    pins = without_pin(std::move(pins), (k[0] + k[2]) / 2, (k[1] + k[3]) / 2);
    seams.erase(k, k + 4);
  } else {
    // The shortest way across, of twelve.
    constexpr int kWays = 12;
    const Region material = transformed(material_of(find_drawn(drawing, id)->piece->lines), last.map);
    const Box box = bounds_of(material);
    std::optional<Seam> best;
    for (int d = 0; d < kWays; ++d) {
      const Vec way = Affine::rotate(180.0 * d / kWays)({box.width() + box.height(), 0});
      for (const auto& stretch : clip({Polyline{{at - way, at + way}, false}}, material, true)) {
        const Seam run{stretch.points.front(), stretch.points.back()};
        const bool here = distance(nearest_on(run.a, run.b, at), at) < kMeetingEnds;
        if (here && (!best || run.length() < best->length())) best = run;
      }
    }
    if (!best) return project;
    const Vec a = share(best->a), b = share(best->b);
    seams.insert(seams.end(), {a.x, a.y, b.x, b.y});
    pins.insert(pins.end(), {(a.x + b.x) / 2, (a.y + b.y) / 2});
  }
  project = with_places(std::move(project), id, step, "seams", std::move(seams));
  return with_places(std::move(project), id, step, "pinned", std::move(pins));
}

}  // namespace

Project pick_place(Project project, const Drawing& drawing, int id, Vec at, double reach) {
  const auto last = last_step(project, drawing, id);
  if (last && last->step->kind == "seams") return pick_seam(std::move(project), drawing, *last, id, at, reach);
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
