#include "words/sentences.hpp"

#include <cmath>

#include "core/project/kinds.hpp"
#include "core/text_scan.hpp"
#include "words/language.hpp"

namespace dotlane {
namespace {

/// Fills one template. Unknown figures leave a question mark, so that nothing is missed in silence.
class Sentence {
 public:
  Sentence(const Figures& figures, LengthUnit unit) : figures_(figures), unit_(unit) {}

  std::string fill(std::string_view text) {
    std::string out;
    for (std::size_t i = 0; i < text.size();) {
      if (text[i] == '{') {
        const std::size_t end = text.find('}', i);
        out += slot(text.substr(i + 1, end - i - 1));
        i = end + 1;
      } else if (text[i] == '[') {
        const std::size_t end = closing(text, i);
        const std::string_view inside = text.substr(i + 1, end - i - 1);
        if (all_there(inside)) out += fill(inside);
        i = end + 1;
      } else {
        out += text[i++];
      }
    }
    return out;
  }

 private:
  const Figures& figures_;
  LengthUnit unit_;

  static std::size_t closing(std::string_view text, std::size_t open) {
    int depth = 0;
    for (std::size_t i = open; i < text.size(); ++i) {
      depth += text[i] == '[' ? 1 : text[i] == ']' ? -1 : 0;
      if (depth == 0) return i;
    }
    return text.size();
  }

  static std::string_view name_in(std::string_view slot) { return slot.substr(0, slot.find_first_of("|?")); }

  /// Groups inside judge themselves.
  [[nodiscard]] bool all_there(std::string_view text) const {
    for (std::size_t i = 0; i < text.size(); ++i) {
      if (text[i] == '[') {
        i = closing(text, i);
      } else if (text[i] == '{') {
        const std::size_t end = text.find('}', i);
        if (!figures_.contains(std::string(name_in(text.substr(i + 1, end - i - 1))))) return false;
        i = end;
      }
    }
    return true;
  }

  [[nodiscard]] std::string length(double mm, int decimals) const {
    return unit_ == LengthUnit::inch ? number_text(mm / kMmPerInch, decimals + 2) + " in"
                                     : number_text(mm, decimals) + " mm";
  }
  [[nodiscard]] std::string area(double mm2, int decimals) const {
    return unit_ == LengthUnit::inch ? number_text(mm2 / (kMmPerInch * kMmPerInch), decimals + 3) + " in²"
                                     : number_text(mm2, decimals) + " mm²";
  }

  static std::string choice(std::string_view words, bool one) {
    const std::size_t colon = words.find(':');
    return std::string(one ? words.substr(0, colon) : words.substr(colon + 1));
  }

  std::string slot(std::string_view text) const {
    if (text == "*roles") return roles();
    const std::string name(name_in(text));
    const auto found = figures_.find(name);
    if (found == figures_.end()) return "?";
    const std::string_view how = text.size() > name.size() ? text.substr(name.size() + 1) : std::string_view{};
    const bool word_only = text.size() > name.size() && text[name.size()] == '?';
    const auto* number = std::get_if<double>(&found->second);
    if (word_only) return choice(how, number && *number == 1);
    if (!number) {
      const std::string& value = std::get<std::string>(found->second);
      if (how == "step") {
        const KindSpec* kind = find_kind(step_kinds(), value);
        return kind ? within_sentence(kind->label) : value;
      }
      if (how == "place") {
        const char* word = template_of(value);
        return word ? in_words(word) : value;
      }
      return how == "role" ? in_words(value) : value;
    }
    if (how.starts_with("n:")) return number_text(*number, 0) + " " + choice(how.substr(2), *number == 1);
    if (how.starts_with("mm")) return length(*number, how[2] - '0');
    if (how.starts_with("area")) return area(*number, how[4] - '0');
    return number_text(*number, how.empty() ? 2 : how[0] - '0');
  }

  [[nodiscard]] std::string roles() const {
    std::string out;
    for (const Role role : kRoles) {
      const auto found = figures_.find(std::string(word(role)));
      if (found == figures_.end()) continue;
      out += (out.empty() ? "" : ", ") + number_text(std::get<double>(found->second), 0) + " " +
             in_words(std::string(word(role)));
    }
    return out;
  }
};

}  // namespace

std::string sentence(const Said& said, LengthUnit unit) {
  const char* text = template_of(said.code);
  return text ? Sentence(said.figures, unit).fill(in_words(text)) : said.code;
}

std::string sentence(const Sayings& sayings, LengthUnit unit) {
  std::string out;
  for (const auto& said : sayings) out += (out.empty() ? "" : " ") + sentence(said, unit);
  return out;
}

std::string sentence(const Finding& finding, LengthUnit unit) {
  Figures figures = finding.figures;
  if (!finding.because.empty()) figures["because"] = sentence(finding.because, unit);
  const std::string code = finding.form.empty() ? finding.code : finding.code + "/" + finding.form;
  // Words that came with a note of an older file stand for themselves.
  return sentence(Said{figures.contains("message") ? "note" : code, std::move(figures)}, unit);
}

std::string line_of(const Error& error) {
  const std::string text = sentence(error.said);
  return error.place.empty() ? text : error.place + ": " + text;
}

std::string label(const Fix& fix, LengthUnit unit) { return sentence(fix.label, unit); }

}  // namespace dotlane
