// Finding pieces by what people remember of them.
#pragma once

#include <functional>
#include <string>
#include <string_view>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Whether every word of the text says something about the piece: part of its name, its groups, its stock, a tool or a
/// colour of its lines, the name of a role; a colour as "#1f6f78" or by its name; a size as "87" or "87x69", whole
/// numbers in the project's unit within half of one. Small and capital letters are alike. Roles and colours are
/// known by their English names, and by what `in_words` makes of them in the reader's language.
[[nodiscard]] bool is_meant(const Project& project, const DrawnPiece& piece, std::string_view text,
                            const std::function<std::string(const std::string&)>& in_words = {});

}  // namespace dotlane
