// Calibration sheets: a simulated cutter with known faults is calibrated by what is read in the picture of its own
// outcome, as a person would read the sheet, and what is left of each fault is under a stated figure.
#include <cmath>
#include <random>

#include "core/calibrate/calibration.hpp"
#include "core/job/rehearsal.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "driving.hpp"
#include "render/sheet_export.hpp"

using namespace dotlane;

namespace {

Tool& tool_of(Project& project, const std::string& id) {
  for (auto& tool : project.tools) {
    if (tool.id == id) return tool;
  }
  FAIL("no tool " + id);
  return project.tools.front();
}

/// What a sheet looks like after a run, and places on it, mm on the mat.
class Seen {
 public:
  Seen(const Project& known, const Project& real, const CalibrationOf& of, double per_mm, unsigned seed = 1)
      : project(calibration_sheet(known, of).value()), per_mm_(per_mm) {
    DrawingCache cache;
    const Derived derived = derive(project, cache);
    plan = derived.plan;
    const Job job = compile(derived.plan, project.machine);
    Physics physics = physics_of(real, true);
    physics.stock = lying_stock(project, with_cells(real));
    physics.seed = seed;
    const Rehearsal done = rehearse(job, physics);
    REQUIRE(done.record.outcome == Outcome::done);
    area_ = around_sheets();
    Sheet whole = project.sheets.front();
    whole.area = area_;
    image_ = outcome_image(project, done.record, whole, per_mm, nullptr, {});
    ground_ = image_.pixelColor(1, 1);
  }
  Project project;
  Plan plan;

  [[nodiscard]] double step() const { return 1 / per_mm_; }
  [[nodiscard]] QColor at(Vec mm) const {
    const Vec px = (mm - Vec{area_.x0, area_.y0}) * per_mm_;
    return image_.pixelColor(std::clamp(static_cast<int>(px.x), 0, image_.width() - 1),
                             std::clamp(static_cast<int>(px.y), 0, image_.height() - 1));
  }
  /// How dark a place is against the stock, 0 to 1.
  [[nodiscard]] double dark(Vec mm) const {
    return 1 - static_cast<double>(at(mm).lightness()) / std::max(1, ground_.lightness());
  }
  [[nodiscard]] bool inked(Vec mm) const { return dark(mm) > 0.4; }
  /// The middle of what is inked along a line from one place to another, as a way from the first; nothing: -1.
  [[nodiscard]] double middle(Vec from, Vec to) const {
    const double length = distance(from, to);
    double first = -1, last = -1;
    for (double way = 0; way <= length; way += step() / 2) {
      if (!inked(lerp(from, to, way / length))) continue;
      if (first < 0) first = way;
      last = way;
    }
    return first < 0 ? -1 : (first + last) / 2;
  }
  /// The box around what is inked near a place.
  [[nodiscard]] Box blot(Vec middle, double reach) const {
    Box out;
    for (double y = -reach; y <= reach; y += step()) {
      for (double x = -reach; x <= reach; x += step()) {
        if (inked(middle + Vec{x, y})) out.add(middle + Vec{x, y});
      }
    }
    return out;
  }
  /// Strokes of the plan made with a tool, as they are wanted.
  [[nodiscard]] std::vector<std::vector<Vec>> strokes(const std::string& tool) const {
    std::vector<std::vector<Vec>> out;
    for (const auto& pass : plan.passes) {
      if (pass.tool != tool) continue;
      for (const auto& stroke : pass.strokes) out.push_back(stroke.points());
    }
    return out;
  }

 private:
  /// The cells of a test grid take what the stock itself takes.
  Project with_cells(Project real) const {
    for (const auto& stock : project.stocks) {
      if (find_stock(real, stock.id)) continue;
      Stock cell = *find_stock(real, stock.id.substr(0, stock.id.rfind("-f")));
      cell.id = stock.id;
      real.stocks.push_back(cell);
    }
    return real;
  }
  [[nodiscard]] Box around_sheets() const {
    Box out;
    for (const auto& sheet : project.sheets) out.add(sheet.area);
    return out;
  }
  double per_mm_;
  Box area_;
  QImage image_;
  QColor ground_;
};

Project workshop() {
  Project p = new_project("Fair workshop");
  p.machine.landing_mm = 0.03;
  return p;
}

constexpr double kScatter = 3 * 0.03;  // mm: three standard deviations of where a tool lands

}  // namespace

