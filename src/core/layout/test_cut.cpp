#include "core/layout/test_cut.hpp"

#include <algorithm>
#include <cmath>
#include <optional>
#include <set>

#include "core/geometry/failure.hpp"
#include "core/layout/room.hpp"

namespace dotlane {
namespace {

constexpr double kClear = 1;  // mm

/// Tools that cut what lies on the sheet.
std::set<std::string> blades_on(const Project& project, const LaidSheet& sheet) {
  std::set<std::string> out;
  for (const auto& piece : sheet.pieces) {
    if (piece.drawn->piece->not_now) continue;
    for (const auto& line : piece.drawn->piece->lines) {
      if (line.role == Role::cut && find_tool(project, line.tool)) out.insert(line.tool);
    }
  }
  return out;
}

/// The middle of a free square nearest to a corner of the sheet, mm on the mat.
std::optional<Vec> free_corner(const Region& free, const Box& area) {
  constexpr double kStep = 2.5, kHalf = kTestCut / 2 + kClear;
  std::vector<std::pair<double, Vec>> places;
  for (double y = area.y0 + kHalf; y <= area.y1 - kHalf + 1e-9; y += kStep) {
    for (double x = area.x0 + kHalf; x <= area.x1 - kHalf + 1e-9; x += kStep) {
      const double from_side = std::min(x - area.x0, area.x1 - x), from_end = std::min(y - area.y0, area.y1 - y);
      places.emplace_back(std::hypot(from_side, from_end), Vec{x, y});
    }
  }
  std::stable_sort(places.begin(), places.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
  for (const auto& [far, at] : places) {
    if (subtract(region_of(Box{at.x - kHalf, at.y - kHalf, at.x + kHalf, at.y + kHalf}), free).empty()) return at;
  }
  return std::nullopt;
}

Line test_shape(const std::string& tool) {
  constexpr double kHalf = kTestCut / 2;
  Line line;
  line.id = "test", line.role = Role::cut, line.tool = tool;
  line.path =
      Shared<Path>(Path{{straight_through({{-kHalf, -kHalf}, {kHalf, -kHalf}, {kHalf, kHalf}, {-kHalf, kHalf}}, true),
                         straight_through({{0, -2}, {2, 2}, {-2, 2}}, true)},
                        FillRule::evenodd});
  return line;
}

}  // namespace

TestCut test_cut_of(const Project& project, const Drawing& drawing, const Layout& layout) {
  TestCut out;
  out.project = project;
  Project& test = out.project;
  test.pieces.clear(), test.sheets.clear(), test.parts.clear(), test.guides.clear();
  test.laying.number_tool.clear();
  test.plan.by_hand.clear(), test.plan.pins.clear(), test.plan.not_now.clear(), test.plan.roles_not_now.clear();
  for (auto& stock : test.stocks) {
    stock.laid_out = LaidOut::as_drawn;
    for (auto& [role, setting] : stock.settings) setting.tabs = 0;  // what is tested is whether it comes free
  }
  for (const auto& sheet : layout.sheets) {
    const auto blades = blades_on(project, sheet);
    if (sheet.sheet.not_now || blades.empty()) continue;
    Sheet own = sheet.sheet;
    own.printed = false;
    // Windows far apart: what is tested on one sheet is seen by no other.
    constexpr double kApart = 10'000;
    own.window = {kApart * static_cast<double>(test.sheets.size()), 0};
    bool any = false;
    try {
      std::vector<Region> taken;
      for (std::size_t k = 0; k < layout.laid.size(); ++k) {
        if (layout.laid[k].sheet != sheet.sheet.id) continue;
        const Part& part = layout.parts[layout.laid[k].part];
        taken.push_back(body_on_mat(drawing, part, layout.laid[k].map));
      }
      const Region bodies = unite(taken);
      Region free = subtract(usable_on(project, sheet.sheet), bodies);
      for (const auto& blade : blades) {
        const auto at = free_corner(free, sheet.sheet.area);
        if (!at) break;
        any = true;
        constexpr double kHalf = kTestCut / 2 + kClear;
        free = subtract(free, region_of(Box{at->x - kHalf, at->y - kHalf, at->x + kHalf, at->y + kHalf}));
        Piece piece;
        piece.id = static_cast<int>(test.pieces.size()) + 1;
        piece.name = "test", piece.stock = sheet.sheet.stock;
        piece.placement = Affine::move(at->x - own.area.x0 + own.window.x, at->y - own.area.y0 + own.window.y);
        piece.lines.push_back(test_shape(blade));
        test.pieces.push_back(Shared<Piece>(std::move(piece)));
      }
    } catch (const GeometryFailure&) {
      // Which places are free cannot be told.
    }
    any ? test.sheets.push_back(own) : out.no_room.push_back(own.id);
  }
  return out;
}

}  // namespace dotlane
