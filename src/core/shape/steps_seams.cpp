// The seams step: a piece in tiles, with what is drawn on it.
#include <algorithm>

#include "core/shape/line_set.hpp"
#include "core/shape/seams.hpp"

namespace dotlane {
namespace {

SeamStyle style_of(const Reading& take) {
  SeamStyle out;
  if (take.is("joint", "overlap")) out.kind = SeamKind::overlap;
  if (take.is("joint", "tab")) out.kind = SeamKind::tab;
  if (take.is("joint", "dovetail")) out.kind = SeamKind::dovetail;
  out.width = take.number("width");
  return out;
}

/// What is drawn across seams ends there: each stretch goes with its tile.
Line ended_at_seams(const Line& line, const std::vector<Polyline>& runs, const Box& reach) {
  Path out;
  out.fill_rule = line.path->fill_rule;
  const Region knives = buffer(runs, kSeamGap);
  bool changed = false;
  for (const auto& contour : line.path->contours) {
    const Polyline course = flatten(contour, kChord);
    Box box;
    for (const Vec p : course.points) box.add(p);
    const bool near = box.overlaps(reach);
    const auto stretches = near ? clip({course}, knives, false) : std::vector<Polyline>{};
    const bool crossed = near && (stretches.size() != 1 || stretches.front().closed != course.closed);
    if (!crossed) {
      out.contours.push_back(contour);
      continue;
    }
    changed = true;
    for (const auto& stretch : stretches) {
      Contour left = refit(stretch);
      if (!left.segments.empty()) out.contours.push_back(std::move(left));
    }
  }
  if (!changed) return line;
  Line made = line;
  made.path = std::move(out);
  return made;
}

}  // namespace

std::vector<Line> step_seams(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  const auto places = places_in(lines, call.take.list("seams")), middles = places_in(lines, call.take.list("pinned"));
  if (places.size() < 2) return lines;
  const Faces faces = faces_of(lines, meant);
  if (faces.together.empty()) {
    call.outcome.trouble = {{"seams-nothing"}};
    return lines;
  }
  std::vector<Seam> seams;
  for (std::size_t i = 0; i + 1 < places.size(); i += 2) seams.push_back({places[i], places[i + 1]});
  std::vector<Region> above;
  for (const int id : call.inputs.above) above.push_back(call.inputs.covers(id));
  const Region over = unite(above);
  auto seamed = std::make_shared<Seamed>();
  std::vector<Polyline> courses;
  Box reach;
  const auto runs = divide(faces.together, seams).seams;
  for (std::size_t i = 0; i < runs.size(); ++i) {
    if (!runs[i]) continue;
    Seamed::Run run{*runs[i], i, false, {}, runs[i]->length()};
    run.pinned = std::any_of(middles.begin(), middles.end(),
                             [&](Vec m) { return distance(m, seams[i].middle()) < kMeetingEnds; });
    courses.push_back({{run.seam.a, run.seam.b}, false});
    reach.add(run.seam.a), reach.add(run.seam.b);
    for (const auto& stretch : clip({courses.back()}, over, true)) {
      run.hidden.push_back({stretch.points.front(), stretch.points.back()});
      run.visible_mm -= length_of(stretch);
    }
    seamed->runs.push_back(std::move(run));
  }
  const std::size_t lost = seams.size() - seamed->runs.size();
  if (lost > 0) call.outcome.trouble = {{"seams-lost", {{"seams", static_cast<double>(lost)}}}};
  if (seamed->runs.empty()) return lines;

  const SeamStyle style = style_of(call.take);
  std::vector<Line> out;
  const auto part = [&](const Region& face, const Line& like) {
    std::vector<Seam> own;
    for (const auto& run : seamed->runs) {
      if (encloses(face, run.seam.middle())) own.push_back(run.seam);
    }
    const Divided divided = divide(face, own, style);
    seamed->tiles += divided.tiles.size();
    if (own.empty()) return out.push_back(like);
    Path all;
    for (const auto& tile : divided.tiles) {
      const Line made = with_region(like, tile);
      all.contours.insert(all.contours.end(), made.path->contours.begin(), made.path->contours.end());
    }
    Line line = like;
    line.path = std::move(all);
    line.id = made_id(like.id, call.step.id);
    out.push_back(std::move(line));
  };
  std::size_t next = 0;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    if (next < meant.size() && meant[next] == i) {
      // Shapes in shapes are one material, divided as such.
      if (!faces.one) part(faces.each[next], lines[i]);
      if (faces.one && next == 0) part(faces.together, lines[i]);
      ++next;
    } else {
      out.push_back(ended_at_seams(lines[i], courses, reach));
    }
  }
  call.outcome.seamed = std::move(seamed);
  return out;
}

}  // namespace dotlane
