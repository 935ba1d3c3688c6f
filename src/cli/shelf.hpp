// shelf list | add | use, and cost: what is owned, what is reserved of it, what a run uses up and costs.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int shelf_command(Options options, bool json);
int cost_command(Options options, bool json);

}  // namespace dotlane::cli
