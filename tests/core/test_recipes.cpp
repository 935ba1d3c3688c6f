// Recipes: steps on lines, pieces that shape pieces, and everything downstream following the source.
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/history.hpp"
#include "core/project/kinds.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

Project with_step(Project p, int piece, const std::string& kind, Values values = {}) {
  auto next = add_step(std::move(p), piece, Step{0, kind, true, std::move(values), {}, {}});
  if (!next) FAIL(line_of(next.error()));
  return *next;
}

const std::vector<Line>& lines_of(const Drawing& d, int piece) { return find_drawn(d, piece)->piece->lines; }

double area_of_piece(const Project& p, int piece) {
  double sum = 0;
  const Drawing d = drawn(p);
  for (const auto& line : lines_of(d, piece))
    sum += enclosed_area_of(transformed(*line.path, find_drawn(d, piece)->map));
  return sum;
}

const StepOutcome& last_outcome(const Drawing& d, int piece) { return find_drawn(d, piece)->outcomes.back(); }

/// Two squares of 40 mm as two pieces; piece 2 lies on top, 20 mm to the right of and below piece 1.
Project two_squares() {
  Project p = project_of(R"(<rect id="a" x="20" y="20" width="40" height="40"/>)");
  const Project q = project_of(R"(<rect id="b" x="40" y="40" width="40" height="40"/>)");
  Piece b = *q.pieces[0];
  b.id = 2;
  b.name = "Upper";
  p.pieces.insert(p.pieces.begin(), Shared<Piece>(b));
  return p;
}

}  // namespace

TEST_CASE("every kind of step runs on its standard values and says what it did") {
  const Project base =
      project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/><circle id="dot" cx="50" cy="40" r="8"/>
      <path id="line" d="M25 30 L60 55"/>)");
  for (const auto& kind : step_kinds()) {
    INFO(kind.kind);
    const Project p = with_step(base, 1, kind.kind);
    const Drawing d = drawn(p);
    REQUIRE(find_drawn(d, 1)->outcomes.size() == 2);
    CHECK(last_outcome(d, 1).step == 1);
    CHECK(last_outcome(d, 1).nodes > 0);
    CHECK_FALSE(lines_of(d, 1).empty());
    // Saved and opened again, it is the same project and comes to the same.
    const auto again = project_from_json(to_json(p), "again");
    if (!again) FAIL(line_of(again.error()));
    CHECK(*again == p);
    // Switched off, it is as if it were not there.
    const Drawing off = drawn(switch_step(p, 1, 1, false));
    CHECK(lines_of(off, 1).size() == base.pieces[0]->lines.size());
    CHECK(bounds_of_piece(remove_step(p, 1, 1), 1) == bounds_of_piece(base, 1));
  }
}

TEST_CASE("an offset has the width it was asked for, at any size of the source") {
  Project p = with_step(project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/>)"), 1, "offset",
                        {{"by", 3.0}, {"corners", std::string("mitre")}});
  CHECK(bounds_of_piece(p, 1).width() == Approx(66));
  p = sized(p, 1, 126.0, std::nullopt);
  CHECK(bounds_of_piece(p, 1).width() == Approx(126).margin(0.001));
  // The margin is still 3 mm: the source is 120 x 80.
  CHECK(find_drawn(drawn(p), 1)->outcomes[0].bounds.width() == Approx(120).margin(0.001));
  CHECK(bounds_of_piece(p, 1).height() == Approx(86).margin(0.001));
  // Turning the piece turns the result and leaves the margin alone.
  const Project turned = turn_pieces(p, drawn(p), {1}, 30);
  CHECK(area_of_piece(turned, 1) == Approx(area_of_piece(p, 1)).epsilon(1e-6));
}

