// sRGB colours as files write them.
#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>

namespace dotlane {

struct Color {
  std::uint8_t r = 0, g = 0, b = 0;
  friend bool operator==(const Color&, const Color&) = default;
  friend auto operator<=>(const Color&, const Color&) = default;
};

/// "#rrggbb".
[[nodiscard]] std::string hex(Color c);

/// "#rgb", "#rrggbb" (with or without alpha digits), "rgb(...)", "rgba(...)" or a CSS colour name; else nothing.
[[nodiscard]] std::optional<Color> parse_color(std::string_view text);

/// The light of a channel of sRGB, 0 to 1 (IEC 61966-2-1).
[[nodiscard]] double linear(std::uint8_t channel);
/// Relative luminance, 0 (black) to 1 (white), after WCAG 2.2.
[[nodiscard]] double luminance(Color c);

}  // namespace dotlane
