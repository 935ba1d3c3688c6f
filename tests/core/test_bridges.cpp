// Bridges of stencils: nothing falls out of the sheet, openings lose the strips and no more, and what is symmetric
// stays so. Connectedness and areas are asked of GEOS.
#include <set>

#include "chance.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/lettering.hpp"
#include "core/shape/step_handles.hpp"
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

Ring disc(Vec at, double r) { return wavy(at, r, 0, 1, 240); }

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
    return region_of({disc({0, 0}, outer), disc({0, 0}, inner)}, FillRule::evenodd);
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

TEST_CASE("bridges set by hand stand there, those left out do not, and what is left is held all the same") {
  const Region ring = region_of({disc({0, 0}, 20), disc({0, 0}, 14)}, FillRule::evenodd);
  BridgeOptions options;
  options.per_island = 1;
  options.set = {{17, 0}};
  Bridged made = bridged(ring, options);
  REQUIRE(made.bridges.size() == 1);
  CHECK(made.bridges[0].set == std::optional<std::size_t>(0));
  CHECK(distance(made.bridges[0].at, {17, 0}) < 0.05);
  CHECK(made.bridges[0].length_mm == Approx(6).margin(0.02));
  CHECK(std::abs(std::remainder(made.bridges[0].angle, 180)) < 1e-9);  // across the ring, though upright is asked for
  // Slanted where the ring runs so; on the material the nearest opening is meant; far out, the nearest side.
  options.set = {{17 * std::cos(0.7854), -17 * std::sin(0.7854)}, {-13, 0}, {0, 90}};
  made = bridged(ring, options);
  REQUIRE(made.bridges.size() == 3);
  CHECK(std::abs(made.bridges[0].angle - 45) < 1e-9);
  CHECK(distance(made.bridges[1].at, {-17, 0}) < 0.1);
  CHECK(distance(made.bridges[2].at, {0, 17}) < 0.1);
  CHECK(pieces_of_sheet(made.openings) == 1);
  // With two asked for, the second lies well away from the one that was set.
  options.per_island = 2;
  options.set = {{17, 0}};
  made = bridged(ring, options);
  REQUIRE(made.bridges.size() == 2);
  CHECK(made.bridges[1].at.x == Approx(0).margin(0.05));
  CHECK_FALSE(made.bridges[1].set);
  // One that is left out: one less. None of two left: one lies elsewhere, for the island must be held.
  options.set.clear();
  options.none = {{0, 17}};
  made = bridged(ring, options);
  REQUIRE(made.bridges.size() == 1);
  CHECK(made.bridges[0].at.y == Approx(-17).margin(0.05));
  options.none = {{0, 17}, {0, -17}};
  made = bridged(ring, options);
  REQUIRE(made.bridges.size() == 1);
  for (const Vec gone : options.none) CHECK(distance(made.bridges[0].at, gone) > 5);
  CHECK(made.loose == 0);
  options.none.clear();
  for (int i = 0; i < 36; ++i) options.none.push_back({17 * std::cos(i / 5.7), 17 * std::sin(i / 5.7)});
  CHECK(bridged(ring, options).loose == 0);
  // Across an opening without an island too: a slot becomes two.
  const Region slot = region_of(std::vector<Ring>{{{0, 0}, {80, 0}, {80, 5}, {0, 5}}}, FillRule::evenodd);
  BridgeOptions halve;
  halve.set = {{40, 2}};
  made = bridged(slot, halve);
  REQUIRE(made.bridges.size() == 1);
  CHECK(parts_of(made.openings).size() == 2);
  CHECK(area_of(made.openings) == Approx(80 * 5 - 1.2 * 5).margin(0.01));
}

TEST_CASE("level bridges of a word lie at one height where islands nearly agree") {
  std::vector<Ring> rings;
  for (int i = 0; i < 5; ++i) {  // like round letters that dip a little below the line, by turns
    rings.push_back(disc({i * 50.0, i % 2 * 0.8}, 20));
    rings.push_back(disc({i * 50.0, i % 2 * 0.8}, 14));
  }
  rings.push_back(disc({250, 12}, 20)), rings.push_back(disc({250, 12}, 14));  // this one stands lower by far
  BridgeOptions options;
  options.way = BridgeOptions::Way::level;
  const Bridged made = bridged(region_of(rings, FillRule::evenodd), options);
  REQUIRE(made.bridges.size() == 12);
  std::set<double> heights;
  for (const auto& b : made.bridges) heights.insert(std::round(b.at.y * 100) / 100);
  CHECK(heights == std::set<double>{0.4, 12});
}

