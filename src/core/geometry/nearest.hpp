// The place of a path that is nearest to a point.
#pragma once

#include <optional>

#include "core/geometry/path.hpp"

namespace dotlane {

/// A place on a path.
struct OnPath {
  Vec at;
  std::size_t contour = 0, segment = 0;
  double t = 0;  ///< along that segment, 0 to 1
  double distance = 0;
};

/// The parameter, 0 to 1, of the segment's place nearest to `p`: exact for straight ones; of
/// curves every valley that 48 samples show is refined by golden sections, the best one by Newton's method.
[[nodiscard]] double nearest_parameter(Vec from, const Segment& segment, Vec p);

/// The place of the path nearest to `p` within `reach` mm, if there is one.
[[nodiscard]] std::optional<OnPath> nearest_place(const Path& path, Vec p, double reach);

}  // namespace dotlane
