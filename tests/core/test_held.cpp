// Held places: what follows what, exactly, through random edits; what hands do to it; what is refused.
#include "core/place/held.hpp"

#include "chance.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/history.hpp"
#include "core/shape/clip.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

int add_box(Project& p, const std::string& name, const Box& at) {
  int id = 0;
  p = *add_shape(std::move(p), "rectangle", {{"width", at.width()}, {"height", at.height()}}, &id);
  const Box now = bounds_of_piece(p, id);
  p = move_pieces(std::move(p), {id}, {at.x0 - now.x0, at.y0 - now.y0});
  p = rename_piece(std::move(p), id, name);
  return id;
}

Hold hold_of(Axis axis, double own, Anchor to) { return {axis, own, {std::move(to)}, 0, {}, {}}; }

Project held(const Project& p, int piece, const Hold& hold) {
  auto out = hold_piece(p, drawn(p), piece, hold);
  if (!out) FAIL(line_of(out.error()));
  return *out;
}

/// An edit, and what follows from it.
Project after(const Project& before, Project next) {
  DrawingCache cache;
  return with_held_places(before, std::move(next), cache);
}

Project resized(const Project& p, int piece, double width, double height) {
  Project free = set_aspect_lock(p, piece, false);
  return after(free, sized(free, piece, width, height));
}

}  // namespace

TEST_CASE("a greeting stays in the middle of the card's right half while the card grows from 5 x 4 to 7 x 5 in") {
  Project p = new_project("card");
  const int card = add_box(p, "Card", Box::of(20, 30, 5 * 25.4, 4 * 25.4));
  const int greeting = add_box(p, "Greeting", Box::of(90, 70, 31, 17));
  p = held(p, greeting, hold_of(Axis::x, 0.5, {card, "", 0.75}));
  p = held(p, greeting, hold_of(Axis::y, 0.5, {card, "", 0.5}));
  const auto& holds = find_piece(p, greeting)->holds;
  REQUIRE(holds.size() == 2);
  // As it lay, it was held off the middle; brought there it is on it.
  p = after(p, set_held_distance(set_held_distance(p, greeting, Axis::x, 0), greeting, Axis::y, 0));
  const auto off = [&] {
    const Box c = bounds_of_piece(p, card), g = bounds_of_piece(p, greeting);
    return Vec{g.centre().x - (c.x0 + 0.75 * c.width()), g.centre().y - c.centre().y};
  };
  CHECK(norm(off()) < 1e-6);
  p = resized(p, card, 7 * 25.4, 5 * 25.4);
  CHECK(bounds_of_piece(p, card).width() == Approx(177.8).margin(0.001));
  CHECK(norm(off()) < 1e-6);
  CHECK(bounds_of_piece(p, greeting).width() == Approx(31).margin(1e-6));
  // The file keeps it.
  const auto again = project_from_json(to_json(p), "again");
  REQUIRE(again);
  CHECK(*again == p);
  CHECK(sentence(told(p, find_piece(p, greeting)->holds[0])) == "middle on the middle of the right half of Card");
}

TEST_CASE("an edge held inside an edge keeps its distance, moved by hand it has another, and a middle is let go") {
  Project p = new_project("label");
  const int label = add_box(p, "Label", Box::of(20, 30, 80, 50));
  const int hole = add_box(p, "Hole", Box::of(23, 50, 6, 6));
  p = held(p, hole, hold_of(Axis::x, 0, {label, "", 0}));
  p = held(p, hole, hold_of(Axis::y, 0.5, {label, "", 0.5}));
  CHECK(find_piece(p, hole)->holds[0].distance_mm == Approx(3));
  CHECK(sentence(told(p, find_piece(p, hole)->holds[0])) == "left edge 3 mm right of the left edge of Label");
  const Project start = p;
  SECTION("the other is moved") {
    p = after(p, move_pieces(p, {label}, {11, -4}));
    CHECK(bounds_of_piece(p, hole).x0 == Approx(34));
    CHECK(bounds_of_piece(p, hole).y0 == Approx(46));
  }
  SECTION("both are moved: nothing changes between them") {
    p = after(p, move_pieces(p, {label, hole}, {11, -4}));
    CHECK(find_piece(p, hole)->holds == find_piece(start, hole)->holds);
    CHECK(bounds_of_piece(p, hole).x0 == Approx(34));
  }
  SECTION("it is moved by hand") {
    p = after(p, move_pieces(p, {hole}, {2, 0}));
    REQUIRE(find_piece(p, hole)->holds.size() == 2);
    CHECK(find_piece(p, hole)->holds[0].distance_mm == Approx(5));
    CHECK(bounds_of_piece(p, hole).x0 == Approx(25));
    p = after(p, move_pieces(p, {hole}, {0, 2}));
    REQUIRE(find_piece(p, hole)->holds.size() == 1);
    CHECK(find_piece(p, hole)->holds[0].axis == Axis::x);
  }
  SECTION("it is sized: it stays where it is held") {
    p = resized(p, hole, 10, 10);
    CHECK(bounds_of_piece(p, hole).x0 == Approx(23));
    CHECK(bounds_of_piece(p, hole).centre().y == Approx(53).margin(0.001));
  }
  SECTION("the other goes: it is let go") {
    p = after(p, remove_pieces(p, {label}));
    CHECK(find_piece(p, hole)->holds.empty());
    CHECK(bounds_of_piece(p, hole).x0 == Approx(23));
  }
  SECTION("a distance is typed") {
    p = after(p, set_held_distance(p, hole, Axis::x, 7.5));
    CHECK(bounds_of_piece(p, hole).x0 == Approx(27.5));
  }
  SECTION("copies are free, but those made with what they are held to") {
    int copy = 0;
    p = duplicate_piece(p, hole, &copy);
    CHECK(find_piece(p, copy)->holds.empty());
    std::vector<int> ids;
    p = pasted(p, clip_of(p, {hole}), {0, 40}, &ids);
    CHECK(find_piece(p, ids.front())->holds.empty());
    ids.clear();
    p = pasted(p, clip_of(p, {label, hole}), {0, 60}, &ids);
    REQUIRE(ids.size() == 2);
    for (const int id : ids) {
      for (const auto& hold : find_piece(p, id)->holds)
        CHECK(std::count(ids.begin(), ids.end(), hold.to[0].piece) == 1);
    }
  }
}

