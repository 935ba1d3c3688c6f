// What is left of a stencil's sheet: necks, tongues and the open share. GEOS erodes the sheet as the second opinion.
#include "core/shape/stencil_strength.hpp"

#include "chance.hpp"
#include "core/check/checks.hpp"
#include "core/shape/bridges.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

namespace dotlane::test {
namespace {

Ring box(double x, double y, double w, double h) { return {{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}}; }
Region openings(const std::vector<Ring>& rings) { return region_of(rings, FillRule::evenodd); }

}  // namespace

TEST_CASE("the narrowest neck between openings is found with its width and place") {
  for (const double gap : {0.1, 0.25, 0.4, 0.55}) {
    const auto found = strength_of(openings({box(0, 0, 30, 20), box(30 + gap, 0, 30, 20), box(0, 21, 30, 20)}), {});
    REQUIRE(found.neck);
    CHECK(found.neck->width_mm == Approx(gap).margin(0.013));
    CHECK(found.neck->at.x == Approx(30 + gap / 2).margin(0.1));
    CHECK(found.neck->at.y == Approx(10).margin(1));
    CHECK(found.necks == 1);
  }
  CHECK_FALSE(strength_of(openings({box(0, 0, 30, 20), box(30.7, 0, 30, 20)}), {}).neck);
  // Corners, however sharp, are no necks, and neither is the empty stencil.
  CHECK_FALSE(strength_of(openings({{{0, 0}, {40, 0}, {0, 3}}, box(60, 0, 20, 20)}), {}).neck);
  CHECK_FALSE(strength_of({}, {}).neck);
}

TEST_CASE("necks between corners that face each other have the width between these") {
  for (const double apart : {0.05, 0.2, 0.3, 0.41}) {
    const auto found = strength_of(openings({box(0, 0, 20, 20), box(20 + apart, 20 + apart, 20, 20)}), {});
    INFO(apart);
    REQUIRE(found.neck);
    CHECK(found.neck->width_mm == Approx(apart * std::sqrt(2)).margin(0.012));
    CHECK(distance(found.neck->at, {20 + apart / 2, 20 + apart / 2}) < 0.2);
    CHECK(found.necks == 1);
  }
  CHECK_FALSE(strength_of(openings({box(0, 0, 20, 20), box(20.43, 20.43, 20, 20)}), {}).neck);
  // A tip that points at an edge.
  const auto tip = strength_of(openings({{{0, 0}, {20, 5}, {0, 10}}, box(20.2, -10, 10, 30)}), {});
  REQUIRE(tip.neck);
  CHECK(tip.neck->width_mm == Approx(0.2).margin(0.012));
  CHECK(tip.necks == 1);
}

TEST_CASE("random discs: there is a neck under the limit where the sheet tears when eroded by half of it") {
  Chance chance(77);
  int necks = 0;
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    // Three discs in a row at distances that are known.
    std::vector<Ring> rings;
    double x = 0, least = 1e9;
    for (int i = 0; i < 3; ++i) {
      const double r = chance.between(4, 12);
      rings.push_back(wavy({x + r, 0}, r, 0, 1, 180));
      const double gap = chance.between(0.2, 1.2);
      if (i < 2) least = std::min(least, gap);
      x += 2 * r + gap;
    }
    if (std::abs(least - 0.6) < 0.02) continue;
    const auto found = strength_of(openings(rings), {});
    CHECK(found.neck.has_value() == (least < 0.6));
    if (!found.neck) continue;
    ++necks;
    // The polygons' sides lie a little inside the circles.
    CHECK(found.neck->width_mm == Approx(least).margin(0.03));
    // Eroded by half as much as that it is still whole there, by a little more it is not.
    const Region sheet = subtract(Region{{box(-40, -40, x + 80, 80)}}, openings(rings));
    const auto holes = [&](double by) { return geos_offset(sheet, -by, Corners::round, 4, 16).holes; };
    CHECK(holes(found.neck->width_mm / 2 - 0.02) > holes(found.neck->width_mm / 2 + 0.02));
  }
  CHECK(necks > rounds(60) / 4);
}

