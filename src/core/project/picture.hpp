// A picture to be traced: decoded pixels, so that the core needs no image formats.
#pragma once

#include <cstdint>
#include <vector>

namespace dotlane {

/// Rows from the top, three bytes a pixel: red, green, blue.
struct Picture {
  int width = 0, height = 0;
  std::vector<std::uint8_t> rgb;
  [[nodiscard]] bool empty() const { return width <= 0 || height <= 0; }
  friend bool operator==(const Picture&, const Picture&) = default;
};

/// The longest side that is kept, px; larger pictures are scaled down when they are brought in.
inline constexpr int kLargestPicture = 2000;

}  // namespace dotlane
