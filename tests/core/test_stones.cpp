// Stones and studs: no two nearer than the web allows, all within their shape, as many as closed forms say. Lines that
// are moved by themselves.
#include "core/shape/stones.hpp"

#include "chance.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/recipe_edit.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;

Polyline circle(double r) {
  Polyline out;
  for (int i = 0; i <= 720; ++i) {
    const double t = 2 * std::numbers::pi * (i % 720) / 720;
    out.points.push_back({r * std::cos(t), r * std::sin(t)});
  }
  out.closed = true;
  return out;
}

double nearest(const std::vector<Vec>& at) {
  double least = 1e9;
  for (std::size_t i = 0; i < at.size(); ++i) {
    for (std::size_t k = 0; k < i; ++k) least = std::min(least, distance(at[i], at[k]));
  }
  return least;
}

}  // namespace

TEST_CASE("stones around a circle are as many as its chords allow, evenly") {
  for (const double r : {5.0, 12.0, 31.0}) {
    for (const double pitch : {2.3, 4.0, 7.1}) {
      const auto at = *stones_along({circle(r)}, pitch);
      const auto chords = static_cast<std::size_t>(std::numbers::pi / std::asin(pitch / 2 / r));
      INFO(r << " " << pitch);
      CHECK(at.size() <= chords);
      CHECK(at.size() + 1 >= chords);
      CHECK(nearest(at) >= pitch - 1e-6);
      CHECK(nearest(at) == Approx(2 * r * std::sin(std::numbers::pi / static_cast<double>(at.size()))).margin(0.01));
    }
  }
  // An open line has one at both ends; one shorter than the pitch has one in its middle.
  const auto line = *stones_along({Polyline{{{0, 0}, {100, 0}}, false}}, 9);
  REQUIRE(line.size() == 12);
  CHECK(line.front() == Vec{0, 0});
  CHECK(distance(line.back(), {100, 0}) < 1e-6);
  CHECK(*stones_along({Polyline{{{0, 0}, {3, 0}}, false}}, 9) == std::vector<Vec>{{1.5, 0}});
  // Lines that cross share the room at the crossing.
  const auto cross = *stones_along({Polyline{{{0, 0}, {90, 0}}, false}, Polyline{{{45, -45}, {45, 45}}, false}}, 9);
  CHECK(nearest(cross) >= 9 - 1e-6);
  CHECK(cross.size() == 21);
  CHECK(stones_along({}, 9)->empty());
  CHECK(stones_along({circle(5)}, 0)->empty());
  CHECK_FALSE(stones_along({circle(5)}, 0.001));
}

TEST_CASE("stones all over random shapes: inside, apart, and nearly as many as the closest packing has") {
  Chance chance(404);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    const Ring blob = wavy({}, chance.between(20, 60), chance.between(0, 0.3), 3, 90);
    const Region shape = region_of({blob}, FillRule::evenodd);
    const double hole = chance.between(2, 5), pitch = hole + chance.between(0.3, 2);
    const Region inner = offset(shape, -hole / 2);
    const auto at = *stones_all_over(inner, pitch);
    CHECK(nearest(at) >= pitch - 1e-6);
    // Each hole lies in the shape, as GEOS says of all of them together.
    std::vector<Region> discs;
    for (const Vec p : at) {
      Ring ring;
      for (int i = 0; i < 24; ++i) ring.push_back(p + Vec{std::cos(i / 3.82), std::sin(i / 3.82)} * (hole / 2 - 0.01));
      discs.push_back(Region{{ring}});
    }
    CHECK(geos_boolean(unite(discs), shape, Boolean::cut_away).area < 1e-6);
    // Thue: no packing of discs is denser than one in every pitch² √3/2; near the edge some room is lost.
    const double most = area_of(inner) / (pitch * pitch * std::sqrt(3.0) / 2);
    CHECK(static_cast<double>(at.size()) > 0.9 * most - 4);
  }
  CHECK(stones_all_over({}, 3)->empty());
  CHECK_FALSE(stones_all_over(region_of(Box{0, 0, 300, 300}), 0.5));
}

