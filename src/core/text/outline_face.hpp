// Outline faces: FreeType reads the forms, HarfBuzz sets the text.
#pragma once

#include "core/text/face.hpp"

namespace dotlane {

/// Opens a TrueType or OpenType face from the bytes of its file. `place` is named in errors.
[[nodiscard]] Result<std::shared_ptr<const Face>> open_outline_face(std::string bytes, int index,
                                                                    const AxisValues& axes, const std::string& place);

}  // namespace dotlane
