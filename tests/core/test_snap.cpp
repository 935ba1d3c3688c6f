// Snapping: what is met, exactly, and what is not.
#include "core/place/snap.hpp"

#include "chance.hpp"
#include "core/geometry/nearest.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

SnapScene scene_of(const Project& project, const Ground& ground = {}) {
  std::vector<SnapPiece> pieces;
  for (const auto& drawn : test::drawn(project).pieces) pieces.push_back(snap_piece(drawn));
  return {std::move(pieces), ground};
}

Box moved(const Box& b, Vec by) { return {b.x0 + by.x, b.y0 + by.y, b.x1 + by.x, b.y1 + by.y}; }

}  // namespace

TEST_CASE("the nearest place of a curve is where dense samples say, and no nearer one is missed") {
  Chance chance(4711);
  for (int i = 0; i < rounds(3000); ++i) {
    const auto at = [&] { return Vec{chance.between(0, 100), chance.between(0, 100)}; };
    Path path;
    path.contours.push_back(
        {at(), {Segment::cubic(at(), at(), at()), Segment::line(at()), Segment::cubic(at(), at(), at())}, false});
    const Vec p = at();
    double least = 1e9;
    Vec from = path.contours[0].start;
    for (const auto& s : path.contours[0].segments) {
      for (int k = 0; k <= 1000; ++k) least = std::min(least, distance(point_at(from, s, k / 1000.0), p));
      from = s.end;
    }
    const auto found = nearest_place(path, p, 1000);
    REQUIRE(found);
    CHECK(found->distance <= least + 1e-9);
    CHECK(found->distance >= least - 0.25);
    CHECK(distance(found->at, p) == Approx(found->distance));
    CHECK_FALSE(nearest_place(path, p, found->distance - 1e-6));
  }
}

TEST_CASE("a frame meets edges, middles, middles of halves and folds of others, each way by itself") {
  Project p = project_of(R"(<g><rect id="card" x="50" y="40" width="120" height="80" stroke="#444"/>
    <path id="fold" d="M110 40 V120" stroke="#444" stroke-dasharray="3 2"/></g>)");
  p = assign_role(std::move(p), {{1, "fold"}}, Role::score);
  const SnapScene scene = scene_of(p);
  SECTION("left edge to left edge") {
    const auto met = scene.frame(Box::of(51.3, 300, 10, 10), {}, 2);
    CHECK(met.by.x == Approx(-1.3).margin(1e-9));
    CHECK(met.by.y == 0);
    REQUIRE(met.meetings.size() == 1);
    CHECK(met.meetings[0].met == Met::edge);
    CHECK(met.meetings[0].own_share == 0);
  }
  SECTION("its middle to the middle of the right half") {
    const auto met = scene.frame(Box::of(120.6, 95.2, 39, 31), {}, 1);
    CHECK(met.by.x == Approx(140 - 140.1).margin(1e-9));
    REQUIRE_FALSE(met.meetings.empty());
    CHECK(met.meetings[0].met == Met::half);
    CHECK(met.meetings[0].own_share == 0.5);
    CHECK(met.meetings[0].to.front().share == 0.75);
  }
  SECTION("an edge does not meet the middle of a half, but the fold") {
    CHECK(scene.frame(Box::of(140.4, 300, 300, 10), {}, 1).by.x == 0);
    const auto met = scene.frame(Box::of(110.4, 300, 33, 10), {}, 1);
    CHECK(met.by.x == Approx(-0.4).margin(1e-9));
    REQUIRE_FALSE(met.meetings.empty());
    CHECK(met.meetings[0].to.front().piece == 1);
  }
  SECTION("out of reach nothing happens") {
    const auto met = scene.frame(Box::of(61, 300, 10, 10), {}, 0.5);
    CHECK(met.by == Vec{0, 0});
    CHECK(met.meetings.empty());
  }
}

