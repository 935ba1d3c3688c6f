// Seams of all kinds: what the tiles add up to, where seams end, how tabs reach into each other.
#include "core/shape/seams.hpp"

#include "chance.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Region box(double x0, double y0, double x1, double y1) { return region_of(Box{x0, y0, x1, y1}); }

/// The tile that holds the place.
const Region& tile_with(const Divided& divided, Vec p) {
  for (const auto& tile : divided.tiles) {
    if (encloses(tile, p)) return tile;
  }
  FAIL("no tile at " << p.x << ", " << p.y);
  return divided.tiles.front();
}

}  // namespace

TEST_CASE("a seam runs from edge to edge through its middle, and a later one ends at it") {
  const Divided d = divide(box(0, 0, 100, 60), {{{40, 20}, {40, 40}}, {{60, 30}, {70, 30}}});
  REQUIRE(d.tiles.size() == 3);
  REQUIRE(d.seams[0]);
  CHECK(d.seams[0]->length() == Approx(60));
  REQUIRE(d.seams[1]);
  CHECK(d.seams[1]->length() == Approx(60).margin(1e-3));
  CHECK(area_of(tile_with(d, {10, 10})) == Approx(2400).epsilon(1e-6));
  CHECK(area_of(tile_with(d, {90, 10})) == Approx(1800).epsilon(1e-6));
}

TEST_CASE("a seam cuts only the stretch its middle is in: one leg of two") {
  const Region legs = unite({box(0, 0, 100, 20), box(0, 0, 20, 100), box(80, 0, 100, 100)});
  const Divided d = divide(legs, {{{0, 60}, {20, 60}}});
  REQUIRE(d.tiles.size() == 2);
  CHECK(area_of(tile_with(d, {10, 80})) == Approx(800).epsilon(1e-6));
  // Its middle in the air between them: the nearer leg, and none where that is farther than half of it.
  CHECK(divide(legs, {{{10, 60}, {40, 60}}}).tiles.size() == 2);
  const Divided none = divide(legs, {{{45, 60}, {55, 60}}});
  CHECK(none.tiles.size() == 1);
  CHECK_FALSE(none.seams[0]);
}

TEST_CASE("a ring comes apart where two seams cross it, not where one does") {
  const Region ring = subtract(box(0, 0, 100, 100), box(30, 30, 70, 70));
  CHECK(divide(ring, {{{0, 50}, {30, 50}}}).tiles.size() == 1);
  CHECK(divide(ring, {{{0, 50}, {30, 50}}, {{70, 50}, {100, 50}}}).tiles.size() == 2);
}

TEST_CASE("an overlap is the width of its strip under the other tile, and no more") {
  const Region part = box(0, 0, 100, 40);
  // From top to bottom: the right tile, as seen from a to b, is the one to the left on the page.
  const Divided d = divide(part, {{{50, 0}, {50, 40}}}, {SeamKind::overlap, 8});
  REQUIRE(d.tiles.size() == 2);
  const Region &left = tile_with(d, {10, 20}), &right = tile_with(d, {90, 20});
  CHECK(area_of(left) == Approx(58 * 40).epsilon(1e-5));
  CHECK(area_of(right) == Approx(50 * 40).epsilon(1e-5));
  CHECK(area_of(intersect(left, right)) == Approx(8 * 40).epsilon(1e-5));
  CHECK(area_of(subtract(unite(d.tiles), part)) < 1e-4);
}

TEST_CASE("tabs go into holes of their own shape, dovetails are wider at their ends") {
  const Region part = box(0, 0, 200, 120);
  for (const SeamKind kind : {SeamKind::tab, SeamKind::dovetail}) {
    CAPTURE(static_cast<int>(kind));
    const Divided d = divide(part, {{{100, 0}, {100, 120}}}, {kind, 10});
    REQUIRE(d.tiles.size() == 2);
    const Region &left = tile_with(d, {10, 60}), &right = tile_with(d, {190, 60});
    CHECK(area_of(intersect(left, right)) < 1e-6);
    CHECK(area_of(left) + area_of(right) == Approx(area_of(part)).epsilon(2e-6));
    CHECK(bounds_of(left).x1 == Approx(110).margin(1e-3));
    // Across the tabs, near their roots and near their ends.
    const auto reach = [&](double x) {
      double out = 0;
      for (const auto& stretch : clip({Polyline{{{x, -1}, {x, 121}}, false}}, left, true)) out += length_of(stretch);
      return out;
    };
    if (kind == SeamKind::tab) CHECK(reach(101) == Approx(reach(109)).epsilon(1e-4));
    if (kind == SeamKind::dovetail) CHECK(reach(109) > 1.3 * reach(101));
    CHECK(reach(101) > 20);
  }
}

TEST_CASE("where a tab has no room the seam stays straight there") {
  // A corner cut off: the tile beyond the seam is too shallow for tabs.
  const Region part = box(0, 0, 100, 60);
  const Divided d = divide(part, {{{94, 0}, {94, 60}}}, {SeamKind::dovetail, 10});
  REQUIRE(d.tiles.size() == 2);
  CHECK(area_of(tile_with(d, {97, 30})) == Approx(6 * 60).epsilon(1e-5));
}

TEST_CASE("whatever the seams, tiles of any kind never lie on each other but for overlaps, and lose nothing") {
  Chance chance(1530);
  for (int round = 0; round < rounds(60); ++round) {
    CAPTURE(round);
    const Region part = region_of({wavy({0, 0}, 120, 0.3, chance.whole(2, 6), 90)}, FillRule::nonzero);
    std::vector<Seam> seams;
    const int n = chance.whole(1, 4);
    for (int i = 0; i < n; ++i) {
      const Vec at{chance.between(-80, 80), chance.between(-80, 80)};
      seams.push_back({at, at + Affine::rotate(chance.between(0, 360))({chance.between(5, 200), 0})});
    }
    const SeamKind kind = round % 3 == 0 ? SeamKind::butt : round % 3 == 1 ? SeamKind::tab : SeamKind::dovetail;
    const Divided d = divide(part, seams, {kind, chance.between(3, 15)});
    CHECK(d.seams.size() == seams.size());
    double sum = 0;
    for (const auto& tile : d.tiles) sum += area_of(tile);
    CHECK(sum == Approx(area_of(part)).epsilon(1e-5));
    CHECK(area_of(unite(d.tiles)) == Approx(area_of(part)).epsilon(1e-5));
  }
}
