// The order of strokes in a pass: inner contours before outer ones, little time between them.
#pragma once

#include <memory>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/plan/motion.hpp"
#include "core/plan/tour.hpp"

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
  double along = 0;             ///< or so far, as a share, on the way to the next point
  friend bool operator==(const OrderedStroke&, const OrderedStroke&) = default;
};

/// How strokes are put in order.
struct OrderRules {
  bool inner_first = false;    ///< a closed one only after all that it contains
  bool outlines_last = false;  ///< with that: closed ones that nothing contains only after all others
  bool off_corners =
      false;  ///< blades: closed ones begin on a straight or smooth stretch, where they meet again cleanly
  bool to_and_fro = false;  ///< open ones end where they began
  MotionLimits travel;      ///< with the tool up: what is short is what takes little time
  TourEffort effort;        ///< how long to look for a better order after the first good one
};

/// The courses in an order with little time between them, from `start` on, each exactly once; closed ones begin
/// anywhere around. See tour.hpp for how. The same input and rules give the same order.
[[nodiscard]] std::vector<OrderedStroke> order_strokes(const std::vector<Course>& courses, Vec start,
                                                       const OrderRules& rules);

/// The course as the stroke runs it.
[[nodiscard]] std::vector<Vec> points_of(const Course& course, const OrderedStroke& stroke);

}  // namespace dotlane
