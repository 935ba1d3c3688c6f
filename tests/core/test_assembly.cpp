// In which steps parts are put together, what lies on what, and what is in its place already.
#include "core/layout/assembly.hpp"

#include "core/format/project_json.hpp"
#include "core/layout/lay_edit.hpp"
#include "fixtures.hpp"
#include "random_figures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::string square(const char* id, double x, double y, double side) {
  const auto n = [](double v) { return std::to_string(v); };
  return "<g id='" + std::string(id) + "'><rect x='" + n(x) + "' y='" + n(y) + "' width='" + n(side) + "' height='" +
         n(side) + "'/></g>";
}

/// Squares of 20 mm, each a piece of its own on a stock of its own; the first one on top.
Project squares(const std::vector<Vec>& at) {
  std::string svg;
  for (std::size_t i = at.size(); i > 0; --i)
    svg += square(("s" + std::to_string(i)).c_str(), at[i - 1].x, at[i - 1].y, 20);
  Project p = split_by_layer(project_of(svg), 1);
  REQUIRE(p.pieces.size() == at.size());
  for (std::size_t i = 0; i < at.size(); ++i) REQUIRE(bounds_of_piece(p, p.pieces[i]->id).x0 == Approx(at[i].x));
  Stock more = p.stocks.front();
  for (std::size_t i = 0; i < p.pieces.size(); ++i) {
    more.id = "card-" + std::to_string(i), more.name = more.id;
    p.stocks.push_back(more);
    Sheet sheet = p.sheets.front();
    sheet.id = static_cast<int>(10 + i), sheet.stock = more.id, sheet.load = static_cast<int>(2 + i);
    p.sheets.push_back(sheet);
    p = set_stock(std::move(p), p.pieces[i]->id, more.id);
  }
  return p;
}

}  // namespace

TEST_CASE("a layer lies above what its steps lie on, and no higher than that") {
  // On top a square over the two in the middle, one of which lies on the lowest; and one apart from all.
  const Project p = squares({{10, 10}, {0, 0}, {20, 20}, {32, 32}, {100, 100}});
  const Derived d = derived(p);
  for (const bool top_first : {false, true}) {
    CAPTURE(top_first);
    const auto steps = assembly_of(d.drawing, d.layout, top_first);
    REQUIRE(steps.size() == p.pieces.size());
    const auto levels = levels_of(d.layout, steps, top_first);
    std::map<int, std::size_t> of_piece;
    for (std::size_t s = 0; s < steps.size(); ++s) of_piece[steps[s].piece] = levels[s];
    std::vector<std::size_t> from_top;
    for (const auto& piece : p.pieces) from_top.push_back(of_piece[piece->id]);
    CHECK(from_top == std::vector<std::size_t>{2, 0, 1, 0, 0});
  }
}

TEST_CASE("numbers stand inside of what they name, however it is bent") {
  for (int seed = 0; seed < rounds(60); ++seed) {
    CAPTURE(seed);
    const RandomFigure figure = random_figure(static_cast<std::uint32_t>(seed), 300, 120);
    // Whole, and with holes where layers lie on it, as long as anything is left in one piece.
    CHECK(encloses(figure.body, number_place(figure.body)));
    for (const auto& part : parts_of(subtract(figure.body, figure.over()))) CHECK(encloses(part, number_place(part)));
  }
}

TEST_CASE("copies are noted as in their place, in order, stay so when their piece is moved, and go with their number") {
  Project p = squares({{0, 0}, {40, 0}});
  const Drawing drawing = derived(p).drawing;
  p = set_copies(p, drawing, lay_out(p, drawing), {0}, 4);
  Derived d = derived(p);
  const auto laid_of = [&](std::size_t part, int copy) {
    for (std::size_t k = 0; k < d.layout.laid.size(); ++k) {
      if (d.layout.laid[k].part == part && d.layout.laid[k].copy == copy) return k;
    }
    return npos;
  };
  const std::string before = to_json(p);
  Project some = set_in_place(p, d.drawing, d.layout, {laid_of(0, 4), laid_of(0, 1), laid_of(1, 1)}, true);
  CHECK(some.parts[0].in_place == std::vector<int>{1, 4});
  CHECK(some.parts[1].in_place == std::vector<int>{1});
  const auto read = project_from_json(to_json(some), "made");
  REQUIRE(read);
  CHECK(*read == some);
  // Moved and turned in the figure, they are the same parts.
  some = edit_piece(some, some.pieces[0]->id,
                    [](Piece& piece) { piece.placement = Affine::move(5, 3) * Affine::rotate(20); });
  d = derived(some);
  std::vector<std::pair<std::size_t, int>> placed;
  for (const auto& laid : d.layout.laid) {
    if (laid.in_place) placed.emplace_back(laid.part, laid.copy);
  }
  CHECK(placed == std::vector<std::pair<std::size_t, int>>{{0, 1}, {0, 4}, {1, 1}});
  // Fewer copies: what was said of the fourth is forgotten, of the first it is not.
  const Project fewer = set_copies(some, d.drawing, d.layout, {0}, 2);
  CHECK(fewer.parts[0].in_place == std::vector<int>{1});
  d = derived(p);
  Project back = set_in_place(p, d.drawing, d.layout, {laid_of(0, 1)}, true);
  back = set_in_place(back, d.drawing, d.layout, {laid_of(0, 1)}, false);
  CHECK(to_json(back) == before);
}
