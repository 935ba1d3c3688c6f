// The .dotlane document: see docs/file-format.md.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/project/project.hpp"

namespace dotlane {

inline constexpr int kFormatVersion = 2;

/// The project as UTF-8 JSON, two spaces a level, keys in a fixed order: the same project gives the same bytes.
[[nodiscard]] std::string to_json(const Project& project);

/// Reads a document of any version up to this one; later ones are refused by their number. Fields it does not know are
/// kept and written back.
/// Errors name the file and the field (as a path such as "pieces[2].lines[0].d") or the line of a JSON fault.
[[nodiscard]] Result<Project> project_from_json(std::string_view text, const std::string& file_name);

}  // namespace dotlane
