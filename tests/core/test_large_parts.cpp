// What is larger than a sheet, divided in the project: the step, its handles, its undoing.
#include "core/geometry/measure.hpp"
#include "core/layout/split/large_parts.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/seams.hpp"
#include "core/shape/step_handles.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A banner of 260 x 90 mm with a hole, a fold along it and a small piece on top, sized to 700 mm.
Project banner() {
  Project p = project_of(
      R"(<path id="cloth" stroke="#444444" d="M10 100 h260 l-15 45 l15 45 h-260 z M60 140 v12 h12 v-12 z"/>
         <path id="fold" stroke="#aa0000" stroke-dasharray="3 2" d="M20 120 h230"/>)");
  for (auto& piece : p.pieces) {
    piece.edit([](Piece& it) {
      for (auto& line : it.lines) line.role = line.id == "fold" ? Role::score : Role::cut;
    });
  }
  add_drawing(p, R"(<circle id="sun" cx="140" cy="145" r="36" stroke="#444444"/>)", "sun.svg");
  p.pieces[0].edit([](Piece& it) { it.lines[0].role = Role::cut; });
  p = set_stock(p, 2, p.stocks[0].id == p.pieces[1]->stock ? p.stocks[1].id : p.stocks[0].id);
  DrawingCache cache;
  return *size_pieces(p, {1, 2}, {700.0, std::nullopt, {0, 0}}, cache);
}

DividedFigure divided(const Project& p, const std::vector<int>& pieces = {}) {
  DrawingCache cache;
  return divide_large(p, pieces, cache);
}

Seamed seamed(const Drawing& drawing) {
  for (const auto& piece : drawing.pieces) {
    if (!piece->outcomes.empty() && piece->outcomes.back().seamed) return *piece->outcomes.back().seamed;
  }
  FAIL("no seams");
  return {};
}

std::vector<double> list(const Project& p, const char* key) {
  const Piece& piece = *find_piece(p, 1);
  return Reading(*find_kind(step_kinds(), "seams"), piece.steps.back().values).list(key);
}

}  // namespace

TEST_CASE("a banner becomes tiles that fit, and is whole again without the step") {
  Project p = banner();
  // As drawn it reaches past the mat; it is told there, too.
  const Derived as_drawn = derived(p);
  const auto off = std::find_if(as_drawn.findings.begin(), as_drawn.findings.end(),
                                [](const Finding& f) { return f.code == "off-mat" && f.lines.front().piece == 1; });
  REQUIRE(off != as_drawn.findings.end());
  REQUIRE(off->fixes.size() == 1);
  CHECK(off->fixes[0].kind == Fix::Kind::divide);
  CHECK(apply_fix(p, as_drawn.drawing, *off, off->fixes[0]) == divided(p).project);
  for (auto& stock : p.stocks) stock.laid_out = LaidOut::packed;
  const Derived before = derived(p);
  const Finding* large = finding(before, "part-too-large");
  REQUIRE(large);
  REQUIRE(large->fixes.size() == 1);
  CHECK(label(large->fixes[0]) == "Divide it");
  const DividedFigure d = divided(p);
  REQUIRE(d.parts.size() == 1);
  CHECK(d.parts[0].name == "Test");
  CHECK(d.parts[0].piece == 1);
  CHECK(d.parts[0].fits);
  CHECK(d.parts[0].tiles >= 3);
  CHECK_FALSE(d.parts[0].seamless_trimmed);           // what is seen of it is still too long
  CHECK(d.parts[0].visible_mm < d.parts[0].seam_mm);  // the sun lies on some of it
  const Derived after = derived(d.project);
  CHECK_FALSE(finding(after, "part-too-large"));
  CHECK_FALSE(finding(after, "doubled-cut"));
  CHECK(seamed(after.drawing).tiles == d.parts[0].tiles);
  // The banner's tiles and the sun are parts of their own; what is scored goes with its tile.
  CHECK(after.layout.parts.size() == d.parts[0].tiles + 1);
  const DrawnPiece& cloth = *find_drawn(after.drawing, 1);
  for (const auto& line : cloth.piece->lines) {
    if (line.role == Role::score) CHECK(line.path->contours.size() >= d.parts[0].tiles - 1);
  }
  // What the tiles come to is the banner.
  double area = 0;
  for (const auto& part : after.layout.parts) area += part.area_mm2;
  double whole = 0;
  for (const auto& part : before.layout.parts) whole += part.area_mm2;
  CHECK(area == Approx(whole).epsilon(1e-5));
  // Done by the fix as well; without the step it is as it was.
  CHECK(apply_fix(p, before.drawing, *large, large->fixes[0]) == d.project);
  const int step = find_piece(d.project, 1)->steps.back().id;
  CHECK(remove_step(d.project, 1, step) == p);
  // Once more finds the same seams.
  const auto again = list(divided(d.project).project, "seams"), found = list(d.project, "seams");
  REQUIRE(again.size() == found.size());
  for (std::size_t i = 0; i < found.size(); ++i) CHECK(again[i] == Approx(found[i]).margin(1e-6));
}

