// Repeating: number, distance and room follow from each other; copies keep the gap asked for, share their motif and
// make the plane groups that they are named after. Distances and areas are asked of GEOS.
#include <numbers>
#include <set>

#include "chance.hpp"
#include "core/geometry/measure.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/steps.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

using Catch::Matchers::WithinAbs;
using Way = CopyOptions::Way;
using By = CopyOptions::By;
using Turned = CopyOptions::Turned;
using Edge = CopyOptions::Edge;
using Text = std::string;

Polyline closed(Ring ring) {
  ring.push_back(ring.front());
  return {ring, true};
}

/// A disc by chords that its true circle lies outside of by less than a micrometre.
std::vector<Polyline> disc(double diameter) {
  Ring out;
  for (int i = 0; i < 4000; ++i) {
    const double a = 2 * std::numbers::pi * i / 4000;
    out.push_back(Vec{50, 70} + Vec{std::cos(a), std::sin(a)} * (diameter / 2));
  }
  return {closed(out)};
}

/// A shape without any symmetry: every turn and every reflection shows.
std::vector<Polyline> flag() { return {closed({{0, 0}, {9, 0}, {9, 3}, {5, 4}, {4, 6}, {2, 5}, {2, 12}, {0, 12}})}; }

std::vector<Polyline> blob(Chance& chance) {
  Ring out;
  const int n = chance.whole(5, 60), waves = chance.whole(2, 5);
  const double r = chance.between(2, 12), share = chance.between(0, 0.7), phase = chance.between(0, 6),
               long_by = chance.between(0.4, 2.5);
  for (int i = 0; i < n; ++i) {
    const double a = 2 * std::numbers::pi * i / n, q = r * (1 - share / 2 + share / 2 * std::sin(waves * a + phase));
    out.push_back(Vec{q * std::cos(a) * long_by, q * std::sin(a)});
  }
  std::vector<Polyline> all{closed(out)};
  if (chance.coin()) all.push_back({{{r, r}, {chance.between(-20, 20), chance.between(-9, 9)}}, false});
  return all;
}

Copies made(const std::vector<Polyline>& motif, const CopyOptions& options) {
  CopyTrouble trouble = CopyTrouble::none;
  Copies out = copies_of(motif, options, 20'000, trouble);
  REQUIRE(trouble == CopyTrouble::none);
  return out;
}

std::vector<Polyline> moved(const std::vector<Polyline>& motif, const Affine& map) {
  std::vector<Polyline> out;
  for (const auto& line : motif) out.push_back(transformed(line, map));
  return out;
}

/// The least distance between two copies, and that within the first row.
std::pair<double, double> least_distances(const std::vector<Polyline>& motif, const Copies& copies) {
  double all = 1e9, in_row = 1e9;
  for (const auto& a : copies.copies) {
    for (const auto& b : copies.copies) {
      if (a.row > 1 || a.column > 1 || std::pair(a.row, a.column) >= std::pair(b.row, b.column)) continue;
      const double d = geos_distance(moved(motif, a.map), moved(motif, b.map));
      all = std::min(all, d);
      if (a.row == b.row) in_row = std::min(in_row, d);
    }
  }
  return {all, in_row};
}

Project repeated(const Text& body, Values values) {
  Step step;
  step.kind = "repeat";
  step.values = std::move(values);
  auto p = add_step(project_of(body), 1, step);
  if (!p) FAIL(line_of(p.error()));
  return *p;
}
const Text kSquare = R"(<rect id="a" x="20" y="30" width="10" height="10"/>)";

}  // namespace

TEST_CASE("number, distance and room of a row follow from each other") {
  // Motifs of 15 mm are set 16 across a sheet of 12 in (common practice, no published source).
  CopyOptions o;
  o.room = {304.8, 40};
  o.fill = true, o.by = By::pitch, o.pitch_mm = 304.8 / 16;
  const auto motif = disc(15);
  Copies c = made(motif, o);
  CHECK(c.columns == 16);
  CHECK(c.copies.size() == 16);
  CHECK_THAT(c.left_over.x, WithinAbs(304.8 - 15 - 15 * 304.8 / 16, 1e-9));
  // What is left over is the same at both edges.
  CHECK_THAT(c.copies.front().map({42.5, 70}).x - c.room.x0, WithinAbs(c.left_over.x / 2, 1e-9));
  CHECK_THAT(c.room.x1 - c.copies.back().map({57.5, 70}).x, WithinAbs(c.left_over.x / 2, 1e-9));
  o.edge = Edge::wrap, o.fill = false, o.by = By::spread, o.across = 16;
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs(19.05, 1e-9));
  o.edge = Edge::whole;
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs((304.8 - 15) / 15, 1e-9));
  CHECK(made(motif, o).left_over == Vec{0, 0});
  o.fill = true, o.by = By::gap, o.gap_mm = 4.05;
  CHECK(made(motif, o).columns == 16);
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs(19.05, 1e-6));
  o.by = By::shapes;
  CHECK(made(motif, o).columns == 16);
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs(19.05, 0.005));
  o.gap_mm = 4.5;
  CHECK(made(motif, o).columns == 15);
  // One that fits exactly fits; one that does not is none.
  o.room = {15, 15}, o.by = By::gap;
  CHECK(made(motif, o).copies.size() == 1);
  o.room = {14.9, 15};
  CHECK(made(motif, o).copies.empty());
}

