// quantity: how much stock to buy. near-stocks: stocks of nearly the same colour.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int quantity(Options o, bool json);
int near_stocks_of(Options o, bool json);

}  // namespace dotlane::cli
