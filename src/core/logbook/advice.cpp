#include "core/logbook/advice.hpp"

#include <algorithm>

#include "core/median.hpp"

namespace dotlane {
namespace {

/// Stocks are of one kind when their ids begin alike: "cover-65", "cover-80".
std::string kind_of(const std::string& id) { return id.substr(0, id.find('-')); }

}  // namespace

TriedStocks tried_stocks(const Project& project, const std::vector<LoggedRun>& runs, const std::string& tool,
                         Role role) {
  TriedStocks out;
  for (const auto& stock : project.stocks) {
    const Setting preset = setting_for(stock, role);
    out.stocks.push_back(
        {stock.id, kind_of(stock.id), stock.thickness_mm, stock.grammage_gsm, preset.force_gf, preset.depth});
  }
  for (const auto& run : runs) {
    for (const auto& pass : run.passes) {
      if (pass.tool != tool || pass.role != role) continue;
      if (pass.came_out == CameOut::unsaid || pass.came_out == CameOut::skipped) continue;
      auto at = std::find_if(out.stocks.begin(), out.stocks.end(),
                             [&](const KnownStock& known) { return known.id == pass.stock; });
      if (at == out.stocks.end()) {
        Stock alike;
        alike.thickness_mm = pass.thickness_mm, alike.grammage_gsm = pass.grammage_gsm;
        const Setting general = setting_for(alike, role);
        out.stocks.push_back(
            {pass.stock, kind_of(pass.stock), pass.thickness_mm, pass.grammage_gsm, general.force_gf, general.depth});
        at = std::prev(out.stocks.end());
      }
      out.tried.push_back(
          {static_cast<std::size_t>(at - out.stocks.begin()), pass.force_gf, pass.depth, pass.repeats, pass.came_out});
    }
  }
  return out;
}

namespace {

/// What is asked of the model: for which stock, within which limits.
struct Question {
  CutModel model;
  std::size_t stock = 0;
  CutModel::Limits limits;
  std::vector<Tried> tried;
};

Result<Question> question(const Project& project, const std::vector<LoggedRun>& runs, const std::string& stock,
                          const std::string& tool_id, Role role) {
  const Tool* tool = find_tool(project, tool_id);
  if (!tool) return fail(ErrorKind::bad_request, {"no-tool", {{"tool", tool_id}}});
  TriedStocks known = tried_stocks(project, runs, tool_id, role);
  const auto at =
      std::find_if(known.stocks.begin(), known.stocks.end(), [&](const KnownStock& s) { return s.id == stock; });
  if (at == known.stocks.end()) return fail(ErrorKind::bad_request, {"no-stock", {{"stock", stock}}});
  const auto which = static_cast<std::size_t>(at - known.stocks.begin());
  CutModel::Limits limits;
  limits.least_gf = tool->min_force_gf;
  limits.most_gf = std::min(std::max(tool->max_force_gf, tool->min_force_gf), project.machine.max_force_gf);
  if (tool->kind != ToolKind::blade || at->preset_depth <= 0) limits.most_depth = 0;
  return Question{CutModel(std::move(known.stocks), known.tried), which, limits, std::move(known.tried)};
}

}  // namespace

Result<Advice> advise(const Project& project, const std::vector<LoggedRun>& runs, const std::string& stock,
                      const std::string& tool_id, Role role) {
  const auto asked = question(project, runs, stock, tool_id, role);
  if (!asked) return tl::unexpected<Error>(asked.error());
  Advice out;
  std::vector<std::pair<double, double>> speeds;  // each counts alike
  for (const auto& run : runs) {
    for (const auto& pass : run.passes) {
      if (pass.stock != stock || pass.tool != tool_id || pass.role != role) continue;
      if (pass.came_out == CameOut::unsaid || pass.came_out == CameOut::skipped) continue;
      ++out.from_runs;
      if (pass.came_out == CameOut::good) speeds.emplace_back(pass.speed_mm_s, 1);
    }
  }
  const CutModel::Setting best = asked->model.best(asked->stock, asked->limits);
  out.force_gf = best.force_gf, out.depth = best.depth, out.repeats = best.repeats;
  out.confidence = best.clean;
  out.spread = best.spread;
  out.next_test = asked->model.next_test(asked->stock, asked->limits);
  const Stock* shelf = find_stock(project, stock);
  out.speed_mm_s = !speeds.empty() ? weighted_median(speeds) : setting_for(shelf ? *shelf : Stock{}, role).speed_mm_s;
  return out;
}

Result<ForceCurve> force_curve(const Project& project, const std::vector<LoggedRun>& runs, const std::string& stock,
                               const std::string& tool, Role role, double depth, int repeats) {
  const auto asked = question(project, runs, stock, tool, role);
  if (!asked) return tl::unexpected<Error>(asked.error());
  constexpr int kSteps = 70;
  ForceCurve out;
  double most = asked->limits.most_gf;
  for (const auto& tried : asked->tried) {
    if (tried.stock == asked->stock) out.tried.push_back(tried), most = std::max(most, tried.force_gf);
  }
  std::vector<double> forces;
  for (int k = 0; k <= kSteps; ++k) forces.push_back(most * k / kSteps);
  out.along = asked->model.foretold(asked->stock, forces, {asked->limits.most_depth > 0 ? depth : 0}, {repeats});
  return out;
}

}  // namespace dotlane
