// Contours made one without losing their curves.
#pragma once

#include "core/geometry/path.hpp"

namespace dotlane {

/// What the closed contours enclose under the path's fill rule, as contours that cross neither themselves nor each
/// other but may touch in points (outlines turn positive, holes negative; the rule becomes non-zero). Segments that
/// nothing crosses stay as they are, digit for digit; a crossed curve is split where it is met. What is narrower than
/// kChord may be lost. Open contours are left out. Only where outlines come close are curves looked at finely: time
/// grows with the segments, not with the size.
[[nodiscard]] Path united_curves(const Path& path);

}  // namespace dotlane
