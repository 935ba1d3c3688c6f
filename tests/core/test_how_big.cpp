// How big a figure may be for its sheets: what stops it, what helps, and by how much.
#include "core/layout/how_big.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/size_curve.hpp"

#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Rectangles to be cut, each on a sheet of 200 x 150 mm.
Project cut_out(const std::string& body) {
  Project p = project_of(body);
  std::vector<LineRef> all;
  for (const auto& line : p.pieces[0]->lines) all.push_back({1, line.id});
  p = assign_role(std::move(p), all, Role::cut);
  for (auto& sheet : p.sheets) sheet.area = Box::of(20, 20, 200, 150);
  return p;
}

HowBig big_of(const Project& p) {
  const Derived d = derived(p);
  return how_big(p, d.drawing, d.layout);
}

const Remedy* remedy(const HowBig& big, Remedy::What what) {
  for (const auto& r : big.remedies) {
    if (r.what == what) return &r;
  }
  return nullptr;
}

}  // namespace

TEST_CASE("the part that stops a figure is named, with the size at which it still fits and the turn in which it does") {
  // 100 x 20 lies best aslant; 60 x 40 would allow more.
  const Project p = cut_out(R"(<rect id="a" x="30" y="30" width="100" height="20"/>
    <rect id="b" x="30" y="60" width="60" height="40"/>)");
  const HowBig big = big_of(p);
  REQUIRE(big.part != npos);
  const Derived d = derived(p);
  CHECK(d.layout.parts[big.part].area_mm2 == Approx(2000));
  CHECK(big.figure.width() == Approx(100).margin(0.01));
  CHECK(big.figure.height() == Approx(70).margin(0.01));
  double best = 0;
  for (double a = 0; a < 180; a += 0.01) {
    const double c = std::abs(std::cos(a * 0.017453292519943295)), s = std::abs(std::sin(a * 0.017453292519943295));
    best = std::max(best, std::min(200 / (100 * c + 20 * s), 150 / (100 * s + 20 * c)));
  }
  CHECK(big.scale == Approx(best).epsilon(0.0005));
  CHECK(big.scale > 2);
}

TEST_CASE("grain leaves parts upright, and so smaller") {
  Project p = cut_out(R"(<rect id="a" x="30" y="30" width="20" height="100"/>)");
  const double free = big_of(p).scale;
  for (auto& stock : p.stocks) stock.grain = Grain::upright;
  CHECK(big_of(p).scale == Approx(1.5).epsilon(0.001));  // 150 / 100
  CHECK(free > 2);
}