TEST_CASE("an offset can keep, draw or replace its original, and comes in series") {
  const Project base = project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/>)");
  auto ids = [](const Project& p) {
    std::vector<std::string> out;
    const Drawing d = drawn(p);
    for (const auto& line : lines_of(d, 1)) out.push_back(line.id + ":" + std::string(word(line.role)));
    return out;
  };
  CHECK(ids(with_step(base, 1, "offset")) == std::vector<std::string>{"card:cut"});
  CHECK(ids(with_step(base, 1, "offset", {{"original", std::string("keep")}})) ==
        std::vector<std::string>{"card~1:cut", "card:cut"});
  CHECK(ids(with_step(base, 1, "offset", {{"original", std::string("draw")}})) ==
        std::vector<std::string>{"card~1:cut", "card:draw"});
  const Project series = with_step(
      base, 1, "offset",
      {{"side", std::string("in")}, {"count", 3.0}, {"by", 4.0}, {"reveal", 2.0}, {"original", std::string("keep")}});
  CHECK(ids(series).size() == 4);
  const Drawing d = drawn(series);
  CHECK(bounds_of(*lines_of(d, 1)[3].path).width() == Approx(60 - 2 * (4 + 2 * 2)));
  // Too far in, nothing is left, and the step says so.
  const Drawing none = drawn(with_step(base, 1, "offset", {{"side", std::string("in")}, {"by", 25.0}}));
  CHECK(sentence(last_outcome(none, 1).trouble).find("narrower") != std::string::npos);
}

TEST_CASE("an offset of an open line is the band around it") {
  const Project p = with_step(project_of(R"(<path id="line" d="M20 20 H60"/>)"), 1, "offset",
                              {{"by", 2.0}, {"of", std::string("line")}});
  CHECK(area_of_piece(p, 1) == Approx(40 * 4 + 3.14159265 * 4).epsilon(1e-3));
}

TEST_CASE("silhouettes leave holes out, and small holes can be filled") {
  const Project base = project_of(
      R"(<path id="ring" fill-rule="evenodd" d="M20 20 h60 v60 h-60 Z M30 30 h4 v4 h-4 Z M50 50 h20 v20 h-20 Z"/>)");
  auto holes = [](const Project& p) {
    const Drawing d = drawn(p);
    return holes_in(region_of(*lines_of(d, 1)[0].path));
  };
  CHECK(holes(with_step(base, 1, "offset", {{"by", 1.0}})) == 2);
  CHECK(holes(with_step(base, 1, "offset", {{"by", 1.0}, {"contours", std::string("outer")}})) == 0);
  CHECK(holes(with_step(base, 1, "offset", {{"by", 1.0}, {"holes-under", 10.0}})) == 1);
  CHECK(holes(with_step(base, 1, "fill-holes", {{"under", 20.0}})) == 1);
  CHECK(holes(with_step(base, 1, "fill-holes")) == 0);
}

TEST_CASE("shapes of one piece are joined, cut away, overlapped and divided") {
  const Project base = project_of(R"(<rect id="a" x="20" y="20" width="40" height="40" stroke="#aa0000"/>
      <rect id="b" x="40" y="40" width="40" height="40" stroke="#0000aa"/><rect id="c" x="50" y="20" width="5" height="70"/>)");
  const double whole = 1600 + 1600 - 400;
  const Project two = with_step(base, 1, "leave-out", {{"of", std::string("c")}});
  CHECK(area_of_piece(with_step(two, 1, "join"), 1) == Approx(whole));
  CHECK(area_of_piece(with_step(two, 1, "overlap"), 1) == Approx(400));
  CHECK(area_of_piece(with_step(two, 1, "cut-away"), 1) == Approx(whole));
  const Drawing joined = drawn(with_step(base, 1, "join"));
  REQUIRE(lines_of(joined, 1).size() == 1);
  CHECK(lines_of(joined, 1)[0].id == "c");  // the uppermost gives its name and colour
  const Drawing divided = drawn(with_step(two, 1, "divide"));
  CHECK(lines_of(divided, 1).size() == 3);
  const Drawing three = drawn(with_step(base, 1, "divide"));
  double sum = 0;
  for (const auto& line : lines_of(three, 1)) sum += enclosed_area_of(*line.path);
  CHECK(sum == Approx(whole + 5 * 70 - 5 * 40 - 5 * 40 + 5 * 20).epsilon(1e-6));
}

