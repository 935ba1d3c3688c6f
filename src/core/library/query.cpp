#include "core/library/query.hpp"

#include <algorithm>
#include <cmath>
#include <optional>
#include <regex>
#include <utility>

#include "core/text_scan.hpp"
#include "core/typed_number.hpp"

namespace dotlane {
namespace {

std::optional<double> length_of(const std::string& number, const std::string& unit, double unit_mm) {
  const TypedNumber typed = typed_length(number + unit, unit_mm);
  return typed.ok() && typed.value > 0 ? std::optional(typed.value) : std::nullopt;
}

bool near(double a, double b) { return std::abs(a - b) <= std::max(1.0, 0.01 * std::max(a, b)); }

}  // namespace

ProjectQuery query_from(std::string_view text, double unit_mm) {
  ProjectQuery out;
  const std::string number = R"((\d+(?:[.,]\d+)?(?:\s+\d+/\d+)?|\d+/\d+))",
                    unit = R"((\s*(?:mm|cm|m|inches|inch|in|ft|"|″))?(?![\w]))";
  const std::regex two(number + unit + R"(\s*(?:x|×)\s*)" + number + unit, std::regex::icase),
      bare_two(number + R"(\s*(?:x|×)\s*)" + number + unit, std::regex::icase),
      one(number + R"(\s*(mm|cm|inches|inch|in|ft|"|″)(?![\w]))", std::regex::icase);
  const auto plain = [](std::string s) {
    std::replace(s.begin(), s.end(), ',', '.');
    return s;
  };
  std::string rest(text);
  const auto take = [&](const std::regex& pattern, const auto& size_of) {
    std::smatch found;
    std::string left;
    while (std::regex_search(rest, found, pattern)) {
      const auto size = size_of(found);
      left += found.prefix().str() + (size ? " " : found[0].str());
      if (size) out.sizes.push_back(*size);
      rest = found.suffix().str();
    }
    rest = left + rest;
  };
  using Size = std::optional<ProjectQuery::Size>;
  take(two, [&](const std::smatch& m) -> Size {
    // A unit behind both is that of both.
    const std::string last = m[4].str(), first = m[2].matched && m[2].length() > 0 ? m[2].str() : last;
    const auto w = length_of(plain(m[1].str()), first, unit_mm), h = length_of(plain(m[3].str()), last, unit_mm);
    return w && h ? Size({*w, *h}) : std::nullopt;
  });
  take(bare_two, [&](const std::smatch& m) -> Size {
    const auto w = length_of(plain(m[1].str()), m[3].str(), unit_mm),
               h = length_of(plain(m[2].str()), m[3].str(), unit_mm);
    return w && h ? Size({*w, *h}) : std::nullopt;
  });
  take(one, [&](const std::smatch& m) -> Size {
    const auto w = length_of(plain(m[1].str()), m[2].str(), unit_mm);
    return w ? Size({*w, 0}) : std::nullopt;
  });
  std::string word;
  for (const char c : rest + " ") {
    if (!is_space(c)) {
      word += c;
    } else if (!word.empty()) {
      out.words.push_back(std::exchange(word, {}));
    }
  }
  return out;
}

bool matches(const ProjectQuery::Size& asked, double width_mm, double height_mm) {
  if (asked.height_mm <= 0) return near(asked.width_mm, width_mm) || near(asked.width_mm, height_mm);
  return (near(asked.width_mm, width_mm) && near(asked.height_mm, height_mm)) ||
         (near(asked.width_mm, height_mm) && near(asked.height_mm, width_mm));
}

}  // namespace dotlane
