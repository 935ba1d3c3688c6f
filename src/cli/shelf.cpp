#include "cli/shelf.hpp"

#include <algorithm>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/shelf.hpp"
#include "core/plan/batch.hpp"
#include "core/road.hpp"
#include "words/language.hpp"

namespace dotlane::cli {
namespace {

/// To the hundredth, as sums of money are written.
std::string money(long hundredths) {
  const long whole = std::abs(hundredths);
  const std::string rest = std::to_string(whole % 100);
  return (hundredths < 0 ? "-" : "") + std::to_string(whole / 100) + language().decimal_sign +
         (rest.size() < 2 ? "0" + rest : rest);
}

Derived derived_of(const Project& project) {
  DrawingCache cache;
  return derive(project, cache);
}

int list(const Project& project, bool json) {
  Json out = Json::array();
  Table table("><<");
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
    Figures figures{{"width", item->width_mm}, {"height", item->height_mm}};
    if (item->outline.empty() && item->count) figures["count"] = figure(*item->count);
    if (now.sheets > 0) figures["reserved"] = figure(now.sheets);
    if (now.missing > 0) figures["missing"] = figure(now.missing);
    if (item->price > 0) figures["price"] = item->price;
    const char* code = !item->outline.empty() ? "shelf-scrap" : item->count ? "shelf-sheets" : "shelf-any";
    table.row({std::to_string(item->id), item->stock, phrase(code, figures)});
  }
  json ? print_json(out) : print(table.empty() ? say("shelf-empty") : table.text());
  return 0;
}

}  // namespace

int shelf_command(Options o, bool json) {
  const auto out = o.value("-o"), stock = o.value("--stock"), size = o.value("--size");
  const auto count = whole_value(o, "--count");
  const double price = number_within(o, "--price", 0, 1'000'000).value_or(0);
  const std::string what = o.subcommand("shelf", {"list", "add", "use"});
  Project project = load(o.positional("use-no-project")).project;
  o.finish();
  if (what == "list") return list(project, json);
  const std::string& file = given(out, "-o P2.dotlane");
  if (what == "add") {
    if (!find_stock(project, given(stock, "--stock ID"))) refuse({"use-no-stock", {{"stock", *stock}}});
    const auto [width, height] = size_from("--size", given(size, "--size WIDTHxHEIGHT", "--size 292x292mm"));
    ShelfItem item;
    item.stock = *stock, item.width_mm = width, item.height_mm = height, item.count = count, item.price = price;
    add_to_shelf(project, item);
  } else {
    const Derived d = derived_of(project);
    project = use_up(std::move(project), d.drawing, d.layout);
  }
  need(save_project(project, file));
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
    Figures figures{
        {"stock", need.stock}, {"width", need.size_mm.x}, {"height", need.size_mm.y}, {"sheets", figure(need.sheets)}};
    if (need.missing > 0) figures["missing"] = figure(need.missing);
    text += say(need.scrap ? "batch-scrap" : "batch-sheets", figures);
  }
  if (batch.waiting > 0) text += say("batch-waiting", {{"parts", figure(batch.waiting)}});
  Table table("<>");
  for (const auto& [what, sum] : by_kind(batch.cost)) {
    lines.push_back({{"what", word_of(what)}, {"hundredths", sum}});
    table.row({named("cost", word_of(what)), money(sum)});
  }
  const double each = static_cast<double>(batch.cost.total()) / 100 / copies;
  text += table.text() + say("cost-apiece", {{"sum", money(batch.cost.total())}, {"each", each}});
  json ? print_json({{"copies", copies},
                     {"needs", needs},
                     {"waiting", batch.waiting},
                     {"lines", lines},
                     {"total_hundredths", batch.cost.total()},
                     {"each", round4(each)},
                     {"to_pay_hundredths", batch.to_pay()},
                     {"unpriced", batch.unpriced()},
                     {"seconds", round4(batch.seconds)}})
       : print(text);
  return 0;
}

}  // namespace

int cost_command(Options o, bool json) {
  const auto copies = whole_value(o, "--copies");
  const double seconds = o.number("--seconds", 1);
  const Project project = load(o.positional("use-no-project")).project;
  o.finish();
  if (copies) return batch(project, *copies, std::clamp(seconds, 0.0, 600.0), json);
  const Derived d = derived_of(project);
  const Cost cost = cost_of(project, d.drawing, d.layout, d.plan);
  Json lines = Json::array();
  Table table("<<>");
  for (const auto& line : cost.lines) {
    lines.push_back({{"what", word_of(line.what)}, {"name", line.name}, {"hundredths", line.hundredths}});
    table.row({named("cost", word_of(line.what)), line.name, money(line.hundredths)});
  }
  json ? print_json({{"lines", lines}, {"total_hundredths", cost.total()}})
       : print(table.text() + say("cost-in-all", {{"sum", money(cost.total())}}));
  return 0;
}

}  // namespace dotlane::cli
