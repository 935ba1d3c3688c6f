// How much to buy off the bolt: closed forms for rectangles, and bounds that hold for anything.
#include "core/layout/quantity.hpp"

#include "core/layout/lay_edit.hpp"
#include "fixtures.hpp"

namespace dotlane::test {
namespace {

Quantity quantity(const Project& p, const QuantityOptions& options) {
  const Drawing d = drawn(p);
  return quantity_of(p, d, lay_out(p, d), p.pieces.front()->stock, options);
}

}  // namespace

TEST_CASE("rectangles off the bolt take the rows that arithmetic says") {
  // Squares of 48 mm, 2 mm apart: four across 200 mm.
  Project p = project_of(R"(<path d="M10 10 h48 v48 h-48 z"/>)");
  p.laying.turn_step_deg = 90;
  QuantityOptions options;
  options.wide_mm = 200, options.copies = 12;
  const Quantity q = quantity(p, options);
  CHECK(q.parts == 12);
  CHECK(q.piles == 12);
  CHECK(q.too_wide == 0);
  CHECK(q.packed_mm >= 3 * 48 + 2 * 2 - 0.1);
  CHECK(q.packed_mm < 3 * 50 + 2);
  CHECK(q.length_mm == q.packed_mm);
  CHECK(q.used == Approx(12 * 48.0 * 48 / (200 * q.packed_mm)).epsilon(0.001));
  // Two layers at once: half as many cuts, twice the packed length; what shrinks by a fifth is bought longer by a
  // quarter.
  options.layers = 2;
  options.shrinks = 0.2;
  const Quantity two = quantity(p, options);
  CHECK(two.piles == 6);
  CHECK(two.parts == 12);
  CHECK(two.packed_mm < 2 * 50 + 2);
  CHECK(two.length_mm == Approx(2 * two.packed_mm * 1.25));
  // As the stock says, where nobody says otherwise.
  options.shrinks.reset();
  CHECK(quantity(p, options).length_mm == Approx(2 * two.packed_mm));
  for (auto& stock : p.stocks) stock.shrinks_percent = 20;
  CHECK(quantity(p, options).length_mm == Approx(two.length_mm));
  CHECK(project_from_json(to_json(p), "shrinks").value() == p);
  // Odd numbers fill the last pile in part.
  options.copies = 5;
  CHECK(quantity(p, options).piles == 3);
  // What is wider than the bolt whichever way it lies is told and left out.
  options.wide_mm = 40;
  const Quantity none = quantity(p, options);
  CHECK(none.too_wide == 3);
  CHECK(none.length_mm == 0);
}

TEST_CASE("a batch of hundreds is lots one after the other, and no more than all its rows") {
  Project p = project_of(R"(<path d="M10 10 h48 v48 h-48 z"/>)");
  p.laying.turn_step_deg = 90;
  QuantityOptions options;
  options.wide_mm = 200, options.copies = 500;
  const Quantity q = quantity(p, options);
  CHECK(q.parts == 500);
  CHECK(q.piles == 500);
  CHECK(q.too_wide == 0);
  // 125 rows of four, 2 mm apart.
  CHECK(q.packed_mm >= 125 * 48 + 124 * 2 - 0.1);
  CHECK(q.packed_mm < 125 * 50 * 1.02);
  CHECK(q.used == Approx(500 * 48.0 * 48 / (200 * q.packed_mm)).epsilon(0.001));
  options.layers = 3, options.shrinks = 0.2;
  const Quantity folded = quantity(p, options);
  CHECK(folded.piles == 167);
  CHECK(folded.parts == 500);
  CHECK(folded.length_mm == Approx(3 * folded.packed_mm * 1.25));
  options.wide_mm = 40, options.layers = 1;
  CHECK(quantity(p, options).too_wide == 500);
  CHECK(quantity(p, options).length_mm == 0);
}

TEST_CASE("the fish pennant's fabric and web: never less than its area, web for what is fused alone") {
  const Project p = demo("fish-pennant");
  const Drawing d = drawn(p);
  const Layout layout = lay_out(p, d);
  for (const auto& stock : p.stocks) {
    double area = 0;
    std::size_t parts = 0;
    for (const auto& part : layout.parts) {
      if (part.stock == stock.id) area += part.area_mm2, ++parts;
    }
    QuantityOptions options;
    options.wide_mm = 300, options.copies = 3;
    const Quantity q = quantity_of(p, d, layout, stock.id, options);
    INFO(stock.name);
    CHECK(q.parts == 3 * parts);
    if (parts == 0) continue;
    CHECK(q.length_mm * 300 >= 3 * area);
    CHECK(q.used <= 1);
    options.fused_only = true;
    const Quantity web = quantity_of(p, d, layout, stock.id, options);
    CHECK(web.parts == (stock.id == "felt" ? 0 : q.parts));
  }
}

}  // namespace dotlane::test
