// sheets and pack: parts onto sheets.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int sheets(Options o, bool json);
int pack(Options o, bool json);

}  // namespace dotlane::cli
