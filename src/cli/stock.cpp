#include "cli/stock.hpp"

#include <algorithm>
#include <cmath>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/layout/near_stocks.hpp"
#include "core/layout/quantity.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"

namespace dotlane::cli {

int quantity(Options o, bool json) {
  QuantityOptions options;
  const auto bolt = o.value("--bolt"), web = o.value("--web");
  options.copies = whole_value(o, "--copies").value_or(1);
  options.layers = whole_value(o, "--layers").value_or(1);
  if (const auto shrinks = number_within(o, "--shrinks", 0, 50)) options.shrinks = *shrinks / 100;
  Input input = load(o.positional("use-no-project"));
  o.finish();
  const auto width = [](const char* name, const std::string& text) {
    const auto mm = length_mm_from(text);
    if (!mm || !(*mm > 0)) refuse({"use-length", {{"option", name}, {"example", "1100mm"}, {"text", text}}});
    return *mm;
  };
  options.wide_mm = width("--bolt", given(bolt, "--bolt LENGTH", "--bolt 1100mm"));
  options.gap_mm = input.project.laying.gap_mm;
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  const Layout layout = lay_out(input.project, drawing);
  Json list = Json::array();
  std::string text;
  const auto tell = [&](const Stock& stock, const QuantityOptions& how) {
    const Quantity q = quantity_of(input.project, drawing, layout, stock.id, how);
    if (q.parts == 0) return;
    Json entry;
    entry["stock"] = stock.id;
    entry["web"] = how.fused_only;
    entry["parts"] = q.parts;
    entry["cuts"] = q.piles;
    entry["length_mm"] = round4(q.length_mm);
    entry["packed_mm"] = round4(q.packed_mm);
    entry["used"] = round4(q.used);
    entry["too_wide"] = q.too_wide;
    list.push_back(entry);
    text +=
        say(how.fused_only ? "quantity/web" : "quantity",
            {{"stock", stock.name}, {"length", q.length_mm}, {"parts", figure(q.parts)}, {"percent", 100 * q.used}});
  };
  for (const auto& stock : input.project.stocks) {
    tell(stock, options);
    if (!web) continue;
    QuantityOptions back = options;
    back.fused_only = true, back.wide_mm = width("--web", *web), back.layers = 1, back.shrinks = 0;
    tell(stock, back);
  }
  json ? print_json(Json{{"lengths", list}}) : print(text.empty() ? say("no-parts") : text);
  return 0;
}

int near_stocks_of(Options o, bool json) {
  const auto out = o.value("-o");
  const double within = o.number("--within", 5);
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  const Layout layout = lay_out(input.project, drawing);
  const auto pairs = near_stocks(input.project, drawing, layout, within);
  if (out) need(save_project(unite_stocks(input.project, pairs), *out));
  Json list = Json::array();
  std::string text;
  for (const auto& pair : pairs) {
    Json bits = Json::array();
    for (const auto& bit : pair.bits)
      bits.push_back({{"part", layout.parts[bit.part].name},
                      {"area_mm2", round4(bit.area_mm2)},
                      {"at_mm", Json::array({round4(bit.at.x), round4(bit.at.y)})}});
    list.push_back({{"keep", pair.keep},
                    {"other", pair.other},
                    {"difference", round4(pair.difference)},
                    {"sheets", pair.sheets},
                    {"sheets_united", pair.sheets_united},
                    {"parts", std::move(bits)}});
    text += say("near-stocks", {{"other", pair.other},
                                {"keep", pair.keep},
                                {"difference", pair.difference},
                                {"sheets", figure(pair.sheets)},
                                {"united", figure(pair.sheets_united)}});
  }
  json ? print_json({{"pairs", std::move(list)}}) : print(text.empty() ? say("no-near-stocks") : text);
  return 0;
}

}  // namespace dotlane::cli
