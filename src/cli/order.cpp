#include "cli/order.hpp"

#include <cmath>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/geometry/flatten.hpp"
#include "core/plan/order.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

/// A place, mm: "0,0".
Vec place_value(const std::string& name, const std::string& text) {
  const auto words = split(text, ',');
  const auto x = words.size() == 2 ? to_number(words[0]) : std::nullopt;
  const auto y = words.size() == 2 ? to_number(words[1]) : std::nullopt;
  if (!x || !y || std::abs(*x) > 100'000 || std::abs(*y) > 100'000)
    refuse({"use-place", {{"option", name}, {"text", text}}});
  return {*x, *y};
}

}  // namespace

int order(Options o, bool json) {
  // About as many as fit into a second where a drawing has a few hundred strokes. Counted, so that the same seed gives
  // the same order on every machine.
  constexpr double kKicksASecond = 60'000, kFlat = 0.01;
  const auto start = o.value("--start");
  const double seconds = number_within(o, "--seconds", 0, 3600).value_or(1);
  const int seed = o.integer("--seed", 1);
  const double per_inch = o.number("--per-inch", 96);
  const std::string file = o.positional("use-no-drawing");
  o.finish();
  const Vec from = start ? place_value("--start", *start) : Vec{0, 0};
  ReadOptions options;
  options.assumed_per_inch = per_inch;
  const Artwork art = need(read_artwork(need(read_file(file, options.max_bytes)), file, options));
  std::vector<Polyline> strokes;
  std::vector<std::pair<const ArtLine*, std::size_t>> of;  // and which of its contours
  for (const auto& line : art.lines) {
    for (std::size_t c = 0; c < line.path.contours.size(); ++c) {
      strokes.push_back(flatten(line.path.contours[c], kFlat));
      of.emplace_back(&line, c);
    }
  }
  OrderRules rules;
  rules.travel = {1, 0, 0};  // what is short is what is short
  rules.effort = {static_cast<std::size_t>(seconds * kKicksASecond), static_cast<std::uint32_t>(seed), {}};
  const auto courses = courses_of(strokes);
  double travel = 0, as_filed = 0;
  Vec head = from;
  for (const auto& stroke : strokes) {
    as_filed += distance(head, stroke.points.front());
    head = stroke.points.back();
  }
  Json steps = Json::array();
  head = from;
  for (const auto& step : order_strokes(courses, from, rules)) {
    const auto points = points_of(courses[step.course], step);
    travel += distance(head, points.front());
    head = points.back();
    const auto& [line, contour] = of[step.course];
    Json entry;
    entry["id"] = line->id;
    if (line->path.contours.size() > 1) entry["contour"] = contour;
    entry["reversed"] = step.reversed;
    entry["entry"] = {round4(points.front().x), round4(points.front().y)};
    steps.push_back(std::move(entry));
  }
  if (json) {
    print_json({{"travel_mm", round4(travel)}, {"file_order_mm", round4(as_filed)}, {"order", std::move(steps)}});
    return 0;
  }
  std::string text = say("order-found", {{"strokes", figure(strokes.size())}, {"travel", travel}, {"filed", as_filed}});
  for (const auto& step : steps) {
    const Figures line{{"line", step["id"].get<std::string>()}};
    text += "  " + (step["reversed"].get<bool>() ? say("order-from-end", line) : step["id"].get<std::string>() + "\n");
  }
  print(text);
  return 0;
}

}  // namespace dotlane::cli
