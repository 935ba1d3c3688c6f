// Printed sheets: what is printed on them, how their marks are found, and whether what is cut lies on the print.
#include "core/layout/print_marks.hpp"

#include "chance.hpp"
#include "core/format/svg_writer.hpp"
#include "core/geometry/affine_fit.hpp"
#include "core/geometry/measure.hpp"
#include "core/job/cutter.hpp"
#include "core/job/hpgl.hpp"
#include "core/job/off_print.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/print_art.hpp"
#include "core/layout/room.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Badges with a printed face: a filled disc that runs to the edge of the cut, a star within, a line across. On a sheet
/// of 216 x 279 mm that lies within the mat.
Project badges() {
  std::string body;
  for (int i = 0; i < 6; ++i) {
    const int x = 70 + 60 * (i % 3), y = 90 + 80 * (i / 3);
    const std::string at = "cx='" + std::to_string(x) + "' cy='" + std::to_string(y) + "'";
    body += "<circle " + at + " r='22' stroke='#222222'/>";
    body += "<circle " + at + " r='22' stroke='none' fill='#c77f0a'/>";
    body += "<rect x='" + std::to_string(x - 9) + "' y='" + std::to_string(y - 9) +
            "' width='18' height='18' stroke='none' fill='#22433a'/>";
    body += "<circle " + at + " r='16' stroke='#884400'/>";
  }
  Project p = project_of(body);
  p.sheets[0].area = Box::of(44, 13, 216, 279);
  p.sheets[0].window = {44, 13};
  p.sheets[0].printed = true;
  const Drawing d = drawn(p);
  for (const auto& [color, role] : {std::pair{Color{0x22, 0x22, 0x22}, Role::cut},
                                    {Color{0xc7, 0x7f, 0x0a}, Role::print},
                                    {Color{0x22, 0x43, 0x3a}, Role::print},
                                    {Color{0x88, 0x44, 0x00}, Role::score}})
    p = assign_role(p, lines_of_color(d, color), role);
  return p;
}

Affine lying(Vec centre, double turn, Vec shift, double wide, double high) {
  return Affine::move(centre.x + shift.x, centre.y + shift.y) * Affine::rotate(turn) * Affine::scale(wide, high) *
         Affine::move(-centre.x, -centre.y);
}

/// Runs the job on these sheets, confirming every pause.
std::pair<RunRecord, std::string> ran(const Project& p, const Derived& d, const std::vector<PrintedSheet>& printed,
                                      unsigned seed) {
  std::vector<std::string> holders;
  for (const auto& load : d.plan.first_load) holders.push_back(load.holds);
  const Job job = compile(d.plan, p.machine);
  Cutter cutter(p.machine, holders, printed, seed);
  cutter.feed(hpgl_of(job).text);
  cutter.end();
  RunRecord record;
  for (int i = 0; i < 10'000; ++i) {
    cutter.advance(1e6);
    if (cutter.state() != Cutter::State::paused) break;
    CHECK_FALSE(cutter.loaded(cutter.wanted().holders));
  }
  record.marks = cutter.take_marks(), record.registrations = cutter.take_registrations();
  record.seconds = cutter.seconds();
  if (cutter.state() == Cutter::State::finished) record.outcome = Outcome::done;
  return {record, sentence(cutter.problem())};
}

}  // namespace

TEST_CASE("affine maps come back from what they do to a few places, and tell how they turn, move and size") {
  Chance chance(5);
  for (int round = 0; round < rounds(200); ++round) {
    CAPTURE(round);
    const double turn = chance.between(-180, 180);
    const Vec shift{chance.between(-50, 50), chance.between(-50, 50)}, centre{100, 80};
    const double wide = chance.between(0.9, 1.1), high = chance.between(0.9, 1.1);
    const Affine map = lying(centre, turn, shift, wide, high);
    std::vector<Vec> from, to;
    for (int i = 0; i < chance.whole(3, 9); ++i) {
      from.push_back({chance.between(0, 300), chance.between(0, 300)});
      to.push_back(map(from.back()));
    }
    const auto fit = fitted_affine(from, to);
    REQUIRE(fit);
    CHECK(fit->residual_mm < 1e-6);
    for (const Vec p : from) CHECK(distance(fit->map(p), map(p)) < 1e-6);
    const Displacement told = displacement_of(map, centre);
    CHECK(told.shift.x == Approx(shift.x).margin(1e-9));
    CHECK(told.shift.y == Approx(shift.y).margin(1e-9));
    CHECK(std::abs(std::remainder(told.turn_deg + turn, 360)) < 1e-6);
    CHECK(told.most == Approx(std::max(wide, high)));
    CHECK(told.least == Approx(std::min(wide, high)));
  }
  CHECK_FALSE(fitted_affine({{0, 0}, {1, 1}, {2, 2}}, {{0, 0}, {1, 1}, {2, 2}}));
  CHECK_FALSE(fitted_affine({{0, 0}, {1, 1}}, {{0, 0}, {1, 1}}));
}

