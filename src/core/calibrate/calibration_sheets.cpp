// The sheets themselves: what is drawn and cut where.
#include <algorithm>
#include <cmath>
#include <set>

#include "core/calibrate/calibration.hpp"
#include "core/layout/numbers.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kMargin = 6;  // mm between what is on a sheet and its edge

Role role_of(const Tool& tool) {
  for (const Role role : tool.serves) {
    if (marks(role)) return role;
  }
  return Role::draw;
}

/// What is drawn on one sheet, by tool.
class SheetDrawing {
 public:
  explicit SheetDrawing(const Project& project) : project_(project) {}

  void stroke(const std::string& tool, const std::vector<Vec>& points) {
    for (const Vec p : points) box_.add(p);
    line_of(tool).contours.push_back(straight_through(points, false));
  }
  /// A dot that is made so many times.
  void dot(const std::string& tool, Vec at, int times) {
    times_[tool] = times;
    box_.add(at);
    repeated_[tool].contours.push_back(straight_through({at}, false));
  }
  void number(const std::string& tool, int n, Vec middle) {
    for (const auto& stroke_of : number_strokes(n)) {
      std::vector<Vec> points;
      for (const Vec p : stroke_of.points) points.push_back(middle + p);
      stroke(tool, points);
    }
  }
  [[nodiscard]] const Box& box() const { return box_; }

  /// The piece, moved by so much.
  [[nodiscard]] Piece piece(int id, const std::string& name, const std::string& stock, Vec by) const {
    Piece out;
    out.id = id, out.name = name, out.stock = stock;
    out.placement = Affine::move(by.x, by.y);
    const auto add = [&](const std::string& tool, const Path& path, int times) {
      Line line;
      line.id = tool + (times > 0 ? "-again" : "");
      line.path = Shared<Path>(path);
      const Tool* made_with = find_tool(project_, tool);
      line.role = made_with ? role_of(*made_with) : Role::draw;
      line.color = made_with ? made_with->ink : Color{};
      line.tool = tool;
      line.repeats = std::max(1, times);
      out.lines.push_back(std::move(line));
    };
    for (const auto& tool : order_) {
      if (const auto at = once_.find(tool); at != once_.end()) add(tool, at->second, 0);
    }
    for (const auto& [tool, path] : repeated_) add(tool, path, times_.at(tool));
    return out;
  }

 private:
  Path& line_of(const std::string& tool) {
    if (!once_.contains(tool)) order_.push_back(tool);
    return once_[tool];
  }
  const Project& project_;
  std::map<std::string, Path> once_, repeated_;
  std::map<std::string, int> times_;
  std::vector<std::string> order_;
  Box box_;
};

/// Tools, stocks and machine of a project, and nothing else of it.
Project bare(const Project& project, std::string_view kind) {
  Project out;
  out.name = "calibration-" + std::string(kind);
  out.unit = project.unit;
  out.tools = project.tools, out.stocks = project.stocks, out.machine = project.machine;
  out.shelf = project.shelf;
  return out;
}

Result<Project> on_one_sheet(Project out, const SheetDrawing& drawing, const CalibrationOf& of,
                             std::optional<Vec> fixed = {}) {
  const Box room = out.machine.usable_area();
  const Box box = drawing.box();
  Sheet sheet;
  sheet.id = 1, sheet.stock = of.stock;
  const Vec by = fixed ? *fixed : Vec{room.x0 + kMargin - box.x0, room.y0 + kMargin - box.y0};
  sheet.area = Box{box.x0 + by.x, box.y0 + by.y, box.x1 + by.x, box.y1 + by.y}.grown(kMargin);
  if (!room.grown(1e-6).contains(sheet.area))
    return fail(ErrorKind::bad_request,
                {"calibrate-mat-small", {{"width", sheet.area.width()}, {"height", sheet.area.height()}}});
  sheet.window = {sheet.area.x0, sheet.area.y0};
  out.sheets.push_back(sheet);
  out.pieces.push_back(Shared<Piece>(drawing.piece(1, out.name, of.stock, by)));
  return out;
}

void tip_contact(SheetDrawing& d, const Project& p, const CalibrationOf& of) {
  constexpr double kBox = 30, kApart = 6, kArm = 13;
  const double wide = p.machine.usable_area().width() - 2 * kMargin;
  const int columns = std::max(1, static_cast<int>((wide + kApart) / (kBox + kApart)));
  for (std::size_t n = 0; n < of.others.size(); ++n) {
    const auto column = static_cast<double>(n % static_cast<std::size_t>(columns));
    const auto row = static_cast<double>(n / static_cast<std::size_t>(columns));
    const Vec middle{(kBox + kApart) * column, (kBox + kApart) * row};
    const auto at = [&](double x, double y) { return middle + Vec{x, y}; };
    constexpr double kHalf = kBox / 2;
    d.stroke(of.tool, {at(-kHalf, -kHalf), at(kHalf, -kHalf), at(kHalf, kHalf), at(-kHalf, kHalf), at(-kHalf, -kHalf)});
    // A comb in one go, so that no tooth lands beside its place: half millimetres, longer at whole ones and at 0 and 5.
    const auto comb = [&](bool across) {
      std::vector<Vec> teeth;
      for (int k = -12; k <= 12; ++k) {
        const double along = kRulerReach * k / 12, tooth = k % 10 == 0 ? 3 : k % 2 == 0 ? 2 : 1;
        const double edge = -kHalf;
        for (const double out : {edge, edge + tooth, edge}) teeth.push_back(across ? at(along, out) : at(out, along));
      }
      d.stroke(of.tool, teeth);
    };
    comb(true), comb(false);
    d.number(of.tool, static_cast<int>(n) + 1, at(kHalf - 5, kHalf - 4));
    d.stroke(of.others[n], {at(-kArm, 0), at(kArm, 0), at(0, 0), at(0, -kArm), at(0, kArm)});
  }
}

