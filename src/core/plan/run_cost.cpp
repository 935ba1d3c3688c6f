#include "core/plan/run_cost.hpp"

namespace dotlane {

std::vector<Vec> retraced(std::vector<Vec> course, bool closed, int repeats) {
  const std::size_t n = course.size();
  if (n < 2) return course;
  course.reserve(n + static_cast<std::size_t>(std::max(0, repeats - 1)) * (n - 1));
  for (int r = 1; r < repeats; ++r) {
    const bool back = !closed && r % 2 != 0;
    for (std::size_t k = 1; k < n; ++k) course.push_back(course[back ? n - 1 - k : k]);
  }
  return course;
}

RunCost run_cost(const std::vector<std::vector<Polyline>>& coats, const Machine& machine, const RunWay& way) {
  RunCost out;
  const auto limits = pass_limits(machine, way.speed_mm_s), travel = travel_limits(machine);
  const Vec home = home_of(machine);
  Vec head = home;
  struct Run {
    Vec from, to;
    double seconds;
  };
  std::vector<Run> runs;
  for (const auto& coat : coats) {
    const auto courses = courses_of(coat);
    OrderRules rules;
    rules.to_and_fro = way.stroke_by_stroke && way.repeats % 2 == 0;
    rules.travel = travel;
    for (const auto& stroke : order_strokes(courses, head, rules)) {
      auto points = points_of(courses[stroke.course], stroke);
      if (way.stroke_by_stroke) points = retraced(std::move(points), coat[stroke.course].closed, way.repeats);
      for (std::size_t k = 1; k < points.size(); ++k) out.length_mm += distance(points[k - 1], points[k]);
      runs.push_back(
          {points.front(), points.back(), machine.lower_s + motion_seconds(points, limits) + machine.lift_s});
      head = points.back();
    }
  }
  head = home;
  const int rounds = way.stroke_by_stroke ? 1 : way.repeats;
  for (int r = 0; r < rounds; ++r) {
    for (const auto& run : runs) {
      out.travel_mm += distance(head, run.from);
      out.seconds += (motion_seconds({head, run.from}, travel) + run.seconds) * way.slower;
      head = run.to;
    }
  }
  out.lifts = runs.size() * static_cast<std::size_t>(rounds);
  out.length_mm *= rounds;
  return out;
}

}  // namespace dotlane
