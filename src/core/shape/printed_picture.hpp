// Pictures that are printed themselves, not only traced.
#pragma once

#include <optional>

#include "core/project/drawing.hpp"

namespace dotlane {

struct PrintedPicture {
  std::shared_ptr<const Picture> picture;
  int x0 = 0, y0 = 0, width = 0, height = 0;  ///< what of it, px
  Affine onto;  ///< from these pixels, counted from their corner, to where the piece is drawn
};

/// Of a piece as drawn in the figure or on a mat; nothing where it has no picture that is printed.
[[nodiscard]] std::optional<PrintedPicture> printed_picture(const Project& project, const DrawnPiece& drawn);

}  // namespace dotlane
