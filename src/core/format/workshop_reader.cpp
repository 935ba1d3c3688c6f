#include "core/format/workshop_reader.hpp"

#include <algorithm>
#include <cmath>

namespace dotlane {
namespace {

/// The one of these whose word the file says; unknown words are errors.
template <class Options, class T>
void read_word(Fields& f, const char* key, const Options& options, T& out) {
  std::string said{word(out)};
  f.text(key, said);
  for (const T option : options) {
    if (said == word(option)) return void(out = option);
  }
  std::string all;
  for (const T option : options) all += (all.empty() ? "" : ", ") + std::string(word(option));
  f.bad(key, {"want-one-of", {{"words", all}}});
}

}  // namespace

Role read_role(const Json& json, const std::string& where) {
  const auto role = json.is_string() ? role_from(json.get<std::string>()) : std::nullopt;
  if (!role) throw BadField{where, {"want-role"}};
  return *role;
}

Tool read_tool(const Json& json, const std::string& where) {
  Fields f(json, where);
  Tool tool;
  f.text("id", tool.id);
  const bool slug = std::all_of(tool.id.begin(), tool.id.end(),
                                [](char c) { return (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || c == '-'; });
  if (tool.id.empty() || !slug) f.bad("id", {"want-slug"});
  f.text("name", tool.name);
  std::string kind;
  f.text("kind", kind);
  f.list("serves", [&](const Json& role, const std::string& at) { tool.serves.push_back(read_role(role, at)); });
  f.number("tip_width_mm", tool.tip_width_mm, 0.001, 100);
  f.color("ink", tool.ink);
  f.number("min_force_gf", tool.min_force_gf, 0, 10000);
  f.number("max_force_gf", tool.max_force_gf, 0, 10000);
  f.number("thickest_mm", tool.thickest_mm, 0, 100);
  f.integer("count", tool.count, 1, 99);
  f.number("dry_s", tool.dry_s, 0, 86'400);
  f.number("trail_mm", tool.trail_mm, 0, 5);
  f.number("overcut_mm", tool.overcut_mm, 0, 20);
  f.number("tip_x_mm", tool.tip_mm.x, -20, 20);
  f.number("tip_y_mm", tool.tip_mm.y, -20, 20);
  f.number("lasts_m", tool.lasts_m, 0, 1e6);
  f.number("covers_mm", tool.covers_mm, 0, 20);
  f.number("price", tool.price, 0, 1e6);
  f.number("sits_deg", tool.sits_deg, -360, 360);
  f.boolean("transfers", tool.transfers);
  tool.unknown = f.unknown();
  if (const auto known = tool_kind_from(kind)) {
    tool.kind = *known;
  } else if (!kind.empty()) {  // somebody's own word is kept
    Json rest = tool.unknown.empty() ? Json::object() : Json::parse(tool.unknown);
    rest["kind"] = kind;
    tool.unknown = rest.dump();
  }
  return tool;
}

Stock read_stock(const Json& json, const std::string& where) {
  Fields f(json, where);
  Stock stock;
  f.text("id", stock.id);
  f.text("name", stock.name);
  f.color("color", stock.color);
  f.number("thickness_mm", stock.thickness_mm, 0, 100);
  f.number("grammage_gsm", stock.grammage_gsm, 0, 10000);
  f.number("shrinks_percent", stock.shrinks_percent, 0, 50);
  f.boolean("clear", stock.clear);
  f.boolean("takes_ink", stock.takes_ink);
  f.boolean("never_cut", stock.never_cut);
  if (const Json* settings = f.find("settings")) {
    const std::string at = f.name_of("settings");
    if (!settings->is_object()) throw BadField{at, {"want-object"}};
    for (const auto& [key, value] : settings->items()) {
      const Role role = read_role(key, at);
      Setting setting = setting_for(stock, role);
      Fields s(value, at + "." + key);
      s.number("force_gf", setting.force_gf, 0, 10000);
      s.number("speed_mm_s", setting.speed_mm_s, 0.1, 5000);
      s.number("depth", setting.depth, 0, 100);
      s.integer("repeats", setting.repeats, 1, 99);
      s.integer("tabs", setting.tabs, 0, 99);
      s.number("tab_mm", setting.tab_mm, 0.1, 20);
      s.number("slow_radius_mm", setting.slowed.radius_mm, 0, 100);
      s.number("slow_mm_s", setting.slowed.speed_mm_s, 0.1, 5000);
      setting.unknown = s.unknown();
      stock.settings[role] = setting;
    }
  }
  // Files from before say nothing of blanks: what is engraved and has no setting for cutting is one.
  if (!f.find("never_cut") && stock.settings.contains(Role::engrave) && !stock.settings.contains(Role::cut))
    stock.never_cut = true, stock.takes_ink = stock.settings.contains(Role::draw);
  read_word(f, "laid_out", kLaidOut, stock.laid_out);
  read_word(f, "grain", kGrains, stock.grain);
  stock.unknown = f.unknown();
  return stock;
}

void read_machine(Machine& m, const Json& json, const std::string& where) {
  Fields f(json, where);
  f.text("name", m.name);
  if (const Json* mat = f.find("mat")) {
    Fields g(*mat, where + ".mat");
    g.text("name", m.mat.name);
    g.number("width_mm", m.mat.width_mm, 10, 10000);
    g.number("height_mm", m.mat.height_mm, 10, 10000);
    read_word(g, "tack", kTacks, m.mat.tack);
    m.mat.unknown = g.unknown();
  }
  f.number("border_mm", m.border_mm, 0, 1000);
  f.integer("holders", m.holders, 1, 4);
  f.number("rated_thickness_mm", m.rated_thickness_mm, 0, 100);
  f.number("max_force_gf", m.max_force_gf, 1, 10000);
  f.number("travel_mm_s", m.travel_mm_s, 0.1, 5000);
  f.number("accel_mm_s2", m.accel_mm_s2, 1, 100000);
  f.number("corner_mm", m.junction_deviation_mm, 0.0001, 10);
  f.number("lower_s", m.lower_s, 0, 60);
  f.number("lift_s", m.lift_s, 0, 60);
  f.number("landing_mm", m.landing_mm, 0, 5);
  f.number("scale_x", m.scale.x, 0.9, 1.1);
  f.number("scale_y", m.scale.y, 0.9, 1.1);
  f.number("origin_x_mm", m.origin_mm.x, -50, 50);
  f.number("origin_y_mm", m.origin_mm.y, -50, 50);
  f.number("swap_s", m.swap_s, 0, 3600);
  f.number("set_s", m.set_s, 0, 3600);
  f.boolean("sets_depth", m.sets_depth);
  f.boolean("reads_marks", m.reads_marks);
  f.number("mark_s", m.mark_s, 0, 600);
  f.number("jerk_mm_s3", m.jerk_mm_s3, 0, 1e9);
  f.list(
      "takes",
      [&](const Json& kinds, const std::string& at) {
        m.takes.emplace_back();
        if (!kinds.is_array()) throw BadField{at, {"want-tool-kinds"}};
        for (const auto& kind : kinds) {
          const auto known = tool_kind_from(kind.is_string() ? kind.get<std::string>() : "");
          if (!known) throw BadField{at, {"want-tool-kind"}};
          m.takes.back().push_back(*known);
        }
      },
      4);
  if (const Json* pace = f.find("pace")) {
    const std::string at = f.name_of("pace");
    if (!pace->is_object()) throw BadField{at, {"want-object"}};
    for (const auto& [role, said] : pace->items()) {
      Pace& out = m.pace[read_role(role, at)];
      Fields p(said, at + "." + role);
      p.number("factor", out.factor, 0.1, 10);
      p.number("spread", out.spread, 0, 0.9);
      out.unknown = p.unknown();
    }
  }
  f.number("bar_clears_mm", m.bar_clears_mm, 0, 100);
  f.number("bar_reaches_mm", m.bar_reaches_mm, 0, 500);
  f.list(
      "rollers_mm",
      [&](const Json& x, const std::string& at) {
        if (!x.is_number() || std::abs(x.get<double>()) > 10'000) throw BadField{at, {"want-place"}};
        m.rollers_mm.push_back(x.get<double>());
      },
      20);
  f.number("roller_width_mm", m.roller_width_mm, 0, 200);
  m.unknown = f.unknown();
}

}  // namespace dotlane
