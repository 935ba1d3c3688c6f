// What a new project starts with: a tool rack, stocks, a machine. All of it is meant to be edited.
#pragma once

#include "core/project/project.hpp"

namespace dotlane {

/// A new project: the standard rack and stocks, a 12 x 12 in mat, two holders, no pieces and no sheets.
[[nodiscard]] Project new_project(std::string name);

[[nodiscard]] std::vector<Tool> preset_tools();

/// Force, speed, depth and repeats are starting points (common practice, no published source); the machine's manual
/// and the material's data sheet come first. Card grammage follows from the basis weight: see grammage_of_cover().
[[nodiscard]] std::vector<Stock> preset_stocks();

[[nodiscard]] std::vector<Mat> preset_mats();

/// Grammage (g/m²) of cover card from its US basis weight: pounds per 500 sheets of 20 x 26 in (TAPPI T 410).
[[nodiscard]] double grammage_of_cover(double pounds);

/// A pen for this ink, as import adds it to the rack when no pen has the colour of a drawn line.
[[nodiscard]] Tool pen_of(Color ink, double tip_width_mm = 0.4);

}  // namespace dotlane
