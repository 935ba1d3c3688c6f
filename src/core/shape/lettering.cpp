#include "core/shape/lettering.hpp"

#include <algorithm>
#include <map>
#include <numbers>
#include <set>

#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/project/kinds.hpp"
#include "core/text/shaping.hpp"
#include "core/text/typefaces.hpp"
#include "core/text/unicode.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kDegree = std::numbers::pi / 180;
constexpr std::size_t kMostNamed = 5;  // characters that a message names

const KindSpec& spec() {
  static const KindSpec& kind = *find_kind(shape_kinds(), "lettering");
  return kind;
}

std::vector<std::string> listed(const std::string& text) {
  std::vector<std::string> out;
  for (const auto part : split(text, ',')) {
    if (!trimmed(part).empty()) out.emplace_back(trimmed(part));
  }
  return out;
}

/// Chosen letterforms by character, from "4=a.swash, 9=gid207".
std::map<std::size_t, std::string> letterforms_from(const std::string& text) {
  std::map<std::size_t, std::string> out;
  for (const auto& entry : listed(text)) {
    const auto mark = entry.find('=');
    if (mark == std::string::npos) continue;
    const auto at = to_integer(trimmed(std::string_view(entry).substr(0, mark)));
    const auto name = trimmed(std::string_view(entry).substr(mark + 1));
    if (at && *at >= 0 && !name.empty()) out[static_cast<std::size_t>(*at)] = name;
  }
  return out;
}

std::string text_of(const std::map<std::size_t, std::string>& forms) {
  std::string out;
  for (const auto& [at, name] : forms) out += (out.empty() ? "" : ", ") + std::to_string(at) + "=" + name;
  return out;
}

std::vector<double> rows_of(const std::vector<LetterMove>& moves) {
  std::vector<double> out;
  for (const auto& m : moves)
    out.insert(out.end(), {static_cast<double>(m.character), m.before, m.right, m.down, m.turn, m.percent});
  return out;
}

/// A letter before it has a place: forms in em.
struct Form {
  unsigned glyph = 0;
  Vec offset;
};
struct Unset {
  std::size_t first = 0, last = 0, line = 0;
  bool right_to_left = false, space = false;
  std::vector<Form> forms;
  double advance = 0;  // em
};
struct UnsetLine {
  std::size_t first = 0, last = 0;
  bool right_to_left = false;
  std::vector<Unset> letters;
};

/// The text's letters in the face, chosen forms put in; what is missing is told.
std::vector<UnsetLine> letters_of(const Face& face, const std::u32string& text, const Reading& take, Sayings& trouble) {
  TextOptions options;
  options.kerning = take.flag("kerning");
  for (const auto& feature : listed(take.text("features"))) {
    if (is_feature(feature)) {
      options.features.push_back(feature);
    } else {
      trouble.push_back({"feature-unknown", {{"feature", feature}}});
    }
  }
  const auto chosen = letterforms_from(take.text("letterforms"));
  std::vector<UnsetLine> out;
  std::vector<char32_t> missing, broken;
  auto tell = [](std::vector<char32_t>& list, char32_t c) {
    if (std::find(list.begin(), list.end(), c) == list.end()) list.push_back(c);
  };
  for (const auto& line : shaped_lines(face, text, options)) {
    UnsetLine made{line.first, line.last, line.right_to_left, {}};
    std::set<std::size_t> starts;
    for (const auto& g : line.glyphs) starts.insert(g.cluster);
    for (std::size_t i = 0; i < line.glyphs.size();) {
      const auto& first = line.glyphs[i];
      const auto next = starts.upper_bound(first.cluster);
      Unset letter{
          first.cluster, next == starts.end() ? line.last : *next, out.size(), first.right_to_left, false, {}, 0};
      letter.space = is_blank(text[letter.first]);
      const auto choice = chosen.find(letter.first);
      const unsigned picked = choice == chosen.end() ? 0 : face.glyph_named(choice->second).value_or(0);
      if (choice != chosen.end() && picked == 0)
        trouble.push_back({"letterform-unknown", {{"face", face.about().name}, {"form", choice->second}}});
      for (; i < line.glyphs.size() && line.glyphs[i].cluster == letter.first; ++i) {
        const auto& g = line.glyphs[i];
        unsigned id = g.glyph;
        double advance = g.advance;
        // The choice stands in for the letter itself, which comes first in its own direction; accents stay.
        const bool base = letter.right_to_left
                              ? i + 1 == line.glyphs.size() || line.glyphs[i + 1].cluster != letter.first
                              : letter.forms.empty();
        if (picked != 0 && base) {
          advance += face.glyph(picked).advance - (id ? face.glyph(id).advance : advance);
          id = picked;
        }
        if (id == 0) {
          if (!letter.space) tell(missing, text[letter.first]);
          continue;
        }
        if (face.glyph(id).broken) tell(broken, text[letter.first]);
        letter.forms.push_back({id, Vec{letter.advance, 0} + g.offset});
        letter.advance += advance;
      }
      if (letter.space && letter.forms.empty() && letter.advance == 0) letter.advance = 0.25;
      made.letters.push_back(std::move(letter));
    }
    out.push_back(std::move(made));
  }
  auto say = [&](const char* code, const std::vector<char32_t>& list) {
    if (list.empty()) return;
    std::string names;
    for (std::size_t i = 0; i < std::min(list.size(), kMostNamed); ++i)
      names += (i == 0 ? "" : ", ") + spoken_of(list[i]);
    Said said{code, {{"face", face.about().name}, {"letters", names}}};
    if (list.size() > kMostNamed) said.figures["more"] = static_cast<double>(list.size() - kMostNamed);
    trouble.push_back(std::move(said));
  };
  say("letters-missing", missing);
  say("letters-damaged", broken);
  return out;
}

