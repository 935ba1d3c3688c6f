#include "cli/report.hpp"

#include <cmath>

#include "core/geometry/measure.hpp"
#include "core/geometry/parallel.hpp"
#include "core/text_scan.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

/// Figures to a tenth of a micrometre: enough for any reader, short enough to read.
double rounded(double v) { return std::round(v * 1e4) / 1e4; }

Json box_list(const Box& b) {
  if (b.empty()) return nullptr;
  return Json{rounded(b.x0), rounded(b.y0), rounded(b.x1), rounded(b.y1)};
}

std::string padded(std::string text, std::size_t width, bool right = true) {
  if (text.size() < width) text.insert(right ? 0 : text.size(), width - text.size(), ' ');
  return text;
}

std::string minutes(double seconds) {
  const auto s = static_cast<long>(std::lround(seconds));
  return std::to_string(s / 60) + " min " + std::to_string(s % 60) + " s";
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
  std::string out = "Size " + rounded_text(r["size_mm"][0], 2) + " x " + rounded_text(r["size_mm"][1], 2) + " mm, " +
                    r["unit_source"].get<std::string>() + " (" + rounded_text(r["per_inch"], 2) + " per inch)\n";
  out += padded("line", 24, false) + padded("colour", 9) + padded("role", 9) + padded("closed", 8) + padded("open", 6) +
         padded("length mm", 13) + padded("area mm2", 13) + "\n";
  for (const auto& l : r["lines"]) {
    out += padded(l["id"].get<std::string>(), 24, false) + padded(l["color"].get<std::string>(), 9) +
           padded(l["role"].get<std::string>(), 9) + padded(std::to_string(l["contours"].get<int>()), 8) +
           padded(std::to_string(l["open"].get<int>()), 6) + padded(rounded_text(l["length_mm"], 2), 13) +
           padded(rounded_text(l["area_mm2"], 2), 13) + "\n";
  }
  const auto& t = r["totals"];
  out += padded("total", 42, false) + padded(std::to_string(t["contours"].get<int>()), 8) +
         padded(std::to_string(t["open"].get<int>()), 6) + padded(rounded_text(t["length_mm"], 2), 13) +
         padded(rounded_text(t["area_mm2"], 2), 13) + "\n";
  for (const auto& f : r["findings"])
    out += f["severity"].get<std::string>() + ": " + f["message"].get<std::string>() + "\n";
  return out;
}

std::string parts_text(const Project& project, const std::vector<Part>& parts) {
  if (parts.empty()) return "No parts: nothing is cut, scored, drawn, foiled, engraved or printed.\n";
  std::string out = padded("part", 5) + "  " + padded("name", 30, false) + padded("stock", 24, false) +
                    padded("width mm", 10) + padded("height mm", 11) + padded("area mm2", 13) + padded("contours", 10) +
                    "\n";
  for (const auto& part : parts) {
    const Stock* stock = find_stock(project, part.stock);
    const Box box = part.bounds();
    out += padded(std::to_string(part.number), 5) + "  " + padded(part.name, 30, false) +
           padded(stock ? stock->name : part.stock, 24, false) + padded(rounded_text(box.width(), 2), 10) +
           padded(rounded_text(box.height(), 2), 11) +
           padded(part.has_body() ? rounded_text(part.area_mm2, 2) : "lines only", 13) +
           padded(std::to_string(part.lines.size()), 10) + "\n";
  }
  return out;
}

