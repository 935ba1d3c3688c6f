// Fills against GEOS (lengths, ink), closed forms, and laws that must hold on any shape.
#include <catch2/catch.hpp>

#include "chance.hpp"
#include "core/shape/fill/contours.hpp"
#include "core/shape/fill/coverage.hpp"
#include "core/shape/fill/fill.hpp"
#include "core/shape/fill/hatch.hpp"
#include "geos_oracle.hpp"
#include "shape_cases.hpp"

namespace dotlane::test {
namespace {

constexpr double kPi = 3.14159265358979323846;

std::vector<Polyline> polylines(const Strokes& strokes) {
  std::vector<Polyline> out;
  for (std::size_t i = 0; i < strokes.size(); ++i) out.push_back({{strokes[i].begin(), strokes[i].end()}, false});
  return out;
}

Region disc(double radius, Vec at = {}, int n = 2000) {
  Ring ring;
  for (int i = 0; i < n; ++i) ring.push_back(at + Vec{std::cos(2 * kPi * i / n), std::sin(2 * kPi * i / n)} * radius);
  return region_of({ring}, FillRule::nonzero);
}
Region square(double x, double y, double side) {
  return region_of({{{x, y}, {x + side, y}, {x + side, y + side}, {x, y + side}}}, FillRule::nonzero);
}
Region ring_shape() { return subtract(disc(20), disc(9)); }

FillOptions plain(FillPattern pattern, double spacing, double angle = 0, double inset = 0) {
  FillOptions o;
  o.pattern = pattern;
  o.spacing = spacing;
  o.angle = angle;
  o.inset = inset;
  o.shortest = 0;
  return o;
}

double hatch_length(const Region& region, double angle, double spacing, double phase) {
  FillOptions o = plain(FillPattern::hatch, spacing, angle);
  o.phase = phase;
  return fill(region, o)->length_mm();
}

/// Every shape of tests/data/shape that GEOS can hatch line by line in a moment.
std::vector<std::pair<std::string, Region>> cases() {
  std::vector<std::pair<std::string, Region>> out;
  for (const auto& c : shape_cases()) {
    Region region = region_of(c.subject, c.rule);
    if (!c.dense && !region.empty() && vertices_in(region) < 3'000) out.emplace_back(c.name, std::move(region));
  }
  return out;
}

double distance_to_edges(const Region& region, Vec p) {
  double best = 1e9;
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      const double l2 = dot(b - a, b - a), t = l2 > 0 ? std::clamp(dot(p - a, b - a) / l2, 0.0, 1.0) : 0;
      best = std::min(best, distance(p, lerp(a, b, t)));
    }
  }
  return best;
}

/// Whether all of every stroke keeps `clear` from the edge and stays inside; asked at many places along it.
bool keeps_clear(const Region& region, const Strokes& strokes, double clear) {
  for (std::size_t i = 0; i < strokes.size(); ++i) {
    const auto s = strokes[i];
    for (std::size_t k = 0; k < s.size(); ++k) {
      const Vec from = s[k > 0 ? k - 1 : 0];
      const int n = k > 0 ? std::clamp(static_cast<int>(distance(from, s[k]) / 0.2), 1, 12) : 1;
      for (int j = 1; j <= n; ++j) {
        const Vec p = lerp(from, s[k], static_cast<double>(j) / n);
        const double d = distance_to_edges(region, p);
        if (d < clear - 0.001 || (d > 2e-5 && !encloses(region, p))) {
          UNSCOPED_INFO("stroke " << i << " of " << strokes.size() << " at " << p.x << ", " << p.y << ": " << d);
          return false;
        }
      }
    }
  }
  return true;
}

const FillPattern kAll[] = {FillPattern::hatch,   FillPattern::cross,  FillPattern::zigzag,
                            FillPattern::contour, FillPattern::spiral, FillPattern::grid,
                            FillPattern::rules,   FillPattern::dots,   FillPattern::stipple};

}  // namespace

TEST_CASE("hatch lengths are what GEOS finds line by line, on edges and vertices too") {
  int tried = 0;
  for (const auto& [name, region] : cases()) {
    const Box box = bounds_of(region);
    const double size = std::max(box.width(), box.height());
    // 0 and 90 degrees with no phase run along edges and through vertices; 45 through corners of squares; 17.3 nowhere.
    for (const auto& [angle, spacing, phase] :
         {std::tuple{0.0, 0.5, 0.0}, {90.0, 0.5, 0.0}, {0.0, 0.37, 0.21}, {45.0, 0.61, 0.3}, {17.3, 0.43, 0.0}}) {
      const double s = spacing * std::max(1.0, std::round(size / 80));
      INFO(name << " at " << angle << " every " << s);
      const double ours = hatch_length(region, angle, s, phase), theirs = geos_hatch_length(region, angle, s, phase);
      CHECK(ours == Approx(theirs).epsilon(1e-6).margin(1e-5));
    }
    ++tried;
  }
  CHECK(tried >= 25);
}

