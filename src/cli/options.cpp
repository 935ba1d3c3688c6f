#include "cli/options.hpp"

#include <algorithm>
#include <cmath>

#include "cli/input.hpp"
#include "core/project/laying.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"

namespace dotlane::cli {
bool Options::flag(const std::string& name) {
  const auto at = std::find(words_.begin(), words_.end(), name);
  if (at == words_.end()) return false;
  words_.erase(at);
  return true;
}

std::vector<std::string> Options::values(const std::string& name) {
  std::vector<std::string> out;
  for (;;) {
    const auto at = std::find(words_.begin(), words_.end(), name);
    if (at == words_.end()) return out;
    if (at + 1 == words_.end()) refuse(name + " needs a value after it");
    out.push_back(*(at + 1));
    words_.erase(at, at + 2);
  }
}

std::optional<std::string> Options::value(const std::string& name) {
  auto all = values(name);
  if (all.empty()) return std::nullopt;
  return std::move(all.back());
}

std::optional<std::string> Options::optional_positional() {
  const auto at = std::find_if(words_.begin(), words_.end(), [](const std::string& w) { return !w.starts_with("-"); });
  if (at == words_.end()) return std::nullopt;
  std::string word = *at;
  words_.erase(at);
  return word;
}

std::string Options::positional(const std::string& what) {
  auto word = optional_positional();
  if (!word) refuse(what + " is missing; try dot-lane-cli help");
  return *word;
}

int Options::integer(const std::string& name, int missing) {
  const auto text = value(name);
  if (!text) return missing;
  const auto v = to_integer(*text);
  if (!v || *v < 0 || *v > 1'000'000) refuse(name + " wants a whole number, not \"" + *text + "\"");
  return static_cast<int>(*v);
}

double Options::number(const std::string& name, double missing) {
  const auto text = value(name);
  if (!text) return missing;
  const auto v = to_number(*text);
  if (!v || *v <= 0) refuse(name + " wants a number above zero, not \"" + *text + "\"");
  return *v;
}

void Options::finish() const {
  if (!words_.empty()) refuse("\"" + words_.front() + "\" is not understood here; try dot-lane-cli help");
}

std::optional<int> whole_value(Options& o, const std::string& name) {
  const auto text = o.value(name);
  if (!text) return std::nullopt;
  const auto number = to_number(*text);
  if (!number || *number < 1 || *number > kMostCopies || *number != std::floor(*number))
    refuse(name + " wants a whole number from 1 to 1000, not \"" + *text + "\"");
  return static_cast<int>(*number);
}

std::optional<double> length_value(Options& o, const std::string& name) {
  const auto text = o.value(name);
  if (!text) return std::nullopt;
  const auto mm = length_mm_from(*text);
  if (!mm || *mm < 0 || *mm > 1000) refuse(name + " wants a length such as 2mm, not \"" + *text + "\"");
  return mm;
}

std::pair<double, double> size_from(const std::string& name, const std::string& text) {
  const auto x = text.find('x');
  const std::string unit = text.substr(std::min(text.size(), text.find_first_not_of("0123456789.x ")));
  const auto width = x == std::string::npos ? std::nullopt : length_mm_from(text.substr(0, x) + unit);
  const auto height = x == std::string::npos ? std::nullopt : length_mm_from(text.substr(x + 1));
  if (!width || !height || *width < 1 || *height < 1 || *width > 10'000 || *height > 10'000)
    refuse(name + " wants a width and a height such as 292x292mm, not \"" + text + "\"");
  return {*width, *height};
}

double round4(double v) { return std::round(v * 1e4) / 1e4; }

}  // namespace dotlane::cli