TEST_CASE("the cut lands within 0.1 mm of the print, however the sheet was laid") {
  const Project p = badges();
  const Derived d = derived(p);
  REQUIRE(d.plan.passes.size() == 2);
  const auto marks = marks_of(p, p.sheets[0]);
  REQUIRE(marks);
  const Vec centre = p.sheets[0].area.centre();
  Chance chance(15);
  double worst = 0, worst_residual = 0, without = 0;
  for (int round = 0; round < rounds(100); ++round) {
    CAPTURE(round);
    // To 3 degrees, 5 mm and 0.5 %, each way and each side for itself; every fourth at the very ends of that.
    const bool end = round % 4 == 0;
    const auto within = [&](double most) {
      return end ? (chance.whole(0, 1) == 0 ? -most : most) : chance.between(-most, most);
    };
    const double turn = within(3);
    const Vec shift = Affine::rotate(chance.between(0, 360))({std::abs(within(5)), 0});
    PrintedSheet sheet{p.sheets[0].id, 1, lying(centre, turn, shift, 1 + within(0.005), 1 + within(0.005)), *marks, {}};
    const auto [record, problem] = ran(p, d, {sheet}, static_cast<unsigned>(round));
    CHECK(problem == "");
    REQUIRE(record.registrations.size() == 1);
    const OffPrint off = off_print(d.plan, record, sheet, p.sheets[0].area);
    // All of it was looked at, and none of it lies farther off than it may.
    double wanted = 0;
    for (const auto& pass : d.plan.passes) wanted += pass.length_mm;
    CHECK(off.marked_mm == Approx(wanted).epsilon(0.01));
    CHECK(off.most_mm < 0.1);
    CHECK(record.registrations[0].residual_mm < 0.1);
    worst = std::max(worst, off.most_mm),
    worst_residual = std::max(worst_residual, record.registrations[0].residual_mm);
    // Each mark where its own stroke is printed, not merely on any: the first stroke begins at its first point.
    const Vec begins = sheet.placement(d.plan.passes[0].strokes[0].start());
    CHECK(distance(record.marks.front().points.front(), begins) < 0.1);
    RunRecord blind = record;
    const Affine back = record.registrations[0].map.inverse();
    for (auto& mark : blind.marks) {
      for (Vec& q : mark.points) q = back(q);
    }
    without = std::max(without, off_print(d.plan, blind, sheet, p.sheets[0].area).most_mm);
  }
  CHECK(without > 5);  // cut as laid, it would be anywhere
  WARN("worst " << worst << " mm off the print, residual " << worst_residual << " mm; without marks up to " << without
                << " mm");
}

