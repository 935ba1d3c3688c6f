// What a line is for. Every line has exactly one role.
#pragma once

#include <array>
#include <optional>
#include <string_view>

namespace dotlane {

enum class Role { cut, score, draw, foil, engrave, emboss, print, guide };

inline constexpr std::array kRoles{Role::cut,     Role::score,  Role::draw,  Role::foil,
                                   Role::engrave, Role::emboss, Role::print, Role::guide};

/// The word used in files, on the command line and (translated) in the window.
[[nodiscard]] constexpr std::string_view word(Role r) {
  constexpr std::array<std::string_view, 8> words{"cut",     "score",  "draw",  "foil",
                                                  "engrave", "emboss", "print", "guide"};
  return words[static_cast<std::size_t>(r)];
}

[[nodiscard]] constexpr std::optional<Role> role_from(std::string_view text) {
  for (const Role r : kRoles) {
    if (word(r) == text) return r;
  }
  return std::nullopt;
}

/// True for the roles that a tool in the cutter carries out; print and guide lines are never run.
[[nodiscard]] constexpr bool runs(Role r) { return r != Role::print && r != Role::guide; }

/// True for the roles that mark a surface: what can be filled in with strokes.
[[nodiscard]] constexpr bool marks(Role r) {
  return r == Role::draw || r == Role::foil || r == Role::engrave || r == Role::emboss;
}

}  // namespace dotlane
