// Lengths and numbers as people type them.
#include "core/typed_number.hpp"

#include <cmath>

#include "chance.hpp"
#include "fixtures.hpp"

namespace dotlane::test {

TEST_CASE("typed lengths: fractions, units and sums come out right, in a field of mm and in one of inches") {
  constexpr double kInch = 25.4;
  struct Row {
    const char* text;
    double in_mm, in_inches;  // mm, in a field of mm and in one of inches
  };
  const Row rows[] = {{"5", 5, 5 * kInch},
                      {"5.25", 5.25, 5.25 * kInch},
                      {".5", 0.5, 0.5 * kInch},
                      {"5.", 5, 5 * kInch},
                      {"  7  ", 7, 7 * kInch},
                      {"-3", -3, -3 * kInch},
                      {"3mm", 3, 3},
                      {"1.5 cm", 15, 15},
                      {"0.2 m", 200, 200},
                      {"36pt", 12.7, 12.7},
                      {"0.12 in", 3.048, 3.048},
                      {"2 INCHES", 50.8, 50.8},
                      {"3/8\"", 9.525, 9.525},
                      {"3/8 in", 9.525, 9.525},
                      {"1/2", 0.5, 12.7},
                      {"5 1/2", 5.5, 139.7},
                      {"5-1/2", 5.5, 139.7},
                      {"5 1/2 in", 139.7, 139.7},
                      {"5-1/2\"", 139.7, 139.7},
                      {"5½\"", 139.7, 139.7},
                      {"5 ½ in", 139.7, 139.7},
                      {"¾", 0.75, 19.05},
                      {"1' 6\"", 457.2, 457.2},
                      {"1 ft + 6 in", 457.2, 457.2},
                      {"12.7 mm + 3", 15.7, 15.7},
                      {"1 + 2 in", 76.2, 76.2},
                      {"1 in + 3 mm", 28.4, 28.4},
                      {"5 - 1/2", 4.5, 114.3},
                      {"5 1/2 - 3/8", 5.125, 130.175},
                      {"1/16 + 1/32 in", 2.38125, 2.38125},
                      {"148 / 2", 74, 74 * kInch},
                      {"148 mm / 2", 74, 74},
                      {"11 in / 2 - 1/4 in", 133.35, 133.35},
                      {"3 * 40", 120, 120 * kInch},
                      {"3 x 40 mm", 120, 120},
                      {"3 × 40 mm + 2 × 5", 130, 130},
                      {"2 * (30 mm + 5)", 70, 70},
                      {"(1 + 2) in", 76.2, 76.2},
                      {"(297 mm - 3 * 8) / 4", 68.25, 68.25},
                      {"--2", 2, 2 * kInch},
                      {"10 mm − 2", 8, 8},
                      {"8\xC2\xA0mm", 8, 8}};
  for (const auto& row : rows) {
    INFO(row.text);
    const TypedNumber mm = typed_length(row.text), inches = typed_length(row.text, kInch);
    REQUIRE(mm.ok());
    REQUIRE(inches.ok());
    CHECK(mm.value == Approx(row.in_mm).margin(1e-9));
    CHECK(inches.value == Approx(row.in_inches).margin(1e-9));
  }
  CHECK(std::size(rows) >= 40);
}

TEST_CASE("what is no length is refused with its place and reason") {
  using enum TypedFault;
  struct Row {
    const char* text;
    TypedFault fault;
    const char* word;
  };
  for (const auto& row : {Row{"", empty, ""},
                          Row{"   ", empty, ""},
                          Row{"wide", number_expected, "wide"},
                          Row{"3 furlongs", unknown_unit, "furlongs"},
                          Row{"3 +", number_expected, ""},
                          Row{"3 + + ", number_expected, ""},
                          Row{"3 mm mm", unknown_unit, "mm"},
                          Row{"3 mm * 2 mm", length_twice, "*"},
                          Row{"6 / 2 mm", length_twice, "/"},
                          Row{"1/0", by_zero, "/0"},
                          Row{"5 1/0", by_zero, "/0"},
                          Row{"5 / (1 - 1)", by_zero, "/"},
                          Row{"(1 + 2", bracket, "(1"},
                          Row{"1 + 2)", bracket, ")"},
                          Row{"2 3", unknown_unit, "3"},
                          Row{"1e99", unknown_unit, "e99"},
                          Row{"99999999999999", too_large, ""},
                          Row{"3,5,", unknown_unit, ",5,"},
                          Row{"%", number_expected, "%"},
                          Row{"(2 mm) mm", length_twice, ""}}) {
    INFO(row.text);
    const TypedNumber typed = typed_length(row.text);
    CHECK(typed.fault == row.fault);
    if (*row.word) CHECK(typed.word == row.word);
  }
}

TEST_CASE("typed numbers without a unit, and with the field's own") {
  CHECK(typed_number("90/4").value == 22.5);
  CHECK(typed_number("3 * 12").value == 36);
  CHECK(typed_number("45°", "°").value == 45);
  CHECK(typed_number("1/3 * 100 %", "%").value == Approx(100.0 / 3));
  CHECK(typed_number("20 gf", "gf").value == 20);
  CHECK(typed_number("20 mm", "gf").fault == TypedFault::unknown_unit);
  CHECK(typed_number("").fault == TypedFault::empty);
}

TEST_CASE("any text is read to an end") {
  for (const char* much : {"(", "-", "+", "1+", "1/", "9"}) {
    std::string text;
    for (int i = 0; i < 200'000; ++i) text += much;
    CHECK_FALSE(typed_length(text).ok());
  }
  CHECK(typed_length(std::string(50, '(') + "3" + std::string(50, ')')).value == 3);
  Chance chance(29);
  const std::string alphabet = "0123456789./*+-()x \"'mincft½";
  for (int round = 0; round < rounds(20000); ++round) {
    std::string text;
    for (int i = chance.whole(0, 14); i-- > 0;)
      text += alphabet[static_cast<std::size_t>(chance.whole(0, static_cast<int>(alphabet.size()) - 1))];
    const TypedNumber typed = typed_length(text);
    CHECK(std::isfinite(typed.value));
    CHECK(typed.at <= text.size());
  }
}

}  // namespace dotlane::test
