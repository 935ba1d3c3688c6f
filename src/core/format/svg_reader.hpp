// SVG in: every drawn element becomes a line in mm, with what the painting says about it.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

struct SvgOptions {
  double assumed_per_inch = 96;         ///< used only where the file states no physical unit
  std::size_t max_bytes = 256u << 20;   ///< larger files are refused
  int max_depth = 500;                  ///< deeper nesting is refused
  std::size_t max_instances = 200'000;  ///< elements drawn through `use`; more are refused
  std::size_t max_segments = 20'000'000;
};

/// Reads SVG 1.1 and the parts of SVG 2 that drawing programs write: paths, basic shapes, groups, nested transforms,
/// use/symbol, nested svg, viewBox and preserveAspectRatio, absolute units, presentation attributes, style attributes
/// and sheets. Physical units in width or height make the size "stated"; px and bare numbers leave it "assumed".
/// Text, images, clips and unpainted or hidden elements are reported in `notes`, never dropped in silence.
/// Errors name `file_name` and the line. Time and memory grow with the file, within the limits above.
[[nodiscard]] Result<Artwork> read_svg(std::string_view bytes, const std::string& file_name,
                                       const SvgOptions& options = {});

}  // namespace dotlane