TEST_CASE("tip contact chart: tips are found within a tenth of a millimetre and the scatter") {
  Project known = workshop(), real = workshop();
  tool_of(real, "chisel-marker").tip_mm = {1.2, -0.7};
  tool_of(real, "pencil").tip_mm = {-0.45, 0.3};
  tool_of(known, "pencil").sits_deg = tool_of(real, "pencil").sits_deg = 90;  // turned in its holder, both know it
  const CalibrationOf of =
      settled(known, {Calibration::tip_contact, "pen-black", {"chisel-marker", "pencil"}, ""}).value();
  const auto read = [&](unsigned seed) {
    const Seen seen(known, real, of, 40, seed);
    Readings out;
    // The boxes by their edges, in the order of the tools; a cross by its arms, away from teeth and edges.
    std::vector<Box> boxes;
    for (const auto& stroke : seen.strokes("pen-black")) {
      Box box;
      for (const Vec p : stroke) box.add(p);
      if (box.width() > 25 && box.height() > 25) boxes.push_back(box);
    }
    REQUIRE(boxes.size() == 2);
    std::sort(boxes.begin(), boxes.end(), [](const Box& a, const Box& b) { return a.x0 < b.x0; });
    for (std::size_t n = 0; n < 2; ++n) {
      const Vec middle = boxes[n].centre();
      const double half = boxes[n].width() / 2;
      // Where the edges are seen, so that the reading is against the ruler that was drawn, wherever that landed.
      const auto edge = [&](Vec way) { return seen.middle(middle + way * (half - 1), middle + way * (half + 1)) - 1; };
      const double zero_x = (edge({1, 0}) - edge({-1, 0})) / 2, zero_y = (edge({0, 1}) - edge({0, -1})) / 2;
      const double x = seen.middle(middle + Vec{-5, -8}, middle + Vec{5, -8}) - 5 - zero_x;
      const double y = seen.middle(middle + Vec{-8, -5}, middle + Vec{-8, 5}) - 5 - zero_y;
      out[of.others[n] + ".x"] = x, out[of.others[n] + ".y"] = y;
    }
    return out;
  };
  const Readings first = read(3);
  CHECK(first.at("chisel-marker.x") == Approx(1.2).margin(0.1 + kScatter));
  known = with_readings(known, of, first).value();
  const auto left = [&](const char* id) { return distance(tool_of(known, id).tip_mm, tool_of(real, id).tip_mm); };
  CHECK(left("chisel-marker") < 0.1 + 2 * kScatter);
  CHECK(left("pencil") < 0.1 + 2 * kScatter);
  // Run once more, the sheet shows what is left.
  for (const auto& [key, value] : read(4)) {
    INFO(key);
    CHECK(std::abs(value) < 0.1 + 3 * kScatter);
  }
}

TEST_CASE("line width: found within a twentieth of the tip") {
  for (const double width : {0.27, 0.4, 0.58}) {
    INFO(width);
    Project known = workshop(), real = workshop();
    tool_of(real, "pen-black").tip_width_mm = width;
    const CalibrationOf of = settled(known, {Calibration::line_width, "pen-black", {}, ""}).value();
    const Seen seen(known, real, of, 60);
    double first = 0;
    int n = 0;
    // As the numbers beside them say, the pairs come by rising distance.
    auto strokes = seen.strokes("pen-black");
    std::erase_if(strokes, [](const auto& s) { return s.size() != 4 || distance(s[0], s[1]) < 10; });
    REQUIRE(strokes.size() == kPairs);
    std::sort(strokes.begin(), strokes.end(),
              [](const auto& a, const auto& b) { return distance(a[1], a[2]) < distance(b[1], b[2]); });
    for (const auto& pair : strokes) {
      ++n;
      const Vec middle = lerp(lerp(pair[0], pair[3], 0.5), lerp(pair[1], pair[2], 0.5), 0.5);
      bool ink = false, gap = false, again = false;
      for (double x = -2; x <= 2; x += seen.step() / 2) {
        const bool here = seen.inked(middle + Vec{x, 0});
        if (here && gap) again = true;
        if (here) ink = true;
        if (!here && ink) gap = true;
      }
      if (again) {
        first = pair_apart(0.4, n);
        break;
      }
    }
    REQUIRE(first > 0);
    known = with_readings(known, of, {{"apart", first}}).value();
    CHECK(tool_of(known, "pen-black").tip_width_mm == Approx(width).margin(0.4 * 0.05));
  }
}