TEST_CASE("what fits is left alone, and a piece that fits by now is whole again") {
  Project p = banner();
  CHECK(divided(p, {2}).parts.empty());
  CHECK(divided(p, {2}).project == p);
  p = divided(p).project;
  DrawingCache cache;
  p = *size_pieces(p, {1, 2}, {200.0, std::nullopt, {0, 0}}, cache);
  const DividedFigure d = divided(p);
  CHECK(d.parts.empty());
  CHECK(list(d.project, "seams").empty());
  CHECK(derived(d.project).layout.parts.size() == 2);
}

TEST_CASE("where no division helps, no empty step is left behind") {
  Project p = banner();
  for (auto& stock : p.stocks) stock.laid_out = LaidOut::packed;
  p.machine.mat.width_mm = p.machine.mat.height_mm = 14;  // more than 200 tiles
  for (auto& sheet : p.sheets) sheet.area = Box::of(6.4, 6.4, 1, 1);
  const DividedFigure d = divided(p, {1});
  REQUIRE(d.parts.size() == 1);
  CHECK_FALSE(d.parts[0].fits);
  CHECK(d.project == p);
}

TEST_CASE("joints that need room make tiles smaller, and all of them fit") {
  Project p = divided(banner()).project;
  const int step = find_piece(p, 1)->steps.back().id;
  for (const char* joint : {"overlap", "tab", "dovetail"}) {
    CAPTURE(joint);
    Project q = set_step_value(p, 1, step, "joint", std::string(joint)).value();
    q = set_step_value(q, 1, step, "width", 14.0).value();
    const DividedFigure d = divided(q);
    REQUIRE(d.parts.size() == 1);
    CHECK(d.parts[0].fits);
    const Derived after = derived(d.project);
    CHECK_FALSE(finding(after, "part-too-large"));
    CHECK(after.layout.parts.size() == d.parts[0].tiles + 1);
  }
}

TEST_CASE("seams are dragged, turned, pinned, let go and taken away by their handles") {
  Project p = divided(banner()).project;
  const auto handles = [&] { return step_handles(p, drawn(p), 1); };
  const std::size_t seams = seamed(drawn(p)).runs.size();
  REQUIRE(handles().size() == 3 * seams);
  CHECK(placed_by_last(p, 1) == Placed::seams);
  const Project found = p;
  // A click pins, another lets go, and nothing else is changed by either.
  p = click_handle(p, handles()[0]);
  CHECK(list(p, "pinned").size() == 2);
  CHECK(handles()[0].set.has_value());
  p = click_handle(p, handles()[0]);
  CHECK(list(p, "pinned").empty());
  CHECK(list(p, "seams") == list(found, "seams"));
  // Dragged, it runs there and is pinned.
  const Vec to = handles()[0].at + Vec{-6, 0};
  p = drag_handle(p, handles()[0], to);
  CHECK(list(p, "pinned").size() == 2);
  CHECK(seamed(drawn(p)).runs[0].pinned);
  CHECK(distance(nearest_on(handles()[1].at, handles()[2].at, to), to) < 0.2);
  // Turned about its other end.
  const Vec pivot = handles()[2].at, end = handles()[1].at;
  p = drag_handle(p, handles()[1], end + Vec{8, 0});
  CHECK(distance(handles()[2].at, pivot) < 0.5);
  CHECK(handles()[1].at.x == Approx(end.x + 8).margin(1));
  // Divided anew the pinned one stays.
  const Seam pinned = seamed(drawn(p)).runs[0].seam;
  const DividedFigure again = divided(p);
  REQUIRE(again.parts.size() == 1);
  CHECK(again.parts[0].fits);
  const Seamed::Run first = seamed(drawn(again.project)).runs[0];
  CHECK(first.pinned);
  CHECK(distance(first.seam.a, pinned.a) + distance(first.seam.b, pinned.b) < 1e-3);
  // Clicks while picking: that one away, and one the shortest way across somewhere else.
  p = pick_place(p, drawn(p), 1, handles()[0].at, 1);
  CHECK(seamed(drawn(p)).runs.size() == seams - 1);
  CHECK(list(p, "pinned").empty());
  const Box box = bounds_of_piece(p, 1);
  p = pick_place(p, drawn(p), 1, {box.x0 + 215, box.centre().y}, 1);
  CHECK(seamed(drawn(p)).runs.size() == seams);
  CHECK(seamed(drawn(p)).runs.back().pinned);
  CHECK(seamed(drawn(p)).runs.back().seam.length() == Approx(box.height()).epsilon(0.05));
}