std::string plan_text(const Project& project, const Plan& plan) {
  if (plan.passes.empty()) return "Nothing to run: no line has a role and a tool.\n";
  std::string out = padded("pass", 5, false) + padded("holder", 7) + "  " + padded("role and tool", 38, false) +
                    padded("lines mm", 11) + padded("travel mm", 11) + padded("lifts", 7) + padded("repeats", 9) +
                    "  time\n";
  const auto name_of = [&](const std::string& id) {
    const Tool* tool = find_tool(project, id);
    return tool ? tool->name : id;
  };
  const auto hands = [&](const Pause& pause) {
    std::string what = pause.change_mat ? "; mat load " + std::to_string(pause.load) : "";
    for (const auto& load : pause.holders) {
      if (load.put_in.empty() && load.depth == 0) continue;
      what += "; holder " + std::to_string(load.holder) + ": " + name_of(load.holds);
      if (load.depth > 0) what += " at mark " + rounded_text(load.depth, 2);
    }
    return what.substr(std::min<std::size_t>(what.size(), 2));
  };
  std::size_t pause = 0;
  for (const auto& p : plan.passes) {
    if (p.pause_before && pause < plan.pauses.size()) out += "     -- pause: " + hands(plan.pauses[pause++]) + " --\n";
    const Tool* tool = find_tool(project, p.tool);
    out += padded(std::to_string(p.index), 5, false) + padded(std::to_string(p.holder), 7) + "  " +
           padded(std::string(word(p.role)) + ", " + (tool ? tool->name : p.tool), 38, false) +
           padded(rounded_text(p.length_mm, 1), 11) + padded(rounded_text(p.travel_mm, 1), 11) +
           padded(std::to_string(p.lifts), 7) + padded(std::to_string(p.repeats), 9) + "  " + minutes(p.seconds) + "\n";
  }
  out += std::to_string(plan.passes.size()) + " passes, " + std::to_string(plan.pauses.size()) + " pauses, " +
         minutes(plan.seconds) + " with hands on" +
         (plan.spread_seconds() >= 1 ? " (" + minutes(plan.seconds - plan.spread_seconds()) + " to " +
                                           minutes(plan.seconds + plan.spread_seconds()) + ")"
                                     : "") +
         (plan.mirrored ? ", mirrored" : "") + "\n";
  if (!plan.optimal)
    out += "Not proven to be the best order; no order needs fewer than " + std::to_string(plan.least_pauses) +
           " pauses.\n";
  return out;
}

std::string findings_text(const std::vector<Finding>& findings) {
  if (findings.empty()) return "Nothing found.\n";
  std::string out;
  for (const auto& f : findings) {
    out += std::string(word(f.severity)) + " [" + f.code + "] " + sentence(f) + "\n";
    for (const auto& fix : f.fixes) out += "    can be settled: " + label(fix) + "\n";
  }
  return out;
}

std::string run_text(const Json& r) {
  std::string out = "Outcome: " + r["outcome"].get<std::string>() + ", " + std::to_string(r["pauses"].get<int>()) +
                    " pauses, " + minutes(r["seconds"]) + " of running (planned " + minutes(r["planned_seconds"]) +
                    ")\n";
  if (r.contains("problem")) out += r["problem"].get<std::string>() + "\n";
  for (const auto& [tool, mm] : r["marked_mm"].items())
    out += padded(tool, 24, false) + padded(rounded_text(mm, 1), 12) + " mm marked\n";
  if (r.contains("deviation_mm")) {
    const auto count = [&](const char* key) { return std::to_string(r[key].get<int>()); };
    out += "Strokes: " + count("strokes_made") + " made, " + count("strokes_twice") + " twice, " +
           count("strokes_missing") + " missing; marks at most " +
           rounded_text(r["deviation_mm"]["max"].get<double>(), 3) + " mm off, " +
           rounded_text(r["deviation_mm"]["mean"].get<double>(), 3) + " mm in the mean, " + count("corners_rounded") +
           " corners rounded\n";
    if (r["resumed"].get<int>() > 0) out += "Gone on " + count("resumed") + " times after it was broken off\n";
  }
  for (const auto& sheet : r.value("printed", Json::array())) {
    out += "Printed sheet with the id " + std::to_string(sheet["sheet_id"].get<int>()) + ": ";
    out += sheet["found"].is_null()
               ? "its marks were not found\n"
               : "marks found, the cut at most " + rounded_text(sheet["off_print_mm"]["max"].get<double>(), 3) +
                     " mm off the print\n";
  }
  return out;
}

}  // namespace dotlane::cli
