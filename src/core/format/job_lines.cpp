#include "core/format/job_lines.hpp"

#include <algorithm>
#include <set>
#include <tuple>

namespace dotlane {

Color JobLine::color(const Project& project) const {
  const Tool* tool = find_tool(project, shown().tool);
  return shown().role == Role::draw && tool ? tool->ink : shown().color;
}

std::vector<JobLine> job_lines(const Layout& layout, const Plan& plan, const ExportSelection& selection) {
  std::vector<JobLine> out;
  const auto add = [&](const Pass* pass, const LaidSheet& placed, const DrawnPiece& piece, std::size_t line) {
    Affine map = piece.map;
    if (plan.mirrored) map = Affine{-1, 0, 0, 1, placed.sheet.area.x0 + placed.sheet.area.x1, 0} * map;
    out.push_back({pass, &piece, line, map * piece.piece->lines[line].at});
  };
  for (const auto& placed : layout.sheets) {
    if (selection.pass != 0 || (selection.sheet != 0 && placed.sheet.id != selection.sheet)) continue;
    for (const auto& laid : placed.pieces) {
      const auto& lines = laid.drawn->piece->lines;
      for (std::size_t i = 0; i < lines.size(); ++i) {
        if (!runs(lines[i].role)) add(nullptr, placed, *laid.drawn, i);
      }
    }
  }
  for (const auto& pass : plan.passes) {
    if (!selection.takes(pass)) continue;
    std::set<std::tuple<std::size_t, int, std::size_t>> wanted;  // laid part, piece and line
    for (const auto& stroke : pass.strokes) wanted.insert({stroke.laid, stroke.piece, stroke.line});
    for (const auto& placed : layout.sheets) {
      if (placed.sheet.id != pass.sheet) continue;
      for (const auto& piece : placed.pieces) {
        for (std::size_t i = 0; i < piece.laid->size(); ++i) {
          const auto& parts = (*piece.laid)[i];
          const auto in_pass = [&](std::size_t k) { return wanted.contains({k, piece.drawn->piece->id, i}); };
          if (std::any_of(parts.begin(), parts.end(), in_pass)) add(&pass, placed, *piece.drawn, i);
        }
      }
    }
  }
  return out;
}

}  // namespace dotlane
