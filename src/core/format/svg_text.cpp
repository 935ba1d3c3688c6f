#include "core/format/svg_text.hpp"

#include <algorithm>
#include <cmath>
#include <deque>
#include <map>
#include <tuple>
#include <utility>

#include "core/format/svg_units.hpp"
#include "core/geometry/measure.hpp"
#include "core/text/shaping.hpp"
#include "core/text/typefaces.hpp"
#include "core/text/unicode.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

struct Letter {
  char32_t character = 0;
  std::size_t span = 0;
  std::optional<double> x, y;
  double dx = 0, dy = 0;
  double turn = 0;         ///< degrees, clockwise
  double wider = 0;        ///< px: what follows is so much farther off
  double stretch = 1;      ///< across
  bool preserved = false;  ///< white space that stays
  const FittingFace* face = nullptr;
};

struct Span {
  pugi::xml_node node;
  SvgStyle style;
};

/// The positions that an element gives to its letters, and how many letters it has had.
struct Positions {
  std::vector<double> x, y, dx, dy, turn;
  std::size_t count = 0;
};

/// Letters that an element fits into a length.
struct Fitted {
  std::size_t first = 0, last = 0;
  double length = 0;     ///< px
  bool stretch = false;  ///< the letters, not only what is between them
};

bool white(char32_t c) { return c == ' ' || c == '\t' || c == '\n' || c == '\r'; }

/// Lengths in px, separated by spaces or commas; it ends at what cannot be read.
std::vector<double> lengths(pugi::xml_node node, const char* attribute, double base, double em) {
  std::vector<double> out;
  std::string text = node.attribute(attribute).value();
  std::replace_if(
      text.begin(), text.end(), [](char c) { return c == ',' || is_space(c); }, ' ');
  for (const auto word : split(text, ' ')) {
    if (word.empty()) continue;
    const auto parsed = parse_svg_length(word);
    if (!parsed) break;
    const auto px = px_per(parsed->unit);
    out.push_back(parsed->value * (px ? *px : parsed->unit == "em" ? em : parsed->unit == "ex" ? em / 2 : base / 100));
  }
  return out;
}

class Setter {
 public:
  Setter(SvgDocument& document, SvgViewport viewport) : document_(document), viewport_(viewport) {}

  SvgText set(pugi::xml_node text, const SvgStyle& style) {
    gather(text, style, false);
    while (!letters_.empty() && white(letters_.back().character) && !letters_.back().preserved) letters_.pop_back();
    if (std::string missing = choose_faces(); !missing.empty()) {
      out_.left_out = svg_words(text);
      return std::move(out_);
    }
    for (std::size_t first = 0; first < letters_.size();) {
      std::size_t last = first + 1;
      while (last < letters_.size() && !letters_[last].x && !letters_[last].y) ++last;
      set_chunk(first, last);
      first = last;
    }
    for (auto& [span, path] : painted_) {
      if (path.contours.empty()) continue;
      out_.runs.push_back({spans_[span].node, spans_[span].style, std::move(path)});
    }
    return std::move(out_);
  }

 private:
  SvgDocument& document_;
  SvgViewport viewport_;
  std::vector<Span> spans_;
  std::vector<Letter> letters_;
  std::vector<Fitted> fitted_;       // what lies within others before these
  std::deque<Positions> positions_;  // of the elements that are open, the outermost first
  std::map<std::size_t, Path> painted_;
  std::map<std::tuple<std::string, int, bool, char32_t>, FittingFace> faces_;
  Vec pen_;
  SvgText out_;

