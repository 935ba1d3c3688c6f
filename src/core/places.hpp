// Where what is kept for a user lies: in the data folder, $XDG_DATA_HOME, else ~/.local/share (XDG Base Directory
// Specification, version 0.8).
#pragma once

#include <string>

namespace dotlane {

[[nodiscard]] std::string logbook_path();
/// The folder of its copies, one a day.
[[nodiscard]] std::string logbook_copies();
/// What is known of all projects.
[[nodiscard]] std::string project_index_path();

}  // namespace dotlane
