// Dividing a shape by parallel cuts: which cuts make the fewest tiles with the least seam that is seen.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane::tiling {

struct RowsTask {
  const Region& part;
  const Region& over;       ///< what lies on it: a seam under it is not seen
  const Region& avoid;      ///< where no seam should run along
  std::vector<Vec> rooms;   ///< widths and heights that a tile may have, mm
  std::vector<bool> turns;  ///< whether a tile may lie turned by so many steps of kStepDeg from how the part lies
  double least_width = 0, least_area = 0;  ///< what is less is a sliver, mm and mm²
};

/// Directions that are tried, and turns in which tiles are tried, degrees apart.
inline constexpr int kDirections = 36;
inline constexpr double kStepDeg = 180.0 / kDirections;

/// What rows cost: tiles before millimetres.
struct RowsCost {
  double tiles = 0;
  double mm = 0;  ///< of seam that is seen, and what else speaks against it
  friend RowsCost operator+(RowsCost a, RowsCost b) { return {a.tiles + b.tiles, a.mm + b.mm}; }
  friend auto operator<=>(const RowsCost&, const RowsCost&) = default;
};

/// What speaks against a seam so long: what is seen of it, a little of what is not, more where there is little to hold
/// on to, most where it runs along what is to be avoided; mm.
[[nodiscard]] double price_of_seam(double length, double seen, double along);

struct Rows {
  bool found = false;
  RowsCost cost;
  double angle = 0;  ///< the part is looked at turned by so many degrees, as Affine::rotate does; cuts are level
  std::vector<double> cuts;  ///< y of each there, from the top
};

/// The rows of least cost in one direction: a dynamic program over the places of cuts, with what lies between two of
/// them as tiles, each of which has to fit a room in one of the turns. What is too long for all rooms counts as the
/// tiles that its length asks for; it is to be divided again. Shapes are sampled on level lines a hundredth to a
/// two-hundredth of a room apart, so that what comes of it has to be looked at again.
[[nodiscard]] Rows best_rows(const RowsTask& task, double angle);

}  // namespace dotlane::tiling
