// measure: frames, distances, and the figures of lines.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int measure_command(Options o, bool json);

}  // namespace dotlane::cli
