#include "core/shape/steps.hpp"

#include <algorithm>
#include <map>
#include <set>
#include <unordered_map>

#include "core/geometry/measure.hpp"
#include "core/shape/line_set.hpp"
#include "core/text_scan.hpp"

namespace dotlane {

bool has_closed(const Line& line) {
  return line.coat == 0 &&
         std::any_of(line.path->contours.begin(), line.path->contours.end(), [](const Contour& c) { return c.closed; });
}

std::vector<Polyline> open_polylines(const Line& line, double chord) {
  std::vector<Polyline> out;
  for (const auto& c : line.path->contours) {
    if (!c.closed) out.push_back(flatten(c, chord));
  }
  return out;
}

bool named(const std::string& of, const Line& line, bool standard) {
  if (trimmed(of).empty()) return standard;
  for (const auto part : split(of, ',')) {
    const auto word_or_id = trimmed(part);
    if (word_or_id == line.id || word_or_id == word(line.role)) return true;
  }
  return false;
}

std::vector<std::size_t> shapes_meant(const std::string& of, const std::vector<Line>& lines) {
  const bool named_any = !trimmed(of).empty();
  const bool cuts =
      std::any_of(lines.begin(), lines.end(), [](const Line& l) { return l.role == Role::cut && has_closed(l); });
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const bool standard = has_closed(lines[i]) && (lines[i].role == Role::cut || !cuts);
    if (named_any ? named(of, lines[i], false) : standard) out.push_back(i);
  }
  return out;
}

std::vector<std::size_t> lines_meant(const std::string& of, const std::vector<Line>& lines) {
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    if (named(of, lines[i], true)) out.push_back(i);
  }
  return out;
}

std::vector<std::size_t> outlines_meant(const std::string& of, const std::vector<Line>& lines) {
  auto out = lines_meant(of, lines);
  if (trimmed(of).empty()) std::erase_if(out, [&](std::size_t i) { return lines[i].coat > 0; });
  return out;
}

Line with_region(const Line& like, const Region& region, const std::vector<Polyline>& open) {
  Line out = like;
  Path path = refit(region);
  for (const auto& polyline : open) {
    Contour c = refit(polyline);
    if (!c.segments.empty()) path.contours.push_back(std::move(c));
  }
  path.fill_rule = FillRule::nonzero;
  out.path = std::move(path);
  return out;
}

Line with_region(const Line& like, const Region& region) { return with_region(like, region, {}); }

std::string made_id(const std::string& origin, int step, int number) {
  std::string id = origin + "~" + std::to_string(step);
  if (number > 0) id += "." + std::to_string(number);
  return id;
}

Box bounds_of(const std::vector<Line>& lines) {
  Box box;
  std::unordered_map<const Path*, Box> known;
  for (const auto& line : lines) {
    if (line.at.b != 0 || line.at.c != 0) {
      box.add(bounds_of(placed_path(line)));
      continue;
    }
    const auto [own, fresh] = known.try_emplace(&*line.path);
    if (fresh) own->second = bounds_of(*line.path);
    if (own->second.empty()) continue;
    box.add(line.at({own->second.x0, own->second.y0}));
    box.add(line.at({own->second.x1, own->second.y1}));
  }
  return box;
}

std::vector<Line> mapped(std::vector<Line> lines, const Affine& map) {
  for (auto& line : lines) line.at = map * line.at;
  return lines;
}

std::vector<Line> placed(std::vector<Line> lines) {
  for (auto& line : lines) {
    if (line.at == Affine{}) continue;
    line.path = placed_path(line);
    line.at = {};
  }
  return lines;
}

std::vector<Line> with_single_placed(std::vector<Line> lines) {
  std::unordered_map<const Path*, std::size_t> sharing;
  for (const auto& line : lines) ++sharing[&*line.path];
  for (auto& line : lines) {
    if (line.at == Affine{} || sharing[&*line.path] > 1) continue;
    line.path = placed_path(line);
    line.at = {};
  }
  return lines;
}

Region nested(std::vector<Region> regions) {
  struct Shape {
    Region region;
    Box box;
    int depth = 0;
  };
  std::vector<Shape> shapes;
  for (auto& region : regions) {
    if (region.empty()) continue;
    const Box box = bounds_of(region);
    shapes.push_back({std::move(region), box, 0});
  }
  for (auto& inner : shapes) {
    for (const auto& outer : shapes) {
      if (&inner == &outer || inner.box == outer.box || !outer.box.contains(inner.box)) continue;
      const auto inside = [&](Vec p) { return encloses(outer.region, p); };
      const bool all = std::all_of(inner.region.rings.begin(), inner.region.rings.end(),
                                   [&](const Ring& ring) { return std::all_of(ring.begin(), ring.end(), inside); });
      inner.depth += all;
    }
  }
  const int deepest =
      shapes.empty() ? 0 : std::max_element(shapes.begin(), shapes.end(), [](const Shape& a, const Shape& b) {
                             return a.depth < b.depth;
                           })->depth;
  Region out;
  for (int depth = 0; depth <= deepest; ++depth) {
    std::vector<Region> level;
    for (const auto& s : shapes) {
      if (s.depth == depth) level.push_back(s.region);
    }
    if (level.empty()) continue;
    const Region together = unite(level);
    out = depth % 2 != 0 ? subtract(out, together) : depth == 0 ? together : unite({out, together});
  }
  return out;
}

