#include <nlohmann/json.hpp>

#include "core/format/picture_text.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/path_data.hpp"

namespace dotlane {
namespace {

using Json = nlohmann::ordered_json;

Json with_unknown(Json json, const Unknown& unknown) {
  if (!unknown.empty()) {
    const Json rest = Json::parse(unknown);
    for (const auto& [key, value] : rest.items()) json[key] = value;
  }
  return json;
}

Json role_words(const std::vector<Role>& roles) {
  Json out = Json::array();
  for (const Role r : roles) out.push_back(word(r));
  return out;
}

Json to_value(const Line& l) {
  Json j{{"id", l.id},
         {"layer", l.layer},
         {"color", hex(l.color)},
         {"filled", l.filled},
         {"dashed", l.dashed},
         {"role", word(l.role)},
         {"role_guessed", l.role_guessed},
         {"tool", l.tool},
         {"repeats", l.repeats},
         {"fill_rule", l.path->fill_rule == FillRule::evenodd ? "evenodd" : "nonzero"},
         {"d", path_data(*l.path)}};
  if (l.stroke_by_stroke) j["stroke_by_stroke"] = true;
  if (l.coat != 0) j["coat"] = l.coat;
  return with_unknown(std::move(j), l.unknown);
}

Json to_value(const Value& value) {
  return std::visit([](const auto& v) { return Json(v); }, value);
}

Json to_value(const Values& values) {
  Json out = Json::object();
  for (const auto& [key, value] : values) out[key] = to_value(value);
  return out;
}

Json to_value(const Step& s) {
  Json j{{"id", s.id}, {"kind", s.kind}, {"on", s.on}};
  if (!s.values.empty() || !s.unknown_values.empty()) j["values"] = with_unknown(to_value(s.values), s.unknown_values);
  return with_unknown(std::move(j), s.unknown);
}

Json to_value(const Source& s, Json notes) {
  Json j = Json::object();
  if (!s.kind.empty()) {
    j["kind"] = s.kind;
    j["values"] = to_value(s.values);
    if (!s.picture->empty()) {
      j["picture"] = {
          {"width", s.picture->width}, {"height", s.picture->height}, {"rgb", text_of_pixels(s.picture->rgb)}};
    }
  }
  j["file"] = s.file;
  j["unit_source"] = s.unit_source == UnitSource::stated ? "stated" : "assumed";
  j["per_inch"] = s.per_inch;
  j["notes"] = std::move(notes);
  return with_unknown(std::move(j), s.unknown);
}

Json to_value(const Piece& p) {
  const auto& m = p.placement;
  Json notes = Json::array();
  for (const auto& note : p.source.notes) {
    Json lines = Json::array();
    for (const auto& ref : note.lines) lines.push_back(ref.line);
    notes.push_back(
        {{"code", note.code}, {"severity", word(note.severity)}, {"message", note.message}, {"lines", lines}});
  }
  Json lines = Json::array();
  for (const auto& line : p.lines) lines.push_back(to_value(line));
  Json j{{"id", p.id},
         {"name", p.name},
         {"stock", p.stock},
         {"placement", {m.a, m.b, m.c, m.d, m.e, m.f}},
         {"aspect_locked", p.aspect_locked},
         {"source", to_value(p.source, std::move(notes))},
         {"lines", std::move(lines)}};
  if (!p.group.empty()) j["group"] = p.group;
  if (p.helper) j["helper"] = true;
  if (!p.steps.empty()) {
    j["recipe"] = Json::array();
    for (const auto& step : p.steps) j["recipe"].push_back(to_value(step));
  }
  for (const auto& [id, d] : p.dress) {
    j["made_lines"][id] = {{"role_guessed", d.role_guessed}, {"tool", d.tool}, {"repeats", d.repeats}};
    if (d.role) j["made_lines"][id]["role"] = word(*d.role);
    if (d.stroke_by_stroke) j["made_lines"][id]["stroke_by_stroke"] = true;
  }
  return with_unknown(std::move(j), p.unknown);
}

Json to_value(const Tool& t) {
  return with_unknown({{"id", t.id},
                       {"name", t.name},
                       {"kind", t.kind},
                       {"serves", role_words(t.serves)},
                       {"tip_width_mm", t.tip_width_mm},
                       {"ink", hex(t.ink)},
                       {"min_force_gf", t.min_force_gf},
                       {"max_force_gf", t.max_force_gf},
                       {"thickest_mm", t.thickest_mm}},
                      t.unknown);
}

Json to_value(const Stock& s) {
  Json settings = Json::object();
  for (const auto& [role, v] : s.settings) {
    settings[std::string(word(role))] = {
        {"force_gf", v.force_gf}, {"speed_mm_s", v.speed_mm_s}, {"depth", v.depth}, {"repeats", v.repeats}};
  }
  Json j{{"id", s.id},
         {"name", s.name},
         {"color", hex(s.color)},
         {"thickness_mm", s.thickness_mm},
         {"grammage_gsm", s.grammage_gsm},
         {"settings", settings}};
  if (s.clear) j["clear"] = true;
  return with_unknown(std::move(j), s.unknown);
}

Json to_value(const Sheet& s) {
  return with_unknown({{"id", s.id},
                       {"stock", s.stock},
                       {"load", s.load},
                       {"area_mm", {s.area.x0, s.area.y0, s.area.width(), s.area.height()}}},
                      s.unknown);
}

Json to_value(const Machine& m) {
  return with_unknown({{"name", m.name},
                       {"mat", {{"name", m.mat.name}, {"width_mm", m.mat.width_mm}, {"height_mm", m.mat.height_mm}}},
                       {"border_mm", m.border_mm},
                       {"holders", m.holders},
                       {"rated_thickness_mm", m.rated_thickness_mm},
                       {"max_force_gf", m.max_force_gf},
                       {"travel_mm_s", m.travel_mm_s},
                       {"accel_mm_s2", m.accel_mm_s2},
                       {"corner_mm", m.corner_mm},
                       {"lower_s", m.lower_s},
                       {"lift_s", m.lift_s},
                       {"landing_mm", m.landing_mm},
                       {"swap_s", m.swap_s}},
                      m.unknown);
}

Json to_value(const PlanSettings& p) {
  return with_unknown(
      {{"role_order", role_words(p.role_order)}, {"pass_order", p.pass_order}, {"mirrored", p.mirrored}}, p.unknown);
}

template <class Range>
Json to_values(const Range& range) {
  Json out = Json::array();
  for (const auto& item : range) out.push_back(to_value(item));
  return out;
}

}  // namespace

std::string to_json(const Project& project) {
  Json pieces = Json::array();
  for (const auto& piece : project.pieces) pieces.push_back(to_value(*piece));
  Json known{{"format", "dot-lane project"},
             {"version", kFormatVersion},
             {"name", project.name},
             {"unit", project.unit == LengthUnit::inch ? "in" : "mm"},
             {"machine", to_value(project.machine)},
             {"sheets", to_values(project.sheets)},
             {"pieces", std::move(pieces)},
             {"plan", to_value(project.plan)},
             {"tools", to_values(project.tools)},
             {"stocks", to_values(project.stocks)}};
  if (!(project.checks == CheckSettings{})) {
    known["checks"] = with_unknown({{"tiny_mm2", project.checks.tiny_mm2}, {"sliver_mm", project.checks.sliver_mm}},
                                   project.checks.unknown);
  }
  const Json j = with_unknown(std::move(known), project.unknown);
  return j.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

}  // namespace dotlane
