// Checks of stencils: whether what is left of the sheet holds.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Of pieces whose recipe makes bridges. Codes: stencil-neck (the sheet is thin between openings), stencil-tongue (a
/// part of it hangs by one end and is long for its width), stencil-open (little of it is left); the first two say
/// where. stencil-slit (narrower than a brush), stencil-margin (too near to the edge for paint), stencil-large (too
/// detailed to be looked at).
[[nodiscard]] std::vector<Finding> check_stencils(const Project& project, const Drawing& drawing);

}  // namespace dotlane
