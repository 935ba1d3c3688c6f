// The convex hull of points, and how large it may be in a box.
#pragma once

#include "core/geometry/region.hpp"

namespace dotlane {

/// Counter-clockwise in y-up terms, without points on its edges (A. M. Andrew, "Another efficient algorithm for convex
/// hulls in two dimensions", Information Processing Letters 9(5), 1979).
[[nodiscard]] Ring convex_hull(std::vector<Vec> points);

/// How a shape fits a box: at this scale, turned by these degrees (counter-clockwise as seen, 0 to below 180).
struct BoxFit {
  double scale = 0, turn = 0;
};

/// The largest scale at which the hull fits a box of that width and height, mm, turned as is best; exact. While the
/// direction in which the hull is measured turns, its width and height are each set by two corners, and change to the
/// next ones where an edge lies along or across (rotating calipers: G. Toussaint, "Solving geometric problems with the
/// rotating calipers", MELECON 1983; from memory). Between, both grow and shrink like a cosine, so the best turn is at
/// one of these changes or where both sides of the box allow the same.
[[nodiscard]] BoxFit largest_in_box(const Ring& hull, double width, double height);
/// The same for a turn that is given.
[[nodiscard]] double scale_in_box(const Ring& hull, double width, double height, double turn);
/// The largest in any of several boxes (width and height), turned by one of these degrees, or by any where there are
/// none. The boxes count as larger by `slack` mm.
[[nodiscard]] BoxFit largest_in_any(const Ring& hull, const std::vector<Vec>& boxes, const std::vector<double>& turns,
                                    double slack);
/// Of all outlines of a region.
[[nodiscard]] Ring hull_of(const Region& region);

}  // namespace dotlane
