// Pieces sized, turned and mirrored as one.
#include "chance.hpp"
#include "core/project/arrange.hpp"
#include "fixtures.hpp"

namespace dotlane::test {
namespace {

Box frame_of_all(const Project& p, const std::vector<int>& ids) { return frame_around(drawn(p), ids); }

Project size_as_one(const Project& p, const std::vector<int>& ids, const Sizing& sizing) {
  DrawingCache cache;
  return *size_pieces(p, ids, sizing, cache);
}

Project with_step(Project p, int id, const std::string& kind, Values values = {}) {
  return *add_step(std::move(p), id, Step{0, kind, true, std::move(values), {}, {}});
}

struct Layered {
  Project p;
  int card = 0, tower = 0, words = 0, behind = 0;
  std::vector<int> all;
  /// A card, a tower with an offset, lettering that is joined, and an outline behind the tower.
  Layered() {
    p = *add_shape(new_project("layered"), "rectangle", {{"width", 100.0}, {"height", 70.0}}, &card);
    p = project_with_tower(std::move(p));
    p = *add_shape(std::move(p), "lettering", {{"text", std::string("Fair")}, {"size", 12.0}}, &words);
    p = with_step(std::move(p), words, "join");
    p = move_pieces(std::move(p), {words}, {10, 25});
    p = add_outline_of(std::move(p), {tower}, 3, &behind);
    all = {card, tower, words, behind};
  }
  Project project_with_tower(Project q) {
    const auto art = read_svg(
        R"(<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200" fill="none"
        stroke="#222"><path d="M150 60 L170 60 L175 120 L145 120 Z"/></svg>)",
        "tower.svg");
    q = add_artwork(std::move(q), *art, "tower.svg", &tower);
    return with_step(std::move(q), tower, "offset", {{"by", 2.0}});
  }
};

}  // namespace

TEST_CASE("a layered selection takes exactly the size asked for, about the place that stays") {
  const Layered l;
  const Box before = frame_of_all(l.p, l.all);
  for (const Vec anchor : {Vec{0, 0}, Vec{1, 1}, Vec{0.5, 0}, Vec{0, 0.5}}) {
    for (const double factor : {0.4, 1.3, 2.5}) {
      const Project q = size_as_one(l.p, l.all, {before.width() * factor, std::nullopt, anchor});
      const Box now = frame_of_all(q, l.all);
      INFO("anchor " << anchor.x << "," << anchor.y << " factor " << factor);
      CHECK(std::abs(now.width() - before.width() * factor) < 0.001);
      CHECK(now.x0 + anchor.x * now.width() == Approx(before.x0 + anchor.x * before.width()).margin(0.01));
      CHECK(now.y0 + anchor.y * now.height() == Approx(before.y0 + anchor.y * before.height()).margin(0.01));
      // A typed length stays that length: the outline behind is 3 mm larger than the tower, at any size.
      CHECK(bounds_of_piece(q, l.behind).width() == Approx(bounds_of_piece(q, l.tower).width() + 6).margin(0.02));
      CHECK(find_piece(q, l.tower)->steps.front().values.at("by") == Value{2.0});
    }
  }
}

TEST_CASE("what a recipe makes takes the size asked for to a micrometre") {
  Chance chance(2711);
  for (int round = 0; round < 60; ++round) {
    Layered l;
    l.p = with_step(std::move(l.p), l.card, "offset", {{"by", 1.7}});
    const int id = l.all[static_cast<std::size_t>(chance.whole(0, 2))];
    const Box before = bounds_of_piece(l.p, id);
    const bool locked = find_piece(l.p, id)->aspect_locked;
    const double width = before.width() * chance.between(0.5, 2), height = before.height() * chance.between(0.5, 2);
    const Project q = size_as_one(l.p, {id}, {width, locked ? std::nullopt : std::optional(height), {0, 0}});
    const Box now = bounds_of_piece(q, id);
    INFO("piece " << id << " to " << width << " x " << height << ", got " << now.width() << " x " << now.height());
    CHECK(std::abs(now.x1 - (before.x0 + width)) < 0.001);
    if (!locked) CHECK(std::abs(now.y1 - (before.y0 + height)) < 0.001);
  }
}

TEST_CASE("steps scale along when that is asked for, and then everything does") {
  const Layered l;
  const Box before = frame_of_all(l.p, l.all);
  Sizing sizing{before.width() * 2, std::nullopt};
  sizing.scale_steps = true;
  const Project q = size_as_one(l.p, l.all, sizing);
  CHECK(std::get<double>(find_piece(q, l.tower)->steps.front().values.at("by")) == Approx(4).margin(1e-3));
  for (const int id : l.all) {
    const Box a = bounds_of_piece(l.p, id), b = bounds_of_piece(q, id);
    INFO("piece " << id);
    CHECK(b.width() == Approx(2 * a.width()).margin(0.03));
    CHECK(b.x0 - before.x0 == Approx(2 * (a.x0 - before.x0)).margin(0.03));
    CHECK(b.y0 - before.y0 == Approx(2 * (a.y0 - before.y0)).margin(0.03));
  }
}

TEST_CASE("proportions are kept when one of the pieces keeps its own, else both sizes are free") {
  Layered l;
  const Box before = frame_of_all(l.p, l.all);
  CHECK(keeps_proportions(l.p, l.all));
  // Of two sizes the tighter decides.
  const Project tight = size_as_one(l.p, l.all, {before.width() * 2, before.height() * 1.5});
  CHECK(std::abs(frame_of_all(tight, l.all).height() - before.height() * 1.5) < 0.001);
  for (const int id : l.all) l.p = set_aspect_lock(std::move(l.p), id, false);
  const Project free = size_as_one(l.p, l.all, {before.width() * 2, before.height() * 1.5});
  CHECK(std::abs(frame_of_all(free, l.all).width() - before.width() * 2) < 0.001);
  CHECK(std::abs(frame_of_all(free, l.all).height() - before.height() * 1.5) < 0.001);
}

