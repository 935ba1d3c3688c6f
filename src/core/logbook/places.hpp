// Where the logbook is.
#pragma once

#include <string>

namespace dotlane {

/// In the user's data folder: $XDG_DATA_HOME, else ~/.local/share (XDG Base Directory Specification, version 0.8).
[[nodiscard]] std::string logbook_path();
/// The folder of its copies, one a day.
[[nodiscard]] std::string logbook_copies();

}  // namespace dotlane
