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

/// The length of evenly spaced parallel lines inside the closed region, each line laid over it by itself.
[[nodiscard]] double geos_hatch_length(const Region& region, double angle, double spacing, double phase);

struct Inked {
  double inside = 0, outside = 0;  // mm²
};
/// What a round tip of this width inks along the polylines: their buffers, united.
[[nodiscard]] Inked geos_inked(const Region& region, const std::vector<Polyline>& polylines, double tip);

/// The distance between the lines, mm.
[[nodiscard]] double geos_distance(const std::vector<Polyline>& a, const std::vector<Polyline>& b);

/// How many faces the polylines, noded, enclose.
[[nodiscard]] std::size_t geos_faces(const std::vector<Polyline>& polylines);

}  // namespace dotlane::test
