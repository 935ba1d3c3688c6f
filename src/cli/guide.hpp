// guide: how the parts of a project are put together, as pages.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int guide(Options o, bool json);

}  // namespace dotlane::cli
