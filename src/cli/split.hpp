// split: a drawing that is larger than a sheet, in tiles.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int split_drawing(Options o, bool json);

}  // namespace dotlane::cli
