// Second look at fills: shapes that stay empty or thin, ink beyond the edge.
#pragma once

#include "core/plan/plan.hpp"
#include "core/project/drawing.hpp"
#include "core/project/finding.hpp"

namespace dotlane {

/// Codes: fill-empty (shapes of a fill that get no stroke, letters by name), fill-thin (shapes inked far less than the
/// rest), fill-outside (ink beyond the edge), long-run.
[[nodiscard]] std::vector<Finding> check_fills(const Project& project, const Drawing& drawing, const Plan& plan);

}  // namespace dotlane
