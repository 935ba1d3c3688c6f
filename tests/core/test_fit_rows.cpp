// Words that fill a shape: rows stay in it, keep their proportions, and are as large as closed forms say.
#include "core/shape/fit_rows.hpp"

#include "chance.hpp"
#include "core/shape/recipe_edit.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;

}  // namespace

TEST_CASE("boxes are rows from the top, and dots belong to the row under them") {
  const std::vector<Box> boxes{{0, 10, 4, 15}, {0, 0, 5, 7}, {6, 1, 9, 9}, {5, 11, 9, 16}, {6, 8.6, 7, 9.4}};
  CHECK(rows_of(boxes) == std::vector<std::vector<std::size_t>>{{1, 2, 4}, {0, 3}});
  CHECK(rows_of({{0, 3, 4, 8}, {1, 1, 2, 2}}) == std::vector<std::vector<std::size_t>>{{1, 0}});
  CHECK(rows_of({}).empty());
}

TEST_CASE("one row in a disc is the largest rectangle of its proportions, in a box it is as wide as the box") {
  // A rectangle of w to h in a circle of radius r has its corners on it: h = 2 r / sqrt(1 + (w / h)^2).
  for (const double ratio : {1.0, 2.5, 6.0}) {
    const auto fitted = fit_rows({{0, 0, 10 * ratio, 10}}, region_of({wavy({}, 50, 0, 1, 360)}, FillRule::nonzero), 1);
    REQUIRE(fitted.size() == 1);
    const double tall = 100 / std::sqrt(1 + ratio * ratio);
    CHECK(fitted[0].room.height() == Approx(tall).epsilon(0.02));
    CHECK(fitted[0].room.height() < tall + 0.01);
    CHECK(fitted[0].room.width() == Approx(ratio * fitted[0].room.height()));
    CHECK(fitted[0].room.centre().x == Approx(0).margin(1e-6));
    CHECK(fitted[0].room.centre().y == Approx(0).margin(1.5));
  }
  const auto two = fit_rows({{0, 0, 40, 10}, {0, 20, 80, 30}}, region_of({0, 0, 100, 60}), 3);
  REQUIRE(two.size() == 2);
  CHECK(two[0].room.height() == Approx(25).margin(0.01));
  CHECK(two[1].room.height() == Approx(12.5).margin(0.01));
  CHECK(two[1].room.y0 == Approx(two[0].room.y1 + 3));
  CHECK(fit_rows({{0, 0, 10, 10}}, {}, 1).empty());
  CHECK(fit_rows({}, region_of(Box{0, 0, 5, 5}), 1).empty());
}

TEST_CASE("random shapes: fitted rows lie inside, apart, and keep their proportions") {
  Chance chance(9);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const double r = chance.between(30, 80), swing = chance.between(0, 0.35);
    const Ring blob = wavy({}, r, swing, chance.whole(2, 5), 120);
    const Region shape = region_of({blob}, FillRule::evenodd);
    std::vector<Box> rows;
    for (int i = 0, n = chance.whole(1, 5); i < n; ++i)
      rows.push_back(Box::of(chance.between(-9, 9), i * 20.0, chance.between(20, 90), chance.between(6, 14)));
    const double gap = chance.between(0, 3);
    const auto fitted = fit_rows(rows, shape, gap);
    REQUIRE(fitted.size() == rows.size());
    for (std::size_t i = 0; i < rows.size(); ++i) {
      CHECK(geos_boolean(region_of(fitted[i].room), shape, Boolean::cut_away).area < 1e-3);
      CHECK(fitted[i].room.width() / fitted[i].room.height() == Approx(rows[i].width() / rows[i].height()));
      if (i > 0) CHECK(fitted[i].room.y0 == Approx(fitted[i - 1].room.y1 + gap));
      // Bent, its corners lie on the shape's edges.
      const Vec left = bent(fitted[i], shape, {rows[i].x0, rows[i].y0}),
                right = bent(fitted[i], shape, {rows[i].x1, rows[i].y0});
      CHECK(left.y == Approx(fitted[i].room.y0));
      CHECK(left.x <= fitted[i].room.x0 + 1e-6);
      CHECK(right.x >= fitted[i].room.x1 - 1e-6);
    }
  }
}

TEST_CASE("lettering fills the shape of another piece and is lettering still") {
  Project p = new_project("heart");
  add_drawing(
      p,
      R"(<path d="M100 180 C20 120 10 80 20 50 C36 16 84 16 100 56 C116 16 164 16 180 50 C190 80 180 120 100 180 Z"/>)");
  int words = 0;
  p = add_shape(std::move(p), "lettering",
                {{"text", Text("at the\nharbour\nby lantern")}, {"font", Text("Roboto Slab Bold")}}, &words)
          .value();
  Step step;
  step.kind = "fit-shape";
  step.values = {{"with", std::vector<double>{1}}, {"margin", 3.0}};
  for (const char* way : {"straight", "bent"}) {
    INFO(way);
    step.values["way"] = Text(way);
    const Project filled = add_step(p, words, step).value();
    const Drawing d = drawn(filled);
    const DrawnPiece& piece = *find_drawn(d, words);
    REQUIRE(piece.outcomes.back().trouble.empty());
    const auto region = [&](const DrawnPiece& of) {
      std::vector<Region> all;
      for (const auto& line : of.piece->lines) all.push_back(region_of(transformed(*line.path, of.map * line.at)));
      return unite(all);
    };
    const Region ink = region(piece), heart = region(*find_drawn(d, 1));
    CHECK(geos_boolean(ink, heart, Boolean::cut_away).area < 0.5);
    CHECK(geos_boolean(ink, offset(heart, -2.9), Boolean::cut_away).area < 0.5);
    CHECK(area_of(ink) > 0.1 * area_of(heart));
    // Typed in again it fills the shape with other words.
    const Project typed = set_source_value(filled, words, "text", Text("oil")).value();
    const Drawing after = drawn(typed);
    CHECK(find_drawn(after, words)->outcomes.back().trouble.empty());
    CHECK(find_drawn(after, words)->bounds.height() > find_drawn(d, words)->bounds.height() / 4);
  }
  step.values["margin"] = 300.0;
  CHECK_FALSE(drawn(add_step(p, words, step).value()).pieces[0]->outcomes.back().trouble.empty());
}

}  // namespace dotlane::test
