// sheets, pack, scraps and fall-outs: parts onto sheets, and what there is to lay them on.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

int sheets(Options o, bool json);
int pack(Options o, bool json);
/// Scraps on a photograph of the mat.
int scraps(Options o, bool json);
int quantity(Options o, bool json);
int fall_outs_of(Options o, bool json);

}  // namespace dotlane::cli