  void gather(pugi::xml_node node, const SvgStyle& style, bool preserve) {
    if (!style.displayed) return;
    if (const auto space = node.attribute("xml:space")) preserve = std::string_view(space.value()) == "preserve";
    const std::size_t span = spans_.size();
    spans_.push_back({node, style});
    const double em = style.font.size;
    positions_.push_back({lengths(node, "x", viewport_.w, em), lengths(node, "y", viewport_.h, em),
                          lengths(node, "dx", viewport_.w, em), lengths(node, "dy", viewport_.h, em),
                          lengths(node, "rotate", 1, 1), 0});
    const std::size_t first = letters_.size();
    for (const auto child : node.children()) {
      if (child.type() == pugi::node_pcdata || child.type() == pugi::node_cdata) {
        for (const char32_t c : characters_of(child.value())) take(c, span, preserve);
      } else if (child.type() == pugi::node_element) {
        const auto name = document_.element_name(child);
        if (name == "tspan" || name == "a") {
          gather(child, document_.style_of(child, style), preserve);
        } else if (name == "textPath" || name == "tref") {
          out_.left_out += svg_words(child);
        }
      }
    }
    positions_.pop_back();
    if (const auto length = lengths(node, "textLength", viewport_.w, em); !length.empty() && length.front() > 0) {
      const bool stretch = std::string_view(node.attribute("lengthAdjust").value()) == "spacingAndGlyphs";
      fitted_.push_back({first, letters_.size(), length.front(), stretch});
    }
  }

  void take(char32_t c, std::size_t span, bool preserve) {
    Letter letter;
    letter.character = white(c) ? U' ' : c, letter.span = span, letter.preserved = preserve;
    if (white(c) && !preserve &&
        (letters_.empty() || (letters_.back().character == U' ' && !letters_.back().preserved)))
      return;
    // The innermost element that has a value for this letter says where it stands.
    const auto given = [&](std::vector<double> Positions::*list) -> std::optional<double> {
      for (auto at = positions_.rbegin(); at != positions_.rend(); ++at) {
        if (at->count < ((*at).*list).size()) return ((*at).*list)[at->count];
      }
      return std::nullopt;
    };
    letter.x = given(&Positions::x), letter.y = given(&Positions::y);
    letter.dx = given(&Positions::dx).value_or(0), letter.dy = given(&Positions::dy).value_or(0);
    // The last angle of a list counts for all letters after it.
    for (const auto& p : positions_) {
      if (!p.turn.empty()) letter.turn = p.turn[std::min(p.count, p.turn.size() - 1)];
    }
    for (auto& p : positions_) ++p.count;
    letters_.push_back(letter);
  }

  const FittingFace& face_for(const SvgFont& font, char32_t needed) {
    const auto [found, fresh] = faces_.try_emplace({font.family, font.weight, font.italic, needed});
    if (fresh) found->second = fitting_face(font.family, font.weight, font.italic, needed);
    return found->second;
  }

  /// Each letter's face: the one asked for, or one that has the letter. Returns letters that none has.
  std::string choose_faces() {
    std::u32string missing;
    for (auto& letter : letters_) {
      const SvgFont& font = spans_[letter.span].style.font;
      const auto has = [&](const FittingFace& f) { return f.face && f.face->glyph_for(letter.character); };
      letter.face = &face_for(font, 0);
      if (letter.face->face && !letter.face->as_asked && out_.asked.empty())
        out_.asked = letter.face->asked, out_.used = letter.face->face->about().name;
      if (has(*letter.face) || white(letter.character)) continue;
      const FittingFace& first = *letter.face;
      letter.face = &face_for(font, letter.character);
      if (!has(*letter.face)) {
        missing += letter.character;
      } else if (first.face && out_.asked.empty()) {
        out_.asked = first.face->about().name, out_.used = letter.face->face->about().name;
      }
    }
    return utf8_of(missing);
  }

  /// Letters of which an element says how long they are.
  void fit(std::size_t first, std::size_t last) {
    for (const auto& of : fitted_) {
      const std::size_t end = std::min(of.last, letters_.size());  // white space at the end has gone
      if (of.first < first || end > last || of.first >= end) continue;
      const Vec pen = pen_;
      set_letters(of.first, end);
      const double natural = std::abs(std::exchange(pen_, pen).x - pen.x);
      for (std::size_t i = of.first; i < end; ++i) {
        if (of.stretch && natural > 1e-9) letters_[i].stretch *= of.length / natural;
        if (!of.stretch && i + 1 < end)
          letters_[i].wider += (of.length - natural) / static_cast<double>(end - of.first - 1);
      }
    }
  }

