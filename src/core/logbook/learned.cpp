#include "core/logbook/learned.hpp"

#include <algorithm>
#include <cmath>
#include <set>

#include "core/median.hpp"

namespace dotlane {
std::map<Role, Pace> learned_pace(const std::vector<LoggedRun>& runs, const std::string& machine, std::size_t least) {
  constexpr double kWorth = 2;  // s
  std::map<Role, std::vector<std::pair<double, double>>> ratios;
  for (const auto& run : runs) {
    if (run.rehearsed || run.outcome != Outcome::done || run.machine != machine) continue;
    for (const auto& pass : run.passes) {
      if (pass.planned_s < kWorth || pass.real_s <= 0 || pass.pace <= 0) continue;
      const double planned = pass.planned_s / pass.pace;
      ratios[pass.role].emplace_back(pass.real_s / planned, planned);
    }
  }
  std::map<Role, Pace> out;
  for (const auto& [role, all] : ratios) {
    if (all.size() < least) continue;
    Pace pace;
    pace.factor = weighted_median(all);
    std::vector<std::pair<double, double>> off;
    for (const auto& [ratio, weight] : all) off.emplace_back(std::abs(ratio - pace.factor) / pace.factor, weight);
    constexpr double kNormal = 1.4826, kLeast = 0.01;
    pace.spread = std::max(kLeast, kNormal * weighted_median(off));
    out[role] = pace;
  }
  return out;
}

std::vector<RunsOut> running_out(const Project& project, const Plan& plan,
                                 const std::map<std::string, double>& metres) {
  std::vector<RunsOut> out;
  for (const auto& tool : project.tools) {
    if (tool.lasts_m <= 0) continue;
    const auto gone = metres.find(tool.id);
    RunsOut now{tool.id, 0, tool.lasts_m - (gone == metres.end() ? 0 : gone->second), 0};
    bool ends = false;
    for (std::size_t i = 0; i < plan.passes.size(); ++i) {
      if (plan.passes[i].tool != tool.id) continue;
      now.needed_m += plan.passes[i].length_mm / 1000;
      if (!ends && now.needed_m > now.left_m) ends = true, now.pass = i;
    }
    if (ends) out.push_back(now);
  }
  return out;
}

std::vector<Finding> worn_findings(const Project& project, const Drawing& drawing, const Plan& plan,
                                   const std::vector<RunsOut>& out) {
  std::vector<Finding> found;
  for (const auto& now : out) {
    const Tool* tool = find_tool(project, now.tool);
    Finding finding{"tool-runs-out",
                    Severity::warning,
                    {{"tool", tool ? tool->name : now.tool},
                     {"left", std::max(0.0, now.left_m)},
                     {"needed", now.needed_m},
                     {"pass", static_cast<double>(plan.passes[now.pass].index)}}};
    if (now.left_m <= 0) finding.form = "over";
    std::set<LineRef> lines;
    for (const auto& stroke : plan.passes[now.pass].strokes) {
      const DrawnPiece* piece = find_drawn(drawing, stroke.piece);
      if (piece && stroke.line < piece->piece->lines.size())
        lines.insert({stroke.piece, piece->piece->lines[stroke.line].id});
    }
    finding.lines.assign(lines.begin(), lines.end());
    found.push_back(std::move(finding));
  }
  return found;
}

}  // namespace dotlane
