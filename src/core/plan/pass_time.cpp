#include "core/plan/pass_time.hpp"

#include <map>
#include <tuple>

#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

/// How long strokes are and take, mm and s: what is moved and no more is worked out once, on all cores.
std::vector<std::pair<double, double>> timed(const std::vector<Stroke>& strokes, const MotionLimits& limits) {
  std::map<std::tuple<const Polyline*, double, double, double, double, bool, std::size_t, double>, std::size_t> known;
  std::vector<std::size_t> which;  // of the different ones, for each stroke
  std::vector<const Stroke*> different;
  for (const auto& stroke : strokes) {
    const Affine& m = stroke.course.map;
    const auto [at, fresh] = known.try_emplace(
        {stroke.course.polyline.get(), m.a, m.b, m.c, m.d, stroke.reversed, stroke.first_point, stroke.along},
        different.size());
    if (fresh) different.push_back(&stroke);
    which.push_back(at->second);
  }
  constexpr std::size_t kWorth = 500;
  std::vector<std::pair<double, double>> of_each(different.size());
  for_each_index(different.size(), kWorth, [&](std::size_t i) {
    const Motion motion(different[i]->points(), limits);
    of_each[i] = {motion.length(), motion.seconds()};
  });
  std::vector<std::pair<double, double>> out;
  for (const std::size_t i : which) out.push_back(of_each[i]);
  return out;
}

/// One stroke as the head makes it.
struct Led {
  Vec from, to;  // where the head is when it goes down first and comes up last
  double mm = 0, seconds = 0;
  int lifts = 1;
};

/// The strokes of a pass whose tool has to be led, in order, on all cores.
std::vector<Led> led(const Pass& pass, const Machine& machine) {
  const auto limits = pass_limits(machine, pass.speed_mm_s), travel = travel_limits(machine);
  std::vector<Vec> before(pass.strokes.size());
  Vec heading = pass.heading;
  for (std::size_t i = 0; i < pass.strokes.size(); ++i) {
    before[i] = heading;
    if (pass.lead.trails())
      heading = heading_after(pass.strokes[i].points(), pass.strokes[i].closed(), pass.lead, heading);
  }
  std::vector<Led> out(pass.strokes.size());
  constexpr std::size_t kWorth = 200;
  for_each_index(out.size(), kWorth, [&](std::size_t i) {
    Led& now = out[i];
    Vec at_first = before[i];
    const auto runs = head_runs(pass.strokes[i].points(), pass.strokes[i].closed(), pass.lead, at_first);
    now.from = runs.front().head.front(), now.to = runs.back().head.back();
    now.lifts = static_cast<int>(runs.size());
    for (std::size_t k = 0; k < runs.size(); ++k) {
      if (k > 0) now.seconds += motion_seconds({runs[k - 1].head.back(), runs[k].head.front()}, travel);
      const Motion motion(runs[k].head, limits, runs[k].ceilings);
      now.seconds += machine.lower_s + motion.seconds() + machine.lift_s;
      const auto& course = runs[k].course();
      for (std::size_t n = 1; n < course.size(); ++n) now.mm += distance(course[n - 1], course[n]);
    }
  });
  return out;
}

}  // namespace

void time_pass(Pass& pass, const Machine& machine, Vec& head) {
  const auto limits = pass_limits(machine, pass.speed_mm_s);
  const auto travel = travel_limits(machine);
  pass.seconds = pass.marks_s;
  if (pass.turn_in) {
    const HeadRun run = turn_in(*pass.turn_in, pass.lead);
    const double seconds = motion_seconds({head, run.head.front()}, travel) + machine.lower_s +
                           Motion(run.head, limits).seconds() + machine.lift_s;
    pass.ready_s = seconds * pass.pace.factor;
    pass.seconds += pass.ready_s;
    head = run.head.back();
  }
  std::vector<Led> strokes;
  if (pass.lead.plain()) {
    const auto each = timed(pass.strokes, limits);
    for (std::size_t i = 0; i < each.size(); ++i)
      strokes.push_back({pass.strokes[i].start(), pass.strokes[i].end(), each[i].first,
                         machine.lower_s + each[i].second + machine.lift_s});
  } else {
    strokes = led(pass, machine);
  }
  for (const auto& stroke : strokes) pass.length_mm += stroke.mm, pass.lifts += stroke.lifts;
  pass.length_mm *= pass.rounds();
  pass.lifts *= pass.rounds();
  for (int r = 0; r < pass.rounds(); ++r) {
    for (const auto& stroke : strokes) {
      pass.travel_mm += distance(head, stroke.from);
      pass.seconds += (motion_seconds({head, stroke.from}, travel) + stroke.seconds) * pass.pace.factor;
      pass.stroke_end_s.push_back(pass.seconds);
      head = stroke.to;
    }
  }
}

}  // namespace dotlane
