// Where things lie: what is kept for a user and what ships with Dot Lane (XDG Base Directory Specification, version
// 0.8).
#pragma once

#include <string>

namespace dotlane {

// In the user's data folder, $XDG_DATA_HOME, else ~/.local/share.
[[nodiscard]] std::string logbook_path();
/// The folder of its copies, one a day.
[[nodiscard]] std::string logbook_copies();
/// What is known of all projects.
[[nodiscard]] std::string project_index_path();

/// A file or folder that ships with Dot Lane, by its name in dot-lane/: in ../share, seen from the program that runs,
/// else in the user's data folder, else in those of $XDG_DATA_DIRS. Where there is none, the first of these places.
[[nodiscard]] std::string shipped(const std::string& name);

}  // namespace dotlane
