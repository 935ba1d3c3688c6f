// In which steps parts are put together, what lies on what, and what is in its place already.
#include "core/layout/assembly.hpp"

#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/numbers.hpp"
#include "core/layout/room.hpp"
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
    const int id = p.pieces[i]->id;
    p = set_stock(std::move(p), id, more.id);
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

TEST_CASE("numbers are drawn beside their parts on what is left of the sheet, in a light pass of their own") {
  Project p = demo("wading-heron");
  const Derived plain = derived(p);
  CHECK(plain.layout.unnumbered.empty());
  const auto pen = std::find_if(p.tools.begin(), p.tools.end(), [](const Tool& t) { return serves(t, Role::draw); });
  REQUIRE(pen != p.tools.end());
  p.laying.number_tool = pen->id;
  const Derived d = derived(p);
  std::vector<std::size_t> numbered;
  for (const auto& sheet : d.layout.sheets) {
    if (sheet.pieces.empty() || sheet.pieces.front().drawn->piece->id != kNumbersPiece) continue;
    const LaidPiece& numbers = sheet.pieces.front();
    const Region usable = usable_on(p, sheet.sheet);
    std::vector<Region> bodies;
    for (const auto& laid : d.layout.laid) {
      if (laid.sheet == sheet.sheet.id) bodies.push_back(body_on_mat(d.drawing, d.layout.parts[laid.part], laid.map));
    }
    const Region all = unite(bodies);
    const auto& strokes = *numbers.drawn->flat->lines[0].polylines;
    for (std::size_t c = 0; c < strokes.size(); ++c) {
      // On no part, and within what tools reach; near the one that it names, and never on another's number.
      CHECK(clip({strokes[c]}, all, true).empty());
      CHECK(clip({strokes[c]}, usable, false).empty());
      const std::size_t k = (*numbers.laid)[0][c];
      const Region own = body_on_mat(d.drawing, d.layout.parts[d.layout.laid[k].part], d.layout.laid[k].map);
      CHECK(bounds_of(own).grown(2 * kNumberFar).contains(strokes[c].points.front()));
      if (numbered.empty() || numbered.back() != k) numbered.push_back(k);
    }
  }
  // Every part has its own or is said to have none.
  std::vector<std::size_t> every = numbered;
  every.insert(every.end(), d.layout.unnumbered.begin(), d.layout.unnumbered.end());
  std::sort(every.begin(), every.end());
  CHECK(every.size() == d.layout.laid.size());
  CHECK(std::adjacent_find(every.begin(), every.end()) == every.end());
  CHECK(numbered.size() >= 15);
  CHECK((finding(d, "numbers-left-out") != nullptr) == !d.layout.unnumbered.empty());
  // A pass of its own on each sheet, as light as the pen allows; all else as it was.
  std::size_t passes = 0;
  for (const auto& pass : d.plan.passes) {
    if (!pass.numbers) continue;
    ++passes;
    CHECK(pass.role == Role::draw);
    CHECK(pass.force_gf == pen->min_force_gf);
  }
  CHECK(passes > 0);
  CHECK_FALSE(finding(d, "force-clamped"));  // lightly is what is wanted
  CHECK(d.plan.passes.size() == plain.plan.passes.size() + passes);
  // Parts that are left out of the run take their numbers along.
  const Project without = set_not_now(p, d.drawing, d.layout, {numbered.front()}, true);
  const auto strokes_of = [](const Derived& of) {
    std::size_t n = 0;
    for (const auto& pass : of.plan.passes) n += pass.numbers ? pass.strokes.size() : 0;
    return n;
  };
  CHECK(strokes_of(derived(without)) < strokes_of(d));
  CHECK_FALSE(find_tool(remove_tool(p, pen->id), pen->id) == nullptr);
}

TEST_CASE("in a mirrored job numbers are on the backs and read right way round there") {
  Project p = squares({{20, 20}, {60, 20}});
  p.plan.mirrored = true;
  p.laying.number_tool = "pen-black";
  if (!find_tool(p, "pen-black")) p.tools.push_back(*find_tool(four_inks(), "pen-black"));
  const Derived d = derived(p);
  CHECK(d.layout.unnumbered.empty());
  std::size_t seen = 0;
  for (const auto& pass : d.plan.passes) {
    if (!pass.numbers) continue;
    for (const auto& stroke : pass.strokes) {
      const Part& part = d.layout.parts[d.layout.laid[stroke.laid].part];
      const auto expected = number_strokes(part.number);
      REQUIRE(expected.size() == 1);
      // As the tool meets it: the strokes of the number itself, only moved.
      auto points = stroke.points();
      if (stroke.reversed) std::reverse(points.begin(), points.end());
      REQUIRE(points.size() == expected[0].points.size());
      const Vec moved = points[0] - expected[0].points[0];
      for (std::size_t i = 0; i < points.size(); ++i) CHECK(distance(points[i], expected[0].points[i] + moved) < 1e-9);
      ++seen;
    }
  }
  CHECK(seen == 2);
}

TEST_CASE("numbers that read otherwise upside down are underlined") {
  for (const int n : {6, 9, 16, 66, 68, 81, 106}) CHECK(number_strokes(n).back().points.front().y > kNumberHigh / 2);
  for (const int n : {1, 2, 3, 8, 11, 12, 69, 88, 96, 101, 274}) {
    CAPTURE(n);
    for (const auto& stroke : number_strokes(n)) {
      for (const Vec q : stroke.points) CHECK(q.y <= kNumberHigh / 2 + 1e-9);
    }
  }
}
