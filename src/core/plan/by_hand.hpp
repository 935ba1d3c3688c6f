// Passes put in order by hand.
#pragma once

#include "core/plan/plan.hpp"

namespace dotlane {

/// Moves the pass, an index from 1, to before another one, or to the end where `before` is 0: wishes it before, or
/// after, all those of its mat that it is moved over. What was wished the other way round is forgotten.
[[nodiscard]] Project put_pass(Project project, const Drawing& drawing, const Plan& plan, int pass, int before);
/// Forgets what was wished for a pass.
[[nodiscard]] Project let_pass_go(Project project, const Drawing& drawing, const Plan& plan, int pass);
/// Whether anything is wished for it.
[[nodiscard]] bool put_by_hand(const Project& project, const Drawing& drawing, const Pass& pass);

}  // namespace dotlane
