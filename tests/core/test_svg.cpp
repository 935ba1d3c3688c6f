#include <catch2/catch.hpp>

#include "core/format/files.hpp"
#include "core/format/svg_reader.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"

using namespace dotlane;

namespace {

Artwork art_of(const std::string& name, const SvgOptions& options = {}) {
  const auto bytes = read_file(std::string(DOTLANE_TEST_DATA) + "/svg/" + name);
  REQUIRE(bytes);
  auto art = read_svg(*bytes, name, options);
  if (!art) FAIL(art.error().line());
  return *art;
}

const ArtLine& line(const Artwork& art, const std::string& id) {
  for (const auto& l : art.lines) {
    if (l.id == id) return l;
  }
  FAIL("no line " << id);
  return art.lines.front();
}

bool noted(const Artwork& art, const std::string& code) {
  return std::any_of(art.notes.begin(), art.notes.end(), [&](const Finding& f) { return f.code == code; });
}

}  // namespace

TEST_CASE("a file without physical size is assumed at 96 per inch and offers 90 and 72") {
  const Artwork art = art_of("08_no_size.svg");
  CHECK(art.unit_source == UnitSource::assumed);
  CHECK(art.width_mm == Approx(127));
  CHECK(art.height_mm == Approx(101.6));
  REQUIRE(noted(art, "size-assumed"));
  CHECK(art.notes.front().message.find("135.5 x 108.4 mm") != std::string::npos);  // at 90
  CHECK(art.notes.front().message.find("169.3 x 135.5 mm") != std::string::npos);  // at 72
  SvgOptions at_72;
  at_72.assumed_per_inch = 72;
  CHECK(art_of("08_no_size.svg", at_72).width_mm == Approx(480 / 72.0 * 25.4));
}

TEST_CASE("stated sizes are kept whatever is assumed elsewhere") {
  SvgOptions at_72;
  at_72.assumed_per_inch = 72;
  const Artwork art = art_of("03_arcs.svg", at_72);
  CHECK(art.unit_source == UnitSource::stated);
  CHECK(art.width_mm == Approx(203.2));
  CHECK(art.per_inch == Approx(100));
}

TEST_CASE("styles come from attributes, sheets, style attributes and parents") {
  const Artwork art = art_of("11_styles.svg");
  CHECK(hex(*line(art, "one").stroke) == "#c04000");
  CHECK(hex(*line(art, "two").stroke) == "#c04000");
  CHECK(hex(*line(art, "special").stroke) == "#004080");
  CHECK(hex(*line(art, "fold").stroke) == "#008040");
  CHECK(line(art, "fold").dashed);
  CHECK(hex(*line(art, "inline").stroke) == "#880088");
  CHECK(line(art, "inline").path.fill_rule == FillRule::evenodd);
  CHECK(hex(*line(art, "inherited").stroke) == "#224466");
  CHECK(hex(*line(art, "current").stroke) == "#113355");
  CHECK_FALSE(line(art, "one").fill);
}

TEST_CASE("layers keep their names, text and pictures are reported") {
  const Artwork art = art_of("13_layers_text.svg");
  CHECK(line(art, "t").layer == "Tower");
  CHECK(line(art, "f").layer == "Waves / Foam");
  REQUIRE(noted(art, "text-left-out"));
  CHECK(noted(art, "image-left-out"));
}

TEST_CASE("hidden elements are left out and counted") {
  const Artwork art = art_of("14_hidden.svg");
  REQUIRE(art.lines.size() == 2);
  CHECK(art.lines[1].id == "lit");
  CHECK(noted(art, "hidden-left-out"));
}

TEST_CASE("roles are guessed: dashed inside a cut outline scores, open draws, closed cuts") {
  const auto bytes =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none" stroke="#333">
    <rect id="outline" x="10" y="10" width="80" height="60"/><path id="fold" stroke-dasharray="2 1" d="M50 10 V70"/>
    <path id="loose" stroke-dasharray="2 1" d="M5 90 H95"/><path id="swell" d="M20 40 q5 -5 10 0"/>
    <circle id="disc" fill="teal" stroke="none" cx="70" cy="40" r="5"/><path id="nothing" stroke="none" d="M0 0 H5 V5 Z"/></svg>)";
  const auto art = read_svg(bytes, "roles.svg");
  REQUIRE(art);
  CHECK(guess_roles(art->lines) == std::vector{Role::cut, Role::score, Role::draw, Role::draw, Role::cut, Role::guide});
  int id = 0;
  const Project project = add_artwork(new_project("t"), *art, "some/lantern-roof.svg", &id);
  const Piece* piece = find_piece(project, id);
  CHECK(piece->name == "Lantern roof");
  CHECK(piece->lines[0].role_guessed);
  CHECK(piece->lines[0].tool == "fine-blade");
  CHECK(piece->lines[1].tool == "scoring-tip");
  CHECK(piece->lines[3].tool == "pen-333333");
  CHECK(piece->lines[5].tool.empty());
}

TEST_CASE("curves stay curves") {
  const Artwork art = art_of("02_path_commands.svg");
  const auto& segments = line(art, "abs").path.contours[0].segments;
  CHECK(std::count_if(segments.begin(), segments.end(), [](const Segment& s) { return !s.straight; }) == 4);
}

TEST_CASE("limits end a reading early") {
  SvgOptions small;
  small.max_segments = 3;
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 L1 1 L2 0 L3 1 L4 0"/></svg>)", "s.svg", small);
  REQUIRE_FALSE(art);
  CHECK(art.error().kind == ErrorKind::unsupported);
}

TEST_CASE("a cut-short file never crashes the reader, wherever it is cut") {
  const auto bytes = read_file(std::string(DOTLANE_DEMO) + "/art/lighthouse-card.svg");
  REQUIRE(bytes);
  for (std::size_t n = 0; n < bytes->size() - 1; n += 13) {
    const auto art = read_svg(std::string_view(*bytes).substr(0, n), "cut.svg");
    if (!art) CHECK(art.error().line().find("cut.svg") == 0);
  }
}

TEST_CASE("random damage gives lines or an error, never a crash") {
  auto bytes = *read_file(std::string(DOTLANE_DEMO) + "/art/lighthouse-card.svg");
  std::uint32_t state = 12345;
  auto next = [&] { return state = state * 1664525u + 1013904223u; };
  for (int round = 0; round < 1500; ++round) {
    std::string hurt = bytes;
    for (int k = 0; k < 4; ++k) hurt[next() % hurt.size()] = static_cast<char>(next() >> 24);
    const auto art = read_svg(hurt, "hurt.svg");
    if (art) {
      for (const auto& l : art->lines) REQUIRE(is_finite({bounds_of(l.path).x1, bounds_of(l.path).y1}));
    }
  }
}
