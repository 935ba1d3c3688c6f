// Bridges of stencils: nothing falls out of the sheet, openings lose the strips and no more, and what is symmetric
// stays so. Connectedness and areas are asked of GEOS.
#include "chance.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/lettering.hpp"
#include "core/text/typefaces.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;

/// A blob around a place whose radius swings between `r` and a share more.
Ring blob(Chance& chance, Vec at, double r) {
  Ring out;
  const int n = chance.whole(3, 60);
  const double share = chance.between(0, 0.25), phase = chance.between(0, 6);
  const int waves = chance.whole(2, 5);
  for (int i = 0; i < n; ++i) {
    const double a = 2 * std::numbers::pi * i / n, q = r * (1 - share / 2 + share / 2 * std::sin(waves * a + phase));
    out.push_back(at + Vec{q * std::cos(a), q * std::sin(a)});
  }
  return out;
}

/// Outlines in each other, even-odd: openings, islands in them, openings in those.
void nest(Chance& chance, std::vector<Ring>& rings, Vec at, double r, int deep) {
  rings.push_back(blob(chance, at, r));
  if (deep == 0 || r < 6) return;
  if (chance.coin()) {
    nest(chance, rings, at + Vec{chance.between(-0.1, 0.1) * r, chance.between(-0.1, 0.1) * r}, r * 0.36, deep - 1);
  } else {  // two or three beside each other
    const int n = chance.whole(2, 3);
    for (int i = 0; i < n; ++i) {
      const double a = 2 * std::numbers::pi * i / n + chance.between(0, 0.5);
      nest(chance, rings, at + Vec{std::cos(a), std::sin(a)} * (0.3 * r), r * 0.14, deep - 1);
    }
  }
}

/// In how many pieces the sheet around the openings is.
std::size_t pieces_of_sheet(const Region& openings) {
  const Box b = bounds_of(openings).grown(20);
  std::vector<Ring> rings = openings.rings;
  rings.push_back({{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}});
  return figures_of(geos_region(rings, FillRule::evenodd)).parts;
}

Region mirrored(const Region& region) {
  const Box b = bounds_of(region);
  return transformed(region, Affine::move(b.x0 + b.x1, 0) * Affine::scale(-1, 1));
}
double differ(const Region& a, const Region& b) {
  return geos_boolean(a, b, Boolean::cut_away).area + geos_boolean(b, a, Boolean::cut_away).area;
}

Region letter(const char* face, const Text& text) {
  std::vector<Region> all;
  for (const auto& l : set_lettering({{"text", text}, {"font", Text(face)}, {"size", 60.0}}).letters)
    all.push_back(region_of(placed(l)));
  return unite(all);
}

}  // namespace

TEST_CASE("three hundred nested figures: bridged, the sheet is one piece and openings lose the bridges alone") {
  Chance chance(12);
  std::size_t islands = 0, deep = 0, all = 0, narrow = 0;
  for (int round = 0; round < rounds(300); ++round) {
    INFO("round " << round);
    std::vector<Ring> rings;
    nest(chance, rings, {0, 0}, chance.between(25, 90), chance.whole(1, 4));
    const Region openings = region_of(rings, FillRule::evenodd);
    BridgeOptions options;
    options.width_mm = chance.between(0.4, 1.2);
    options.per_island = chance.whole(0, 3);
    options.way = static_cast<BridgeOptions::Way>(chance.whole(0, 2));
    const Bridged made = bridged(openings, options);
    islands += made.islands;
    deep += rings.size() > 3;
    CHECK(made.islands + 1 >= pieces_of_sheet(openings));
    CHECK(made.loose == 0);
    CHECK(pieces_of_sheet(made.openings) == 1);
    std::vector<Region> strips;
    for (const auto& b : made.bridges) {
      strips.push_back(b.strip);
      narrow += b.width_mm < options.width_mm - 1e-9;
      CHECK(b.width_mm >= 0.1 * options.width_mm - 1e-9);
      // A strip is as large as it says, but for its ends, which follow the edges.
      CHECK(area_of(b.strip) < 3 * b.width_mm * (b.length_mm + b.width_mm));
    }
    const double lost = geos_boolean(openings, unite(strips), Boolean::overlap).area;
    CHECK(area_of(made.openings) == Approx(area_of(openings) - lost).margin(1e-3));
    CHECK(made.bridges.size() >= made.islands);
    all += made.bridges.size();
    if (options.per_island == 1) CHECK(made.bridges.size() == made.islands);
  }
  CHECK(narrow < all / 20);
  CHECK(islands > static_cast<std::size_t>(rounds(300)));
  CHECK(deep > static_cast<std::size_t>(rounds(300)) / 4);
}

TEST_CASE("letters of four faces are held, and those that are symmetric stay it") {
  int symmetric = 0;
  for (const char* face : {"Roboto Slab Bold", "Bebas Neue Bold", "Comfortaa Bold", "Yanone Kaffeesatz Regular"}) {
    for (const char* c : {"a", "b", "d", "e", "g", "o", "p", "q", "0", "4", "6", "8", "&", "@", "A", "O"}) {
      INFO(face << ", " << c);
      const Region openings = letter(face, c);
      REQUIRE_FALSE(openings.empty());
      const Bridged made = bridged(openings, {});
      CHECK(made.loose == 0);
      CHECK(pieces_of_sheet(made.openings) == 1);
      // Islands as long as these have two bridges, and the letter keeps most of what it is.
      CHECK(area_of(made.openings) > 0.9 * area_of(openings));
      const bool alike = differ(openings, mirrored(openings)) < 0.02 * area_of(openings);
      if (!alike || made.islands == 0) continue;
      ++symmetric;
      const Region strips = subtract(openings, made.openings);
      CHECK(differ(made.openings, mirrored(made.openings)) <
            differ(openings, mirrored(openings)) + 0.1 * area_of(strips));
    }
  }
  CHECK(symmetric >= 12);
}

