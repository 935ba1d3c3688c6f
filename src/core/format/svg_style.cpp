#include "core/format/svg_style.hpp"

#include <algorithm>
#include <iterator>

#include "core/format/svg_units.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

std::string without_comments(std::string_view css) {
  std::string out;
  while (!css.empty()) {
    const auto open = css.find("/*");
    out += css.substr(0, open);
    if (open == std::string_view::npos) break;
    const auto close = css.find("*/", open + 2);
    if (close == std::string_view::npos) break;
    css.remove_prefix(close + 2);
  }
  return out;
}

bool is_name_char(char c) {
  return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == '-' || c == '_' ||
         static_cast<unsigned char>(c) >= 0x80;
}

bool has_word(std::string_view list, std::string_view word) {
  while (!list.empty()) {
    list = trimmed(list);
    const auto end = std::find_if(list.begin(), list.end(), is_space);
    const auto n = static_cast<std::size_t>(end - list.begin());
    if (list.substr(0, n) == word) return true;
    list.remove_prefix(n);
  }
  return false;
}

/// A font's size, px (CSS Fonts 4, 2.5: keywords are steps about "medium", 16 px); nothing where it is none.
std::optional<double> font_size(std::string_view text, double outer) {
  static constexpr std::pair<const char*, double> kWords[] = {
      {"xx-small", 16 * 3 / 5.}, {"x-small", 16 * 3 / 4.}, {"small", 16 * 8 / 9.}, {"medium", 16},
      {"large", 16 * 6 / 5.},    {"x-large", 16 * 3 / 2.}, {"xx-large", 16 * 2.},  {"xxx-large", 16 * 3.}};
  for (const auto& [word, px] : kWords) {
    if (text == word) return px;
  }
  if (text == "larger") return outer * 1.2;
  if (text == "smaller") return outer / 1.2;
  const auto parsed = parse_svg_length(text);
  if (!parsed || parsed->value < 0) return std::nullopt;
  if (const auto px = px_per(parsed->unit)) return parsed->value * *px;
  if (parsed->unit == "em") return parsed->value * outer;
  if (parsed->unit == "ex") return parsed->value * outer / 2;
  return parsed->unit == "%" ? std::optional(parsed->value * outer / 100) : std::nullopt;
}

/// A length along or across the line; em, ex and % are of the letters.
std::optional<SvgAlong> along(std::string_view text) {
  const auto parsed = parse_svg_length(text);
  if (!parsed) return std::nullopt;
  if (const auto px = px_per(parsed->unit)) return SvgAlong{parsed->value * *px, 0};
  if (parsed->unit == "em") return SvgAlong{0, parsed->value};
  if (parsed->unit == "ex") return SvgAlong{0, parsed->value / 2};
  return parsed->unit == "%" ? std::optional(SvgAlong{0, parsed->value / 100}) : std::nullopt;
}

/// CSS Fonts 4, 2.2: what is bolder or lighter than the text around it.
std::optional<int> font_weight(std::string_view text, int outer) {
  if (text == "normal") return 400;
  if (text == "bold") return 700;
  if (text == "bolder") return outer < 350 ? 400 : outer < 550 ? 700 : 900;
  if (text == "lighter") return outer < 550 ? 100 : outer < 750 ? 400 : 700;
  const auto number = to_integer(text);
  return number && *number >= 1 && *number <= 1000 ? std::optional(static_cast<int>(*number)) : std::nullopt;
}

bool is_slanted(std::string_view text) { return text == "italic" || text.starts_with("oblique"); }

/// "italic bold 12px/1.2 Comfortaa, sans-serif": all before the size is style and weight, all after it families.
void apply_font(SvgStyle& style, std::string_view value) {
  SvgFont font{{}, style.outer_size, 400, false};
  while (!value.empty()) {
    const auto n = std::min(value.find(' '), value.size());
    const auto word = value.substr(0, n);
    value = trimmed(value.substr(n));
    if (is_slanted(word)) {
      font.italic = true;
    } else if (const auto size = font_size(word.substr(0, word.find('/')), style.outer_size);
               size && !font_weight(word, 400)) {
      font.size = *size;
      font.family = value;
      if (!value.empty()) style.font = font;
      return;
    } else if (const auto weight = font_weight(word, style.font.weight); weight && word != "normal") {
      font.weight = *weight;
    }
  }
}

