// Fills whose angle counts on the mat, made for how their part lies there.
#pragma once

#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Strokes in the place of a line's, in the coordinates of the piece.
struct FilledAnew {
  std::size_t line = 0;
  Shared<Path> path;
  Shared<std::vector<Polyline>> polylines;
  Box bounds;
};

/// Of a piece whose last step is such a fill, what it fills where all its strokes are `here` (for each contour of each
/// line), filled anew for a part that is turned by so much, degrees counter-clockwise. Nothing where there is no such
/// fill, where strokes of one shape lie in several parts, or where it would be too many.
[[nodiscard]] std::optional<std::vector<FilledAnew>> filled_anew(const DrawnPiece& piece,
                                                                 const std::vector<std::vector<bool>>& here,
                                                                 double turned);

/// Whether all strokes of such a fill can be told apart by shape: of others the angle stays what it is in the figure.
[[nodiscard]] bool follows_the_mat(const DrawnPiece& piece);

}  // namespace dotlane