TEST_CASE("a piece shapes another, follows it, and cannot be shaped by it in turn") {
  Project p = two_squares();
  p = with_step(p, 1, "cut-away", {{"with", std::vector<double>{2}}});
  CHECK(area_of_piece(p, 1) == Approx(1200));
  CHECK(users_of(p, 2) == std::vector<int>{1});
  // Moving the upper square moves the bite.
  Project moved = move_pieces(p, {2}, {-10, -10});
  CHECK(area_of_piece(moved, 1) == Approx(1600 - 900));
  // Moving both leaves it.
  CHECK(area_of_piece(move_pieces(p, {1, 2}, {7, 3}), 1) == Approx(1200));
  const auto circular = add_step(p, 2, Step{0, "join", true, {{"with", std::vector<double>{1}}}, {}, {}});
  REQUIRE_FALSE(circular);
  CHECK(sentence(circular.error().said).find("already shapes") != std::string::npos);
  REQUIRE_FALSE(add_step(p, 1, Step{0, "join", true, {{"with", std::vector<double>{1}}}, {}, {}}));
  // A file may hold a circle all the same: it opens, and the step that closes the circle says why it does nothing.
  for (auto& piece : p.pieces) {
    if (piece->id == 2)
      piece.edit([](Piece& q) {
        q.steps.push_back(Step{1, "join", true, {{"with", std::vector<double>{1}}}, {}, {}});
      });
  }
  const Drawing d = drawn(p);
  Sayings trouble;
  for (const auto& piece : d.pieces) {
    for (const auto& o : piece->outcomes) trouble.insert(trouble.end(), o.trouble.begin(), o.trouble.end());
  }
  CHECK(sentence(trouble).find("depends on this one") != std::string::npos);
}

TEST_CASE("a chain of thousands of pieces, and a web of them, are worked out all the same") {
  // Each works with the one before; then each with all of the layer before, where the ways through are beyond counting.
  Project p = project_of(R"(<rect id="a" x="20" y="20" width="4" height="4"/>)");
  const Piece first = *p.pieces[0];
  for (int i = 2; i <= 3000; ++i) {
    Piece piece = first;
    piece.id = i;
    piece.lines.clear();
    piece.source.kind = "pieces";
    piece.steps = {Step{1, "join", true, {{"with", std::vector<double>{static_cast<double>(i - 1)}}}, {}, {}}};
    p.pieces.insert(p.pieces.begin(), Shared<Piece>(piece));
  }
  CHECK(bounds_of_piece(p, 3000).width() == Approx(4).margin(0.001));
  Project web = project_of(R"(<rect id="a" x="20" y="20" width="4" height="4"/>)");
  for (int layer = 0; layer < 30; ++layer) {
    for (int k = 0; k < 3; ++k) {
      Piece piece = first;
      piece.id = 2 + layer * 3 + k;
      piece.lines.clear();
      piece.source.kind = "pieces";
      std::vector<double> with{1};
      for (int j = 0; layer > 0 && j < 3; ++j) with.push_back(2 + (layer - 1) * 3 + j);
      piece.steps = {Step{1, "join", true, {{"with", with}}, {}, {}}};
      web.pieces.insert(web.pieces.begin(), Shared<Piece>(piece));
    }
  }
  web = trim_under(web, {}, 1);
  CHECK(drawn(web).pieces.size() == 91);
}

TEST_CASE("removing what shapes others freezes them or leaves them without") {
  const Project p = with_step(two_squares(), 1, "cut-away", {{"with", std::vector<double>{2}}});
  const Project frozen = remove_with_users(p, drawn(p), {2}, true);
  CHECK(frozen.pieces.size() == 1);
  CHECK(area_of_piece(frozen, 1) == Approx(1200));
  CHECK(find_piece(frozen, 1)->plain());
  const Project bare = remove_with_users(p, drawn(p), {2}, false);
  CHECK(area_of_piece(bare, 1) == Approx(1600));
  CHECK(sentence(last_outcome(drawn(bare), 1).trouble).find("gone") != std::string::npos);
}

