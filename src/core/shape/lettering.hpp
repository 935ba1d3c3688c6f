// Lettering: words in a typeface, set, sized, spaced, bent and nudged into lines.
#pragma once

#include <memory>
#include <string>
#include <vector>

#include "core/project/project.hpp"
#include "core/said.hpp"
#include "core/text/face.hpp"

namespace dotlane {

/// One letter as it stands: the form or forms of one or more characters (a ligature, a letter with its accent).
/// Lengths in mm, in the piece's coordinates.
struct Letter {
  std::size_t first = 0, last = 0;  ///< characters [first, last) of the text
  std::size_t line = 0;
  bool blank = true;  ///< a space, or a form with nothing to see
  bool right_to_left = false;
  std::vector<unsigned> forms;
  Path shape;          ///< upright on the baseline, its pen at the origin
  Affine place;        ///< from there to where it stands, single-letter moves included
  double at = 0;       ///< where its pen is along the baseline of its line
  double advance = 0;  ///< along the baseline, letter spacing included
  /// What the forms of the face came to here: mm to the em, across and down.
  double em_across = 0, em_down = 0;
};

/// Where the caret stands before a character: a stroke from the foot to the head of its line.
struct CaretPlace {
  Vec foot, head;
  std::size_t line = 0;
};

/// How a line of letters runs.
struct Baseline {
  bool round = false, inward = false;
  double radius = 0;  ///< of a round one, about the origin
  double down = 0;    ///< of a straight one
  double from = 0;    ///< round: degrees clockwise
  /// The upright frame of a letter that is `advance` wide with its pen at `at`.
  [[nodiscard]] Affine place(double at, double advance) const;
};

struct Lettering {
  std::shared_ptr<const Face> face;  ///< nothing when no typeface could be opened
  bool substituted = false;          ///< the typeface asked for is not here; a shipped one stands in
  std::u32string text;
  std::vector<Letter> letters;  ///< line by line, each from left to right
  std::vector<Baseline> baselines;
  std::vector<CaretPlace> carets;  ///< one before every character and one at the end
  double cap_height = 0;           ///< mm
  bool strokes = false;            ///< for a pen: lines to follow instead of outlines
  Sayings trouble;
};

/// Sets the lettering that the values of a "lettering" source describe.
[[nodiscard]] Lettering set_lettering(const Values& values);

/// The letter's lines where it stands.
[[nodiscard]] Path placed(const Letter& letter);

/// The lines of the source: one named "letters" to cut, or "strokes" to draw.
[[nodiscard]] std::vector<Line> lettering_lines(const Values& values, Sayings& trouble);

/// The values with another text: what was said about single letters stays with those that remain. Both texts are
/// compared from their ends; what lies between changed.
[[nodiscard]] Values with_text(Values values, const std::string& text);

/// The values sized by a factor: spacing, moves and circle grow along, so that the lettering looks the same.
[[nodiscard]] Values scaled_lettering(Values values, double factor);

/// What was done to single letters, read from and written to the rows of `letters`.
struct LetterMove {
  std::size_t character = 0;
  double before = 0, right = 0, down = 0, turn = 0, percent = 100;
  friend bool operator==(const LetterMove&, const LetterMove&) = default;
};
[[nodiscard]] std::vector<LetterMove> letter_moves(const Values& values);
/// Sets the move of one letter; one that moves nothing is left out.
[[nodiscard]] Values with_letter_move(Values values, const LetterMove& move);

/// Puts another form of the letter at the character; an empty name takes the choice back.
[[nodiscard]] Values with_letterform(Values values, std::size_t character, const std::string& glyph_name);

/// Axis settings from text such as "wght=600, wdth=80".
[[nodiscard]] AxisValues axes_from(const std::string& text);

}  // namespace dotlane
