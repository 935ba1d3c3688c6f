// What clip paths leave of the lines of an SVG drawing.
#pragma once

#include "core/geometry/region.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// What is seen, mm.
struct SvgClip {
  Region region;
  Box bounds;
  bool box = false;  ///< the region is all of its bounds
};

[[nodiscard]] SvgClip clip_of(Region region);

enum class Clipped { whole, cut, gone };

/// Leaves of the line what is within the clip: of one that is filled and closed, the outline of what of its area is
/// seen; of any other, the stretches that are. Where all of it is seen, its curves stay as they are.
Clipped clip_line(ArtLine& line, const SvgClip& clip);

}  // namespace dotlane
