// What the logbook advises: settings for a stock, a tool and a role, and how sure that is.
#pragma once

#include <vector>

#include "core/logbook/logbook.hpp"
#include "core/logbook/suggest.hpp"

namespace dotlane {

struct Advice {
  double force_gf = 0, depth = 0, speed_mm_s = 0;
  int repeats = 1;
  double confidence = 0;  ///< the chance that it comes out well
  double spread = 0;      ///< how unsure that is, as a standard deviation
  int from_runs = 0;      ///< weeded passes of this very stock, tool and role; 0: from the shelf and alike stocks
  CutModel::Setting next_test;
};

/// What passes of a tool in a role came to, as the model takes it, with all stocks that they or the project know.
struct TriedStocks {
  std::vector<KnownStock> stocks;
  std::vector<Tried> tried;
};
[[nodiscard]] TriedStocks tried_stocks(const Project& project, const std::vector<LoggedRun>& runs,
                                       const std::string& tool, Role role);

/// Errors: the stock or the tool is unknown.
[[nodiscard]] Result<Advice> advise(const Project& project, const std::vector<LoggedRun>& runs,
                                    const std::string& stock, const std::string& tool, Role role);

/// How what comes out follows the force, at one depth mark and so many rounds, and the passes behind that.
struct ForceCurve {
  std::vector<CutModel::Setting>
      along;                 ///< from nothing up to what tool and machine can, or was tried, in even steps of force
  std::vector<Tried> tried;  ///< on this stock, whatever their depth
};
/// Errors as of advise().
[[nodiscard]] Result<ForceCurve> force_curve(const Project& project, const std::vector<LoggedRun>& runs,
                                             const std::string& stock, const std::string& tool, Role role, double depth,
                                             int repeats);

}  // namespace dotlane
