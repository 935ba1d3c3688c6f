#include "core/plan/stock_book.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/geometry/failure.hpp"
#include "core/layout/shelf.hpp"

namespace dotlane {
namespace {

const ShelfItem* item_of(const Project& project, int id) {
  const auto at =
      std::find_if(project.shelf.begin(), project.shelf.end(), [&](const ShelfItem& s) { return s.id == id; });
  return at == project.shelf.end() ? nullptr : &*at;
}

double sheet_area(const Sheet& sheet) {
  if (sheet.outline.empty()) return sheet.area.width() * sheet.area.height();
  return area_of(region_of(sheet.outline, FillRule::evenodd));
}

/// The share of a sheet that is left, 0 to 1.
double share_left(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet) {
  const double whole = sheet_area(sheet);
  try {
    return whole > 0 ? std::clamp(area_of(rest_of(project, drawing, layout, sheet)) / whole, 0.0, 1.0) : 0;
  } catch (const GeometryFailure&) {
    return 0;  // what is left cannot be told, so nothing is counted on
  }
}

long hundredths(double money) { return std::lround(money * 100); }

}  // namespace

std::vector<const LaidSheet*> run_sheets(const Layout& layout) {
  std::vector<const LaidSheet*> out;
  for (const auto& sheet : layout.sheets) {
    const bool used = std::any_of(layout.laid.begin(), layout.laid.end(),
                                  [&](const LaidPart& part) { return part.sheet == sheet.sheet.id && !part.not_now; });
    if (used && !sheet.sheet.not_now) out.push_back(&sheet);
  }
  return out;
}

std::vector<Reserved> reserved(const Project& project) {
  std::vector<Reserved> out;
  for (const auto& item : project.shelf) {
    Reserved now{item.id, 0, 0};
    for (const auto& sheet : project.sheets) now.sheets += sheet.shelf == item.id && !sheet.not_now;
    const int there = !item.outline.empty() ? 1 : item.count.value_or(now.sheets);
    now.missing = std::max(0, now.sheets - there);
    out.push_back(now);
  }
  return out;
}

Project use_up(Project project, const Drawing& drawing, const Layout& layout) {
  const Project before = project;
  for (const LaidSheet* laid : run_sheets(layout)) {
    const Sheet& sheet = laid->sheet;
    const ShelfItem* item = item_of(before, sheet.shelf);
    const double left = share_left(before, drawing, layout, sheet);
    const std::size_t things = project.shelf.size();
    project = keep_rest(std::move(project), drawing, layout, sheet.id);
    if (project.shelf.size() > things && item && item->price > 0)
      project.shelf.back().price = static_cast<double>(hundredths(item->price * left)) / 100;
    if (!item) continue;
    if (!item->outline.empty()) {  // a scrap is there once
      std::erase_if(project.shelf, [&](const ShelfItem& s) { return s.id == item->id; });
      for (auto& s : project.sheets) {
        if (s.shelf == item->id) s.shelf = 0;
      }
    } else if (item->count) {
      for (auto& s : project.shelf) {
        if (s.id == item->id && s.count) s.count = std::max(0, *s.count - 1);
      }
    }
  }
  return project;
}

long Cost::total() const {
  long out = 0;
  for (const auto& line : lines) out += line.hundredths;
  return out;
}

Cost cost_of(const Project& project, const Drawing& drawing, const Layout& layout, const Plan& plan) {
  Cost out;
  for (const LaidSheet* laid : run_sheets(layout)) {
    const ShelfItem* item = item_of(project, laid->sheet.shelf);
    if (!item || item->price <= 0) continue;
    const Stock* stock = find_stock(project, laid->sheet.stock);
    const std::string name = stock ? stock->name : laid->sheet.stock;
    out.lines.push_back({Cost::Line::What::sheet, name, hundredths(item->price)});
    const long left = hundredths(item->price * share_left(project, drawing, layout, laid->sheet));
    if (left > 0) out.lines.push_back({Cost::Line::What::offcut, name, -left});
  }
  std::map<std::string, double> metres;
  for (const auto& pass : plan.passes) metres[pass.tool] += pass.length_mm / 1000;
  for (const auto& tool : project.tools) {
    const auto gone = metres.find(tool.id);
    if (gone == metres.end() || tool.price <= 0 || tool.lasts_m <= 0) continue;
    out.lines.push_back({Cost::Line::What::wear, tool.name, hundredths(tool.price * gone->second / tool.lasts_m)});
  }
  if (project.plan.minute_price > 0)
    out.lines.push_back({Cost::Line::What::work, {}, hundredths(project.plan.minute_price * plan.seconds / 60)});
  return out;
}

}  // namespace dotlane