TEST_CASE("hidden stretches and those in sight make up every seam") {
  const Project p = divided(banner()).project;
  const Drawing drawing = drawn(p);
  double hidden = 0, seen = 0, all = 0, visible = 0;
  for (const auto& stretch : seams_in(p, drawing)) (stretch.hidden ? hidden : seen) += distance(stretch.a, stretch.b);
  const Seamed made = seamed(drawing);
  for (const auto& run : made.runs) all += run.seam.length(), visible += run.visible_mm;
  CHECK(hidden > 10);
  CHECK(seen == Approx(visible).epsilon(1e-4));
  CHECK(hidden + seen == Approx(all).epsilon(1e-4));
}

TEST_CASE("the seams step says what it cannot divide") {
  Project p = project_of(R"(<path d="M20 20 h60" stroke="#222222"/>)");
  Step step;
  step.kind = "seams";
  step.values["seams"] = std::vector<double>{0, 0, 1, 1};
  p = add_step(p, 1, step).value();
  CHECK(drawn(p).pieces[0]->outcomes.back().trouble == Sayings{{"seams-nothing"}});
  Project q = project_of(R"(<path d="M20 20 h60 v60 h-60 z" stroke="#222222"/>)");
  step.values["seams"] = std::vector<double>{0.5, 0, 0.5, 1, 3, 3, 3.1, 3};
  q = add_step(q, 1, step).value();
  const StepOutcome outcome = drawn(q).pieces[0]->outcomes.back();
  REQUIRE(outcome.trouble.size() == 1);
  CHECK(sentence(outcome.trouble[0], LengthUnit::mm).find("1 seam runs through no material") != std::string::npos);
  CHECK(outcome.seamed->tiles == 2);
}

TEST_CASE("what is cut of another piece in the same card does not lead its seams astray") {
  // The sun on the same stock as the cloth counts as an opening of it; the step divides the cloth as such.
  Project p = banner();
  p = set_stock(p, 2, p.pieces[1]->stock);
  const DividedFigure d = divided(p);
  REQUIRE(d.parts.size() == 1);
  CHECK(d.parts[0].fits);
  const Drawing drawing = drawn(d.project);
  CHECK(find_drawn(drawing, 1)->outcomes.back().trouble.empty());
  CHECK(seamed(drawing).tiles == d.parts[0].tiles);
}

TEST_CASE("a part that others hide for the most part would need no seam if it were trimmed") {
  // A bar of 500 x 60 mm below one of 300 x 80 mm in the middle of it.
  Project p = project_of(R"(<rect x="20" y="100" width="250" height="30"/>)");
  p.pieces[0].edit([](Piece& it) { it.lines[0].role = Role::cut; });
  add_drawing(p, R"(<rect x="70" y="95" width="150" height="40"/>)", "top.svg");
  p.pieces[0].edit([](Piece& it) { it.lines[0].role = Role::cut; });
  p = set_stock(p, 2, p.stocks[0].id == p.pieces[1]->stock ? p.stocks[1].id : p.stocks[0].id);
  DrawingCache cache;
  p = *size_pieces(p, {1, 2}, {500.0, std::nullopt, {0, 0}}, cache);
  const DividedFigure d = divided(p);
  REQUIRE(d.parts.size() == 1);  // the upper one fits aslant
  CHECK(d.parts[0].piece == 1);
  CHECK(d.parts[0].seamless_trimmed);
  CHECK(d.parts[0].visible_mm < 1);  // and as it is, its seam can hide
}
