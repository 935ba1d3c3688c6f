// A shape as it may lie: its turns in cells.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"
#include "core/layout/pack/cells.hpp"

namespace dotlane::pack {

/// One turn of a shape. Cells count from the corner of the box around it.
struct Pose {
  double turn = 0;            ///< degrees counter-clockwise as seen
  std::vector<double> turns;  ///< those that come to the same cells, this one among them
  Vec corner;                 ///< of the box around the turned shape, mm
  int width = 0, height = 0;
  std::vector<Run> body;  ///< long runs first: they are most likely to meet something
  std::vector<Run> some;  ///< rows of the body, enough to find out where it may lie
  std::vector<Run> halo;  ///< of what comes nearer than the gap, row by row
  std::vector<Run> rim;   ///< around the body
  int rim_cells = 0;
  Layers body_layers, halo_layers;
};

struct Shape {
  std::vector<Pose> poses;
  double area = 0;  ///< mm²
};

/// Looks at one row of so many first.
inline constexpr int kEvery = 3;

/// The shape at the turns. Two shapes whose bodies meet none of each other's
/// halos keep the gap.
[[nodiscard]] Shape shape_of(const Region& region, const std::vector<double>& turns, double gap, double cell);

}  // namespace dotlane::pack
