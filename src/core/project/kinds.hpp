// The kinds of steps and of ready shapes, each with what it takes: one table for files, command line and window.
#pragma once

#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "core/error.hpp"
#include "core/project/recipe.hpp"

namespace dotlane {

enum class ValueType {
  length,  ///< mm
  area,    ///< mm²
  degrees,
  percent,
  number,
  count,
  choice,  ///< one of the words
  flag,
  text,
  color,    ///< "#rrggbb"
  lines,    ///< which lines of the piece: empty = every line; else roles or line ids, separated by commas
  pieces,   ///< ids of other pieces
  spots,    ///< x y pairs as fractions of the bounds
  letters,  ///< what was done to single letters, see kLetterColumns
};

/// Numbers in a row of a `letters` value: the letter's first character, space before it (mm), moved right and down
/// (mm), turned (degrees, counter-clockwise), scaled (percent).
inline constexpr std::size_t kLetterColumns = 6;

struct Word {
  std::string word, label;
};

/// One value that a kind takes.
struct ValueSpec {
  std::string key, label;
  ValueType type = ValueType::number;
  Value standard = 0.0;
  double low = 0, high = 1e6;
  std::vector<Word> words;  ///< of a choice
  std::string help;
  /// A choice that has one of these words.
  using Condition = std::pair<std::string, std::vector<std::string>>;
  std::vector<std::vector<Condition>> only{};  ///< it means something only while all of any of these hold
  std::string zero{};                          ///< what a number of 0 means, where that is not 0
};

struct KindSpec {
  std::string kind;     ///< in files and on the command line: "cut-away"
  std::string label;    ///< for people: "Cut away"
  std::string summary;  ///< one sentence
  std::string group;    ///< the heading it stands under in lists
  std::vector<ValueSpec> values;
  [[nodiscard]] const ValueSpec* find(const std::string& key) const;
};

[[nodiscard]] const std::vector<KindSpec>& step_kinds();
[[nodiscard]] const std::vector<KindSpec>& shape_kinds();
[[nodiscard]] const KindSpec* find_kind(const std::vector<KindSpec>& kinds, const std::string& kind);

/// Values read by key, with the standard of the table where none was given. A key the kind does not have, or a value
/// of another type, is a fault of the program and reads as the type's nothing.
class Reading {
 public:
  Reading(const KindSpec& spec, const Values& values) : spec_(spec), values_(values) {}
  [[nodiscard]] double number(const std::string& key) const;
  [[nodiscard]] int count(const std::string& key) const { return static_cast<int>(number(key) + 0.5); }
  [[nodiscard]] bool flag(const std::string& key) const;
  [[nodiscard]] std::string text(const std::string& key) const;
  [[nodiscard]] bool is(const std::string& key, const char* word) const { return text(key) == word; }
  [[nodiscard]] std::vector<double> list(const std::string& key) const;

 private:
  [[nodiscard]] const Value& value(const std::string& key) const;
  const KindSpec& spec_;
  const Values& values_;
};

/// Whether the value means something beside the others.
[[nodiscard]] bool applies(const ValueSpec& spec, const Reading& others);

/// Whether the value may stand there: right type, in range, a known word. The error says what is expected.
[[nodiscard]] Result<void> accepts(const ValueSpec& spec, const Value& value);

/// The pieces that the step names as inputs.
[[nodiscard]] std::vector<int> inputs_of(const Step& step);

}  // namespace dotlane
