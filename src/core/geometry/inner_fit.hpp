// How large a shape may be within another one, as a part within the outline of a scrap.
#pragma once

#include <optional>

#include "core/geometry/region.hpp"

namespace dotlane {

/// The shape, sized and turned about the origin (degrees counter-clockwise as seen) and then moved, lies within.
struct InnerFit {
  double scale = 0, turn = 0;
  Vec at;
};

/// Where the shape lies within the room when it is moved by this; nothing where it fits nowhere. Detail finer than
/// 0.03 mm is taken to need so much more room; holes of the shape count as filled. Places where outlines would cross
/// are the Minkowski sum of one outline and the other one mirrored (T. Lozano-Pérez, "Spatial planning: a configuration
/// space approach", IEEE Transactions on Computers C-32(2), 1983; from memory).
[[nodiscard]] std::optional<Vec> place_within(const Region& shape, const Region& room);

/// The largest at which it lies within the room, in one of these turns; without any, in all of them, looked for in
/// steps of 5 degrees and then about the best. Found to a thousandth; the scale is 0 where nothing above `at_least`
/// fits.
[[nodiscard]] InnerFit largest_within(const Region& shape, const Region& room, std::vector<double> turns,
                                      double at_least = 0);

}  // namespace dotlane
