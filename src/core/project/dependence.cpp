#include "core/project/dependence.hpp"

#include <algorithm>
#include <set>

#include "core/project/kinds.hpp"

namespace dotlane {

std::vector<int> depends_on(const Project& project, int id) {
  std::set<int> seen;
  std::vector<int> todo{id};
  while (!todo.empty()) {
    const Piece* piece = find_piece(project, todo.back());
    todo.pop_back();
    if (!piece) continue;
    for (const auto& step : piece->steps) {
      for (const int input : inputs_of(step)) {
        if (seen.insert(input).second) todo.push_back(input);
      }
    }
  }
  return {seen.begin(), seen.end()};
}

std::vector<int> users_of(const Project& project, int id) {
  std::vector<int> out;
  for (const auto& piece : project.pieces) {
    const bool uses = std::any_of(piece->steps.begin(), piece->steps.end(), [&](const Step& step) {
      const auto inputs = inputs_of(step);
      return std::find(inputs.begin(), inputs.end(), id) != inputs.end();
    });
    if (uses) out.push_back(piece->id);
  }
  return out;
}

bool works_under_all(const Step& step) {
  if (!inputs_of(step).empty()) return false;
  if (step.kind != "applique") return step.kind == "trim-under" || step.kind == "seams";
  const Reading take(*find_kind(step_kinds(), "applique"), step.values);
  return take.number("underlap") > 0 && !take.is("edge", "reverse");
}

}  // namespace dotlane
