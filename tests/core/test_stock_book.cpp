// The stock book on a batch of the fair's pennants: reserved, run, used up, offcuts back, the cost to the hundredth.
#include "core/plan/batch.hpp"

#include <set>

#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/shelf.hpp"
#include "core/road.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Derived derived_book(const Project& p) {
  DrawingCache cache;
  return derive(p, cache);
}

const ShelfItem* on_shelf(const Project& p, int id) {
  const auto at = std::find_if(p.shelf.begin(), p.shelf.end(), [&](const ShelfItem& s) { return s.id == id; });
  return at == p.shelf.end() ? nullptr : &*at;
}

/// A pennant of card, cut from one of five sheets at 1.35 each.
Project pennant_batch() {
  Project p = project_of(R"(<rect id="pennant" x="60" y="60" width="120" height="60"/>)");
  ShelfItem sheets;
  sheets.stock = "cover-65", sheets.width_mm = 200, sheets.height_mm = 150, sheets.count = 5, sheets.price = 1.35;
  const int id = add_to_shelf(p, sheets);
  p.sheets[0].area = Box::of(20, 20, 200, 150), p.sheets[0].window = {20, 20}, p.sheets[0].shelf = id;
  for (auto& tool : p.tools) {
    if (tool.id == "fine-blade") tool.price = 6, tool.lasts_m = 100;
  }
  p.plan.minute_price = 0.5;
  return p;
}

}  // namespace

TEST_CASE("sheets of a layout are reserved, and what is short is to be bought") {
  Project p = pennant_batch();
  const int id = p.shelf.back().id;
  CHECK(reserved(p).back().sheets == 1);
  CHECK(reserved(p).back().missing == 0);
  for (int n = 0; n < 6; ++n) {
    Sheet more = p.sheets[0];
    more.id = 10 + n, more.load = 2 + n;
    p.sheets.push_back(more);
  }
  CHECK(reserved(p).back().sheets == 7);
  CHECK(reserved(p).back().missing == 2);
  p.sheets.back().not_now = true;
  CHECK(reserved(p).back().missing == 1);
  p = remove_from_shelf(std::move(p), id);
  CHECK(reserved(p).empty());
}

TEST_CASE(
    "what was run is off the shelf, the rest is back with its share of the price, and it adds up to the hundredth") {
  const Project p = pennant_batch();
  const int id = p.shelf.back().id;
  const Derived d = derived_book(p);
  const Cost cost = cost_of(p, d.drawing, d.layout, d.plan);
  long sum = 0, offcut = 0;
  for (const auto& line : cost.lines) {
    sum += line.hundredths;
    if (line.what == Cost::Line::What::sheet) CHECK(line.hundredths == 135);
    if (line.what == Cost::Line::What::offcut) offcut -= line.hundredths;
    if (line.what == Cost::Line::What::wear) CHECK(line.hundredths == std::lround(6.0 * 0.36 / 100 * 100));
    if (line.what == Cost::Line::What::work) CHECK(line.hundredths == std::lround(0.5 * d.plan.seconds / 60 * 100));
  }
  CHECK(cost.total() == sum);
  CHECK(cost.lines.size() == 4);
  const Project after = use_up(p, d.drawing, d.layout);
  CHECK(*on_shelf(after, id)->count == 4);
  REQUIRE(after.shelf.size() == p.shelf.size() + 1);
  const ShelfItem& back = after.shelf.back();
  CHECK_FALSE(back.outline.empty());
  CHECK(back.stock == "cover-65");
  // The same money on both sides: what was paid less what came back is what it cost.
  CHECK(std::lround(back.price * 100) == offcut);
  CHECK(135 - offcut == std::lround((p.shelf.back().price - back.price) * 100));
  // By area: what is left of 200 x 150 around 120 x 60 with its gap.
  const double gap = p.laying.gap_mm;
  CHECK(back.price / 1.35 == Approx(1 - (120 + 2 * gap) * (60 + 2 * gap) / (200 * 150)).margin(0.03));
  CHECK(p.shelf.back().count == 5);  // values in, values out
  CHECK(project_from_json(to_json(after), "batch").value() == after);
}

TEST_CASE("the fair's pennants from scraps: every scrap that was cut is gone, its rest is there") {
  Project p = load_project(std::string(DOTLANE_DEMO) + "/fair-pennants.dotlane").value();
  for (auto& item : p.shelf) item.price = 0.8;
  const Derived d = derived_book(p);
  std::set<int> used;
  for (const auto& pass : d.plan.passes) {
    const int item = find_sheet(p, pass.sheet)->shelf;
    if (item > 0) used.insert(item);
  }
  REQUIRE_FALSE(used.empty());
  const Cost cost = cost_of(p, d.drawing, d.layout, d.plan);
  const Project after = use_up(p, d.drawing, d.layout);
  double back = 0;
  for (const auto& item : after.shelf) {
    if (!on_shelf(p, item.id)) back += item.price;
  }
  long sheets = 0, offcuts = 0;
  for (const auto& line : cost.lines) {
    if (line.what == Cost::Line::What::sheet) sheets += line.hundredths;
    if (line.what == Cost::Line::What::offcut) offcuts -= line.hundredths;
  }
  CHECK(std::lround(back * 100) == offcuts);
  for (const int id : used) {
    const ShelfItem* was = on_shelf(p, id);
    const ShelfItem* is = on_shelf(after, id);
    if (!was->outline.empty()) {
      CHECK(is == nullptr);
      CHECK(std::none_of(after.sheets.begin(), after.sheets.end(), [&](const Sheet& s) { return s.shelf == id; }));
    } else if (was->count) {
      CHECK(*is->count < *was->count);
    }
  }
  CHECK(sheets > offcuts);
  // Nothing runs: nothing is used.
  Project none = p;
  for (auto& sheet : none.sheets) sheet.not_now = true;
  const Derived idle = derived_book(none);
  CHECK(use_up(none, idle.drawing, idle.layout) == none);
  CHECK(cost_of(none, idle.drawing, idle.layout, idle.plan).total() == 0);
}