TEST_CASE("what a scan line meets along edges, at corners and at touching vertices is taken whole, once") {
  // Four sides on scan lines: eleven lines of a square of 10, the first and the last along its sides.
  CHECK(fill(square(0, 0, 10), plain(FillPattern::hatch, 1))->length_mm() == Approx(110));
  // Corners on scan lines: a square on its corner, of diagonal 10.
  const Region diamond = region_of({{{5, 0}, {10, 5}, {5, 10}, {0, 5}}}, FillRule::nonzero);
  CHECK(fill(diamond, plain(FillPattern::hatch, 1))->length_mm() == Approx(50));
  // Two squares that touch in a point which a line runs through: one stroke over both.
  const Region touching = unite({square(0, 0, 5), square(5, 5, 5)});
  const auto strokes = *fill(touching, plain(FillPattern::hatch, 5));
  CHECK(strokes.length_mm() == Approx(20));
  CHECK(strokes.size() == 3);
  // A hole whose side lies on a line: the line is inked along that side, and outside of the hole above and below.
  const Region frame = subtract(square(0, 0, 10), square(3, 3, 4));
  const auto rows = *fill(frame, plain(FillPattern::hatch, 1));
  CHECK(rows.length_mm() == Approx(8 * 10 + 3 * 6));
  // A notch down to a line.
  const Region notch = region_of({{{0, 0}, {4, 0}, {5, 5}, {6, 0}, {10, 0}, {10, 10}, {0, 10}}}, FillRule::nonzero);
  CHECK(fill(notch, plain(FillPattern::hatch, 5))->length_mm() == Approx(8 + 10 + 10));
}

TEST_CASE("closed forms: the disc, the squares, and full cover at a spacing of one tip") {
  for (const double spacing : {1.0, 0.2, 0.05}) {
    const double length = fill(disc(20), plain(FillPattern::hatch, spacing, 31))->length_mm();
    CHECK(length == Approx(kPi * 400 / spacing).epsilon(0.02 * spacing));
  }
  const auto grid = *fill(square(0, 0, 100), plain(FillPattern::grid, 10));
  CHECK(grid.size() == 22);
  CHECK(geos_faces(polylines(grid)) == 100);
  const auto rules = *fill(square(0, 0, 100), plain(FillPattern::rules, 8));
  REQUIRE(rules.size() == 12);
  CHECK(rules[0].front().y == Approx(8));
  // Spaced by the tip and drawn along the edge too, everything inside the inset is inked, whatever the angle.
  for (const double angle : {0.0, 20.0, 63.0}) {
    for (const Region& region : {square(0, 0, 12), disc(7), ring_shape()}) {
      FillOptions o = plain(FillPattern::zigzag, 0.4, angle, 0.3);
      o.edge = true;
      const Coverage c = coverage_of(offset(region, -0.3), *fill(region, o), {0.4, 0.02});
      CHECK(c.share > 0.99999);
      CHECK(c.largest_gap_mm < 0.03);
    }
  }
  // Spaced by twice the tip, half of a large area stays bare, in strips as wide as the tip.
  const Coverage half =
      coverage_of(square(0, 0, 100), *fill(square(0, 0, 100), plain(FillPattern::hatch, 1, 0)), {0.5, 0.025});
  CHECK(half.share == Approx(0.5).margin(0.001));
  CHECK(half.largest_gap_mm == Approx(0.5).margin(0.05));
  CHECK(half.region_mm2 == Approx(10000));
  CHECK(half.outside_mm2 == Approx(100 * 0.25 * 2 + 101 * kPi * 0.0625 - 2 * kPi * 0.0625 / 2).epsilon(0.01));
}

TEST_CASE("coverage is what GEOS finds by buffers") {
  int tried = 0, next = 0;
  for (const auto& [name, region] : cases()) {
    const Box box = bounds_of(region);
    const double size = std::max(box.width(), box.height());
    if (size > 300 || size < 3 || vertices_in(region) > 3000) continue;
    for (const FillPattern pattern :
         {FillPattern::hatch, FillPattern::cross, FillPattern::contour, FillPattern::dots}) {
      if (next++ % (60 / rounds(60)) != 0) continue;
      INFO(name << " pattern " << static_cast<int>(pattern));
      const auto strokes = *fill(region, plain(pattern, std::max(1.3, size / 30), 20, 0.1));
      const double tip = 0.5;
      const Coverage ours = coverage_of(region, strokes, {tip});
      const Inked theirs = geos_inked(region, polylines(strokes), tip);
      CHECK(ours.share == Approx(theirs.inside / area_of(region)).margin(0.005));
      CHECK(ours.outside_mm2 == Approx(theirs.outside).epsilon(0.02).margin(0.005 * area_of(region)));
      ++tried;
    }
  }
  CHECK(tried >= rounds(60));
}

