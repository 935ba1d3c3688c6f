// Pieces of outlines that meet end to end, put together: other programs draw a heart as eight arcs and lines.
#pragma once

#include <vector>

#include "core/project/artwork.hpp"

namespace dotlane {

/// Open contours of lines that are alike (layer, colours, dashes) and meet within `near` mm become one, where no third
/// one meets them; it takes the place and the name of the first. Others stay as they are, in their order.
[[nodiscard]] std::vector<ArtLine> chained(std::vector<ArtLine> lines, double near = 0.005);

}  // namespace dotlane
