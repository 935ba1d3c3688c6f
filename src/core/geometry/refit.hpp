// Polylines of short lines turned back into smooth curves, so that results stay small and even after many steps.
#pragma once

#include "core/geometry/region.hpp"

namespace dotlane {

/// Curves put back on a polyline stay within this many mm of it, and it of them.
inline constexpr double kRefit = 0.01;

/// The polyline as straight segments and cubic Béziers within `tolerance` mm (Hausdorff). Corners are kept exactly:
/// vertices that turn more than 35 degrees, or that stand farther from a smooth course than flattened curves do.
/// Straight segments longer than their surroundings stay straight. Between these, each cubic is the longest that a
/// least-squares fit with end tangents and reparametrisation carries within tolerance (P. J. Schneider, "An Algorithm
/// for Automatically Fitting Digitized Curves", Graphics Gems, 1990; here grown greedily instead of split at the worst
/// point). Joints between cubics are tangent-continuous.
[[nodiscard]] Contour refit(const Polyline& polyline, double tolerance = kRefit);

/// Every ring of the region as a closed contour.
[[nodiscard]] Path refit(const Region& region, double tolerance = kRefit);

}  // namespace dotlane
