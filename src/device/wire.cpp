#include "device/wire.hpp"

#include <cmath>

namespace dotlane::wire {

Json from_machine(const Machine& m) {
  return {{"width_mm", m.mat.width_mm},
          {"height_mm", m.mat.height_mm},
          {"travel_mm_s", m.travel_mm_s},
          {"accel_mm_s2", m.accel_mm_s2},
          {"corner_mm", m.junction_deviation_mm},
          {"lower_s", m.lower_s},
          {"lift_s", m.lift_s},
          {"holders", m.holders}};
}

Machine to_machine(const Json& json) {
  Machine m;
  m.mat.width_mm = json.value("width_mm", m.mat.width_mm);
  m.mat.height_mm = json.value("height_mm", m.mat.height_mm);
  m.travel_mm_s = std::max(0.1, json.value("travel_mm_s", m.travel_mm_s));
  m.accel_mm_s2 = std::max(1.0, json.value("accel_mm_s2", m.accel_mm_s2));
  m.junction_deviation_mm = std::max(1e-4, json.value("corner_mm", m.junction_deviation_mm));
  m.lower_s = json.value("lower_s", m.lower_s);
  m.lift_s = json.value("lift_s", m.lift_s);
  m.holders = json.value("holders", m.holders);
  return m;
}

Json from_marks(const std::vector<Mark>& marks) {
  Json out = Json::array();
  auto rounded = [](double v) { return std::round(v * 1e4) / 1e4; };
  for (const auto& mark : marks) {
    Json points = Json::array();
    for (const Vec p : mark.points) points.push_back(rounded(p.x)), points.push_back(rounded(p.y));
    out.push_back({{"tool", mark.tool}, {"mat", mark.mat}, {"points", std::move(points)}});
  }
  return out;
}

std::vector<Mark> to_marks(const Json& json) {
  std::vector<Mark> out;
  for (const auto& item : json) {
    Mark mark{item.at("tool").get<std::string>(), item.value("mat", 1), {}};
    const auto& points = item.at("points");
    for (std::size_t i = 0; i + 1 < points.size(); i += 2) {
      mark.points.push_back({points[i].get<double>(), points[i + 1].get<double>()});
    }
    out.push_back(std::move(mark));
  }
  return out;
}

std::string line_of(const Json& message) { return message.dump(-1, ' ', false, Json::error_handler_t::replace) + "\n"; }

}  // namespace dotlane::wire
