#include <algorithm>
#include <cmath>
#include <map>

#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/geometry/unite_curves.hpp"
#include "core/shape/fit_rows.hpp"
#include "core/shape/line_set.hpp"

namespace dotlane {
namespace {

/// The same course with points no farther apart than this.
Polyline refined(const Polyline& line, double step) {
  Polyline out{{line.points.front()}, line.closed};
  for (std::size_t i = 1; i < line.points.size(); ++i) {
    const Vec a = line.points[i - 1], b = line.points[i];
    const int n = std::max(1, static_cast<int>(std::ceil(distance(a, b) / step)));
    for (int k = 1; k < n; ++k) out.points.push_back(a + (b - a) * (static_cast<double>(k) / n));
    out.points.push_back(b);
  }
  return out;
}

/// What the named pieces cover together. Pieces that cover nothing are told in the outcome.
Region covered_by(const std::vector<int>& pieces, const StepCall& call) {
  std::vector<Region> all;
  for (const int id : pieces) {
    const Region& region = call.inputs.covers(id);
    if (!region.empty()) all.push_back(region);
  }
  if (all.empty() && !pieces.empty()) call.outcome.trouble = {{"inputs-empty"}};
  return unite(all);
}

std::vector<Line> without(std::vector<Line> lines, const std::vector<std::size_t>& gone) {
  std::vector<Line> out;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    if (std::find(gone.begin(), gone.end(), i) == gone.end()) out.push_back(std::move(lines[i]));
  }
  return out;
}

/// The line's closed part and its strokes, cut down by the area.
Line cut_down(const Line& line, const Region& area, bool keep_inside) {
  const Region region = region_of(*line.path);
  const auto open = clip(open_polylines(line), area, keep_inside);
  return with_region(line, keep_inside ? intersect(region, area) : subtract(region, area), open);
}

}  // namespace

std::vector<Line> step_join(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  const auto pieces = inputs_of(call.step);
  const bool by_layer = call.take.is("together", "layer");
  if (meant.empty() && pieces.empty()) {
    call.outcome.trouble = {{"join-nothing"}};
    return lines;
  }
  if (meant.empty()) {  // the others alone make the shape
    const Region covered = covered_by(pieces, call);
    if (covered.empty()) return lines;
    Line line;
    line.id = "outline";
    const bool taken = std::any_of(lines.begin(), lines.end(), [&](const Line& l) { return l.id == line.id; });
    if (taken) line.id = made_id(line.id, call.step.id);
    line.color = {34, 34, 34};
    lines.push_back(with_region(line, covered));
    return lines;
  }
  // One group, or one for each layer; the uppermost line of a group gives its role and colour.
  std::vector<std::vector<std::size_t>> groups;
  for (const std::size_t i : meant) {
    auto home = std::find_if(groups.begin(), groups.end(),
                             [&](const auto& g) { return !by_layer || lines[g.front()].layer == lines[i].layer; });
    if (home == groups.end()) home = groups.insert(groups.end(), std::vector<std::size_t>{});
    home->push_back(i);
  }
  std::vector<std::size_t> gone;
  for (std::size_t g = 0; g < groups.size(); ++g) {
    // Each line by its own rule first: outlines then turn alike and cannot cancel.
    Path all;
    std::vector<Contour> open;
    auto add = [&all](const Path& path) {
      all.contours.insert(all.contours.end(), path.contours.begin(), path.contours.end());
    };
    for (const std::size_t i : groups[g]) {
      add(united_curves(*lines[i].path));
      std::copy_if(lines[i].path->contours.begin(), lines[i].path->contours.end(), std::back_inserter(open),
                   [](const Contour& c) { return !c.closed; });
    }
    const bool others = g == 0 && !pieces.empty();
    if (others) add(refit(covered_by(pieces, call)));
    if (others || groups[g].size() > 1) all = united_curves(all);
    all.contours.insert(all.contours.end(), open.begin(), open.end());
    const std::size_t top = groups[g].back();
    lines[top].path = std::move(all);
    gone.insert(gone.end(), groups[g].begin(), groups[g].end() - 1);
  }
  return without(std::move(lines), gone);
}

