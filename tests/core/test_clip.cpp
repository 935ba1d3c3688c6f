// Pieces taken along to other places and projects, and copied on in the same way.
#include "core/shape/clip.hpp"

#include <cmath>
#include <numbers>
#include <set>

#include "chance.hpp"

#include "core/geometry/measure.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/sizing.hpp"
#include "fixtures.hpp"
#include "random_projects.hpp"

namespace dotlane::test {

TEST_CASE("pieces of a clip come back with recipes that work with each other") {
  const Project p = demo("fish-pennant");
  std::vector<int> all;
  for (const auto& piece : p.pieces) all.push_back(piece->id);
  const Project clip = clip_of(p, all);
  CHECK(clip.sheets.empty());
  CHECK(clip.shelf.empty());
  std::vector<int> ids;
  const Project twice = pasted(p, clip, {400, 0}, &ids);
  REQUIRE(ids.size() == all.size());
  REQUIRE(twice.pieces.size() == 2 * all.size());
  CHECK(twice.stocks.size() == p.stocks.size());
  const Drawing before = drawn(p), after = drawn(twice);
  for (std::size_t i = 0; i < all.size(); ++i) {
    const Box was = find_drawn(before, all[i])->bounds, now = find_drawn(after, ids[i])->bounds;
    CHECK(now.x0 == Approx(was.x0 + 400).margin(0.01));
    CHECK(now.width() == Approx(was.width()).margin(0.01));
    // What is there stays as it was: pieces above work on what lies under them alone.
    CHECK(find_drawn(after, all[i])->bounds.width() == Approx(was.width()).margin(0.01));
    for (const auto& step : find_piece(twice, ids[i])->steps) {
      for (const int other : inputs_of(step)) CHECK(std::find(ids.begin(), ids.end(), other) != ids.end());
    }
  }
  // Into an empty project: with its stocks and tools, one sheet each.
  const Project fresh = pasted(Project{}, clip, {0, 0}, nullptr);
  CHECK(fresh.stocks.size() == clip.stocks.size());
  for (const auto& piece : fresh.pieces) CHECK(find_stock(fresh, piece->stock));
  CHECK_FALSE(fresh.sheets.empty());
}

TEST_CASE("what works with pieces that stay behind is frozen for another project") {
  Project p = project_of(R"(<path d="M20 20 h60 v60 h-60 z"/>)");
  const int cutter = add_drawing(p, R"(<path d="M60 60 h60 v60 h-60 z"/>)");
  p = add_step(p, 1, Step{0, "cut-away", true, {{"with", std::vector<double>{static_cast<double>(cutter)}}}, {}, {}})
          .value();
  const Drawing d = drawn(p);
  const Project alone = clip_for_others(p, d, {1}), both = clip_for_others(p, d, {1, cutter});
  CHECK(alone.pieces[0]->steps.empty());
  CHECK(find_piece(both, 1)->steps.size() == 1);
  std::vector<int> ids;
  const Project there = pasted(new_project("other"), alone, {0, 0}, &ids);
  const Drawing seen = drawn(there);
  CHECK(enclosed_area_of(*find_drawn(seen, ids[0])->piece->lines[0].path) == Approx(3600 - 400).margin(0.1));
  // In the same project it goes on working with the other one.
  const Project same = pasted(p, clip_of(p, {1}), {5, 0}, &ids);
  CHECK(inputs_of(find_piece(same, ids.back())->steps[0]) == std::vector<int>{cutter});
}

TEST_CASE("random projects: every clip pasted into its own project and another is saved and read") {
  Chance chance(71);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    const Project p = random_project(chance);
    std::vector<int> some;
    for (const auto& piece : p.pieces) {
      if (chance.coin()) some.push_back(piece->id);
    }
    const Drawing d = drawn(p);
    for (const Project& next :
         {pasted(p, clip_of(p, some), {3, 4}), pasted(new_project("other"), clip_for_others(p, d, some), {0, 0})}) {
      std::set<int> ids;
      for (const auto& piece : next.pieces) CHECK(ids.insert(piece->id).second);
      CHECK(project_from_json(to_json(next), "clip").value() == next);
      const Drawing there = drawn(next);
      for (const auto& piece : there.pieces) {
        for (const auto& line : piece->piece->lines) {
          if (!line.tool.empty()) CHECK(find_tool(next, line.tool));
        }
      }
    }
  }
}

