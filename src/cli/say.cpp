#include "cli/say.hpp"

#include <algorithm>

#include "core/text/unicode.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {

std::string say(const char* code, const Figures& figures) { return phrase(code, figures) + "\n"; }

std::string phrase(const char* code, const Figures& figures) { return sentence(Said{code, figures}); }

std::string named(const std::string& kind, std::string_view word) {
  return phrase((kind + "/" + std::string(word)).c_str());
}

std::string Table::text() const {
  std::vector<std::size_t> widths(sides_.size());
  const auto length = [](const std::string& cell) { return characters_of(cell).size(); };
  for (const auto& row : rows_) {
    if (row.size() == 1 && sides_.size() > 1) continue;
    for (std::size_t i = 0; i < row.size(); ++i) widths[i] = std::max(widths[i], length(row[i]));
  }
  std::string out;
  for (const auto& row : rows_) {
    std::string line;
    for (std::size_t i = 0; i < row.size(); ++i) {
      const std::string space(widths[i] - std::min(widths[i], length(row[i])), ' ');
      line += (i > 0 ? "  " : "") + (sides_[i] == '>' ? space + row[i] : row[i] + space);
    }
    line.erase(line.find_last_not_of(' ') + 1);
    out += line + "\n";
  }
  return out;
}

}  // namespace dotlane::cli