std::vector<Line> step_cut_away(std::vector<Line> lines, const StepCall& call) {
  const auto pieces = inputs_of(call.step);
  if (!pieces.empty()) {
    const Region area = covered_by(pieces, call);
    if (area.empty()) return lines;
    for (const std::size_t i : lines_meant(call.take.text("of"), lines)) lines[i] = cut_down(lines[i], area, false);
    return lines;
  }
  const auto meant = shapes_meant(call.take.text("of"), lines);
  if (meant.size() < 2) {
    call.outcome.trouble = {{"cut-away-nothing"}};
    return lines;
  }
  Region above;
  for (auto i = meant.rbegin(); i != meant.rend(); ++i) {
    const Region own = region_of(*lines[*i].path);
    lines[*i] = with_region(lines[*i], subtract(own, above), clip(open_polylines(lines[*i]), above, false));
    above = unite({above, own});
  }
  return lines;
}

std::vector<Line> step_overlap(std::vector<Line> lines, const StepCall& call) {
  const auto pieces = inputs_of(call.step);
  if (!pieces.empty()) {
    const Region area = covered_by(pieces, call);
    if (area.empty()) return lines;
    for (const std::size_t i : lines_meant(call.take.text("of"), lines)) lines[i] = cut_down(lines[i], area, true);
    return lines;
  }
  const auto meant = shapes_meant(call.take.text("of"), lines);
  if (meant.size() < 2) {
    call.outcome.trouble = {{"overlap-nothing"}};
    return lines;
  }
  Region shared = region_of(*lines[meant.front()].path);
  for (std::size_t k = 1; k < meant.size(); ++k) shared = intersect(shared, region_of(*lines[meant[k]].path));
  lines[meant.back()] = with_region(lines[meant.back()], shared);
  return without(std::move(lines), {meant.begin(), meant.end() - 1});
}

std::vector<Line> step_split(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  std::vector<Vec> course = places_in(lines, call.take.list("along"));
  if (course.size() < 2) return lines;
  const Faces faces = faces_of(lines, meant);
  if (faces.together.empty()) {
    call.outcome.trouble = {{"split-nothing"}};
    return lines;
  }
  // On straight to the edges, so that it parts wherever it goes in.
  Box box = bounds_of(faces.together);
  for (const Vec p : course) box.add(p);
  const double reach = box.width() + box.height();
  const auto beyond = [reach](Vec end, Vec before) {
    const double length = distance(before, end);
    return length > 0 ? end + (end - before) * (reach / length) : end;
  };
  const Vec first = beyond(course.front(), course[1]), last = beyond(course.back(), course[course.size() - 2]);
  course.front() = first, course.back() = last;
  constexpr double kKerf = 0.001;  // mm: two edges in the place of one, a micrometre apart
  const Region knife = buffer({Polyline{course, false}}, kKerf / 2, kKerf / 4);
  std::vector<Line> out;
  bool parted = false;
  const auto part = [&](const Region& face, const Line& like) {
    const auto parts = parts_of(subtract(face, knife));
    if (parts.size() <= parts_of(face).size()) return false;
    Region all;
    for (const auto& one : parts) all.rings.insert(all.rings.end(), one.rings.begin(), one.rings.end());
    Line line = with_region(like, all);
    line.id = made_id(like.id, call.step.id);
    out.push_back(std::move(line));
    return true;
  };
  if (faces.one) {  // shapes in shapes are one material, parted as such
    parted = part(faces.together, lines[meant.front()]);
    if (!parted) return lines;
    const auto rest = without(lines, meant);
    out.insert(out.end(), rest.begin(), rest.end());
    return out;
  }
  std::size_t at = 0;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const bool one = at < meant.size() && meant[at] == i;
    const Region* face = one ? &faces.each[at++] : nullptr;
    if (face && part(*face, lines[i])) {
      parted = true;
    } else {
      out.push_back(lines[i]);
    }
  }
  return parted ? out : lines;
}

std::vector<Line> step_divide(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  const auto pieces = inputs_of(call.step);
  if (meant.empty()) {
    call.outcome.trouble = {{"divide-nothing"}};
    return lines;
  }
  struct Fragment {
    Region region;
    Box box;
    std::size_t like;
  };
  std::vector<Fragment> fragments;
  auto add = [&](const Region& shape, std::size_t like, bool keeps_rest) {
    // Lower fragments split along the new shape; where both are, the new one is on top and its line decides.
    Region rest = shape;
    const Box box = bounds_of(shape);
    std::vector<Fragment> next;
    for (auto& f : fragments) {
      if (!f.box.overlaps(box)) {
        next.push_back(std::move(f));
        continue;
      }
      Region both = intersect(f.region, shape), only = subtract(f.region, shape);
      if (both.empty()) {
        next.push_back(std::move(f));
        continue;
      }
      if (keeps_rest) rest = subtract(rest, f.region);
      const Box both_box = bounds_of(both), only_box = bounds_of(only);
      next.push_back({std::move(both), both_box, keeps_rest ? like : f.like});
      if (!only.empty()) next.push_back({std::move(only), only_box, f.like});
    }
    if (keeps_rest && !rest.empty()) {
      const Box rest_box = bounds_of(rest);
      next.push_back({std::move(rest), rest_box, like});
    }
    fragments = std::move(next);
  };
  for (const std::size_t i : meant) add(region_of(*lines[i].path), i, true);
  for (const int id : pieces) add(call.inputs.covers(id), 0, false);
  std::vector<Line> out = without(lines, meant);
  std::map<std::size_t, int> made;
  for (const auto& f : fragments) {
    for (const auto& part : parts_of(f.region)) {
      if (area_of(part) < 1e-4) {
        ++call.outcome.dropped;  // a hair between outlines that all but meet
        continue;
      }
      Line line = with_region(lines[f.like], part);
      line.id = made_id(lines[f.like].id, call.step.id, ++made[f.like]);
      out.push_back(std::move(line));
    }
  }
  return out;
}

