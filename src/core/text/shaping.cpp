#include "core/text/shaping.hpp"

#include <fribidi.h>
#include <hb.h>

#include <algorithm>

namespace dotlane {
namespace {

struct Stretch {
  std::size_t first = 0, last = 0;
  FriBidiLevel level = 0;
  unsigned script = 0;
};

/// The line cut where direction or script changes. What belongs to every script goes with what stands before it.
std::vector<Stretch> stretches(std::u32string_view text, std::size_t first, std::size_t last, bool& right_to_left) {
  const std::size_t n = last - first;
  std::vector<FriBidiChar> characters(text.begin() + static_cast<std::ptrdiff_t>(first),
                                      text.begin() + static_cast<std::ptrdiff_t>(last));
  std::vector<FriBidiCharType> types(n);
  std::vector<FriBidiBracketType> brackets(n);
  std::vector<FriBidiLevel> levels(n);
  FriBidiParType direction = FRIBIDI_PAR_ON;
  const auto length = static_cast<FriBidiStrIndex>(n);
  fribidi_get_bidi_types(characters.data(), length, types.data());
  fribidi_get_bracket_types(characters.data(), length, types.data(), brackets.data());
  if (fribidi_get_par_embedding_levels_ex(types.data(), brackets.data(), length, &direction, levels.data()) == 0)
    std::fill(levels.begin(), levels.end(), FriBidiLevel{0});
  right_to_left = FRIBIDI_IS_RTL(direction);
  std::vector<Stretch> out;
  hb_unicode_funcs_t* unicode = hb_unicode_funcs_get_default();
  for (std::size_t i = 0; i < n; ++i) {
    const hb_script_t own = hb_unicode_script(unicode, text[first + i]);
    const bool any = own == HB_SCRIPT_COMMON || own == HB_SCRIPT_INHERITED || own == HB_SCRIPT_UNKNOWN;
    const unsigned script = any ? 0 : static_cast<unsigned>(own);
    Stretch* now = out.empty() || out.back().level != levels[i] ? nullptr : &out.back();
    if (now && script != 0 && now->script == 0) now->script = script;
    if (now && (script == 0 || script == now->script)) {
      now->last = first + i + 1;
    } else {
      out.push_back({first + i, first + i + 1, levels[i], script});
    }
  }
  return out;
}

}  // namespace

std::vector<ShapedLine> shaped_lines(const Face& face, std::u32string_view given, const TextOptions& options) {
  // Tabs and other controls stand for a space.
  std::u32string text(given);
  for (auto& c : text) {
    if (c < 32 && c != U'\n') c = U' ';
  }
  std::vector<ShapedLine> lines;
  for (std::size_t first = 0;;) {
    const std::size_t end = std::min(text.find(U'\n', first), text.size());
    ShapedLine line;
    line.first = first;
    line.last = end;
    if (end > first) {
      auto runs = stretches(text, first, end, line.right_to_left);
      // Rule L2 of the algorithm: from the highest level down, reverse what is at that level or above.
      FriBidiLevel highest = 0;
      for (const auto& run : runs) highest = std::max(highest, run.level);
      for (FriBidiLevel level = highest; level > 0; --level) {
        for (auto from = runs.begin(); from != runs.end();) {
          from = std::find_if(from, runs.end(), [&](const Stretch& s) { return s.level >= level; });
          const auto to = std::find_if(from, runs.end(), [&](const Stretch& s) { return s.level < level; });
          std::reverse(from, to);
          from = to;
        }
      }
      for (const auto& run : runs) {
        const bool backwards = run.level % 2 != 0;
        for (auto& g :
             face.shape(text, {run.first, run.last, backwards, run.script, options.kerning, options.features})) {
          g.right_to_left = backwards;
          line.glyphs.push_back(g);
        }
      }
    }
    lines.push_back(std::move(line));
    if (end == text.size()) return lines;
    first = end + 1;
  }
}

std::vector<AlternateForm> alternates_of(const Face& face, char32_t character) {
  constexpr int kMostValues = 12;  // of one feature
  const std::u32string text(1, character);
  auto form_of = [&](const std::string& feature) -> unsigned {
    TextRun run{0, 1, false, 0, true, {}};
    if (!feature.empty()) run.features.push_back(feature);
    const auto forms = face.shape(text, run);
    return forms.size() == 1 ? forms.front().glyph : 0;
  };
  std::vector<unsigned> known{0, form_of("")};
  std::vector<AlternateForm> out;
  for (const auto& feature : face.about().features) {
    for (int value = 1; value <= kMostValues; ++value) {
      const std::string setting = value == 1 ? feature : feature + "=" + std::to_string(value);
      const unsigned glyph = form_of(setting);
      if (std::find(known.begin(), known.end(), glyph) != known.end()) {
        if (value > 1) break;  // the feature's forms are used up
        continue;
      }
      known.push_back(glyph);
      out.push_back({glyph, setting});
    }
  }
  return out;
}

bool is_feature(const std::string& text) {
  hb_feature_t feature;
  return hb_feature_from_string(text.c_str(), static_cast<int>(text.size()), &feature);
}

}  // namespace dotlane
