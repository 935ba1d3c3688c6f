// Pictures of every main view, for documentation and review.
#pragma once

#include <string>
#include <vector>

#include "core/error.hpp"

namespace dotlane {

/// Opens the project in the real window at 1280 x 800 and saves a PNG of each main view in `folder`, which is made
/// when it is missing. Returns the files. Needs a QApplication; works off screen.
[[nodiscard]] Result<std::vector<std::string>> take_shots(const std::string& project, const std::string& folder);

}  // namespace dotlane