TEST_CASE("what stands on a fold follows the fold, and lies between it and the edge") {
  Project p = project_of(R"(<g><rect id="card" x="50" y="40" width="120" height="80" stroke="#444"/>
    <path id="fold" d="M100 40 V120" stroke="#444" stroke-dasharray="3 2"/></g>)");
  p = assign_role(std::move(p), {{1, "fold"}}, Role::score);
  const int door = add_box(p, "Door", Box::of(100, 70, 20, 30));
  const int sun = add_box(p, "Sun", Box::of(125, 45, 20, 20));
  p = held(p, door, hold_of(Axis::x, 0, {1, "fold", 0.5}));
  p = held(p, sun, {Axis::x, 0.5, {{1, "fold", 0.5}, {1, "", 1}}, 0, {}, {}});
  CHECK(sentence(told(p, find_piece(p, door)->holds[0])) == "left edge on the fold of Test");
  CHECK(sentence(told(p, find_piece(p, sun)->holds[0])) == "in the middle between the fold and the edge of Test");
  p = after(p, edit_piece(p, 1, [](Piece& piece) {
              Line& fold = piece.lines[1];
              fold.path = transformed(*fold.path, Affine::move(10, 0));
            }));
  CHECK(bounds_of_piece(p, door).x0 == Approx(110));
  CHECK(bounds_of_piece(p, sun).centre().x == Approx(140));
  p = resized(p, 1, 240, 80);
  CHECK(bounds_of_piece(p, door).x0 == Approx(170));
  CHECK(bounds_of_piece(p, sun).centre().x == Approx((170 + 290) / 2.0));
}

TEST_CASE("a row keeps its gaps equal when its ends move and when one of it grows") {
  Project p = new_project("row");
  std::vector<int> ids;
  for (const double x : {20.0, 47.0, 90.0, 111.0, 200.0}) ids.push_back(add_box(p, "Lantern", Box::of(x, 60, 15, 20)));
  auto row = hold_row(p, drawn(p), {ids[3], ids[0], ids[4], ids[1], ids[2]});
  REQUIRE(row);
  p = after(p, *row);
  const auto gaps = [&] {
    std::vector<double> out;
    for (std::size_t i = 1; i < ids.size(); ++i)
      out.push_back(bounds_of_piece(p, ids[i]).x0 - bounds_of_piece(p, ids[i - 1]).x1);
    return out;
  };
  for (const double gap : gaps()) CHECK(gap == Approx((200 - 35 - 45) / 4.0).margin(1e-6));
  p = after(p, move_pieces(p, {ids[4]}, {-30, 12}));
  for (const double gap : gaps()) CHECK(gap == Approx((170 - 35 - 45) / 4.0).margin(1e-6));
  p = resized(p, ids[2], 27, 20);
  for (const double gap : gaps()) CHECK(gap == Approx((170 - 35 - 57) / 4.0).margin(0.001));
  const auto all = gaps();
  CHECK(*std::max_element(all.begin(), all.end()) - *std::min_element(all.begin(), all.end()) < 1e-6);
  CHECK(sentence(told(p, find_piece(p, ids[1])->holds[0])) == "evenly in the row from Lantern to Lantern");
}

