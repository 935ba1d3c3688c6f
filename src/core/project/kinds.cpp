#include "core/project/kinds.hpp"

#include <algorithm>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {

const ValueSpec* KindSpec::find(const std::string& key) const {
  const auto found = std::find_if(values.begin(), values.end(), [&](const ValueSpec& v) { return v.key == key; });
  return found == values.end() ? nullptr : &*found;
}

const KindSpec* find_kind(const std::vector<KindSpec>& kinds, const std::string& kind) {
  const auto found = std::find_if(kinds.begin(), kinds.end(), [&](const KindSpec& k) { return k.kind == kind; });
  return found == kinds.end() ? nullptr : &*found;
}

const Value& Reading::value(const std::string& key) const {
  static const Value nothing = 0.0;
  if (const auto given = values_.find(key); given != values_.end()) return given->second;
  const ValueSpec* spec = spec_.find(key);
  return spec ? spec->standard : nothing;
}

double Reading::number(const std::string& key) const {
  const auto* v = std::get_if<double>(&value(key));
  return v ? *v : 0;
}
bool Reading::flag(const std::string& key) const {
  const auto* v = std::get_if<bool>(&value(key));
  return v && *v;
}
std::string Reading::text(const std::string& key) const {
  const auto* v = std::get_if<std::string>(&value(key));
  return v ? *v : std::string();
}
std::vector<double> Reading::list(const std::string& key) const {
  const auto* v = std::get_if<std::vector<double>>(&value(key));
  return v ? *v : std::vector<double>{};
}

bool applies(const ValueSpec& spec, const Reading& others) {
  const auto holds = [&](const ValueSpec::Condition& condition) {
    const auto& [key, words] = condition;
    return std::find(words.begin(), words.end(), others.text(key)) != words.end();
  };
  return spec.only.empty() || std::any_of(spec.only.begin(), spec.only.end(),
                                          [&](const auto& all) { return std::all_of(all.begin(), all.end(), holds); });
}

Result<void> accepts(const ValueSpec& spec, const Value& value) {
  const auto bad = [&](Said said) { return fail(ErrorKind::bad_request, std::move(said), spec.key); };
  switch (spec.type) {
    case ValueType::flag:
      if (!std::holds_alternative<bool>(value)) return bad({"want-flag"});
      break;
    case ValueType::choice: {
      const auto* text = std::get_if<std::string>(&value);
      std::string words;
      for (const auto& w : spec.words) {
        if (text && w.word == *text) return {};
        words += (words.empty() ? "" : ", ") + w.word;
      }
      return bad({"want-one-of", {{"words", words}}});
    }
    case ValueType::text:
    case ValueType::lines: {
      const auto* text = std::get_if<std::string>(&value);
      if (!text) return bad({"want-text"});
      if (spec.high > 0 && static_cast<double>(text->size()) > spec.high)
        return bad({"want-text-up-to", {{"bytes", spec.high}}});
      break;
    }
    case ValueType::color: {
      const auto* text = std::get_if<std::string>(&value);
      const auto known = text ? parse_color(*text) : std::nullopt;
      if (!known || hex(*known) != *text) return bad({"want-colour"});
      break;
    }
    case ValueType::pieces:
    case ValueType::spots:
    case ValueType::letters: {
      const auto* list = std::get_if<std::vector<double>>(&value);
      if (!list) return bad({"want-number-list"});
      for (const double v : *list) {
        if (!std::isfinite(v)) return bad({"want-number-list"});
        if (spec.type == ValueType::pieces && (v != std::floor(v) || v < 1 || v > 1e9)) return bad({"want-piece-ids"});
      }
      if (spec.type == ValueType::letters && list->size() % kLetterColumns != 0) return bad({"want-letter-rows"});
      if (spec.type == ValueType::letters &&
          std::any_of(list->begin(), list->end(), [](double v) { return std::abs(v) > 1e5; }))
        return bad({"want-numbers-within", {{"most", 1e5}}});
      if (spec.type == ValueType::spots &&
          std::any_of(list->begin(), list->end(), [](double v) { return std::abs(v) > 1e4; }))
        return bad({"want-numbers-within", {{"most", 1e4}}});
      if (spec.type == ValueType::spots && list->size() % 2 != 0) return bad({"want-pairs"});
      break;
    }
    default: {
      const auto* number = std::get_if<double>(&value);
      if (!number || !(*number >= spec.low && *number <= spec.high)) {
        return bad({"want-number-between", {{"low", spec.low}, {"high", spec.high}}});
      }
      if (spec.type == ValueType::count && *number != std::floor(*number)) return bad({"want-whole"});
    }
  }
  return {};
}

std::vector<int> inputs_of(const Step& step) {
  std::vector<int> out;
  const auto found = step.values.find("with");
  if (found == step.values.end()) return out;
  if (const auto* list = std::get_if<std::vector<double>>(&found->second)) {
    for (const double id : *list) out.push_back(static_cast<int>(id));
  }
  return out;
}

}  // namespace dotlane
