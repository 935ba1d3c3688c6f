// Outlines of pictures.
#pragma once

#include <string>
#include <vector>

#include "core/project/kinds.hpp"
#include "core/project/project.hpp"
#include "core/said.hpp"

namespace dotlane {

/// One colour of a picture as outlines, mm from the top left of what was cropped.
struct TracedLayer {
  Color color;
  Path path;
};

/// What is taken of a picture, px; nothing is left of it where width or height are not above 0.
struct Crop {
  int x0, y0, width, height;
};
[[nodiscard]] Crop crop_of(const Picture& picture, const Reading& take);

/// Traces the picture as the values of the kind "picture" say (see shape_kinds.cpp): two tones by a threshold on luma,
/// or several colours (core/shape/picture_layers.hpp), each outlined by potrace (P. Selinger, "Potrace: a polygon-based
/// tracing algorithm", 2003). The layers come lightest first, each to lie below the next. `trouble` says why nothing
/// was found.
[[nodiscard]] std::vector<TracedLayer> trace(const Picture& picture, const Values& values, Sayings& trouble);

/// Colours written as "#c7802a #1f6f78", with spaces or commas between them; what is none is passed over.
[[nodiscard]] std::vector<Color> palette_of(const std::string& text);
/// The same palette with one more; without the one that nobody can tell from it, where
/// there is one.
[[nodiscard]] std::string with_or_without(const std::string& palette, Color color);

/// The same as lines, one for each layer, with the role cut.
[[nodiscard]] std::vector<Line> traced_lines(const Picture& picture, const Values& values, Sayings& trouble);

/// The shorter side of the smallest contour's box, mm; 0 when there is none.
[[nodiscard]] double smallest_bit(const std::vector<Line>& lines);

}  // namespace dotlane
