#include "words/english.hpp"

#include <map>
#include <string>
#include <vector>

#include "words/sentences.hpp"

namespace dotlane {

std::span<const Template> all_in_english() {
  static const auto all = [] {
    std::vector<Template> out;
    for (const auto& table : {findings_in_english(), practice_in_english(), hands_in_english(), making_in_english(),
                              errors_in_english(), commands_in_english()})
      out.insert(out.end(), table.begin(), table.end());
    return out;
  }();
  return all;
}

const char* template_of(const std::string& code) {
  static const auto all = [] {
    std::map<std::string_view, const char*> out;
    for (const auto& [name, text] : all_in_english()) out.emplace(name, text);
    return out;
  }();
  const auto found = all.find(code);
  return found == all.end() ? nullptr : found->second;
}

}  // namespace dotlane
