// Laws of lettering that must hold whatever is typed, in whatever face; random texts and edits with fixed seeds.
#include "chance.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/text/typefaces.hpp"
#include "core/text/unicode.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;

const char* const kFaces[] = {"Dancing Script Bold", "Bebas Neue Bold", "EB Garamond 12 Italic", "Hershey Script",
                              "Comfortaa Bold"};

/// Letters of several scripts, accents, spaces, signs, line ends.
Text any_text(Chance& chance, int most) {
  static const std::u32string letters =
      U"abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ 0123456789 &.,!?'-\u00e9\u00fc\u00df\u0107\u0301 \n";
  std::u32string out;
  const int n = chance.whole(0, most);
  for (int i = 0; i < n; ++i)
    out += letters[static_cast<std::size_t>(chance.whole(0, static_cast<int>(letters.size()) - 1))];
  return utf8_of(out);
}

Values any_values(Chance& chance) {
  Values v{{"text", any_text(chance, 24)}, {"font", Text(kFaces[chance.whole(0, 4)])}, {"size", chance.between(3, 60)}};
  if (chance.coin()) v["tracking"] = chance.between(-1, 3);
  if (chance.coin()) v["slant"] = chance.between(-30, 30);
  if (chance.coin()) v["stretch"] = chance.between(50, 180);
  if (chance.coin())
    v["align"] = Text(
        std::vector<const char*>{"left", "centre", "right", "spread"}[static_cast<std::size_t>(chance.whole(0, 3))]);
  if (chance.coin()) v["kerning"] = chance.coin();
  if (chance.whole(0, 3) == 0)
    v["way"] = Text(chance.coin() ? "outside" : "inside"), v["radius"] = chance.between(30, 120);
  return v;
}

Box box_of(const Lettering& lettering) {
  Box box;
  for (const auto& letter : lettering.letters) box.add(bounds_of(placed(letter)));
  return box;
}

}  // namespace

TEST_CASE("every character has a caret, and every letter its characters, once and in order") {
  Chance chance(11);
  for (int round = 0; round < 150; ++round) {
    const Values values = any_values(chance);
    const Lettering set = set_lettering(values);
    INFO("round " << round << ": " << std::get<Text>(values.at("text")));
    REQUIRE(set.face);
    CHECK(set.carets.size() == set.text.size() + 1);
    for (const auto& caret : set.carets) {
      CHECK(is_finite(caret.foot));
      CHECK(is_finite(caret.head));
      CHECK(distance(caret.foot, caret.head) > 0);
      CHECK(caret.line < std::max<std::size_t>(1, set.baselines.size()));
    }
    std::vector<int> times(set.text.size(), 0);
    for (const auto& letter : set.letters) {
      REQUIRE(letter.first < letter.last);
      REQUIRE(letter.last <= set.text.size());
      for (std::size_t i = letter.first; i < letter.last; ++i) ++times[i];
      for (const auto& c : placed(letter).contours) {
        CHECK(is_finite(c.start));
        for (const auto& s : c.segments) CHECK(is_finite(s.end));
      }
    }
    for (std::size_t i = 0; i < times.size(); ++i) {
      if (set.text[i] == U'\n') {
        CHECK(times[i] == 0);
      } else {
        INFO("character " << i);
        CHECK(times[i] == 1);
      }
    }
    for (std::size_t i = 1; i < set.letters.size(); ++i) CHECK(set.letters[i - 1].last <= set.letters[i].first);
  }
}

TEST_CASE("twice the size is the same lettering twice as large") {
  Chance chance(12);
  int tried = 0;
  for (int round = 0; round < 80; ++round) {
    const Values values = any_values(chance);
    const double factor = chance.between(0.3, 4);
    const Values grown = scaled_lettering(values, factor);
    const Lettering a = set_lettering(values), b = set_lettering(grown);
    INFO("round " << round << ": " << std::get<Text>(values.at("text")) << " by " << factor);
    REQUIRE(a.letters.size() == b.letters.size());
    const Box before = box_of(a), after = box_of(b);
    if (before.empty()) continue;
    ++tried;
    CHECK(after.width() == Approx(before.width() * factor).margin(0.003));
    CHECK(after.height() == Approx(before.height() * factor).margin(0.003));
    for (std::size_t i = 0; i < a.letters.size(); ++i) {
      const Vec p = a.letters[i].place({0, 0}) * factor, q = b.letters[i].place({0, 0});
      CHECK(distance(p, q) < 0.003);  // spacing is kept to a tenth of a micrometre, letter by letter
    }
  }
  CHECK(tried > 50);
}

