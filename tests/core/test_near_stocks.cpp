// Cards of nearly the same colour.
#include "core/layout/near_stocks.hpp"

#include "core/layout/how_big.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Three squares, each a piece on a card of its own: two greens that differ by a little, and a blue.
Project three_cards() {
  Project p = new_project("cards");
  const std::vector<std::pair<std::string, std::string>> cards{
      {"leaf", "#3f7f4f"}, {"fern", "#42804e"}, {"sea", "#2f5f9f"}};
  for (const auto& [id, color] : cards) {
    Stock stock = p.stocks[0];
    stock.id = stock.name = id, stock.color = *parse_color(color), stock.laid_out = LaidOut::packed;
    p.stocks.push_back(stock);
  }
  int id = add_drawing(p, R"(<rect x="20" y="20" width="90" height="90"/>)", "leaf.svg");
  p = set_stock(std::move(p), id, "leaf");
  id = add_drawing(p, R"(<rect x="150" y="20" width="12" height="12"/><rect x="200" y="20" width="40" height="40"/>)",
                   "fern.svg");
  p = set_stock(std::move(p), id, "fern");
  id = add_drawing(p, R"(<rect x="150" y="150" width="60" height="60"/>)", "sea.svg");
  p = set_stock(std::move(p), id, "sea");
  for (auto& piece : p.pieces) {
    piece.edit([](Piece& it) {
      for (auto& line : it.lines) line.role = Role::cut;
    });
  }
  return p;
}

std::vector<NearStocks> near(const Project& p, double within = 5) {
  const Derived d = derived(p);
  return near_stocks(p, d.drawing, d.layout, within);
}

}  // namespace

TEST_CASE("two greens that hardly differ are named with what is on the lesser one and the sheet that is saved") {
  const Project p = three_cards();
  const auto pairs = near(p);
  REQUIRE(pairs.size() == 1);
  CHECK(pairs[0].keep == "leaf");
  CHECK(pairs[0].other == "fern");
  CHECK(pairs[0].difference < 2);
  CHECK(pairs[0].sheets == 2);
  CHECK(pairs[0].sheets_united == 1);
  // The forgotten bit first.
  REQUIRE(pairs[0].bits.size() == 2);
  CHECK(pairs[0].bits[0].area_mm2 == Approx(144));
  CHECK(distance(pairs[0].bits[0].at, {156, 26}) < 0.01);
  CHECK(pairs[0].bits[1].area_mm2 == Approx(1600));
  const Project united = unite_stocks(p, pairs);
  CHECK(near(united).empty());
  const Derived d = derived(united);
  std::size_t sheets = 0;
  for (const auto& [stock, n] : sheets_at(united, d.drawing, d.layout, 1)) sheets += n;
  CHECK(sheets == 2);  // with the blue one
}

TEST_CASE("cards of another thickness stay apart, and a card gives way once") {
  Project p = three_cards();
  CHECK(near(p, 0.1).empty());
  // Of all three at once, each gives way once at most, and never to one that gave way, nor after another gave way to
  // it.
  const auto all = near(p, 200);
  REQUIRE_FALSE(all.empty());
  for (const auto& pair : all) {
    CHECK(std::count_if(all.begin(), all.end(), [&](const NearStocks& o) { return o.other == pair.other; }) == 1);
    CHECK(std::none_of(all.begin(), all.end(), [&](const NearStocks& o) { return o.keep == pair.other; }));
  }
  for (auto& stock : p.stocks) {
    if (stock.id == "fern") stock.thickness_mm += 0.5;
  }
  CHECK(near(p).empty());
}
