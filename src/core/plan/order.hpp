// The order of strokes in a pass: inner contours before outer ones, short travel.
#pragma once

#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

/// For each chain the index of the smallest closed chain that contains it, or -1. Chains that cross or touch are
/// judged by their first point. Open chains contain nothing.
[[nodiscard]] std::vector<int> containers_of(const std::vector<Polyline>& chains);

struct OrderedStroke {
  std::size_t chain = 0;
  bool reversed = false;        ///< open chains: run from the last point to the first
  std::size_t first_point = 0;  ///< closed chains: start here
};

/// Orders the chains from `start`, always taking the nearest end or node of those that may run next (nearest
/// neighbour). With `inner_first`, a chain runs only after all that it contains. Every chain comes exactly once;
/// ties go to the lower index, so the order depends on the input alone.
[[nodiscard]] std::vector<OrderedStroke> order_strokes(const std::vector<Polyline>& chains, Vec start,
                                                       bool inner_first);

/// The chain as the stroke runs it.
[[nodiscard]] std::vector<Vec> points_of(const Polyline& chain, const OrderedStroke& stroke);

}  // namespace dotlane
