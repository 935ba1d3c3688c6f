// dry-run: the whole job on the simulated cutter, with what may go wrong, and what came of it.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int dry_run(Options o, bool json);

}  // namespace dotlane::cli