TEST_CASE("a mesh carries everything, and what it misses has a bridge") {
  Chance chance(31);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    std::vector<Ring> rings;
    nest(chance, rings, {0, 0}, chance.between(25, 70), chance.whole(1, 3));
    const Region openings = region_of(rings, FillRule::evenodd);
    BridgeOptions options;
    options.mesh_mm = chance.between(6, 20), options.mesh_angle = chance.between(0, 90);
    const Bridged made = bridged(openings, options);
    CHECK(made.loose == 0);
    CHECK(pieces_of_sheet(made.openings) == 1);
    std::vector<Region> strips{made.mesh};
    for (const auto& b : made.bridges) strips.push_back(b.strip);
    CHECK(area_of(made.openings) ==
          Approx(area_of(openings) - geos_boolean(openings, unite(strips), Boolean::overlap).area).margin(1e-3));
  }
  BridgeOptions level;
  level.width_mm = 2, level.mesh_mm = 20, level.mesh_angle = 0;
  const Region square = region_of(std::vector<Ring>{{{0, 0}, {60, 0}, {60, 60}, {0, 60}}}, FillRule::evenodd);
  // A square of 60 mm under strips of 2 mm through its middle and 20 mm to both sides, each way.
  CHECK(area_of(bridged(square, level).openings) == Approx(54.0 * 54).margin(0.01));
  level.mesh_mm = 0.01;  // finer than it is wide: none
  CHECK(bridged(square, level).mesh.empty());
  Project p = project_of(R"(<path d="M20 20 h60 v60 h-60 z M35 35 v30 h30 v-30 z"/>)");
  Step step;
  step.kind = "bridge";
  step.values = {{"school", Text("mesh")}, {"mesh", 0.6}};
  const Drawing fine = drawn(add_step(p, 1, step).value());
  CHECK(sentence(fine.pieces[0]->outcomes.back().trouble).find("0.6 mm is too fine") != Text::npos);
  CHECK(fine.pieces[0]->outcomes.back().bridged->bridges.size() == 2);
}

TEST_CASE("bridges are as wide as the stock asks, and are set, dragged and taken away by their handles") {
  CHECK(bridge_width(0) == 1.2);
  CHECK(bridge_width(0.25) == 1.2);
  CHECK(bridge_width(0.2) == 1.5);
  CHECK(bridge_width(0.02) == 2.5);
  Project p = project_of(R"(<path d="M20 20 h60 v60 h-60 z M35 35 v30 h30 v-30 z"/>)");
  for (auto& stock : p.stocks) stock.thickness_mm = 0.2;
  Step step;
  step.kind = "bridge";
  p = add_step(p, 1, step).value();
  const auto handles = [&] { return step_handles(p, drawn(p), 1); };
  const auto list = [&](const char* key) {
    return Reading(*find_kind(step_kinds(), "bridge"), p.pieces[0]->steps[0].values).list(key);
  };
  const auto made = [&] { return drawn(p).pieces[0]->outcomes.back().bridged; };
  REQUIRE(made()->bridges.size() == 2);
  CHECK(made()->bridges[0].width_mm == Approx(2.5));  // 15 mm long, a sixth of that
  CHECK(placed_by_last(p, 1) == Placed::bridges);
  REQUIRE(handles().size() == 2);
  CHECK(handles()[0].at.x == Approx(50));
  CHECK_FALSE(handles()[0].set);
  // Dragged to the left side it stands there, however the piece is moved and sized afterwards.
  p = drag_handle(p, handles()[0], {27, 44});
  REQUIRE(handles().size() == 2);
  REQUIRE(list("set").size() == 2);
  CHECK(list("set")[0] == Approx(7.0 / 60));
  const auto own = [&] {
    for (const auto& h : handles()) {
      if (h.set) return h;
    }
    FAIL("none is set");
    return StepHandle{};
  };
  CHECK(distance(own().at, {27.5, 44}) < 0.6);
  p = drag_handle(p, own(), {27, 58});
  REQUIRE(list("set").size() == 2);
  CHECK(own().at.y == Approx(58).margin(0.01));
  p = move_pieces(p, {1}, {100, 0});
  CHECK(own().at.x == Approx(127.5).margin(0.6));
  p = move_pieces(p, {1}, {-100, 0});
  p = sized(p, 1, 120, {}, {0, 0});
  CHECK(own().at.y == Approx(20 + 2 * 38).margin(0.02));
  p = sized(p, 1, 60, {}, {0, 0});
  // A click lets it go, and on one that was found sets it where it is.
  p = click_handle(p, own());
  CHECK(list("set").empty());
  p = click_handle(p, handles()[1]);
  CHECK(list("set").size() == 2);
  p = click_handle(p, own());
  // Clicks while picking: one more, that away again, one of those found away, and back.
  p = pick_place(p, drawn(p), 1, {28, 50}, 1);
  CHECK(list("set").size() == 2);
  p = pick_place(p, drawn(p), 1, own().at, 1);
  CHECK(list("set").empty());
  const Vec first = handles()[0].at;
  p = pick_place(p, drawn(p), 1, first, 1);
  CHECK(list("none").size() == 2);
  CHECK(made()->bridges.size() == 1);
  p = pick_place(p, drawn(p), 1, first, 1);
  CHECK(list("none").empty());
  CHECK(made()->bridges.size() == 2);
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
