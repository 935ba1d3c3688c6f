#include "core/shape/sizing.hpp"

#include <algorithm>

#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/lettering.hpp"

namespace dotlane {
namespace {

/// The project with nothing but the pieces and what shapes them: all that their size depends on.
Project only(const Project& project, const std::vector<int>& ids) {
  std::vector<int> needed = ids;
  bool trims = false;
  for (const int id : ids) {
    const auto inputs = depends_on(project, id);
    needed.insert(needed.end(), inputs.begin(), inputs.end());
    const Piece* piece = find_piece(project, id);
    trims = trims || (piece && std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& s) {
                        return s.kind == "trim-under" && inputs_of(s).empty();
                      }));
  }
  Project out = project;
  if (!trims) std::erase_if(out.pieces, [&](const Shared<Piece>& p) { return !contains(needed, p->id); });
  return out;
}

/// Lengths and areas among the values of a kind, but for `own`, times these.
void scale_values(Values& values, const KindSpec& spec, double by, const std::vector<std::string>& own = {}) {
  const Reading take(spec, values);
  Values out = values;
  for (const auto& v : spec.values) {
    if (v.type != ValueType::length && v.type != ValueType::area) continue;
    if (std::find(own.begin(), own.end(), v.key) != own.end() || take.number(v.key) == 0) continue;
    const double scaled = take.number(v.key) * (v.type == ValueType::area ? by * by : by);
    out[v.key] = std::clamp(std::round(scaled * 1e6) / 1e6, v.low, v.high);
  }
  values = std::move(out);
}

/// Scales the sources by these factors about a place: their own numbers where they are a width and a height, else their
/// placement.
Project scale_sources(Project project, const std::vector<int>& ids, double sx, double sy, Vec fixed, bool steps_too) {
  const Affine map = Affine::move(fixed.x, fixed.y) * Affine::scale(sx, sy) * Affine::move(-fixed.x, -fixed.y);
  const double typed = std::sqrt(std::abs(sx * sy));
  // Places follow the map for all alike; what a source does by its own numbers is taken out of its placement again.
  project = place_pieces(std::move(project), ids, map);
  for (const int id : ids) {
    project = edit_piece(std::move(project), id, [&](Piece& p) {
      if (steps_too) {
        for (auto& step : p.steps) {
          if (const KindSpec* spec = find_kind(step_kinds(), step.kind)) scale_values(step.values, *spec, typed);
        }
      }
      const bool even = std::abs(sx - sy) < 1e-12;
      if (p.source.kind == "lettering" && even) {
        p.source.values = scaled_lettering(p.source.values, sx);
        p.placement = p.placement * Affine::scale(1 / sx, 1 / sy);
        return;
      }
      const KindSpec* spec = p.source.kind.empty() ? nullptr : find_kind(shape_kinds(), p.source.kind);
      const ValueSpec *w = spec ? spec->find("width") : nullptr, *h = spec ? spec->find("height") : nullptr;
      const Affine before = p.placement * Affine::scale(1 / sx, 1 / sy);
      // Turned pieces can only grow evenly by their own numbers.
      const bool upright =
          std::abs(before.a - 1) < 1e-12 && std::abs(before.d - 1) < 1e-12 && before.b == 0 && before.c == 0;
      const bool turned = std::abs(std::hypot(before.a, before.b) - 1) < 1e-9 && std::abs(before.a - before.d) < 1e-9 &&
                          std::abs(before.b + before.c) < 1e-9;
      const bool one_number = p.source.kind == "picture";
      if (!w || !(h || one_number) || !(upright || turned) || ((one_number || !upright) && !even)) return;
      const Reading take(*spec, p.source.values);
      auto set = [&](const ValueSpec& v, double factor) {
        // Sizes are kept to a micrometre: what is typed is what the field shows again.
        const double size = std::round(take.number(v.key) * factor * 1000) / 1000;
        p.source.values[v.key] = std::clamp(size, v.low, v.high);
      };
      if (steps_too) scale_values(p.source.values, *spec, typed, {"width", "height"});
      set(*w, sx);
      if (h) set(*h, sy);
      p.placement = before;
      if (upright) p.placement.a = p.placement.d = 1;
    });
  }
  return project;
}

Box source_box(const DrawnPiece& drawn) {
  Box out;
  if (drawn.outcomes.empty() || drawn.outcomes.front().bounds.empty()) return tight_bounds(drawn);
  const Box& b = drawn.outcomes.front().bounds;
  for (const Vec p : {Vec{b.x0, b.y0}, Vec{b.x1, b.y0}, Vec{b.x0, b.y1}, Vec{b.x1, b.y1}}) out.add(drawn.map(p));
  return out;
}

