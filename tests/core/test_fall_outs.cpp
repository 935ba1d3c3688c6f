// What falls out of stencils: counted by shape, however it lies, and kept as scraps that other work is packed onto.
#include "core/layout/fall_outs.hpp"

#include <set>

#include "core/layout/nest.hpp"
#include "core/layout/shelf.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/stencil_strength.hpp"
#include "fixtures.hpp"

namespace dotlane::test {

TEST_CASE("bits that fall out are counted by shape, turned and mirrored ones too") {
  // Five of one triangle that lie differently, two squares, a rectangle as large as the square, one crumb.
  Project p = project_of(
      R"svg(<path d="M10 10 h20 v-8 z"/><path transform="translate(60 10) rotate(70)" d="M0 0 h20 v-8 z"/>)svg"
      R"svg(<path transform="translate(100 40) scale(-1 1)" d="M0 0 h20 v-8 z"/><path transform="translate(20 80) rotate(200)" d="M0 0 h20 v-8 z"/>)svg"
      R"svg(<path transform="translate(120 100)" d="M0 0 h20 v-8 z"/><path d="M150 10 h10 v10 h-10 z"/>)svg"
      R"svg(<path transform="translate(180 60) rotate(45)" d="M0 0 h10 v10 h-10 z"/><path d="M150 100 h20 v5 h-20 z"/><path d="M5 120 h0.5 v0.5 h-0.5 z"/>)svg");
  const Drawing d = drawn(p);
  const auto bits = fall_outs(*d.pieces[0], 1);
  REQUIRE(bits.size() == 3);
  std::multiset<std::pair<int, int>> seen;  // count, area
  for (const auto& b : bits) seen.insert({static_cast<int>(b.count), static_cast<int>(std::lround(b.area_mm2))});
  CHECK(seen == std::multiset<std::pair<int, int>>{{5, 80}, {2, 100}, {1, 100}});
  CHECK(fall_outs(*d.pieces[0], 0).size() == 4);
  double area = 0;
  for (const auto& b : fall_outs(*d.pieces[0], 0)) area += b.area_mm2 * static_cast<double>(b.count);
  CHECK(area == Approx(area_of(openings_of(*d.pieces[0]))).epsilon(0.001));

  // Kept, they are scraps of the stock with their number; another project's parts are packed onto them.
  const std::size_t before = p.shelf.size();
  const Project kept = keep_fall_outs(p, d, 1, 1);
  REQUIRE(kept.shelf.size() == before + 3);
  CHECK(kept.shelf[before].stock == p.pieces[0]->stock);
  CHECK(kept.shelf.back().count == 5);
  CHECK(kept.shelf.back().from == p.pieces[0]->name);
  CHECK(kept.pieces == p.pieces);
  const auto again = project_from_json(to_json(kept), "kept");
  REQUIRE(again);
  CHECK(again->shelf == kept.shelf);
}

TEST_CASE("what falls out of bridged letters is what their openings are in pieces") {
  Project p = new_project("words");
  int words = 0;
  p = add_shape(std::move(p), "lettering", {{"text", std::string("OOOAA")}, {"font", std::string("Roboto Slab Bold")}},
                &words)
          .value();
  Step step;
  step.kind = "bridge";
  p = add_step(p, words, step).value();
  const Drawing d = drawn(p);
  const auto bits = fall_outs(*d.pieces[0], 0);
  std::size_t n = 0;
  for (const auto& b : bits) n += b.count;
  CHECK(n == d.pieces[0]->outcomes.back().bridged->bits);
  CHECK(bits.front().count >= 2);  // the same letter leaves the same bits
  CHECK(keep_fall_outs(p, d, 99, 0) == p);
}

}  // namespace dotlane::test
