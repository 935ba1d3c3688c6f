#include "core/trainer/exercise.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

#include "core/project/edit.hpp"
#include "core/project/presets.hpp"

namespace dotlane {
namespace {

// What was measured, and what tools are really like, mm.
constexpr Vec kChiselTip{1.1, -0.6};
constexpr double kTrail = 0.9, kPenMetres = 2.2;
constexpr Vec kStretched{1.006, 0.997};

std::vector<Vec> star(Vec middle, double radius, int points) {
  std::vector<Vec> out;
  for (int k = 0; k < 2 * points; ++k) {
    const double a = std::numbers::pi * k / points, r = k % 2 == 0 ? radius : radius * 0.45;
    out.push_back(middle + Vec{r * std::sin(a), -r * std::cos(a)});
  }
  return out;
}

std::vector<Vec> box(double x, double y, double w, double h) {
  return {{x, y}, {x + w, y}, {x + w, y + h}, {x, y + h}};
}

/// A lantern: a hood, a body and a foot, no two sides alike, so that its mirror image is told from it.
std::vector<Vec> lantern(Vec at, double size) {
  std::vector<Vec> out;
  for (const Vec p : {Vec{0.5, 0},
                      {0.8, 0.2},
                      {0.7, 0.25},
                      {0.85, 0.8},
                      {0.75, 0.85},
                      {0.75, 1.0},
                      {0.2, 1.0},
                      {0.2, 0.85},
                      {0.3, 0.8},
                      {0.35, 0.25},
                      {0.25, 0.2}})
    out.push_back(at + p * size);
  return out;
}

std::vector<Vec> wave(Vec from, double length, double rise) {
  std::vector<Vec> out;
  constexpr int kPoints = 64;
  for (int k = 0; k <= kPoints; ++k) {
    const double t = static_cast<double>(k) / kPoints;
    out.push_back(from + Vec{t * length, rise * std::sin(t * 6 * std::numbers::pi)});
  }
  return out;
}

Line line_of(const std::string& id, const Contour& contour, Role role, const std::string& tool) {
  Line line;
  line.id = id, line.role = role, line.tool = tool;
  line.path = Shared<Path>(Path{{contour}, FillRule::nonzero});
  return line;
}

Line cut_line(const std::string& id, const std::vector<Vec>& points, const std::string& blade = "blade") {
  return line_of(id, straight_through(points, true), Role::cut, blade);
}

Line drawn(const std::string& id, const std::vector<Vec>& points, bool closed, const std::string& pen = "pen-black") {
  return line_of(id, straight_through(points, closed), Role::draw, pen);
}

constexpr double kLeft = 20, kTop = 30, kWide = 150, kHigh = 110;  // of the sheet on its mat

Project with_sheet(Project p, const std::string& stock, int load = 1) {
  Sheet sheet;
  sheet.id = static_cast<int>(p.sheets.size()) + 1, sheet.stock = stock, sheet.load = load;
  sheet.area = Box::of(kLeft, kTop, kWide, kHigh);
  sheet.window = {kLeft, kTop};
  p.sheets.push_back(sheet);
  return p;
}

Project bench(const std::string& name, const std::string& stock) { return with_sheet(new_project(name), stock); }

int add(Project& p, const std::string& name, const std::string& stock, std::vector<Line> lines) {
  Piece piece;
  piece.id = static_cast<int>(p.pieces.size()) + 1;
  piece.name = name, piece.stock = stock;
  piece.lines = std::move(lines);
  const int id = piece.id;
  p.pieces.push_back(Shared<Piece>(std::move(piece)));
  return id;
}

void set_role(Project& p, int piece, const std::string& line, Role role, const std::string& tool) {
  p = edit_piece(std::move(p), piece, [&](Piece& changed) {
    for (auto& l : changed.lines) {
      if (l.id == line) l.role = role, l.tool = tool;
    }
  });
}

void change_tool(Project& p, const std::string& id, const std::function<void(Tool&)>& change) {
  for (auto& tool : p.tools) {
    if (tool.id == id) change(tool);
  }
}

Setting& cut_of(Project& p, const std::string& stock) {
  for (auto& s : p.stocks) {
    if (s.id == stock) return s.settings[Role::cut];
  }
  return p.stocks.front().settings[Role::cut];
}

std::string add_pen(Project& p, Color ink) {
  p.tools.push_back(pen_of(ink));
  return p.tools.back().id;
}

/// A lantern on a label: border drawn, outline cut.
Project label(const std::string& stock, const std::string& blade = "blade") {
  Project p = bench("Stall label", stock);
  add(p, "Label", stock,
      {drawn("lantern", lantern({70, 50}, 55), true), cut_line("outline", box(55, 42, 85, 75), blade)});
  return p;
}

Lesson same(Project p) {
  Lesson out;
  out.start = out.goal = out.real = std::move(p);
  return out;
}

Lesson forgotten_role() {
  Project p = bench("Harbour tag", "soft-metal");
  const int tag =
      add(p, "Tag", "soft-metal",
          {line_of("edge", straight_through(box(40, 50, 90, 50), true), Role::guide, ""),
           line_of("star", straight_through(star({65, 75}, 16, 5), true), Role::engrave, "engraving-tip"),
           line_of("wave", straight_through(wave({88, 76}, 34, 6), false), Role::engrave, "engraving-tip")});
  Lesson out = same(std::move(p));
  set_role(out.start, tag, "wave", Role::cut, "deep-blade");
  return out;
}

Lesson drawn_and_cut() {
  Lesson out = same(label("cover-65"));
  out.start = edit_piece(std::move(out.start), 1, [](Piece& piece) {
    piece.lines.push_back(drawn("outline-drawn", box(55, 42, 85, 75), true));
  });
  return out;
}

Lesson not_through() {
  Lesson out = same(label("cover-80"));
  Setting& start = cut_of(out.start, "cover-80");
  start.force_gf = 90, start.depth = 2;
  return out;
}

Lesson too_deep() {
  Lesson out = same(label("paper", "fine-blade"));
  Setting& start = cut_of(out.start, "paper");
  start.force_gf = 140, start.depth = 5;
  return out;
}

Lesson not_mirrored() {
  Project p = bench("Apron transfer", "vinyl");
  add(p, "Lantern", "vinyl", {cut_line("lantern", lantern({60, 45}, 70))});
  p.plan.mirrored = true;
  Lesson out = same(std::move(p));
  out.start.plan.mirrored = false;
  return out;
}

Lesson mirrored_twice() {
  Project p = bench("Window transfer", "vinyl");
  const int piece = add(p, "Lantern", "vinyl", {cut_line("lantern", lantern({60, 45}, 70))});
  p.plan.mirrored = true;
  Lesson out = same(std::move(p));
  // About the upright middle of the sheet, so that either mirror may be the one that goes.
  constexpr double kMiddle = kLeft + kWide / 2;
  out.start = place_pieces(std::move(out.start), {piece}, Affine{-1, 0, 0, 1, 2 * kMiddle, 0});
  return out;
}

Lesson cut_first() {
  Lesson out = same(label("cover-65"));
  out.start.plan.role_order = {Role::cut, Role::draw, Role::foil, Role::engrave, Role::emboss, Role::score};
  return out;
}

Lesson dark_before_light() {
  Project p = bench("Lantern sign", "cover-65");
  const std::string yellow = add_pen(p, {240, 205, 40});
  add(p, "Glow", "cover-65", {drawn("rays", star({95, 85}, 42, 9), true, yellow)});
  add(p, "Lantern", "cover-65", {drawn("lantern", lantern({65, 50}, 60), true)});
  Lesson out = same(std::move(p));
  out.start.plan.by_hand.push_back({{2, "lantern", 1}, {1, "rays", 1}});
  return out;
}

Lesson dry_pen() {
  Project p = bench("Tide table", "cover-65");
  std::vector<Line> lines;
  for (int n = 0; n < 12; ++n)
    lines.push_back(drawn("tide-" + std::to_string(n + 1), wave({30, 42 + 7.0 * n}, 120, 2.5), false));
  const int piece = add(p, "Tides", "cover-65", std::move(lines));
  Lesson out = same(std::move(p));
  out.start = edit_piece(std::move(out.start), piece, [](Piece& changed) {
    for (auto& line : changed.lines) line.repeats = 3, line.stroke_by_stroke = true;
  });
  change_tool(out.real, "pen-black", [](Tool& t) { t.lasts_m = kPenMetres; });
  return out;
}

Lesson mat_out() {
  Project p = with_sheet(bench("Two pennants", "cover-65"), "cover-80", 2);
  const std::string red = add_pen(p, {200, 60, 40}), blue = add_pen(p, {40, 90, 160});
  for (const char* stock : {"cover-65", "cover-80"})
    add(p, std::string("Pennant of ") + stock, stock,
        {drawn("lantern", lantern({60, 50}, 40), true, red), drawn("star", star({115, 70}, 18, 5), true, blue),
         cut_line("outline", box(50, 42, 95, 60))});
  Lesson out = same(std::move(p));
  out.start.plan.by_tool = true;
  return out;
}

Lesson raised_part() {
  Project p = bench("Lantern lid", "soft-metal");
  Line handle = line_of("handle", straight_through(box(80, 38, 30, 12), true), Role::guide, "");
  handle.raised_mm = 9;
  add(p, "Lid", "soft-metal",
      {line_of("edge", straight_through(box(25, 34, 140, 102), true), Role::guide, ""), handle});
  const int motif =
      add(p, "Star", "soft-metal",
          {line_of("star", straight_through(star({95, 72}, 14, 5), true), Role::engrave, "engraving-tip")});
  Lesson out = same(std::move(p));
  out.goal = move_pieces(std::move(out.goal), {motif}, {0, 34});
  out.anywhere = true;
  return out;
}

Lesson chisel_tip() {
  Project p = bench("Stall banner", "cover-65");
  add(p, "Banner", "cover-65",
      {drawn("lantern", lantern({65, 50}, 60), true, "chisel-marker"), drawn("rim", box(50, 42, 90, 76), true)});
  Lesson out = same(std::move(p));
  change_tool(out.real, "chisel-marker", [](Tool& t) { t.tip_mm = kChiselTip; });
  return out;
}

Lesson trailing_blade() {
  Project p = bench("Paper stars", "cover-65");
  add(p, "Stars", "cover-65", {cut_line("star-1", star({60, 80}, 26, 5)), cut_line("star-2", star({125, 80}, 26, 7))});
  Lesson out = same(std::move(p));
  change_tool(out.real, "blade", [](Tool& t) { t.trail_mm = kTrail; });
  return out;
}

Lesson long_machine() {
  Project p = bench("Box blank", "cover-65");
  add(p, "Blank", "cover-65", {cut_line("outline", box(26, 36, 138, 98))});
  Lesson out = same(std::move(p));
  out.real.machine.scale = kStretched;
  return out;
}

Lesson three_at_once() {
  Project p = bench("Fair transfer", "vinyl");
  const int piece = add(p, "Lantern", "vinyl",
                        {drawn("star", star({92, 88}, 12, 5), true), cut_line("lantern", lantern({55, 42}, 80))});
  p.plan.mirrored = true;
  Lesson out = same(std::move(p));
  out.start.plan.mirrored = false;
  set_role(out.start, piece, "star", Role::cut, "blade");
  Setting& start = cut_of(out.start, "vinyl");
  start.force_gf = 160, start.depth = 4;
  return out;
}

struct Row {
  Exercise exercise;
  Lesson (*make)();
};

const std::vector<Row>& rows() {
  static const std::vector<Row> all{
      {{"forgotten-role", 1}, forgotten_role},
      {{"drawn-and-cut", 1}, drawn_and_cut},
      {{"not-through", 1}, not_through},
      {{"too-deep", 1}, too_deep},
      {{"not-mirrored", 1}, not_mirrored},
      {{"mirrored-twice", 2}, mirrored_twice},
      {{"cut-first", 2}, cut_first},
      {{"dark-before-light", 2}, dark_before_light},
      {{"dry-pen", 2, {{"metres", kPenMetres}}}, dry_pen},
      {{"mat-out", 2}, mat_out},
      {{"raised-part", 2}, raised_part},
      {{"chisel-tip", 3, {{"right", kChiselTip.x}, {"up", -kChiselTip.y}}}, chisel_tip},
      {{"trailing-blade", 3, {{"trail", kTrail}}}, trailing_blade},
      {{"long-machine", 3, {{"across", 200 * kStretched.x}, {"up", 200 * kStretched.y}}}, long_machine},
      {{"three-at-once", 3}, three_at_once},
  };
  return all;
}

}  // namespace

const std::vector<Exercise>& exercises() {
  static const std::vector<Exercise> all = [] {
    std::vector<Exercise> out;
    for (const auto& row : rows()) out.push_back(row.exercise);
    return out;
  }();
  return all;
}

const Exercise* find_exercise(std::string_view id) {
  for (const auto& exercise : exercises()) {
    if (exercise.id == id) return &exercise;
  }
  return nullptr;
}

Said title_of(const Exercise& exercise) { return {std::string("trainer") + "/" + std::string(exercise.id)}; }

Said story_of(const Exercise& exercise) {
  return {std::string("trainer-story") + "/" + std::string(exercise.id), exercise.figures};
}

Said hint_of(const Exercise& exercise) { return {std::string("trainer-hint") + "/" + std::string(exercise.id)}; }

Lesson lesson_of(const Exercise& exercise) {
  for (const auto& row : rows()) {
    if (row.exercise.id == exercise.id) return row.make();
  }
  return {};
}

}  // namespace dotlane