TEST_CASE("what would follow itself is refused, by whatever way, with the reason") {
  Project p = new_project("ring");
  const int a = add_box(p, "Anchor", Box::of(20, 30, 80, 50));
  const int b = add_box(p, "Buoy", Box::of(23, 50, 6, 6));
  const int c = add_box(p, "Chain", Box::of(33, 50, 6, 6));
  p = held(p, b, hold_of(Axis::x, 0, {a, "", 0}));
  p = held(p, c, hold_of(Axis::y, 0, {b, "", 0}));
  const auto itself = hold_piece(p, drawn(p), a, hold_of(Axis::x, 0, {a, "", 1}));
  REQUIRE_FALSE(itself);
  CHECK(sentence(itself.error().said) == "\"Anchor\" cannot be held to itself");
  const auto two = hold_piece(p, drawn(p), a, hold_of(Axis::y, 0, {b, "", 0}));
  REQUIRE_FALSE(two);
  CHECK(sentence(two.error().said) == "\"Anchor\" cannot be held to \"Buoy\": that follows \"Anchor\" itself");
  const auto three = hold_piece(p, drawn(p), a, hold_of(Axis::x, 0, {c, "", 0}));
  REQUIRE_FALSE(three);
  CHECK(sentence(three.error().said) ==
        "\"Anchor\" cannot be held to \"Chain\": that follows \"Anchor\" itself, by way of \"Buoy\"");
  CHECK_FALSE(hold_piece(p, drawn(p), a, hold_of(Axis::x, 0, {99, "", 0})));
  // Turned round on the same axis it is no ring.
  p = let_go(p, {b});
  CHECK(hold_piece(p, drawn(p), a, hold_of(Axis::x, 0, {b, "", 0})));
}

TEST_CASE("held places hold through 60 runs of random edits of the others, and through undo") {
  Chance chance(1848);
  for (int run = 0; run < rounds(60); ++run) {
    Project p = new_project("random");
    std::vector<int> ids;
    for (int i = 0; i < 6; ++i) {
      const double x = chance.between(10, 200), y = chance.between(10, 200), w = chance.between(5, 60);
      ids.push_back(add_box(p, "Piece " + std::to_string(i), Box::of(x, y, w, chance.between(5, 60))));
    }
    // Each may be held to those before it.
    static constexpr double shares[] = {0, 0.25, 0.5, 0.75, 1};
    for (std::size_t i = 1; i < ids.size(); ++i) {
      for (const Axis axis : kAxes) {
        if (chance.whole(0, 2) == 0) continue;
        const int to = ids[static_cast<std::size_t>(chance.whole(0, static_cast<int>(i) - 1))];
        p = held(p, ids[i], hold_of(axis, shares[chance.whole(0, 4)], {to, "", shares[chance.whole(0, 4)]}));
      }
    }
    const auto all_hold = [&](const Project& now) {
      const Drawing drawing = drawn(now);
      for (const auto& piece : now.pieces) {
        const Box own = tight_bounds(*find_drawn(drawing, piece->id));
        for (const auto& hold : piece->holds) {
          // Worked out here once more, from the frames alone.
          const Box other = tight_bounds(*find_drawn(drawing, hold.to[0].piece));
          const double share = hold.to[0].share;
          const double to = hold.distance_mm + (hold.axis == Axis::x ? other.x0 + other.width() * share
                                                                     : other.y0 + other.height() * share);
          const double at =
              hold.axis == Axis::x ? own.x0 + own.width() * hold.own_share : own.y0 + own.height() * hold.own_share;
          CHECK(at == Approx(to).margin(1e-6));
        }
      }
    };
    all_hold(p);
    History history(p);
    for (int edit = 0; edit < 8; ++edit) {
      const Project before = history.now();
      Project next = before;
      const int id = ids[static_cast<std::size_t>(chance.whole(0, 5))];
      switch (chance.whole(0, 3)) {
        case 0:
          next = move_pieces(next, {id}, {chance.between(-30, 30), chance.between(-30, 30)});
          break;
        case 1:
          next = sized(set_aspect_lock(next, id, false), id, chance.between(5, 80), chance.between(5, 80));
          break;
        case 2:
          next = turn_pieces(next, drawn(next), {id}, chance.between(-90, 90));
          break;
        default:
          next = mirror_pieces(next, drawn(next), {id, ids[0]}, chance.coin());
      }
      history.commit(after(before, std::move(next)), "edit");
      all_hold(history.now());
    }
    while (history.can_undo()) {
      history.undo();
      all_hold(history.now());
    }
    CHECK(history.now() == p);
  }
}