TEST_CASE("fill swatch: the widest spacing that closes is within a tenth of the tip of how wide its line is") {
  Project known = workshop(), real = workshop();
  tool_of(real, "pen-black").tip_width_mm = 0.33;
  const CalibrationOf of = settled(known, {Calibration::fill_swatch, "pen-black", {}, ""}).value();
  const Seen seen(known, real, of, 40);
  auto swatches = seen.strokes("pen-black");
  std::erase_if(swatches, [](const auto& s) { return s.size() < 10; });
  REQUIRE(swatches.size() == kSwatches * kSwatchAngles.size());
  double widest = 0;
  for (int n = 1; n <= kSwatches; ++n) {
    const double spacing = swatch_spacing(0.4, n);
    bool closed = true;
    for (const auto& swatch : swatches) {
      if (std::abs(distance(swatch[1], swatch[2]) - spacing) > 1e-3) continue;
      Vec middle;
      for (const Vec p : swatch) middle = middle + p * (1.0 / static_cast<double>(swatch.size()));
      for (double y = -2; y <= 2; y += seen.step()) {
        for (double x = -2; x <= 2; x += seen.step()) closed = closed && seen.inked(middle + Vec{x, y});
      }
    }
    if (closed) widest = spacing;
  }
  REQUIRE(widest > 0);
  known = with_readings(known, of, {{"spacing", widest}}).value();
  CHECK(tool_of(known, "pen-black").covers_mm <= 0.33 + 0.02);
  CHECK(tool_of(known, "pen-black").covers_mm > 0.33 - 0.04 - 0.02);
  CHECK(covering_mm(tool_of(known, "pen-black")) == tool_of(known, "pen-black").covers_mm);
}

TEST_CASE("tip-wear line: how far a pen goes is found within two rows") {
  Project known = workshop(), real = workshop();
  tool_of(real, "pen-black").lasts_m = 17.3;
  const CalibrationOf of = settled(known, {Calibration::tip_wear, "pen-black", {}, ""}).value();
  const Seen seen(known, real, of, 6);
  const WearRows rows = wear_rows(known.machine, tool_of(known, "pen-black"));
  const auto line = seen.strokes("pen-black").front();
  Box box;
  for (const Vec p : line) box.add(p);
  int whole = 0;  // rows that are there at their far ends
  for (int row = 1; row <= rows.rows; ++row) {
    const double y = box.y1 - (row - 1) * rows.apart_mm;
    const double end = row % 2 == 1 ? box.x1 - 2 : box.x1 - rows.row_mm + 2;
    if (seen.middle({end, y - 0.4}, {end, y + 0.4}) >= 0) whole = row;
  }
  REQUIRE(whole > 10);
  known = with_readings(known, of, {{"rows", whole}}).value();
  CHECK(tool_of(known, "pen-black").lasts_m == Approx(17.3).margin(2 * rows.row_mm / 1000));
}

TEST_CASE("force and depth: what is read off the grid cuts through and is at most a step more than it takes") {
  Project known = workshop(), real = workshop();
  Setting& needs = real.stocks[1].settings[Role::cut];  // cover card, 65 lb
  needs.force_gf = 118, needs.depth = 3;
  const CalibrationOf of = settled(known, {Calibration::force_depth, "blade", {}, "cover-65"}).value();
  const Seen seen(known, real, of, 10);
  const TestGrid grid = test_grid(known.machine, *find_stock(known, "cover-65"), tool_of(known, "blade"));
  // The first column and row whose squares are cut: a cut is dark, what is only scratched is pale.
  double force = 0, depth = 0;
  for (const auto& piece : seen.project.pieces) {
    const Stock* cell = find_stock(seen.project, piece->stock);
    if (!cell || cell->id == "cover-65") continue;
    const Vec corner = piece->placement(Vec{0, 0});
    double darkest = 0;
    for (double off = -0.5; off <= 0.5; off += seen.step())
      darkest = std::max(darkest, seen.dark(corner + Vec{off, 6}));
    const Setting cut = setting_for(*cell, Role::cut);
    if (darkest < 0.3) continue;
    if (force == 0 || cut.force_gf < force) force = cut.force_gf;
    if (depth == 0 || cut.depth < depth) depth = cut.depth;
  }
  known = with_readings(known, of, {{"force", force}, {"depth", depth}}).value();
  const Setting found = setting_for(*find_stock(known, "cover-65"), Role::cut);
  CHECK(found.force_gf >= 118);
  CHECK(found.force_gf <= 118 + 130 * 0.16);  // a step of the grid
  CHECK(found.depth == 3);
  CHECK(grid.forces.size() >= 5);
}