Faces faces_of(const std::vector<Line>& lines, const std::vector<std::size_t>& meant) {
  Faces out;
  double apart = 0;
  for (const std::size_t i : meant) {
    out.each.push_back(region_of(placed_path(lines[i])));
    apart += area_of(out.each.back());
  }
  out.together = nested(out.each);
  out.one = std::abs(apart - area_of(out.together)) > 1e-6 * apart;
  return out;
}

Region material_of(const std::vector<Line>& lines) {
  std::vector<Region> shapes;
  for (const std::size_t i : shapes_meant("", lines)) {
    if (lines[i].role != Role::guide) shapes.push_back(region_of(placed_path(lines[i])));
  }
  return nested(std::move(shapes));
}

void measure(const std::vector<Line>& lines, StepOutcome& outcome) {
  outcome.bounds = bounds_of(lines);
  outcome.nodes = outcome.contours = 0;
  outcome.area_mm2 = 0;
  std::unordered_map<const Path*, double> areas;
  for (const auto& line : lines) {
    outcome.nodes += segment_count(*line.path);
    outcome.contours += line.path->contours.size();
    if (line.role != Role::cut && line.role != Role::print) continue;
    // Contours that steps leave are clean, so signed areas add up; in raw artwork the figure is only near.
    const auto [area, fresh] = areas.try_emplace(&*line.path, 0);
    if (fresh) {
      for (const auto& c : line.path->contours) {
        if (c.closed) area->second += signed_area_of(flatten(c, kRefit));
      }
    }
    outcome.area_mm2 += std::abs(area->second * line.at.determinant());
  }
}

std::vector<Vec> places_in(const std::vector<Line>& lines, const std::vector<double>& shares) {
  const Box box = bounds_of(lines);
  std::vector<Vec> out;
  for (std::size_t s = 0; s + 1 < shares.size(); s += 2)
    out.push_back({box.x0 + shares[s] * box.width(), box.y0 + shares[s + 1] * box.height()});
  return out;
}

std::size_t nodes_in(const std::vector<Line>& lines) {
  std::size_t n = 0;
  for (const auto& line : lines) n += segment_count(*line.path);
  return n;
}

constexpr std::size_t kManyMade = 100'000;  // nodes that a step may make of a few

std::size_t work_of(const Step& step, const std::vector<Line>& lines) {
  if (step.kind == "fit-shape") return nodes_in(lines) * 50;  // many rooms are tried
  // A few nodes may make thousands of openings.
  if (step.kind == "split" || step.kind == "seams") return nodes_in(lines) * 10;
  if (step.kind == "stones") return nodes_in(lines) + kManyMade;
  if (step.kind == "bridge" && Reading(*find_kind(step_kinds(), "bridge"), step.values).is("school", "mesh"))
    return nodes_in(lines) + kManyMade;
  if (!only_places(step.kind)) return nodes_in(lines);
  if (step.kind != "repeat") return lines.size();
  const Reading take(*find_kind(step_kinds(), "repeat"), step.values);
  const bool ring = take.is("way", "around"), path = take.is("way", "path");
  const bool by_shapes = ring ? !take.is("ring", "radius") : take.text("by").ends_with("shapes");
  const bool cuts = !ring && !path && take.text("edge") != "whole" && take.text("by") != "count-gap";
  // How far copies are apart is looked at once; shapes that decide it, in many directions, on rings and paths with
  // every copy.
  return lines.size() + nodes_in(lines) * (by_shapes ? (ring || path ? 100 : 10) : cuts ? 20 : 1);
}

bool only_places(const std::string& kind) {
  static const std::set<std::string> kinds{"mirror", "rotate", "skew", "scale", "repeat", "leave-out", "move-lines"};
  return kinds.contains(kind);
}

std::vector<Line> apply(const Step& step, std::vector<Line> lines, const StepInputs& inputs, StepOutcome& outcome) {
  static const std::map<std::string, StepFunction> functions{
      {"offset", step_offset},
      {"thicken", step_thicken},
      {"round-corners", step_round_corners},
      {"dash", step_dash},
      {"join", step_join},
      {"cut-away", step_cut_away},
      {"overlap", step_overlap},
      {"divide", step_divide},
      {"fit-shape", step_fit_shape},
      {"bridge", step_bridge},
      {"applique", step_applique},
      {"template", step_template},
      {"grain-arrow", step_grain_arrow},
      {"fill", step_fill},
      {"trim-under", step_trim_under},
      {"simplify", step_simplify},
      {"smooth", step_smooth},
      {"drop-small", step_drop_small},
      {"drop-contours", step_drop_contours},
      {"leave-out", step_leave_out},
      {"erase", step_erase},
      {"split", step_split},
      {"seams", step_seams},
      {"fill-holes", step_fill_holes},
      {"remove-doubled", step_remove_doubled},
      {"close-gaps", step_close_gaps},
      {"mirror", step_mirror},
      {"move-lines", step_move_lines},
      {"stones", step_stones},
      {"paint-layer", step_paint_layer},
      {"rotate", step_rotate},
      {"skew", step_skew},
      {"scale", step_scale},
      {"repeat", step_repeat},
  };
  outcome.step = step.id;
  const auto found = functions.find(step.kind);
  const KindSpec* spec = find_kind(step_kinds(), step.kind);
  if (found == functions.end() || !spec) {
    outcome.trouble = {{"step-unknown", {{"step", step.kind}}}};
  } else {
    const Reading take(*spec, step.values);
    if (!only_places(step.kind)) lines = placed(std::move(lines));
    lines = with_single_placed(found->second(std::move(lines), {step, take, inputs, outcome}));
    std::erase_if(lines, [](const Line& l) { return l.path->contours.empty(); });
  }
  measure(lines, outcome);
  return lines;
}

}  // namespace dotlane
