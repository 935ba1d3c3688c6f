// SVG out: physical units, one named group for each pass.
#pragma once

#include <string>

#include "core/plan/selection.hpp"

namespace dotlane {

/// The plan's lines as an SVG the size of the mat, in mm, one group for each pass in running order, labelled
/// "1 draw Fine pen 0.4, black". Curves stay curves. Mirrored when the plan is. Lines that no pass runs (print, guide)
/// come first in a group "not run" when no single pass was asked for.
[[nodiscard]] std::string write_svg(const Project& project, const Layout& layout, const Plan& plan,
                                    const ExportSelection& selection = {});

/// The drawing itself, in mm on a page that holds `page` and everything drawn: one path for each line, with its id, its
/// colour and whether it is filled; one group for each piece when there are several.
[[nodiscard]] std::string write_drawing_svg(const Drawing& drawing, const Box& page, const std::string& title);

/// A path on one of several sheets, mm from that sheet's top left corner.
struct SheetPath {
  std::size_t sheet = 0;
  std::string id;
  Color color;
  Path path;
};

/// Sheets of one size side by side, each a group "sheet-1", "sheet-2"... with its own origin.
[[nodiscard]] std::string write_sheets_svg(double width_mm, double height_mm, std::size_t sheets,
                                           const std::vector<SheetPath>& paths);

/// Shapes on one page, to the nanometre.
[[nodiscard]] std::string write_shapes_svg(double width_mm, double height_mm, const std::vector<SheetPath>& paths);

}  // namespace dotlane
