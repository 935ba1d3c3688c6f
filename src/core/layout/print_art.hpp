// What is printed on a sheet: the filled shapes and lines whose role is print, with their bleed.
#pragma once

#include "core/layout/layout.hpp"
#include "core/shape/printed_picture.hpp"

namespace dotlane {

inline constexpr double kPrintLine = 0.35;  ///< mm: how wide lines are printed. Common practice, no published source.

struct PrintShape {
  Region area;  ///< mm on the mat, as it is laid out; a job that is mirrored prints it mirrored, see onto_print()
  Color color;
  int piece = 0;
  /// Where it is set, this picture shows within the area; its map is onto the mat.
  std::optional<PrintedPicture> picture{};
};

/// Of one sheet, the first one printed first. A shape that reaches the edge of the part it lies in, or to within
/// `kPrintEdge` of it, runs on beyond it by the bleed, holes included, but never over another part; nothing is printed
/// farther away from its part than that. What lies in no part is printed as it is.
[[nodiscard]] std::vector<PrintShape> print_art(const Project& project, const Layout& layout, const LaidSheet& sheet);
inline constexpr double kPrintEdge = 0.3;  ///< mm

/// From where things are laid out to where they are printed: mirrored across the sheet's upright middle line with the
/// job.
[[nodiscard]] Affine onto_print(const Project& project, const Sheet& sheet);

/// Whether anything on the sheet is to be printed.
[[nodiscard]] bool prints(const Project& project, const LaidSheet& sheet);

}  // namespace dotlane
