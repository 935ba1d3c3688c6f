#include "core/format/json_values.hpp"
#include "core/format/laying_json.hpp"
#include "core/format/picture_text.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/path_data.hpp"

namespace dotlane {
namespace {

Json role_words(const std::vector<Role>& roles) {
  return list_of(roles, [](Role r) { return Json(word(r)); });
}

Json to_value(const Line& l) {
  Json j;
  j["id"] = l.id;
  j["layer"] = l.layer;
  j["color"] = hex(l.color);
  j["filled"] = l.filled;
  j["dashed"] = l.dashed;
  j["role"] = word(l.role);
  j["role_guessed"] = l.role_guessed;
  j["tool"] = l.tool;
  j["repeats"] = l.repeats;
  j["fill_rule"] = l.path->fill_rule == FillRule::evenodd ? "evenodd" : "nonzero";
  j["d"] = path_data(placed_path(l));
  if (l.stroke_by_stroke) j["stroke_by_stroke"] = true;
  if (l.coat != 0) j["coat"] = l.coat;
  if (l.raised_mm > 0) j["raised_mm"] = l.raised_mm;
  keep(j, l.unknown);
  return j;
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
  Json j;
  j["id"] = s.id;
  j["kind"] = s.kind;
  j["on"] = s.on;
  if (!s.values.empty() || !s.unknown_values.empty()) {
    Json values = to_value(s.values);
    keep(values, s.unknown_values);
    j["values"] = std::move(values);
  }
  keep(j, s.unknown);
  return j;
}

Json to_value(const Finding& note) {
  Json j;
  j["code"] = note.code;
  j["severity"] = word(note.severity);
  Json figures = Json::object();
  for (const auto& [name, figure] : note.figures) {
    if (name == "message") {  // as it came from an older version
      j["message"] = std::get<std::string>(figure);
    } else {
      std::visit([&, key = name](const auto& v) { figures[key] = v; }, figure);
    }
  }
  if (!figures.empty()) j["figures"] = std::move(figures);
  j["lines"] = list_of(note.lines, [](const LineRef& ref) { return Json(ref.line); });
  keep(j, note.unknown);
  return j;
}

Json to_value(const Source& s) {
  Json j = Json::object();
  if (!s.kind.empty()) {
    j["kind"] = s.kind;
    j["values"] = to_value(s.values);
    keep(j["values"], s.unknown_values);
    if (!s.picture->empty()) {
      Json& picture = j["picture"];
      picture["width"] = s.picture->width;
      picture["height"] = s.picture->height;
      picture["rgb"] = text_of_pixels(s.picture->rgb);
    }
  }
  j["file"] = s.file;
  j["unit_source"] = s.unit_source == UnitSource::stated ? "stated" : "assumed";
  j["per_inch"] = s.per_inch;
  j["notes"] = list_of(s.notes, [](const Finding& note) { return to_value(note); });
  keep(j, s.unknown);
  return j;
}

Json to_value(const Dress& d) {
  Json j;
  j["role_guessed"] = d.role_guessed;
  j["tool"] = d.tool;
  j["repeats"] = d.repeats;
  if (d.role) j["role"] = word(*d.role);
  if (d.stroke_by_stroke) j["stroke_by_stroke"] = true;
  if (d.raised_mm > 0) j["raised_mm"] = d.raised_mm;
  keep(j, d.unknown);
  return j;
}

Json to_value(const Hold& h) {
  Json j;
  j["axis"] = word(h.axis);
  j["own_share"] = h.own_share;
  j["to"] = list_of(h.to, [](const Anchor& a) {
    Json to;
    to["piece"] = a.piece;
    if (!a.line.empty()) to["line"] = a.line;
    to["share"] = a.share;
    keep(to, a.unknown);
    return to;
  });
  if (h.distance_mm != 0) j["distance_mm"] = h.distance_mm;
  if (!h.row.empty()) j["row"] = h.row;
  keep(j, h.unknown);
  return j;
}

Json to_value(const Piece& p) {
  const auto& m = p.placement;
  Json j;
  j["id"] = p.id;
  j["name"] = p.name;
  j["stock"] = p.stock;
  j["placement"] = numbers({m.a, m.b, m.c, m.d, m.e, m.f});
  j["aspect_locked"] = p.aspect_locked;
  j["source"] = to_value(p.source);
  j["lines"] = list_of(p.lines, [](const Line& l) { return to_value(l); });
  if (!p.group.empty()) j["group"] = p.group;
  if (p.helper) j["helper"] = true;
  if (p.hidden) j["hidden"] = true;
  if (p.locked) j["locked"] = true;
  if (p.not_now) j["not_now"] = true;
  if (!p.holds.empty()) j["held"] = list_of(p.holds, [](const Hold& h) { return to_value(h); });
  if (p.fit) {
    Json& fit = j["fitted"];
    fit["piece"] = p.fit->piece;
    fit["margin_mm"] = p.fit->margin_mm;
    keep(fit, p.fit->unknown);
  }
  if (!p.steps.empty()) j["recipe"] = list_of(p.steps, [](const Step& s) { return to_value(s); });
  for (const auto& [id, d] : p.dress) j["made_lines"][id] = to_value(d);
  keep(j, p.unknown);
  return j;
}

Json to_value(const Tool& t) {
  Json j;
  j["id"] = t.id;
  j["name"] = t.name;
  j["kind"] = word(t.kind);
  j["serves"] = role_words(t.serves);
  j["tip_width_mm"] = t.tip_width_mm;
  j["ink"] = hex(t.ink);
  j["min_force_gf"] = t.min_force_gf;
  j["max_force_gf"] = t.max_force_gf;
  j["thickest_mm"] = t.thickest_mm;
  if (t.count != 1) j["count"] = t.count;
  if (t.dry_s > 0) j["dry_s"] = t.dry_s;
  if (t.trail_mm > 0) j["trail_mm"] = t.trail_mm;
  if (t.overcut_mm > 0) j["overcut_mm"] = t.overcut_mm;
  if (t.tip_mm.x != 0) j["tip_x_mm"] = t.tip_mm.x;
  if (t.tip_mm.y != 0) j["tip_y_mm"] = t.tip_mm.y;
  if (t.lasts_m != 0) j["lasts_m"] = t.lasts_m;
  if (t.covers_mm != 0) j["covers_mm"] = t.covers_mm;
  if (t.price != 0) j["price"] = t.price;
  if (t.sits_deg != 0) j["sits_deg"] = t.sits_deg;
  if (t.transfers) j["transfers"] = true;
  keep(j, t.unknown);
  if (t.kind != ToolKind::other) j["kind"] = word(t.kind);  // else somebody's own word, if there is one
  return j;
}

Json to_value(const Setting& s) {
  Json j;
  j["force_gf"] = s.force_gf;
  j["speed_mm_s"] = s.speed_mm_s;
  j["depth"] = s.depth;
  j["repeats"] = s.repeats;
  if (s.tabs > 0) j["tabs"] = s.tabs;
  if (s.tab_mm != Setting{}.tab_mm) j["tab_mm"] = s.tab_mm;
  if (s.slowed.radius_mm != 0) j["slow_radius_mm"] = s.slowed.radius_mm;
  if (s.slowed.speed_mm_s != Slowed{}.speed_mm_s) j["slow_mm_s"] = s.slowed.speed_mm_s;
  keep(j, s.unknown);
  return j;
}

Json to_value(const Stock& s) {
  Json settings = Json::object();
  for (const auto& [role, setting] : s.settings) settings[std::string(word(role))] = to_value(setting);
  Json j;
  j["id"] = s.id;
  j["name"] = s.name;
  j["color"] = hex(s.color);
  j["thickness_mm"] = s.thickness_mm;
  j["grammage_gsm"] = s.grammage_gsm;
  j["settings"] = std::move(settings);
  if (s.shrinks_percent > 0) j["shrinks_percent"] = s.shrinks_percent;
  if (s.clear) j["clear"] = true;
  j["takes_ink"] = s.takes_ink;
  j["never_cut"] = s.never_cut;
  if (s.laid_out != LaidOut::as_drawn) j["laid_out"] = word(s.laid_out);
  if (s.grain != Grain::none) j["grain"] = word(s.grain);
  keep(j, s.unknown);
  return j;
}

Json to_value(const Machine& m) {
  Json mat;
  mat["name"] = m.mat.name;
  mat["width_mm"] = m.mat.width_mm;
  mat["height_mm"] = m.mat.height_mm;
  if (m.mat.tack != Tack::medium) mat["tack"] = word(m.mat.tack);
  keep(mat, m.mat.unknown);
  Json j;
  j["name"] = m.name;
  j["mat"] = std::move(mat);
  j["border_mm"] = m.border_mm;
  j["holders"] = m.holders;
  j["rated_thickness_mm"] = m.rated_thickness_mm;
  j["max_force_gf"] = m.max_force_gf;
  j["travel_mm_s"] = m.travel_mm_s;
  j["accel_mm_s2"] = m.accel_mm_s2;
  j["corner_mm"] = m.junction_deviation_mm;
  j["lower_s"] = m.lower_s;
  j["lift_s"] = m.lift_s;
  j["landing_mm"] = m.landing_mm;
  if (m.scale.x != 1) j["scale_x"] = m.scale.x;
  if (m.scale.y != 1) j["scale_y"] = m.scale.y;
  if (m.origin_mm.x != 0) j["origin_x_mm"] = m.origin_mm.x;
  if (m.origin_mm.y != 0) j["origin_y_mm"] = m.origin_mm.y;
  j["swap_s"] = m.swap_s;
  j["set_s"] = m.set_s;
  if (m.sets_depth) j["sets_depth"] = true;
  if (!m.reads_marks) j["reads_marks"] = false;
  if (m.mark_s != Machine{}.mark_s) j["mark_s"] = m.mark_s;
  if (m.jerk_mm_s3 > 0) j["jerk_mm_s3"] = m.jerk_mm_s3;
  if (!m.takes.empty())
    j["takes"] = list_of(m.takes, [](const std::vector<ToolKind>& kinds) {
      return list_of(kinds, [](ToolKind kind) { return Json(word(kind)); });
    });
  for (const auto& [role, pace] : m.pace) {
    Json& said = j["pace"][std::string(word(role))];
    said = {{"factor", pace.factor}, {"spread", pace.spread}};
    keep(said, pace.unknown);
  }
  j["bar_clears_mm"] = m.bar_clears_mm;
  j["bar_reaches_mm"] = m.bar_reaches_mm;
  if (!m.rollers_mm.empty()) j["rollers_mm"] = m.rollers_mm;
  if (!m.rollers_mm.empty() || m.roller_width_mm != Machine{}.roller_width_mm) j["roller_width_mm"] = m.roller_width_mm;
  keep(j, m.unknown);
  return j;
}

Json to_value(const PlanSettings& p) {
  Json j;
  j["role_order"] = role_words(p.role_order);
  if (p.minute_price != 0) j["minute_price"] = p.minute_price;
  const auto line = [](const PassLine& l) {
    Json out{{"piece", l.piece}, {"line", l.line}, {"sheet", l.sheet}};
    keep(out, l.unknown);
    return out;
  };
  if (!p.by_hand.empty())
    j["by_hand"] = list_of(p.by_hand, [&](const HandOrder& wish) {
      Json out{{"first", line(wish.first)}, {"second", line(wish.second)}};
      keep(out, wish.unknown);
      return out;
    });
  if (!p.pins.empty()) j["pins"] = list_of(p.pins, line);
  if (!p.loaded.empty())
    j["loaded"] = list_of(p.loaded, [](const Loaded& in) {
      Json out{{"tool", in.tool}, {"depth", in.depth}};
      keep(out, in.unknown);
      return out;
    });
  j["mirrored"] = p.mirrored;
  if (p.outlines_last) j["outlines_last"] = true;
  if (p.by_tool) j["by_tool"] = true;
  if (!p.not_now.empty()) j["not_now"] = list_of(p.not_now, [](const std::string& key) { return Json(key); });
  if (!p.roles_not_now.empty()) j["roles_not_now"] = role_words(p.roles_not_now);
  keep(j, p.unknown);
  return j;
}

}  // namespace

std::string to_json(const Project& project) {
  Json j;
  j["format"] = "dot-lane project";
  j["version"] = kFormatVersion;
  j["name"] = project.name;
  j["unit"] = project.unit == LengthUnit::inch ? "in" : "mm";
  j["machine"] = to_value(project.machine);
  if (!project.guides.empty())
    j["guides"] = list_of(project.guides, [](const Guide& g) {
      Json guide;
      guide["axis"] = word(g.axis);
      guide["at_mm"] = g.at_mm;
      keep(guide, g.unknown);
      return guide;
    });
  j["sheets"] = list_of(project.sheets, [](const Sheet& s) { return to_value(s); });
  j["pieces"] = list_of(project.pieces, [](const Shared<Piece>& p) { return to_value(*p); });
  if (!project.parts.empty()) j["parts"] = list_of(project.parts, [](const PartRecord& r) { return to_value(r); });
  if (!project.shelf.empty()) j["shelf"] = list_of(project.shelf, [](const ShelfItem& s) { return to_value(s); });
  if (!(project.laying == LaySettings{})) j["laying"] = to_value(project.laying);
  j["plan"] = to_value(project.plan);
  j["tools"] = list_of(project.tools, [](const Tool& t) { return to_value(t); });
  j["stocks"] = list_of(project.stocks, [](const Stock& s) { return to_value(s); });
  if (!(project.checks == CheckSettings{})) {
    Json& checks = j["checks"];
    checks["tiny_mm2"] = project.checks.tiny_mm2;
    checks["sliver_mm"] = project.checks.sliver_mm;
    checks["brush_mm"] = project.checks.brush_mm;
    checks["bleed_mm"] = project.checks.bleed_mm;
    keep(checks, project.checks.unknown);
  }
  keep(j, project.unknown);
  return j.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

}  // namespace dotlane
