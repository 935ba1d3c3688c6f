#include <algorithm>
#include <map>
#include <optional>
#include <set>

#include "core/format/json_fields.hpp"
#include "core/format/laying_json.hpp"
#include "core/format/picture_text.hpp"
#include "core/format/project_json.hpp"
#include "core/format/workshop_reader.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/path_data.hpp"
#include "core/project/bounds.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/project/presets.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

Finding read_note(const Json& json, const std::string& where, int piece) {
  Fields f(json, where);
  Finding note;
  std::string severity;
  f.text("code", note.code);
  f.text("severity", severity);
  note.severity = severity == "error" ? Severity::error : severity == "warning" ? Severity::warning : Severity::info;
  if (const Json* figures = f.find("figures")) {
    if (!figures->is_object()) throw BadField{f.name_of("figures"), {"want-object"}};
    for (const auto& [name, figure] : figures->items()) {
      if (figure.is_number()) {
        note.figures[name] = figure.get<double>();
      } else if (figure.is_string()) {
        note.figures[name] = figure.get<std::string>();
      } else {
        throw BadField{f.name_of("figures") + "." + name, {"want-number-or-text"}};
      }
    }
  }
  // Older versions kept the sentence itself.
  if (std::string message; f.find("message")) f.text("message", message), note.figures["message"] = message;
  f.list("lines", [&](const Json& id, const std::string& at) {
    if (!id.is_string()) throw BadField{at, {"want-line-id"}};
    note.lines.push_back({piece, id.get<std::string>()});
  });
  note.unknown = f.unknown();
  return note;
}

Line read_line(const Json& json, const std::string& where) {
  Fields f(json, where);
  Line line;
  f.text("id", line.id);
  f.text("layer", line.layer);
  f.color("color", line.color);
  f.boolean("filled", line.filled);
  f.boolean("dashed", line.dashed);
  if (const Json* role = f.find("role")) line.role = read_role(*role, f.name_of("role"));
  f.boolean("role_guessed", line.role_guessed);
  f.text("tool", line.tool);
  f.integer("repeats", line.repeats, 0, 99);
  f.boolean("stroke_by_stroke", line.stroke_by_stroke);
  f.integer("coat", line.coat, 0, 2);
  f.number("raised_mm", line.raised_mm, 0, 100);
  std::string data, rule;
  f.text("d", data);
  auto path = parse_path_data(data);
  if (!path) f.bad("d", path.error().said);
  f.text("fill_rule", rule);
  path->fill_rule = rule == "evenodd" ? FillRule::evenodd : FillRule::nonzero;
  // A move alone draws nothing, and what reads contours counts on a segment. Dots of a pen are open.
  std::erase_if(path->contours, [](const Contour& c) { return c.segments.empty() || (c.closed && is_point(c)); });
  line.path = std::move(*path);
  line.unknown = f.unknown();
  return line;
}

/// A value by its JSON type alone; nothing for what no value can be.
std::optional<Value> plain_value(const Json& json) {
  if (json.is_boolean()) return Value{json.get<bool>()};
  if (json.is_number()) return Value{json.get<double>()};
  if (json.is_string()) return Value{json.get<std::string>()};
  if (!json.is_array()) return std::nullopt;
  std::vector<double> list;
  for (const auto& v : json) {
    if (!v.is_number()) return std::nullopt;
    list.push_back(v.get<double>());
  }
  return Value{std::move(list)};
}

/// The values of a known kind; those it does not take go to `rest`.
Values read_values(const Json& json, const std::string& where, const KindSpec& spec, Unknown& rest) {
  if (!json.is_object()) throw BadField{where, {"want-object"}};
  Values out;
  Json unknown = Json::object();
  for (const auto& [key, value] : json.items()) {
    const ValueSpec* v = spec.find(key);
    if (!v) {
      unknown[key] = value;
      continue;
    }
    const auto plain = plain_value(value);
    const auto ok = plain ? accepts(*v, *plain) : Result<void>(fail(ErrorKind::malformed, {"want-value"}));
    if (!ok) throw BadField{where + "." + key, ok.error().said};
    out[key] = *plain;
  }
  if (!unknown.empty()) rest = unknown.dump();
  return out;
}

