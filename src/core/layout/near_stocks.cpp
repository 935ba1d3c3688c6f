#include "core/layout/near_stocks.hpp"

#include <algorithm>
#include <map>
#include <set>

#include "core/color_space.hpp"
#include "core/layout/how_big.hpp"
#include "core/project/edit.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

std::size_t sheets_of(const std::map<std::string, std::size_t>& sheets, const std::string& stock) {
  const auto found = sheets.find(stock);
  return found == sheets.end() ? 0 : found->second;
}

}  // namespace

std::vector<NearStocks> near_stocks(const Project& project, const Drawing& drawing, const Layout& layout,
                                    double within) {
  constexpr double kAlikeMm = 0.1;  // in thickness
  std::map<std::string, double> area;
  for (const auto& part : layout.parts) {
    if (part.has_body()) area[part.stock] += part.area_mm2;
  }
  std::vector<NearStocks> pairs;
  for (auto a = area.begin(); a != area.end(); ++a) {
    for (auto b = std::next(a); b != area.end(); ++b) {
      const Stock *one = find_stock(project, a->first), *two = find_stock(project, b->first);
      if (!one || !two || std::abs(one->thickness_mm - two->thickness_mm) > kAlikeMm) continue;
      const double off = difference(one->color, two->color);
      if (off >= within) continue;
      const bool first = a->second >= b->second;
      pairs.push_back({first ? a->first : b->first, first ? b->first : a->first, off, {}, 0, 0});
    }
  }
  std::stable_sort(pairs.begin(), pairs.end(),
                   [](const NearStocks& a, const NearStocks& b) { return a.difference < b.difference; });
  std::set<std::string> gone, kept;
  std::erase_if(pairs, [&](const NearStocks& pair) {
    if (gone.contains(pair.keep) || gone.contains(pair.other) || kept.contains(pair.other)) return true;
    gone.insert(pair.other), kept.insert(pair.keep);
    return false;
  });
  if (pairs.empty()) return pairs;
  const auto now = sheets_at(project, drawing, layout, 1);
  for (NearStocks& pair : pairs) {
    for (std::size_t i = 0; i < layout.parts.size(); ++i) {
      const Part& part = layout.parts[i];
      if (part.stock == pair.other && part.has_body()) pair.bits.push_back({i, part.area_mm2, part.centre});
    }
    std::stable_sort(pair.bits.begin(), pair.bits.end(),
                     [](const NearStocks::Bit& a, const NearStocks::Bit& b) { return a.area_mm2 < b.area_mm2; });
    pair.sheets = sheets_of(now, pair.keep) + sheets_of(now, pair.other);
    const Project united = unite_stocks(project, {pair});
    DrawingCache cache;
    const Drawing then = evaluate(united, cache);
    pair.sheets_united = sheets_of(sheets_at(united, then, lay_out(united, then), 1), pair.keep);
  }
  return pairs;
}

Project unite_stocks(Project project, const std::vector<NearStocks>& pairs) {
  for (const auto& pair : pairs) {
    for (const auto& piece : std::vector(project.pieces)) {
      if (piece->stock == pair.other) project = set_stock(std::move(project), piece->id, pair.keep);
    }
  }
  return project;
}

}  // namespace dotlane
