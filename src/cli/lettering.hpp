// Lettering and typefaces on the command line.
#pragma once

#include "cli/options.hpp"

namespace dotlane::cli {

/// "shape text": words as lines.
int shape_text(Options o, bool json);

/// "fonts": the typefaces at hand, or all about one.
int fonts(Options o, bool json);

}  // namespace dotlane::cli