Step read_step(const Json& json, const std::string& where) {
  Fields f(json, where);
  Step step;
  f.integer("id", step.id, 0, 1'000'000);
  f.text("kind", step.kind);
  f.boolean("on", step.on);
  // The values of a step that a newer version knows are kept whole, as an unknown field.
  if (const KindSpec* spec = find_kind(step_kinds(), step.kind)) {
    if (const Json* values = f.find("values"))
      step.values = read_values(*values, f.name_of("values"), *spec, step.unknown_values);
  }
  step.unknown = f.unknown();
  return step;
}

Picture read_picture(const Json& json, const std::string& where) {
  Fields f(json, where);
  Picture picture;
  f.integer("width", picture.width, 1, 2 * kLargestPicture);
  f.integer("height", picture.height, 1, 2 * kLargestPicture);
  std::string text;
  f.text("rgb", text);
  auto rgb =
      pixels_from_text(text, static_cast<std::size_t>(picture.width) * static_cast<std::size_t>(picture.height) * 3);
  if (!rgb) f.bad("rgb", rgb.error().said);
  picture.rgb = std::move(*rgb);
  return picture;
}

Source read_source(const Json& json, const std::string& where, int piece) {
  Fields s(json, where);
  Source source;
  std::string unit = "stated";
  s.text("kind", source.kind);
  if (!source.kind.empty()) {
    const KindSpec* spec = find_kind(shape_kinds(), source.kind);
    if (!spec) s.bad("kind", {"unknown-shape", {{"shape", source.kind}}});
    if (const Json* values = s.find("values"))
      source.values = read_values(*values, s.name_of("values"), *spec, source.unknown_values);
    if (const Json* picture = s.find("picture")) source.picture = read_picture(*picture, s.name_of("picture"));
  }
  s.text("file", source.file);
  s.text("unit_source", unit);
  source.unit_source = unit == "assumed" ? UnitSource::assumed : UnitSource::stated;
  s.number("per_inch", source.per_inch, 1e-6, 1e9);
  s.list("notes", [&](const Json& note, const std::string& at) { source.notes.push_back(read_note(note, at, piece)); });
  source.unknown = s.unknown();
  return source;
}

Axis read_axis(Fields& f) {
  std::string said;
  f.text("axis", said);
  for (const Axis axis : kAxes) {
    if (said == word(axis)) return axis;
  }
  f.bad("axis", {"want-one-of", {{"words", "x, y"}}});
}

