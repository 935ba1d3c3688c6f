// What runs teach beside settings: how long a machine really takes, and how far tools have gone.
#pragma once

#include <map>
#include <vector>

#include "core/logbook/logged_run.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

/// How many times as long as planned passes of each role took on this machine, and how much that differs from run to
/// run. The factor is the median of real over planned seconds, each pass counting by its seconds: a regression through
/// the origin that half of the passes could not lead astray (P. J. Rousseeuw, A. M. Leroy, "Robust Regression and
/// Outlier Detection", 1987, on medians and breakdown; from memory). The spread is 1.4826 times the median absolute
/// deviation, at least a hundredth. Rehearsals, runs that were broken off and passes of less than two seconds teach
/// nothing; roles with fewer than `least` passes are left out.
[[nodiscard]] std::map<Role, Pace> learned_pace(const std::vector<LoggedRun>& runs, const std::string& machine,
                                                std::size_t least = 3);

/// A tool that will be dry or worn out before a plan is done.
struct RunsOut {
  std::string tool;
  std::size_t pass = 0;  ///< index into the plan's passes: during this one
  double left_m = 0;     ///< that it still marks; below 0: it should be changed already
  double needed_m = 0;   ///< by the whole plan
};
/// `metres` is how far each tool has gone since it was new; only tools whose life is known come into question.
[[nodiscard]] std::vector<RunsOut> running_out(const Project& project, const Plan& plan,
                                               const std::map<std::string, double>& metres);
/// What second look says of them: "tool-runs-out".
[[nodiscard]] std::vector<Finding> worn_findings(const Project& project, const Drawing& drawing, const Plan& plan,
                                                 const std::vector<RunsOut>& out);

}  // namespace dotlane