TEST_CASE("scale and cross: the machine comes within a tenth of a millimetre over the mat") {
  Project known = workshop(), real = workshop();
  real.machine.scale = {1.0042, 0.9971};
  real.machine.origin_mm = {0.8, -0.55};
  {
    const CalibrationOf of = settled(known, {Calibration::scale, "", {}, ""}).value();
    const Seen seen(known, real, of, 20);
    auto arm = seen.strokes(of.tool).front();
    if (arm.front().y > arm.back().y) std::reverse(arm.begin(), arm.end());
    const Vec corner = arm[3], right = arm[4], up = arm[2];
    // From the middle of one line to the middle of the other, away from corners.
    const auto upright = [&](Vec near) { return near.x - 2 + seen.middle(near + Vec{-2, 0}, near + Vec{2, 0}); };
    const auto level = [&](Vec near) { return near.y - 2 + seen.middle(near + Vec{0, -2}, near + Vec{0, 2}); };
    const double across = upright(right + Vec{0, -2}) - upright(corner + Vec{0, -60});
    const double high = level(corner + Vec{60, 0}) - level(up + Vec{-2, 0});
    CHECK(across == Approx(200 * 1.0042).margin(0.1));
    known = with_readings(known, of, {{"across", across}, {"up", high}}).value();
  }
  {
    const CalibrationOf of = settled(known, {Calibration::mat_cross, "", {}, ""}).value();
    const Seen seen(known, real, of, 40);
    // The lines of the mat cross here: the sixth inch both ways.
    const Vec lines{6 * 25.4, 6 * 25.4};
    const double x = seen.middle(lines + Vec{-3, -10}, lines + Vec{3, -10}) - 3;
    const double y = seen.middle(lines + Vec{-10, -3}, lines + Vec{-10, 3}) - 3;
    known = with_readings(known, of, {{"x", x}, {"y", y}}).value();
  }
  CHECK(std::abs(known.machine.scale.x / real.machine.scale.x - 1) < 0.0005);
  CHECK(std::abs(known.machine.scale.y / real.machine.scale.y - 1) < 0.0005);
  // What is sent with what is known now, to where it really comes.
  const Affine left = reached(real.machine) * reached(known.machine).inverse();
  for (const Vec p : {Vec{10, 10}, {290, 15}, {20, 290}, {285, 285}, {150, 150}}) {
    INFO(p.x << " " << p.y);
    CHECK(distance(left(p), p) < 0.1 + kScatter + 0.05);
  }
}

TEST_CASE("landing: the scatter is found within a quarter") {
  for (const double truth : {0.08, 0.16}) {
    INFO(truth);
    Project known = workshop(), real = workshop();
    real.machine.landing_mm = truth;
    const CalibrationOf of = settled(known, {Calibration::landing, "pen-black", {}, ""}).value();
    const Seen seen(known, real, of, 60, 5);
    Readings readings;
    std::vector<Vec> places;
    for (const auto& stroke : seen.strokes("pen-black")) {
      if (distance(stroke.front(), stroke.back()) < 1e-9 && stroke.size() <= 2) places.push_back(stroke.front());
    }
    std::sort(places.begin(), places.end(), [](Vec a, Vec b) { return a.x < b.x; });
    REQUIRE(places.size() == kLandingPoints + 1);
    readings["dot"] = seen.blot(places[0], 2).width() + seen.step();
    for (int n = 1; n <= kLandingPoints; ++n) {
      const Box blot = seen.blot(places[static_cast<std::size_t>(n)], 2);
      readings["wide" + std::to_string(n)] = blot.width() + seen.step();
      readings["high" + std::to_string(n)] = blot.height() + seen.step();
    }
    known = with_readings(known, of, readings).value();
    CHECK(known.machine.landing_mm == Approx(truth).epsilon(0.25));
  }
}

TEST_CASE("the range of twenty normal draws is 3.735 standard deviations in the mean") {
  // d2 for n = 20, as tables of control chart factors have it (ASTM MNL 7; from memory): integrated here.
  const auto phi = [](double x) { return 0.5 * std::erfc(-x / std::sqrt(2.0)); };
  double d2 = 0;
  constexpr double kStep = 1e-3;
  for (double x = -9; x < 9; x += kStep)
    d2 += (1 - std::pow(phi(x), kLandings) - std::pow(1 - phi(x), kLandings)) * kStep;
  CHECK(d2 == Approx(3.735).margin(0.001));
  Project p = workshop();
  const CalibrationOf of = settled(p, {Calibration::landing, "", {}, ""}).value();
  CHECK(with_readings(p, of, {{"dot", 0.4}, {"wide1", 0.4 + d2 * 0.1}}).value().machine.landing_mm ==
        Approx(0.1).margin(1e-3));
}