void line_width(SheetDrawing& d, const Tool& tool) {
  constexpr double kLong = 14;
  const double pitch = std::max(12.0, 4 * tool.tip_width_mm);
  constexpr int kRow = 12;
  for (int n = 1; n <= kPairs; ++n) {
    const double x = ((n - 1) % kRow) * pitch, y = ((n - 1) / kRow) * (kLong + 9);
    const double apart = pair_apart(tool.tip_width_mm, n);
    d.stroke(tool.id, {{x, y}, {x, y + kLong}, {x + apart, y + kLong}, {x + apart, y}});
    d.number(tool.id, static_cast<int>(std::lround(apart * 100)), {x, y - 5});
  }
}

void fill_swatch(SheetDrawing& d, const Tool& tool) {
  const double side = std::max(8.0, 12 * tool.tip_width_mm), pitch = side * 1.55;
  for (int n = 1; n <= kSwatches; ++n) {
    const double spacing = swatch_spacing(tool.tip_width_mm, n), x = (n - 1) * pitch;
    d.number(tool.id, static_cast<int>(std::lround(spacing * 100)), {x, -pitch / 2 - 4});
    for (std::size_t k = 0; k < kSwatchAngles.size(); ++k) {
      const Vec middle{x, static_cast<double>(k) * pitch};
      const Affine turned = Affine::move(middle.x, middle.y) * Affine::rotate(kSwatchAngles[k]);
      std::vector<Vec> way;
      const int lines = static_cast<int>(side / spacing) + 1;
      for (int i = 0; i < lines; ++i) {
        const double y = (i - (lines - 1) / 2.0) * spacing, half = i % 2 == 0 ? -side / 2 : side / 2;
        way.push_back(turned({half, y}));
        way.push_back(turned({-half, y}));
      }
      d.stroke(tool.id, way);
    }
  }
}

void tip_wear(SheetDrawing& d, const Project& p, const Tool& tool) {
  const WearRows rows = wear_rows(p.machine, tool);
  std::vector<Vec> way;
  for (int row = 1; row <= rows.rows; ++row) {
    const double y = -(row - 1) * rows.apart_mm;  // from the bottom up: that end is nearer to where the head starts
    // To the right in odd rows, back to the left in even ones, so every tenth ends on the left.
    const double out = row % 10 == 0 ? -rows.tenth_mm : 0;
    if (row % 2 == 1) {
      way.push_back({0, y}), way.push_back({rows.row_mm, y});
    } else {
      way.push_back({rows.row_mm, y}), way.push_back({out, y});
      if (out < 0) way.push_back({0, y});
    }
  }
  d.stroke(tool.id, way);
}

void scale(SheetDrawing& d, const Tool& tool) {
  constexpr double kL = kScaleLength, kTick = 3;
  d.stroke(tool.id, {{-kTick, -kL}, {kTick, -kL}, {0, -kL}, {0, 0}, {kL, 0}, {kL, -kTick}, {kL, kTick}});
}

void landing(SheetDrawing& d, const Tool& tool) {
  const double pitch = std::max(8.0, 6 * tool.tip_width_mm);
  for (int n = 1; n <= kLandingPoints; ++n) {
    d.dot(tool.id, {n * pitch, 0}, kLandings);
    d.number(tool.id, n, {n * pitch, -std::max(7.0, 4 * tool.tip_width_mm)});
  }
  d.stroke(tool.id, {{0, 0}});
}

