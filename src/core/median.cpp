#include "core/median.hpp"

#include <algorithm>

namespace dotlane {

double weighted_median(std::vector<std::pair<double, double>> values) {
  std::sort(values.begin(), values.end());
  double half = 0;
  for (const auto& [value, weight] : values) half += weight / 2;
  for (const auto& [value, weight] : values) {
    if ((half -= weight) <= 0) return value;
  }
  return values.empty() ? 0 : values.back().first;
}

}  // namespace dotlane
