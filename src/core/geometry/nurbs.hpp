// B-spline curves as cubic segments.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/path.hpp"

namespace dotlane {

/// A non-uniform rational B-spline of this degree: as many knots as control points plus degree plus one, which never
/// fall; no weights: all alike.
struct Nurbs {
  int degree = 3;
  std::vector<double> knots;
  std::vector<Vec> control;
  std::vector<double> weights{};
};

/// Its course over the whole of its domain. Exact for degrees up to 3 without weights (knots are inserted until every
/// span is a Bézier curve: W. Boehm, "Inserting new knots into B-spline curves", 1980; from memory), else within
/// `tolerance` of it. Nothing where knots, weights or numbers make no curve.
[[nodiscard]] std::optional<Contour> course_of(const Nurbs& curve, double tolerance);
/// The point at a parameter in its domain, by de Boor's algorithm.
[[nodiscard]] Vec point_of(const Nurbs& curve, double t);

/// A smooth curve through the points: a cubic spline over their distances that ends without bending; closed, it goes on
/// from the last to the first.
[[nodiscard]] Contour smooth_through(const std::vector<Vec>& points, bool closed);

}  // namespace dotlane
