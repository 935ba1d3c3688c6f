// fit: how large a project may be for its sheets.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int fit(Options o, bool json);

}  // namespace dotlane::cli