TEST_CASE("marks that are not as they were printed stop the run, and it says which") {
  const Project p = badges();
  const Derived d = derived(p);
  const auto marks = marks_of(p, p.sheets[0]);
  REQUIRE(marks);
  const Vec centre = p.sheets[0].area.centre();
  const PrintedSheet good{p.sheets[0].id, 1, {}, *marks, {}};
  const auto says = [&](const std::vector<PrintedSheet>& printed) {
    const auto [record, problem] = ran(p, d, printed, 1);
    CHECK(record.marks.empty());  // nothing was spoiled
    CHECK(record.outcome != Outcome::done);
    return problem;
  };
  CHECK(says({}).find("printed first") != std::string::npos);
  PrintedSheet sheet = good;
  sheet.placement = lying(centre, 180, {}, 1, 1);
  CHECK(says({sheet}).find("wrong way round") != std::string::npos);
  sheet = good;
  sheet.marks.dots[2] = sheet.marks.dots[2] + Vec{60, 0};
  CHECK(says({sheet}).find("bottom right was not found") != std::string::npos);
  sheet = good;
  sheet.marks.dots[3] = sheet.marks.dots[3] + Vec{2, -2};
  CHECK(says({sheet}).find("do not lie to each other") != std::string::npos);
  sheet = good;
  sheet.placement = lying(centre, 0, {60, 0}, 1, 1);
  CHECK(says({sheet}).find("was not found") != std::string::npos);
  // Something else printed right beside a dot hides it; near by but apart from it, it does not.
  sheet = good;
  sheet.art = region_of(Box::of(marks->dots[0].x - 4, marks->dots[0].y - 3, 3, 6));
  CHECK(says({sheet}).find("top left was not found") != std::string::npos);
  sheet.art = region_of(Box::of(marks->dots[0].x - 12, marks->dots[0].y + 7, 14, 5));
  const auto [record, problem] = ran(p, d, {sheet}, 1);
  CHECK(problem == "");
  CHECK(record.outcome == Outcome::done);
}

TEST_CASE("looking for marks takes the time that the plan says, once for each time the mat goes in") {
  Project p = badges();
  const Derived d = derived(p);
  Project plain = p;
  plain.sheets[0].printed = false;
  const Derived without = derived(plain);
  CHECK(d.plan.seconds == Approx(without.plan.seconds + 4 * p.machine.mark_s));
  const PrintedSheet sheet{p.sheets[0].id, 1, {}, *marks_of(p, p.sheets[0]), {}};
  CHECK(ran(p, d, {sheet}, 1).first.seconds == Approx(d.plan.running_seconds()).epsilon(0.01));
  // While they are looked for the head has marked nothing.
  const Moment early = moment_at(d.plan, p.machine, 3 * p.machine.mark_s);
  CHECK(early.stroke == 0);
  CHECK_FALSE(early.down);
  // A machine that finds none runs it as it is laid.
  p.machine.reads_marks = false;
  CHECK(hpgl_of(compile(derived(p).plan, p.machine)).text == hpgl_of(compile(without.plan, plain.machine)).text);
  CHECK(hpgl_of(compile(d.plan, p.machine)).text.find("dot-lane marks sheet") != std::string::npos);
  const auto text = marker_text(MarksMarker{7, *marks_of(badges(), badges().sheets[0])});
  const auto read = marks_from(text);
  REQUIRE(read);
  CHECK(marker_text(*read) == text);
  CHECK_FALSE(marks_from("dot-lane marks sheet 1 2,3"));
}

TEST_CASE("parts keep clear of the marks, and small or odd sheets have none") {
  Project p = badges();
  const auto marks = marks_of(p, p.sheets[0]);
  REQUIRE(marks);
  const Region usable = usable_on(p, p.sheets[0]);
  for (const Vec dot : marks->dots) {
    CHECK(p.sheets[0].area.grown(-kMarkInset + 0.01).contains(dot));
    CHECK_FALSE(encloses(usable, dot + Vec{kMarkDot / 2 + kMarkQuiet - 0.1, 0}));
  }
  CHECK_FALSE(encloses(usable, marks->second));
  CHECK(area_of(intersect(usable, zones_of(*marks))) < 1e-6);
  CHECK(encloses(usable, p.sheets[0].area.centre()));
  Sheet small = p.sheets[0];
  small.area = Box::of(100, 100, 60, 200);
  CHECK_FALSE(marks_of(p, small));
  Sheet scrap = p.sheets[0];
  scrap.outline = {{{0, 0}, {200, 0}, {100, 200}}};
  CHECK_FALSE(marks_of(p, scrap));
  Sheet plain = p.sheets[0];
  plain.printed = false;
  CHECK_FALSE(marks_of(p, plain));
}

