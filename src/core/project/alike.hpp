// What is like what is selected: to select it, too.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

enum class Alike {
  color,
  role,
  tool,
  stock,  ///< whole pieces
  size,   ///< whole pieces as wide and high in their own frames, however they lie: copies
  shape,  ///< whole pieces, or single lines, of this shape: turned, mirrored, larger or smaller
};

/// Shapes are alike whose length-weighted second and fourth moments, measured by their own length, agree within half a
/// percent.
inline constexpr double kAlikeShape = 0.005;

/// A hundredth of a millimetre either way: as large.
inline constexpr double kAsLarge = 0.01;

/// All lines, or pieces, that are like one of those selected (an empty line id: of all of a piece's), these among them;
/// in the order of the drawing.
[[nodiscard]] std::vector<LineRef> alike(const Drawing& drawing, const std::vector<LineRef>& selected, Alike how);

/// What is not selected: other pieces, or, where only single lines are, the other lines of their pieces.
[[nodiscard]] std::vector<LineRef> all_but(const Drawing& drawing, const std::vector<LineRef>& selected);

}  // namespace dotlane