TEST_CASE("discs: the distances of every arrangement in closed form") {
  const double d = 12, g = 1.5, s = d + g;
  const auto motif = disc(d);
  CopyOptions o;
  o.by = By::shapes, o.gap_mm = g, o.across = 4, o.down = 3;
  o.way = Way::grid;
  Copies c = made(motif, o);
  CHECK_THAT(c.pitch_mm, WithinAbs(s, 0.005));
  CHECK_THAT(c.pitch_down_mm, WithinAbs(s, 0.005));
  CHECK(c.copies.size() == 12);
  // Bricks and honeycombs of discs touch three others each: equilateral triangles.
  for (const Way way : {Way::brick, Way::hex}) {
    o.way = way;
    c = made(motif, o);
    CHECK_THAT(c.pitch_mm, WithinAbs(s, 0.005));
    CHECK_THAT(c.pitch_down_mm, WithinAbs(s * std::sqrt(3) / 2, 0.005));
  }
  o.way = Way::brick, o.shift = 0.25;
  CHECK_THAT(made(motif, o).pitch_down_mm, WithinAbs(s * std::sqrt(1 - 1.0 / 16), 0.005));
  // Four around a point, in a square lattice of discs; six around points, each with four neighbours at one distance.
  o.way = Way::grid, o.turned = Turned::p4;
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs(s, 0.005));
  o.turned = Turned::p6;
  CHECK_THAT(made(motif, o).pitch_mm, WithinAbs(s, 0.01));
  // A ring: chords of 2 r sin(pi / n).
  o = {};
  o.way = Way::ring, o.radius_follows = true, o.gap_mm = g;
  for (const int n : {2, 3, 7, 24}) {
    o.across = n;
    const double r = s / (2 * std::sin(std::numbers::pi / n));
    CHECK_THAT(made(motif, o).radius_mm, WithinAbs(r, 0.01));
    CopyOptions back = o;
    back.radius_follows = false, back.fill = true, back.radius_mm = r + 0.02;
    CHECK(made(motif, back).copies.size() == static_cast<std::size_t>(n));
  }
  o.turn = false, o.across = 12;
  CHECK_THAT(made(motif, o).radius_mm, WithinAbs(s / (2 * std::sin(std::numbers::pi / 12)), 0.01));
}

TEST_CASE("copies along a path stand evenly by its length, turned or upright") {
  const auto motif = flag();
  CopyOptions o;
  o.way = Way::path, o.by = By::gap, o.across = 4;
  o.path = {{{{0, 0}, {30, 0}}, false}, {{{0, 0}, {100, 0}, {100, 50}}, false}};  // the longer one counts
  Copies c = made(motif, o);
  REQUIRE(c.copies.size() == 4);
  const Vec middle{4.5, 6};
  CHECK(distance(c.copies[1].map(middle), {50, 0}) < 1e-9);
  CHECK(distance(c.copies[3].map(middle), {100, 50}) < 1e-9);
  // Turned by the path's direction: what points right points down.
  CHECK(distance(c.copies[3].map(middle + Vec{1, 0}) - c.copies[3].map(middle), {0, 1}) < 1e-9);
  o.turn = false;
  c = made(motif, o);
  CHECK(distance(c.copies[3].map(middle + Vec{1, 0}) - c.copies[3].map(middle), {1, 0}) < 1e-9);
  // By distance: 150 mm take 8 of 20 mm, and 10 mm are left over, half at either end.
  o.fill = true, o.by = By::pitch, o.pitch_mm = 20;
  c = made(motif, o);
  CHECK(c.copies.size() == 8);
  CHECK_THAT(c.left_over.x, WithinAbs(10, 1e-9));
  CHECK(distance(c.copies[0].map(middle), {5, 0}) < 1e-9);
  // Around a closed path they are even all around.
  o.path = disc(80);
  o.pitch_mm = 25;
  c = made(motif, o);
  CHECK(c.copies.size() == 10);
  CHECK_THAT(c.pitch_mm, WithinAbs(std::numbers::pi * 8, 0.001));
  // By true shapes: as many as keep the gap, and one more would not.
  o.by = By::shapes, o.gap_mm = 2, o.turn = true;
  c = made(motif, o);
  CHECK(*least_between(motif, c) >= 2 - 1e-3);
  o.fill = false, o.across = static_cast<int>(c.copies.size()) + 1;
  CHECK(*least_between(motif, made(motif, o)) < 2);
}

