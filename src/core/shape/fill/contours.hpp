// Strokes that follow the outline: nested insets, ring by ring or run through in one sweep.
#pragma once

#include "core/geometry/region.hpp"
#include "core/shape/fill/strokes.hpp"

namespace dotlane {

/// The outlines of the region shrunk by `inset`, then by `spacing` more each time until nothing is left; each part of
/// the region by itself, outermost ring first. Rings shorter than `shortest` mm are left out. All of them keep at least
/// `inset` less half a micrometre from the region's edge.
[[nodiscard]] Strokes nested_insets(const Region& region, double inset, double spacing, double shortest);

/// The same rings run through inward without lifting: from the end of a ring the stroke goes on along it to where the
/// next ring in is one spacing away, and steps over. Where a ring holds several, the nearest one goes on and the others
/// begin strokes of their own.
[[nodiscard]] Strokes spirals(const Region& region, double inset, double spacing, double shortest);

}  // namespace dotlane