TEST_CASE("a circle that a file brings along ends, and the rest of it still holds") {
  Project p = new_project("circle");
  const int a = add_box(p, "A", Box::of(20, 30, 20, 20)), b = add_box(p, "B", Box::of(60, 30, 20, 20));
  p = edit_piece(std::move(p), a, [&](Piece& piece) { piece.holds = {{Axis::x, 0, {{b, "", 1, {}}}, 5, {}, {}}}; });
  p = edit_piece(std::move(p), b, [&](Piece& piece) { piece.holds = {{Axis::x, 0, {{a, "", 1, {}}}, 5, {}, {}}}; });
  const Project q = after(p, p);
  const double x0 = bounds_of_piece(q, a).x0, x1 = bounds_of_piece(q, b).x0;
  CHECK(std::abs(x0) < 1000);
  CHECK((std::abs(x1 - x0 - 25) < 1e-6 || std::abs(x0 - x1 - 25) < 1e-6));
  CHECK(after(q, q) == q);
}

TEST_CASE("what is fitted inside a blank is as large as its margin allows, and follows") {
  const auto fitted = [](const Values& blank, double margin, double w, double h) {
    Project p = new_project("fit");
    int disc = 0;
    p = *add_shape(std::move(p), "blank", blank, &disc);
    const int art = add_box(p, "Art", Box::of(200, 20, w, h));
    auto next = fit_piece(p, drawn(p), art, disc, margin);
    if (!next) FAIL(line_of(next.error()));
    return after(p, *next);
  };
  // A rectangle in a circle: its diagonal is the diameter.
  Project p = fitted({{"form", std::string("disc")}, {"across", 90.0}}, 3, 30, 40);
  Box art = bounds_of_piece(p, 2), disc = bounds_of_piece(p, 1);
  CHECK(std::hypot(art.width(), art.height()) == Approx(84).margin(0.02));
  CHECK(art.height() / art.width() == Approx(40.0 / 30));
  CHECK(distance(art.centre(), disc.centre()) < 0.001);
  // The blank is made larger, then moved; the margin is changed.
  p = after(p, *set_source_value(p, 1, "across", 120.0));
  art = bounds_of_piece(p, 2);
  CHECK(std::hypot(art.width(), art.height()) == Approx(114).margin(0.02));
  p = after(p, move_pieces(p, {1}, {20, 9}));
  CHECK(distance(bounds_of_piece(p, 2).centre(), bounds_of_piece(p, 1).centre()) < 0.001);
  p = after(p, set_fit_margin(p, 2, 10));
  art = bounds_of_piece(p, 2);
  CHECK(std::hypot(art.width(), art.height()) == Approx(100).margin(0.02));
  const auto again = project_from_json(to_json(p), "again");
  REQUIRE(again);
  CHECK(*again == p);
  // By hand it is on its own again.
  const Project moved = after(p, move_pieces(p, {2}, {5, 0}));
  CHECK_FALSE(find_piece(moved, 2)->fit);
  CHECK(bounds_of_piece(moved, 2).x0 == Approx(art.x0 + 5));
  CHECK_FALSE(find_piece(after(p, remove_pieces(p, {1})), 2)->fit);
  // What is fitted cannot hold what it is fitted inside.
  CHECK_FALSE(hold_piece(p, drawn(p), 1, hold_of(Axis::x, 0, {2, "", 0})));
  CHECK_FALSE(fit_piece(p, drawn(p), 2, 1, 80));
  // A square tile takes the longer side.
  p = fitted({{"form", std::string("tile")}, {"across", 60.0}, {"radius", 0.0}}, 5, 30, 10);
  CHECK(bounds_of_piece(p, 2).width() == Approx(50).margin(0.02));
}

TEST_CASE("a wrap for a glass has arcs as long as the glass is round") {
  // The development of a cone's frustum, a closed form: a sector whose radii are the slant heights.
  Project p = new_project("wrap");
  p = *add_shape(std::move(p), "blank",
                 {{"form", std::string("wrap")},
                  {"top", 80.0},
                  {"bottom", 60.0},
                  {"tall", 100.0},
                  {"overlap", 0.0},
                  {"margin", 0.0}});
  const auto drawing = drawn(p);
  const auto& line = find_drawn(drawing, 1)->piece->lines.front();
  CHECK(line.role == Role::guide);
  const auto& segments = line.path->contours.front().segments;
  const double slant = std::hypot(100, 10);
  const double pi = std::numbers::pi;
  CHECK(length_of(*line.path) == Approx(pi * 80 + pi * 60 + 2 * slant).epsilon(1e-5));
  CHECK(enclosed_area_of(*line.path) == Approx(pi * (80 + 60) / 2 * slant).epsilon(1e-5));
  CHECK(segments.size() > 3);
  p = *set_source_value(p, 1, "bottom", 80.0);
  const Box straight = bounds_of_piece(p, 1);
  CHECK(straight.width() == Approx(pi * 80).epsilon(1e-5));
  CHECK(straight.height() == Approx(100));
}
