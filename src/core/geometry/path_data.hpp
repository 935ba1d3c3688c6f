// SVG path data ("M 0 0 L 10 0 Z"), as read from drawings and as kept in projects.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// Reads path data with every command of SVG 2 chapter 9.3; quadratics and arcs become cubics.
/// `scale` is the largest mm per unit, for the 1 µm bound on arcs. Meeting ends are not yet closed.
/// Errors name the offset and what was expected; numbers must be finite and within ±1e9.
[[nodiscard]] Result<Path> parse_path_data(std::string_view text, double scale = 1);

/// The same as drawing programs show it (SVG 2, section 9.5.4): up to the command in which something is wrong, and
/// what.
struct PathRead {
  Path path;
  std::optional<Error> error;
};
[[nodiscard]] PathRead read_path_data(std::string_view text, double scale = 1);

/// The path as M, L, C and Z commands; numbers are the shortest that read back to the same value.
[[nodiscard]] std::string path_data(const Path& path);

/// The same with coordinates rounded to `decimals` places, for files meant for other programs.
[[nodiscard]] std::string path_data(const Path& path, int decimals);

}  // namespace dotlane
