// Drawings of whatever kind, told by what is in them: endings are not trusted.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// SVG, SVG that is packed by gzip, DXF, PDF, PostScript or HPGL. Errors name the file.
[[nodiscard]] Result<Artwork> read_artwork(std::string_view bytes, const std::string& file_name,
                                           const ReadOptions& options = {});

/// The endings that such files usually have, with their dots.
[[nodiscard]] const std::vector<std::string>& artwork_endings();

}  // namespace dotlane
