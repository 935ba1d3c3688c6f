// Reading numbers and words out of text, the same in every locale.
#pragma once

#include <cmath>
#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace dotlane {

/// A cursor over SVG-style text: numbers separated by white space or single commas.
class TextScan {
 public:
  explicit TextScan(std::string_view text) : text_(text) {}
  [[nodiscard]] bool done() const { return at_ >= text_.size(); }
  [[nodiscard]] char peek() const { return done() ? '\0' : text_[at_]; }
  [[nodiscard]] std::size_t offset() const { return at_; }
  [[nodiscard]] std::string_view rest() const { return text_.substr(at_); }
  void advance(std::size_t n = 1) { at_ = std::min(at_ + n, text_.size()); }
  void skip_space();
  /// White space with at most one comma in it.
  void skip_separators();
  /// A finite decimal number within ±1e9 after any separators; the cursor stays put when there is none.
  std::optional<double> number();
  /// A single 0 or 1, which may stand without a separator ("a1 1 0 01 2 2").
  std::optional<bool> flag();

 private:
  std::string_view text_;
  std::size_t at_ = 0;
};

[[nodiscard]] bool is_space(char c);
[[nodiscard]] std::string_view trimmed(std::string_view text);
[[nodiscard]] std::string lower_case(std::string_view text);
[[nodiscard]] std::vector<std::string_view> split(std::string_view text, char separator);

/// The whole text as one finite number, or nothing.
[[nodiscard]] std::optional<double> to_number(std::string_view text);
[[nodiscard]] std::optional<std::int64_t> to_integer(std::string_view text);

/// A number with at most `decimals` places, without trailing zeros and never "-0".
[[nodiscard]] std::string rounded_text(double value, int decimals);

inline constexpr double kMmPerInch = 25.4;

}  // namespace dotlane
