// SVG in: every drawn element becomes a line in mm, with what the painting says about it.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// Reads SVG 1.1 and the parts of SVG 2 that drawing programs write: paths, basic shapes, groups, nested transforms,
/// use/symbol, nested svg, viewBox and preserveAspectRatio, absolute units, presentation attributes, style attributes
/// and sheets. Physical units in width or height make the size "stated"; px and bare numbers leave it "assumed".
/// Text becomes outlines (svg_text.hpp). Images, clips and unpainted or hidden elements are reported in `notes`, never
/// dropped in silence. Errors name `file_name` and the line. Time and memory grow with the file, within the limits of
/// the options.
[[nodiscard]] Result<Artwork> read_svg(std::string_view bytes, const std::string& file_name,
                                       const ReadOptions& options = {});

}  // namespace dotlane
