// The order of strokes in a pass: inner contours before outer ones, short travel.
#pragma once

#include <memory>
#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

/// A polyline where a map puts it. Copies of a pattern share theirs.
struct Course {
  std::shared_ptr<const Polyline> polyline;
  Affine map;
};

/// The polylines as they are; they must outlive what is returned.
[[nodiscard]] std::vector<Course> courses_of(const std::vector<Polyline>& polylines);

/// For each course the index of the smallest closed one that contains it, or -1. Courses that cross or touch
/// are judged by their first point. Open ones contain nothing.
[[nodiscard]] std::vector<int> containers_of(const std::vector<Course>& courses);

struct OrderedStroke {
  std::size_t course = 0;
  bool reversed = false;        ///< open ones: run from the last point to the first
  std::size_t first_point = 0;  ///< closed ones: start here
};

/// Orders the courses from `start`, always taking the nearest end or node of those that may run next (nearest
/// neighbour). With `inner_first`, one runs only after all that it contains. Every one comes exactly once;
/// ties go to the lower index, so the order depends on the input alone.
[[nodiscard]] std::vector<OrderedStroke> order_strokes(const std::vector<Course>& courses, Vec start, bool inner_first);

/// The course as the stroke runs it.
[[nodiscard]] std::vector<Vec> points_of(const Course& course, const OrderedStroke& stroke);

}  // namespace dotlane
