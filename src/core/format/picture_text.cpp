#include "core/format/picture_text.hpp"

#include <zlib.h>

#include <string_view>

namespace dotlane {
namespace {

constexpr std::string_view kDigits = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";

}  // namespace

std::string text_of_pixels(const std::vector<std::uint8_t>& pixels) {
  uLongf size = compressBound(static_cast<uLong>(pixels.size()));
  std::vector<std::uint8_t> packed(size);
  compress2(packed.data(), &size, pixels.data(), static_cast<uLong>(pixels.size()), 6);
  packed.resize(size);
  std::string out;
  out.reserve(packed.size() * 4 / 3 + 4);
  for (std::size_t i = 0; i < packed.size(); i += 3) {
    const std::size_t n = std::min<std::size_t>(3, packed.size() - i);
    unsigned bits = 0;
    for (std::size_t k = 0; k < 3; ++k) bits = bits << 8 | (k < n ? packed[i + k] : 0u);
    for (std::size_t k = 0; k < 4; ++k) out += k <= n ? kDigits[bits >> (18 - 6 * k) & 63] : '=';
  }
  return out;
}

Result<std::vector<std::uint8_t>> pixels_from_text(const std::string& text, std::size_t size) {
  std::vector<std::uint8_t> packed;
  packed.reserve(text.size() * 3 / 4);
  unsigned bits = 0;
  int have = 0;
  for (const char c : text) {
    if (c == '=') break;
    const auto digit = kDigits.find(c);
    if (digit == std::string_view::npos) return fail(ErrorKind::malformed, {"want-base64"});
    bits = (bits << 6 | static_cast<unsigned>(digit)) & 0xffffffu;
    if ((have += 6) >= 8) packed.push_back(static_cast<std::uint8_t>(bits >> (have -= 8) & 255u));
  }
  std::vector<std::uint8_t> out(size);
  uLongf got = static_cast<uLongf>(size);
  if (uncompress(out.data(), &got, packed.data(), static_cast<uLong>(packed.size())) != Z_OK || got != size) {
    return fail(ErrorKind::malformed, {"pixels-short", {{"places", figure(size / 3)}}});
  }
  return out;
}

}  // namespace dotlane
