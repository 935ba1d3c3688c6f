// The parts that fills are made of, each by itself: scan lines, cells, insets, costs of running.
#include <catch2/catch.hpp>

#include "chance.hpp"
#include "core/plan/run_cost.hpp"
#include "core/project/presets.hpp"
#include "core/shape/fill/contours.hpp"
#include "core/shape/fill/coverage.hpp"
#include "core/shape/fill/fill.hpp"
#include "core/shape/fill/scan.hpp"

namespace dotlane::test {
namespace {

constexpr double kPi = 3.14159265358979323846;

Region box(double x, double y, double w, double h) {
  return region_of({{{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}}}, FillRule::nonzero);
}
Region disc(double radius, Vec at = {}) {
  Ring ring;
  for (int i = 0; i < 400; ++i)
    ring.push_back(at + Vec{std::cos(2 * kPi * i / 400), std::sin(2 * kPi * i / 400)} * radius);
  return region_of({ring}, FillRule::nonzero);
}

double cells_in(const BitGrid& grid) {
  double n = 0;
  for (std::size_t r = 0; r < grid.rows(); ++r) {
    for (std::size_t c = 0; c < grid.columns(); ++c) n += grid.at(c, r);
  }
  return n * grid.cell() * grid.cell();
}

}  // namespace

TEST_CASE("scan lines lie where they are asked for and know which edges end them") {
  const FillArea area = fill_area(box(2, 3, 10, 4), 0);
  REQUIRE(area.parts == 1);
  const Scan scan(area, 0, 1, 0.25);
  // Lines at 3.25, 4.25, 5.25 and 6.25.
  REQUIRE(scan.lines() == 4);
  REQUIRE(scan.size() == 4);
  for (std::size_t k = 0; k < 4; ++k) {
    const Vec from = scan.at(scan.span(k).from, static_cast<double>(k)),
              to = scan.at(scan.span(k).to, static_cast<double>(k));
    CHECK(from.x == Approx(2));
    CHECK(to.x == Approx(12));
    CHECK(from.y == Approx(3.25 + static_cast<double>(k)));
    CHECK(scan.line_of(from) == Approx(static_cast<double>(k)).margin(1e-9));
    // The edge that ends the span runs through its end.
    const auto& a = scan.corners()[scan.span(k).to_edge];
    const auto& b = scan.corners()[scan.next(scan.span(k).to_edge)];
    CHECK(a.along == Approx(12));
    CHECK(b.along == Approx(12));
    CHECK(scan.before(scan.next(scan.span(k).to_edge)) == scan.span(k).to_edge);
    CHECK(scan.odd(k) == (k % 2 == 0 ? scan.odd(0) : !scan.odd(0)));
  }
  CHECK(Scan(fill_area({}, 0), 30, 1, 0).lines() == 0);
  // Too small for any line.
  CHECK(Scan(fill_area(box(0, 0.1, 5, 0.2), 0), 0, 1, 0).size() == 0);
  // A whole spacing further is the same lines; half a one lies between.
  const Scan same(area, 0, 1, 1.25), between(area, 0, 1, 0.75);
  CHECK(same.at(0, 0).y == Approx(scan.at(0, 0).y));
  CHECK(between.lines() == 4);
  CHECK(between.at(0, 0).y == Approx(3.75));
}

TEST_CASE("insets keep each part's name, also of parts that vanish") {
  const FillArea area = fill_area(unite({box(0, 0, 1, 10), box(5, 0, 10, 10), box(20, 0, 1, 10)}), 0.8);
  CHECK(area.parts == 3);
  REQUIRE(area.rings.size() == 1);
  const auto parts = parts_of(unite({box(0, 0, 1, 10), box(5, 0, 10, 10), box(20, 0, 1, 10)}));
  CHECK(bounds_of(parts[area.part_of[0]]).width() == Approx(10));
  CHECK(bounds_of(area.region()).width() == Approx(8.4));
}

TEST_CASE("cells under a track are as many as its area takes") {
  for (const double cell : {0.1, 0.02}) {
    BitGrid grid({-5, -5, 30, 15}, cell);
    const std::vector<Vec> course{{0, 0}, {20, 7}};
    grid.add_track(course, 1.5);
    const double length = distance(course[0], course[1]);
    CHECK(cells_in(grid) == Approx(length * 3 + kPi * 2.25).epsilon(0.05 * cell + 0.001));
    BitGrid touch({-5, -5, 5, 5}, cell);
    touch.add_track(std::vector<Vec>{{0.3, 0.1}}, 2);
    CHECK(cells_in(touch) == Approx(kPi * 4).epsilon(0.2 * cell));
    BitGrid inside({-1, -1, 31, 31}, cell);
    inside.add_region(subtract(disc(12, {15, 15}), disc(5, {15, 15})));
    CHECK(cells_in(inside) == Approx(kPi * (144 - 25)).epsilon(0.1 * cell));
  }
  // What lies beside the grid is left out, and nothing is written there.
  BitGrid small({0, 0, 2, 2}, 0.1);
  small.add_track(std::vector<Vec>{{-40, 1}, {40, 1}}, 0.5);
  small.add_track(std::vector<Vec>{{-40, -40}, {-40, -30}}, 0.5);
  small.add_region(box(-10, 1.5, 100, 100));
  CHECK(cells_in(small) == Approx(2.0 * 2.1 * 0.75).epsilon(0.1));
  // Moved tracks are tracks moved.
  BitGrid here({0, 0, 10, 10}, 0.1), there({0, 0, 10, 10}, 0.1);
  here.add_track(std::vector<Vec>{{2, 3}, {6, 4}}, 0.7, {1, 2});
  there.add_track(std::vector<Vec>{{3, 5}, {7, 6}}, 0.7);
  for (std::size_t r = 0; r < here.rows(); ++r) {
    for (std::size_t w = 0; w < here.stride(); ++w) CHECK(here.row(r)[w] == there.row(r)[w]);
  }
}

TEST_CASE("coverage does not depend on where a shape stands, how it is turned, or in how many strokes it comes") {
  const Region shape = subtract(box(0, 0, 14, 9), disc(3, {6, 4}));
  FillOptions o;
  o.spacing = 0.9;
  const Strokes strokes = *fill(shape, o);
  const Coverage here = coverage_of(shape, strokes, {0.5});
  for (const Affine& map :
       {Affine::move(1000, -300), Affine::rotate(90), Affine::rotate(17) * Affine::move(3, 4), Affine::scale(-1, 1)}) {
    Strokes moved;
    for (std::size_t i = 0; i < strokes.size(); ++i) {
      for (const Vec p : strokes[i]) moved.add(map(p));
      moved.end(strokes.part(i));
    }
    const Region region = transformed(shape, map);
    const Coverage there = coverage_of(region, moved, {0.5});
    CHECK(there.share == Approx(here.share).margin(0.003));
    CHECK(there.largest_gap_mm == Approx(here.largest_gap_mm).margin(0.1));
  }
  Strokes twice = strokes;
  twice.append(strokes);
  CHECK(coverage_of(shape, twice, {0.5}).share == here.share);
  CHECK(coverage_of(shape, twice, {0.5}).outside_mm2 == here.outside_mm2);
  // A broader tip never covers less.
  double last = 0;
  for (const double tip : {0.2, 0.4, 0.6, 0.8, 1.0, 1.2}) {
    const double share = coverage_of(shape, strokes, {tip, 0.02}).share;
    CHECK(share > last);
    last = share;
  }
}

TEST_CASE("a place well inside a shape lies inside it, whatever the shape") {
  Chance chance(77);
  int tried = 0;
  for (int round = 0; round < rounds(120); ++round) {
    for (const auto& part : parts_of(region_of(chance.rings(), FillRule::nonzero))) {
      if (bounds_of(part).height() < 0.01 || area_of(part) < 0.01) continue;
      INFO("round " << round);
      CHECK(encloses(part, inner_point(part)));
      ++tried;
    }
  }
  CHECK(tried > rounds(100));
  CHECK(encloses(subtract(disc(10), disc(8)), inner_point(subtract(disc(10), disc(8)))));
}

TEST_CASE("expected strokes are near enough to plan by") {
  Chance chance(5);
  for (int round = 0; round < rounds(40); ++round) {
    const Region region = region_of(chance.rings(), FillRule::nonzero);
    if (area_of(region) < 50) continue;
    for (const FillPattern pattern : {FillPattern::hatch, FillPattern::cross, FillPattern::dots}) {
      FillOptions o;
      o.pattern = pattern;
      o.spacing = 0.4;
      o.inset = 0;
      o.join = 0;
      o.shortest = 0;
      const double expected = expected_strokes(region, o), made = static_cast<double>(fill(region, o)->size());
      INFO("round " << round << ": " << expected << " expected, " << made << " made");
      CHECK(made < 3 * expected + 20);
      CHECK(made > expected / 4 - 20);
    }
  }
}

TEST_CASE("retraced courses go to and fro, closed ones round and round") {
  const std::vector<Vec> open{{0, 0}, {1, 0}, {1, 2}}, ring{{0, 0}, {1, 0}, {1, 2}, {0, 0}};
  CHECK(retraced(open, false, 1) == open);
  CHECK(retraced(open, false, 2) == std::vector<Vec>{{0, 0}, {1, 0}, {1, 2}, {1, 0}, {0, 0}});
  CHECK(retraced(open, false, 3) == std::vector<Vec>{{0, 0}, {1, 0}, {1, 2}, {1, 0}, {0, 0}, {1, 0}, {1, 2}});
  CHECK(retraced(ring, true, 2) == std::vector<Vec>{{0, 0}, {1, 0}, {1, 2}, {0, 0}, {1, 0}, {1, 2}, {0, 0}});
  CHECK(retraced({{4, 4}}, false, 5) == std::vector<Vec>{{4, 4}});
}

TEST_CASE("costs grow as they must: with length, lifts, repeats, and not with the order of the strokes") {
  const Machine machine = new_project("x").machine;
  std::vector<Polyline> rows;
  for (int i = 0; i < 12; ++i) rows.push_back({{{10, 10.0 + i}, {60, 10.0 + i}}, false});
  const RunCost once = run_cost({rows}, machine, {50, 1, false});
  CHECK(once.length_mm == Approx(600));
  CHECK(once.lifts == 12);
  CHECK(once.seconds > 600 / 50.0 + 12 * (machine.lower_s + machine.lift_s));
  std::vector<Polyline> shuffled = rows;
  std::mt19937 random(3);
  std::shuffle(shuffled.begin(), shuffled.end(), random);
  CHECK(run_cost({shuffled}, machine, {50, 1, false}).travel_mm == Approx(once.travel_mm));
  const RunCost again = run_cost({rows}, machine, {50, 3, false}), in_place = run_cost({rows}, machine, {50, 3, true});
  CHECK(again.length_mm == Approx(1800));
  CHECK(again.lifts == 36);
  CHECK(in_place.length_mm == Approx(1800));
  CHECK(in_place.lifts == 12);
  CHECK(in_place.seconds < again.seconds);
  // A second coat waits for the first, wherever it is nearer.
  const RunCost coats = run_cost({rows, rows}, machine, {50, 1, false});
  CHECK(coats.length_mm == Approx(1200));
  CHECK(coats.lifts == 24);
  CHECK(run_cost({}, machine, {50, 4, false}).seconds == 0);
  CHECK(run_cost({{}}, machine, {50, 4, true}).lifts == 0);
  // Faster, but not beyond what the machine travels at.
  CHECK(run_cost({rows}, machine, {100, 1, false}).seconds < once.seconds);
  CHECK(run_cost({rows}, machine, {1e6, 1, false}).seconds ==
        run_cost({rows}, machine, {machine.travel_mm_s, 1, false}).seconds);
}

TEST_CASE("spirals keep to the rings and to the region on shapes with holes, necks and points") {
  Chance chance(31);
  for (int round = 0; round < rounds(40); ++round) {
    const Region region = region_of(chance.rings(), FillRule::evenodd);
    if (region.empty()) continue;
    INFO("round " << round);
    const Strokes rings = nested_insets(region, 0.2, 0.7, 0), joined = spirals(region, 0.2, 0.7, 0);
    CHECK(joined.size() <= rings.size());
    // The way between rings is all that is added, less than eight spacings each and the step itself.
    const double added = joined.length_mm() - rings.length_mm();
    CHECK(added >= -1e-6);
    CHECK(added <= static_cast<double>(rings.size() - joined.size()) * (9 * 0.7 + 0.01) + 1e-6);
  }
}

}  // namespace dotlane::test