TEST_CASE("copied again: as far, as much turned and as much larger as the copy before") {
  DrawingCache cache;
  Project p = project_of(R"(<path d="M20 20 h20 v10 h-20 z"/>)");
  int copy = 0;
  p = duplicate_piece(std::move(p), 1, &copy, {30, 5});
  std::vector<Copied> pairs{{1, copy}};
  for (int i = 2; i <= 4; ++i) {
    std::vector<Copied> next;
    p = copied_again(p, pairs, cache, &next).value();
    pairs = next;
    const Box b = find_drawn(drawn(p), pairs[0].to)->bounds;
    CHECK(b.x0 == Approx(20 + 30 * i).margin(1e-6));
    CHECK(b.y0 == Approx(20 + 5 * i).margin(1e-6));
  }
  // Turned by 30 degrees and half as large again: a spiral, whose steps grow and turn alike.
  Project q = project_of(R"(<path d="M100 100 h20 v10 h-20 z"/>)");
  q = duplicate_piece(std::move(q), 1, &copy, {40, 0});
  q = turn_pieces(q, drawn(q), {copy}, 30);
  q = size_pieces(q, {copy}, {find_drawn(drawn(q), copy)->bounds.width() * 1.5, {}, {0.5, 0.5}}, cache).value();
  std::vector<Copied> next;
  q = copied_again(q, {{1, copy}}, cache, &next).value();
  const Drawing d = drawn(q);
  const auto area = [&](int id) {
    return area_of(transformed(region_of(*find_drawn(d, id)->piece->lines[0].path), find_drawn(d, id)->map));
  };
  const auto centre = [&](int id) { return tight_bounds(*find_drawn(d, id)).centre(); };
  CHECK(area(next[0].to) == Approx(200 * std::pow(1.5, 4)).epsilon(0.001));
  const Vec first = centre(copy) - centre(1), second = centre(next[0].to) - centre(copy);
  CHECK(norm(second) == Approx(1.5 * norm(first)).epsilon(0.001));
  const double turned =
      std::atan2(first.y * second.x - first.x * second.y, dot(first, second)) * 180 / std::numbers::pi;
  CHECK(turned == Approx(30).margin(0.01));
  // What is gone is passed over.
  CHECK_FALSE(copied_again(q, {{1, 999}}, cache, nullptr));
}

TEST_CASE("single lines come along alone, and what is trimmed by all above is frozen without these") {
  Project p = project_of(R"(<path id="a" d="M20 20 h60 v60 h-60 z"/><path id="b" d="M25 25 h10 v10 h-10 z"/>)");
  const Project alone = with_lines_alone(p, drawn(p), {{1, "b"}});
  REQUIRE(find_piece(alone, 1)->lines.size() == 1);
  CHECK(find_piece(alone, 1)->lines[0].id == "b");
  CHECK(with_lines_alone(p, drawn(p), {{1, ""}}) == p);
  int ring = 0;
  p = add_shape(p, "ring", {}, &ring).value();
  const Drawing d = drawn(p);
  const std::string made = find_drawn(d, ring)->piece->lines[0].id;
  CHECK(find_piece(with_lines_alone(p, d, {{ring, made}}), ring)->source.kind.empty());
  // The lower one is trimmed by whatever is above it.
  Project q = project_of(R"(<path d="M20 20 h60 v60 h-60 z"/>)");
  q = add_step(q, 1, Step{0, "trim-under", true, {{"tuck", 0.0}}, {}, {}}).value();
  const int above = add_drawing(q, R"(<path d="M50 0 h100 v100 h-100 z"/>)");
  const Drawing e = drawn(q);
  CHECK(find_piece(clip_for_others(q, e, {1}), 1)->steps.empty());
  CHECK(find_piece(clip_for_others(q, e, {1, above}), 1)->steps.size() == 1);
}

TEST_CASE("copied again: what grew more one way than the other grows so again") {
  DrawingCache cache;
  int first = 0, copy = 0;
  Project p = add_shape(new_project("grow"), "rectangle", {{"width", 20.0}, {"height", 10.0}}, &first).value();
  p = set_aspect_lock(p, first, false);
  p = duplicate_piece(std::move(p), first, &copy, {50, 0});
  p = size_pieces(p, {copy}, {30.0, 11.0, {0.5, 0.5}}, cache).value();
  std::vector<Copied> next;
  p = copied_again(p, {{first, copy}}, cache, &next).value();
  const Drawing d = drawn(p);
  CHECK(find_drawn(d, next[0].to)->bounds.width() == Approx(45).margin(0.01));
  CHECK(find_drawn(d, next[0].to)->bounds.height() == Approx(12.1).margin(0.01));
}

}  // namespace dotlane::test
