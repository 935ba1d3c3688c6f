// order: the strokes of a drawing in an order with little travel.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int order(Options o, bool json);

}  // namespace dotlane::cli
