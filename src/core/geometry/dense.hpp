// Booleans of very dense regions, where GEOS is several times faster than Clipper.
#pragma once

#include <optional>

#include "core/geometry/region.hpp"

namespace dotlane {

/// From this many vertices a sweep is dense (measured: below it Clipper is as fast or faster).
inline constexpr std::size_t kDense = 20'000;
/// Detail that is given up, in mm, where a dense outline must be thinned to be worked at all.
inline constexpr double kDenseDetail = 0.005;

/// The answers of GEOS's overlay on clean regions; nothing where it cannot cope, and Clipper must.
[[nodiscard]] std::optional<Region> dense_union(const std::vector<Region>& parts);
[[nodiscard]] std::optional<Region> dense_difference(const Region& from, const Region& what);
[[nodiscard]] std::optional<Region> dense_intersection(const Region& a, const Region& b);

}  // namespace dotlane