/// A square with a notched corner for each force and depth, each a sheet of a stock of its own; the numbers on the
/// stock itself, above the columns and left of the rows.
Result<Project> force_depth(Project out, const CalibrationOf& of) {
  constexpr double kCell = 12, kPitch = 17, kLeft = 10, kTop = 10;
  const Stock stock = *find_stock(out, of.stock);
  const TestGrid grid = test_grid(out.machine, stock, *find_tool(out, of.tool));
  if (grid.forces.empty()) return fail(ErrorKind::bad_request, {"calibrate-no-force"});
  const Box room = out.machine.usable_area();
  const auto columns = static_cast<double>(grid.forces.size()), rows = static_cast<double>(grid.depths.size());
  const Vec corner{room.x0 + kMargin + kLeft, room.y0 + kMargin + kTop};
  if (corner.x + columns * kPitch > room.x1 || corner.y + rows * kPitch > room.y1)
    return fail(ErrorKind::bad_request, {"calibrate-mat-small"});
  const auto pens = tools_for(out, Calibration::tip_contact);
  const auto add_sheet = [&](const std::string& of_stock, const Box& area) {
    Sheet sheet;
    sheet.id = static_cast<int>(out.sheets.size()) + 1, sheet.stock = of_stock, sheet.area = area;
    sheet.window = {area.x0, area.y0};
    out.sheets.push_back(sheet);
  };
  const bool deep = grid.depths.front() > 0;
  if (!pens.empty()) {
    SheetDrawing labels(out);
    for (std::size_t c = 0; c < grid.forces.size(); ++c)
      labels.number(pens.front(), static_cast<int>(grid.forces[c]),
                    corner + Vec{static_cast<double>(c) * kPitch + kCell / 2, -kTop / 2});
    for (std::size_t r = 0; deep && r < grid.depths.size(); ++r)
      labels.number(pens.front(), static_cast<int>(grid.depths[r]),
                    corner + Vec{-kLeft / 2, static_cast<double>(r) * kPitch + kCell / 2});
    out.pieces.push_back(Shared<Piece>(labels.piece(1, out.name, of.stock, {})));
    add_sheet(of.stock, Box::of(corner.x - kLeft, corner.y - kTop, kLeft + columns * kPitch, kTop - 1));
    if (deep) add_sheet(of.stock, Box::of(corner.x - kLeft, corner.y - 1, kLeft - 1, rows * kPitch));
  }
  for (std::size_t r = 0; r < grid.depths.size(); ++r) {
    for (std::size_t c = 0; c < grid.forces.size(); ++c) {
      Stock cell = stock;
      const std::string force = rounded_text(grid.forces[c], 0), depth = rounded_text(grid.depths[r], 0);
      cell.id += "-f" + force + "-d" + depth;
      cell.name += ", " + force + " gf" + (deep ? ", mark " + depth : "");
      Setting& cut = cell.settings.try_emplace(Role::cut, setting_for(stock, Role::cut)).first->second;
      cut.force_gf = grid.forces[c], cut.depth = grid.depths[r], cut.repeats = 1, cut.tabs = 0;
      const Vec at = corner + Vec{static_cast<double>(c) * kPitch, static_cast<double>(r) * kPitch};
      Piece piece;
      piece.id = static_cast<int>(out.pieces.size()) + 1;
      piece.name = cell.name, piece.stock = cell.id;
      piece.placement = Affine::move(at.x, at.y);
      Line line;
      line.id = "square", line.role = Role::cut, line.tool = of.tool;
      constexpr double kNotch = 3;
      Contour outline{{0, 0}, {}, true};
      for (const Vec p :
           {Vec{kCell - kNotch, 0}, {kCell - kNotch, kNotch}, {kCell, kNotch}, {kCell, kCell}, {0, kCell}, {0, 0}})
        outline.segments.push_back(Segment::line(p));
      line.path = Shared<Path>(Path{{outline}, FillRule::nonzero});
      piece.lines.push_back(std::move(line));
      out.pieces.push_back(Shared<Piece>(std::move(piece)));
      add_sheet(cell.id, Box::of(at.x - 1, at.y - 1, kCell + 2, kCell + 2));
      out.stocks.push_back(std::move(cell));
    }
  }
  return out;
}

}  // namespace

Result<Project> calibration_sheet(const Project& project, const CalibrationOf& wanted) {
  const auto of = settled(project, wanted);
  if (!of) return tl::unexpected<Error>(of.error());
  Project out = bare(project, word(of->kind));
  if (of->kind == Calibration::force_depth) return force_depth(std::move(out), *of);
  const Tool tool = *find_tool(project, of->tool);
  SheetDrawing drawing(project);
  std::optional<Vec> fixed;
  switch (of->kind) {
    case Calibration::tip_contact:
      tip_contact(drawing, project, *of);
      break;
    case Calibration::line_width:
      line_width(drawing, tool);
      break;
    case Calibration::fill_swatch:
      fill_swatch(drawing, tool);
      break;
    case Calibration::tip_wear:
      tip_wear(drawing, project, tool);
      break;
    case Calibration::scale:
      scale(drawing, tool);
      break;
    case Calibration::mat_cross: {
      constexpr double kArm = 20;
      drawing.stroke(tool.id, {{-kArm, 0}, {kArm, 0}, {0, 0}, {0, -kArm}, {0, kArm}});
      // Where lines of the mat cross that is nearest to its middle: inches on a mat of whole inches.
      const Mat& mat = project.machine.mat;
      const double inches = mat.width_mm / kMmPerInch;
      const double grid = std::abs(inches - std::round(inches)) < 0.01 ? kMmPerInch : 10;
      fixed = Vec{std::round(mat.width_mm / 2 / grid) * grid, std::round(mat.height_mm / 2 / grid) * grid};
      break;
    }
    default:
      landing(drawing, tool);
  }
  return on_one_sheet(std::move(out), drawing, *of, fixed);
}

}  // namespace dotlane