TEST_CASE("second look speaks of print that nobody prints, of marks that are covered or have no room, and of hands") {
  const auto speaks = [](const Project& p, const char* code) { return finding(derived(p), code) != nullptr; };
  const Project p = badges();
  for (const char* code : {"print-missing", "print-no-marks", "print-on-marks", "print-by-hand"})
    CHECK_FALSE(speaks(p, code));
  Project q = p;
  q.sheets[0].printed = false;
  REQUIRE(speaks(q, "print-missing"));
  const Derived d = derived(q);
  const Finding& missing = *finding(d, "print-missing");
  REQUIRE(missing.fixes.size() == 1);
  CHECK(apply_fix(q, d.drawing, missing, missing.fixes[0]) == p);
  q = p;
  q.machine.reads_marks = false;
  CHECK(speaks(q, "print-by-hand"));
  q = p;
  q.sheets[0].area = Box::of(60, 80, 79, 200);
  CHECK(speaks(q, "print-no-marks"));
  q = p;
  const auto marks = marks_of(q, q.sheets[0]);
  const Box first = bounds_of_piece(q, q.pieces[0]->id);
  q.pieces[0].edit([&](Piece& piece) {
    piece.placement = Affine::move(marks->dots[0].x - first.x0 - 5, marks->dots[0].y - first.y0 - 5) * piece.placement;
  });
  CHECK(speaks(q, "print-on-marks"));
}

TEST_CASE("what is printed to the edge of a cut runs on beyond it by the bleed, and never over a neighbour") {
  Project p = badges();
  const Derived d = derived(p);
  REQUIRE(prints(p, d.layout.sheets[0]));
  const auto area = [](const std::vector<PrintShape>& art, Color color) {
    std::vector<Region> all;
    for (const auto& shape : art) {
      if (shape.color == color) all.push_back(shape.area);
    }
    return area_of(unite(all));
  };
  const double pi = std::numbers::pi;
  const auto art = print_art(p, d.layout, d.layout.sheets[0]);
  // Six discs of 22 mm and 2 mm of bleed; squares that lie within are as they were drawn.
  CHECK(area(art, {0xc7, 0x7f, 0x0a}) == Approx(6 * pi * 24 * 24).epsilon(0.002));
  CHECK(area(art, {0x22, 0x43, 0x3a}) == Approx(6 * 18 * 18).epsilon(1e-4));
  p.laying.bleed_mm = 0;
  CHECK(area(print_art(p, d.layout, d.layout.sheets[0]), {0xc7, 0x7f, 0x0a}) ==
        Approx(6 * pi * 22 * 22).epsilon(0.002));
  // Neighbours 1 mm apart: what is beyond one of them ends at the other.
  const std::string row =
      "<rect x='50' y='80' width='40' height='40' stroke='#222222'/><rect x='91' y='80' width='40' height='40' "
      "stroke='#222222'/><rect x='50' y='80' width='40' height='40' stroke='none' fill='#c77f0a'/>";
  Project q = project_of(row);
  q = assign_role(q, lines_of_color(drawn(q), {0x22, 0x22, 0x22}), Role::cut);
  q = assign_role(q, lines_of_color(drawn(q), {0xc7, 0x7f, 0x0a}), Role::print);
  q.laying.bleed_mm = 3;
  const Derived e = derived(q);
  const auto beside = print_art(q, e.layout, e.layout.sheets[0]);
  REQUIRE(beside.size() == 1);
  CHECK(area_of(intersect(beside[0].area, region_of(Box::of(91, 80, 40, 40)))) < 1e-6);
  CHECK(encloses(beside[0].area, {90.5, 100}));
  CHECK(encloses(beside[0].area, {47.5, 100}));
  CHECK_FALSE(encloses(beside[0].area, {46.5, 100}));
}

