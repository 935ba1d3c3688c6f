// Second look at the run: what comes before what, what stock and tools take, what passes under the bar, what hands must
// know before and while it runs.
#pragma once

#include "core/plan/plan.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// Codes: cut-before, light-after-dark, mat-returns, not-now, pieces-not-now, hidden-runs, roles-not-now;
/// ink-not-taken, cut-on-blank, force-clamped, holder-refuses, repeats-apart; raised-under-bar, raised-under-roller,
/// blank-under-roller; small-lift, near-edge, perforation-weak, perforation-stiff; waits-for-ink, scribble-first,
/// stay-with-it, stay-awake. help/en/checks.md says why.
[[nodiscard]] std::vector<Finding> check_run(const Project& project, const Drawing& drawing, const Layout& layout,
                                             const Plan& plan);

}  // namespace dotlane
