#include "core/plan/by_hand.hpp"

#include <algorithm>
#include <map>
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

HandOrder order_of(const Drawing& drawing, const Pass& first, const Pass& second) {
  return {*lines_of(drawing, first).begin(), *lines_of(drawing, second).begin()};
}

/// Whether it is a wish between a pass of the one lines and a pass of the others.
bool is_between(const HandOrder& wish, const std::set<PassLine>& lines, const std::set<PassLine>& others) {
  return (lines.contains(wish.first) && others.contains(wish.second)) ||
         (others.contains(wish.first) && lines.contains(wish.second));
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
    std::erase_if(project.plan.by_hand, [&](const HandOrder& wish) { return is_between(wish, lines, others); });
    project.plan.by_hand.push_back(earlier ? order_of(drawing, moved, other) : order_of(drawing, other, moved));
  }
  return project;
}

Project pin_pass(Project project, const Drawing& drawing, const Plan& plan, int pass, bool on) {
  if (pass < 1 || pass > static_cast<int>(plan.passes.size())) return project;
  const Pass& kept = plan.passes[static_cast<std::size_t>(pass) - 1];
  const auto lines = lines_of(drawing, kept);
  auto& wishes = project.plan.by_hand;
  std::erase_if(project.plan.pins, [&](const PassLine& pin) { return lines.contains(pin); });
  for (const Pass& other : plan.passes) {
    if (other.load != kept.load || other.index == pass) continue;
    if (!on && other.pinned) continue;
    const auto others = lines_of(drawing, other);
    std::erase_if(wishes, [&](const HandOrder& wish) { return is_between(wish, lines, others); });
    if (on) wishes.push_back(other.index < pass ? order_of(drawing, other, kept) : order_of(drawing, kept, other));
  }
  if (on && !lines.empty()) project.plan.pins.push_back(*lines.begin());
  return project;
}

Project plan_again(Project project, const Drawing& drawing, const Plan& plan) {
  std::set<PassLine> kept;
  for (const Pass& pass : plan.passes) {
    if (pass.pinned) kept.merge(lines_of(drawing, pass));
  }
  std::erase_if(project.plan.by_hand,
                [&](const HandOrder& wish) { return !kept.contains(wish.first) && !kept.contains(wish.second); });
  return project;
}

PlanChange change_of(const Plan& before, const Plan& after) {
  const Handwork was = handwork_of(before), is = handwork_of(after);
  PlanChange out{is.mats - was.mats, is.pauses - was.pauses, is.swaps - was.swaps, after.seconds - before.seconds, {}};
  std::map<std::string, std::size_t> place;
  for (std::size_t i = 0; i < after.passes.size(); ++i) place[after.passes[i].key] = i;
  for (const Reason& reason : before.reasons) {
    if (reason.why == Why::by_hand || reason.why == Why::mat) continue;
    const auto first = place.find(before.passes[reason.first].key),
               second = place.find(before.passes[reason.second].key);
    if (first != place.end() && second != place.end() && first->second > second->second) out.broken.push_back(reason);
  }
  return out;
}

}  // namespace dotlane
