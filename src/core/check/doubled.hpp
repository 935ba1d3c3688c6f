// Cut lines that lie on each other: the blade would go twice over the same place and tear it.
#pragma once

#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

struct DoubledPair {
  std::size_t first = 0, second = 0;  ///< indexes into the input, first < second
  double length_mm = 0;               ///< how much of `second` lies on `first`
};

/// Pairs of groups of polylines that share a course: their directions agree within 5 degrees and the gap stays under
/// `gap` mm over at least `least_mm` in all. Crossings do not count. Method: the polylines are sampled every `gap` * 5
/// mm at most and looked up in a grid of the segments; lengths are good to about one sample.
[[nodiscard]] std::vector<DoubledPair> find_doubled(const std::vector<std::vector<Polyline>>& lines, double gap,
                                                    double least_mm);

}  // namespace dotlane
