// quantity: how much stock to buy.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int quantity(Options o, bool json);

}  // namespace dotlane::cli
