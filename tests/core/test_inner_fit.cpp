// How large a shape may be within another one: against closed forms, against trying places, and by GEOS that it lies
// there.
#include "core/geometry/inner_fit.hpp"

#include "chance.hpp"
#include "core/geometry/clearance.hpp"
#include "core/geometry/measure.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Region star(Chance& chance, double radius) {
  Ring ring;
  const int n = chance.whole(3, 9);
  for (int i = 0; i < n; ++i) {
    const double a = 2 * std::numbers::pi * (i + chance.between(0, 0.5)) / n, r = radius * chance.between(0.35, 1);
    ring.push_back(Vec{std::cos(a), std::sin(a)} * r);
  }
  return region_of({ring}, FillRule::nonzero);
}

Region as_said(const Region& shape, const InnerFit& fit) {
  return transformed(
      shape, Affine::move(fit.at.x, fit.at.y) * Affine::rotate(-fit.turn) * Affine::scale(fit.scale, fit.scale));
}

}  // namespace

TEST_CASE("squares, discs and triangles fit each other as geometry says") {
  const Region square = region_of(Box::of(0, 0, 10, 10)), room = region_of(Box::of(5, 5, 80, 80));
  // A square in a square: as it stands; in a right-angled corner of legs 100, half of them.
  CHECK(largest_within(square, room, {}).scale == Approx(8).epsilon(0.005));
  const Region corner = region_of({{{0, 0}, {100, 0}, {0, 100}}}, FillRule::nonzero);
  CHECK(largest_within(square, corner, {0}).scale == Approx(5).epsilon(0.005));
  // Turned by 45 degrees along the long side: a third of that, less than half of a leg.
  CHECK(largest_within(square, corner, {45}).scale == Approx(100 * std::sqrt(2.0) / 3 / 10).epsilon(0.005));
  CHECK(largest_within(square, corner, {}).scale == Approx(5).epsilon(0.005));
  // A disc in the triangle: its incircle, r = (a + b - c) / 2.
  const Region disc = region_of({wavy({0, 0}, 10, 0, 1, 360)}, FillRule::nonzero);
  CHECK(largest_within(disc, corner, {0}).scale == Approx((200 - 100 * std::sqrt(2.0)) / 2 / 10).epsilon(0.005));
  // An L in an L of three times its size, which none of its boxes tells.
  const auto ell = [](double s) {
    return region_of({{{0, 0}, {30 * s, 0}, {30 * s, 10 * s}, {10 * s, 10 * s}, {10 * s, 30 * s}, {0, 30 * s}}},
                     FillRule::nonzero);
  };
  const InnerFit fit = largest_within(ell(1), ell(3), {});
  CHECK(fit.scale == Approx(3).epsilon(0.005));
  // What the notch leaves: a bar of 30 x 10 as long as one arm.
  CHECK(largest_within(region_of(Box::of(0, 0, 30, 10)), ell(3), {0}).scale == Approx(3).epsilon(0.005));
  CHECK_FALSE(place_within(region_of(Box::of(0, 0, 50, 50)), ell(3)));
  // A hole in the room: the bar goes beside it.
  const Region holed = subtract(room, region_of(Box::of(35, 35, 20, 20)));
  CHECK(largest_within(square, holed, {0}).scale == Approx(3).epsilon(0.01));
  CHECK_FALSE(place_within(region_of(Box::of(0, 0, 60, 60)), holed));
  CHECK(largest_within(square, {}, {}).scale == 0);
  CHECK(largest_within({}, room, {}).scale == 0);
  CHECK(largest_within(square, room, {0}, 9).scale == 0);
}

TEST_CASE("by chance: where it is said to lie it does lie, and nothing larger is found by trying") {
  Chance chance(77);
  for (int round = 0; round < rounds(24); ++round) {
    CAPTURE(round);
    const Region shape = star(chance, 20), room = star(chance, chance.between(60, 150));
    if (shape.empty() || room.empty()) continue;
    std::vector<double> turns;
    for (int i = 0; i < 6; ++i) turns.push_back(60 * i + 7);
    const InnerFit fit = largest_within(shape, room, turns);
    REQUIRE(fit.scale > 0);
    const Region laid = as_said(shape, fit);
    CHECK(area_of(subtract(laid, room)) < 1e-6 * area_of(laid));
    CHECK(Clearance(offset(room, 0.001, {Corners::mitre})).holds(Clearance(laid), {0, 0}));
    // 2 % larger: on a raster of places, in the same turns, it lies nowhere.
    const Clearance whole(room);
    const Box box = bounds_of(room);
    bool found = false;
    for (const double turn : turns) {
      const Region larger = as_said(shape, {fit.scale * 1.02, turn, {}});
      const Box size = bounds_of(larger);
      const Clearance ready(larger);
      for (int i = 0; i < 40 && !found; ++i) {
        for (int k = 0; k < 40 && !found; ++k) {
          const Vec at{box.x0 - size.x0 + (box.width() - size.width()) * i / 39,
                       box.y0 - size.y0 + (box.height() - size.height()) * k / 39};
          found = size.width() <= box.width() && size.height() <= box.height() && whole.holds(ready, at);
        }
      }
    }
    CHECK_FALSE(found);
    // Free turns are never worse.
    CHECK(largest_within(shape, room, {}).scale >= fit.scale * 0.985);
  }
}
