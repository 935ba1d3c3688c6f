#include "cli/options.hpp"

#include <algorithm>
#include <cmath>

#include "core/text_scan.hpp"
#include "core/typed_number.hpp"
#include "words/usage.hpp"

namespace dotlane::cli {

void refuse(Said said, std::string place) { throw Stop{{ErrorKind::bad_request, std::move(said), std::move(place)}}; }

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
    if (at + 1 == words_.end()) refuse({"use-no-value", {{"option", name}}});
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

std::string Options::positional(const char* missing) {
  auto word = optional_positional();
  if (!word) refuse({missing});
  return *word;
}

std::string Options::subcommand(const char* command, std::initializer_list<const char*> known) {
  const auto word = optional_positional();
  if (word && std::find(known.begin(), known.end(), *word) != known.end()) return *word;
  Figures figures{{"command", command}, {"words", listed({known.begin(), known.end()})}};
  if (word) figures["word"] = *word;
  refuse({"use-subcommand", std::move(figures)});
}

std::optional<std::string> Options::one_of(const std::string& name, std::initializer_list<const char*> words) {
  const auto text = value(name);
  if (text && std::find(words.begin(), words.end(), *text) == words.end())
    refuse({"use-one-of", {{"option", name}, {"words", listed({words.begin(), words.end()})}, {"text", *text}}});
  return text;
}

int Options::integer(const std::string& name, int missing) {
  const auto text = value(name);
  if (!text) return missing;
  const auto v = to_integer(*text);
  if (!v || *v < 0 || *v > 1'000'000) refuse({"use-whole", {{"option", name}, {"text", *text}}});
  return static_cast<int>(*v);
}

double Options::number(const std::string& name, double missing) {
  const auto text = value(name);
  if (!text) return missing;
  const auto v = to_number(*text);
  if (!v || *v <= 0) refuse({"use-above-zero", {{"option", name}, {"text", *text}}});
  return *v;
}

void Options::finish() const {
  if (!words_.empty()) refuse({"use-unknown", {{"word", words_.front()}}});
}

const std::string& given(const std::optional<std::string>& value, const char* form, const char* example) {
  if (value) return *value;
  Figures figures{{"option", usage(form)}};
  if (example) figures["example"] = example;
  refuse({"use-missing", std::move(figures)});
}

std::optional<int> whole_value(Options& o, const std::string& name, int most) {
  const auto text = o.value(name);
  if (!text) return std::nullopt;
  const auto number = to_number(*text);
  if (!number || *number < 1 || *number > most || *number != std::floor(*number))
    refuse({"use-whole-from", {{"option", name}, {"most", figure(most)}, {"text", *text}}});
  return static_cast<int>(*number);
}

std::optional<double> number_within(Options& o, const std::string& name, double least, double most) {
  const auto text = o.value(name);
  if (!text) return std::nullopt;
  const auto number = to_number(*text);
  if (!number || !(*number >= least && *number <= most))
    refuse({"use-within", {{"option", name}, {"least", least}, {"most", most}, {"text", *text}}});
  return number;
}

std::optional<double> length_value(Options& o, const std::string& name) {
  const auto text = o.value(name);
  if (!text) return std::nullopt;
  const auto mm = length_mm_from(*text);
  if (!mm || *mm < 0 || *mm > 1000) refuse({"use-length", {{"option", name}, {"example", "2mm"}, {"text", *text}}});
  return mm;
}

std::pair<double, double> size_from(const std::string& name, const std::string& text) {
  const auto x = text.find('x');
  const std::string unit = text.substr(std::min(text.size(), text.find_first_not_of("0123456789.x ")));
  const auto width = x == std::string::npos ? std::nullopt : length_mm_from(text.substr(0, x) + unit);
  const auto height = x == std::string::npos ? std::nullopt : length_mm_from(text.substr(x + 1));
  if (!width || !height || *width < 1 || *height < 1 || *width > 10'000 || *height > 10'000)
    refuse({"use-size", {{"option", name}, {"text", text}}});
  return {*width, *height};
}

double round4(double v) { return std::round(v * 1e4) / 1e4; }

std::string listed(const std::vector<std::string>& words) {
  std::string out;
  for (const auto& word : words) out += (out.empty() ? "" : ", ") + word;
  return out;
}

}  // namespace dotlane::cli
