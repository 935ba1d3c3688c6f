#include "device/wire.hpp"

#include <cmath>

namespace dotlane::wire {

Json from_machine(const Machine& m) {
  return {{"width_mm", m.mat.width_mm},
          {"height_mm", m.mat.height_mm},
          {"travel_mm_s", m.travel_mm_s},
          {"accel_mm_s2", m.accel_mm_s2},
          {"corner_mm", m.junction_deviation_mm},
          {"jerk_mm_s3", m.jerk_mm_s3},
          {"lower_s", m.lower_s},
          {"lift_s", m.lift_s},
          {"border_mm", m.border_mm},
          {"mark_s", m.mark_s},
          {"holders", m.holders}};
}

Machine to_machine(const Json& json) {
  Machine m;
  m.mat.width_mm = json.value("width_mm", m.mat.width_mm);
  m.mat.height_mm = json.value("height_mm", m.mat.height_mm);
  m.travel_mm_s = std::max(0.1, json.value("travel_mm_s", m.travel_mm_s));
  m.accel_mm_s2 = std::max(1.0, json.value("accel_mm_s2", m.accel_mm_s2));
  m.junction_deviation_mm = std::max(1e-4, json.value("corner_mm", m.junction_deviation_mm));
  m.jerk_mm_s3 = std::max(0.0, json.value("jerk_mm_s3", m.jerk_mm_s3));
  m.lower_s = json.value("lower_s", m.lower_s);
  m.lift_s = json.value("lift_s", m.lift_s);
  m.border_mm = json.value("border_mm", m.border_mm);
  m.mark_s = json.value("mark_s", m.mark_s);
  m.holders = json.value("holders", m.holders);
  return m;
}

Json from_marks(const std::vector<Mark>& marks) {
  Json out = Json::array();
  auto rounded = [](double v) { return std::round(v * 1e4) / 1e4; };
  for (const auto& mark : marks) {
    Json points = Json::array();
    for (const Vec p : mark.points) points.push_back(rounded(p.x)), points.push_back(rounded(p.y));
    Json one{{"tool", mark.tool},
             {"mat", mark.mat},
             {"part", mark.part},
             {"at", mark.at},
             {"mm", {rounded(mark.from_mm), rounded(mark.to_mm)}},
             {"points", std::move(points)}};
    if (mark.strength != 1) one["strength"] = mark.strength;
    if (mark.width_mm > 0) one["width_mm"] = mark.width_mm;
    out.push_back(std::move(one));
  }
  return out;
}

std::vector<Mark> to_marks(const Json& json) {
  std::vector<Mark> out;
  for (const auto& item : json) {
    Mark mark{item.at("tool").get<std::string>(), item.value("mat", 1), {}};
    mark.part = item.value("part", 1), mark.at = item.value("at", std::size_t{0});
    mark.strength = item.value("strength", 1.0), mark.width_mm = item.value("width_mm", 0.0);
    if (item.contains("mm"))
      mark.from_mm = item.at("mm").at(0).get<double>(), mark.to_mm = item.at("mm").at(1).get<double>();
    const auto& points = item.at("points");
    for (std::size_t i = 0; i + 1 < points.size(); i += 2) {
      mark.points.push_back({points[i].get<double>(), points[i + 1].get<double>()});
    }
    out.push_back(std::move(mark));
  }
  return out;
}

namespace {

Json from_points(const std::vector<Vec>& points) {
  Json out = Json::array();
  for (const Vec p : points) out.push_back(p.x), out.push_back(p.y);
  return out;
}

std::vector<Vec> to_points(const Json& json) {
  std::vector<Vec> out;
  for (std::size_t i = 0; i + 1 < json.size(); i += 2)
    out.push_back({json[i].get<double>(), json[i + 1].get<double>()});
  return out;
}

Json from_map(const Affine& m) { return Json{m.a, m.b, m.c, m.d, m.e, m.f}; }

Affine to_map(const Json& json) {
  const auto n = [&](std::size_t i) { return json.at(i).get<double>(); };
  return {n(0), n(1), n(2), n(3), n(4), n(5)};
}

}  // namespace

Json from_physics(const Physics& physics) {
  Json tools = Json::object();
  for (const auto& [id, body] : physics.tools)
    tools[id] = {{"trail_mm", body.trail_mm}, {"x", body.tip.x},   {"y", body.tip.y},
                 {"inks", body.inks},         {"edge", body.edge}, {"width_mm", body.width_mm},
                 {"lasts_mm", body.lasts_mm}};
  Json faults = Json::array(), stock = Json::array();
  for (const auto& fault : physics.faults) faults.push_back({{"kind", word(fault.kind)}, {"at_s", fault.at_s}});
  for (const auto& lying : physics.stock)
    stock.push_back({{"mat", lying.mat},
                     {"box", {lying.area.x0, lying.area.y0, lying.area.x1, lying.area.y1}},
                     {"force_gf", lying.force_gf},
                     {"depth", lying.depth}});
  return {{"seed", physics.seed},
          {"landing_mm", physics.landing_mm},
          {"reload_mm", physics.reload_mm},
          {"tools", tools},
          {"faults", faults},
          {"reached", from_map(physics.reached)},
          {"stock", stock}};
}

Physics to_physics(const Json& json) {
  Physics out;
  if (!json.is_object()) return out;
  out.seed = json.value("seed", 1U);
  out.landing_mm = json.value("landing_mm", 0.0), out.reload_mm = json.value("reload_mm", 0.0);
  if (json.contains("reached")) out.reached = to_map(json.at("reached"));
  const Json tools = json.value("tools", Json::object());
  for (const auto& [id, body] : tools.items())
    out.tools[id] = {body.value("trail_mm", 0.0), {body.value("x", 0.0), body.value("y", 0.0)},
                     body.value("inks", false),   body.value("edge", false),
                     body.value("width_mm", 0.0), body.value("lasts_mm", 0.0)};
  for (const auto& fault : json.value("faults", Json::array())) {
    if (const auto kind = fault_from(fault.value("kind", std::string())))
      out.faults.push_back({*kind, fault.value("at_s", 0.0)});
  }
  for (const auto& lying : json.value("stock", Json::array())) {
    const auto& box = lying.at("box");
    out.stock.push_back(
        {lying.value("mat", 1),
         {box.at(0).get<double>(), box.at(1).get<double>(), box.at(2).get<double>(), box.at(3).get<double>()},
         lying.value("force_gf", 0.0),
         lying.value("depth", 0.0)});
  }
  return out;
}

Json from_printed(const std::vector<PrintedSheet>& printed) {
  Json out = Json::array();
  for (const auto& sheet : printed) {
    std::vector<Vec> dots(sheet.marks.dots.begin(), sheet.marks.dots.end());
    dots.push_back(sheet.marks.second);
    Json art = Json::array();
    for (const auto& ring : sheet.art.rings) art.push_back(from_points(ring));
    out.push_back({{"sheet", sheet.sheet},
                   {"mat", sheet.load},
                   {"placement", from_map(sheet.placement)},
                   {"dots", from_points(dots)},
                   {"art", std::move(art)}});
  }
  return out;
}

std::vector<PrintedSheet> to_printed(const Json& json) {
  std::vector<PrintedSheet> out;
  for (const auto& item : json) {
    PrintedSheet sheet;
    sheet.sheet = item.at("sheet").get<int>(), sheet.load = item.at("mat").get<int>();
    sheet.placement = to_map(item.at("placement"));
    const auto dots = to_points(item.at("dots"));
    for (std::size_t i = 0; i < 4; ++i) sheet.marks.dots[i] = dots.at(i);
    sheet.marks.second = dots.at(4);
    for (const auto& ring : item.at("art")) sheet.art.rings.push_back(to_points(ring));
    out.push_back(std::move(sheet));
  }
  return out;
}

Json from_registration(const Registration& r) {
  return {
      {"ev", "marks"}, {"sheet", r.sheet}, {"mat", r.mat}, {"map", from_map(r.map)}, {"residual_mm", r.residual_mm}};
}

Registration to_registration(const Json& json) {
  return {json.at("sheet").get<int>(), json.at("mat").get<int>(), to_map(json.at("map")),
          json.at("residual_mm").get<double>()};
}

std::string line_of(const Json& message) { return message.dump(-1, ' ', false, Json::error_handler_t::replace) + "\n"; }

}  // namespace dotlane::wire
