// Dividing a part that is larger than a sheet into tiles that each fit one.
#pragma once

#include <vector>

#include "core/geometry/convex_hull.hpp"
#include "core/shape/seams.hpp"

namespace dotlane::tiling {

struct Task {
  Region part;
  Region over;                ///< what lies on it: a seam under it is not seen
  std::vector<Vec> rooms;     ///< widths and heights that a tile may have, mm
  std::vector<double> turns;  ///< in which a tile may lie, degrees counter-clockwise as seen; empty: in any
  std::vector<Seam> kept;     ///< that stay where they are
  std::vector<Seam> others;   ///< of what lies above or below it: no seam is to lie on one of them
  double apart = 15;          ///< so far from those, mm
  double least_width = 5;     ///< a tile that is nowhere wider is a sliver, mm
  double least_area = 100;    ///< so is one with less, mm²
  double allowance = 0;       ///< what a seam adds to a tile, mm
};

struct Tile {
  Region shape;
  bool fits = false;
  double turn = 0;  ///< in which it fits a room, degrees counter-clockwise as seen
  bool sliver = false;
};

struct Split {
  std::vector<Seam> seams;  ///< to divide() by, in this order; those kept first
  std::size_t kept = 0;     ///< how many those are
  std::vector<Tile> tiles;
  double seam_mm = 0, visible_mm = 0;  ///< of it all, and of what nothing lies on
  [[nodiscard]] std::size_t slivers() const;
  [[nodiscard]] bool fits() const;
};

/// Whether the shape fits a room, and how it then lies.
[[nodiscard]] BoxFit fit_in(const Task& task, const Region& shape);

/// The part in as few tiles as come of parallel cuts in the best of 36 directions, those that are still too long for a
/// room again likewise; then with little seam that is seen. Slivers, and whatever fits together with a neighbour, stay
/// with it; seams are moved and turned a little where less of them is seen then. Where there would be more than 200
/// tiles, it comes back as it is, and does not fit.
[[nodiscard]] Split split_part(const Task& task);

/// The same along a plain grid as large as the first room, from the part's top left: what one would draw by hand, to
/// compare with.
[[nodiscard]] Split split_by_grid(const Task& task);

}  // namespace dotlane::tiling
