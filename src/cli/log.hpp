// log list | show N | export | import | suggest | check | say: the logbook.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int log_command(Options options, bool json);

}  // namespace dotlane::cli
