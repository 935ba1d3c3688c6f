// Applique: allowances by Steiner's formula, underlaps under the neighbours and nowhere else, what is seen unchanged,
// and mirrored exactly once by any way. Areas are asked of GEOS.
#include <numbers>

#include "chance.hpp"
#include "core/check/checks.hpp"
#include "core/geometry/clusters.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/applique.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/pieced.hpp"
#include "core/shape/ready.hpp"
#include "core/shape/steps.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

using Catch::Matchers::WithinAbs;
using Text = std::string;

Project with_applique(Project p, int piece, Values values) {
  Step step;
  step.kind = "applique";
  step.values = std::move(values);
  auto next = add_step(std::move(p), piece, step);
  if (!next) FAIL(line_of(next.error()));
  return *next;
}

const std::vector<Line>& lines_there(const Drawing& d, int piece) { return find_drawn(d, piece)->piece->lines; }

/// What is cut of the piece, in the figure.
Region cut_of(const Drawing& d, int piece) {
  std::vector<Region> all;
  for (const auto& line : lines_there(d, piece)) {
    if (line.role == Role::cut) all.push_back(region_of(*line.path));
  }
  return transformed(unite(all), find_drawn(d, piece)->map);
}

double area(const Region& a, const Region& b, Boolean how) { return geos_boolean(a, b, how).area; }

}  // namespace

TEST_CASE(
    "a turned edge adds its allowance by Steiner's formula, an opening loses it, raw and fused edges are the line") {
  // Convex shapes: A + P a + pi a² (Steiner). The reverse of a rectangle: (w - 2 a)(h - 2 a).
  const double a = 6;
  struct Case {
    Text body;
    double area, perimeter;
  };
  for (const auto& [body, size, around] :
       {Case{R"(<rect x="40" y="40" width="60" height="35"/>)", 2100, 190},
        Case{R"(<circle cx="90" cy="90" r="25"/>)", std::numbers::pi * 625, std::numbers::pi * 50},
        Case{R"(<path d="M40 40 h50 l-25 43.30127018922193 Z"/>)", 0.5 * 50 * 43.30127018922193, 150}}) {
    const Project p = project_of(body);
    const auto edge = [&](const char* word) {
      return cut_of(drawn(with_applique(p, 1, {{"edge", Text(word)}, {"allowance", a}})), 1);
    };
    CHECK_THAT(area_of(edge("turned")), WithinAbs(size + around * a + std::numbers::pi * a * a, 0.5));
    CHECK_THAT(area_of(edge("raw")), WithinAbs(size, 0.2));
    CHECK_THAT(area_of(edge("fused")), WithinAbs(size, 0.2));
  }
  const Project p = project_of(R"(<rect x="40" y="40" width="60" height="35"/>)");
  const Region opening = cut_of(drawn(with_applique(p, 1, {{"edge", Text("reverse")}, {"allowance", a}})), 1);
  CHECK_THAT(area_of(opening), WithinAbs(48 * 23, 0.1));
}

