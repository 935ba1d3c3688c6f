// Clip paths (CSS Masking Module Level 1, 5 to 7), held against closed forms.
#include <catch2/catch.hpp>
#include <cmath>

#include "core/format/svg_reader.hpp"
#include "core/geometry/measure.hpp"

using namespace dotlane;

namespace {

constexpr double kPi = 3.14159265358979323846;

/// A sheet of 100 mm with units of a millimetre.
Artwork drawn(const std::string& inside) {
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">)" +
                   inside + "</svg>",
               "clip.svg");
  REQUIRE(art);
  return *art;
}

const Finding* note_of(const Artwork& art, const std::string& code) {
  for (const auto& note : art.notes) {
    if (note.code == code) return &note;
  }
  return nullptr;
}

double area(const std::string& inside) {
  double out = 0;
  for (const auto& line : drawn(inside).lines) out += enclosed_area_of(line.path);
  return out;
}

const std::string kHalf = R"(<clipPath id="half"><rect width="50" height="100"/></clipPath>)";

}  // namespace

TEST_CASE("a clip path leaves of what is filled the outline of what is seen") {
  const Artwork art = drawn(kHalf + R"svg(<circle id="moon" cx="50" cy="50" r="30" clip-path="url(#half)"/>)svg");
  REQUIRE(art.lines.size() == 1);
  CHECK(art.lines[0].id == "moon");
  CHECK(enclosed_area_of(art.lines[0].path) == Approx(kPi * 900 / 2).epsilon(1e-4));
  CHECK(bounds_of(art.lines[0].path).x1 == Approx(50).margin(1e-3));
  CHECK(art.lines[0].path.contours.front().closed);
  CHECK(art.lines[0].path.contours.front().segments.size() < 12);  // curves are curves still
  const Finding* told = note_of(art, "clipped");
  REQUIRE(told);
  CHECK(std::get<double>(told->figures.at("cut")) == 1);
  CHECK_FALSE(told->figures.contains("away"));
  CHECK_FALSE(note_of(art, "clip-ignored"));
}

TEST_CASE("a clip path leaves of a stroke the stretches that are seen") {
  const std::string hole = R"(<clipPath id="hole"><circle cx="50" cy="50" r="20"/></clipPath>)";
  const Artwork art =
      drawn(hole + R"svg(<path id="wave" d="M0 50H100M0 80H100" fill="none" stroke="#000" clip-path="url(#hole)"/>
    <circle cx="50" cy="70" r="20" fill="none" stroke="#000" clip-path="url(#hole)"/>)svg");
  REQUIRE(art.lines.size() == 2);
  CHECK(art.lines[0].path.contours.size() == 1);
  CHECK_FALSE(art.lines[0].path.contours.front().closed);
  CHECK(length_of(art.lines[0].path) == Approx(40).margin(0.01));
  const Artwork flat = drawn(kHalf + R"svg(<path d="M20 9H80Z" stroke="#000" clip-path="url(#half)"/>)svg");
  REQUIRE(flat.lines.size() == 1);  // filled, but there is nothing to fill
  CHECK(bounds_of(flat.lines[0].path).x1 == Approx(50).margin(1e-3));
  // Of two equal circles, each through the other's centre, a third of the one is in the other.
  CHECK(length_of(art.lines[1].path) == Approx(2 * kPi * 20 / 3).margin(0.05));
}

TEST_CASE("what is seen whole keeps its curves, and what is not seen at all is left out") {
  const std::string inside = R"svg(<path id="gull" d="M10 10C20 0 30 0 40 10Z" clip-path="url(#half)"/>)svg";
  const Artwork art = drawn(kHalf + inside + R"svg(<g clip-path="url(#half)"><rect id="far" x="60" y="10" width="9"
    height="9" fill="none"/><path id="near" d="M5 40h9" stroke="#000"/></g>)svg");
  REQUIRE(art.lines.size() == 2);
  CHECK(art.lines[0].path == drawn(inside).lines[0].path);
  CHECK(art.lines[1].id == "near");
  const Finding* told = note_of(art, "clipped");
  REQUIRE(told);
  CHECK(std::get<double>(told->figures.at("away")) == 1);
  CHECK_FALSE(note_of(art, "unpainted"));  // of the one that is gone
  CHECK_FALSE(note_of(drawn(kHalf + inside), "clipped"));
  CHECK(drawn(R"svg(<clipPath id="none"/><rect width="9" height="9" clip-path="url(#none)"/>)svg").lines.empty());
}

TEST_CASE("clip paths are found however they are given, and lie where their space says") {
  const auto half_of = [](const std::string& more, const std::string& clip = kHalf) {
    return area(clip + "<rect width=\"100\" height=\"10\" " + more + "/>");
  };
  CHECK(half_of("clip-path=\"url(#half)\"") == Approx(500));
  CHECK(half_of("style=\"clip-path: url('#half')\"") == Approx(500));
  CHECK(half_of("class=\"c\"", "<style>.c{clip-path:url(#half)}</style>" + kHalf) == Approx(500));
  CHECK(half_of("clip-path=\"none\"") == Approx(1000));
  // In the space of what it clips, with a transform of its own.
  CHECK(half_of("transform=\"scale(0.5 1)\" clip-path=\"url(#half)\"") == Approx(250));
  CHECK(half_of("clip-path=\"url(#t)\"",
                "<clipPath id=\"t\" transform=\"translate(90)\"><rect width=\"50\" height=\"99\"/></clipPath>") ==
        Approx(100));
  // Fractions of the box around what is clipped.
  CHECK(half_of("x=\"40\" clip-path=\"url(#u)\"",
                "<clipPath id=\"u\" clipPathUnits=\"objectBoundingBox\">"
                "<rect x=\"0.25\" width=\"0.5\" height=\"0.5\"/></clipPath>") == Approx(250));
  // One within another, and one that is clipped itself.
  const std::string band =
      R"svg(<clipPath id="band" clip-path="url(#half)"><rect y="2" width="80" height="4"/></clipPath>)svg";
  CHECK(half_of("clip-path=\"url(#band)\"", kHalf + band) == Approx(200));
  CHECK(area(kHalf + R"svg(<clipPath id="low"><rect y="4" width="100" height="96"/></clipPath>
    <g clip-path="url(#half)"><g clip-path="url(#low)"><rect width="100" height="10"/></g></g>)svg") == Approx(300));
}

TEST_CASE("shapes of a clip path are joined, each by its rule") {
  const auto through = [](const std::string& shapes) {
    return area("<clipPath id=\"c\">" + shapes +
                "</clipPath><rect width=\"100\" height=\"100\" clip-path=\"url(#c)\"/>");
  };
  const std::string frame = "d=\"M10 10H50V50H10zM20 20H40V40H20z\"";
  CHECK(through("<path " + frame + "/>") == Approx(1600));
  CHECK(through("<path clip-rule=\"evenodd\" " + frame + "/>") == Approx(1200));
  CHECK(through("<path fill-rule=\"evenodd\" " + frame + "/>") == Approx(1600));
  CHECK(through("<rect width=\"10\" height=\"10\"/><rect x=\"5\" width=\"10\" height=\"10\" fill=\"none\"/>") ==
        Approx(150));
  CHECK(through("<path d=\"M0 0H10V10\"/>") == Approx(50));  // open: filled as if it were closed
  CHECK(through("<rect width=\"9\" height=\"9\" display=\"none\"/><rect width=\"3\" height=\"3\"/>") == Approx(9));
  CHECK(through("<g><rect width=\"9\" height=\"9\"/></g><rect width=\"3\" height=\"3\"/>") == Approx(9));  // no group
  CHECK(area(R"svg(<rect id="r" width="7" height="7"/><clipPath id="c"><use href="#r" x="1"/></clipPath>
    <rect width="100" height="100" clip-path="url(#c)"/>)svg") == Approx(98));
  // A copy's clip path moves with it (SVG 2, 5.5: x and y are one more transform).
  CHECK(
      area(
          R"svg(<defs><rect id="r" width="8" height="8"/></defs><clipPath id="c"><rect width="4" height="8"/></clipPath>
    <use href="#r" x="50" clip-path="url(#c)"/>)svg") == Approx(32));
}

TEST_CASE("clip paths that are not there, go round, or are of another kind hide nothing and are told") {
  const Artwork lost = drawn(R"svg(<rect width="9" height="9" clip-path="url(#nowhere)"/>)svg");
  CHECK(lost.lines.size() == 1);
  CHECK(note_of(lost, "attribute-ignored"));
  const Artwork round = drawn(R"svg(<clipPath id="c"><rect width="4" height="4" clip-path="url(#c)"/></clipPath>
    <rect width="9" height="9" clip-path="url(#c)"/>)svg");
  CHECK(round.lines.size() == 1);
  CHECK(note_of(round, "use-endless"));
  const Artwork other = drawn(R"svg(<mask id="m"><rect width="4" height="4"/></mask><rect width="9" height="9"
    mask="url(#m)"/><rect width="9" height="9" style="clip-path: circle(4px)"/>)svg");
  CHECK(other.lines.size() == 2);
  REQUIRE(note_of(other, "clip-ignored"));
  CHECK(std::get<double>(note_of(other, "clip-ignored")->figures.at("clips")) == 2);
}

TEST_CASE("clip paths that lead on and on, or multiply, are refused") {
  ReadOptions options;
  options.max_instances = 5'000;
  const auto code_of = [&](const std::string& inside) {
    const auto art =
        read_svg("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9mm\" height=\"9mm\">" + inside + "</svg>",
                 "clip.svg", options);
    return art ? std::string() : art.error().said.code;
  };
  std::string chain = "<rect width=\"9\" height=\"9\" clip-path=\"url(#c0)\"/>";
  for (int i = 0; i < 50'000; ++i) {
    const std::string id = std::to_string(i), next = std::to_string(i + 1);
    chain +=
        "<clipPath id=\"c" + id + "\" clip-path=\"url(#c" + next + ")\"><rect width=\"8\" height=\"8\"/></clipPath>";
  }
  CHECK(code_of(chain) == "svg-reused-deep");
  // Each shape of each is clipped by the one before: the same in the same place, or two to the power of sixty.
  const auto twice = [](const std::string& first, const std::string& second) {
    std::string out = "<clipPath id=\"c0\"><rect width=\"8\" height=\"8\"/></clipPath>";
    for (int i = 1; i < 60; ++i) {
      const std::string clip = "width=\"8\" height=\"8\" clip-path=\"url(#c" + std::to_string(i - 1) + ")\"/>";
      out += "<clipPath id=\"c" + std::to_string(i) + "\"><rect " + first + clip + "<rect " + second + clip +
             "</clipPath>";
    }
    return out + "<rect width=\"9\" height=\"9\" clip-path=\"url(#c59)\"/>";
  };
  CHECK(code_of(twice("", "")).empty());
  CHECK(code_of(twice("transform=\"rotate(1)\" ", "transform=\"scale(0.99 1)\" ")) == "svg-many-copies");
}
