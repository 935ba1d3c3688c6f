// The words of a command line, taken one by one.
#pragma once

#include <initializer_list>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "core/error.hpp"
#include "core/project/laying.hpp"

namespace dotlane::cli {

/// Thrown for bad use or unreadable input; main() prints it as one line and exits with 2.
struct Stop {
  Error error;
};

/// The way out with exit code 2.
[[noreturn]] void refuse(Said said, std::string place = {});

/// The value, or the way out with exit code 2.
template <class T>
T need(Result<T> result) {
  if (!result) throw Stop{result.error()};
  if constexpr (!std::is_void_v<T>) return std::move(*result);
}

class Options {
 public:
  explicit Options(std::vector<std::string> words) : words_(std::move(words)) {}
  /// Takes "--name"; true when it was there.
  bool flag(const std::string& name);
  /// Takes "--name value", the last one where there are several.
  std::optional<std::string> value(const std::string& name);
  /// Takes every "--name value".
  std::vector<std::string> values(const std::string& name);
  /// Takes the next word that is not an option; `missing` is the code of what is said where there is none. Asked for
  /// after the options, so that what stands behind one of them is its value and nothing else.
  std::string positional(const char* missing);
  /// The same, or nothing when there is none.
  std::optional<std::string> optional_positional();
  /// The next word, one of those that the command knows.
  std::string subcommand(const char* command, std::initializer_list<const char*> known);
  /// The option's value, one of these words; nothing when it is not given.
  std::optional<std::string> one_of(const std::string& name, std::initializer_list<const char*> words);
  /// A whole number, or `missing`.
  int integer(const std::string& name, int missing);
  /// A number above zero, or `missing`.
  double number(const std::string& name, double missing);
  /// Refuses what nobody took.
  void finish() const;

 private:
  std::vector<std::string> words_;
};

/// The value of an option that cannot be left out, told as "-o OUT.svg", with what it may be where that helps.
const std::string& given(const std::optional<std::string>& value, const char* form, const char* example = nullptr);

/// The option's whole number, at least 1; nothing when it is not given.
[[nodiscard]] std::optional<int> whole_value(Options& o, const std::string& name, int most = kMostCopies);

/// The option's number from the least to the most; nothing when it is not given.
[[nodiscard]] std::optional<double> number_within(Options& o, const std::string& name, double least, double most);

/// The option's length, mm, from 0 to 1000; nothing when it is not given.
[[nodiscard]] std::optional<double> length_value(Options& o, const std::string& name);

/// A width and a height, mm: "292x292mm", "12x24in". The name is that of the option, for the message.
[[nodiscard]] std::pair<double, double> size_from(const std::string& name, const std::string& text);

/// To four decimals, as reports give numbers.
[[nodiscard]] double round4(double v);

/// The words with commas between them, as messages list what there is.
[[nodiscard]] std::string listed(const std::vector<std::string>& words);

}  // namespace dotlane::cli
