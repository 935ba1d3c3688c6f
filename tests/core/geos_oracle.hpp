// GEOS as a second opinion on regions: it shares no code with the kernel under test but for very dense input, where the
// kernel itself asks GEOS and tests compare by other means as well.
#pragma once

#include <memory>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane::test {

struct Figures {
  double area = 0, perimeter = 0;
  std::size_t holes = 0, parts = 0;
};

[[nodiscard]] Figures figures_of(const Region& region);

enum class Boolean { join, cut_away, overlap };

/// What the rings enclose under the rule: their lines noded, made into faces, and the faces kept whose inside point has
/// the winding the rule asks for.
[[nodiscard]] Region geos_region(const std::vector<Ring>& rings, FillRule rule);
[[nodiscard]] Figures geos_boolean(const Region& a, const Region& b, Boolean operation);
/// The buffer with arcs of `quadrant` segments a quarter turn, without GEOS's own simplification of the input.
[[nodiscard]] Figures geos_offset(const Region& region, double by, Corners corners, double mitre_limit, int quadrant);

}  // namespace dotlane::test