TEST_CASE("a finished width is met, whatever the words") {
  Chance chance(13);
  int tried = 0;
  for (int round = 0; round < 60; ++round) {
    Values values = any_values(chance);
    values["way"] = Text("line");
    values["size-by"] = Text("width");
    values["size"] = 90.0;
    values["tracking"] = 0.0;
    const Lettering set = set_lettering(values);
    const Box box = box_of(set);
    if (box.empty() || box.width() < 1e-3) continue;
    INFO("round " << round << ": " << std::get<Text>(values.at("text")));
    CHECK(box.width() == Approx(90).epsilon(1e-3));
    ++tried;
  }
  CHECK(tried > 40);
}

TEST_CASE("what was done to a letter stays with it through any edit elsewhere") {
  Chance chance(14);
  for (int round = 0; round < 300; ++round) {
    std::u32string text;
    const int n = chance.whole(3, 12);
    for (int i = 0; i < n; ++i) text += static_cast<char32_t>('a' + i);  // every letter once: it can be told again
    const auto marked = static_cast<std::size_t>(chance.whole(0, n - 1));
    Values values{{"text", utf8_of(text)}, {"font", Text("Bebas Neue Bold")}};
    values = with_letter_move(values, {marked, 0.5, 1, -2, 30, 120});
    values = with_letterform(values, marked, "gid7");
    const char32_t letter = text[marked];
    for (int edit = 0; edit < 6; ++edit) {
      std::u32string next = characters_of(std::get<Text>(values.at("text")));
      const auto at = next.find(letter);
      REQUIRE(at != std::u32string::npos);
      // Somewhere else: put in, take out or replace a stretch that does not hold the letter.
      const bool before = at > 0 && chance.coin();
      const auto low = before ? std::size_t{0} : at + 1, high = before ? at : next.size();
      const auto from = low + static_cast<std::size_t>(chance.whole(0, static_cast<int>(high - low)));
      const auto to = from + static_cast<std::size_t>(chance.whole(0, static_cast<int>(high - from)));
      std::u32string put;
      for (int i = chance.whole(0, 3); i > 0; --i) put += static_cast<char32_t>('0' + chance.whole(0, 9));
      next.replace(from, to - from, put);
      values = with_text(values, utf8_of(next));
    }
    const auto where = characters_of(std::get<Text>(values.at("text"))).find(letter);
    INFO("round " << round << ": " << std::get<Text>(values.at("text")));
    REQUIRE(letter_moves(values).size() == 1);
    CHECK(letter_moves(values).front() == LetterMove{where, 0.5, 1, -2, 30, 120});
    CHECK(std::get<Text>(values.at("letterforms")) == std::to_string(where) + "=gid7");
  }
}

TEST_CASE("UTF-8 goes both ways for every character there is, and any bytes give characters") {
  for (char32_t c = 1; c < 0x110000; c += c < 0x3000 ? 1 : 97) {
    if (c >= 0xd800 && c < 0xe000) continue;
    const Text bytes = utf8_of(std::u32string(1, c));
    const auto back = characters_of(bytes);
    REQUIRE(back.size() == 1);
    CHECK(back[0] == c);
  }
  Chance chance(15);
  for (int round = 0; round < 500; ++round) {
    Text bytes;
    for (int i = chance.whole(0, 40); i > 0; --i) bytes += static_cast<char>(chance.whole(0, 255));
    const auto characters = characters_of(bytes);
    CHECK(characters.size() <= bytes.size());
    // What came out is text: it goes round unchanged.
    CHECK(characters_of(utf8_of(characters)) == characters);
  }
}

TEST_CASE("closing up makes one piece of any word that it promises to, and loses no counter") {
  Chance chance(16);
  const char* const words[] = {"lantern", "harbour", "moorings", "boathook", "seagull", "quay", "fair", "pennant"};
  const FitLimits limits{0.3, 1};
  int closed_ones = 0;
  for (const char* word : words) {
    for (const char* face : {"Dancing Script Bold", "Comfortaa Bold", "Lobster Two Bold Italic", "Bebas Neue Bold"}) {
      const Values values{
          {"text", Text(word)}, {"font", Text(face)}, {"size", 24.0}, {"tracking", chance.between(-3, 4)}};
      const auto closed = closed_up(values, limits);
      INFO(word << " in " << face);
      if (!closed) {
        CHECK(sentence(closed.error().said).find("nudge") != Text::npos);
        continue;
      }
      ++closed_ones;
      const Lettering set = set_lettering(*closed);
      const auto regions = letter_regions(set);
      for (const auto& fit : pair_fits(set, regions, limits)) {
        CHECK(fit.touches);
        CHECK_FALSE(fit.closed);
      }
      std::vector<Region> all;
      std::size_t holes = 0;
      for (const auto& r : regions) all.push_back(r), holes += holes_in(r);
      const Region whole = unite(all);
      CHECK(holes_in(whole) >= holes);
      // Once more changes nothing.
      CHECK(*closed_up(*closed, limits) == *closed);
    }
  }
  CHECK(closed_ones >= 24);
}

}  // namespace dotlane::test
