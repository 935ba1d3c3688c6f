#include "core/project/find.hpp"

#include <algorithm>
#include <cmath>
#include <set>

#include "core/color_space.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

bool holds(const std::string& text, const std::string& word) {
  return lower_case(text).find(word) != std::string::npos;
}

bool size_is(double mm, double wanted, double unit) { return std::abs(mm / unit - wanted) <= 0.5 + 1e-9; }

/// A size typed as one number or as two with an x between.
bool is_as_large(const DrawnPiece& piece, const std::string& word, double unit) {
  const auto x = word.find('x');
  const auto number = [](const std::string& text) -> std::optional<double> {
    if (text.empty() || text.find_first_not_of("0123456789.") != std::string::npos) return std::nullopt;
    return to_number(text);
  };
  const auto first = number(word.substr(0, x));
  if (!first) return false;
  const double w = piece.bounds.width(), h = piece.bounds.height();
  if (x == std::string::npos) return size_is(w, *first, unit) || size_is(h, *first, unit);
  const auto second = number(word.substr(x + 1));
  return second && size_is(w, *first, unit) && size_is(h, *second, unit);
}

using InWords = std::function<std::string(const std::string&)>;

bool word_is_meant(const Project& project, const DrawnPiece& drawn, const std::string& word, double unit,
                   const InWords& in_words) {
  const Piece& piece = *drawn.piece;
  if (holds(piece.name, word) || holds(piece.group, word)) return true;
  const Stock* stock = find_stock(project, piece.stock);
  if (stock && holds(stock->name, word)) return true;
  if (is_as_large(drawn, word, unit)) return true;
  const auto color = parse_color(word);
  std::set<std::string> tools;
  for (const auto& line : piece.lines) {
    const std::string role(dotlane::word(line.role));
    if (role == word || (in_words && lower_case(in_words(role)) == word)) return true;
    if (color && line.color == *color) return true;
    if (!line.tool.empty()) tools.insert(line.tool);
  }
  std::set<Color> colors;
  for (const auto& line : piece.lines) colors.insert(line.color);
  if (std::any_of(colors.begin(), colors.end(), [&](Color c) {
        const std::string name = color_name(c);
        return holds(name, word) || (in_words && holds(in_words(name), word));
      }))
    return true;
  return std::any_of(tools.begin(), tools.end(), [&](const std::string& id) {
    const Tool* tool = find_tool(project, id);
    return tool && holds(tool->name, word);
  });
}

}  // namespace

bool is_meant(const Project& project, const DrawnPiece& piece, std::string_view text, const InWords& in_words) {
  const double unit = project.unit == LengthUnit::inch ? kMmPerInch : 1;
  std::string word;
  const std::string all = lower_case(std::string(text)) + " ";
  for (const char c : all) {
    if (c != ' ' && c != '\t') {
      word += c;
      continue;
    }
    if (!word.empty() && !word_is_meant(project, piece, word, unit, in_words)) return false;
    word.clear();
  }
  return true;
}

}  // namespace dotlane