void apply_text(SvgStyle& style, std::string_view property, std::string_view value) {
  if (value == "inherit") return;
  if (property == "font-family") {
    style.font.family = value;
  } else if (property == "font-size") {
    style.font.size = font_size(value, style.outer_size).value_or(style.font.size);
  } else if (property == "font-weight") {
    style.font.weight = font_weight(value, style.font.weight).value_or(style.font.weight);
  } else if (property == "font-style") {
    style.font.italic = is_slanted(value);
  } else if (property == "font") {
    apply_font(style, value);
  } else if (property == "letter-spacing") {
    style.letter_spacing = value == "normal" ? SvgAlong{} : along(value).value_or(style.letter_spacing);
  } else if (property == "word-spacing") {
    style.word_spacing = value == "normal" ? SvgAlong{} : along(value).value_or(style.word_spacing);
  } else if (property == "baseline-shift") {
    // How far letters above or below the line are from it is for the reader of a drawing to say (CSS Inline 3, 4.3).
    constexpr double kSub = -0.2, kSuper = 0.4;  // em; common practice, no published source
    style.shift = value == "sub"     ? SvgAlong{0, kSub}
                  : value == "super" ? SvgAlong{0, kSuper}
                                     : along(value).value_or(SvgAlong{});
  } else if (property == "dominant-baseline") {
    static constexpr std::pair<const char*, TextBaseline> kLines[] = {
        {"middle", TextBaseline::middle},      {"central", TextBaseline::central},
        {"hanging", TextBaseline::hanging},    {"text-before-edge", TextBaseline::top},
        {"text-top", TextBaseline::top},       {"text-after-edge", TextBaseline::bottom},
        {"text-bottom", TextBaseline::bottom}, {"ideographic", TextBaseline::bottom}};
    const auto* known =
        std::find_if(std::begin(kLines), std::end(kLines), [&](const auto& k) { return k.first == value; });
    style.baseline = known == std::end(kLines) ? TextBaseline::alphabetic : known->second;
  } else if (property == "text-anchor") {
    style.anchor = value == "middle" ? TextAnchor::middle : value == "end" ? TextAnchor::end : TextAnchor::start;
  }
}

}  // namespace

std::optional<std::string_view> id_in_url(std::string_view value) {
  if (!value.starts_with("url(")) return std::nullopt;
  std::string_view id = trimmed(value.substr(4, value.find(')') - 4));
  while (!id.empty() && (id.front() == '"' || id.front() == '\'' || id.front() == '#')) id.remove_prefix(1);
  while (!id.empty() && (id.back() == '"' || id.back() == '\'')) id.remove_suffix(1);
  return id;
}

void settle(SvgStyle& style) {
  for (SvgAlong* length : {&style.letter_spacing, &style.word_spacing, &style.shift})
    *length = {length->px + length->em * style.font.size, 0};
  style.raised += style.shift.px;
}

Declarations parse_declarations(std::string_view text) {
  Declarations out;
  for (auto part : split(text, ';')) {
    const auto colon = part.find(':');
    if (colon == std::string_view::npos) continue;
    auto value = trimmed(part.substr(colon + 1));
    if (const auto bang = value.find('!'); bang != std::string_view::npos) value = trimmed(value.substr(0, bang));
    out.emplace_back(lower_case(trimmed(part.substr(0, colon))), value);
  }
  return out;
}