TEST_CASE("roles of made lines are kept by what they come from") {
  Project p = with_step(project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/>)"), 1, "offset",
                        {{"original", std::string("keep")}});
  p = assign_role(p, {{1, "card~1"}}, Role::draw);
  Drawing d = drawn(p);
  CHECK(lines_of(d, 1)[0].role == Role::draw);
  CHECK_FALSE(lines_of(d, 1)[0].tool.empty());
  CHECK(lines_of(d, 1)[1].role == Role::cut);
  // The role outlives a change of the step and of the source.
  p = *set_step_value(p, 1, 1, "by", 9.0);
  p = sized(p, 1, 50.0, std::nullopt);
  d = drawn(p);
  CHECK(lines_of(d, 1)[0].role == Role::draw);
  CHECK(*project_from_json(to_json(p), "x") == p);
  // Removing a made line is a step of its own.
  p = remove_lines(p, {{1, "card~1"}});
  CHECK(lines_of(drawn(p), 1).size() == 1);
  CHECK(find_piece(p, 1)->steps.back().kind == "leave-out");
}

TEST_CASE("steps see the roles that people gave to made lines") {
  Project p = *add_shape(new_project("x"), "tag", {});
  auto contours = [](const Project& q) {
    const Drawing d = drawn(q);
    std::size_t n = 0;
    for (const auto& line : lines_of(d, 1)) n += line.path->contours.size();
    return n;
  };
  // The hole is cut, so an offset of the tag keeps it; drawn, it is no part of the card any more.
  Project offset_tag = with_step(p, 1, "offset", {{"by", 1.0}});
  CHECK(contours(offset_tag) == 2);
  CHECK(lines_of(drawn(offset_tag), 1).size() == 1);
  offset_tag = assign_role(offset_tag, {{1, "hole"}}, Role::draw);
  CHECK(lines_of(drawn(offset_tag), 1).size() == 2);
  // A cache that knew the old roles is not fooled.
  DrawingCache cache;
  (void)evaluate(with_step(p, 1, "offset", {{"by", 1.0}}), cache);
  CHECK(evaluate(offset_tag, cache).pieces[0]->piece->lines.size() == 2);
}

TEST_CASE("a chain of eight steps follows its source, and undo brings back the very same bytes") {
  Project p = two_squares();
  p = with_step(p, 1, "join", {{"with", std::vector<double>{2}}});
  p = with_step(p, 1, "round-corners", {{"radius", 3.0}});
  p = with_step(p, 1, "offset", {{"by", 2.0}});
  p = with_step(p, 1, "simplify", {{"tolerance", 0.02}});
  p = with_step(p, 1, "mirror", {{"keep", true}, {"gap", 4.0}});
  p = with_step(p, 1, "offset", {{"by", 2.0}, {"side", std::string("in")}, {"corners", std::string("mitre")}});
  p = with_step(p, 1, "drop-small", {{"under", 1.0}});
  p = with_step(p, 1, "rotate", {{"by", 90.0}});
  History history(p);
  const std::string before = to_json(p);
  const Box box = bounds_of_piece(p, 1);
  history.commit(sized(p, 1, box.width() * 1.5, std::nullopt), "Resize");
  const Box after = bounds_of_piece(history.now(), 1);
  CHECK(after.width() == Approx(box.width() * 1.5).margin(0.01));
  CHECK(after.height() > box.height() * 1.2);
  history.undo();
  CHECK(to_json(history.now()) == before);
  CHECK(bounds_of_piece(history.now(), 1) == box);
  // A cache that has seen everything gives what a fresh one gives: nothing goes stale.
  DrawingCache warm;
  Project q = p;
  for (int i = 0; i < 12; ++i) {
    q = move_pieces(q, {2}, {1.5, -0.5});
    q = *set_step_value(q, 1, 3, "by", 1.0 + i * 0.25);
    if (i % 3 == 0) q = sized(q, 2, 30.0 + i, std::nullopt);
    if (i % 4 == 1) q = switch_step(q, 1, 2, i % 8 == 1);
    const Drawing seen = evaluate(q, warm), fresh = drawn(q);
    for (std::size_t k = 0; k < q.pieces.size(); ++k) {
      REQUIRE(seen.pieces[k]->piece->lines == fresh.pieces[k]->piece->lines);
      REQUIRE(seen.pieces[k]->bounds == fresh.pieces[k]->bounds);
    }
  }
}

