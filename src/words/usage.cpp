#include "words/usage.hpp"

#include <algorithm>
#include <array>

#include "words/language.hpp"

namespace dotlane {
namespace {

// In what order they stand plays no part: each is a whole word of capitals.
constexpr std::array kPlaceholders{"COMMAND", "FILE",    "FOLDER", "HEIGHT", "IN",      "KEY",   "LENGTH",
                                   "NAME",    "NUMBER",  "OTHER",  "OUT",    "PERCENT", "PHOTO", "PROJECT",
                                   "ROLE",    "SECONDS", "SHAPE",  "SIZE",   "STEP",    "TEXT",  "TOOL",
                                   "UPPER",   "VALUE",   "WHEN",   "WIDTH",  "WORD",    "WORDS"};

bool is_capital(char c) { return c >= 'A' && c <= 'Z'; }

}  // namespace

std::span<const char* const> placeholders() { return kPlaceholders; }

std::string usage(std::string_view english) {
  std::string out;
  for (std::size_t i = 0; i < english.size();) {
    if (!is_capital(english[i])) {
      out += english[i++];
      continue;
    }
    const auto end = std::find_if_not(english.begin() + static_cast<std::ptrdiff_t>(i), english.end(), is_capital);
    const std::string word(english.begin() + static_cast<std::ptrdiff_t>(i), end);
    const bool known = std::find(kPlaceholders.begin(), kPlaceholders.end(), word) != kPlaceholders.end();
    out += known ? in_words(word) : word;
    i += word.size();
  }
  return out;
}

}  // namespace dotlane