/// Everything that does not change with the size.
struct Prepared {
  const Face& face;
  const Reading& take;
  const std::vector<UnsetLine>& lines;
  const std::map<std::size_t, LetterMove>& moves;
  bool centre = false;
};

Path em_shape(const Prepared& p, const std::vector<Form>& forms, const Affine& map) {
  Path out;
  for (const auto& form : forms) {
    const Affine own = map * Affine::move(form.offset.x, form.offset.y);
    if (p.centre) {
      for (const auto& line : p.face.centre_lines(form.glyph).lines) {
        Polyline polyline{line.points, line.closed};
        for (auto& v : polyline.points) v = own(v);
        Contour c = refit(polyline);
        if (!c.segments.empty()) out.contours.push_back(std::move(c));
      }
    } else {
      Path placed_form = transformed(p.face.glyph(form.glyph).path, own);
      out.contours.insert(out.contours.end(), std::make_move_iterator(placed_form.contours.begin()),
                          std::make_move_iterator(placed_form.contours.end()));
    }
  }
  return out;
}

/// Sets the letters at this many mm to the em.
void set_at(const Prepared& p, double em, Lettering& out) {
  const Reading& take = p.take;
  const auto& about = p.face.about();
  const double across = em * take.number("stretch") / 100, tracking = take.number("tracking");
  const double word = take.number("word-space") / 100,
               distance = about.line_distance * em * take.number("line-space") / 100;
  const double slant = std::tan(take.number("slant") * kDegree), radius = take.number("radius");
  const bool round = !take.is("way", "line"), inward = take.is("way", "inside");
  const Affine form_map{across, 0, -slant * em, em, 0, 0};
  out.letters.clear();
  out.baselines.clear();
  out.cap_height = about.cap_height * em;
  double widest = 0;
  std::vector<double> widths;
  auto advance_of = [&](const Unset& letter) { return letter.advance * across * (letter.space ? word : 1) + tracking; };
  auto move_of = [&](const Unset& letter) {
    const auto found = p.moves.find(letter.first);
    return found == p.moves.end() ? LetterMove{} : found->second;
  };
  for (const auto& line : p.lines) {
    double width = line.letters.empty() ? 0 : -tracking;
    for (const auto& letter : line.letters) width += advance_of(letter) + move_of(letter).before;
    widths.push_back(width);
    widest = std::max(widest, width);
  }
  out.carets.assign(out.text.size() + 1, {});
  const bool spread = take.is("align", "spread");
  for (std::size_t n = 0; n < p.lines.size(); ++n) {
    const auto& line = p.lines[n];
    const double down = static_cast<double>(n) * distance;
    Baseline base{round, inward, inward ? radius + down : radius - down, down, take.number("from")};
    if (round && base.radius < 0.5) {
      out.trouble.push_back({"circle-small"});
      base.radius = 0.5;
    }
    out.baselines.push_back(base);
    double gap = 0, at = 0;
    if (spread && !line.letters.empty()) {
      const auto letters = static_cast<double>(line.letters.size());
      if (round) {
        gap = (2 * std::numbers::pi * base.radius - widths[n] - tracking) / letters;
        at = -(2 * std::numbers::pi * base.radius) / 2 + gap / 2;
      } else if (letters > 1) {
        gap = (widest - widths[n]) / (letters - 1);
      }
    } else if (take.is("align", "centre")) {
      at = -widths[n] / 2;
    } else if (take.is("align", "right")) {
      at = -widths[n];
    }
    auto caret_at = [&](double x) {
      const Affine here = base.place(x, 0);
      return CaretPlace{here({0, about.descender * em}), here({0, -about.ascender * em}), n};
    };
    CaretPlace end = caret_at(at);
    std::vector<char> has(line.last - line.first + 1, 0);
    for (const auto& unset : line.letters) {
      const LetterMove move = move_of(unset);
      at += move.before;
      Letter letter;
      letter.first = unset.first;
      letter.last = unset.last;
      letter.line = n;
      letter.right_to_left = unset.right_to_left;
      letter.at = at;
      letter.advance = advance_of(unset);
      letter.em_across = across * move.percent / 100;
      letter.em_down = em * move.percent / 100;
      for (const auto& form : unset.forms) letter.forms.push_back(form.glyph);
      letter.shape = em_shape(p, unset.forms, form_map);
      letter.blank = letter.shape.contours.empty();
      const double own = letter.advance - tracking;
      letter.place = base.place(at, own);
      if (!(move == LetterMove{move.character, move.before})) {
        const double k = move.percent / 100;
        letter.place = letter.place * Affine::move(own / 2 + move.right, move.down) * Affine::rotate(-move.turn) *
                       Affine::scale(k, k) * Affine::move(-own / 2, 0);
      }
      const auto characters = static_cast<double>(letter.last - letter.first);
      for (std::size_t k = letter.first; k < letter.last; ++k) {
        const double part = static_cast<double>(k - letter.first) / characters;
        out.carets[k] = caret_at(at + (letter.right_to_left ? 1 - part : part) * own);
        has[k - line.first] = 1;
      }
      if (letter.last == line.last) end = caret_at(at + (letter.right_to_left ? 0 : own));
      at += letter.advance + gap;
      out.letters.push_back(std::move(letter));
    }
    out.carets[line.last] = end;
    for (std::size_t k = line.last; k-- > line.first;) {
      if (!has[k - line.first]) out.carets[k] = out.carets[k + 1];
    }
  }
}