void apply(SvgStyle& style, std::string_view property, std::string_view value, const PaintServer& server) {
  value = trimmed(value);
  auto paint = [&](std::optional<Color>& target) {
    if (value == "inherit") return;
    if (value == "none" || value == "transparent") {
      target.reset();
    } else if (lower_case(value) == "currentcolor") {
      target = style.current_color;
    } else if (const auto id = id_in_url(value)) {
      target = server(*id).value_or(Color{128, 128, 128});
    } else if (const auto color = parse_color(value)) {
      target = *color;
    }
  };
  if (property == "stroke") {
    paint(style.stroke);
  } else if (property == "fill") {
    paint(style.fill);
  } else if (property == "color") {
    if (const auto color = parse_color(value)) style.current_color = *color;
  } else if (property == "fill-rule") {
    if (value == "evenodd") style.fill_rule = FillRule::evenodd;
    if (value == "nonzero") style.fill_rule = FillRule::nonzero;
  } else if (property == "clip-rule") {
    if (value == "evenodd") style.clip_rule = FillRule::evenodd;
    if (value == "nonzero") style.clip_rule = FillRule::nonzero;
  } else if (property == "clip-path") {
    const auto id = id_in_url(value);
    style.clip = id.value_or("");
    style.masked = style.masked || (!id && value != "none" && value != "inherit");
  } else if (property == "mask") {
    style.masked = style.masked || id_in_url(value).has_value();
  } else if (property == "stroke-dasharray") {
    if (value != "inherit") {
      TextScan in(value);
      const auto first = in.number();
      style.dashed = first && *first > 0;
    }
  } else if (property == "stroke-linecap") {
    if (value != "inherit") style.capped = value == "round" || value == "square";
  } else if (property == "visibility") {
    if (value == "visible") style.visible = true;
    if (value == "hidden" || value == "collapse") style.visible = false;
  } else if (property == "display") {
    style.displayed = value != "none";
  } else if (property.starts_with("font") || property == "letter-spacing" || property == "word-spacing" ||
             property == "text-anchor" || property == "baseline-shift" || property == "dominant-baseline") {
    apply_text(style, property, value);
  }
}

void StyleSheet::add(std::string_view css) {
  const std::string text = without_comments(css);
  std::string_view rest = text;
  while (!(rest = trimmed(rest)).empty()) {
    const auto open = rest.find('{');
    if (rest.front() == '@' && rest.find(';') < open) {
      rest.remove_prefix(rest.find(';') + 1);
      continue;
    }
    if (open == std::string_view::npos) return;
    std::size_t close = open + 1;
    for (int depth = 1; close < rest.size(); ++close) {
      if (rest[close] == '{') ++depth;
      if (rest[close] == '}' && --depth == 0) break;
    }
    const auto selectors = trimmed(rest.substr(0, open));
    const auto body = rest.substr(open + 1, std::min(close, rest.size()) - open - 1);
    rest.remove_prefix(std::min(close + 1, rest.size()));
    if (selectors.starts_with('@')) {
      ignored_.emplace_back(selectors);
      continue;
    }
    const auto declarations = parse_declarations(body);
    for (auto selector : split(selectors, ',')) {
      selector = trimmed(selector);
      Rule rule;
      rule.declarations = declarations;
      bool simple = !selector.empty();
      for (std::size_t i = 0; i < selector.size() && simple;) {
        const char kind = selector[i];
        std::size_t from = i + (kind == '.' || kind == '#' || kind == '*' ? 1 : 0), to = from;
        while (to < selector.size() && is_name_char(selector[to])) ++to;
        const auto name = selector.substr(from, to - from);
        if (kind == '*' && i == 0 && name.empty()) {
        } else if (name.empty()) {
          simple = false;
        } else if (kind == '.') {
          rule.classes.emplace_back(name), rule.weight += 100;
        } else if (kind == '#') {
          rule.id = name, rule.weight += 10000;
        } else if (i == 0) {
          rule.tag = name, rule.weight += 1;
        } else {
          simple = false;
        }
        i = to;
      }
      if (simple) {
        rules_.push_back(std::move(rule));
      } else {
        ignored_.emplace_back(selector);
      }
    }
  }
  std::stable_sort(rules_.begin(), rules_.end(), [](const Rule& a, const Rule& b) { return a.weight < b.weight; });
}

Declarations StyleSheet::matching(std::string_view tag, std::string_view id, std::string_view classes) const {
  Declarations out;
  for (const auto& rule : rules_) {
    const bool fits =
        (rule.tag.empty() || rule.tag == tag) && (rule.id.empty() || rule.id == id) &&
        std::all_of(rule.classes.begin(), rule.classes.end(), [&](const auto& c) { return has_word(classes, c); });
    if (fits) out.insert(out.end(), rule.declarations.begin(), rule.declarations.end());
  }
  return out;
}

}  // namespace dotlane
