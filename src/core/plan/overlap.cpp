#include "core/plan/overlap.hpp"

#include <algorithm>
#include <cmath>
#include <cstdint>
#include <unordered_set>

namespace dotlane {
namespace {

/// Calls with every cell that the course runs through, and its neighbours where wanted, until that says to stop.
template <class Visit>
bool each_cell(const std::vector<Course>& courses, double cell, Visit visit) {
  const auto at = [&](Vec p) {
    return visit(static_cast<std::int32_t>(std::floor(p.x / cell)), static_cast<std::int32_t>(std::floor(p.y / cell)));
  };
  for (const auto& [polyline, map] : courses) {
    const auto& points = polyline->points;
    for (std::size_t i = 0; i < points.size(); ++i) {
      const Vec a = map(points[i]), b = map(points[std::min(i + 1, points.size() - 1)]);
      const auto steps = static_cast<std::size_t>(distance(a, b) / (cell / 2)) + 1;
      for (std::size_t k = 0; k < steps; ++k) {
        if (at(lerp(a, b, static_cast<double>(k) / static_cast<double>(steps)))) return true;
      }
    }
  }
  return false;
}

std::uint64_t key_of(std::int32_t x, std::int32_t y) {
  return (static_cast<std::uint64_t>(static_cast<std::uint32_t>(x)) << 32) | static_cast<std::uint32_t>(y);
}

}  // namespace

bool run_over(const std::vector<Course>& some, const std::vector<Course>& others, double reach) {
  const double cell = std::max(0.5, reach);
  std::unordered_set<std::uint64_t> marked;
  each_cell(some, cell, [&](std::int32_t x, std::int32_t y) {
    marked.insert(key_of(x, y));
    return false;
  });
  return each_cell(others, cell, [&](std::int32_t x, std::int32_t y) {
    for (std::int32_t dx = -1; dx <= 1; ++dx) {
      for (std::int32_t dy = -1; dy <= 1; ++dy) {
        if (marked.contains(key_of(x + dx, y + dy))) return true;
      }
    }
    return false;
  });
}

}  // namespace dotlane