TEST_CASE("the cache redoes only what an edit touched") {
  Project p = with_step(with_step(two_squares(), 1, "offset"), 1, "round-corners");
  DrawingCache cache;
  const Drawing first = evaluate(p, cache);
  const Drawing again = evaluate(p, cache);
  CHECK(first.pieces[1] == again.pieces[1]);
  // The first step's result is the very same when the second changes.
  p = *set_step_value(p, 1, 2, "radius", 5.0);
  const Drawing later = evaluate(p, cache);
  CHECK(later.pieces[0] == first.pieces[0]);
  CHECK_FALSE(later.pieces[1] == first.pieces[1]);
  // Moving it changes no path at all.
  const Drawing moved = evaluate(move_pieces(p, {1}, {5, 5}), cache);
  CHECK(moved.pieces[1]->flat == later.pieces[1]->flat);
}

TEST_CASE("what takes long is left stale at once and whole later") {
  std::string d = "M20 20";
  for (int i = 1; i < 6000; ++i) d += " L" + std::to_string(20 + i * 0.03) + " " + std::to_string(20 + (i % 2) * 0.5);
  const Project p =
      with_step(project_of("<path id=\"saw\" d=\"" + d + " L200 80 L20 80 Z\"/>"), 1, "offset", {{"by", 0.4}});
  DrawingCache cache;
  const Drawing now = evaluate(p, cache, Effort::at_once);
  CHECK(find_drawn(now, 1)->stale);
  CHECK(lines_of(now, 1).size() == 1);  // the source stands in
  CHECK_FALSE(find_drawn(evaluate(p, cache), 1)->stale);
  CHECK_FALSE(find_drawn(evaluate(p, cache, Effort::at_once), 1)->stale);
}

TEST_CASE("trim under leaves no more than the tuck-under below, and nothing seen changes") {
  // Four layers of a figure: ground, hill, tower, lamp, top to bottom in the list reversed.
  Project p = project_of(R"(<g id="ground"><rect id="g" x="20" y="20" width="120" height="90"/></g>
      <g id="hill"><path id="h" d="M20 110 C50 40 90 40 140 110 Z"/></g>
      <g id="tower"><path id="t" d="M60 100 L66 40 H86 L92 100 Z"/></g>
      <g id="lamp"><circle id="l" cx="76" cy="44" r="14"/></g>)");
  const int whole = p.pieces[0]->id;
  REQUIRE(split_piece(p, whole, [](const Line& l) { return l.id; }).size() == 4);
  for (const double tuck : {0.0, 1.0, 3.0}) {
    const Project trimmed = trim_under(p, {}, tuck);
    const Drawing before = drawn(p), after = drawn(trimmed);
    std::vector<Region> full, left;
    for (std::size_t i = 0; i < 4; ++i) {
      full.push_back(region_of(transformed(*before.pieces[i]->piece->lines[0].path, before.pieces[i]->map)));
      left.push_back(region_of(transformed(*after.pieces[i]->piece->lines[0].path, after.pieces[i]->map)));
    }
    Region above, above_left;
    double saved = 0;
    for (std::size_t i = 0; i < 4; ++i) {
      INFO("tuck " << tuck << ", layer " << i);
      // What is seen of each layer is what was seen of it.
      const Region seen = subtract(full[i], above), still = subtract(left[i], above_left);
      CHECK(without_slivers(subtract(seen, still), 0.03).empty());
      CHECK(without_slivers(subtract(still, seen), 0.03).empty());
      // Below the layers above, it reaches no farther than the tuck-under from what is seen of it.
      const Region hidden = intersect(left[i], above);
      const Region allowed = offset(seen, tuck + 0.02);
      CHECK(area_of(subtract(hidden, allowed)) < 0.05);
      // No fragment is narrower than a tenth of a millimetre.
      for (const auto& part : parts_of(left[i])) CHECK_FALSE(without_slivers(part, 0.1).empty());
      saved += area_of(full[i]) - area_of(left[i]);
      above = unite({above, full[i]});
      above_left = unite({above_left, left[i]});
    }
    double said = 0;
    for (const auto& piece : after.pieces) {
      for (const auto& outcome : piece->outcomes) said += outcome.removed_mm2;
    }
    CHECK(said == Approx(saved).epsilon(1e-3));
    CHECK(saved > 1000);
    CHECK(drawn(untrim(trimmed, {})).pieces[3]->bounds == before.pieces[3]->bounds);
  }
}

