// The middle lines of shapes, and how thick their strokes are.
#pragma once

#include <cstddef>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// A line along the middle of a stroke, with the stroke's width at every point.
struct CentreLine {
  std::vector<Vec> points;
  std::vector<double> widths;
  bool closed = false;                        ///< it runs around; the last point equals the first
  bool free_start = false, free_end = false;  ///< it ends in a stroke's end, not where strokes meet
};

struct CentreLines {
  std::vector<CentreLine> lines;
};

/// The chordal axis of the region: its outline is sampled, triangulated (Delaunay, by GEOS), and the middles of the
/// triangles' inner sides joined (L. Prasad, "Morphological analysis of shapes", CNLS Newsletter 139, 1997; cited from
/// memory). Twigs that only reach into corners are left out. An approximation: lines lie within about a tenth of the
/// stroke's width of its true middle. Empty for regions that are.
[[nodiscard]] CentreLines centre_lines(const Region& region);

/// The narrowest width along the lines, mm, and where; the tapering ends of strokes do not count. Nothing below 0 when
/// there are no lines.
struct Narrowest {
  double width = 0;
  Vec at;
};
[[nodiscard]] Narrowest narrowest(const CentreLines& lines);

}  // namespace dotlane
