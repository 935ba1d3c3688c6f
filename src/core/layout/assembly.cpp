#include "core/layout/assembly.hpp"

#include <algorithm>

namespace dotlane {

std::vector<AssemblyStep> assembly_of(const Drawing& drawing, const Layout& layout, bool top_first) {
  std::vector<AssemblyStep> out;
  for (const auto& drawn : drawing.pieces) {
    AssemblyStep step;
    step.piece = drawn->piece->id, step.name = drawn->piece->name;
    step.in_tiles = std::any_of(drawn->outcomes.begin(), drawn->outcomes.end(),
                                [](const StepOutcome& o) { return o.seamed != nullptr; });
    for (std::size_t i = 0; i < layout.parts.size(); ++i) {
      if (layout.parts[i].first.piece == step.piece && layout.parts[i].has_body()) step.parts.push_back(i);
    }
    std::sort(step.parts.begin(), step.parts.end(),
              [&](std::size_t a, std::size_t b) { return layout.parts[a].number < layout.parts[b].number; });
    if (!step.parts.empty()) out.push_back(std::move(step));
  }
  if (!top_first) std::reverse(out.begin(), out.end());
  return out;
}

std::vector<int> sheets_with(const Layout& layout, std::size_t part) {
  std::vector<int> out;
  for (const auto& laid : layout.laid) {
    if (laid.part != part || laid.sheet == 0) continue;
    for (std::size_t s = 0; s < layout.sheets.size(); ++s) {
      if (layout.sheets[s].sheet.id == laid.sheet) out.push_back(static_cast<int>(s) + 1);
    }
  }
  std::sort(out.begin(), out.end());
  out.erase(std::unique(out.begin(), out.end()), out.end());
  return out;
}

}  // namespace dotlane