TEST_CASE("in a mirrored job the print is mirrored with the cut, and the marks are not") {
  Project p = badges();
  const auto plain = marks_of(p, p.sheets[0]);
  // Not the same left and right, so that what is mirrored lies elsewhere.
  p.pieces[0].edit([](Piece& piece) { piece.placement = Affine::move(-8, 0) * piece.placement; });
  p.plan.mirrored = true;
  const Derived d = derived(p);
  const auto marks = marks_of(p, p.sheets[0]);
  REQUIRE((marks && plain));
  CHECK(marks->dots == plain->dots);
  CHECK(marks->second == plain->second);
  const Affine printed = onto_print(p, p.sheets[0]);
  std::vector<Region> discs;
  for (const auto& shape : print_art(p, d.layout, d.layout.sheets[0])) {
    if (shape.color == Color{0xc7, 0x7f, 0x0a}) discs.push_back(transformed(shape.area, printed));
  }
  const Region all = unite(discs);
  std::size_t cuts = 0;
  for (const auto& pass : d.plan.passes) {
    if (pass.role != Role::cut) continue;
    for (const auto& stroke : pass.strokes) {
      ++cuts;
      // All around the cut there is print, 1.9 mm beyond it as well, and none 2.1 mm beyond.
      const Vec middle = bounds_of(region_of({stroke.points()}, FillRule::nonzero)).centre();
      for (const Vec q : stroke.points()) {
        const Vec out = (q - middle) * (1 / distance(q, middle));
        CHECK(encloses(all, q + out * 1.9));
        CHECK_FALSE(encloses(all, q + out * 2.1));
      }
    }
  }
  CHECK(cuts == 6);
  const PrintedSheet sheet{p.sheets[0].id, 1, lying(p.sheets[0].area.centre(), 1, {2, -1}, 1, 1), *marks, {}};
  const auto [record, problem] = ran(p, d, {sheet}, 3);
  CHECK(problem == "");
  CHECK(off_print(d.plan, record, sheet, p.sheets[0].area).most_mm < 0.1);
}

TEST_CASE("a picture that is printed goes on beyond the cut by the bleed, and lies where its outline lies") {
  Picture picture{40, 20, {}};
  for (int y = 0; y < 20; ++y) {
    for (int x = 0; x < 40; ++x) {
      const bool dark = x >= 10 && x < 30 && y >= 5 && y < 15;
      for (int k = 0; k < 3; ++k) picture.rgb.push_back(dark ? 20 : 250);
    }
  }
  int id = 0;
  Project p = new_project("picture");
  p = add_picture(std::move(p), picture, "sparks.png", {{"width", 80.0}, {"smoothing", 0.0}}, &id);
  p = edit_piece(std::move(p), id, [](Piece& piece) { piece.placement = Affine::move(150, 90) * Affine::rotate(90); });
  const auto laid = [](const Project& q) { return derived(q); };
  Derived d = laid(p);
  REQUIRE(d.layout.sheets.size() == 1);
  CHECK_FALSE(prints(p, d.layout.sheets[0]));
  CHECK(print_art(p, d.layout, d.layout.sheets[0]).empty());
  p = edit_piece(std::move(p), id, [](Piece& piece) { piece.source.values["print"] = true; });
  d = laid(p);
  REQUIRE(prints(p, d.layout.sheets[0]));
  const auto art = print_art(p, d.layout, d.layout.sheets[0]);
  REQUIRE(art.size() == 1);
  REQUIRE(art[0].picture);
  // Of 80 x 40 mm the middle half is cut: 40 x 20 mm, turned by a quarter, and 2 mm of bleed with round corners.
  const Box box = bounds_of(art[0].area);
  CHECK(box.width() == Approx(20 + 4).margin(0.5));
  CHECK(box.height() == Approx(40 + 4).margin(0.5));
  // The picture's dark middle lies in the middle of the part.
  const Vec centre = art[0].picture->onto({20, 10});
  CHECK(distance(centre, box.centre()) < 0.5);
  CHECK(distance(centre, d.layout.parts[0].centre) < 0.5);
  // On a sheet where it lies turned it goes along.
  p = set_place(std::move(p), d.drawing, d.layout, 0, {1, d.layout.sheets[0].sheet.id, 30, {200, 200}, false});
  d = laid(p);
  const auto turned = print_art(p, d.layout, d.layout.sheets[0]);
  REQUIRE(turned.size() == 1);
  const Vec there = turned[0].picture->onto({20, 10});
  CHECK(distance(there, d.layout.laid[0].map(d.layout.parts[0].centre)) < 0.5);
  CHECK(encloses(turned[0].area, there));
}
