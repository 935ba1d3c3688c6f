// All one's projects: searched, and what of one is wanted in another.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

/// projects [WORD...] [--in FOLDER]...
int projects(Options options, bool json);
/// bring P --from Q --piece ID|NAME -o P2
int bring(Options options, bool json);
/// thumbnail P -o FILE.png [--size 256]
int thumbnail(Options options, bool json);

}  // namespace dotlane::cli