TEST_CASE("lines drawn on a layer are trimmed where they are hidden") {
  Project p = two_squares();
  p.pieces[1].edit([](Piece& piece) {
    Line line;
    line.id = "stripe";
    line.role = Role::draw;
    line.path = Path{{Contour{{20, 50}, {Segment::line({60, 50})}, false}}, FillRule::nonzero};
    piece.lines.push_back(line);
  });
  const Drawing d = drawn(trim_under(p, {}, 1));
  CHECK(length_of(*lines_of(d, 1)[1].path) == Approx(20));
}

TEST_CASE("corners are rounded by arcs that touch both sides") {
  const Project p = with_step(project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/>)"), 1,
                              "round-corners", {{"radius", 5.0}});
  CHECK(area_of_piece(p, 1) == Approx(2400 - (4 - 3.14159265) * 25).epsilon(1e-4));
  const Drawing d = drawn(p);
  CHECK(lines_of(d, 1)[0].path->contours[0].segments.size() == 8);
  // A radius larger than the sides allow takes what there is.
  const Project full =
      with_step(project_of(R"(<rect x="20" y="20" width="40" height="40"/>)"), 1, "round-corners", {{"radius", 90.0}});
  CHECK(area_of_piece(full, 1) == Approx(3.14159265 * 400).epsilon(0.01));
  // Only inward corners of a cross.
  const Project cross = project_of(R"(<path d="M40 20 h20 v20 h20 v20 h-20 v20 h-20 v-20 h-20 v-20 h20 Z"/>)");
  const double area = area_of_piece(cross, 1);
  CHECK(area_of_piece(with_step(cross, 1, "round-corners", {{"radius", 3.0}, {"which", std::string("inner")}}), 1) >
        area + 5);
  CHECK(area_of_piece(with_step(cross, 1, "round-corners", {{"radius", 3.0}, {"which", std::string("outer")}}), 1) <
        area - 5);
}

TEST_CASE("dashes meet corners evenly and add up") {
  const Project p = with_step(project_of(R"(<rect id="card" x="20" y="20" width="60" height="40"/>)"), 1, "dash",
                              {{"dash", 3.0}, {"gap", 2.0}});
  const Drawing d = drawn(p);
  const Path& path = *lines_of(d, 1)[0].path;
  CHECK(path.contours.size() == 12 + 8 + 12 + 8);
  CHECK(length_of(path) == Approx(200 * 3.0 / 5));
  // Every corner lies in the middle of a dash.
  int at_corners = 0;
  for (const auto& c : path.contours) {
    CHECK_FALSE(c.closed);
    at_corners += c.segments.size() == 2;
    CHECK(length_of(Path{{c}, FillRule::nonzero}) == Approx(3));
  }
  CHECK(at_corners == 4);
  // An open line begins and ends with a whole dash.
  const Project open =
      with_step(project_of(R"(<path id="line" d="M20 20 H73"/>)"), 1, "dash", {{"dash", 3.0}, {"gap", 2.0}});
  const Drawing o = drawn(open);
  CHECK(lines_of(o, 1)[0].path->contours.size() == 11);
  CHECK(lines_of(o, 1)[0].path->contours.front().start.x == Approx(20));
  CHECK(bounds_of(*lines_of(o, 1)[0].path).x1 == Approx(73));
  // A circle has no corner and no seam.
  const Project round =
      with_step(project_of(R"(<circle cx="60" cy="60" r="20"/>)"), 1, "dash", {{"dash", 3.0}, {"gap", 2.0}});
  CHECK(length_of(*lines_of(drawn(round), 1)[0].path) == Approx(2 * 3.14159265 * 20 * 0.6).epsilon(1e-4));
}