TEST_CASE("the largest spot without ink is found where it is") {
  // Two strokes leave a band of 6 less the tip; its end is open to a disc of that width only.
  Strokes two;
  for (const double y : {2.0, 8.0}) {
    two.add({0, y}), two.add({30, y}), two.end(0);
  }
  const Coverage c =
      coverage_of(region_of({{{0, 0}, {30, 0}, {30, 10}, {0, 10}}}, FillRule::nonzero), two, {1.0, 0.05});
  CHECK(c.largest_gap_mm == Approx(5).margin(0.1));
  CHECK(c.gap_at.y == Approx(5).margin(0.1));
  // Parts are told apart: one full, one without anything.
  Strokes one;
  one.add({0, 5}), one.add({10, 5}), one.end(0);
  const Coverage parts = coverage_of(unite({square(0, 0, 10), square(20, 0, 10)}), one, {20.0, 0.1});
  REQUIRE(parts.part_share.size() == 2);
  CHECK(std::max(parts.part_share[0], parts.part_share[1]) == Approx(1));
  CHECK(std::min(parts.part_share[0], parts.part_share[1]) < 0.02);
  CHECK(coverage_of({}, {}, {0.3}).share == 0);
  CHECK(coverage_of(square(0, 0, 5), {}, {0.3}).largest_gap_mm == Approx(5).margin(0.1));
}

TEST_CASE("turning shape and angle together, or shifting by a whole spacing, changes nothing") {
  for (const auto& [name, region] : cases()) {
    const Box box = bounds_of(region);
    if (box.width() > 400 || vertices_in(region) > 5000) continue;
    const double spacing = std::max(0.5, box.width() / 100);
    for (const double by : {13.0, 90.0, 180.0}) {
      INFO(name << " turned by " << by);
      const Region turned = transformed(region, Affine::rotate(-by));
      const auto a = *fill(region, plain(FillPattern::hatch, spacing, 20)),
                 b = *fill(turned, plain(FillPattern::hatch, spacing, 20 + by));
      CHECK(a.length_mm() == Approx(b.length_mm()).epsilon(1e-5).margin(1e-3));
      const auto z = *fill(region, plain(FillPattern::zigzag, spacing, 20)),
                 y = *fill(turned, plain(FillPattern::zigzag, spacing, 20 + by));
      CHECK(std::abs(static_cast<double>(z.size()) - static_cast<double>(y.size())) <=
            0.02 * static_cast<double>(z.size()) + 2);
    }
    FillOptions shifted = plain(FillPattern::hatch, spacing, 20);
    shifted.phase = 1;
    const auto here = *fill(region, plain(FillPattern::hatch, spacing, 20)), there = *fill(region, shifted);
    REQUIRE(here.points().size() == there.points().size());
    double off = 0;
    for (std::size_t i = 0; i < here.points().size(); ++i)
      off = std::max(off, distance(here.points()[i], there.points()[i]));
    CHECK(off < 1e-9);
    const double turn = 20 * kPi / 180;
    const Region moved = transformed(region, Affine::move(spacing * std::sin(turn), spacing * std::cos(turn)));
    CHECK(fill(moved, plain(FillPattern::hatch, spacing, 20))->length_mm() ==
          Approx(fill(region, plain(FillPattern::hatch, spacing, 20))->length_mm()).epsilon(1e-5).margin(1e-3));
  }
}

TEST_CASE("random shapes: every stroke of every pattern keeps its inset, and fills the part it names") {
  Chance chance(20261124);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const Region region = region_of(chance.rings(), chance.coin() ? FillRule::nonzero : FillRule::evenodd);
    if (region.empty()) continue;
    const auto parts = parts_of(region);
    for (const FillPattern pattern : kAll) {
      INFO("pattern " << static_cast<int>(pattern));
      FillOptions o = plain(pattern, chance.between(0.6, 3), chance.between(-180, 180), chance.between(0, 0.8));
      o.edge = chance.coin();
      o.second = static_cast<SecondCoat>(chance.whole(0, 2));
      for (int coat = 0; coat < 2; ++coat) {
        const auto strokes = *fill(region, o, coat);
        CHECK(keeps_clear(region, strokes, o.inset));
        for (std::size_t i = 0; i < strokes.size(); i += 7) {
          REQUIRE(strokes.part(i) < parts.size());
          const Vec p = strokes[i].front();
          CHECK((encloses(parts[strokes.part(i)], p) || distance_to_edges(parts[strokes.part(i)], p) < 2e-5));
        }
      }
    }
  }
}

