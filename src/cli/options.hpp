// The words of a command line, taken one by one.
#pragma once

#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "core/error.hpp"

namespace dotlane::cli {

/// Thrown for bad use or unreadable input; main() prints it as one line and exits with 2.
struct Stop {
  Error error;
};

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
  /// Takes the next word that is not an option; `what` names it in the error. Asked for after the options, so that what
  /// stands behind one of them is its value and nothing else.
  std::string positional(const std::string& what);
  /// The same, or nothing when there is none.
  std::optional<std::string> optional_positional();
  /// A whole number, or `missing`.
  int integer(const std::string& name, int missing);
  double number(const std::string& name, double missing);
  /// Refuses what nobody took.
  void finish() const;

 private:
  std::vector<std::string> words_;
};

/// The option's whole number; nothing when it is not given.
[[nodiscard]] std::optional<int> whole_value(Options& o, const std::string& name);

/// The option's length, mm, from 0 to 1000; nothing when it is not given.
[[nodiscard]] std::optional<double> length_value(Options& o, const std::string& name);

/// A width and a height, mm: "292x292mm", "12x24in". The name is that of the option, for the message.
[[nodiscard]] std::pair<double, double> size_from(const std::string& name, const std::string& text);

/// To four decimals, as reports give numbers.
[[nodiscard]] double round4(double v);

}  // namespace dotlane::cli