Hold read_hold(const Json& json, const std::string& where) {
  Fields f(json, where);
  Hold hold;
  hold.axis = read_axis(f);
  f.number("own_share", hold.own_share, 0, 1);
  f.list(
      "to",
      [&](const Json& to, const std::string& at) {
        Fields g(to, at);
        Anchor& anchor = hold.to.emplace_back();
        g.integer("piece", anchor.piece, 0, 1'000'000'000);
        g.text("line", anchor.line);
        g.number("share", anchor.share, 0, 1);
        anchor.unknown = g.unknown();
      },
      2);
  if (hold.to.empty()) f.bad("to", {"want-one-or-two-places"});
  f.number("distance_mm", hold.distance_mm, -kFarthestMm, kFarthestMm);
  f.list("row", [&](const Json& id, const std::string& at) {
    if (!id.is_number_integer()) throw BadField{at, {"want-piece-id"}};
    hold.row.push_back(id.get<int>());
  });
  if (!hold.row.empty() && hold.to.size() != 2) f.bad("to", {"row-needs-two-places"});
  hold.unknown = f.unknown();
  return hold;
}

Piece read_piece(const Json& json, const std::string& where) {
  Fields f(json, where);
  Piece piece;
  f.integer("id", piece.id, 1, 1'000'000'000);
  f.text("name", piece.name);
  f.text("stock", piece.stock);
  double m[6] = {1, 0, 0, 1, 0, 0};
  f.numbers("placement", m);
  piece.placement = {m[0], m[1], m[2], m[3], m[4], m[5]};
  f.boolean("aspect_locked", piece.aspect_locked);
  f.text("group", piece.group);
  f.boolean("helper", piece.helper);
  f.boolean("hidden", piece.hidden);
  f.boolean("locked", piece.locked);
  f.boolean("not_now", piece.not_now);
  f.list("held", [&](const Json& hold, const std::string& at) {
    piece.holds.push_back(read_hold(hold, at));
    for (std::size_t i = 0; i + 1 < piece.holds.size(); ++i) {
      if (piece.holds[i].axis == piece.holds.back().axis) throw BadField{at + ".axis", {"held-already"}};
    }
  });
  if (const Json* fitted = f.find("fitted")) {
    Fields g(*fitted, f.name_of("fitted"));
    piece.fit.emplace();
    g.integer("piece", piece.fit->piece, 1, 1'000'000'000);
    g.number("margin_mm", piece.fit->margin_mm, 0, 5000);
    piece.fit->unknown = g.unknown();
  }
  if (const Json* source = f.find("source")) piece.source = read_source(*source, f.name_of("source"), piece.id);
  std::set<int> steps;
  f.list("recipe", [&](const Json& step, const std::string& at) {
    piece.steps.push_back(read_step(step, at));
    const int id = piece.steps.back().id;
    if (id != 0 && !steps.insert(id).second) throw BadField{at + ".id", {"id-taken"}};
  });
  for (auto& step : piece.steps) {
    for (int id = 1; step.id == 0; ++id) {
      if (steps.insert(id).second) step.id = id;
    }
  }
  if (const Json* dress = f.find("made_lines")) {
    const std::string at = f.name_of("made_lines");
    if (!dress->is_object()) throw BadField{at, {"want-object"}};
    for (const auto& [id, said] : dress->items()) {
      Fields d(said, at + "." + id);
      Dress& out = piece.dress[id];
      if (const Json* role = d.find("role")) out.role = read_role(*role, d.name_of("role"));
      d.boolean("role_guessed", out.role_guessed);
      d.text("tool", out.tool);
      d.integer("repeats", out.repeats, 0, 99);
      d.boolean("stroke_by_stroke", out.stroke_by_stroke);
      d.number("raised_mm", out.raised_mm, 0, 100);
      out.unknown = d.unknown();
    }
  }
  std::set<std::string> ids;
  f.list(
      "lines",
      [&](const Json& line, const std::string& at) {
        piece.lines.push_back(read_line(line, at));
        const Line& read = piece.lines.back();
        if (!ids.insert(read.id).second) throw BadField{at + ".id", {"id-taken"}};
      },
      1'000'000);
  switch (const BrokenBound broken = broken_bound(piece); broken.bound) {
    case Bound::kept:
      break;
    case Bound::flattened:
      f.bad("placement", {"matrix-flattens"});
    case Bound::enlarged:
      f.bad("placement", {"matrix-enlarges"});
    case Bound::distant:
      if (broken.line == BrokenBound::npos) f.bad("placement", too_far());
      throw BadField{f.name_of("lines") + "[" + std::to_string(broken.line) + "].d", too_far()};
  }
  piece.unknown = f.unknown();
  return piece;
}

/// Keys of passes in the order wished, as files had them before: "load/sheet/role/tool/repeats". The first line of each
/// stands for its pass, so what comes after another on its mat still does.
void read_keys_in_order(Project& project, const std::vector<std::string>& keys) {
  const auto line_of = [&](const std::string& key) -> std::optional<std::pair<int, PassLine>> {
    const auto words = split(key, '/');
    if (words.size() < 5) return std::nullopt;
    const Sheet* sheet = find_sheet(project, static_cast<int>(to_integer(words[1]).value_or(0)));
    if (!sheet) return std::nullopt;
    for (const auto& piece : project.pieces) {
      if (piece->stock != sheet->stock) continue;
      for (const auto& line : piece->lines) {
        if (word(line.role) == words[2] && line.tool == words[3])
          return std::pair(sheet->load, PassLine{piece->id, line.id, sheet->id});
      }
    }
    return std::nullopt;
  };
  std::map<int, PassLine> last;  // of each mat
  for (const auto& key : keys) {
    const auto line = line_of(key);
    if (!line) continue;
    const auto known = last.find(line->first);
    if (known != last.end()) project.plan.by_hand.push_back({known->second, line->second});
    last[line->first] = line->second;
  }
}

void read_plan(Project& project, const Json& json, const std::string& where) {
  PlanSettings& plan = project.plan;
  Fields f(json, where);
  if (f.find("role_order")) {
    plan.role_order.clear();
    f.list("role_order", [&](const Json& role, const std::string& at) {
      const Role r = read_role(role, at);
      if (std::find(plan.role_order.begin(), plan.role_order.end(), r) == plan.role_order.end()) {
        plan.role_order.push_back(r);
      }
    });
    // A role that the file does not know comes before those that it is run before by itself.
    const auto standard = PlanSettings{}.role_order;
    for (std::size_t k = standard.size(); k-- > 0;) {
      auto& order = plan.role_order;
      if (std::find(order.begin(), order.end(), standard[k]) != order.end()) continue;
      order.insert(k + 1 < standard.size() ? std::find(order.begin(), order.end(), standard[k + 1]) : order.end(),
                   standard[k]);
    }
  }
  std::vector<std::string> keys;
  f.list("pass_order", [&](const Json& key, const std::string& at) {
    if (!key.is_string()) throw BadField{at, {"want-pass-key"}};
    keys.push_back(key.get<std::string>());
  });
  read_keys_in_order(project, keys);
  const auto line_on_sheet = [](const Json& said, const std::string& at) {
    PassLine out;
    Fields fields(said, at);
    fields.integer("piece", out.piece, 0, 1'000'000'000);
    fields.text("line", out.line);
    fields.integer("sheet", out.sheet, 0, 1'000'000'000);
    out.unknown = fields.unknown();
    return out;
  };
  f.list("by_hand", [&](const Json& wish, const std::string& at) {
    Fields both(wish, at);
    const auto line = [&](const char* key) {
      const Json* value = both.find(key);
      if (!value) throw BadField{at, {"want-first-and-second"}};
      return line_on_sheet(*value, at + "/" + key);
    };
    HandOrder& out = plan.by_hand.emplace_back();
    out.first = line("first"), out.second = line("second");
    out.unknown = both.unknown();
  });
  f.list("pins", [&](const Json& pin, const std::string& at) { plan.pins.push_back(line_on_sheet(pin, at)); });
  f.boolean("mirrored", plan.mirrored);
  f.boolean("outlines_last", plan.outlines_last);
  f.boolean("by_tool", plan.by_tool);
  f.list("not_now", [&](const Json& key, const std::string& at) {
    if (!key.is_string()) throw BadField{at, {"want-pass-key"}};
    plan.not_now.push_back(key.get<std::string>());
  });
  f.list(
      "loaded",
      [&](const Json& in, const std::string& at) {
        Fields holder(in, at);
        Loaded& loaded = plan.loaded.emplace_back();
        holder.text("tool", loaded.tool);
        holder.number("depth", loaded.depth, 0, 100);
        loaded.unknown = holder.unknown();
      },
      4);
  f.number("minute_price", plan.minute_price, 0, 1e6);
  f.list("roles_not_now",
         [&](const Json& role, const std::string& at) { plan.roles_not_now.push_back(read_role(role, at)); });
  plan.unknown = f.unknown();
}

Project read_project(const Json& json) {
  Fields f(json, "");
  Project p = new_project("");
  std::string format;
  f.text("format", format);
  if (format != "dot-lane project") throw BadField{"format", {"not-a-project"}};
  int version = 0;
  f.integer("version", version, 1, 1'000'000);
  if (version > kFormatVersion) {
    throw BadField{"version", {"project-newer", {{"version", figure(version)}, {"known", figure(kFormatVersion)}}}};
  }
  f.text("name", p.name);
  std::string unit = "mm";
  f.text("unit", unit);
  p.unit = unit == "in" ? LengthUnit::inch : LengthUnit::mm;
  std::set<int> ids;
  f.list("pieces", [&](const Json& piece, const std::string& at) {
    p.pieces.emplace_back(read_piece(piece, at));
    if (!ids.insert(p.pieces.back()->id).second) throw BadField{at + ".id", {"id-taken"}};
  });
  f.list("guides", [&](const Json& json_guide, const std::string& at) {
    Fields g(json_guide, at);
    Guide& guide = p.guides.emplace_back();
    guide.axis = read_axis(g);
    g.number("at_mm", guide.at_mm, -kFarthestMm, kFarthestMm);
    guide.unknown = g.unknown();
  });
  f.list("sheets", [&](const Json& sheet, const std::string& at) { p.sheets.push_back(read_sheet(sheet, at)); });
  f.list("parts", [&](const Json& part, const std::string& at) { p.parts.push_back(read_part(part, at)); });
  if (const Json* laying = f.find("laying")) p.laying = read_laying(*laying, f.name_of("laying"));
  f.list("shelf", [&](const Json& item, const std::string& at) { p.shelf.push_back(read_shelf_item(item, at)); });
  if (f.find("stocks")) p.stocks.clear();
  f.list("stocks", [&](const Json& stock, const std::string& at) { p.stocks.push_back(read_stock(stock, at)); });
  if (f.find("tools")) p.tools.clear();
  f.list("tools", [&](const Json& tool, const std::string& at) {
    Tool read = read_tool(tool, at);
    if (find_tool(p, read.id)) throw BadField{at + ".id", {"id-taken"}};
    p.tools.push_back(std::move(read));
  });
  if (const Json* machine = f.find("machine")) read_machine(p.machine, *machine, "machine");
  if (const Json* plan = f.find("plan")) read_plan(p, *plan, "plan");
  if (const Json* checks = f.find("checks")) {
    Fields c(*checks, "checks");
    c.number("tiny_mm2", p.checks.tiny_mm2, 0, 1e6);
    c.number("sliver_mm", p.checks.sliver_mm, 0, 100);
    c.number("brush_mm", p.checks.brush_mm, 0, 100);
    c.number("bleed_mm", p.checks.bleed_mm, 0, 1000);
    p.checks.unknown = c.unknown();
  }
  for (const auto& piece : p.pieces) {
    if (!find_stock(p, piece->stock)) {
      throw BadField{"pieces", {"piece-without-stock", {{"piece", figure(piece->id)}, {"stock", piece->stock}}}};
    }
    for (const auto& line : piece->lines) {
      if (!line.tool.empty() && !find_tool(p, line.tool)) {
        throw BadField{"pieces", {"line-without-tool", {{"line", line.id}, {"tool", line.tool}}}};
      }
    }
    for (const auto& [id, dress] : piece->dress) {
      if (!dress.tool.empty() && !find_tool(p, dress.tool)) {
        throw BadField{"pieces", {"line-without-tool", {{"line", id}, {"tool", dress.tool}}}};
      }
    }
  }
  // A piece whose stock has no sheet would be in no plan and no finding.
  add_missing_sheets(p);
  p.unknown = f.unknown();
  return p;
}

}  // namespace

Result<Project> project_from_json(std::string_view text, const std::string& file_name) {
  // A callback refuses deep nesting before the parser's tree can grow (its destructor recurses).
  bool deep = false;
  const auto guard = [&deep](int depth, Json::parse_event_t, Json&) {
    deep = deep || depth > 64;
    return !deep;
  };
  try {
    const Json json = Json::parse(text.begin(), text.end(), guard);
    if (deep) return fail(ErrorKind::malformed, {"project-nested"}, file_name);
    return read_project(json);
  } catch (const Json::parse_error& e) {
    const auto end = std::min<std::size_t>(e.byte, text.size());
    const auto line = 1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(end), '\n');
    return fail(ErrorKind::malformed, {"project-cut-short"}, file_name + ":" + std::to_string(line));
  } catch (const Json::exception& e) {
    return fail(ErrorKind::malformed, {"json", {{"why", e.what()}}}, file_name);
  } catch (const BadField& bad) {
    return fail(ErrorKind::malformed, bad.said, bad.field.empty() ? file_name : file_name + ": " + bad.field);
  }
}

}  // namespace dotlane
