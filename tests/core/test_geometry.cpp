#include <catch2/catch.hpp>
#include <numbers>
#include <random>

#include "core/geometry/flatten.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/path_data.hpp"
#include "core/text_scan.hpp"
#include "words/sentences.hpp"

using namespace dotlane;

namespace {

Path path_of(const std::string& d) {
  auto path = parse_path_data(d);
  REQUIRE(path);
  return with_meeting_ends_closed(*path);
}

}  // namespace

TEST_CASE("arcs stay within 1 µm of the circle at every size") {
  for (const double r : {0.5, 5.0, 60.0, 500.0, 3000.0}) {
    std::vector<Segment> segments;
    append_arc(segments, {r, 0}, r, r, 0, false, true, {-r, 0}, 1);
    Vec from{r, 0};
    double worst = 0;
    for (const auto& s : segments) {
      for (int i = 0; i <= 50; ++i) {
        const double t = i / 50.0, u = 1 - t;
        const Vec p = from * (u * u * u) + s.c1 * (3 * u * u * t) + s.c2 * (3 * u * t * t) + s.end * (t * t * t);
        worst = std::max(worst, std::abs(norm(p) - r));
      }
      from = s.end;
    }
    INFO("radius " << r);
    CHECK(worst < 0.001);
  }
}

TEST_CASE("lengths and areas of shapes with closed forms") {
  using std::numbers::pi;
  const Path disc = path_of("M10 0 A10 10 0 0 1 -10 0 A10 10 0 0 1 10 0 Z");
  // The disc's outline is cubics within 1 µm of the circle: one part in 10,000 of its radius.
  CHECK(length_of(disc) == Approx(20 * pi).epsilon(1e-4));
  CHECK(enclosed_area_of(disc) == Approx(100 * pi).epsilon(1e-4));
  const Path square = path_of("M0 0 H10 V10 H0 Z");
  CHECK(length_of(square) == Approx(40));
  CHECK(enclosed_area_of(square) == Approx(100));
  // A parabola arc y = x² from (0,0) to (1,1): length sqrt(5)/2 + asinh(2)/4.
  const Path parabola = path_of("M0 0 Q0.5 0 1 1");
  CHECK(length_of(parabola) == Approx(std::sqrt(5.0) / 2 + std::asinh(2.0) / 4).epsilon(1e-8));
  CHECK(enclosed_area_of(parabola) == 0);
}

TEST_CASE("the fill rule decides what a ring in a ring encloses") {
  Path rings = path_of("M0 0H40V40H0Z M10 10H30V30H10Z");
  CHECK(enclosed_area_of(rings) == Approx(1600));
  rings.fill_rule = FillRule::evenodd;
  CHECK(enclosed_area_of(rings) == Approx(1200));
}

TEST_CASE("bounds are those of the curve, not of its control points") {
  const Box box = bounds_of(path_of("M0 0 C0 10 10 10 10 0"));
  CHECK(box.y1 == Approx(7.5));
  CHECK(box.x1 == Approx(10));
}

TEST_CASE("measures do not change when a path is turned and moved") {
  const Path path = path_of("M0 0 C10 20 30 -5 40 10 S60 30 40 40 L10 35 Z");
  std::mt19937 random(3);
  std::uniform_real_distribution<double> any(-200, 200);
  for (int i = 0; i < 25; ++i) {
    const Path moved = transformed(path, Affine::move(any(random), any(random)) * Affine::rotate(any(random)));
    CHECK(length_of(moved) == Approx(length_of(path)).epsilon(1e-9));
    CHECK(enclosed_area_of(moved) == Approx(enclosed_area_of(path)).epsilon(1e-5));
  }
}

TEST_CASE("flattening stays within its tolerance and keeps nodes and ends") {
  const Path path = path_of("M0 0 C0 30 50 30 50 0 L60 -10");
  for (const double tolerance : {0.5, 0.05, 0.005}) {
    const Polyline fine = flatten(path.contours[0], tolerance / 50), rough = flatten(path.contours[0], tolerance);
    double worst = 0;
    for (const Vec p : fine.points) worst = std::max(worst, distance_to(rough, p));
    CHECK(worst <= tolerance);
    CHECK(rough.points.back() == Vec{60, -10});
  }
}

TEST_CASE("path data reads back to the very same path") {
  const Path path = path_of("M0.1 0.2 L3e-3 4 C1 2 3 4 5.55555555 6 Z M7 7 L8 8");
  const auto again = parse_path_data(path_data(path));
  REQUIRE(again);
  CHECK(*again == path);
}

TEST_CASE("meeting ends close a contour, dots vanish") {
  CHECK(path_of("M0 0 L10 0 L10 10 L0 0.0005").contours[0].closed);
  CHECK_FALSE(path_of("M0 0 L10 0 L10 10 L0 0.01").contours[0].closed);
  CHECK(path_of("M5 5 L5 5").contours.empty());
}

TEST_CASE("path data errors name the place") {
  for (const char* bad :
       {"10 10", "M1", "M1 2 L3", "M1 2 L3 x", "M1 2 A5 5 0 2 0 3 3", "M1 2 L1e999 0", "M0 0 R 5 5", "M0 0 L nan 0"}) {
    const auto path = parse_path_data(bad);
    INFO(bad);
    REQUIRE_FALSE(path);
    CHECK(sentence(path.error().said).find("at character") != std::string::npos);
  }
}

TEST_CASE("numbers are written without trailing zeros") {
  CHECK(rounded_text(-0.0001, 2) == "0");
  CHECK(rounded_text(12.500, 3) == "12.5");
}
