#include "cli/shelf.hpp"

#include <algorithm>

#include "cli/input.hpp"
#include "core/format/files.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/shelf.hpp"
#include "core/plan/batch.hpp"
#include "core/road.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

std::string money(long hundredths) {
  const long whole = std::abs(hundredths);
  const std::string rest = std::to_string(whole % 100);
  return (hundredths < 0 ? "-" : "") + std::to_string(whole / 100) + "." + (rest.size() < 2 ? "0" + rest : rest);
}

Derived derived_of(const Project& project) {
  DrawingCache cache;
  return derive(project, cache);
}

int list(const Project& project, bool json) {
  Json out = Json::array();
  std::string text;
  for (const auto& now : reserved(project)) {
    const auto item =
        std::find_if(project.shelf.begin(), project.shelf.end(), [&](const ShelfItem& s) { return s.id == now.item; });
    Json one{{"id", item->id},
             {"stock", item->stock},
             {"size_mm", {round4(item->width_mm), round4(item->height_mm)}},
             {"scrap", !item->outline.empty()},
             {"count", item->count ? Json(*item->count) : Json(nullptr)},
             {"reserved", now.sheets},
             {"to_buy", now.missing},
             {"price", item->price},
             {"from", item->from}};
    out.push_back(std::move(one));
    text += std::to_string(item->id) + "  " + item->stock + "  " + rounded_text(item->width_mm, 1) + " x " +
            rounded_text(item->height_mm, 1) + " mm  " +
            (!item->outline.empty() ? "a scrap"
             : item->count          ? std::to_string(*item->count)
                                    : "as many as wanted") +
            (now.sheets > 0 ? ", " + std::to_string(now.sheets) + " reserved" : "") +
            (now.missing > 0 ? ", " + std::to_string(now.missing) + " to buy" : "") +
            (item->price > 0 ? ", " + rounded_text(item->price, 2) + " each" : "") + "\n";
  }
  json ? print_json(out) : print(text.empty() ? "nothing is on the shelf\n" : text);
  return 0;
}

}  // namespace

int shelf_command(Options o, bool json) {
  const auto out = o.value("-o"), stock = o.value("--stock"), size = o.value("--size");
  const auto count = whole_value(o, "--count");
  const double price = o.number("--price", 0);
  const std::string what = o.positional("list, add or use");
  Project project = load(o.positional("the project")).project;
  o.finish();
  if (what == "list") return list(project, json);
  if (what != "add" && what != "use") refuse("shelf takes list, add or use, not \"" + what + "\"");
  if (!out) refuse("-o P.dotlane is missing");
  if (what == "add") {
    if (!stock || !find_stock(project, *stock)) refuse("--stock wants the id of a stock; dot-lane-cli stocks has them");
    if (!size) refuse("--size WIDTHxHEIGHT is missing");
    if (price < 0 || (count && *count < 0)) refuse("--price and --count are 0 or more");
    const auto [width, height] = size_from("--size", *size);
    ShelfItem item;
    item.stock = *stock, item.width_mm = width, item.height_mm = height, item.count = count, item.price = price;
    add_to_shelf(project, item);
  } else {
    const Derived d = derived_of(project);
    project = use_up(std::move(project), d.drawing, d.layout);
  }
  need(save_project(project, *out));
  return 0;
}

namespace {

const char* word_of(Cost::Line::What what) {
  switch (what) {
    case Cost::Line::What::sheet:
      return "sheet";
    case Cost::Line::What::offcut:
      return "offcut";
    case Cost::Line::What::wear:
      return "wear";
    default:
      return "work";
  }
}

int batch(const Project& project, int copies, double seconds, bool json) {
  DrawingCache cache;
  const Batch batch = batch_of(project, evaluate(project, cache), copies, seconds);
  Json needs = Json::array(), lines = Json::array();
  std::string text;
  for (const auto& need : batch.needs) {
    needs.push_back({{"stock", need.stock},
                     {"size_mm", {round4(need.size_mm.x), round4(need.size_mm.y)}},
                     {"scrap", need.scrap},
                     {"item", need.item},
                     {"sheets", need.sheets},
                     {"to_buy", need.missing},
                     {"price", need.price}});
    text += need.stock + " " + rounded_text(need.size_mm.x, 1) + " x " + rounded_text(need.size_mm.y, 1) +
            " mm: " + std::to_string(need.sheets) + (need.scrap ? " scrap" : "") +
            (need.missing > 0 ? ", " + std::to_string(need.missing) + " to buy" : "") + "\n";
  }
  if (batch.waiting > 0) text += std::to_string(batch.waiting) + " parts fit on no sheet\n";
  for (const auto& [what, sum] : by_kind(batch.cost)) {
    lines.push_back({{"what", word_of(what)}, {"hundredths", sum}});
    text += std::string(word_of(what)) + "  " + money(sum) + "\n";
  }
  const double each = static_cast<double>(batch.cost.total()) / 100 / copies;
  text += "in all " + money(batch.cost.total()) + ", apiece " + rounded_text(each, 4);
  json ? print_json({{"copies", copies},
                     {"needs", needs},
                     {"waiting", batch.waiting},
                     {"lines", lines},
                     {"total_hundredths", batch.cost.total()},
                     {"each", round4(each)},
                     {"to_pay_hundredths", batch.to_pay()},
                     {"unpriced", batch.unpriced()},
                     {"seconds", round4(batch.seconds)}})
       : print(text + "\n");
  return 0;
}

}  // namespace

int cost_command(Options o, bool json) {
  const auto copies = whole_value(o, "--copies");
  const double seconds = o.number("--seconds", 1);
  const Project project = load(o.positional("the project")).project;
  o.finish();
  if (copies && (*copies < 1 || *copies > kMostCopies)) refuse("--copies is 1 to " + std::to_string(kMostCopies));
  if (copies) return batch(project, *copies, std::clamp(seconds, 0.0, 600.0), json);
  const Derived d = derived_of(project);
  const Cost cost = cost_of(project, d.drawing, d.layout, d.plan);
  Json lines = Json::array();
  std::string text;
  for (const auto& line : cost.lines) {
    lines.push_back({{"what", word_of(line.what)}, {"name", line.name}, {"hundredths", line.hundredths}});
    text += std::string(word_of(line.what)) + " " + line.name + "  " + money(line.hundredths) + "\n";
  }
  text += "in all " + money(cost.total());
  json ? print_json({{"lines", lines}, {"total_hundredths", cost.total()}}) : print(text + "\n");
  return 0;
}

}  // namespace dotlane::cli
