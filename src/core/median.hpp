// The middle one of values that count by weights.
#pragma once

#include <utility>
#include <vector>

namespace dotlane {

/// The least value that, with all below it, holds half the weight (lower weighted median); 0 where there are none.
/// Each is a value and its weight, which is above 0.
[[nodiscard]] double weighted_median(std::vector<std::pair<double, double>> values);

}  // namespace dotlane
