// The order of strokes in a pass: inner contours before outer ones, short travel.
#pragma once

#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

/// For each polyline the index of the smallest closed polyline that contains it, or -1. Polylines that cross or touch
/// are judged by their first point. Open polylines contain nothing.
[[nodiscard]] std::vector<int> containers_of(const std::vector<Polyline>& polylines);

struct OrderedStroke {
  std::size_t polyline = 0;
  bool reversed = false;        ///< open polylines: run from the last point to the first
  std::size_t first_point = 0;  ///< closed polylines: start here
};

/// Orders the polylines from `start`, always taking the nearest end or node of those that may run next (nearest
/// neighbour). With `inner_first`, a polyline runs only after all that it contains. Every polyline comes exactly once;
/// ties go to the lower index, so the order depends on the input alone.
[[nodiscard]] std::vector<OrderedStroke> order_strokes(const std::vector<Polyline>& polylines, Vec start,
                                                       bool inner_first);

/// The polyline as the stroke runs it.
[[nodiscard]] std::vector<Vec> points_of(const Polyline& polyline, const OrderedStroke& stroke);

}  // namespace dotlane
