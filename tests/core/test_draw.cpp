// Drawn by hand: lines, folds, loops that choose and erase, cuts in two; the tape; shapes that are alike.
#include "core/shape/draw.hpp"

#include "chance.hpp"
#include "core/geometry/measure.hpp"
#include "core/place/catch.hpp"
#include "core/place/tape.hpp"
#include "core/project/alike.hpp"
#include "core/project/nodes.hpp"
#include "core/shape/steps.hpp"
#include "core/typed_number.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Region material(const Project& p, int id) {
  const Drawing d = drawn(p);
  return material_of(find_drawn(d, id)->piece->lines);
}

std::size_t cut_contours(const Project& p, int id) {
  const Drawing d = drawn(p);
  std::size_t n = 0;
  for (const auto& line : find_drawn(d, id)->piece->lines) n += line.path->contours.size();
  return n;
}

}  // namespace

TEST_CASE("a straight line is as drawn, a line with corners closes exactly, a free hand becomes a few curves") {
  const auto straight = drawn_contour({{1, 2}, {30, 41}}, Drawn::straight, false);
  REQUIRE(straight);
  CHECK(length_of(Path{{*straight}, {}}) == Approx(std::hypot(29, 39)));
  const auto closed = drawn_contour({{0, 0}, {30, 0}, {30, 20}}, Drawn::polyline, true);
  REQUIRE(closed);
  CHECK(closed->closed);
  CHECK(closed->segments.back().end == closed->start);
  CHECK(enclosed_area_of(Path{{*closed}, {}}) == Approx(300).margin(0.001));
  CHECK_FALSE(drawn_contour({{5, 5}, {5, 5}}, Drawn::straight, false));
  Chance chance(7);
  std::vector<Vec> hand;
  for (int i = 0; i <= 200; ++i) {
    const double t = i / 200.0;
    hand.push_back({100 * t + chance.between(-0.1, 0.1), 20 * std::sin(6 * t) + chance.between(-0.1, 0.1)});
  }
  const auto smooth = drawn_contour(hand, Drawn::freehand, false);
  REQUIRE(smooth);
  CHECK(smooth->segments.size() < 20);
  const Polyline flat = flatten(*smooth, 0.001);
  for (const Vec p : hand) CHECK(distance_to(flat, p) < 0.6);
}

TEST_CASE("a fold runs from edge to edge of what is cut, and leaves openings out") {
  Project p = project_of(R"(<g><rect id="card" x="50" y="40" width="120" height="80" stroke="#444"/>
    <rect id="window" x="80" y="60" width="20" height="20" stroke="#444"/></g>)");
  const Drawing d = drawn(p);
  auto folds = fold_across(find_drawn(d, 1), {60, 70}, {65, 70});
  REQUIRE(folds.size() == 2);
  double length = 0;
  for (const auto& fold : folds) length += distance(fold.start, fold.segments.back().end);
  CHECK(length == Approx(100).margin(0.001));
  folds = fold_across(find_drawn(d, 1), {110, 60}, {110, 61});
  REQUIRE(folds.size() == 1);
  CHECK(distance(folds[0].start, folds[0].segments.back().end) == Approx(80).margin(0.001));
  CHECK(fold_across(nullptr, {0, 0}, {9, 0}).size() == 1);
  int id = 0;
  p = add_drawn(std::move(p), folds, Drawn::fold, 1, "Fold", &id);
  CHECK(find_piece(p, id)->lines.front().role == Role::score);
  CHECK_FALSE(find_piece(p, id)->lines.front().tool.empty());
  p = add_drawn(std::move(p), folds, Drawn::fold, 1, "Fold", &id);
  CHECK(find_piece(p, id)->name == "Fold 2");
}

