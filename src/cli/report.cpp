#include "cli/report.hpp"

#include <cmath>

#include "cli/say.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/parallel.hpp"
#include "words/language.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

/// Figures to a tenth of a micrometre: enough for any reader, short enough to read.
double rounded(double v) { return std::round(v * 1e4) / 1e4; }

Json box_list(const Box& b) {
  if (b.empty()) return nullptr;
  return Json{rounded(b.x0), rounded(b.y0), rounded(b.x1), rounded(b.y1)};
}

std::string minutes(double seconds) {
  const long s = std::lround(seconds);
  return phrase("minutes-seconds", {{"minutes", figure(s / 60)}, {"seconds", figure(s % 60)}});
}

}  // namespace

Json findings_report(const std::vector<Finding>& findings) {
  Json out = Json::array();
  for (const auto& f : findings) {
    Json lines = Json::array();
    for (const auto& ref : f.lines) lines.push_back(ref.piece ? std::to_string(ref.piece) + "/" + ref.line : ref.line);
    Json fixes = Json::array();
    for (const auto& fix : f.fixes) fixes.push_back(label(fix));
    Json figures = Json::object();
    for (const auto& [name, figure] : f.figures) {
      if (const auto* number = std::get_if<double>(&figure)) {
        figures[name] = std::round(*number * 1e4) / 1e4;
      } else {
        figures[name] = std::get<std::string>(figure);
      }
    }
    Json finding;
    finding["code"] = f.code;
    finding["severity"] = word(f.severity);
    finding["message"] = sentence(f);
    finding["figures"] = std::move(figures);
    finding["lines"] = std::move(lines);
    finding["fixes"] = std::move(fixes);
    if (f.at) finding["at_mm"] = {std::round(f.at->x * 1e4) / 1e4, std::round(f.at->y * 1e4) / 1e4};
    out.push_back(std::move(finding));
  }
  return out;
}

Json inspect_report(const Project& project, const Derived& derived, const Artwork* art) {
  Json lines = Json::array();
  Box all;
  int contours = 0, open = 0;
  double length = 0, area = 0;
  for (const auto& drawn : derived.drawing.pieces) {
    const Piece* piece = &*drawn->piece;
    std::vector<Path> paths;
    for (const auto& line : piece->lines) paths.push_back(transformed(*line.path, drawn->map * line.at));
    std::vector<double> areas(paths.size());
    for_each_index(paths.size(), 16, [&](std::size_t i) { areas[i] = enclosed_area_of(paths[i]); });
    for (std::size_t i = 0; i < paths.size(); ++i) {
      const Line& line = piece->lines[i];
      const Path& path = paths[i];
      const Box box = bounds_of(path);
      int closed_here = 0, open_here = 0;
      for (const auto& c : path.contours) (c.closed ? closed_here : open_here) += 1;
      const double l = length_of(path), a = areas[i];
      lines.push_back({{"id", art ? line.id : std::to_string(piece->id) + "/" + line.id},
                       {"layer", line.layer},
                       {"color", hex(line.color)},
                       {"role", word(line.role)},
                       {"tool", line.tool},
                       {"contours", closed_here},
                       {"open", open_here},
                       {"length_mm", rounded(l)},
                       {"area_mm2", rounded(a)},
                       {"bounds_mm", box_list(box)}});
      all.add(box);
      contours += closed_here, open += open_here, length += l, area += a;
    }
  }
  Json out;
  if (art) {
    out["unit_source"] = art->unit_source == UnitSource::stated ? "stated" : "assumed";
    out["per_inch"] = rounded(art->per_inch);
    out["size_mm"] = {rounded(art->width_mm), rounded(art->height_mm)};
  } else {
    bool assumed = false;
    for (const auto& piece : project.pieces) assumed = assumed || piece->source.unit_source == UnitSource::assumed;
    out["unit_source"] = assumed ? "assumed" : "stated";
    out["per_inch"] = project.pieces.empty() ? 96.0 : project.pieces.front()->source.per_inch;
    out["size_mm"] = {rounded(all.width()), rounded(all.height())};
  }
  out["bounds_mm"] = box_list(all);
  out["lines"] = std::move(lines);
  out["totals"] = {{"contours", contours},
                   {"open", open},
                   {"length_mm", rounded(length)},
                   {"area_mm2", rounded(area)},
                   {"bounds_mm", box_list(all)}};
  // A drawing's own findings name its lines by their ids alone.
  auto findings = derived.findings;
  if (art) {
    for (auto& f : findings) {
      for (auto& ref : f.lines) ref.piece = 0;
    }
  }
  out["findings"] = findings_report(findings);
  return out;
}

Json parts_report(const Drawing& drawing, const std::vector<Part>& parts) {
  Json list = Json::array();
  for (const auto& part : parts) {
    Json lines = Json::array();
    for (const auto& at : part.lines) {
      const std::string id = std::to_string(at.piece) + "/" + find_drawn(drawing, at.piece)->piece->lines[at.line].id;
      if (lines.empty() || lines.back() != id) lines.push_back(id);
    }
    const Box box = part.bounds();
    Json out;
    out["number"] = part.number;
    out["name"] = part.name;
    out["stock"] = part.stock;
    out["area_mm2"] = rounded(part.area_mm2);
    out["size_mm"] = {rounded(box.width()), rounded(box.height())};
    out["reach_mm"] = box_list(part.reach);
    out["contours"] = part.lines.size();
    out["lines"] = std::move(lines);
    list.push_back(std::move(out));
  }
  return {{"parts", std::move(list)}};
}

