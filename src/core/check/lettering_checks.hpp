// Checks of lettering: letters that do not hold together, close up, or are too fine for the tool.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Codes: letters-apart (neighbours of joined lettering that do not touch, with the gap), counter-closed (a counter
/// that a neighbour covers), letters-overlap (letters that are cut through where they overlap), letters-thin (a stroke
/// too thin to cut, or for the tip), letters-small (counters or dots too small to weed, or for the tip),
/// outlines-reserved (the typeface's embedding flags).
[[nodiscard]] std::vector<Finding> check_lettering(const Project& project, const Drawing& drawing);

}  // namespace dotlane
