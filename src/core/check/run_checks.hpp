// Second look at the run: what comes before what, what stock and tools take, what passes under the bar, what hands must
// know before and while it runs.
#pragma once

#include "core/plan/plan.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

// Figures that decide. Where no source is named, they are common practice without a published one, or our own.
inline constexpr double kNearEdgeMm = 0.8;  // a strip as narrow as that beside a cut tears, or lifts
inline constexpr double kWeakGsm = 40;      // what is left of a perforated fold, as an even sheet: less tears by itself
inline constexpr double kStiffGsm = 160;    // more does not fold by hand
inline constexpr double kBlankMm = 1.0;     // stock that a roller rides up on

/// The least area that the mat holds while what is around it is cut, mm².
[[nodiscard]] constexpr double least_held(Tack tack) { return tack == Tack::low ? 60 : tack == Tack::medium ? 25 : 9; }

/// Codes: cut-before, light-after-dark, mat-returns, not-now, pieces-not-now, hidden-runs, roles-not-now;
/// ink-not-taken, cut-on-blank, force-clamped, holder-refuses, repeats-apart; raised-under-bar, raised-under-roller,
/// blank-under-roller; small-lift, near-edge, perforation-weak, perforation-stiff; waits-for-ink, scribble-first,
/// stay-with-it, stay-awake. help/en/checks.md says why.
[[nodiscard]] std::vector<Finding> check_run(const Project& project, const Drawing& drawing, const Layout& layout,
                                             const Plan& plan);

}  // namespace dotlane
