// Second look: everything that may go wrong, before any card is spoiled.
#pragma once

#include <vector>

#include "core/layout/layout.hpp"
#include "core/plan/plan.hpp"
#include "core/project/finding.hpp"

namespace dotlane {

/// Lines nearer than this (mm) along a stretch count as lying on each other.
inline constexpr double kDoubled = 0.05;

/// All checks over the project and what follows from it; worst first, then in the order of the checks.
/// Codes: open-cut, off-mat, off-usable, off-sheet, doubled-cut, role-guessed, size-assumed and the other notes of the
/// reader, tool-missing, tool-role, tool-stock, stock-over-rating, force-over-rating, mirrored, mirrored-twice,
/// clear-not-mirrored, fused-not-mirrored, sheet-off-mat, and those of check_shapes(), check_lettering(),
/// check_stencils(), check_fills(), check_layout() and check_run(). help/en/checks.md says why each of them is there.
[[nodiscard]] std::vector<Finding> check(const Project& project, const Drawing& drawing, const Layout& layout,
                                         const Plan& plan);

/// The project with the finding settled as `fix` says.
[[nodiscard]] Project apply_fix(Project project, const Drawing& drawing, const Finding& finding, const Fix& fix);

/// Whether that is more than the interface can wait for.
[[nodiscard]] bool takes_long(const Fix& fix);

/// Worst severity present, if any.
[[nodiscard]] std::optional<Severity> worst(const std::vector<Finding>& findings);

}  // namespace dotlane