TEST_CASE("what lies wholly in a loop is erased by a step, wherever the piece goes and however large it becomes") {
  std::string body = R"(<rect id="card" x="50" y="40" width="120" height="80" stroke="#444"/>)";
  for (int i = 0; i < 5; ++i)
    body += "<circle id='speck" + std::to_string(i) + "' cx='" + std::to_string(70 + 20 * i) +
            "' cy='70' r='1' stroke='#444'/>";
  Project p = project_of(body);
  const std::vector<Vec> loop{{65, 65}, {95, 65}, {95, 75}, {65, 75}};
  p = erase_within(p, drawn(p), {1}, loop);
  REQUIRE(find_piece(p, 1)->steps.size() == 1);
  CHECK(find_drawn(drawn(p), 1)->outcomes.back().dropped == 2);
  CHECK(cut_contours(p, 1) == 4);
  p = move_pieces(std::move(p), {1}, {31, 12});
  p = sized(p, 1, 240.0, 160.0);
  CHECK(cut_contours(p, 1) == 4);
  // Where there is nothing to erase no step is added; a step taken out brings everything back.
  CHECK(erase_within(p, drawn(p), {1}, {{0, 0}, {5, 0}, {5, 5}}) == p);
  CHECK(cut_contours(remove_step(p, 1, find_piece(p, 1)->steps[0].id), 1) == 6);
}

TEST_CASE("what is cut along a line falls in two parts that together are the whole") {
  Chance chance(321);
  int parted = 0;
  for (int round = 0; round < rounds(60); ++round) {
    const Ring ring = wavy({100, 100}, chance.between(20, 50), chance.between(0, 0.3), chance.whole(2, 7), 90);
    std::string d;
    for (std::size_t i = 0; i < ring.size(); ++i)
      d += (i == 0 ? "M" : " L") + std::to_string(ring[i].x) + " " + std::to_string(ring[i].y);
    Project p = project_of("<path id='blob' d='" + d + "Z' stroke='#444'/>");
    const double whole = area_of(material(p, 1));
    const double angle = chance.between(0, 6.28), off = chance.between(-10, 10);
    const Vec way{std::cos(angle), std::sin(angle)}, across{-way.y, way.x};
    const Vec mid = Vec{100, 100} + across * off;
    // With a bend, and too short: it is carried on to the edges.
    const std::vector<Vec> course{mid - way * 8, mid + across * 3, mid + way * 8};
    p = split_along(p, drawn(p), {1}, course);
    REQUIRE(find_piece(p, 1)->steps.size() == 1);
    const Region both = material(p, 1);
    const auto parts = parts_of(both);
    CHECK(parts.size() >= 2);
    parted += parts.size() == 2;
    double sum = 0;
    for (const auto& part : parts) sum += area_of(part);
    CHECK(sum == Approx(whole).margin(0.001 * 250 + 0.01 * 200));  // the kerf, and curves put back
    CHECK(find_drawn(drawn(p), 1)->outcomes.back().trouble.empty());
  }
  CHECK(parted > rounds(60) / 2);
  // With an opening in it: the opening is parted, too.
  Project p = project_of(R"(<g><rect id="card" x="50" y="40" width="120" height="80" stroke="#444"/>
    <rect id="window" x="100" y="60" width="20" height="20" stroke="#444"/></g>)");
  p = split_along(p, drawn(p), {1}, {{110, 30}, {110, 130}});
  const auto parts = parts_of(material(p, 1));
  REQUIRE(parts.size() == 2);
  for (const auto& part : parts) {
    CHECK(part.rings.size() == 1);
    CHECK(area_of(part) == Approx(60 * 80 - 10 * 20).margin(0.5));
  }
  const Layout layout = derived(p).layout;
  CHECK(layout.parts.size() == 2);
  CHECK(split_along(p, drawn(p), {1}, {{0, 0}, {5, 0}}) == p);
}

