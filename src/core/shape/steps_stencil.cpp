#include "core/shape/bridges.hpp"
#include "core/shape/line_set.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostPlaces = 500;  // set by hand or left out

}  // namespace

std::vector<Line> step_bridge(std::vector<Line> lines, const StepCall& call) {
  const auto meant = shapes_meant(call.take.text("of"), lines);
  const Faces openings = faces_of(lines, meant);
  BridgeOptions options;
  options.width_mm = call.take.number("width") > 0 ? call.take.number("width") : bridge_width(call.inputs.thickness_mm);
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
  if (made->loose > 0) {
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

}  // namespace dotlane
