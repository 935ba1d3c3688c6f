#include "cli/fit.hpp"

#include <cmath>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/layout/size_curve.hpp"

namespace dotlane::cli {
namespace {

const char* code_of(Remedy::What what) {
  switch (what) {
    case Remedy::What::mat:
      return "fit-mat";
    case Remedy::What::sheet:
      return "fit-whole-sheet";
    case Remedy::What::seam:
      return "fit-seam";
    default:
      return "fit-trimmed";
  }
}

/// Rounded down, so that what is said still fits.
double down4(double v) { return std::floor(v * 1e4) / 1e4; }

}  // namespace

int fit(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"), 96);
  o.finish();
  DrawingCache cache;
  // As it is; and seamless at most, where lower layers need not be whole.
  const auto schools = schools_of(input.project, cache);
  const auto& [trims, project, drawing, layout, big] = schools.front();
  if (big.part == npos) refuse({"use-nothing-to-fit"});
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
  const auto at = [&whole = big.figure](const char* code, const std::string& name, double of) {
    const double told = down4(of);
    return say(
        code,
        {{"name", name}, {"percent", 100 * told}, {"width", whole.width() * told}, {"height", whole.height() * told}});
  };
  std::string text =
      at("fit-most", {}, scale) + say("fit-stops", {{"part", layout.parts[big.part].name}, {"turn", big.turn}});
  for (const auto& remedy : big.remedies) text += at(code_of(remedy.what), remedy.name, remedy.scale);
  for (const auto& [stock, n] : sheets.items()) {
    const Stock* found = find_stock(project, stock);
    text += say("fit-sheets", {{"sheets", n.get<double>()}, {"stock", found ? found->name : stock}});
  }
  print(text);
  return 0;
}

}  // namespace dotlane::cli
