// What falls out of stencils: bits of stock for other work.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// One shape of bit and how many there are of it, turned and mirrored ones too.
struct FallOut {
  Region shape;  ///< mm in the figure, where the first of them lies
  std::size_t count = 0;
  double area_mm2 = 0;
  double across_mm = 0;  ///< the longer side of its box
};

/// The bits within the openings that the piece cuts, each as large as `least_mm2` or more: largest first. Those are
/// alike that agree in area and length of their edges within half a percent, and in their second moments within one.
[[nodiscard]] std::vector<FallOut> fall_outs(const DrawnPiece& piece, double least_mm2);

/// Puts them on the shelf as scraps of the piece's stock, each shape with its number: packing takes them for parts of
/// other work, and they are not cut again.
[[nodiscard]] Project keep_fall_outs(Project project, const Drawing& drawing, int piece, double least_mm2);

}  // namespace dotlane
