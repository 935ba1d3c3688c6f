#include "core/plan/fill_advice.hpp"

#include <algorithm>

#include "core/shape/fill/coverage.hpp"

namespace dotlane {
namespace {

/// Shares for comparing, not for quoting: cells of a sixth of the tip.
CoverageOptions rough(double tip_mm) { return {tip_mm, tip_mm / 6, 4e6, false}; }

Result<std::vector<Strokes>> coats_of(const Region& region, const FillOptions& options) {
  std::vector<Strokes> out;
  for (int coat = 0; coat < (options.second == SecondCoat::none ? 1 : 2); ++coat) {
    auto made = fill(region, options, coat);
    if (!made) return tl::unexpected<Error>(made.error());
    out.push_back(std::move(*made));
  }
  return out;
}

Strokes together(const std::vector<Strokes>& coats) {
  Strokes all;
  for (const auto& coat : coats) all.append(coat);
  return all;
}

/// The angle after which the pattern looks the same; 0 where the angle means nothing.
double period_of(const FillOptions& o) {
  switch (o.pattern) {
    case FillPattern::hatch:
    case FillPattern::zigzag:
    case FillPattern::rules:
      return 180;
    case FillPattern::cross:
      return std::abs(o.cross_angle) == 90 ? 90 : 180;
    case FillPattern::grid:
    case FillPattern::dots:
      return 90;
    default:
      return 0;
  }
}

}  // namespace

std::vector<std::vector<Polyline>> polylines_of(const std::vector<Strokes>& coats) {
  std::vector<std::vector<Polyline>> out;
  for (const auto& coat : coats) {
    auto& polylines = out.emplace_back();
    polylines.reserve(coat.size());
    for (std::size_t i = 0; i < coat.size(); ++i) {
      const auto s = coat[i];
      polylines.push_back({{s.begin(), s.end()}, s.size() > 2 && s.front() == s.back()});
    }
  }
  return out;
}

Result<FillTrial> try_fill(const Region& region, const FillOptions& options, const FillRun& run) {
  auto coats = coats_of(region, options);
  if (!coats) return tl::unexpected<Error>(coats.error());
  FillTrial out;
  out.options = options;
  out.cost = run_cost(polylines_of(*coats), run.machine, run.way);
  const Strokes all = together(*coats);
  const Coverage covered = coverage_of(region, all, rough(run.tip_mm));
  out.share = covered.share;
  out.weakest_share =
      covered.part_share.empty() ? 0 : *std::min_element(covered.part_share.begin(), covered.part_share.end());
  out.unfilled = unfilled(covered.part_share.size(), all).size();
  return out;
}

AngleAdvice best_angle(const Region& region, const FillOptions& options, const FillRun& run, double wanted,
                       AngleGoal goal, double step, const std::atomic<bool>* stop) {
  AngleAdvice out;
  const double period = period_of(options);
  for (double angle = 0; angle < period - 1e-9 && !(stop && *stop); angle += step) {
    FillOptions o = options;
    o.angle = angle;
    if (auto trial = try_fill(region, o, run)) out.curve.push_back(std::move(*trial));
  }
  if (out.curve.empty()) return out;
  const auto fewest = std::min_element(out.curve.begin(), out.curve.end(), [](const FillTrial& a, const FillTrial& b) {
                        return a.unfilled < b.unfilled;
                      })->unfilled;
  const bool reached = std::any_of(out.curve.begin(), out.curve.end(),
                                   [&](const FillTrial& t) { return t.unfilled == fewest && t.share >= wanted; });
  auto worth = [&](const FillTrial& t) {
    if (goal == AngleGoal::thin) return -t.weakest_share;
    if (!reached) return -t.share;
    return goal == AngleGoal::time ? t.cost.seconds : static_cast<double>(t.cost.lifts);
  };
  double best = std::numeric_limits<double>::infinity();
  for (std::size_t i = 0; i < out.curve.size(); ++i) {
    const auto& t = out.curve[i];
    if (t.unfilled != fewest || (reached && goal != AngleGoal::thin && t.share < wanted)) continue;
    if (worth(t) < best) best = worth(t), out.best = i;
  }
  return out;
}

std::optional<double> widest_spacing(const Region& region, FillOptions options, double tip_mm, double wanted) {
  auto reaches = [&](double spacing) {
    options.spacing = spacing;
    const auto coats = coats_of(region, options);
    return coats && coverage_of(region, together(*coats), rough(tip_mm)).share >= wanted;
  };
  double low = tip_mm / 5, high = tip_mm * 30;
  if (!reaches(low)) return std::nullopt;
  if (reaches(high)) return high;
  while (high - low > 0.005) {
    const double middle = (low + high) / 2;
    (reaches(middle) ? low : high) = middle;
  }
  // Down to what people would type, as long as that does not fall short.
  const double typed = std::floor(low * 100 + 1e-6) / 100;
  return typed > 0 && reaches(typed) ? typed : low;
}

std::vector<WayChoice> compare_ways(const Region& region, const FillOptions& options, const FillRun& run,
                                    double scatter_mm, const std::atomic<bool>* stop) {
  using Kind = WayChoice::Kind;
  std::vector<WayChoice> out;
  auto add = [&](Kind kind, const FillOptions& o, const RunWay& way) {
    if (stop && *stop) return;
    const auto coats = coats_of(region, o);
    if (!coats) return;
    WayChoice choice{kind, o, way, run_cost(polylines_of(*coats), run.machine, way)};
    choice.share = coverage_of(region, together(*coats), rough(run.tip_mm)).share;
    // Repeats pass by pass land anew each time; stroke by stroke they stay where they fell.
    std::vector<Strokes> landed = *coats;
    for (int r = 1; r < way.repeats && !way.stroke_by_stroke; ++r)
      landed.insert(landed.end(), coats->begin(), coats->end());
    const LandingTrial landed_off = land(region, landed, {scatter_mm, run.tip_mm, 8, 1});
    choice.gap_mm2 = landed_off.gap_mm2;
    choice.overlap_mm2 = landed_off.overlap_mm2;
    out.push_back(std::move(choice));
  };
  add(Kind::as_it_is, options, run.way);
  FillOptions o = options;
  if (options.pattern == FillPattern::hatch) {
    o.pattern = FillPattern::zigzag;
    if (o.join <= 0) o.join = 6 * o.spacing;
    add(Kind::joined, o, run.way);
    o = options;
  }
  if (options.pattern == FillPattern::contour) {
    o.pattern = FillPattern::spiral;
    add(Kind::joined, o, run.way);
    o = options;
  }
  o.spacing *= 0.8;
  add(Kind::closer, o, run.way);
  if (options.second == SecondCoat::none) {
    o = options;
    o.second = SecondCoat::shifted;
    add(Kind::shifted_coat, o, run.way);
    o.second = SecondCoat::turned;
    if (period_of(options) == 180) add(Kind::turned_coat, o, run.way);
  }
  for (const bool by_stroke : {false, true}) {
    RunWay way = run.way;
    ++way.repeats;
    way.stroke_by_stroke = by_stroke;
    add(by_stroke ? Kind::again_by_stroke : Kind::again_by_pass, options, way);
  }
  return out;
}

}  // namespace dotlane
