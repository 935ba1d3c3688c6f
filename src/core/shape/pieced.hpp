// Pieced units: patches of fabric that are sewn to a block of a finished size, each with its seam allowance.
#pragma once

#include <vector>

#include "core/project/kinds.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// Squares that patches are cut from by hand. With a seam of s, a triangle whose finished legs are F is half a square
/// of F + (2 + sqrt 2) s, one whose finished hypotenuse is F a quarter of a square of F + (2 + 2 sqrt 2) s: exact,
/// from the similar triangle around. Charts round these up for quarter-inch seams, to 7/8 and 1 1/4 in more than F
/// (common practice, no published source).
struct PatchCut {
  int patches = 1;  ///< that the unit takes
  double side_mm = 0;
  int into = 1;  ///< patches that each square is cut into: 1, 2 or 4
};
[[nodiscard]] std::vector<PatchCut> patch_cuts(const Values& values);

/// The patches side by side, to be cut, and in each the seam it is sewn along, to be drawn.
[[nodiscard]] std::vector<Line> pieced_unit(const Values& values);

}  // namespace dotlane
