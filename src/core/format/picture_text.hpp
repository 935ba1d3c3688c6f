// Pixels as text in project files: zlib, then base64 (RFC 1950, RFC 4648).
#pragma once

#include <cstdint>
#include <string>
#include <vector>

#include "core/error.hpp"

namespace dotlane {

[[nodiscard]] std::string text_of_pixels(const std::vector<std::uint8_t>& pixels);
/// Exactly `size` bytes, or an error that says what is wrong with the text.
[[nodiscard]] Result<std::vector<std::uint8_t>> pixels_from_text(const std::string& text, std::size_t size);

}  // namespace dotlane
