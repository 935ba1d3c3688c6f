// Whether strokes run over each other.
#pragma once

#include <vector>

#include "core/plan/order.hpp"

namespace dotlane {

/// Whether any of these courses comes within `reach` mm of any of the others. Judged on cells as wide as the reach,
/// half a millimetre at least: what is within the reach is always found, what is three cells away never.
[[nodiscard]] bool run_over(const std::vector<Course>& some, const std::vector<Course>& others, double reach);

}  // namespace dotlane