TEST_CASE("a loop takes what it encloses, or all that it touches") {
  Project p = project_of(R"(<path id="a" d="M10 10 h20" stroke="#444"/><path id="b" d="M10 20 h60" stroke="#444"/>)");
  add_drawing(p, R"(<circle id="c" cx="100" cy="100" r="20" stroke="#444"/>)");
  const Drawing d = drawn(p);
  const std::vector<Vec> loop{{5, 5}, {50, 5}, {50, 30}, {5, 30}};
  CHECK(caught(d, loop, Caught::enclosed) == std::vector<LineRef>{{1, "a"}});
  CHECK(caught(d, loop, Caught::touched) == std::vector<LineRef>{{1, ""}});
  CHECK(caught(d, {{0, 0}, {200, 0}, {200, 200}, {0, 200}}, Caught::enclosed).size() == 2);
  // Its frame is enclosed by the loop's frame, but not by the loop.
  const std::vector<Vec> bent{{70, 70}, {140, 70}, {140, 140}, {135, 140}, {135, 75}, {70, 75}};
  CHECK(caught(d, bent, Caught::enclosed).empty());
  CHECK(caught(d, bent, Caught::touched).empty());
  CHECK(caught(d, {{95, 70}, {105, 70}, {105, 140}, {95, 140}}, Caught::touched) == std::vector<LineRef>{{2, ""}});
  CHECK(caught(d, {{1, 1}, {2, 2}}, Caught::touched).empty());
}

TEST_CASE("copies of a star are alike, turned, mirrored, larger and smaller, and nothing else is") {
  Project p = new_project("stars");
  std::vector<int> stars;
  Chance chance(5);
  for (int i = 0; i < 6; ++i) {
    int id = 0;
    p = *add_shape(std::move(p), "star", {{"points", 7.0}, {"across", chance.between(10, 60)}}, &id);
    p = turn_pieces(p, drawn(p), {id}, chance.between(0, 360));
    if (i % 2 == 1) p = mirror_pieces(p, drawn(p), {id}, true);
    stars.push_back(id);
  }
  int other = 0;
  for (const double points : {5.0, 6.0, 8.0}) p = *add_shape(std::move(p), "star", {{"points", points}}, &other);
  p = *add_shape(std::move(p), "ellipse", {}, &other);
  p = *add_shape(std::move(p), "star", {{"points", 7.0}, {"notch", 60.0}}, &other);
  const auto found = alike(drawn(p), {{stars[2], ""}}, Alike::shape);
  CHECK(found.size() == stars.size());
  for (const int id : stars) CHECK(std::count(found.begin(), found.end(), LineRef{id, ""}) == 1);
}

TEST_CASE("the tape tells four distances, lengths and areas by closed forms, and the thinnest place") {
  const auto inside = distances(Box::of(20, 30, 10, 5), Box::of(0, 0, 100, 100));
  CHECK(inside[0]->mm == Approx(20));
  CHECK(inside[1]->mm == Approx(70));
  CHECK(inside[2]->mm == Approx(30));
  CHECK(inside[3]->mm == Approx(65));
  const auto beside = distances(Box::of(20, 30, 10, 5), Box::of(50, 30, 10, 10));
  CHECK_FALSE(beside[0]);
  CHECK(beside[1]->mm == Approx(20));
  CHECK(beside[2]->mm == Approx(0));  // level with it
  CHECK(beside[3]->mm == Approx(5));

  Project p = project_of(R"(<circle id="disc" cx="50" cy="50" r="20" stroke="#444"/>
    <path id="bell" d="M100 100 h30 v13 h20 v-13 h30 v30 h-30 v-14 h-20 v14 h-30 Z" stroke="#444"/>
    <path id="open" d="M10 150 h30 v40" stroke="#444"/>)");
  const Drawing d = drawn(p);
  const DrawnPiece& piece = *find_drawn(d, 1);
  const auto disc = figures_of(piece, 0);
  CHECK(disc.length_mm == Approx(2 * std::numbers::pi * 20).epsilon(5e-5));  // the circle is of cubics
  CHECK(disc.area_mm2 == Approx(std::numbers::pi * 400).epsilon(1e-4));
  CHECK(thinnest_of(piece, 0)->width_mm == Approx(40).margin(0.05));
  const auto thin = thinnest_of(piece, 1);  // a bar 3 mm high, 20 long, between two squares
  REQUIRE(thin);
  CHECK(thin->width_mm == Approx(3).margin(0.03));
  CHECK(thin->at.x > 129);
  CHECK(thin->at.x < 151);
  CHECK(thin->at.y == Approx(114.5).margin(1.5));
  CHECK(figures_of(piece, 2).length_mm == Approx(70));
  CHECK_FALSE(figures_of(piece, 2).closed);
  CHECK_FALSE(thinnest_of(piece, 2));
}

TEST_CASE("nodes are moved, added without a trace, taken out, and closed lines stay closed") {
  Chance chance(77);
  for (int round = 0; round < 100; ++round) {
    std::string d = "M" + std::to_string(chance.between(20, 100)) + " " + std::to_string(chance.between(20, 100));
    const int n = chance.whole(3, 8);
    const auto at = [&] { return std::to_string(chance.between(20, 100)) + " "; };
    for (int i = 0; i < n; ++i) {
      const bool curve = chance.coin();
      d += curve ? " C" : " L";
      for (int k = 0; k < (curve ? 6 : 2); ++k) d += at();
    }
    const bool closed = chance.coin();
    Project p = project_of("<path id='p' d='" + d + (closed ? "Z" : "") + "' stroke='#444'/>");
    p = turn_pieces(p, drawn(p), {1}, chance.between(0, 90));
    const auto path = [](const Project& q) { return *find_piece(q, 1)->lines[0].path; };
    const auto sound = [&](const Project& q) {
      const Contour c = path(q).contours[0];
      CHECK(c.closed == closed);
      if (closed) CHECK(c.segments.back().end == c.start);
    };
    const auto nodes = nodes_of(drawn(p), {1, "p"});
    REQUIRE_FALSE(nodes.empty());
    const double length = length_of(path(p));
    // Added where the line runs it changes nothing.
    const Contour c = path(p).contours[0];
    const std::size_t s = static_cast<std::size_t>(chance.whole(0, static_cast<int>(c.segments.size()) - 1));
    const Vec from = s == 0 ? c.start : c.segments[s - 1].end;
    const Vec place = find_piece(p, 1)->placement(point_at(from, c.segments[s], chance.between(0.2, 0.8)));
    std::optional<NodeRef> made;
    const Project more = add_node(p, {1, "p"}, place, &made);
    REQUIRE(made);
    CHECK(length_of(path(more)) == Approx(length).epsilon(1e-6));
    CHECK(nodes_of(drawn(more), {1, "p"}).size() == nodes.size() + 1);
    sound(more);
    const Project fewer = remove_node(more, *made);
    CHECK(nodes_of(drawn(fewer), {1, "p"}).size() == nodes.size());
    sound(fewer);
    // Moved, it is where it was put, and all others are where they were.
    const auto& node = nodes[static_cast<std::size_t>(chance.whole(0, static_cast<int>(nodes.size()) - 1))];
    const Project moved = move_node(p, node.ref, {3, -2});
    sound(moved);
    const auto after = nodes_of(drawn(moved), {1, "p"});
    REQUIRE(after.size() == nodes.size());
    for (std::size_t i = 0; i < after.size(); ++i) {
      const Vec wanted = nodes[i].at + (nodes[i].ref == node.ref ? Vec{3, -2} : Vec{});
      CHECK(distance(after[i].at, wanted) < 1e-9);
    }
    const Project turned = turn_node(p, node.ref);
    sound(turned);
    const Project less = remove_node(p, node.ref);
    sound(less);
  }
  // What is made by a recipe has no nodes of its own, and a triangle keeps its corners.
  Project p = *add_shape(new_project("x"), "star", {});
  CHECK(nodes_of(drawn(p), {1, "outline"}).empty());
  p = project_of("<path id='t' d='M10 10 L50 10 L30 40 Z' stroke='#444'/>");
  for (int i = 0; i < 5; ++i) p = remove_node(p, {1, "t", 0, 1});
  CHECK(find_piece(p, 1)->lines[0].path->contours[0].segments.size() == 2);
}

TEST_CASE("what others make for a piece without closed lines has a name of its own") {
  Project p = project_of("<path id='outline' d='M10 10 h40' stroke='#444'/>");
  int other = 0;
  p = *add_shape(std::move(p), "rectangle", {}, &other);
  Step join;
  join.kind = "join";
  join.values["with"] = std::vector<double>{static_cast<double>(other)};
  p = *add_step(std::move(p), 1, join);
  const Drawing d = drawn(p);
  const auto& lines = find_drawn(d, 1)->piece->lines;
  REQUIRE(lines.size() == 2);
  CHECK(lines[0].id != lines[1].id);
}

TEST_CASE("inches as fractions are the nearest ones, reduced") {
  CHECK(as_fraction(5.5, 16) == "5 1/2");
  CHECK(as_fraction(0.375, 16) == "3/8");
  CHECK(as_fraction(-0.0625, 16) == "-1/16");
  CHECK(as_fraction(2, 16) == "2");
  CHECK(as_fraction(1.999, 16) == "2");
  CHECK(as_fraction(0.01, 16) == "0");
  CHECK(as_fraction(0.03125, 32) == "1/32");
  CHECK(as_fraction(3.15625, 32) == "3 5/32");
  // Typed as shown it is the same again.
  for (int i = 1; i < 200; ++i) {
    const double inches = i / 32.0;
    const TypedNumber typed = typed_length(as_fraction(inches, 32) + "\"");
    REQUIRE(typed.ok());
    CHECK(typed.value == Approx(inches * 25.4));
  }
}