/// How the result grows with the sources along one axis is found by trying: first as if steps added a margin of their
/// own, then by the secant through the last two tries.
struct Wish {
  std::optional<double> wanted;
  double has = 0, factor = 1, last_factor = 1, last_has = 0;
  [[nodiscard]] double off() const { return wanted ? std::abs(has - *wanted) : 0; }
  [[nodiscard]] bool right() const { return off() < 0.0004; }
  double next(double source) {
    if (right()) return factor;
    double to = factor + (source > 0 ? (*wanted - has) / source : 0);
    if (last_factor != factor && std::abs(has - last_has) > 1e-6)
      to = factor + (*wanted - has) * (factor - last_factor) / (has - last_has);
    last_factor = factor, last_has = has;
    return factor = to > 0.01 * last_factor ? to : 0.5 * last_factor;
  }
};

}  // namespace

bool keeps_proportions(const Project& project, const std::vector<int>& pieces) {
  return std::any_of(pieces.begin(), pieces.end(), [&](int id) {
    const Piece* piece = find_piece(project, id);
    return piece && piece->aspect_locked;
  });
}

bool has_typed_lengths(const Project& project, const std::vector<int>& pieces) {
  return std::any_of(pieces.begin(), pieces.end(), [&](int id) {
    const Piece* piece = find_piece(project, id);
    return piece && std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& step) {
             const KindSpec* spec = find_kind(step_kinds(), step.kind);
             return spec && std::any_of(spec->values.begin(), spec->values.end(), [](const ValueSpec& v) {
                      return v.type == ValueType::length || v.type == ValueType::area;
                    });
           });
  });
}

std::optional<Project> size_pieces(const Project& project, const std::vector<int>& pieces, const Sizing& sizing,
                                   DrawingCache& cache, Effort effort) {
  std::vector<int> ids;
  for (const int id : pieces) {
    const Piece* piece = find_piece(project, id);
    if (piece && (piece->source.kind != "pieces" || pieces.size() > 1)) ids.push_back(id);
  }
  if (ids.empty()) return project;
  Box source;
  /// The frame of these in a project, or nothing when it takes long to know.
  auto frame_in = [&](const Project& p, bool sources) -> std::optional<Box> {
    const Drawing drawing = evaluate(only(p, ids), cache, effort);
    for (const int id : ids) {
      const DrawnPiece* drawn = find_drawn(drawing, id);
      if (!drawn) continue;
      if (drawn->stale) return std::nullopt;
      if (sources && !drawn->bounds.empty()) source.add(source_box(*drawn));
    }
    return frame_around(drawing, ids);
  };
  const auto start = frame_in(project, true);
  if (!start) return std::nullopt;
  if (start->empty()) return project;
  auto width = sizing.width_mm, height = sizing.height_mm;
  if (width && !(*width > 0 && start->width() > 0)) width.reset();
  if (height && !(*height > 0 && start->height() > 0)) height.reset();
  if (!width && !height) return project;
  const bool locked = keeps_proportions(project, ids);
  if (locked && width && height) {  // the tighter of the two decides
    (*width / start->width() < *height / start->height() ? height : width).reset();
  }
  if (!locked) {  // what is not asked for stays, though the other changes
    if (!width && start->width() > 0) width = start->width();
    if (!height && start->height() > 0) height = start->height();
  }
  const Vec fixed{start->x0 + sizing.anchor.x * start->width(), start->y0 + sizing.anchor.y * start->height()};
  Wish across{width, start->width()}, down{height, start->height()};
  Project best = project;
  Box best_frame = *start;
  double best_off = std::numeric_limits<double>::infinity();
  for (int round = 0; round < 8 && !(across.right() && down.right()); ++round) {
    double sx = across.next(source.width()), sy = down.next(source.height());
    if (locked) sx = sy = width ? sx : sy;
    Project tried = scale_sources(project, ids, sx, sy, fixed, sizing.scale_steps);
    const auto frame = frame_in(tried, false);
    if (!frame) return std::nullopt;
    across.has = frame->width(), down.has = frame->height();
    if (frame->empty()) across.has = down.has = 0;  // steps leave nothing of so small a source
    if (frame->empty()) continue;
    if (across.off() + down.off() < best_off) {
      best = std::move(tried), best_frame = *frame;
      best_off = across.off() + down.off();
    }
  }
  // Whatever the recipes do, the corner named stays where it was; but pieces that others shape are moved no farther
  // than they grew, as moving them would change their shape again.
  const bool shaped_by_others = std::any_of(ids.begin(), ids.end(), [&](int id) {
    const auto inputs = depends_on(best, id);
    return std::any_of(inputs.begin(), inputs.end(), [&](int input) { return !contains(ids, input); });
  });
  if (shaped_by_others) return best;
  const Vec at{best_frame.x0 + sizing.anchor.x * best_frame.width(),
               best_frame.y0 + sizing.anchor.y * best_frame.height()};
  return move_pieces(std::move(best), ids, fixed - at);
}

}  // namespace dotlane
