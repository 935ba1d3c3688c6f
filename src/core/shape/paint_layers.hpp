// Stencils of several layers: a plate for each paint, all alike outside, so that their corners register.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// Ids of the lines a plate has.
inline constexpr const char *kPlateEdge = "plate", *kPlateOpenings = "openings", *kPlateCorners = "corners";

/// How a plate is made. Lengths in mm.
struct PlateOptions {
  enum class Under {
    filled,  ///< what later paint covers is painted through: its holes there are filled
    as_drawn,
    left_out,  ///< no paint comes under another
  };
  Under under = Under::filled;
  double overlap = 0.5;  ///< how far it runs under later paint at its edges; not with `left_out`
  double margin = 15;    ///< from the picture to the plate's edge: where paint may bleed. Common practice, no source
  double corners = 6;    ///< legs of the registration corners; 0: none. Shorter where there is no room
};

struct Plate {
  Region openings;
  Box edge;
  Region corners;  ///< triangles with their right angles outward, halfway to the edge
};

/// The plate of one of the paints. `picture` holds what each of them shows, the first one painted first. Edge and
/// corners are the same for all. `layer` counts from 0; out of range there are no openings.
[[nodiscard]] Plate paint_plate(const std::vector<Region>& picture, std::size_t layer, const PlateOptions& options);

/// The paint of a piece that is a plate.
[[nodiscard]] std::optional<Color> paint_of(const DrawnPiece& piece);

/// A plate on top for each of these pieces, the lowest painted first, with bridges where islands are left. Each is on a
/// stock of its own like "stencil-film", else like that of the piece, so that plates lie over each other in the
/// figure and on sheets of their own. The pieces become helpers: the plates follow them. `ids` hears the new pieces',
/// in the order of painting. Pieces already helpers are taken, too; of none nothing is made. Where the plates would
/// lie over the border of their sheets, these are windows onto the figure with the plates in their middle.
[[nodiscard]] Project add_paint_layers(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                       std::vector<int>* ids = nullptr);

}  // namespace dotlane
