// From text to letterforms: lines, directions and scripts told apart, each run set by the face.
#pragma once

#include "core/text/face.hpp"

namespace dotlane {

struct TextOptions {
  bool kerning = true;
  std::vector<std::string> features;  ///< as TextRun takes them
};

/// One line of text: its characters, and its forms in the order they stand from left to right.
struct ShapedLine {
  std::size_t first = 0, last = 0;  ///< characters [first, last); the line break after them is not among them
  bool right_to_left = false;       ///< its paragraph's direction
  std::vector<ShapedGlyph> glyphs;  ///< characters without a form come as glyph 0
};

/// Sets the text line by line (a line feed ends a line), mixed directions by the Unicode bidirectional algorithm
/// (UAX 9, by FriBidi). A form in another direction than its neighbours keeps its own run's order.
[[nodiscard]] std::vector<ShapedLine> shaped_lines(const Face& face, std::u32string_view text,
                                                   const TextOptions& options);

/// Another form of a letter, and the feature that brings it up ("swsh", "salt=2").
struct AlternateForm {
  unsigned glyph = 0;
  std::string feature;
};

/// The other forms that the face's features have for the character by itself, each once.
[[nodiscard]] std::vector<AlternateForm> alternates_of(const Face& face, char32_t character);

/// Whether HarfBuzz can read this as a feature setting.
[[nodiscard]] bool is_feature(const std::string& text);

}  // namespace dotlane