Json plan_report(const Plan& plan) {
  Json passes = Json::array();
  for (const auto& p : plan.passes) {
    passes.push_back({{"index", p.index},
                      {"load", p.load},
                      {"sheet", p.sheet},
                      {"role", word(p.role)},
                      {"tool", p.tool},
                      {"holder", p.holder},
                      {"pause_before", p.pause_before},
                      {"repeats", p.repeats},
                      {"force_gf", rounded(p.force_gf)},
                      {"speed_mm_s", rounded(p.speed_mm_s)},
                      {"depth", rounded(p.depth)},
                      {"contours", p.contours},
                      {"length_mm", rounded(p.length_mm)},
                      {"travel_mm", rounded(p.travel_mm)},
                      {"lifts", p.lifts},
                      {"seconds", rounded(p.seconds)},
                      {"key", p.key}});
  }
  Json reasons = Json::array();
  for (const auto& reason : plan.reasons)
    reasons.push_back({{"pass", reason.second + 1}, {"after", reason.first + 1}, {"why", word(reason.why)}});
  return {{"passes", std::move(passes)},
          {"pauses", plan.pauses.size()},
          {"swaps", handwork_of(plan).swaps},
          {"reasons", std::move(reasons)},
          {"lower_bound_pauses", plan.least_pauses},
          {"optimal", plan.optimal},
          {"mirrored", plan.mirrored},
          {"running_seconds", rounded(plan.running_seconds())},
          {"seconds", rounded(plan.seconds)},
          {"seconds_low", rounded(plan.seconds - plan.spread_seconds())},
          {"seconds_high", rounded(plan.seconds + plan.spread_seconds())}};
}

Json run_report(const RunRecord& record, const Plan& plan) {
  Json marked = Json::object();
  for (const auto& [tool, mm] : record.marked_mm) marked[tool] = rounded(mm);
  Json out{{"outcome", word(record.outcome)},
           {"pauses", record.pauses},
           {"marked_mm", marked},
           {"seconds", rounded(record.seconds)},
           {"planned_seconds", rounded(plan.running_seconds())}};
  if (!record.problem.code.empty()) out["problem"] = sentence(record.problem);
  return out;
}

Json printed_report(const Project& project, const Plan& plan, const RunRecord& record,
                    const std::vector<PrintedSheet>& printed) {
  Json out = Json::array();
  for (const auto& lies : printed) {
    const Sheet* sheet = find_sheet(project, lies.sheet);
    if (!sheet) continue;
    const Vec centre = sheet->area.centre();
    const auto told = [&](const Affine& map) {
      const Displacement by = displacement_of(map, centre);
      return Json{{"turn_deg", rounded(by.turn_deg)},
                  {"shift_mm", {rounded(by.shift.x), rounded(by.shift.y)}},
                  {"scale", {rounded(by.least), rounded(by.most)}}};
    };
    Json one{{"sheet_id", lies.sheet}, {"lies", told(lies.placement)}, {"found", nullptr}};
    for (const auto& found : record.registrations) {
      if (found.sheet != lies.sheet) continue;
      one["found"] = told(found.map);
      one["found"]["residual_mm"] = rounded(found.residual_mm);
    }
    const OffPrint off = off_print(plan, record, lies, sheet->area);
    one["off_print_mm"] = {{"max", rounded(off.most_mm)}, {"mean", rounded(off.mean_mm)}};
    out.push_back(std::move(one));
  }
  return out;
}

std::string inspect_text(const Json& r) {
  const auto number = [](const Json& of, int decimals) { return number_text(of.get<double>(), decimals); };
  std::string out = say(r["unit_source"] == "stated" ? "inspected" : "inspected/assumed",
                        {{"width", r["size_mm"][0].get<double>()},
                         {"height", r["size_mm"][1].get<double>()},
                         {"per-inch", r["per_inch"].get<double>()}});
  Table table("<<<>>>>");
  table.row({phrase("column-line"), phrase("column-colour"), phrase("column-role"), phrase("column-closed"),
             phrase("column-open"), phrase("column-length"), phrase("column-area")});
  for (const auto& l : r["lines"])
    table.row({l["id"].get<std::string>(), l["color"].get<std::string>(), in_words(l["role"].get<std::string>()),
               number(l["contours"], 0), number(l["open"], 0), number(l["length_mm"], 2), number(l["area_mm2"], 2)});
  const auto& t = r["totals"];
  table.row({phrase("column-total"), "", "", number(t["contours"], 0), number(t["open"], 0), number(t["length_mm"], 2),
             number(t["area_mm2"], 2)});
  out += table.text();
  for (const auto& f : r["findings"])
    out += named("severity", f["severity"].get<std::string>()) + ": " + f["message"].get<std::string>() + "\n";
  return out;
}