TEST_CASE("the stones step makes holes as wide as the stone asks, counts them, and says when none fits") {
  CHECK(stone_across("ss10") == 2.8);
  CHECK_FALSE(stone_across("own"));
  Project p = project_of(R"(<path id="q" d="M20 20 h60 v60 h-60 z"/>)");
  Step step;
  step.kind = "stones";
  step.values = {{"size", Text("ss16")}, {"web", 0.7}, {"clearance", 0.3}};
  const auto outcome = [&](Values more) {
    Step s = step;
    for (auto& [key, value] : more) s.values[key] = value;
    const Drawing d = drawn(add_step(p, 1, s).value());
    return std::pair(d.pieces[0]->outcomes.back(), d.pieces[0]->piece->lines);
  };
  // Along the outline: 240 mm of it, every 5 mm.
  const auto [along, holes] = outcome({});
  CHECK(along.stones == 48);
  REQUIRE(holes.size() == 1);
  CHECK(holes[0].role == Role::cut);
  CHECK(holes[0].path->contours.size() == 48);
  CHECK(along.area_mm2 == Approx(48 * std::numbers::pi * 2.15 * 2.15).epsilon(0.01));
  const auto [inside, within] = outcome({{"where", Text("inside")}, {"keep", true}});
  REQUIRE(within.size() == 2);
  const Box box = tight_bounds(*drawn(p).pieces[0]).grown(-0.69);
  for (const auto& c : within[1].path->contours) CHECK(box.grown(0.01).contains(c.start));
  CHECK(outcome({{"where", Text("all")}}).first.stones > 140);
  CHECK(outcome({{"where", Text("centre")}}).first.stones > 3);
  const auto none = outcome({{"where", Text("all")}, {"size", Text("own")}, {"across", 70.0}}).first;
  CHECK(none.stones == 0);
  CHECK(sentence(none.trouble).find("70.3 mm") != Text::npos);
  const auto many =
      outcome({{"where", Text("all")}, {"size", Text("own")}, {"across", 0.3}, {"clearance", 0.0}, {"web", 0.0}}).first;
  CHECK(sentence(many.trouble).find("more than 20000 stones") != Text::npos);
}

TEST_CASE("single copies are moved and stay moved while their motif changes, in the figure's sense") {
  Project p = project_of(R"(<path id="q" d="M20 20 h10 v10 h-10 z"/>)");
  Step step;
  step.kind = "repeat";
  step.values = {{"by", Text("count-pitch")}, {"count", 3.0}, {"pitch", 15.0}};
  p = add_step(p, 1, step).value();
  const auto boxes = [&] { return drawn(p).pieces[0]->line_bounds; };
  const auto ids = [&] {
    std::vector<LineRef> out;
    const Drawing d = drawn(p);
    for (const auto& line : d.pieces[0]->piece->lines) out.push_back({1, line.id});
    return out;
  };
  REQUIRE(boxes().size() == 3);
  const auto before = boxes();
  CHECK(can_move_lines(p, {ids()[1]}));
  CHECK_FALSE(can_move_lines(p, {{1, ""}}));
  CHECK_FALSE(can_move_lines(p, {}));
  const LineRef second = ids()[1];
  p = move_lines(p, {second}, {2, 7});
  p = move_lines(p, {second}, {1, 0});  // goes on with the same step
  CHECK(p.pieces[0]->steps.size() == 2);
  CHECK(boxes()[1].x0 == Approx(before[1].x0 + 3));
  CHECK(boxes()[1].y0 == Approx(before[1].y0 + 7));
  CHECK(boxes()[0] == before[0]);
  CHECK(boxes()[2] == before[2]);
  // Turned, the piece moves what it shows in the figure's direction; the motif's change is followed.
  p = place_pieces(p, {1}, Affine::rotate(90));
  const auto turned = boxes();
  p = move_lines(p, {second}, {0, 5});
  CHECK(boxes()[1].y0 == Approx(turned[1].y0 + 5));
  CHECK(boxes()[1].x0 == Approx(turned[1].x0));
  p = set_step_value(p, 1, p.pieces[0]->steps[0].id, "pitch", 20.0).value();
  CHECK(ids()[1] == second);
  CHECK(boxes()[1].y0 != Approx(turned[1].y0 + 5));
  // Another line has a step of its own; copies share their path all the same.
  p = move_lines(p, {ids()[2]}, {0, 1});
  CHECK(p.pieces[0]->steps.size() == 3);
  const Drawing d = drawn(p);
  CHECK(&*d.pieces[0]->piece->lines[0].path == &*d.pieces[0]->piece->lines[2].path);
}

}  // namespace dotlane::test