TEST_CASE("tongues hang by one end: length and width as drawn, the most slender first") {
  // A comb: two slots beside each other leave a strip of 3 x 40 mm that hangs at its top.
  const auto comb = [](double wide, double tall) {
    return openings({{{0, 0},
                      {10, 0},
                      {10, tall},
                      {10 + wide, tall},
                      {10 + wide, 0},
                      {20 + wide, 0},
                      {20 + wide, tall + 10},
                      {0, tall + 10}}});
  };
  const auto found = strength_of(comb(3, 40), {});
  REQUIRE(found.tongues.size() == 1);
  CHECK(found.tongues[0].length_mm == Approx(40).margin(1));
  CHECK(found.tongues[0].width_mm == Approx(3).margin(0.1));
  CHECK(found.tongues[0].tip.y == Approx(40).margin(0.1));
  CHECK(strength_of(comb(3, 15), {}).tongues.empty());
  CHECK(strength_of(comb(3, 20), {}).tongues.size() == 1);
  CHECK(strength_of(comb(12, 60), {}).tongues.empty());  // bears its own weight
  // Of a firm stock the same one holds.
  CHECK(stencil_limits(0.5).slenderest == 10);
  CHECK(stencil_limits(0.02).slenderest == 4);
  CHECK(strength_of(comb(3, 25), stencil_limits(0.25)).tongues.size() == 1);
  CHECK(strength_of(comb(3, 25), stencil_limits(0.5)).tongues.empty());
  CHECK(strength_of(comb(3, 40), {}).open == Approx((23.0 * 50 - 3 * 40) / (23 * 50)).margin(1e-9));
}

TEST_CASE("stencils are looked at, each finding says where, and its fixes settle it") {
  Step step;
  step.kind = "bridge";
  // A frame of slots with a long tongue; a second opening 0.3 mm beside it.
  Project p = project_of(R"(<path d="M20 20 h10 v40 h3 v-40 h10 v50 h-23 z"/><path d="M43.3 20 h20 v50 h-20 z"/>)");
  for (auto& stock : p.stocks) stock.thickness_mm = 0.25;
  CHECK_FALSE(finding(derived(p), "stencil-neck"));  // nothing says that it is a stencil
  p = add_step(p, 1, step).value();
  const Derived d = derived(p);
  const Finding* neck = finding(d, "stencil-neck");
  REQUIRE(neck);
  REQUIRE(neck->at);
  CHECK(neck->at->x == Approx(43.15).margin(0.05));
  CHECK(std::get<double>(neck->figures.at("width")) == Approx(0.3).margin(0.02));
  const Finding* tongue = finding(d, "stencil-tongue");
  REQUIRE(tongue);
  REQUIRE(tongue->fixes.size() == 1);
  CHECK(finding(d, "stencil-open"));
  INFO(sentence(*tongue));
  CHECK(sentence(*tongue).find("40 mm long and 3 mm wide") != std::string::npos);
  // One more bridge holds the tongue; narrower openings mend the neck.
  const Project held = apply_fix(p, d.drawing, *tongue, tongue->fixes[0]);
  const Derived after = derived(held);
  CHECK(after.drawing.pieces[0]->outcomes.back().bridged->bridges.size() == 1);
  CHECK_FALSE(finding(after, "stencil-tongue"));
  const Project wider = apply_fix(p, d.drawing, *neck, neck->fixes[0]);
  CHECK_FALSE(finding(derived(wider), "stencil-neck"));
}

TEST_CASE("a stencil that is too detailed to be looked at is said to be, not passed over") {
  std::string d;
  for (int i = 0; i < 2500; ++i) d += "M" + std::to_string(i % 50 * 5) + " " + std::to_string(i / 50 * 5) + "h3v3h-3z";
  Step step;
  step.kind = "bridge";
  const Project p = add_step(project_of("<path d=\"" + d + "\"/>"), 1, step).value();
  const Derived all = derived(p);
  const Finding* large = finding(all, "stencil-large");
  REQUIRE(large);
  CHECK(sentence(*large).find("10000 short lines") != std::string::npos);
}

}  // namespace dotlane::test
