#include "core/text/unicode.hpp"

#include <fribidi.h>

#include <cstdio>

namespace dotlane {

std::u32string characters_of(std::string_view text) {
  std::u32string out;
  out.reserve(text.size());
  for (std::size_t i = 0; i < text.size();) {
    const auto lead = static_cast<unsigned char>(text[i]);
    const std::size_t n = lead < 0x80                   ? 1
                          : lead >= 0xc2 && lead < 0xe0 ? 2
                          : lead >= 0xe0 && lead < 0xf0 ? 3
                          : lead >= 0xf0 && lead < 0xf5 ? 4
                                                        : 0;
    char32_t c = n <= 1 ? lead : lead & (0x7fu >> n);
    bool whole = n > 0 && i + n <= text.size();
    for (std::size_t k = 1; whole && k < n; ++k) {
      const auto next = static_cast<unsigned char>(text[i + k]);
      whole = (next & 0xc0) == 0x80;
      c = c << 6 | (next & 0x3fu);
    }
    constexpr char32_t kLeast[] = {0, 0, 0x80, 0x800, 0x10000};
    whole = whole && c >= kLeast[n] && c <= 0x10ffff && !(c >= 0xd800 && c <= 0xdfff);
    out += whole ? c : U'\uFFFD';
    i += whole ? n : 1;
  }
  return out;
}

std::string utf8_of(std::u32string_view characters) {
  std::string out;
  for (const char32_t c : characters) {
    auto byte = [&](char32_t b) { out += static_cast<char>(b); };
    if (c < 0x80) {
      byte(c);
    } else if (c < 0x800) {
      byte(0xc0 | c >> 6), byte(0x80 | (c & 0x3f));
    } else if (c < 0x10000) {
      byte(0xe0 | c >> 12), byte(0x80 | (c >> 6 & 0x3f)), byte(0x80 | (c & 0x3f));
    } else {
      byte(0xf0 | c >> 18), byte(0x80 | (c >> 12 & 0x3f)), byte(0x80 | (c >> 6 & 0x3f)), byte(0x80 | (c & 0x3f));
    }
  }
  return out;
}

std::string spoken_of(char32_t c) {
  char code[16];
  std::snprintf(code, sizeof code, "U+%04X", static_cast<unsigned>(c));
  return is_blank(c) ? std::string(code) : "\u201c" + utf8_of({&c, 1}) + "\u201d (" + code + ")";
}

bool is_blank(char32_t c) {
  const FriBidiCharType type = fribidi_get_bidi_type(c);
  return type == FRIBIDI_TYPE_WS || type == FRIBIDI_TYPE_BS || type == FRIBIDI_TYPE_SS || type == FRIBIDI_TYPE_BN ||
         c < 32 || c == 0xa0;
}

}  // namespace dotlane
