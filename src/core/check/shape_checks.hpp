// Checks of the shapes themselves: what would be hard to cut, weed or hold.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Codes: recipe-trouble (a step that could do nothing, or a shape that cannot be made well), slivers (strips narrower
/// than the project's limit), tiny-bits (contours smaller than its limit), blunt-points (sharp points that an outward
/// offset has rounded or cut off), badge-rim (what is drawn on a pin badge and would be folded away).
[[nodiscard]] std::vector<Finding> check_shapes(const Project& project, const Drawing& drawing);

}  // namespace dotlane
