// dot-lane-cli shape: one step of a recipe, a ready shape or a traced picture, from file to file.
#pragma once

#include <string>

#include "cli/options.hpp"

namespace dotlane::cli {

int shape(Options o, bool json);
[[nodiscard]] std::string shape_help();

}  // namespace dotlane::cli
