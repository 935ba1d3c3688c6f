// What people type into a field: numbers, fractions, units and small sums.
#pragma once

#include <optional>
#include <string>
#include <string_view>

namespace dotlane {

enum class TypedFault {
  none,
  empty,
  number_expected,  ///< at `at` there is no number
  unknown_unit,     ///< the word there is no unit
  length_twice,     ///< a length times, or a number divided by, a length
  by_zero,
  bracket,    ///< one is open or closed too many
  too_large,  ///< over a thousand million
};

struct TypedNumber {
  double value = 0;  ///< of lengths, mm
  TypedFault fault = TypedFault::none;
  std::size_t at = 0;  ///< byte of the text where the fault is
  std::string word;    ///< what stands there
  [[nodiscard]] bool ok() const { return fault == TypedFault::none; }
};

/// A length, such as "5 1/2", "3/8\"", "½ in", "12.7 mm + 3", "2 * (1 in + 3 mm)", "10 cm / 3". Units: mm, cm, m, in,
/// inch, inches, ", ft, ', pt. A number without one has that of the one before it in the sum, else of the next one,
/// else `unit_mm`. Decimals are written with a point.
[[nodiscard]] TypedNumber typed_length(std::string_view text, double unit_mm = 1);

/// A number, fraction or sum without a unit; `unit` may stand behind it.
[[nodiscard]] TypedNumber typed_number(std::string_view text, std::string_view unit = {});

/// The number as whole and fraction with the nearest of so many parts, reduced: "5 1/2", "3/8", "-1/16", "0".
[[nodiscard]] std::string as_fraction(double value, int parts);

/// The length alone, bare numbers in mm, or nothing: for the command line.
[[nodiscard]] inline std::optional<double> length_mm_from(std::string_view text) {
  const TypedNumber typed = typed_length(text);
  return typed.ok() ? std::optional(typed.value) : std::nullopt;
}

}  // namespace dotlane