TEST_CASE("a lower piece runs under its upper neighbour by the underlap and nowhere else, and what is seen stays") {
  Chance chance(12'101);
  for (int round = 0; round < rounds(40); ++round) {
    // Two neighbours that meet along a wavy seam, or lie on each other.
    const double seam = chance.between(90, 110), deep = chance.between(2, 14), lies_over = chance.coin() ? 0 : 20;
    Text wave = "M" + std::to_string(seam) + " 40";
    for (int i = 0; i < 4; ++i) wave += " q" + std::to_string(i % 2 == 0 ? deep : -deep) + " 15 0 30";
    const Text upper = wave + " H170 V40 Z";
    Text lower = wave + " H40 V40 Z";
    if (lies_over > 0) lower = "M40 40 H" + std::to_string(seam + lies_over) + " V160 H40 Z";
    Project p = new_project("two");
    const int below = add_drawing(p, "<path d=\"" + lower + "\"/>");
    const int above = add_drawing(p, "<path d=\"" + upper + "\"/>");
    const double underlap = chance.between(0.5, 6);
    const bool turned = chance.coin();
    const Values values{{"edge", Text(turned ? "turned" : "raw")}, {"allowance", 5.0}, {"underlap", underlap}};
    const Drawing plain = drawn(p);
    const Region face = cut_of(plain, below), cover = cut_of(plain, above);
    const Drawing d = drawn(with_applique(with_applique(p, below, values), above, values));
    const Region cut = cut_of(d, below);
    const Region seen = unite({subtract(face, cover)});
    INFO("round " << round << ": underlap " << underlap << ", over " << lies_over << ", turned " << turned);
    // What is seen of the lower one is there; below the upper one it is where it is within the underlap of that.
    CHECK(area(seen, cut, Boolean::cut_away) < 0.02);
    const Region under = intersect(cut, cover), wanted = intersect(offset(seen, underlap), cover);
    CHECK(area(under, wanted, Boolean::cut_away) < 0.2);  // curves are refitted within 10 µm
    CHECK(area(wanted, under, Boolean::cut_away) < 0.2);  // curves are refitted within 10 µm
    // And nowhere else, but for what is turned under.
    const Region else_where = subtract(subtract(cut, cover), turned ? offset(seen, 5) : seen);
    CHECK(area_of(else_where) < 0.2);
    // The picture from above is the one it was: allowances are turned under.
    CHECK(area(unite({seen, cover}), unite({face, cover}), Boolean::cut_away) < 0.02);
  }
}

TEST_CASE("what is fused is mirrored exactly once by any way, or the check speaks") {
  const Project p = project_of(R"(<path id="a" d="M40 40 h40 v10 h-30 v30 h-10 Z"/>)");
  const auto code = [](const Project& project) {
    for (const auto& f : derived(project).findings) {
      if (f.code == "fused-not-mirrored" || f.code == "mirrored-twice") return f.code;
    }
    return Text();
  };
  Step mirror;
  mirror.kind = "mirror";
  for (const bool here : {false, true}) {
    for (const bool step : {false, true}) {
      for (const bool job : {false, true}) {
        Project q = with_applique(p, 1, {{"edge", Text("fused")}, {"turn-over", here}});
        if (step) q = *add_step(q, 1, mirror);
        q.plan.mirrored = job;
        const int times = here + step + job;
        INFO(here << step << job);
        CHECK(code(q) == (times % 2 != 0 ? "" : (here != step) ? "mirrored-twice" : "fused-not-mirrored"));
        const Derived d = derived(q);
        const Finding* f =
            finding(d, "fused-not-mirrored") ? finding(d, "fused-not-mirrored") : finding(d, "mirrored-twice");
        if (!f) continue;
        REQUIRE(f->fixes.size() == 2);  // with the job, or in the recipe
        for (const auto& fix : f->fixes) CHECK(code(apply_fix(q, d.drawing, *f, fix)).empty());
      }
    }
  }
  CHECK(code(with_applique(p, 1, {{"edge", Text("raw")}})).empty());
  // Neighbours look at what is seen in the end, not at what lies on the web.
  Project two = new_project("two");
  const int below = add_drawing(two, R"(<rect x="40" y="40" width="60" height="60"/>)");
  const int above = add_drawing(two, R"(<path d="M100 40 h50 v20 h-20 v40 h-30 Z"/>)");
  const Values fused{{"edge", Text("fused")}, {"underlap", 4.0}, {"turn-over", true}};
  const Drawing d = drawn(with_applique(with_applique(two, below, fused), above, fused));
  CHECK_THAT(area_of(cut_of(d, below)), WithinAbs(60 * 60 + 4 * 60, 0.1));
  CHECK_THAT(area_of(cut_of(d, above)), WithinAbs(50 * 20 + 30 * 40, 0.1));
}

TEST_CASE("an allowance is clipped where the edge bends inward, notched where it bulges, trimmed at corners") {
  const double a = 6;
  const auto marks_of = [&](const Text& body) {
    const Drawing d = drawn(
        with_applique(project_of(body), 1, {{"edge", Text("turned")}, {"allowance", a}, {"marks", Text("score")}}));
    std::vector<Polyline> out;
    for (const auto& line : lines_there(d, 1)) {
      if (line.role != Role::score) continue;
      for (const auto& c : line.path->contours) out.push_back(flatten(c, 0.01));
    }
    return out;
  };
  // A straight edge asks for none; each of a rectangle's corners is trimmed once.
  CHECK(marks_of(R"(<rect x="40" y="40" width="80" height="50"/>)").size() == 4);
  // A large disc lies flat, a small one is notched all around.
  CHECK(marks_of(R"(<circle cx="100" cy="100" r="80"/>)").empty());
  const auto notches = marks_of(R"(<circle cx="100" cy="100" r="15"/>)");
  CHECK(notches.size() >= 9);
  for (const auto& n : notches) CHECK(n.points.size() >= 3);
  // An inner corner has its clip, a bay its clips; all of it lies in the allowance.
  const Text bay = R"(<path d="M40 40 h100 v80 h-20 a30 30 0 0 0 -60 0 h-20 Z"/>)";
  const auto clips = marks_of(bay);
  CHECK(clips.size() > 8);
  const Region face = cut_of(drawn(project_of(bay)), 1), cut = offset(face, a);
  const DrawnPiece piece = *find_drawn(drawn(project_of(bay)), 1);
  for (const auto& mark : clips) {
    for (const Vec q : mark.points) {
      CHECK(encloses(offset(cut, 0.02), piece.map(q)));
      CHECK_FALSE(encloses(offset(face, 0.2), piece.map(q)));
    }
  }
}

TEST_CASE("a stitch that does not cover the underlap, and fabric too thin to hold, are said") {
  Project two = new_project("two");
  const int below = add_drawing(two, R"(<rect x="40" y="40" width="60" height="60"/>)");
  (void)add_drawing(two, R"(<rect x="100" y="40" width="60" height="60"/>)");
  const auto trouble = [&](Values values) {
    const Drawing d = drawn(with_applique(two, below, std::move(values)));
    const auto& said = find_drawn(d, below)->outcomes.back().trouble;
    return said.empty() ? Text() : said.front().code;
  };
  CHECK(trouble({{"underlap", 3.0}, {"satin", 8.0}}) == "applique-satin");
  CHECK(trouble({{"underlap", 4.0}, {"satin", 8.0}}).empty());
  const Project thin = project_of(R"(<path d="M40 40 h40 v40 h-2 v-38 h-38 Z"/>)");
  const Drawing d = drawn(with_applique(thin, 1, {{"edge", Text("raw")}}));
  REQUIRE(!d.pieces[0]->outcomes.back().trouble.empty());
  CHECK(d.pieces[0]->outcomes.back().trouble.front().code == "applique-thin");
}

TEST_CASE("a placement template draws what pieces show, numbered from the lowest, and follows them") {
  Project p = demo("fish-pennant");
  std::vector<int> all;
  for (const auto& piece : p.pieces) all.push_back(piece->id);
  int id = 0;
  p = add_template_of(std::move(p), all, &id);
  const Drawing d = drawn(p);
  const DrawnPiece& made = *find_drawn(d, id);
  REQUIRE(made.outcomes.back().trouble.empty());
  REQUIRE(made.piece->lines.size() == 2);
  for (const auto& line : made.piece->lines) CHECK(line.role == Role::draw);
  CHECK(made.piece->stock == "paper");
  const auto with = Reading(*find_kind(step_kinds(), "template"), find_piece(p, id)->steps[0].values).list("with");
  REQUIRE(with.size() == all.size());
  CHECK(static_cast<int>(with.front()) == all.back());
  // Every number stands where its piece is seen, clear of the others.
  const Line& numbers = made.piece->lines[1];
  std::vector<Box> strokes;
  for (const auto& contour : numbers.path->contours)
    strokes.push_back(bounds_of(Path{{contour}, FillRule::nonzero}).grown(0.5));
  CHECK(touching(strokes).size() == all.size());
  // The fish is drawn by its seen edge, without what runs under: a template of it alone is as wide as it looks.
  int fish = 0;
  for (const auto& piece : p.pieces) {
    if (piece->name == "Pennant") fish = piece->id;
  }
  int alone = 0;
  Project one = add_template_of(p, {fish}, &alone);
  const Drawing before = drawn(one);
  CHECK(find_drawn(before, alone)->bounds.width() == Approx(find_drawn(before, fish)->bounds.width()).margin(0.05));
  // It follows the piece when that is sized and moved.
  one = sized(one, fish, 300, {}, {0, 0});
  const Drawing after = drawn(one);
  CHECK(find_drawn(after, alone)->bounds.width() == Approx(300).margin(0.1));
  // No numbers where they have no height.
  one = set_step_value(one, alone, 1, "numbers", 0.0).value();
  const Drawing bare = drawn(one);
  CHECK(find_drawn(bare, alone)->piece->lines.size() == 1);
  CHECK(add_template_of(p, {}, nullptr) == p);
}

TEST_CASE("pieced units: cutting sizes of the charts, and seams that meet to the finished block") {
  using U = std::string;
  constexpr double kInch = 25.4;
  const auto cuts = [&](const char* unit, double size, double seam) {
    return patch_cuts({{"unit", U(unit)}, {"size", size}, {"seam", seam}});
  };
  // With quarter-inch seams charts say 7/8 in more than the finished size for halves, 1 1/4 in more for quarters
  // (common practice, no published source), rounded up from the exact size by less than a sixteenth.
  for (const double finished : {2.0, 3.0, 4.5, 6.0, 12.0}) {
    const double half = cuts("half-square", finished * kInch, kInch / 4)[0].side_mm / kInch;
    CHECK(half <= finished + 7.0 / 8);
    CHECK(half > finished + 7.0 / 8 - 1.0 / 16);
    const double quarter = cuts("quarter-square", finished * kInch, kInch / 4)[0].side_mm / kInch;
    CHECK(quarter <= finished + 1.25);
    CHECK(quarter > finished + 1.25 - 1.0 / 16);
  }
  Chance chance(13);
  for (int round = 0; round < rounds(40); ++round) {
    const double size = chance.between(20, 400), seam = chance.between(0.5, 10);
    for (const char* unit : {"half-square", "quarter-square", "geese", "square-in-square"}) {
      INFO(unit << ' ' << size << ' ' << seam);
      Sayings trouble;
      const auto lines = ready_shape("pieced", {{"unit", U(unit)}, {"size", size}, {"seam", seam}}, trouble);
      REQUIRE(lines.size() == 2);
      CHECK(lines[0].role == Role::cut);
      CHECK(lines[1].role == Role::draw);
      // The seams enclose the finished block: a square, or half of one.
      CHECK(enclosed_area_of(*lines[1].path) == Approx(U(unit) == "geese" ? size * size / 2 : size * size));
      // Every seam lies so far inside its patch, all around: the mitred offset of the one is the other.
      for (std::size_t i = 0; i < lines[0].path->contours.size(); ++i) {
        const Region patch = region_of(Path{{lines[0].path->contours[i]}, FillRule::nonzero}),
                     sewn = region_of(Path{{lines[1].path->contours[i]}, FillRule::nonzero});
        const Region grown = offset(sewn, seam, {Corners::mitre, 10});
        CHECK(area_of(subtract(grown, patch)) + area_of(subtract(patch, grown)) < 1e-3);
      }
    }
  }
  Sayings trouble;
  CHECK(ready_shape("pieced", {{"seams", false}}, trouble).size() == 1);
  CHECK(ready_shape("pieced", {{"seam", 0.0}}, trouble).size() == 1);
}

TEST_CASE("grain arrows lie within their shapes, along the grain, as long as asked where there is room") {
  Chance chance(17);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const auto rings = chance.rings();
    const Region shape = region_of(rings, FillRule::nonzero);
    if (shape.empty()) continue;
    Project p = new_project("grain");
    Artwork art;
    art.unit_source = UnitSource::stated;
    art.width_mm = art.height_mm = 100;
    ArtLine line;
    line.id = "shape";
    line.stroke = Color{20, 20, 20};
    line.path = refit(shape);
    art.lines.push_back(std::move(line));
    p = add_artwork(std::move(p), art, "grain.svg");
    Step step;
    step.kind = "grain-arrow";
    const double angle = chance.between(-180, 180);
    step.values["angle"] = angle;
    if (chance.coin()) step.values["length"] = chance.between(1, 200);
    p = add_step(p, p.pieces[0]->id, step).value();
    const Drawing d = drawn(p);
    const auto& lines = d.pieces[0]->piece->lines;
    REQUIRE(lines.size() >= 2);
    for (std::size_t i = 1; i < lines.size(); ++i) {
      CHECK(lines[i].role == Role::draw);
      const Polyline shaft = flatten(lines[i].path->contours[0], 0.01);
      const Vec way = shaft.points.back() - shaft.points.front();
      const double turned = std::atan2(-way.x, -way.y) * 180 / std::numbers::pi;  // counter-clockwise off upright
      CHECK(std::abs(std::remainder(turned - angle, 360)) < 0.01);
      double inside = 0;
      for (const auto& run : clip({shaft}, shape, true)) inside += length_of(run);
      CHECK(inside == Approx(length_of(shaft)).margin(0.01));
    }
  }
}

}  // namespace dotlane::test