double width_of(const Lettering& lettering) {
  Box box;
  for (const auto& letter : lettering.letters) box.add(bounds_of(placed(letter)));
  return box.width();
}

}  // namespace

Affine Baseline::place(double at, double advance) const {
  if (!round) return Affine::move(at, down);
  const double middle = at + advance / 2, angle = middle / radius + (inward ? -from : from) * kDegree;
  const Affine stand =
      inward ? Affine::move(radius * std::sin(angle), radius * std::cos(angle)) * Affine::rotate(-angle / kDegree)
             : Affine::move(radius * std::sin(angle), -radius * std::cos(angle)) * Affine::rotate(angle / kDegree);
  return stand * Affine::move(-advance / 2, 0);
}

Path placed(const Letter& letter) { return transformed(letter.shape, letter.place); }

AxisValues axes_from(const std::string& text) {
  AxisValues out;
  for (const auto& entry : listed(text)) {
    const auto mark = entry.find('=');
    if (mark == std::string::npos) continue;
    if (const auto v = to_number(trimmed(std::string_view(entry).substr(mark + 1))))
      out[std::string(trimmed(std::string_view(entry).substr(0, mark)))] = *v;
  }
  return out;
}

std::vector<LetterMove> letter_moves(const Values& values) {
  const auto rows = Reading(spec(), values).list("letters");
  std::vector<LetterMove> out;
  for (std::size_t i = 0; i + kLetterColumns <= rows.size(); i += kLetterColumns) {
    if (rows[i] < 0) continue;
    out.push_back({static_cast<std::size_t>(rows[i]), rows[i + 1], rows[i + 2], rows[i + 3], rows[i + 4], rows[i + 5]});
  }
  return out;
}

