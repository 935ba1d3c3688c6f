// Curves as polylines of short straight lines, for painting, planning and the cutter.
#pragma once

#include <vector>

#include "core/geometry/path.hpp"

namespace dotlane {

/// A polyline of points; when `closed`, the last point equals the first.
struct Polyline {
  std::vector<Vec> points;
  bool closed = false;
};

/// The contour as a polyline that stays within `tolerance` mm of it. Every node of the contour is kept.
/// The number of parts of a cubic follows Wang's bound: n = sqrt(0.75 |second difference| / tolerance).
[[nodiscard]] Polyline flatten(const Contour& contour, double tolerance);

[[nodiscard]] Polyline transformed(const Polyline& line, const Affine& map);

[[nodiscard]] double length_of(const Polyline& line);

/// Signed area of a closed polyline, mm² (shoelace; positive when it turns clockwise on screen).
[[nodiscard]] double signed_area_of(const Polyline& ring);

/// True when the point lies inside the closed polyline (even-odd); points on the edge may fall either way.
[[nodiscard]] bool encloses(const Polyline& ring, Vec p);

/// Distance from the point to the polyline, mm; infinity for an empty one.
[[nodiscard]] double distance_to(const Polyline& line, Vec p);

}  // namespace dotlane
