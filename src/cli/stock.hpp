// quantity and fall-outs: how much stock to buy, and what bits of it are left.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int quantity(Options o, bool json);
int fall_outs_of(Options o, bool json);

}  // namespace dotlane::cli
