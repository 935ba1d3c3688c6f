#include "core/layout/layout.hpp"

#include <algorithm>

namespace dotlane {

int Layout::loads() const {
  std::vector<int> loads;
  for (const auto& s : sheets) loads.push_back(s.sheet.load);
  std::sort(loads.begin(), loads.end());
  return static_cast<int>(std::unique(loads.begin(), loads.end()) - loads.begin());
}

Layout lay_out(const Project& project, const Drawing& drawing) {
  Layout out;
  for (const auto& sheet : project.sheets) {
    PlacedSheet placed{sheet, {}};
    const Sheet* first = sheet_of(project, sheet.stock);
    if (first && first->id == sheet.id) {
      for (const auto& piece : drawing.pieces) {
        if (piece->piece->stock == sheet.stock) placed.parts.push_back(piece);
      }
    }
    out.sheets.push_back(std::move(placed));
  }
  std::stable_sort(out.sheets.begin(), out.sheets.end(),
                   [](const PlacedSheet& a, const PlacedSheet& b) { return a.sheet.load < b.sheet.load; });
  return out;
}

}  // namespace dotlane