TEST_CASE("doubled lines go, gaps close, small things drop, contours can be picked") {
  const Project twice = project_of(
      R"(<rect id="a" x="20" y="20" width="40" height="40"/><rect id="b" x="20.01" y="20" width="40" height="40"/><path id="c" d="M20 20 H60"/>)");
  CHECK(lines_of(drawn(with_step(twice, 1, "remove-doubled")), 1).size() == 2);
  const Project gaps = project_of(R"(<path id="a" d="M20 20 H60 V60"/><path id="b" d="M60.2 60.1 H20 V20.3"/>)");
  const Drawing closed = drawn(with_step(gaps, 1, "close-gaps"));
  REQUIRE(lines_of(closed, 1).size() == 1);
  CHECK(lines_of(closed, 1)[0].path->contours[0].closed);
  const Project bits =
      project_of(R"(<path id="a" d="M20 20 h40 v40 h-40 Z M70 70 h0.5 v0.5 h-0.5 Z M80 70 h3 v3 h-3 Z"/>)");
  const Drawing dropped = drawn(with_step(bits, 1, "drop-small"));
  CHECK(lines_of(dropped, 1)[0].path->contours.size() == 2);
  CHECK(last_outcome(dropped, 1).dropped == 1);
  CHECK(lines_of(drawn(with_step(bits, 1, "drop-small", {{"area-under", 10.0}})), 1)[0].path->contours.size() == 1);
  Project picked = pick_contour(bits, drawn(bits), 1, {81, 70}, false);
  picked = pick_contour(picked, drawn(picked), 1, {70.2, 70.2}, false);
  CHECK(find_piece(picked, 1)->steps.size() == 1);
  CHECK(lines_of(drawn(picked), 1)[0].path->contours.size() == 1);
  const Project alone = pick_contour(bits, drawn(bits), 1, {81, 70}, true);
  CHECK(bounds_of_piece(alone, 1).width() == Approx(3));
}

TEST_CASE("simplify and smooth keep to their tolerances") {
  std::string d = "M20 60";
  for (int i = 1; i <= 400; ++i)
    d += " L" + std::to_string(20 + i * 0.25) + " " + std::to_string(60 + 0.03 * ((i % 3) - 1));
  const Project wobble = project_of("<path id=\"w\" d=\"" + d + "\"/>");
  const Drawing simple = drawn(with_step(wobble, 1, "simplify", {{"tolerance", 0.1}}));
  CHECK(segment_count(*lines_of(simple, 1)[0].path) < 12);
  const auto polyline = flatten(lines_of(simple, 1)[0].path->contours[0], 0.001);
  for (const auto& p : flatten(find_piece(wobble, 1)->lines[0].path->contours[0], 0.01).points)
    CHECK(distance_to(polyline, p) < 0.1);
  const Drawing smooth = drawn(with_step(wobble, 1, "smooth", {{"span", 4.0}}));
  const Box box = bounds_of(*lines_of(smooth, 1)[0].path);
  CHECK(box.height() < 0.04);
  CHECK(box.width() == Approx(100).margin(0.01));
  // Corners over the limit stay where they are.
  const Project square =
      with_step(project_of(R"(<rect x="20" y="20" width="40" height="40"/>)"), 1, "smooth", {{"span", 5.0}});
  CHECK(area_of_piece(square, 1) == Approx(1600).epsilon(1e-6));
}

