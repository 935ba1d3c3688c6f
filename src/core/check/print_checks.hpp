// Second look at what is printed before it is cut.
#pragma once

#include "core/layout/layout.hpp"

namespace dotlane {

/// Codes: print-missing, print-no-marks, print-on-marks, print-by-hand. help/en/checks.md says why.
[[nodiscard]] std::vector<Finding> check_print(const Project& project, const Layout& layout);

}  // namespace dotlane