Lettering set_lettering(const Values& values) {
  const Reading take(spec(), values);
  Lettering out;
  out.text = characters_of(take.text("text"));
  const AxisValues axes = axes_from(take.text("axes"));
  auto face = find_face(take.text("font"), axes);
  if (!face) {
    if (!face.error().place.empty()) out.trouble.push_back({"face-file", {{"file", face.error().place}}});
    out.trouble.push_back(face.error().said);
    out.substituted = true;
    face = find_face(standard_typeface());
    if (!face) return out;
  }
  out.face = *face;
  const auto& about = out.face->about();
  const bool centre = take.is("strokes", "centre") && !about.single_stroke;
  out.strokes = about.single_stroke || centre;
  const auto lines = letters_of(*out.face, out.text, take, out.trouble);
  std::map<std::size_t, LetterMove> moves;
  for (const auto& move : letter_moves(values)) moves[move.character] = move;
  const Prepared prepared{*out.face, take, lines, moves, centre};
  const double size = take.number("size");
  if (!take.is("size-by", "width")) {
    set_at(prepared, size / (take.is("size-by", "cap-height") ? about.cap_height : about.line_distance), out);
    return out;
  }
  // On a straight line the width grows evenly with the size, so the second secant already meets it.
  double em = size / static_cast<double>(std::max<std::size_t>(1, out.text.size())), last_em = 0, last = 0;
  const Sayings said = out.trouble;
  for (int round = 0; round < 8; ++round) {
    out.trouble = said;
    set_at(prepared, em, out);
    const double width = width_of(out);
    if (width <= 0 || std::abs(width - size) < 1e-6) break;
    const double slope = round == 0 ? width / em : (width - last) / (em - last_em);
    last = width, last_em = em;
    if (!(std::abs(slope) > 1e-9)) break;
    em = std::clamp(em + (size - width) / slope, em * 0.05, em * 50);
  }
  return out;
}

std::vector<Line> lettering_lines(const Values& values, Sayings& trouble) {
  const Lettering lettering = set_lettering(values);
  trouble = lettering.trouble;
  Line line;
  line.id = lettering.strokes ? "strokes" : "letters";
  line.role = lettering.strokes ? Role::draw : Role::cut;
  line.color = {34, 34, 34};
  Path path;
  for (const auto& letter : lettering.letters) {
    Path own = placed(letter);
    path.contours.insert(path.contours.end(), std::make_move_iterator(own.contours.begin()),
                         std::make_move_iterator(own.contours.end()));
  }
  if (path.contours.empty()) return {};
  line.path = std::move(path);
  return {line};
}

Values with_text(Values values, const std::string& text) {
  const auto before = characters_of(Reading(spec(), values).text("text")), after = characters_of(text);
  std::size_t head = 0, tail = 0;
  const std::size_t least = std::min(before.size(), after.size());
  while (head < least && before[head] == after[head]) ++head;
  while (tail < least - head && before[before.size() - 1 - tail] == after[after.size() - 1 - tail]) ++tail;
  auto moved = [&](std::size_t at) -> std::optional<std::size_t> {
    if (at < head) return at;
    if (at >= before.size() - tail && at < before.size()) return at + after.size() - before.size();
    return std::nullopt;
  };
  std::vector<LetterMove> moves;
  for (auto move : letter_moves(values)) {
    if (const auto to = moved(move.character)) move.character = *to, moves.push_back(move);
  }
  std::map<std::size_t, std::string> forms;
  for (const auto& [at, name] : letterforms_from(Reading(spec(), values).text("letterforms"))) {
    if (const auto to = moved(at)) forms[*to] = name;
  }
  if (values.contains("letters")) values["letters"] = rows_of(moves);
  if (values.contains("letterforms")) values["letterforms"] = text_of(forms);
  values["text"] = text;
  return values;
}

Values scaled_lettering(Values values, double factor) {
  const Reading take(spec(), values);
  auto grow = [&](const char* key) {
    const ValueSpec& v = *spec().find(key);
    // Kept to a tenth of a micrometre: what is typed is what the field shows again.
    return std::clamp(std::round(take.number(key) * factor * 1e4) / 1e4, v.low, v.high);
  };
  Values out = values;
  out["size"] = grow("size");
  if (take.number("tracking") != 0) out["tracking"] = grow("tracking");
  if (!take.is("way", "line")) out["radius"] = grow("radius");
  auto moves = letter_moves(values);
  for (auto& m : moves) m.before *= factor, m.right *= factor, m.down *= factor;
  if (!moves.empty()) out["letters"] = rows_of(moves);
  return out;
}

Values with_letter_move(Values values, const LetterMove& move) {
  auto moves = letter_moves(values);
  std::erase_if(moves, [&](const LetterMove& m) { return m.character == move.character; });
  if (!(move == LetterMove{move.character})) moves.push_back(move);
  std::sort(moves.begin(), moves.end(), [](const auto& a, const auto& b) { return a.character < b.character; });
  values["letters"] = rows_of(moves);
  return values;
}

Values with_letterform(Values values, std::size_t character, const std::string& name) {
  auto forms = letterforms_from(Reading(spec(), values).text("letterforms"));
  if (name.empty()) {
    forms.erase(character);
  } else {
    forms[character] = name;
  }
  values["letterforms"] = text_of(forms);
  return values;
}

}  // namespace dotlane