TEST_CASE("random plain selections: every piece goes where the map of the frame says, and back again") {
  Chance chance(1020);
  for (int round = 0; round < 120; ++round) {
    Project p = new_project("random");
    std::vector<int> ids;
    const int n = chance.whole(1, 5);
    for (int i = 0; i < n; ++i) {
      int id = 0;
      p = *add_shape(std::move(p), chance.coin() ? "rectangle" : "tag",
                     {{"width", std::round(chance.between(5, 60))}, {"height", std::round(chance.between(5, 60))}},
                     &id);
      p = move_pieces(std::move(p), {id}, {chance.between(-80, 80), chance.between(-80, 80)});
      if (chance.coin()) p = turn_pieces(p, drawn(p), {id}, chance.between(-90, 90));
      ids.push_back(id);
    }
    const Box before = frame_of_all(p, ids);
    const double factor = chance.between(0.3, 3);
    const Vec anchor{static_cast<double>(chance.whole(0, 2)) / 2, static_cast<double>(chance.whole(0, 2)) / 2};
    Sizing sizing{before.width() * factor, std::nullopt, anchor};
    sizing.scale_steps = true;  // corners and holes of the tags are sizes as well
    const Project q = size_as_one(p, ids, sizing);
    const Vec fixed{before.x0 + anchor.x * before.width(), before.y0 + anchor.y * before.height()};
    CHECK(std::abs(frame_of_all(q, ids).width() - before.width() * factor) < 0.001);
    for (const int id : ids) {
      const Vec a = bounds_of_piece(p, id).centre(), b = bounds_of_piece(q, id).centre();
      CHECK(distance(b, fixed + (a - fixed) * factor) < 0.02);
    }
    const Project back = size_as_one(q, ids, {before.width(), std::nullopt, anchor, true});
    for (const int id : ids)
      CHECK(distance(bounds_of_piece(back, id).centre(), bounds_of_piece(p, id).centre()) < 0.03);
  }
}

TEST_CASE("a selection is turned and mirrored about its own middle, and twice mirrored is as before") {
  const Layered l;
  const Box before = frame_of_all(l.p, l.all);
  const Project turned = turn_pieces(l.p, drawn(l.p), l.all, 90);
  const Box now = frame_of_all(turned, l.all);
  CHECK(now.width() == Approx(before.height()).margin(0.03));
  CHECK(distance(now.centre(), before.centre()) < 0.03);
  for (const bool across : {true, false}) {
    const Project once = mirror_pieces(l.p, drawn(l.p), l.all, across);
    CHECK(distance(frame_of_all(once, l.all).centre(), before.centre()) < 0.01);
    const Box a = bounds_of_piece(l.p, l.words), b = bounds_of_piece(once, l.words);
    CHECK((across ? b.x0 : b.y0) ==
          Approx(across ? before.x0 + before.x1 - a.x1 : before.y0 + before.y1 - a.y1).margin(0.01));
    const Project twice = mirror_pieces(once, drawn(once), l.all, across);
    for (const int id : l.all) {
      const Box c = bounds_of_piece(l.p, id), d = bounds_of_piece(twice, id);
      CHECK(std::abs(c.x0 - d.x0) + std::abs(c.y0 - d.y0) + std::abs(c.x1 - d.x1) + std::abs(c.y1 - d.y1) < 0.01);
    }
  }
}

TEST_CASE("what is made of other pieces goes with them once, not twice") {
  const Layered l;
  const Box before = bounds_of_piece(l.p, l.behind);
  const Project moved = move_pieces(l.p, {l.tower, l.behind}, {20, 5});
  CHECK(std::abs(bounds_of_piece(moved, l.behind).x0 - (before.x0 + 20)) < 0.001);
  CHECK(std::abs(bounds_of_piece(moved, l.behind).y0 - (before.y0 + 5)) < 0.001);
  // By itself it is moved from where they put it.
  CHECK(std::abs(bounds_of_piece(move_pieces(l.p, {l.behind}, {20, 5}), l.behind).x0 - (before.x0 + 20)) < 0.001);
}

TEST_CASE("what would take long says so instead of answering from an older drawing") {
  // A saw of 1,800 nodes with an offset.
  std::string d = "M10 100";
  for (int i = 0; i < 900; ++i)
    d += " L" + std::to_string(10 + i * 0.2 + 0.1) + " 90 L" + std::to_string(10 + (i + 1) * 0.2) + " 100";
  Project p = project_of("<path id=\"saw\" d=\"" + d + " L190 150 L10 150 Z\"/>");
  const int id = p.pieces.front()->id;
  p = with_step(std::move(p), id, "offset", {{"by", 1.0}});
  DrawingCache cache;
  CHECK_FALSE(size_pieces(p, {id}, {150.0, std::nullopt}, cache, Effort::at_once));
  const Project q = *size_pieces(p, {id}, {150.0, std::nullopt}, cache);
  CHECK(std::abs(bounds_of_piece(q, id).width() - 150) < 0.001);
}

TEST_CASE("contours are clicked for a step that has none yet") {
  // Adding the step from the menu and clicking ended the program once.
  Project p = project_of(R"(<path id="ring" d="M20 20 h60 v60 h-60 Z M40 40 h20 v20 h-20 Z"/>)");
  const int id = p.pieces.front()->id;
  p = with_step(std::move(p), id, "drop-contours");
  p = pick_contour(p, drawn(p), id, {50, 40}, false);
  CHECK(find_drawn(drawn(p), id)->piece->lines.front().path->contours.size() == 1);
}

}  // namespace dotlane::test
