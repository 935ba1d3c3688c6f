// Faces and text: what is opened, what is refused, how text is cut into runs.
#include <filesystem>
#include <fstream>
#include <random>
#include <sstream>

#include "core/geometry/measure.hpp"
#include "core/text/shaping.hpp"
#include "core/text/stroke_face.hpp"
#include "core/text/typefaces.hpp"
#include "core/text/unicode.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

std::string bytes_of(const std::string& file) {
  std::ifstream in(file, std::ios::binary);
  std::ostringstream out;
  out << in.rdbuf();
  return std::move(out).str();
}

std::shared_ptr<const Face> face_of(const std::string& name) {
  const auto face = find_face(name);
  if (!face) FAIL(line_of(face.error()));
  return *face;
}

std::string order_of(const Face& face, const std::u32string& text) {
  std::string out;
  for (const auto& line : shaped_lines(face, text, {})) {
    for (const auto& g : line.glyphs) out += (out.empty() ? "" : " ") + std::to_string(g.cluster);
    out += "|";
  }
  return out;
}

}  // namespace

TEST_CASE("every shipped typeface opens, has its licence beside it, and draws its letters") {
  for (const auto& t : shipped_typefaces()) {
    INFO(t.name);
    const auto face = face_of(t.name);
    const auto& about = face->about();
    CHECK(about.single_stroke == t.single_stroke);
    CHECK(about.outlines_allowed);
    if (!t.single_stroke) CHECK(about.name == t.name);
    CHECK((about.cap_height > 0.4 && about.cap_height < 0.9));
    CHECK((about.line_distance > 0.8 && about.line_distance < 2));
    for (char32_t c = U'A'; c <= U'z'; ++c) {
      if (c > U'Z' && c < U'a') continue;
      const auto id = face->glyph_for(c);
      REQUIRE(id);
      const Glyph& glyph = face->glyph(*id);
      CHECK_FALSE(glyph.path.contours.empty());
      CHECK(glyph.advance > 0);
      for (const auto& contour : glyph.path.contours) CHECK((contour.closed || t.single_stroke));
      CHECK(face->glyph_named(face->glyph_name(*id)) == id);
    }
    const std::string stem = std::filesystem::path(t.file).stem().string();
    bool licence = false;
    for (const auto& entry : std::filesystem::directory_iterator(typefaces_folder())) {
      const std::string name = entry.path().filename().string();
      if (!name.ends_with("-LICENSE.txt")) continue;
      const std::string family = name.substr(0, name.size() - 12);
      licence = licence || stem.starts_with(family) || (t.single_stroke && family == "Hershey");
    }
    CHECK(licence);
  }
}

TEST_CASE("characters and UTF-8 go both ways, and broken bytes never get lost") {
  const std::u32string text = U"Möwe жש\U0001F3EE\n";
  CHECK(characters_of(utf8_of(text)) == text);
  CHECK(characters_of("a\xff\xc3z\xe2\x82") == U"a\uFFFD\uFFFDz\uFFFD\uFFFD");
  CHECK(characters_of("\xed\xa0\x80") == U"\uFFFD\uFFFD\uFFFD");  // half of a surrogate pair
  CHECK(spoken_of(U'ж') == "\u201cж\u201d (U+0436)");
  CHECK(spoken_of(U' ') == "U+0020");
  std::mt19937 random(5);
  for (int round = 0; round < 200; ++round) {
    std::string bytes;
    for (int i = 0; i < 30; ++i) bytes += static_cast<char>(random() & 255);
    const auto once = characters_of(bytes);
    CHECK(characters_of(utf8_of(once)) == once);
  }
}

TEST_CASE("mixed directions stand in the order of the bidirectional algorithm") {
  // Hebrew letters are U+05D0 on; Debian's DejaVu Sans has them.
  const auto face = face_of("DejaVu Sans Book");
  CHECK(order_of(*face, U"abc") == "0 1 2|");
  CHECK(order_of(*face, U"\u05d0\u05d1\u05d2") == "2 1 0|");
  // UAX 9: a left-to-right paragraph keeps its ends where they are, the right-to-left part runs back.
  CHECK(order_of(*face, U"ab \u05d0\u05d1 cd") == "0 1 2 4 3 5 6 7|");
  // Numbers in right-to-left text keep their own order.
  CHECK(order_of(*face, U"\u05d0\u05d1 12 \u05d2") == "6 5 3 4 2 1 0|");
  CHECK(order_of(*face, U"ab\n\ncd") == "0 1|| 4 5|");
  const auto lines = shaped_lines(*face, U"\u05d0\u05d1", {});
  CHECK(lines.front().right_to_left);
  CHECK(lines.front().glyphs.front().right_to_left);
}

TEST_CASE("features change the letterforms, for all of the text or for some characters") {
  const auto face = face_of("EB Garamond 12 Italic");
  auto forms = [&](std::vector<std::string> features) {
    std::vector<unsigned> out;
    const auto lines = shaped_lines(*face, U"BTB", {true, std::move(features)});
    for (const auto& g : lines.front().glyphs) out.push_back(g.glyph);
    return out;
  };
  const auto plain = forms({}), swash = forms({"swsh"}), last = forms({"swsh[2:3]"});
  REQUIRE(plain.size() == 3);
  CHECK(swash[0] != plain[0]);
  CHECK(last[0] == plain[0]);
  CHECK(last[2] == swash[2]);
  const auto others = alternates_of(*face, U'B');
  CHECK(std::any_of(others.begin(), others.end(),
                    [&](const auto& o) { return o.glyph == swash[0] && o.feature == "swsh"; }));
  CHECK(others.size() >= 2);  // small capitals as well
  CHECK(is_feature("ss01=2"));
  CHECK(is_feature("-liga"));
  CHECK_FALSE(is_feature("no feature at all"));
  // Kerning off sets pairs at their plain widths.
  auto width = [&](bool kerning) {
    double w = 0;
    const auto lines = shaped_lines(*face, U"AVAVA", {kerning, {}});
    for (const auto& g : lines.front().glyphs) w += g.advance;
    return w;
  };
  CHECK(width(true) < width(false));
}