std::string parts_text(const Project& project, const std::vector<Part>& parts) {
  if (parts.empty()) return say("told-no-parts");
  Table table("><<>>>>");
  table.row({phrase("column-part"), phrase("column-name"), phrase("column-stock"), phrase("column-width"),
             phrase("column-height"), phrase("column-area"), phrase("column-contours")});
  for (const auto& part : parts) {
    const Stock* stock = find_stock(project, part.stock);
    const Box box = part.bounds();
    table.row({std::to_string(part.number), part.name, stock ? stock->name : part.stock, number_text(box.width(), 2),
               number_text(box.height(), 2),
               part.has_body() ? number_text(part.area_mm2, 2) : phrase("part-lines-only"),
               std::to_string(part.lines.size())});
  }
  return table.text();
}

std::string plan_text(const Project& project, const Plan& plan) {
  if (plan.passes.empty()) return say("told-no-passes");
  Table table(">><>>>><");
  table.row({phrase("column-pass"), phrase("column-holder"), phrase("column-work"), phrase("column-lines"),
             phrase("column-travel"), phrase("column-lifts"), phrase("column-repeats"), phrase("column-time")});
  const auto name_of = [&](const std::string& id) {
    const Tool* tool = find_tool(project, id);
    return tool ? tool->name : id;
  };
  const auto hands = [&](const Pause& pause) {
    std::vector<std::string> what;
    if (pause.change_mat) what.push_back(phrase("hands-mat", {{"load", figure(pause.load)}}));
    for (const auto& load : pause.holders) {
      if (load.put_in.empty() && load.depth == 0) continue;
      Figures figures{{"holder", figure(load.holder)}, {"tool", name_of(load.holds)}};
      if (load.depth > 0) figures["mark"] = load.depth;
      what.push_back(phrase("hands-holder", figures));
    }
    std::string out;
    for (const auto& one : what) out += (out.empty() ? "" : "; ") + one;
    return out;
  };
  std::size_t pause = 0;
  for (const auto& p : plan.passes) {
    if (p.pause_before && pause < plan.pauses.size())
      table.line("     -- " + phrase("hands", {{"what", hands(plan.pauses[pause++])}}) + " --");
    table.row({std::to_string(p.index), std::to_string(p.holder),
               in_words(std::string(word(p.role))) + ", " + name_of(p.tool), number_text(p.length_mm, 1),
               number_text(p.travel_mm, 1), std::to_string(p.lifts), std::to_string(p.repeats), minutes(p.seconds)});
  }
  Figures figures{
      {"passes", figure(plan.passes.size())}, {"pauses", figure(plan.pauses.size())}, {"time", minutes(plan.seconds)}};
  if (plan.spread_seconds() >= 1) {
    figures["least"] = minutes(plan.seconds - plan.spread_seconds());
    figures["most"] = minutes(plan.seconds + plan.spread_seconds());
  }
  return table.text() + say(plan.mirrored ? "planned/mirrored" : "planned", figures) +
         (plan.optimal ? "" : say("not-proven", {{"pauses", figure(plan.least_pauses)}}));
}

std::string findings_text(const std::vector<Finding>& findings) {
  if (findings.empty()) return say("no-findings");
  std::string out;
  for (const auto& f : findings) {
    out += named("severity", word(f.severity)) + " [" + f.code + "] " + sentence(f) + "\n";
    for (const auto& fix : f.fixes) out += "    " + say("can-be-settled", {{"how", label(fix)}});
  }
  return out;
}

std::string run_text(const Json& r) {
  const auto number = [&](const char* key) { return r[key].get<double>(); };
  std::string out = say("ran", {{"outcome", named("outcome", r["outcome"].get<std::string>())},
                                {"pauses", number("pauses")},
                                {"time", minutes(number("seconds"))},
                                {"planned", minutes(number("planned_seconds"))}});
  if (r.contains("problem")) out += r["problem"].get<std::string>() + "\n";
  Table table("<>");
  for (const auto& [tool, mm] : r["marked_mm"].items())
    table.row({tool, phrase("ran-marked", {{"mm", mm.get<double>()}})});
  out += table.text();
  if (r.contains("deviation_mm")) {
    out += say("ran-strokes", {{"made", number("strokes_made")},
                               {"twice", number("strokes_twice")},
                               {"missing", number("strokes_missing")},
                               {"most", r["deviation_mm"]["max"].get<double>()},
                               {"mean", r["deviation_mm"]["mean"].get<double>()},
                               {"corners", number("corners_rounded")}});
    if (number("resumed") > 0) out += say("ran-on", {{"times", number("resumed")}});
  }
  for (const auto& sheet : r.value("printed", Json::array())) {
    Figures figures{{"sheet", sheet["sheet_id"].get<double>()}};
    if (!sheet["found"].is_null()) figures["most"] = sheet["off_print_mm"]["max"].get<double>();
    out += say(sheet["found"].is_null() ? "ran-print/lost" : "ran-print", figures);
  }
  return out;
}

}  // namespace dotlane::cli
