#include "core/plan/batch.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

#include "core/layout/lay_edit.hpp"
#include "core/layout/nest.hpp"

namespace dotlane {
namespace {

/// Of the largest sheets of each stock there are as many as it takes: what is more than there are is bought.
void open_up_shelf(Project& project) {
  std::map<std::string, ShelfItem*> largest;
  for (auto& item : project.shelf) {
    if (!item.outline.empty()) continue;
    ShelfItem*& best = largest[item.stock];
    if (!best || item.width_mm * item.height_mm > best->width_mm * best->height_mm) best = &item;
  }
  for (auto& [stock, item] : largest) item->count.reset();
}

/// By how many copies each part is made of now, so that each is multiplied by itself.
std::map<int, std::vector<std::size_t>> parts_by_copies(const Layout& layout) {
  std::vector<int> made(layout.parts.size(), 0);
  for (const auto& laid : layout.laid) ++made[laid.part];
  std::map<int, std::vector<std::size_t>> out;
  for (std::size_t i = 0; i < made.size(); ++i) out[std::max(1, made[i])].push_back(i);
  return out;
}

}  // namespace

long Batch::to_pay() const {
  long out = 0;
  for (const auto& need : needs) out += need.missing * std::lround(need.price * 100);
  return out;
}

bool Batch::unpriced() const {
  return std::any_of(needs.begin(), needs.end(), [](const Need& need) { return need.price <= 0; });
}

Batch batch_of(const Project& project, const Drawing& drawing, int copies, double seconds,
               const std::function<bool()>& stop) {
  Batch out;
  out.copies = copies;
  Project made = project;
  open_up_shelf(made);
  Layout layout = lay_out(made, drawing);
  for (const auto& [now, parts] : parts_by_copies(layout)) {
    made = set_copies(std::move(made), drawing, layout, parts, now * copies);
    layout = lay_out(made, drawing);
  }
  NestWatch watch;
  watch.quit = stop;
  made = nest_all(made, drawing, layout, nest_options(made), seconds, watch).project;
  if (stop && stop()) return out;
  layout = lay_out(made, drawing);
  for (const auto& laid : layout.laid) out.waiting += laid.sheet == 0;
  for (const LaidSheet* laid : run_sheets(layout)) {
    const Sheet& sheet = laid->sheet;
    const auto item = std::find_if(project.shelf.begin(), project.shelf.end(),
                                   [&](const ShelfItem& s) { return s.id == sheet.shelf; });
    const Stock* stock = find_stock(project, sheet.stock);
    Batch::Need need;
    need.stock = stock ? stock->name : sheet.stock;
    need.size_mm = {sheet.area.width(), sheet.area.height()};
    if (item != project.shelf.end()) {
      need.item = item->id, need.scrap = !item->outline.empty(), need.price = item->price;
      need.size_mm = {item->width_mm, item->height_mm};
    }
    const auto same = std::find_if(out.needs.begin(), out.needs.end(), [&](const Batch::Need& n) {
      return n.item == need.item && n.stock == need.stock &&
             (need.item != 0 ||
              (std::abs(n.size_mm.x - need.size_mm.x) < 0.01 && std::abs(n.size_mm.y - need.size_mm.y) < 0.01));
    });
    Batch::Need& kept = same == out.needs.end() ? out.needs.emplace_back(need) : *same;
    ++kept.sheets;
    const int there = need.scrap ? 1 : need.item == 0 ? 0 : item->count.value_or(kept.sheets);
    kept.missing = std::max(0, kept.sheets - there);
  }
  const Plan plan = make_plan(made, layout);
  out.cost = cost_of(made, drawing, layout, plan);
  out.seconds = plan.seconds;
  return out;
}

std::vector<std::pair<Cost::Line::What, long>> by_kind(const Cost& cost) {
  using What = Cost::Line::What;
  std::vector<std::pair<What, long>> out;
  for (const What what : {What::sheet, What::offcut, What::wear, What::work}) {
    long sum = 0;
    bool any = false;
    for (const auto& line : cost.lines) {
      if (line.what == what) sum += line.hundredths, any = true;
    }
    if (any) out.emplace_back(what, sum);
  }
  return out;
}

}  // namespace dotlane
