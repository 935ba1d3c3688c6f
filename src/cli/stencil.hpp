// plates and fall-outs: what stencils are made of several paints' pictures, and what bits they leave.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int plates(Options o, bool json);
int fall_outs_of(Options o, bool json);

}  // namespace dotlane::cli