namespace {

/// A tag of which just one goes onto a sheet of 200 x 150, five of which are there at 1.35.
Project one_a_sheet() {
  Project p = pennant_batch();
  p.pieces.clear();
  add_drawing(p, R"(<rect id="tag" x="25" y="25" width="180" height="130"/>)");
  return p;
}

}  // namespace

TEST_CASE("a batch: what is on the shelf, what is to be bought, what it costs in all and apiece") {
  const Project p = one_a_sheet();
  const Drawing drawing = drawn(p);
  const Batch seven = batch_of(p, drawing, 7, 0.1);
  REQUIRE(seven.needs.size() == 1);
  const Batch::Need& need = seven.needs.front();
  CHECK(need.item == p.shelf.back().id);
  CHECK(need.sheets == 7);
  CHECK(need.missing == 2);
  CHECK(need.size_mm == Vec{200, 150});
  CHECK_FALSE(need.scrap);
  CHECK(seven.to_pay() == 270);
  CHECK(seven.waiting == 0);
  CHECK_FALSE(seven.unpriced());
  CHECK(seven.seconds > 0);
  // The kinds add up to the whole, and the sheets to what they cost.
  long sum = 0;
  for (const auto& [what, hundredths] : by_kind(seven.cost)) {
    sum += hundredths;
    if (what == Cost::Line::What::sheet) CHECK(hundredths == 7 * 135);
    if (what == Cost::Line::What::work) CHECK(hundredths == std::lround(0.5 * seven.seconds / 60 * 100));
    if (what == Cost::Line::What::wear) CHECK(hundredths == std::lround(6.0 * 7 * 0.62 / 100 * 100));
  }
  CHECK(sum == seven.cost.total());
  // Five are there: nothing is bought for them.
  const Batch five = batch_of(p, drawing, 5, 0.1);
  CHECK(five.needs.front().sheets == 5);
  CHECK(five.needs.front().missing == 0);
  CHECK(five.to_pay() == 0);
  CHECK(p.shelf.back().count == 5);  // values in, values out
}

TEST_CASE("a batch multiplies what is made of each part, uses scraps first, says what fits nowhere") {
  Project p = one_a_sheet();
  // Two of the tag are made: three batches are six sheets.
  {
    const Drawing drawing = drawn(p);
    p = set_copies(std::move(p), drawing, lay_out(p, drawing), {0}, 2);
  }
  CHECK(batch_of(p, drawn(p), 3, 0.1).needs.front().sheets == 6);
  // A scrap that takes one of them goes first, and is there once.
  ShelfItem scrap = scrap_of(region_of(Box{0, 0, 190, 140}), "cover-65", "an older batch");
  scrap.price = 0.4;
  const int id = add_to_shelf(p, scrap);
  const Batch with = batch_of(p, drawn(p), 3, 0.1);
  REQUIRE(with.needs.size() == 2);
  for (const auto& need : with.needs) {
    CHECK(need.scrap == (need.item == id));
    CHECK(need.sheets == (need.scrap ? 1 : 5));
    CHECK(need.missing == 0);
  }
  // Nothing of the stock is owned: all of it is bought, for a price that nobody said.
  Project none = one_a_sheet();
  none.shelf.clear();
  none.sheets[0].shelf = 0;
  const Batch bought = batch_of(none, drawn(none), 3, 0.1);
  REQUIRE(bought.needs.size() == 1);
  CHECK(bought.needs.front().sheets == 3);
  CHECK(bought.needs.front().missing == 3);
  CHECK(bought.unpriced());
  CHECK(bought.to_pay() == 0);
  // Larger than any sheet.
  Project large = one_a_sheet();
  add_drawing(large, R"(<rect id="large" x="10" y="10" width="260" height="240"/>)");
  CHECK(batch_of(large, drawn(large), 4, 0.1).waiting == 4);
}

TEST_CASE(
    "batches of the fair's pennants: more copies never take fewer sheets, and no sheet carries more than its area") {
  const Project p = load_project(std::string(DOTLANE_DEMO) + "/fair-pennants.dotlane").value();
  const Derived d = derived_book(p);
  double parts = 0;
  for (const auto& laid : d.layout.laid) {
    const Part& part = d.layout.parts[laid.part];
    if (part.has_body()) parts += area_of(part.body());
  }
  int before = 0;
  for (const int copies : {1, 2, 4}) {
    const Batch batch = batch_of(p, d.drawing, copies, 0.1);
    int sheets = 0;
    double room = 0;
    for (const auto& need : batch.needs) {
      sheets += need.sheets;
      room += need.sheets * need.size_mm.x * need.size_mm.y;
    }
    CHECK(sheets >= before);
    if (batch.waiting == 0) CHECK(room > copies * parts);
    before = sheets;
  }
}
