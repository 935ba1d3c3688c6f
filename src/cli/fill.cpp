#include "cli/fill.hpp"

#include <set>

#include "cli/options.hpp"
#include "cli/say.hpp"
#include "core/plan/fill_figures.hpp"

namespace dotlane::cli {

Json fill_report(const Project& project, const std::vector<int>& pieces, std::optional<double> tip_mm) {
  DrawingCache cache;
  const Drawing drawing = evaluate(project, cache);
  std::size_t strokes = 0, lifts = 0;
  double length = 0, travel = 0, seconds = 0, region = 0, inked = 0, outside = 0, gap = 0, tip = 0, cell = 0;
  std::set<std::string> unfilled;
  for (const int id : pieces) {
    const DrawnPiece* drawn = find_drawn(drawing, id);
    if (!drawn) continue;
    for (const auto& step : find_piece(project, id)->steps) {
      const auto subject = fill_subject(project, *drawn, step.id, tip_mm);
      if (!subject) continue;
      const FillFigures f = figures_of(*subject);
      strokes += f.strokes;
      lifts += f.cost.lifts;
      length += f.cost.length_mm;
      travel += f.cost.travel_mm;
      seconds += f.cost.seconds;
      region += f.coverage.region_mm2;
      inked += f.coverage.inked_mm2;
      outside += f.coverage.outside_mm2;
      gap = std::max(gap, f.coverage.largest_gap_mm);
      tip = subject->run.tip_mm;
      cell = std::max(cell, f.coverage.cell_mm);
      for (const std::size_t part : f.unfilled) unfilled.insert(subject->made->parts[part].line);
    }
  }
  return {{"strokes", strokes},
          {"lifts", lifts},
          {"length_mm", round4(length)},
          {"travel_mm", round4(travel)},
          {"tip_mm", tip},
          {"cell_mm", round4(cell)},
          {"coverage", region > 0 ? round4(inked / region) : 0.0},
          {"outside_mm2", round4(outside)},
          {"largest_gap_mm", round4(gap)},
          {"unfilled", unfilled},
          {"seconds", round4(seconds)}};
}

std::string fill_text(const Json& r) {
  const auto number = [&](const char* key) { return r[key].get<double>(); };
  std::string out = say("filled", {{"strokes", number("strokes")},
                                   {"length", number("length_mm")},
                                   {"lifts", number("lifts")},
                                   {"seconds", number("seconds")},
                                   {"tip", number("tip_mm")},
                                   {"percent", 100 * number("coverage")},
                                   {"gap", number("largest_gap_mm")}});
  for (const auto& id : r["unfilled"]) out += say("unfilled", {{"line", id.get<std::string>()}});
  return out;
}

}  // namespace dotlane::cli
