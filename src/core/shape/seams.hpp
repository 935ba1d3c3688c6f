// Seams: where a part that is larger than a sheet is divided, and how its tiles hold together.
#pragma once

#include <optional>

#include "core/geometry/region.hpp"

namespace dotlane {

/// Where a part is divided: along the line through both places, from the edge or seam on the one side of their middle
/// to the next on the other. Places in mm.
struct Seam {
  Vec a, b;
  [[nodiscard]] Vec middle() const { return lerp(a, b, 0.5); }
  [[nodiscard]] double length() const { return distance(a, b); }
  friend bool operator==(const Seam&, const Seam&) = default;
};

/// How the tiles on both sides of a seam meet. Seen from `a` to `b`, the tile on the left of the seam gives way.
enum class SeamKind {
  butt,      ///< edge to edge
  overlap,   ///< the tile on the right runs on under the other one, to be glued
  tab,       ///< straight tabs of the tile on the right reach into the other one
  dovetail,  ///< tabs that are wider at their ends, so that they hold by themselves
};

struct SeamStyle {
  SeamKind kind = SeamKind::butt;
  double width = 10;  ///< of the strip, or the height of tabs, mm
};

/// Tiles that meet edge to edge lie so far apart, mm: enough to part them, and nothing to the eye or the knife.
inline constexpr double kSeamGap = 2e-5;

struct Divided {
  std::vector<Region> tiles;
  std::vector<std::optional<Seam>> seams;  ///< of each that was asked for: as it runs; none where it meets no material
};

/// The part along these seams, one after the other: a later one ends where it meets an earlier one. Where a seam's
/// middle is in no material (the part has another shape since), it runs through what is nearest on its line within half
/// its length. Tabs stand where the other tile has room for them.
[[nodiscard]] Divided divide(const Region& part, const std::vector<Seam>& seams, const SeamStyle& style = {});

/// What a seams step came to.
struct Seamed {
  struct Run {
    Seam seam;                 ///< as it runs, in the coordinates of the lines
    std::size_t index = 0;     ///< in the step's list
    bool pinned = false;       ///< stays where it is when the piece is divided anew
    std::vector<Seam> hidden;  ///< stretches that pieces in upper layers lie on
    double visible_mm = 0;
  };
  std::vector<Run> runs;
  std::size_t tiles = 0;
};

}  // namespace dotlane
