// sheets, pack and scraps: parts onto sheets, and what sheets there are.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int sheets(Options o, bool json);
int pack(Options o, bool json);
/// Scraps on a photograph of the mat.
int scraps(Options o, bool json);

}  // namespace dotlane::cli
