// Passes put in order by hand.
#pragma once

#include "core/plan/plan.hpp"

namespace dotlane {

/// Moves the pass, an index from 1, to before another one, or to the end where `before` is 0: wishes it before, or
/// after, all those of its mat that it is moved over. What was wished the other way round is forgotten.
[[nodiscard]] Project put_pass(Project project, const Drawing& drawing, const Plan& plan, int pass, int before);
/// Forgets what was wished for a pass.
[[nodiscard]] Project let_pass_go(Project project, const Drawing& drawing, const Plan& plan, int pass);
/// Keeps the pass where it is among those of its mat, whatever is planned anew; or lets it go again.
[[nodiscard]] Project pin_pass(Project project, const Drawing& drawing, const Plan& plan, int pass, bool on);
/// Forgets what was put in order by hand and is not pinned.
[[nodiscard]] Project plan_again(Project project, const Drawing& drawing, const Plan& plan);

/// What another plan of the same passes comes to.
struct PlanChange {
  int mats = 0, pauses = 0, swaps = 0;  ///< more of them
  double seconds = 0;
  std::vector<Reason> broken;  ///< reasons of the plan before, by its passes, that the other one goes against
};
[[nodiscard]] PlanChange change_of(const Plan& before, const Plan& after);

/// Whether anything is wished for it.
[[nodiscard]] bool put_by_hand(const Project& project, const Drawing& drawing, const Pass& pass);

}  // namespace dotlane
