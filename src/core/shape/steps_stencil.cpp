#include <algorithm>

#include "core/geometry/centre_line.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/paint_layers.hpp"
#include "core/shape/stones.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostPlaces = 500;  // set by hand or left out

}  // namespace

std::vector<Line> step_bridge(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  const Faces openings = faces_of(lines, meant);
  BridgeOptions options;
  const double width = call.take.number("width");
  options.width_mm = width > 0 ? std::max(0.1, width) : bridge_width(call.inputs.thickness_mm);
  options.two_from_mm = call.take.number("two-from");
  options.per_island = static_cast<int>(to_number(call.take.text("per-island")).value_or(0));
  using Way = BridgeOptions::Way;
  options.way = call.take.is("way", "level")      ? Way::level
                : call.take.is("way", "shortest") ? Way::shortest
                                                  : Way::upright;
  const Box box = bounds_of(lines);
  const auto put = [&](const char* key) {
    std::vector<Vec> out;
    const auto list = call.take.list(key);
    for (std::size_t i = 0; i + 1 < list.size() && out.size() < kMostPlaces; i += 2)
      out.push_back({box.x0 + list[i] * box.width(), box.y0 + list[i + 1] * box.height()});
    return out;
  };
  options.set = put("set"), options.none = put("none");
  if (call.take.is("school", "mesh"))
    options.mesh_mm = call.take.number("mesh"), options.mesh_angle = call.take.number("mesh-angle");
  auto made = std::make_shared<Bridged>(bridged(openings.together, options));
  double narrow = 0, narrowest = options.width_mm;
  for (const auto& bridge : made->bridges) {
    if (bridge.width_mm > options.width_mm - 1e-9) continue;
    ++narrow, narrowest = std::min(narrowest, bridge.width_mm);
  }
  if (options.mesh_mm > 0 && made->mesh.empty() && !openings.together.empty()) {
    call.outcome.trouble = {{"mesh-none", {{"mesh", options.mesh_mm}, {"width", options.width_mm}}}};
  } else if (made->loose > 0) {
    call.outcome.trouble = {
        {"bridge-loose", {{"islands", static_cast<double>(made->loose)}, {"width", options.width_mm}}}};
  } else if (narrow > 0) {
    call.outcome.trouble = {
        {"bridge-narrow", {{"bridges", narrow}, {"width", options.width_mm}, {"narrowest", narrowest}}}};
  }
  if (!made->bridges.empty() || !made->mesh.empty()) {
    std::vector<Region> strips{made->mesh};
    for (const auto& bridge : made->bridges) strips.push_back(bridge.strip);
    const Region all = unite(strips);
    for (std::size_t k = 0; k < meant.size(); ++k) {
      Line& line = lines[meant[k]];
      const Region left = !openings.one ? subtract(openings.each[k], all) : k == 0 ? made->openings : Region();
      line = with_region(line, left, open_polylines(line));
    }
  }
  call.outcome.bridged = std::move(made);
  return lines;
}

std::vector<Line> step_paint_layer(std::vector<Line> lines, const StepCall& call) {
  const Reading& take = call.take;
  std::vector<Region> picture;
  for (const int id : inputs_of(call.step)) picture.push_back(call.inputs.covers(id));
  PlateOptions options;
  using Under = PlateOptions::Under;
  options.under = take.is("under", "left-out")   ? Under::left_out
                  : take.is("under", "as-drawn") ? Under::as_drawn
                                                 : Under::filled;
  options.overlap = take.number("overlap");
  options.margin = take.number("margin"), options.corners = take.number("corners");
  const Plate plate = paint_plate(picture, static_cast<std::size_t>(take.count("layer") - 1), options);
  if (plate.openings.empty()) {
    const bool known = take.number("layer") <= static_cast<double>(picture.size());
    call.outcome.trouble = {{known ? "paint-hidden" : "paint-nothing", {{"layer", take.number("layer")}}}};
    return lines;
  }
  const Color paint = parse_color(take.text("paint")).value_or(Color{});
  call.outcome.paint = paint;
  const auto add = [&](const char* name, Path path) {
    if (path.contours.empty()) return;
    Line line;
    line.id = name;
    line.color = paint;
    line.role = Role::cut;
    line.path = std::move(path);
    lines.push_back(std::move(line));
  };
  add(kPlateOpenings, refit(plate.openings));
  add(kPlateCorners, refit(plate.corners));
  add(kPlateEdge, refit(region_of(plate.edge)));
  return lines;
}

std::vector<Line> step_stones(std::vector<Line> lines, const StepCall& call) {
  const Reading& take = call.take;
  const bool along = take.is("where", "along"), keep = take.flag("keep");
  const double across = stone_across(take.text("size")).value_or(take.number("across"));
  const double hole = across + take.number("clearance"), web = take.number("web"), pitch = hole + web;
  const auto meant = along ? lines_meant(take.text("of"), lines) : shapes_meant(take.text("of"), lines);
  if (meant.empty()) {
    call.outcome.trouble = {{"offset-nothing"}};
    return lines;
  }
  std::optional<std::vector<Vec>> places;
  if (along) {
    std::vector<Polyline> courses;
    for (const std::size_t i : meant) {
      for (const auto& c : lines[i].path->contours) courses.push_back(flatten(c, kChord));
    }
    places = stones_along(courses, pitch);
  } else {
    const Region face = faces_of(lines, meant).together;
    if (take.is("where", "all")) {
      places = stones_all_over(offset(face, -hole / 2 - (keep ? web : 0)), pitch);
    } else {
      std::vector<Polyline> courses;
      if (take.is("where", "inside")) {
        for (const auto& ring : offset(face, -hole / 2 - (keep ? web : 0)).rings) {
          courses.push_back({ring, true});
          courses.back().points.push_back(ring.front());
        }
      } else {
        for (auto& line : centre_lines(face).lines) courses.push_back({std::move(line.points), line.closed});
      }
      places = stones_along(courses, pitch);
    }
  }
  if (!places) {
    call.outcome.trouble = {{"stones-many", {{"most", static_cast<double>(kMostStones)}}}};
    return lines;
  }
  const std::vector<Vec>& at = *places;
  call.outcome.stones = at.size();
  if (at.empty()) {
    call.outcome.trouble = {{"stones-none", {{"hole", hole}}}};
    return lines;
  }
  Line holes = lines[meant.front()];
  Path path;
  for (const Vec p : at) path.contours.push_back(ellipse(p, hole / 2, hole / 2));
  holes.path = std::move(path);
  holes.role = Role::cut;
  if (lines[meant.front()].role != Role::cut) holes.tool.clear();
  holes.id = made_id(holes.id, call.step.id);
  if (!keep) {
    std::vector<Line> rest;
    for (std::size_t i = 0; i < lines.size(); ++i) {
      if (std::find(meant.begin(), meant.end(), i) == meant.end()) rest.push_back(std::move(lines[i]));
    }
    lines = std::move(rest);
  }
  lines.push_back(std::move(holes));
  return lines;
}

}  // namespace dotlane
