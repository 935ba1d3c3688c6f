#include "core/plan/fill_figures.hpp"

#include <algorithm>

namespace dotlane {

std::optional<FillSubject> fill_subject(const Project& project, const DrawnPiece& piece, int step,
                                        std::optional<double> tip_mm) {
  const auto outcome = std::find_if(piece.outcomes.begin(), piece.outcomes.end(),
                                    [&](const StepOutcome& o) { return o.step == step && o.fill; });
  if (outcome == piece.outcomes.end()) return std::nullopt;
  FillSubject out;
  out.made = outcome->fill;
  out.run.machine = project.machine;
  const auto& lines = piece.piece->lines;
  const auto line =
      std::find_if(lines.begin(), lines.end(), [&](const Line& l) { return l.id == out.made->lines.front(); });
  const Stock* stock = find_stock(project, piece.piece->stock);
  if (line != lines.end()) {
    out.role = line->role;
    out.tool = line->tool;
    const Setting setting = stock ? setting_for(*stock, line->role) : Setting{};
    out.run.way = {setting.speed_mm_s, line->repeats > 0 ? line->repeats : setting.repeats, line->stroke_by_stroke,
                   pace_of(project.machine, line->role).factor};
  }
  if (const Tool* tool = find_tool(project, out.tool)) out.run.tip_mm = covering_mm(*tool);
  if (tip_mm) out.run.tip_mm = *tip_mm;
  return out;
}

FillFigures figures_of(const FillSubject& subject) {
  const FillMade& made = *subject.made;
  FillFigures out;
  const Strokes all = made.all();
  out.strokes = all.size();
  out.cost = run_cost(polylines_of(made.coats), subject.run.machine, subject.run.way);
  out.coverage = made.coverage(subject.run.tip_mm);
  out.unfilled = unfilled(made.parts.size(), all);
  return out;
}

}  // namespace dotlane