TEST_CASE("joined ends make few strokes and lose no length of the hatch") {
  for (const auto& [region, strokes] : {std::pair{square(0, 0, 20), 1}, {disc(15), 1}, {ring_shape(), 2}}) {
    const FillOptions o = plain(FillPattern::zigzag, 0.5, 20);
    const auto joined = *fill(region, o);
    CHECK(joined.size() == static_cast<std::size_t>(strokes));
    CHECK(joined.length_mm() > fill(region, plain(FillPattern::hatch, 0.5, 20))->length_mm());
    FillOptions apart = o;
    apart.join = 0;
    CHECK(fill(region, apart)->length_mm() == Approx(fill(region, plain(FillPattern::hatch, 0.5, 20))->length_mm()));
  }
  // A comb joins within a tooth, not across the gap.
  for (const auto& [name, region] : cases()) {
    if (vertices_in(region) > 5000 || bounds_of(region).width() > 400) continue;
    INFO(name);
    const double spacing = std::max(0.5, bounds_of(region).width() / 100);
    const auto apart = *fill(region, plain(FillPattern::hatch, spacing, 70)),
               joined = *fill(region, plain(FillPattern::zigzag, spacing, 70));
    CHECK(joined.size() <= apart.size());
    CHECK(joined.length_mm() >= apart.length_mm() - 1e-6);
    CHECK(keeps_clear(region, joined, 0));
  }
}

TEST_CASE("spirals run the same rings as nested insets, in fewer strokes") {
  const auto rings = nested_insets(disc(10), 0.25, 0.5, 0), one = spirals(disc(10), 0.25, 0.5, 0);
  CHECK(rings.size() == 20);
  CHECK(one.size() == 1);
  CHECK(one.length_mm() == Approx(rings.length_mm()).epsilon(0.02));
  // A dumb-bell falls into two as it shrinks: one branch goes on, the other starts anew.
  const Region bell =
      unite({disc(8), disc(8, {24, 0}), region_of({{{0, -2}, {24, -2}, {24, 2}, {0, 2}}}, FillRule::nonzero)});
  CHECK(spirals(bell, 0.3, 0.6, 0).size() == 2);
  CHECK(spirals(ring_shape(), 0.3, 0.6, 0).size() <= 2);
}

TEST_CASE("strewn dots keep apart, leave no hole, and come again with their seed") {
  FillOptions o = plain(FillPattern::stipple, 1.5);
  const auto a = *fill(disc(20), o), b = *fill(disc(20), o);
  CHECK(a.points() == b.points());
  o.seed = 2;
  CHECK_FALSE(fill(disc(20), o)->points() == a.points());
  double nearest = 1e9;
  for (std::size_t i = 0; i < a.size(); ++i) {
    CHECK(a[i].size() == 1);
    for (std::size_t k = 0; k < i; ++k) nearest = std::min(nearest, distance(a.points()[i], a.points()[k]));
  }
  CHECK(nearest >= 1.5);
  // As many as go in: nowhere a round spot that another would fit into.
  CHECK(coverage_of(disc(20), a, {0.2, 0.05}).largest_gap_mm < 2 * 1.5 + 0.3);
  // Dots in rows: one for every square of the spacing.
  const auto rows = *fill(square(0, 0, 60), plain(FillPattern::dots, 2));
  CHECK(static_cast<double>(rows.size()) == Approx(900).epsilon(0.06));
}

TEST_CASE("parts too narrow for the hatch are told, and a fill beyond measure is refused") {
  // Three bars 0.4 wide, 10 long, at 45 degrees: lines 1.5 apart at that angle may miss them.
  std::vector<Region> bars;
  for (int i = 0; i < 6; ++i) {
    const Region bar = region_of({{{0, 0}, {10, 0}, {10, 0.4}, {0, 0.4}}}, FillRule::nonzero);
    bars.push_back(transformed(bar, Affine::move(3.0 * i, 10) * Affine::rotate(-45)));
  }
  const Region all = unite(bars);
  const auto along = *fill(all, plain(FillPattern::hatch, 1.5, 45)),
             across = *fill(all, plain(FillPattern::hatch, 1.5, -45));
  CHECK(unfilled(6, along).size() >= 3);
  CHECK(unfilled(6, across).empty());
  CHECK_FALSE(fill(disc(300), plain(FillPattern::dots, 0.02)));
  CHECK(fill(disc(300), plain(FillPattern::dots, 0.02)).error().said.code == "fill-refused");
  CHECK(fill({}, plain(FillPattern::hatch, 1))->empty());
  CHECK(fill(square(0, 0, 5), plain(FillPattern::zigzag, 0.5, 0, 4))->empty());
}

}  // namespace dotlane::test
