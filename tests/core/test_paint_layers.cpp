// Stencils for painting in layers: plates that register, holes that need no bridges, and what a brush and its paint
// ask.
#include "core/shape/paint_layers.hpp"

#include <set>

#include "chance.hpp"
#include "core/check/checks.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/stencil_strength.hpp"
#include "fixtures.hpp"

namespace dotlane::test {

namespace {

Region square(double x, double y, double side) { return region_of(Box::of(x, y, side, side)); }

}  // namespace

TEST_CASE("a plate fills the holes that later paint covers, and no others") {
  using Under = PlateOptions::Under;
  const Region frame = subtract(square(0, 0, 60), unite({square(10, 10, 20), square(35, 35, 10)}));
  const std::vector<Region> picture{frame, square(10, 10, 20)};
  PlateOptions how;
  how.overlap = 0;
  CHECK(area_of(paint_plate(picture, 0, how).openings) == Approx(3600 - 100));  // one hole is covered
  how.under = Under::as_drawn;
  CHECK(area_of(paint_plate(picture, 0, how).openings) == Approx(3600 - 400 - 100));
  how.overlap = 0.5;  // a rim of half a millimetre under the square
  CHECK(area_of(paint_plate(picture, 0, how).openings) == Approx(3600 - 19 * 19 - 100));
  CHECK(area_of(paint_plate(picture, 1, how).openings) == Approx(400));  // nothing comes after it
  how.under = Under::left_out;
  CHECK(area_of(paint_plate({square(0, 0, 60), square(50, 0, 20)}, 0, how).openings) == Approx(3600 - 200));
  // A hole that later paint covers by half only stays: its island is held by bridges.
  how.under = Under::filled, how.overlap = 0;
  CHECK(area_of(paint_plate({frame, square(10, 10, 12)}, 0, how).openings) == Approx(3600 - 400 - 100));
  CHECK(paint_plate(picture, 2, how).openings.empty());
  CHECK(paint_plate({}, 0, how).edge.empty());
}

TEST_CASE("plates of random pictures have the same edge and corners, clear of every opening") {
  Chance chance(91);
  for (int round = 0; round < rounds(100); ++round) {
    INFO("round " << round);
    std::vector<Region> picture;
    for (int i = chance.whole(1, 4); i-- > 0;) picture.push_back(region_of(chance.rings(), chance.rule()));
    PlateOptions how;
    how.margin = chance.between(2, 30), how.corners = chance.between(0.5, 40), how.overlap = chance.between(0, 2);
    const Plate first = paint_plate(picture, 0, how);
    const Region& corners = first.corners;
    Box box;
    for (const auto& region : picture) box.add(bounds_of(region));
    const double frame = std::min(box.width(), box.height()) + how.margin;
    const double leg = std::min({how.corners, 0.8 * how.margin, 0.4 * frame});
    if (first.edge.empty()) continue;
    REQUIRE(area_of(corners) == Approx(2 * leg * leg));
    for (std::size_t k = 0; k < picture.size(); ++k) {
      const Plate plate = paint_plate(picture, k, how);
      CHECK(plate.edge == first.edge);
      CHECK(plate.corners.rings == first.corners.rings);
      // What later paint hides may be painted through, and nothing else.
      const Region later = unite({picture.begin() + static_cast<std::ptrdiff_t>(k) + 1, picture.end()});
      CHECK(area_of(subtract(subtract(plate.openings, later), picture[k])) < 0.011 * area_of(picture[k]) + 1e-3);
      CHECK(area_of(subtract(picture[k], plate.openings)) < 1e-3);
      CHECK(area_of(intersect(plate.openings, corners)) == 0);
      CHECK(first.edge.grown(-how.margin + 1e-3).contains(bounds_of(plate.openings)));
    }
  }
}

TEST_CASE("a picture in three paints becomes three plates that follow it and lie on sheets of their own") {
  Project p =
      project_of(R"(<path id="a" d="M20 20 h60 v60 h-60 z M40 40 v20 h20 v-20 z" fill="#d9a23b" stroke="none"/>)");
  for (const char* more :
       {R"(<path id="b" d="M40 40 h20 v20 h-20 z" fill="#2a5c8c" stroke="none"/>)",
        R"(<path id="c" d="M70 90 h20 v20 h-20 z M75 95 v10 h10 v-10 z" fill="#2a5c8c" stroke="none"/>)"})
    add_drawing(p, more);
  const std::vector<int> masters{p.pieces[0]->id, p.pieces[1]->id, p.pieces[2]->id};
  std::vector<int> made;
  p = add_paint_layers(p, drawn(p), masters, &made);
  REQUIRE(made.size() == 3);
  for (const int id : masters) CHECK(find_piece(p, id)->helper);
  const Drawing d = drawn(p);
  std::set<std::string> stocks, paints;
  for (const int id : made) {
    const DrawnPiece* plate = find_drawn(d, id);
    REQUIRE(plate->outcomes.size() == 3);
    CHECK(plate->outcomes[1].trouble.empty());
    CHECK(plate->bounds == find_drawn(d, made[0])->bounds);
    stocks.insert(plate->piece->stock);
    REQUIRE(paint_of(*plate));
    paints.insert(hex(*paint_of(*plate)));
  }
  CHECK(stocks.size() == 3);
  CHECK(paints.size() == 3);  // two were the same blue
  CHECK(paints.contains("#d9a23b"));
  // The first has no bridges; the ring of the last has.
  CHECK(find_drawn(d, made[0])->outcomes[2].bridged->bridges.empty());
  CHECK(find_drawn(d, made[2])->outcomes[2].bridged->islands == 1);
  CHECK(area_of(openings_of(*find_drawn(d, made[0]))) == Approx(3600).margin(0.1));
  const auto parts = parts_of(p, d);
  REQUIRE(parts.size() == 3);
  for (const auto& part : parts) CHECK(part.bounds().width() == Approx(70 + 30).margin(0.05));
  std::vector<int> loads;
  for (const int id : made) {
    for (const auto& sheet : p.sheets) {
      if (sheet.stock == find_piece(p, id)->stock) loads.push_back(sheet.load);
    }
  }
  CHECK(loads.size() == 3);
  CHECK(std::is_sorted(loads.begin(), loads.end()));
  const Derived all = derived(p);
  CHECK_FALSE(finding(all, "parts-overlap"));
  CHECK_FALSE(finding(all, "off-usable"));
  CHECK_FALSE(finding(all, "stencil-margin"));
  // A larger picture has larger plates, all of them.
  const Project larger = sized(p, masters[2], 90, {}, {0, 0});
  const Drawing after = drawn(larger);
  for (const int id : made) CHECK(find_drawn(after, id)->bounds.width() == Approx(90 + 30).margin(0.05));
  // Saved, read, the same.
  CHECK(project_from_json(to_json(p), "x").value() == p);
  CHECK(add_paint_layers(p, d, {}) == p);
}

TEST_CASE("openings that no brush fills and edges that paint runs over are found, with where") {
  Step step;
  step.kind = "bridge";
  // A square, a slot 1 mm wide, and a plate around both.
  Project p = project_of(R"(<path d="M40 40 h30 v30 h-30 z M80 40 h1 v30 h-1 z"/>)");
  p = add_step(p, 1, step).value();
  add_drawing(p, R"(<path d="M34 20 h80 v80 h-80 z"/>)");
  const Derived d = derived(p);
  const Finding* slit = finding(d, "stencil-slit");
  REQUIRE(slit);
  REQUIRE(slit->at);
  CHECK(slit->at->x == Approx(80.5).margin(0.6));
  CHECK(std::get<double>(slit->figures.at("places")) == 1);
  const Finding* margin = finding(d, "stencil-margin");
  REQUIRE(margin);
  CHECK(std::get<double>(margin->figures.at("margin")) == Approx(6).margin(1e-6));
  CHECK(sentence(*margin).find("6 mm") != std::string::npos);
  p.checks.brush_mm = 0.9, p.checks.bleed_mm = 5;
  CHECK_FALSE(finding(derived(p), "stencil-slit"));
  CHECK_FALSE(finding(derived(p), "stencil-margin"));
  p.checks.brush_mm = 1.5, p.checks.bleed_mm = 0;
  CHECK_FALSE(finding(derived(p), "stencil-margin"));
  // A long wedge narrows to nothing, and only its tip is too narrow: corners are no slits.
  Project wedge = add_step(project_of(R"(<path d="M40 40 h60 l-60 25 z"/>)"), 1, step).value();
  CHECK_FALSE(finding(derived(wedge), "stencil-slit"));
}

TEST_CASE("rounder corners are offered where they do away with a neck") {
  Step step;
  step.kind = "bridge";
  // Two squares, corner to corner with 0.3 mm between.
  Project p = add_step(project_of(R"(<path d="M20 20 h20 v20 h-20 z M40.2 40.2 h20 v20 h-20 z"/>)"), 1, step).value();
  const Derived d = derived(p);
  const Finding* neck = finding(d, "stencil-neck");
  REQUIRE(neck);
  REQUIRE(neck->fixes.size() == 2);
  CHECK(neck->fixes[1].step.kind == "round-corners");
  CHECK_FALSE(finding(derived(apply_fix(p, d.drawing, *neck, neck->fixes[1])), "stencil-neck"));
  // Along straight edges they would not help.
  Project q = add_step(project_of(R"(<path d="M20 20 h20 v20 h-20 z M40.3 20 h20 v20 h-20 z"/>)"), 1, step).value();
  const Derived e = derived(q);
  REQUIRE(finding(e, "stencil-neck"));
  CHECK(finding(e, "stencil-neck")->fixes.size() == 1);
}

TEST_CASE("fixes of a plate change its openings and not its edge, and what later paint hides is said") {
  Project p = project_of(R"(<path d="M20 20 h20 v20 h-20 z M40.3 20 h20 v20 h-20 z" fill="#d9a23b" stroke="none"/>)");
  std::vector<int> made;
  p = add_paint_layers(p, drawn(p), {1}, &made);
  const Derived d = derived(p);
  const Finding* neck = finding(d, "stencil-neck");
  REQUIRE(neck);
  const Derived after = derived(apply_fix(p, d.drawing, *neck, neck->fixes[0]));
  CHECK_FALSE(finding(after, "stencil-neck"));
  CHECK(find_drawn(after.drawing, made[0])->bounds == find_drawn(d.drawing, made[0])->bounds);
  // Two alike, the lower one left out where the upper one comes.
  Project q = project_of(R"(<path d="M20 20 h20 v20 h-20 z" fill="#d9a23b" stroke="none"/>)");
  add_drawing(q, R"(<path d="M20 20 h20 v20 h-20 z" fill="#2a5c8c" stroke="none"/>)");
  std::vector<int> plates;
  q = add_paint_layers(q, drawn(q), {1, 2}, &plates);
  q = set_step_value(q, plates[0], 1, "under", std::string("left-out")).value();
  const Drawing hidden = drawn(q);
  REQUIRE(!find_drawn(hidden, plates[0])->outcomes[1].trouble.empty());
  CHECK(find_drawn(hidden, plates[0])->outcomes[1].trouble[0].code == "paint-hidden");
  q = set_step_value(q, plates[0], 1, "layer", 7.0).value();
  const Drawing none = drawn(q);
  CHECK(find_drawn(none, plates[0])->outcomes[1].trouble[0].code == "paint-nothing");
}

}  // namespace dotlane::test
