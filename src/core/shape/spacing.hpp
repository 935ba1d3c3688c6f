// How near copies of a motif may come to each other: by their true shapes, not by boxes.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

/// A motif and the room around it that no other is to reach into.
struct Spaced {
  std::vector<Polyline> lines;  ///< mm
  std::vector<Polyline> grown;  ///< the edge of all that is nearer than the gap
};

[[nodiscard]] Spaced spaced(std::vector<Polyline> lines, double gap_mm);
[[nodiscard]] Spaced transformed(const Spaced& motif, const Affine& map);

/// How far the other motif, `beside` where it is, must be moved along `direction` (of length 1), mm, so that there and
/// anywhere farther on it keeps the gap of the first one; nothing where it keeps it wherever it is on this way.
///
/// Across the direction, the far side of the grown one and the near side of the other are functions made of straight
/// stretches; their difference is greatest at a vertex of either. So it is exact but for the chords of round corners,
/// within 2 µm. O(n) for outlines, O(n²) at worst.
[[nodiscard]] std::optional<double> clear_from(const Spaced& first, const std::vector<Polyline>& other, Vec direction,
                                               Vec beside);

}  // namespace dotlane