TEST_CASE("a ring's island has one bridge where it is small, two across from each other where it is longer") {
  const auto ring = [](double outer, double inner) {
    Region out;
    Chance none(1);
    Ring a, b;
    for (int i = 0; i < 240; ++i) {
      const double t = 2 * std::numbers::pi * i / 240;
      a.push_back({outer * std::cos(t), outer * std::sin(t)});
      b.push_back({inner * std::cos(t), inner * std::sin(t)});
    }
    return region_of({a, b}, FillRule::evenodd);
  };
  CHECK(bridged(ring(6, 3), {}).bridges.size() == 1);
  const Bridged two = bridged(ring(20, 14), {});
  REQUIRE(two.bridges.size() == 2);
  CHECK(two.islands == 1);
  for (const auto& b : two.bridges) {
    CHECK(b.at.x == Approx(0).margin(1e-6));
    CHECK(std::abs(b.at.y) == Approx(17).margin(0.01));
    CHECK(b.length_mm == Approx(6).margin(0.01));
    CHECK(b.width_mm == 1.2);
  }
  CHECK(two.bridges[0].at.y * two.bridges[1].at.y < 0);
  CHECK(bridged(ring(60, 40), {}).bridges.size() == 4);
  // Level ones lie to the left and the right; a long one is as wide as a sixth of its length.
  BridgeOptions level;
  level.way = BridgeOptions::Way::level;
  for (const auto& b : bridged(ring(20, 8), level).bridges) {
    CHECK(b.at.y == Approx(0).margin(1e-6));
    CHECK(b.width_mm == Approx(2));
  }
  // The shortest way is taken whichever it is: here to the left, where upright bridges would be four times as long.
  const Region beside =
      region_of({{{0, 0}, {60, 0}, {60, 60}, {0, 60}}, {{5, 24}, {11, 24}, {11, 36}, {5, 36}}}, FillRule::evenodd);
  BridgeOptions shortest;
  shortest.per_island = 1;
  for (const auto way : {BridgeOptions::Way::shortest, BridgeOptions::Way::upright}) {
    shortest.way = way;
    const Bridged one = bridged(beside, shortest);
    REQUIRE(one.bridges.size() == 1);
    CHECK(one.bridges[0].length_mm == Approx(5).margin(0.01));
    CHECK(one.bridges[0].at.x == Approx(2.5).margin(0.01));
  }
  // So thin on so large a sheet that not every line is looked at: it holds all the same.
  BridgeOptions thin;
  thin.width_mm = 0.1;
  const Bridged far = bridged(ring(300, 250), thin);
  CHECK(far.bridges.size() == 4);
  CHECK(pieces_of_sheet(far.openings) == 1);
  // An opening without an island needs none.
  const Region disc = region_of(std::vector<Ring>{{{0, 0}, {9, 0}, {9, 9}}}, FillRule::evenodd);
  CHECK(bridged(disc, {}).bridges.empty());
  CHECK(bridged(Region{}, {}).openings.empty());
}

TEST_CASE("the bridge step keeps lines, follows what comes before it, and says what it cannot hold") {
  const char* ring = R"(<path d="M20 20 h60 v60 h-60 z"/><path d="M35 35 h30 v30 h-30 z"/>)";
  Project p = project_of(ring);
  Step step;
  step.kind = "bridge";
  step.values = {{"width", 2.0}, {"per-island", Text("2")}};
  p = add_step(p, 1, step).value();
  Derived d = derived(p);
  const auto& outcome = d.drawing.pieces[0]->outcomes.back();
  REQUIRE(outcome.bridged);
  CHECK(outcome.bridged->islands == 1);
  CHECK(outcome.bridged->bridges.size() == 2);
  CHECK(outcome.trouble.empty());
  // Two paths in each other are one opening now, in two halves.
  CHECK(outcome.contours == 2);
  CHECK(outcome.area_mm2 == Approx(60 * 60 - 30 * 30 - 2 * 15 * 2.5).margin(0.01));  // 15 long: 2.5 wide
  // Beside each other they stay lines of their own.
  Project apart =
      project_of(R"(<path d="M20 20 h30 v30 h-30 z M30 30 v10 h10 v-10 z"/><path d="M80 20 h30 v30 h-30 z"/>)");
  apart = add_step(apart, 1, step).value();
  const Derived two = derived(apart);
  CHECK(two.drawing.pieces[0]->piece->lines.size() == 2);
  CHECK(two.drawing.pieces[0]->outcomes.back().bridged->bridges.size() == 2);
  // A bridge wider than its island is made; where it is wider than the whole opening, it is what there is room for.
  step.values["width"] = 40.0;
  CHECK(derived(add_step(project_of(ring), 1, step).value()).drawing.pieces[0]->outcomes.back().trouble.empty());
  const char* small = R"(<path d="M20 20 h30 v30 h-30 z M30 30 v10 h10 v-10 z"/>)";
  Project wide = add_step(project_of(small), 1, step).value();
  const Derived none = derived(wide);
  const auto& said = none.drawing.pieces[0]->outcomes.back();
  REQUIRE(said.trouble.size() == 1);
  CHECK(sentence(said.trouble).find("narrower than 40 mm") != Text::npos);
  CHECK(said.bridged->loose == 0);
}

}  // namespace dotlane::test