TEST_CASE("the gap between shapes is the gap asked for, whatever the motif, the arrangement and the turns") {
  Chance chance(12'001);
  for (int round = 0; round < rounds(60); ++round) {
    const auto motif = blob(chance);
    CopyOptions o;
    o.by = By::shapes;
    o.gap_mm = chance.between(0.1, 6);
    o.across = 4, o.down = 4;
    o.way = std::array{Way::row, Way::grid, Way::brick, Way::hex}[static_cast<std::size_t>(chance.whole(0, 3))];
    o.turned = static_cast<Turned>(chance.whole(0, 8));
    o.shift = chance.between(0, 1);
    const Copies c = made(motif, o);
    const auto [least, in_row] = least_distances(motif, c);
    INFO("round " << round << ", way " << static_cast<int>(o.way) << ", turned " << static_cast<int>(o.turned)
                  << ", gap " << o.gap_mm << ", pitch " << c.pitch_mm << " x " << c.pitch_down_mm);
    CHECK(least >= o.gap_mm - 0.01);
    CHECK(least <= o.gap_mm + 0.01);
    // Rows are as near as they may be, too.
    const bool whole = o.way == Way::hex || ((o.turned == Turned::p4 || o.turned == Turned::p6) && o.way != Way::row);
    if (!whole) {
      CHECK(in_row >= o.gap_mm - 0.01);
      CHECK(in_row <= o.gap_mm + 0.01);
    }
    CHECK_THAT(*least_between(motif, c), WithinAbs(least, 0.005));
  }
}

TEST_CASE("each plane group's generators map its pattern onto itself") {
  const auto motif = flag();
  const Vec middle{4.5, 6};
  struct Group {
    Turned turned;
    std::vector<Affine> generators;  // in pitches, the first copy's middle being the origin
  };
  const double r = std::sqrt(3) + 1;
  const Affine quarter{0, 1, -1, 0, 0, 0};
  const auto about = [](Vec p, const Affine& m) { return Affine::move(p.x, p.y) * m * Affine::move(-p.x, -p.y); };
  const std::vector<Group> groups{
      {Turned::p1, {Affine::move(1, 0), Affine::move(0, 1)}},
      {Turned::pm, {about({0.5, 0}, Affine::scale(-1, 1)), Affine::move(2, 0), Affine::move(0, 1)}},
      {Turned::pg, {Affine::move(1, 0) * Affine::scale(1, -1), Affine::move(0, 1)}},
      {Turned::pmm,
       {about({0.5, 0}, Affine::scale(-1, 1)), about({0, 0.5}, Affine::scale(1, -1)), Affine::move(2, 0),
        Affine::move(0, 2)}},
      {Turned::p2, {about({0.5, 0}, Affine::scale(-1, -1)), Affine::move(2, 0), Affine::move(0, 1)}},
      {Turned::p4, {about({0.5, 0.5}, quarter), Affine::move(2, 0)}},
      {Turned::p6, {about({0, 1}, Affine::rotate(60)), Affine::move(r, 0)}},
      {Turned::mirrored, {about({0.5, 0}, Affine::scale(-1, 1)), Affine::move(1, 1)}},
      {Turned::turned, {about({0.5, 0}, Affine::scale(-1, -1)), Affine::move(1, 1)}}};
  for (const auto& [turned, generators] : groups) {
    INFO("group " << static_cast<int>(turned));
    CopyOptions o;
    o.way = Way::grid, o.by = By::pitch, o.turned = turned;
    o.pitch_mm = 16, o.pitch_down_mm = turned == Turned::p4 ? 0 : 14;
    o.across = o.down = turned == Turned::p6 ? 9 : 24;
    const Copies c = made(motif, o);
    const Affine pitches = turned == Turned::p6 || turned == Turned::p4 ? Affine::scale(16, 16) : Affine::scale(16, 14);
    Box all;
    std::vector<Region> regions;
    for (const auto& copy : c.copies) {
      regions.push_back(region_of({transformed(motif[0], copy.map).points}, FillRule::nonzero));
      all.add(bounds_of(regions.back()));
    }
    const Region pattern = unite(regions);
    const Vec centre = all.centre();
    // Where both the pattern and its image are whole: around the middle.
    const Region window{{{centre + Vec{-70, -70}, centre + Vec{70, -70}, centre + Vec{70, 70}, centre + Vec{-70, 70}}}};
    const Region seen = intersect(pattern, window);
    REQUIRE(area_of(seen) > 3000);
    for (const Affine& g : generators) {
      // From the first copy to one like it in the middle of the pattern, and to mm.
      const Affine there = turned == Turned::p6 ? Affine::move(4 * r, 4 * r * std::sqrt(3) / 2) : Affine::move(12, 12);
      const Affine mm = Affine::move(middle.x, middle.y) * pitches * there;
      const Affine map = mm * g * mm.inverse();
      const Region image = intersect(transformed(pattern, map), window);
      const double differ =
          geos_boolean(seen, image, Boolean::cut_away).area + geos_boolean(image, seen, Boolean::cut_away).area;
      CHECK(differ / area_of(seen) < 1e-6);
    }
    // Nothing else is there by chance: an identity of the plane that the group does not have shows.
    const Region other = intersect(transformed(pattern, about(middle, Affine::rotate(90))), window);
    CHECK(geos_boolean(seen, other, Boolean::cut_away).area > 10);
  }
}

TEST_CASE("a room that wraps around goes on without a seam, and one that is cut holds what lies in it") {
  Chance chance(12'002);
  for (int round = 0; round < rounds(24); ++round) {
    CopyOptions o;
    o.way = std::array{Way::grid, Way::brick, Way::hex}[static_cast<std::size_t>(chance.whole(0, 2))];
    o.turned =
        std::array{Turned::p1, Turned::pm, Turned::pg, Turned::pmm, Turned::p2, Turned::p4}[static_cast<std::size_t>(
            o.way == Way::grid ? chance.whole(0, 5) : 0)];
    const Text way = o.way == Way::grid ? "grid" : o.way == Way::brick ? "brick" : "hex";
    const Text each = std::array{"p1", "pm", "pg", "pmm", "p2", "p4"}[static_cast<std::size_t>(o.turned)];
    const double wide = std::floor(chance.between(40, 110)), high = std::floor(chance.between(40, 110));
    const Values values{{"way", way},   {"by", Text("fill-shapes")}, {"gap", 1.5}, {"wide", wide}, {"high", high},
                        {"each", each}, {"edge", Text("wrap")}};
    const Text body = R"(<path id="f" d="M100 100 h9 v3 l-4 1 l-1 2 l-2 -1 v7 h-2 z"/>)";
    const Project p = repeated(body, values);
    const Drawing d = drawn(p);
    const StepOutcome& outcome = d.pieces[0]->outcomes.back();
    INFO(way << " " << each << " " << wide << " x " << high);
    REQUIRE(outcome.trouble.empty());
    REQUIRE(outcome.repeated);
    const Region tile = material_of(d.pieces[0]->piece->lines);
    const Box room = outcome.repeated->room;
    CHECK(room.width() == Approx(wide));
    // Four tiles beside each other are what one that is moved by half a room is: there is no edge.
    std::vector<Region> tiles;
    for (const double x : {0.0, wide}) {
      for (const double y : {0.0, high}) tiles.push_back(transformed(tile, Affine::move(x, y)));
    }
    const Region laid = unite(tiles);
    CHECK_THAT(area_of(laid), WithinAbs(4 * area_of(tile), 1e-3));
    // Every motif is whole: as many parts as motifs, each of the motif's area, where none is at the rim.
    std::size_t whole = 0;
    const Region inner{{{{room.x0 + wide / 2, room.y0 + high / 2},
                         {room.x1 + wide / 2, room.y0 + high / 2},
                         {room.x1 + wide / 2, room.y1 + high / 2},
                         {room.x0 + wide / 2, room.y1 + high / 2}}}};
    const double one = area_of(region_of(
        {closed({{0, 0}, {9, 0}, {9, 3}, {5, 4}, {4, 6}, {2, 5}, {2, 12}, {0, 12}}).points}, FillRule::nonzero));
    for (const auto& part : parts_of(laid)) {
      const Box b = bounds_of(part);
      if (b.x0 < room.x0 + 0.01 || b.y0 < room.y0 + 0.01 || b.x1 > room.x1 + wide - 0.01 ||
          b.y1 > room.y1 + high - 0.01)
        continue;
      ++whole;
      CHECK_THAT(area_of(part), WithinAbs(one, 0.01));
    }
    CHECK(whole >= outcome.repeated->count);
    CHECK_THAT(area_of(tile), WithinAbs(one * static_cast<double>(outcome.repeated->count), 0.05));
    CHECK_THAT(area_of(intersect(laid, inner)), WithinAbs(area_of(tile), 0.05));

    // Cut off: the same arrangement without end, seen through the room.
    Values cut = values;
    cut["edge"] = Text("cut");
    const Drawing there = drawn(repeated(body, cut));
    const Region seen = material_of(there.pieces[0]->piece->lines);
    const Box reach = bounds_of(seen);
    CHECK(room.grown(0.001).contains(reach));
    CHECK_THAT(reach.width(), WithinAbs(wide, 12));
  }
}

TEST_CASE("copies share their motif through drawing, parts and plan, and follow it") {
  const Project p =
      repeated(R"(<path id="a" d="M20 30 c5 -8 9 4 12 1 s2 9 -5 9 z"/><circle id="b" cx="26" cy="34" r="1"/>)",
               {{"way", Text("grid")}, {"count", 12.0}, {"rows", 11.0}, {"gap", 1.0}});
  const Derived d = derived(p);
  const DrawnPiece& piece = *d.drawing.pieces[0];
  REQUIRE(piece.piece->lines.size() == 2 * 132);
  std::set<const void*> paths, polylines, bodies, courses;
  for (const auto& line : piece.piece->lines) paths.insert(&*line.path);
  for (const auto& line : piece.flat->lines) polylines.insert(&*line.polylines);
  REQUIRE(d.layout.parts.size() == 132);
  for (const auto& part : d.layout.parts) bodies.insert(&*part.shape);
  for (const auto& pass : d.plan.passes) {
    for (const auto& stroke : pass.strokes) courses.insert(stroke.course.polyline.get());
  }
  CHECK(paths.size() == 2);
  CHECK(polylines.size() == 2);
  CHECK(bodies.size() == 1);  // each with its hole
  CHECK(courses.size() == 2);
  // They are where copies are that share nothing.
  Project apart = p;
  apart.pieces[0].edit([&](Piece& own) {
    own.lines = piece.piece->lines;
    for (auto& line : own.lines) line.path = placed_path(line), line.at = {};
    own.steps.clear();
  });
  const Derived e = derived(apart);
  REQUIRE(e.layout.parts.size() == 132);
  for (std::size_t i = 0; i < 132; ++i) {
    CHECK(distance(d.layout.parts[i].centre, e.layout.parts[i].centre) < 1e-6);
    CHECK_THAT(d.layout.parts[i].area_mm2, WithinAbs(e.layout.parts[i].area_mm2, 1e-4));
  }
  CHECK_THAT(d.plan.seconds, WithinAbs(e.plan.seconds, 1e-6 * e.plan.seconds + 0.5));
  double run = 0, other = 0;
  for (const auto& pass : d.plan.passes) run += pass.length_mm;
  for (const auto& pass : e.plan.passes) other += pass.length_mm;
  CHECK_THAT(run, WithinAbs(other, 1e-3 * other));
  // A step that works on shapes takes each where it stands.
  Step grow;
  grow.kind = "offset";
  grow.values = {{"by", 1.0}};
  const Drawing joined = drawn(*add_step(p, 1, grow));
  CHECK(parts_of(material_of(joined.pieces[0]->piece->lines)).size() < 132);
  CHECK(bounds_of_piece(*add_step(p, 1, grow), 1).width() == Approx(bounds_of_piece(p, 1).width() + 2).margin(0.02));
}

TEST_CASE("what takes long to repeat is left for later, what copies a small motif is there at once") {
  const auto stale = [](const Text& body, Values values) {
    DrawingCache cache;
    const Drawing d = evaluate(repeated(body, std::move(values)), cache, Effort::at_once);
    return d.pieces[0]->stale;
  };
  Text lace = "M50 50";
  for (int i = 0; i < 3000; ++i) lace += i % 2 == 0 ? " l0.05 0.4" : " l0.05 -0.4";
  const Text heavy = "<path id=\"a\" d=\"" + lace + "\"/>";
  CHECK(stale(heavy, {}));
  CHECK(stale(heavy, {{"by", Text("fill-shapes")}}));
  CHECK_FALSE(stale(kSquare, {{"way", Text("grid")}, {"count", 100.0}, {"rows", 100.0}, {"gap", 1.0}}));
}

TEST_CASE("single copies are left out and given other roles, and keep that when there are more") {
  Project p = repeated(kSquare, {{"way", Text("grid")}, {"count", 4.0}, {"rows", 3.0}});
  const auto ids = [&] {
    std::set<Text> out;
    const Drawing d = drawn(p);
    for (const auto& line : d.pieces[0]->piece->lines) out.insert(line.id);
    return out;
  };
  const auto named = ids();
  REQUIRE(named.size() == 12);
  REQUIRE(named.contains("a"));
  REQUIRE(named.contains("a~1.2.1"));
  p = assign_role(p, {{1, "a~1.2.1"}}, Role::draw);
  Step drop;
  drop.kind = "leave-out";
  drop.values = {{"of", Text("a~1.1.2")}};
  p = *add_step(p, 1, drop);
  CHECK(ids().size() == 11);
  const auto role_at = [&](const Text& id) {
    const Drawing d = drawn(p);
    for (const auto& line : d.pieces[0]->piece->lines) {
      if (line.id == id) return line.role;
    }
    FAIL("gone: " << id);
    return Role::guide;
  };
  CHECK(role_at("a~1.2.1") == Role::draw);
  // Wider and higher: the same ones are meant, where they were.
  p = *set_step_value(*set_step_value(p, 1, 1, "count", 7.0), 1, 1, "rows", 5.0);
  CHECK(ids().size() == 34);
  CHECK(role_at("a~1.2.1") == Role::draw);
  CHECK(role_at("a~1.3.1") == Role::cut);
  CHECK_FALSE(ids().contains("a~1.1.2"));
}

TEST_CASE("repeats that cannot be say why and leave the motif as it was") {
  const auto trouble = [&](Values values) {
    const Drawing d = drawn(repeated(kSquare, std::move(values)));
    const auto& outcome = d.pieces[0]->outcomes.back();
    if (outcome.trouble.empty()) return Text();
    if (!outcome.repeated) CHECK(d.pieces[0]->piece->lines.size() == 1);
    return outcome.trouble.front().code;
  };
  CHECK(trouble({{"way", Text("path")}}) == "repeat-no-path");
  CHECK(trouble({{"by", Text("fill-gap")}, {"wide", 9.0}, {"high", 50.0}}) == "repeat-none");
  CHECK(trouble({{"way", Text("grid")}, {"by", Text("fill-pitch")}, {"pitch", 0.1}}) == "repeat-many");
  CHECK(trouble({{"way", Text("grid")},
                 {"by", Text("count-room")},
                 {"count", 3.0},
                 {"each", Text("pm")},
                 {"edge", Text("wrap")},
                 {"wide", 90.0},
                 {"high", 90.0}}) == "repeat-no-wrap");
  CHECK(trouble({{"by", Text("fill-gap")}}).empty());
  // Boxes may overlap, by so much that no two are apart.
  CHECK(trouble({{"gap", -10.0}}).empty());
  CHECK(trouble({{"by", Text("fill-gap")}, {"gap", -10.0}, {"wide", 50.0}, {"high", 50.0}}) == "repeat-many");
  // Motifs that take up no room in a row end all the same.
  const Text upright = R"(<path id="a" d="M50 50 v20"/>)";
  for (const char* way : {"row", "grid", "brick", "hex"}) {
    for (const char* edge : {"whole", "cut", "wrap"}) {
      const Drawing d = drawn(repeated(upright, {{"way", Text(way)},
                                                 {"by", Text("fill-shapes")},
                                                 {"gap", 0.0},
                                                 {"wide", 12.0},
                                                 {"high", 90.0},
                                                 {"edge", Text(edge)}}));
      CHECK(d.pieces[0]->piece->lines.size() >= 1);
    }
  }
  Project p = repeated(kSquare, {{"by", Text("fill-gap")}});
  p.sheets.clear(), p.shelf.clear();
  const Drawing d = drawn(p);
  CHECK(d.pieces[0]->outcomes.back().repeated);  // then it is the mat
}

}  // namespace dotlane::test
