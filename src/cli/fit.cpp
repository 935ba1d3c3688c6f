#include "cli/fit.hpp"

#include <cmath>

#include "cli/input.hpp"
#include "core/layout/size_curve.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

/// Rounded down, so that what is said still fits.
double down4(double v) { return std::floor(v * 1e4) / 1e4; }

}  // namespace

int fit(Options o, bool json) {
  const Input input = load(o.positional("the project"), 96);
  o.finish();
  DrawingCache cache;
  // As it is; and seamless at most, where lower layers need not be whole.
  const auto schools = schools_of(input.project, cache);
  const auto& [trims, project, drawing, layout, big] = schools.front();
  if (big.part == npos) refuse("there is no part whose size could be asked for");
  const auto size_at = [&figure = big.figure](double scale) {
    return Json{round4(figure.width() * scale), round4(figure.height() * scale)};
  };
  const double scale = down4(big.scale);
  Json trimmed = nullptr;
  if (schools.size() > 1 && schools[1].big.part != npos) {
    const HowBig& most = schools[1].big;
    trimmed = {{"scale_max", down4(most.scale)},
               {"limited_by", schools[1].layout.parts[most.part].name},
               {"size_mm", size_at(down4(most.scale))}};
  }
  Json advice = Json::array();
  for (const auto& remedy : big.remedies)
    advice.push_back({{"what", word(remedy.what)},
                      {"name", remedy.name},
                      {"scale", down4(remedy.scale)},
                      {"size_mm", size_at(down4(remedy.scale))}});
  Json sheets = Json::object();
  for (const auto& [stock, n] : sheets_at(project, drawing, layout, scale)) sheets[stock] = n;
  if (json) {
    print_json({{"scale_max", scale},
                {"limited_by", layout.parts[big.part].name},
                {"turn_deg", round4(big.turn)},
                {"size_mm", size_at(scale)},
                {"size_today_mm", size_at(1)},
                {"advice", advice},
                {"all_trimmed", trimmed},
                {"sheets", sheets}});
    return 0;
  }
  const auto size_text = [](const Json& size) {
    return rounded_text(size[0].get<double>(), 1) + " x " + rounded_text(size[1].get<double>(), 1) + " mm";
  };
  std::string text = "At most " + rounded_text(100 * scale, 1) + " % of its size today: " + size_text(size_at(scale)) +
                     ".\n" + layout.parts[big.part].name + " stops it, turned by " + rounded_text(big.turn, 1) +
                     " degrees.\n";
  for (const auto& remedy : big.remedies) {
    const std::string with = remedy.what == Remedy::What::mat     ? "On a mat of " + remedy.name
                             : remedy.what == Remedy::What::sheet ? "On a whole sheet of " + remedy.name
                             : remedy.what == Remedy::What::seam
                                 ? "With one seam across " + remedy.name
                                 : "With " + remedy.name + " trimmed under what lies on it";
    text +=
        with + ": " + rounded_text(100 * down4(remedy.scale), 1) + " %, " + size_text(size_at(remedy.scale)) + ".\n";
  }
  for (const auto& [stock, n] : sheets.items()) {
    const Stock* found = find_stock(project, stock);
    text += std::to_string(n.get<std::size_t>()) + (n == 1 ? " sheet of " : " sheets of ") +
            (found ? found->name : stock) + " then.\n";
  }
  print(text);
  return 0;
}

}  // namespace dotlane::cli