TEST_CASE("Hershey data are read as their records say, also over several lines") {
  // Two forms: a space 16 wide, and an upright stroke with a dash, its record broken in the middle.
  const auto face = open_stroke_face("12345  1JZ\n12345  6MWRF\nRT RRYVY\n", "test", "test.jhf");
  REQUIRE(face);
  CHECK((*face)->about().glyphs == 2);
  CHECK((*face)->glyph(1).advance == Approx(16.0 / 32));
  const Path& path = (*face)->glyph(2).path;
  REQUIRE(path.contours.size() == 2);
  CHECK(path.contours[0].start == Vec{5.0 / 32, -21.0 / 32});
  CHECK(path.contours[0].segments.back().end == Vec{5.0 / 32, -7.0 / 32});
  CHECK(path.contours[1].segments.back().end == Vec{9.0 / 32, -2.0 / 32});
  for (const char* bad : {"", "12345", "12345 xxJZ", "12345  9JZRF", "12345  2JZ\x01Q"}) {
    const auto broken = open_stroke_face(bad, "test", "test.jhf");
    REQUIRE_FALSE(broken);
    CHECK(line_of(broken.error()).find("test.jhf") == 0);
  }
}

TEST_CASE("the points of Hershey's rounds lie on the smooth strokes drawn through them") {
  const auto face = face_of("Hershey Plain");
  const Path& o = face->glyph(*face->glyph_for(U'O')).path;
  REQUIRE(o.contours.size() == 1);
  CHECK(o.contours[0].closed);
  // A smooth curve through the points of a convex round encloses a little more than the points do.
  Polyline corners{{o.contours[0].start}, true};
  for (const auto& s : o.contours[0].segments) corners.points.push_back(s.end);
  const double polygon = std::abs(signed_area_of(corners)),
               round = enclosed_area_of(transformed(o, Affine::scale(100, 100))) / 1e4;
  CHECK(round > polygon);
  CHECK(round < polygon * 1.06);
  // Straight letters stay straight.
  for (const auto& contour : face->glyph(*face->glyph_for(U'E')).path.contours) {
    for (const auto& s : contour.segments) CHECK(s.straight);
  }
}

TEST_CASE("damaged fonts are refused or read in part, and never hang or crash") {
  std::mt19937 random(3);
  for (const char* name : {"Comfortaa Bold", "Lobster Two Bold Italic"}) {
    std::string file;
    for (const auto& t : shipped_typefaces()) {
      if (t.name == name) file = t.file;
    }
    const std::string whole = bytes_of(file);
    const std::string path =
        (std::filesystem::temp_directory_path() / ("dotlane-damaged-" + std::to_string(getpid()) + ".otf")).string();
    for (int round = 0; round < 60; ++round) {
      std::string bytes = whole;
      if (round % 3 == 0) {
        bytes.resize(random() % bytes.size());
      } else {
        // A few bytes of the tables' directory, or anywhere.
        for (int i = 0; i < (round % 3 == 1 ? 3 : 200); ++i)
          bytes[random() % (round % 3 == 1 ? 300 : bytes.size())] = static_cast<char>(random() & 255);
      }
      std::ofstream(path, std::ios::binary) << bytes;
      const auto face = open_face(path);
      if (!face) {
        CHECK(line_of(face.error()).find(path) == 0);
        continue;
      }
      for (const auto& line : shaped_lines(**face, U"Lanterns, AV ffi\n1894", {})) {
        for (const auto& g : line.glyphs) (void)(*face)->glyph(g.glyph);
      }
    }
    std::filesystem::remove(path);
  }
  CHECK_FALSE(open_face("no such file.ttf"));
  CHECK_FALSE(open_face(typefaces_folder() + "/Comfortaa-LICENSE.txt"));
  const auto missing = find_face("No Such Face At All");
  REQUIRE_FALSE(missing);
  CHECK(line_of(missing.error()).find("No Such Face At All") != std::string::npos);
}

TEST_CASE("variable faces follow their axes, and collections hold several") {
  // tests/data/fonts is made by make_fonts.py beside it: a square that widens with its weight; two faces in one file.
  const std::string data = std::string(DOTLANE_TEST_DATA) + "/fonts/";
  auto width = [&](double weight) {
    const auto face = open_face(data + "weights.ttf", 0, {{"wght", weight}});
    REQUIRE(face);
    return bounds_of((*face)->glyph(*(*face)->glyph_for(U'H')).path).width();
  };
  CHECK(width(100) == Approx(0.2));
  CHECK(width(900) == Approx(0.6));
  CHECK(width(500) == Approx(0.4).margin(0.001));
  CHECK(width(5000) == Approx(0.6));  // held to the axis
  const auto face = open_face(data + "weights.ttf");
  REQUIRE((*face)->about().axes.size() == 1);
  CHECK((*face)->about().axes[0].tag == "wght");
  CHECK((*face)->about().axes[0].high == 900);
  const auto second = find_face(data + "two.ttc#1");
  REQUIRE(second);
  CHECK((*second)->about().name == "Square Two");
  CHECK_FALSE((*second)->about().outlines_allowed);  // its flags say restricted
  CHECK_FALSE(open_face(data + "two.ttc", 2));
}

}  // namespace dotlane::test