TEST_CASE("placing steps do what they say") {
  const Project base = project_of(R"(<rect id="a" x="20" y="20" width="60" height="40"/>)");
  auto size = [](const Project& p) {
    const Box b = bounds_of_piece(p, 1);
    return std::pair{b.width(), b.height()};
  };
  CHECK(size(with_step(base, 1, "rotate", {{"by", 90.0}})).first == Approx(40));
  CHECK(size(with_step(base, 1, "scale", {{"to", std::string("width")}, {"size", 90.0}})).second == Approx(60));
  CHECK(size(with_step(base, 1, "scale", {{"to", std::string("height")}, {"size", 20.0}, {"keep-proportions", false}}))
            .first == Approx(60));
  CHECK(size(with_step(base, 1, "scale", {{"to", std::string("longest")}, {"size", 30.0}})).second == Approx(20));
  CHECK(size(with_step(base, 1, "scale", {{"to", std::string("percent")}, {"percent", 50.0}})).first == Approx(30));
  const Project sheet = with_step(base, 1, "scale", {{"to", std::string("sheet")}});
  CHECK(bounds_of_piece(sheet, 1).width() == Approx(sheet.machine.usable_area().width()));
  CHECK(size(with_step(base, 1, "skew", {{"across", 45.0}})).first == Approx(100));
  CHECK(size(with_step(base, 1, "mirror", {{"keep", true}, {"gap", 5.0}})).first == Approx(125));
  CHECK(size(with_step(base, 1, "repeat", {{"count", 3.0}, {"gap", 2.0}})).first == Approx(184));
  const Project grid =
      with_step(base, 1, "repeat", {{"way", std::string("grid")}, {"count", 2.0}, {"rows", 3.0}, {"gap", 0.0}});
  CHECK(lines_of(drawn(grid), 1).size() == 6);
  CHECK(size(grid).second == Approx(120));
  CHECK(lines_of(drawn(with_step(base, 1, "repeat", {{"way", std::string("around")}, {"count", 8.0}})), 1).size() == 8);
  const Drawing many =
      drawn(with_step(with_step(base, 1, "repeat", {{"count", 200.0}}), 1, "repeat", {{"count", 200.0}}));
  CHECK(sentence(last_outcome(many, 1).trouble).find("20,000") != std::string::npos);
  // To fit another piece.
  const Project fit = with_step(two_squares(), 1, "scale",
                                {{"to", std::string("fit")}, {"with", std::vector<double>{2}}, {"margin", 5.0}});
  CHECK(bounds_of_piece(fit, 1).x0 == Approx(45));
  CHECK(bounds_of_piece(fit, 1).width() == Approx(30));
}

TEST_CASE("freezing makes the result the piece's own") {
  const Project p = with_step(turn_pieces(two_squares(), drawn(two_squares()), {1}, 20), 1, "offset");
  const Project frozen = freeze(p, drawn(p), 1);
  CHECK(find_piece(frozen, 1)->plain());
  CHECK(area_of_piece(frozen, 1) == Approx(area_of_piece(p, 1)).epsilon(1e-9));
  const Box a = bounds_of_piece(p, 1), b = bounds_of_piece(frozen, 1);
  CHECK(a.x0 == Approx(b.x0));
  CHECK(a.y1 == Approx(b.y1));
}

TEST_CASE("bad values of steps are refused with what is expected") {
  const Project p = two_squares();
  auto message = [&](const std::string& kind, const Values& values) {
    const auto r = add_step(p, 1, Step{0, kind, true, values, {}, {}});
    return r ? std::string() : line_of(r.error());
  };
  CHECK(message("offset", {{"by", -3.0}}).find("a number from 0 to 1000") != std::string::npos);
  CHECK(message("offset", {{"corners", std::string("soft")}}).find("round, mitre, bevel") != std::string::npos);
  CHECK(message("offset", {{"depth", 1.0}}).find("takes no") != std::string::npos);
  CHECK(message("melt", {}).find("no step") != std::string::npos);
  CHECK(message("offset", {{"count", 1.5}}).find("whole number") != std::string::npos);
  // In a file the place is named.
  std::string text = to_json(with_step(p, 1, "offset", {{"by", 3.0}}));
  text.replace(text.find("\"by\": 3.0"), 9, "\"by\": \"x\"");
  const auto bad = project_from_json(text, "p.dotlane");
  REQUIRE_FALSE(bad);
  CHECK(line_of(bad.error()).find("pieces[1].recipe[0].values.by") != std::string::npos);
}

TEST_CASE("a step of a newer version is kept and passed over") {
  std::string text = to_json(with_step(two_squares(), 1, "offset"));
  text.replace(text.find("\"offset\""), 8, "\"emboss\"");
  const auto p = project_from_json(text, "newer.dotlane");
  if (!p) FAIL(line_of(p.error()));
  const Drawing d = drawn(*p);
  CHECK(sentence(last_outcome(d, 1).trouble).find("emboss") != std::string::npos);
  CHECK(bounds_of_piece(*p, 1).width() == Approx(40));
  CHECK(to_json(*p).find("emboss") != std::string::npos);
}

}  // namespace dotlane::test