  /// From where the pen is on; by the elements that they stand in.
  std::map<std::size_t, Path> set_letters(std::size_t first, std::size_t last) {
    std::map<std::size_t, Path> out;
    for (std::size_t i = first; i < last;) {
      std::size_t end = i + 1;
      while (end < last && letters_[end].span == letters_[i].span && letters_[end].face == letters_[i].face &&
             letters_[end].dx == 0 && letters_[end].dy == 0)
        ++end;
      pen_ = pen_ + Vec{letters_[i].dx, letters_[i].dy};
      set_run(i, end, out[letters_[i].span]);
      i = end;
    }
    return out;
  }

  /// How far below where the text stands its letters' baseline lies, em.
  static double below(TextBaseline baseline, const Face& face) {
    const Face::About& about = face.about();
    switch (baseline) {
      case TextBaseline::middle: {
        const auto x = face.glyph_for(U'x');
        return x ? -bounds_of(face.glyph(*x).path).y0 / 2 : about.cap_height / 3;
      }
      case TextBaseline::central:
        return (about.ascender - about.descender) / 2;
      case TextBaseline::hanging:
        return 0.8 * about.ascender;
      case TextBaseline::top:
        return about.ascender;
      case TextBaseline::bottom:
        return -about.descender;
      default:
        return 0;
    }
  }

  /// Letters from one given position to the next, all moved to their anchor at the end.
  void set_chunk(std::size_t first, std::size_t last) {
    if (letters_[first].x) pen_.x = *letters_[first].x;
    if (letters_[first].y) pen_.y = *letters_[first].y;
    fit(first, last);
    const double began = pen_.x;
    std::map<std::size_t, Path> chunk = set_letters(first, last);
    const TextAnchor anchor = spans_[letters_[first].span].style.anchor;
    const double back = anchor == TextAnchor::start ? 0 : (pen_.x - began) * (anchor == TextAnchor::middle ? 0.5 : 1);
    for (auto& [span, path] : chunk) {
      Path moved = transformed(path, Affine::move(-back, 0));
      auto& all = painted_[span].contours;
      all.insert(all.end(), std::make_move_iterator(moved.contours.begin()),
                 std::make_move_iterator(moved.contours.end()));
    }
    pen_.x -= back;
  }

  void set_run(std::size_t first, std::size_t last, Path& into) {
    const SvgStyle& style = spans_[letters_[first].span].style;
    const auto face = letters_[first].face->face;
    if (!face) return;
    std::u32string text;
    for (std::size_t i = first; i < last; ++i) text += letters_[i].character;
    TextOptions options;
    if (style.letter_spacing.px != 0) options.features = {"-liga", "-clig"};
    const double size = style.font.size, lower = below(style.baseline, *face) * size - style.raised;
    for (const ShapedLine& line : shaped_lines(*face, text, options)) {
      for (std::size_t i = 0; i < line.glyphs.size(); ++i) {
        const ShapedGlyph& form = line.glyphs[i];
        const Letter& letter = letters_[std::min(first + form.cluster, last - 1)];
        const Affine place = Affine::move(pen_.x, pen_.y + lower) * Affine::rotate(letter.turn) *
                             Affine::scale(size * letter.stretch, size) * Affine::move(form.offset.x, form.offset.y);
        const Path placed = transformed(face->glyph(form.glyph).path, place);
        into.contours.insert(into.contours.end(), placed.contours.begin(), placed.contours.end());
        double on = form.advance * size;
        if (i + 1 == line.glyphs.size() || line.glyphs[i + 1].cluster != form.cluster)
          on += style.letter_spacing.px + (letter.character == U' ' ? style.word_spacing.px : 0) + letter.wider;
        pen_.x += on * letter.stretch;
      }
    }
  }
};

}  // namespace

SvgText svg_text(SvgDocument& document, pugi::xml_node text, const SvgStyle& style, SvgViewport viewport) {
  return Setter(document, viewport).set(text, style);
}

std::string svg_words(pugi::xml_node node) {
  struct Walker : pugi::xml_tree_walker {
    std::string text;
    bool for_each(pugi::xml_node& n) override {
      if (n.type() == pugi::node_pcdata || n.type() == pugi::node_cdata) text += n.value();
      return text.size() < 400;
    }
  } walker;
  node.traverse(walker);
  return std::string(trimmed(walker.text));
}

}  // namespace dotlane
