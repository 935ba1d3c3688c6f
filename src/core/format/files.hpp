// Files read whole and written so that a crash leaves either the old contents or the new.
#pragma once

#include <cstddef>
#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// The whole file; larger ones than `max_bytes` are refused unread.
[[nodiscard]] Result<std::string> read_file(const std::string& path, std::size_t max_bytes = 1u << 30);

/// Writes to a temporary file beside `path`, syncs it, renames it over `path` and syncs the folder.
/// On failure `path` is untouched and the temporary file is gone.
[[nodiscard]] Result<void> write_file(const std::string& path, std::string_view bytes);

[[nodiscard]] Result<Project> load_project(const std::string& path);
[[nodiscard]] Result<void> save_project(const Project& project, const std::string& path);

/// Where unsaved work on this project is kept: ".name.dotlane.autosave" beside it.
[[nodiscard]] std::string autosave_path(const std::string& project_path);

}  // namespace dotlane
