#include "core/plan/by_hand.hpp"

#include <algorithm>
#include <set>

namespace dotlane {
namespace {

PassLine line_of(const Drawing& drawing, const Pass& pass, const Stroke& stroke) {
  const DrawnPiece* drawn = find_drawn(drawing, stroke.piece);
  return {stroke.piece, drawn && stroke.line < drawn->piece->lines.size() ? drawn->piece->lines[stroke.line].id : "",
          pass.sheet};
}

std::set<PassLine> lines_of(const Drawing& drawing, const Pass& pass) {
  std::set<PassLine> out;
  std::set<std::pair<int, std::size_t>> known;  // thousands of strokes are of a few lines
  for (const auto& stroke : pass.strokes) {
    if (known.emplace(stroke.piece, stroke.line).second) out.insert(line_of(drawing, pass, stroke));
  }
  return out;
}

}  // namespace

bool put_by_hand(const Project& project, const Drawing& drawing, const Pass& pass) {
  if (project.plan.by_hand.empty()) return false;
  const auto lines = lines_of(drawing, pass);
  return std::any_of(project.plan.by_hand.begin(), project.plan.by_hand.end(),
                     [&](const HandOrder& wish) { return lines.contains(wish.first) || lines.contains(wish.second); });
}

Project let_pass_go(Project project, const Drawing& drawing, const Plan& plan, int pass) {
  if (pass < 1 || pass > static_cast<int>(plan.passes.size())) return project;
  const auto lines = lines_of(drawing, plan.passes[static_cast<std::size_t>(pass) - 1]);
  std::erase_if(project.plan.by_hand,
                [&](const HandOrder& wish) { return lines.contains(wish.first) || lines.contains(wish.second); });
  return project;
}

Project put_pass(Project project, const Drawing& drawing, const Plan& plan, int pass, int before) {
  if (pass < 1 || pass > static_cast<int>(plan.passes.size()) || pass == before) return project;
  const Pass& moved = plan.passes[static_cast<std::size_t>(pass) - 1];
  const int to = before == 0 ? static_cast<int>(plan.passes.size()) + 1 : before;
  const auto lines = lines_of(drawing, moved);
  for (const Pass& other : plan.passes) {
    const bool earlier = other.index >= to && other.index<pass, later = other.index> pass && other.index < to;
    if (other.load != moved.load || !(earlier || later)) continue;
    const auto others = lines_of(drawing, other);
    std::erase_if(project.plan.by_hand, [&](const HandOrder& wish) {
      return (lines.contains(wish.first) && others.contains(wish.second)) ||
             (others.contains(wish.first) && lines.contains(wish.second));
    });
    const HandOrder wish{line_of(drawing, moved, moved.strokes.front()),
                         line_of(drawing, other, other.strokes.front())};
    project.plan.by_hand.push_back(earlier ? wish : HandOrder{wish.second, wish.first});
  }
  return project;
}

}  // namespace dotlane