TEST_CASE("a node in the hand meets nodes and curves, a middle meets corners") {
  Project p = project_of(R"(<path id="tag" d="M50 50 L90 70 L60 110 Z" stroke="#444"/>)");
  add_drawing(p, R"(<circle id="c" cx="200" cy="200" r="40" stroke="#444"/>)");
  const SnapScene scene = scene_of(p);
  const auto corner = scene.frame(Box::of(84, 64.5, 10, 10), {}, 2);
  CHECK(89 + corner.by.x == Approx(90).margin(1e-9));
  CHECK(69.5 + corner.by.y == Approx(70).margin(1e-9));
  REQUIRE(corner.point);
  const double way = 31.0 * std::numbers::pi / 180;  // between its nodes
  const auto curve =
      scene.frame(Box::of(300, 20, 7, 7), Vec{200 + 40.7 * std::cos(way), 200 + 40.7 * std::sin(way)}, 1);
  REQUIRE(curve.point);
  CHECK(curve.met == Met::curve);
  CHECK(distance(*curve.point, {200, 200}) == Approx(40).margin(0.001));
  const auto node = scene.frame(Box::of(300, 20, 7, 7), Vec{200.3, 159.8}, 1);
  REQUIRE(node.point);
  CHECK(node.met == Met::node);
  CHECK(node.by.x == Approx(-0.3).margin(1e-9));
}

TEST_CASE("between two and beside two of a row gaps become equal") {
  Project p = new_project("row");
  for (const double x : {20.0, 60.0, 150.0})
    add_drawing(p, "<rect id='r' x='" + std::to_string(x) + "' y='50' width='20' height='20' stroke='#444'/>");
  const SnapScene scene = scene_of(p);
  const auto between = scene.frame(Box::of(105.2, 53, 21, 11), {}, 1);  // room from 80 to 150: gaps of 24.5
  CHECK(105.2 + between.by.x == Approx(104.5).margin(1e-9));
  REQUIRE_FALSE(between.meetings.empty());
  REQUIRE(between.meetings[0].met == Met::gap);
  CHECK(between.meetings[0].gaps[0].width() == Approx(24.5));
  CHECK(between.meetings[0].gaps[1].width() == Approx(24.5));
  const auto beside = scene.frame(Box::of(101, 53, 8, 11), {}, 1.5);  // 40 to 60 is 20 apart: so is 80 to 100
  CHECK(101 + beside.by.x == Approx(100).margin(1e-9));
  const auto below = scene.frame(Box::of(104.9, 153, 21, 11), {}, 0.2);  // no row
  CHECK(below.by.x == 0);
}

TEST_CASE("sheets, what tools reach on them, guides and dots are met") {
  Project p = new_project("ground");
  p.sheets.push_back({1, p.stocks.front().id, 1, Box::of(0, 0, 280, 200), {10, 20}, {}, 0, false, {}});
  p.guides = {{Axis::x, 77.25, {}}};
  Ground ground = ground_of(p, 1);
  REQUIRE(ground.sheets.size() == 1);
  CHECK(ground.sheets[0] == Box::of(10, 20, 280, 200));
  CHECK(ground.borders[0].x0 == Approx(10 + p.machine.border_mm));
  const SnapScene scene = scene_of(p, ground);
  CHECK(scene.frame(Box::of(10.4, 60, 5, 5), {}, 1).by.x == Approx(-0.4).margin(1e-9));
  CHECK(scene.frame(Box::of(76.9, 60, 5, 5), {}, 1).by.x == Approx(0.35).margin(1e-9));
  CHECK(scene.edge(Axis::x, 77, {}, 1)->met == Met::guide);
  ground.grid_mm = 20;
  const SnapScene dotted = scene_of(p, ground);
  CHECK(dotted.frame(Box::of(119.8, 60, 5.3, 5), {}, 1).by.x == Approx(0.2).margin(1e-9));
  CHECK(scene.frame(Box::of(119.8, 60, 5.3, 5), {}, 1).by.x == 0);
}

TEST_CASE("of 2,000 pieces the frame meets what a look at each of them finds") {
  Chance chance(99);
  Project p = new_project("many");
  for (int i = 0; i < 2000; ++i)
    p = *add_shape(std::move(p), "rectangle", {{"width", chance.between(2, 20)}, {"height", chance.between(2, 20)}},
                   nullptr);
  for (int i = 0; i < 2000; ++i)
    p = move_pieces(p, {p.pieces[static_cast<std::size_t>(i)]->id}, {chance.between(0, 2000), chance.between(0, 2000)});
  const Drawing drawing = drawn(p);
  std::vector<Box> boxes;
  for (const auto& piece : drawing.pieces) boxes.push_back(tight_bounds(*piece));
  const SnapScene scene = scene_of(p);
  for (int i = 0; i < 100; ++i) {
    const Box at =
        Box::of(chance.between(300, 1900), chance.between(300, 1900), chance.between(3, 50), chance.between(3, 50));
    const auto met = scene.frame(at, {}, 0.5);
    if (met.point) continue;
    const Box there = moved(at, met.by);
    for (const auto& meeting : met.meetings) {
      if (meeting.met == Met::gap) continue;
      const bool x = meeting.axis == Axis::x;
      const double own =
          x ? there.x0 + there.width() * meeting.own_share : there.y0 + there.height() * meeting.own_share;
      const bool known = std::any_of(boxes.begin(), boxes.end(), [&](const Box& b) {
        for (const double share : {0.0, 0.25, 0.5, 0.75, 1.0})
          if (std::abs((x ? b.x0 + b.width() * share : b.y0 + b.height() * share) - own) < 1e-6) return true;
        return false;
      });
      CHECK(known);
    }
    // With so many of them both ways meet something.
    CHECK(met.meetings.size() >= 2);
    CHECK(std::abs(met.by.x) <= 0.5);
    CHECK(std::abs(met.by.y) <= 0.5);
  }
}

TEST_CASE("angles meet every 15 degrees and the neighbours', by quarter turns") {
  CHECK(snapped_turn(43.2, 0, {}, 3) == Approx(45));
  CHECK(snapped_turn(40, 0, {}, 3) == 40);
  CHECK(snapped_turn(10.5, 22, {}, 3) == Approx(8));  // 22 + 8 = 30
  CHECK(snapped_turn(36.2, 0, {37}, 3) == Approx(37));
  CHECK(snapped_turn(-54.1, 0, {37}, 3) == Approx(-53));  // a quarter turn back
  CHECK(snapped_turn(179.4, 0, {}, 3) == Approx(180));
  CHECK(snapped_turn(-179, 0, {}, 3) == Approx(-180));
}