std::vector<Line> step_trim_under(std::vector<Line> lines, const StepCall& call) {
  const double tuck = call.take.number("tuck"), sliver = call.take.number("sliver");
  auto pieces = inputs_of(call.step);
  if (pieces.empty()) pieces = call.inputs.above;
  if (pieces.empty()) return lines;  // the uppermost piece: nothing hides it
  const Region cover = covered_by(pieces, call);
  call.outcome.trouble.clear();
  if (cover.empty()) return lines;
  auto kept_of = [&](const Region& own) {
    Region visible = subtract(own, cover);
    const auto all = parts_of(visible).size();
    if (sliver > 0) visible = without_slivers(visible, sliver);
    const auto broad = parts_of(visible).size();
    call.outcome.dropped += all > broad ? all - broad : 0;
    if (tuck <= 0) return visible;
    // Within the tuck-under of what is seen, it continues below.
    Region kept = intersect(own, offset(visible, tuck));
    return sliver > 0 ? without_slivers(kept, sliver) : kept;
  };
  for (auto& line : lines) {
    if ((line.role == Role::cut || line.role == Role::print) && has_closed(line)) {
      const Region own = region_of(*line.path);
      const Region left = kept_of(own);
      call.outcome.removed_mm2 += area_of(own) - area_of(left);
      line = with_region(line, left, clip(open_polylines(line), cover, false));
    } else {
      std::vector<Polyline> polylines;
      for (const auto& c : line.path->contours) polylines.push_back(flatten(c, kChord));
      Line cut = line;
      Path path;
      for (const auto& polyline : clip(polylines, cover, false)) {
        Contour left = refit(polyline);
        if (!left.segments.empty()) path.contours.push_back(std::move(left));
      }
      cut.path = std::move(path);
      line = std::move(cut);
    }
  }
  return lines;
}

std::vector<Line> step_fit_shape(std::vector<Line> lines, const StepCall& call) {
  const Region area = offset(covered_by(inputs_of(call.step), call), -call.take.number("margin"));
  if (area.empty()) {
    call.outcome.trouble = {{"inputs-empty"}};
    return lines;
  }
  std::vector<Box> boxes;  // of all contours, line by line
  for (const auto& line : lines) {
    for (const auto& contour : line.path->contours) boxes.push_back(bounds_of(Path{{contour}, FillRule::nonzero}));
  }
  const auto rows = rows_of(boxes);
  std::vector<Box> around;
  std::vector<std::size_t> row_of(boxes.size(), 0);
  for (const auto& row : rows) {
    Box box;
    for (const std::size_t i : row) box.add(boxes[i]), row_of[i] = around.size();
    around.push_back(box);
  }
  const auto fitted = fit_rows(around, area, call.take.number("gap"));
  if (fitted.empty()) {
    call.outcome.trouble = {{"fit-shape-none"}};
    return lines;
  }
  const bool bends = call.take.is("way", "bent");
  std::size_t i = 0;
  for (auto& line : lines) {
    Path path{{}, line.path->fill_rule};
    for (const auto& contour : line.path->contours) {
      const FittedRow& row = fitted[row_of[i++]];
      if (!bends) {
        path.contours.push_back(transformed(Path{{contour}, FillRule::nonzero}, row.map()).contours.front());
        continue;
      }
      // Fine enough to be bent point by point, then curves again.
      Polyline course = refined(flatten(contour, kChord), std::max(row.was.width(), row.was.height()) / 200);
      for (Vec& p : course.points) p = bent(row, area, p);
      path.contours.push_back(refit(course));
    }
    line.path = std::move(path);
  }
  return lines;
}

}  // namespace dotlane
