// What commands tell people: lines made of codes and figures, and tables of such words.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/said.hpp"

namespace dotlane::cli {

/// The sentence of a code as a line of its own.
[[nodiscard]] std::string say(const char* code, const Figures& figures = {});
/// The same within a line.
[[nodiscard]] std::string phrase(const char* code, const Figures& figures = {});

/// What people call one of the words that reports have: of the kind "outcome", "done".
[[nodiscard]] std::string named(const std::string& kind, std::string_view word);

/// Cells below each other, each column as wide as its widest one.
class Table {
 public:
  /// One sign a column: '<' lies to the left, '>' to the right.
  explicit Table(std::string_view sides) : sides_(sides) {}
  void row(std::vector<std::string> cells) { rows_.push_back(std::move(cells)); }
  /// A line of its own between the rows.
  void line(std::string text) { rows_.push_back({std::move(text)}); }
  [[nodiscard]] bool empty() const { return rows_.empty(); }
  [[nodiscard]] std::string text() const;

 private:
  std::string sides_;
  std::vector<std::vector<std::string>> rows_;
};

}  // namespace dotlane::cli
