// Calibration sheets, exercises, and what one project takes over from another's workshop.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

/// calibrate [KIND P ...]: the sheet as a project, or what was read taken over.
int calibrate(Options options, bool json);
/// exercise list | open ID -o P | check ID P
int exercise(Options options, bool json);
/// workshop P --from P2 -o P3
int workshop(Options options, bool json);

}  // namespace dotlane::cli
