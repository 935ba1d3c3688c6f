#include "words/language.hpp"

#include <algorithm>
#include <set>
#include <utility>

#include "core/color_space.hpp"
#include "core/project/kinds.hpp"
#include "core/project/presets.hpp"
#include "core/text/typefaces.hpp"
#include "core/text_scan.hpp"
#include "words/english.hpp"
#include "words/usage.hpp"

namespace dotlane {
namespace {

Language& current() {
  static Language now;
  return now;
}

void add_kinds(std::vector<std::string>& out, const std::vector<KindSpec>& kinds) {
  for (const auto& kind : kinds) {
    out.insert(out.end(), {kind.label, kind.summary, kind.group});
    for (const auto& value : kind.values) {
      out.insert(out.end(), {value.label, value.help, value.zero});
      for (const auto& word : value.words) out.push_back(word.label);
    }
  }
}

}  // namespace

void set_language(Language language) { current() = std::move(language); }

const Language& language() { return current(); }

std::string in_words(const std::string& english) {
  return current().text && !english.empty() ? current().text(english) : english;
}

std::string within_sentence(const std::string& label) {
  const std::string text = in_words(label);
  return current().names_are_small ? lower_case(text) : text;
}

std::string number_text(double value, int decimals) {
  std::string out = rounded_text(value, decimals);
  if (const std::size_t point = out.find('.'); point != std::string::npos)
    out.replace(point, 1, current().decimal_sign);
  return out;
}

std::vector<std::string> texts_of_core() {
  std::vector<std::string> all;
  for (const auto& [code, text] : all_in_english()) all.emplace_back(text);
  for (const char* word : placeholders()) all.emplace_back(word);
  add_kinds(all, shape_kinds());
  add_kinds(all, step_kinds());
  for (const Role role : kRoles) all.emplace_back(word(role));
  for (const ToolKind kind : kToolKinds) all.emplace_back(word(kind));
  for (const Tack tack : {Tack::low, Tack::medium, Tack::high}) all.emplace_back(word(tack));
  for (const auto& name : color_names()) all.push_back(name);
  for (const auto& face : shipped_typefaces()) all.push_back(face.summary);
  for (const auto& tool : preset_tools()) all.push_back(tool.name);
  for (const auto& stock : preset_stocks()) all.push_back(stock.name);
  all.push_back(new_project("").machine.name);
  std::set<std::string> seen{""};
  std::erase_if(all, [&](const std::string& text) { return !seen.insert(text).second; });
  return all;
}

}  // namespace dotlane
