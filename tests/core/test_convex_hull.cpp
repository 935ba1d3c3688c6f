// How large a shape may be in a box, beside a search by small steps and beside what geometry says.
#include "core/geometry/convex_hull.hpp"

#include "chance.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Ring box_ring(double w, double h, double degrees) {
  const double a = degrees * 3.14159265358979 / 180, c = std::cos(a), s = std::sin(a);
  Ring out;
  for (const Vec p : {Vec{0, 0}, Vec{w, 0}, Vec{w, h}, Vec{0, h}})
    out.push_back({c * p.x - s * p.y, s * p.x + c * p.y});
  return out;
}

}  // namespace

TEST_CASE("the convex hull holds all points, turns one way, and has no point too many") {
  Chance chance(77);
  for (int round = 0; round < rounds(200); ++round) {
    std::vector<Vec> points;
    const int n = chance.whole(3, 60);
    for (int i = 0; i < n; ++i) points.push_back({chance.between(-50, 50), chance.between(-50, 50)});
    const Ring hull = convex_hull(points);
    REQUIRE(hull.size() >= 3);
    for (std::size_t i = 0; i < hull.size(); ++i) {
      const Vec a = hull[i], b = hull[(i + 1) % hull.size()], c = hull[(i + 2) % hull.size()];
      CHECK(cross(b - a, c - b) > 0);
      for (const Vec p : points) CHECK(cross(b - a, p - a) > -1e-9);
    }
  }
  CHECK(convex_hull({}).empty());
  CHECK(convex_hull({{1, 2}, {1, 2}}).size() == 1);
  CHECK(convex_hull({{0, 0}, {5, 0}, {10, 0}}).size() == 2);
}

TEST_CASE("a turned rectangle fits its own box at its own size, whichever way it was turned") {
  for (double turned = 0; turned < 180; turned += 7.3) {
    CAPTURE(turned);
    const Ring hull = convex_hull(box_ring(80, 30, turned));
    const BoxFit fit = largest_in_box(hull, 80, 30);
    CHECK(fit.scale == Approx(1));
    CHECK(scale_in_box(hull, 80, 30, fit.turn) == Approx(1));
    CHECK(std::remainder(fit.turn - turned, 180) == Approx(0).margin(1e-6));
  }
}

TEST_CASE("a needle lies along the diagonal, a disc does not care") {
  const BoxFit needle = largest_in_box(convex_hull({{0, 0}, {100, 0}}), 30, 40);
  CHECK(needle.scale == Approx(0.5));  // a diagonal of 50
  Ring disc;
  for (int k = 0; k < 720; ++k) disc.push_back({10 * std::cos(k * 0.0087266462), 10 * std::sin(k * 0.0087266462)});
  CHECK(largest_in_box(convex_hull(disc), 60, 35).scale == Approx(1.75).epsilon(1e-4));
}

TEST_CASE("no turn lets a shape be larger than is said, and the one that is said lets it be so large") {
  Chance chance(78);
  for (int round = 0; round < rounds(300); ++round) {
    CAPTURE(round);
    std::vector<Vec> points;
    const int n = chance.whole(2, 25);
    const double flat = chance.between(0.05, 1);
    for (int i = 0; i < n; ++i) points.push_back({chance.between(-50, 50), flat * chance.between(-50, 50)});
    const Ring hull = convex_hull(points);
    const double w = chance.between(10, 300), h = chance.between(10, 300);
    const BoxFit fit = largest_in_box(hull, w, h);
    double best = 0;
    for (double turn = 0; turn < 180; turn += 0.25) best = std::max(best, scale_in_box(hull, w, h, turn));
    CHECK(fit.scale >= best * (1 - 1e-12));
    CHECK(fit.scale <= best * 1.02);  // between two steps there is not much more
    CHECK(scale_in_box(hull, w, h, fit.turn) == Approx(fit.scale));
    CHECK(fit.turn >= 0);
    CHECK(fit.turn < 180);
  }
}