TEST_CASE(
    "a larger mat, one seam and trimming are told where they help, the best first, up to the next part that stops") {
  const HowBig alone = big_of(cut_out(R"(<rect id="a" x="30" y="30" width="120" height="100"/>)"));
  CHECK(alone.scale == Approx(1.5).epsilon(0.001));
  const Remedy* seam = remedy(alone, Remedy::What::seam);
  REQUIRE(seam);
  CHECK(seam->scale == Approx(2).epsilon(0.001));  // halves of 60 x 100: 200 / 100, lying down
  REQUIRE(remedy(alone, Remedy::What::mat));
  CHECK(remedy(alone, Remedy::What::mat)->scale > seam->scale);
  CHECK(std::is_sorted(alone.remedies.begin(), alone.remedies.end(),
                       [](const Remedy& a, const Remedy& b) { return a.scale > b.scale; }));
  CHECK_FALSE(remedy(alone, Remedy::What::trim));
  // The next part stops it sooner than the seam.
  const HowBig two = big_of(cut_out(R"(<rect id="a" x="25" y="25" width="120" height="60"/>
    <rect id="b" x="25" y="90" width="110" height="59"/>)"));
  const Remedy* less = remedy(two, Remedy::What::seam);
  REQUIRE(less);
  CHECK(less->scale < 1.1 * two.scale);
  // Another stock's piece lies on the middle of it: what is left on either side may be larger.
  Project under = cut_out(R"(<rect id="a" x="30" y="30" width="120" height="100"/>)");
  const int top = add_drawing(under, R"(<rect id="t" x="60" y="20" width="60" height="120"/>)");
  under = assign_role(std::move(under), {{top, "t"}}, Role::cut);
  under = set_stock(under, top, under.stocks.back().id);
  for (auto& sheet : under.sheets) sheet.area = Box::of(20, 20, 200, 150);
  const Derived d = derived(under);
  REQUIRE(d.drawing.pieces.front()->piece->id == top);
  const HowBig covered = big_of(under);
  REQUIRE(d.layout.parts[covered.part].area_mm2 == Approx(12'000));
  const Remedy* trim = remedy(covered, Remedy::What::trim);
  REQUIRE(trim);
  CHECK(covered.scale == Approx(1.5).epsilon(0.001));
  CHECK(trim->scale == Approx(200.0 / 120).epsilon(0.001));  // as far as the one on top allows
  // With the other one below it, there is nothing to trim it under.
  std::swap(under.pieces.front(), under.pieces.back());
  CHECK_FALSE(remedy(big_of(under), Remedy::What::trim));
}

TEST_CASE("sheets are counted at a size: more of them when it grows") {
  const Project p =
      cut_out(R"(<rect id="a" x="30" y="30" width="60" height="50"/><rect id="b" x="100" y="30" width="60" height="50"/>
    <rect id="c" x="30" y="90" width="60" height="50"/><rect id="d" x="100" y="90" width="60" height="50"/>)");
  const Derived d = derived(p);
  const std::string stock = p.pieces[0]->stock;
  CHECK(sheets_at(p, d.drawing, d.layout, 1).at(stock) == 1);
  CHECK(sheets_at(p, d.drawing, d.layout, 1.5).at(stock) == 2);
  CHECK(sheets_at(p, d.drawing, d.layout, 2.4).at(stock) == 4);
}

TEST_CASE("nothing to be cut has no size to be asked for") {
  const Project p = new_project("empty");
  const HowBig big = big_of(p);
  CHECK(big.part == npos);
  CHECK(big.remedies.empty());
}

TEST_CASE("a figure as large as it may be is packed, though its part fits in one turn of its own alone") {
  Project p = cut_out(R"(<rect id="a" x="30" y="30" width="100" height="20"/>)");
  p.laying.turn_step_deg = 15;
  for (auto& stock : p.stocks) stock.laid_out = LaidOut::packed;
  const HowBig big = big_of(p);
  REQUIRE(std::abs(std::remainder(big.turn, 15)) > 1);
  DrawingCache cache;
  p = *size_pieces(p, {1}, {100 * std::floor(big.scale * 1000) / 1000, std::nullopt, {0, 0}}, cache);
  const Derived d = derived(p);
  const Derived after = derived(nest_all(p, d.drawing, d.layout, nest_options(p), 0.2).project);
  REQUIRE(after.layout.laid.size() == 1);
  CHECK(after.layout.laid[0].sheet != 0);
  CHECK_FALSE(finding(after, "part-waiting"));
  CHECK_FALSE(finding(after, "off-sheet"));
}

TEST_CASE("sheets against size: more of them the larger it is, today among them, and the largest for so many") {
  Project p =
      cut_out(R"(<rect id="a" x="20" y="30" width="60" height="40"/><rect id="b" x="20" y="80" width="60" height="40"/>
    <rect id="c" x="20" y="130" width="60" height="40"/>)");
  for (auto& stock : p.stocks) stock.laid_out = LaidOut::packed;
  DrawingCache cache;
  const auto schools = schools_of(p, cache);
  REQUIRE(schools.size() == 1);  // one piece: nothing to trim
  std::vector<SizePoint> points;
  size_curve(
      schools[0], 17, [&](const SizePoint& point) { points.push_back(point); }, [] { return false; });
  std::sort(points.begin(), points.end(), [](const auto& a, const auto& b) { return a.scale < b.scale; });
  REQUIRE(points.size() >= 3);
  CHECK(points.front().total() == 1);
  CHECK(points.back().total() == 3);
  CHECK(points.back().scale == Approx(schools[0].big.scale));
  CHECK(std::any_of(points.begin(), points.end(), [](const auto& point) { return point.scale == 1; }));
  for (std::size_t i = 1; i < points.size(); ++i) CHECK(points[i].total() >= points[i - 1].total());
  const auto two = largest_for(schools[0], 2, [] { return false; });
  REQUIRE(two);
  CHECK(two->total() == 2);
  CHECK(two->scale < schools[0].big.scale);
  CHECK(sheets_at(p, schools[0].drawing, schools[0].layout, two->scale * 1.02).begin()->second > 2);
  CHECK(largest_for(schools[0], 3, [] { return false; })->scale == Approx(schools[0].big.scale).margin(0.001));
  CHECK_FALSE(largest_for(schools[0], 0, [] { return false; }));
  // Told to stop, it stops.
  std::size_t told = 0;
  size_curve(
      schools[0], 17, [&](const SizePoint&) { ++told; }, [] { return true; });
  CHECK(told <= 1);
}

TEST_CASE("where a stock has nothing but scraps, their outlines say how large it may be, and a sheet is what helps") {
  // An arm of 30 x 10 mm; a scrap in the shape of an L with arms 90 x 30 mm, whose box is 90 x 90.
  Project p = project_of("<rect x='20' y='20' width='30' height='10'/>");
  p.sheets[0].outline = {{{0, 0}, {90, 0}, {90, 30}, {30, 30}, {30, 90}, {0, 90}}};
  p.sheets[0].area = Box::of(50, 50, 90, 90);
  p.sheets[0].window = {10, 10};
  Derived d = derived(p);
  HowBig big = how_big(p, d.drawing, d.layout);
  CHECK(big.scale == Approx(3).epsilon(0.005));
  REQUIRE_FALSE(big.remedies.empty());
  const double whole = largest_on(p, p.sheets[0].stock, d.layout.parts[0].body()).scale;
  CHECK(whole > 9);
  const auto sheet = std::find_if(big.remedies.begin(), big.remedies.end(),
                                  [](const Remedy& r) { return r.what == Remedy::What::sheet; });
  REQUIRE(sheet != big.remedies.end());
  CHECK(sheet->scale == Approx(whole));
  // A sheet beside the scrap: the scrap no longer stops anything.
  p.shelf.push_back({1, p.sheets[0].stock, 200, 200, 1, {}, "", {}});
  d = derived(p);
  big = how_big(p, d.drawing, d.layout);
  CHECK(big.scale == Approx(largest_on(p, p.sheets[0].stock, d.layout.parts[0].body()).scale));
  CHECK(std::none_of(big.remedies.begin(), big.remedies.end(),
                     [](const Remedy& r) { return r.what == Remedy::What::sheet; }));
}
