// Text as characters: UTF-8 in and out, and the names by which characters are spoken of.
#pragma once

#include <string>
#include <string_view>

namespace dotlane {

/// The characters of UTF-8 text; bytes that are none become U+FFFD.
[[nodiscard]] std::u32string characters_of(std::string_view utf8);
[[nodiscard]] std::string utf8_of(std::u32string_view characters);

/// For people: “ж” (U+0436).
[[nodiscard]] std::string spoken_of(char32_t character);

/// Whether it leaves nothing to see: spaces, line ends and controls.
[[nodiscard]] bool is_blank(char32_t character);

}  // namespace dotlane
