// Fills of single touches of the tip: dots in rows, and dots strewn at random.
#pragma once

#include "core/shape/fill/scan.hpp"
#include "core/shape/fill/strokes.hpp"

namespace dotlane {

/// Touches on a grid along the scan's lines, as far apart along them as the lines are, every second row shifted by
/// half.
[[nodiscard]] Strokes dots(const FillArea& area, const Scan& scan, double spacing);

/// Touches strewn evenly but without order, none nearer to another than `spacing` mm, as many as go in: what a dart
/// thrower leaves who throws near what is there (R. Bridson, "Fast Poisson Disk Sampling in Arbitrary Dimensions",
/// SIGGRAPH sketches, 2007), started in every part. The same seed gives the same dots.
[[nodiscard]] Strokes stipple(const FillArea& area, double spacing, std::uint64_t seed);

}  // namespace dotlane
