#include "core/format/svg_text.hpp"

#include <algorithm>
#include <deque>
#include <map>
#include <tuple>

#include "core/format/svg_units.hpp"
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
  bool preserved = false;  ///< white space that stays
  const FittingFace* face = nullptr;
};

struct Span {
  pugi::xml_node node;
  SvgStyle style;
};

/// The positions that an element gives to its letters, and how many letters it has had.
struct Positions {
  std::vector<double> x, y, dx, dy;
  std::size_t count = 0;
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
                          lengths(node, "dx", viewport_.w, em), lengths(node, "dy", viewport_.h, em), 0});
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
  }

  void take(char32_t c, std::size_t span, bool preserve) {
    Letter letter{white(c) ? U' ' : c, span, {}, {}, 0, 0, preserve, nullptr};
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

  /// Letters from one given position to the next, all moved to their anchor at the end.
  void set_chunk(std::size_t first, std::size_t last) {
    if (letters_[first].x) pen_.x = *letters_[first].x;
    if (letters_[first].y) pen_.y = *letters_[first].y;
    const double began = pen_.x;
    std::map<std::size_t, Path> chunk;
    for (std::size_t i = first; i < last;) {
      std::size_t end = i + 1;
      while (end < last && letters_[end].span == letters_[i].span && letters_[end].face == letters_[i].face &&
             letters_[end].dx == 0 && letters_[end].dy == 0)
        ++end;
      pen_ = pen_ + Vec{letters_[i].dx, letters_[i].dy};
      set_run(i, end, chunk[letters_[i].span]);
      i = end;
    }
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
    if (style.letter_spacing != 0) options.features = {"-liga", "-clig"};
    const double size = style.font.size;
    for (const ShapedLine& line : shaped_lines(*face, text, options)) {
      for (std::size_t i = 0; i < line.glyphs.size(); ++i) {
        const ShapedGlyph& form = line.glyphs[i];
        const Vec at = pen_ + form.offset * size;
        const Path placed =
            transformed(face->glyph(form.glyph).path, Affine::move(at.x, at.y) * Affine::scale(size, size));
        into.contours.insert(into.contours.end(), placed.contours.begin(), placed.contours.end());
        pen_.x += form.advance * size;
        if (i + 1 == line.glyphs.size() || line.glyphs[i + 1].cluster != form.cluster) pen_.x += style.letter_spacing;
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
