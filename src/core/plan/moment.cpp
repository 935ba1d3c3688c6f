// What a plan is doing at a moment of its clock.
#include <algorithm>

#include "core/plan/plan.hpp"

namespace dotlane {

Moment moment_at(const Plan& plan, const Machine& machine, double seconds) {
  Moment now;
  now.head = home_of(machine);
  for (; now.pass < plan.passes.size(); ++now.pass) {
    const Pass& pass = plan.passes[now.pass];
    if (seconds < pass.start_s) {
      now.hands = true;
      return now;
    }
    const std::size_t n = pass.strokes.size();
    if (n == 0) continue;
    if (seconds >= pass.start_s + pass.seconds) {
      now.head = pass.strokes.back().end();
      continue;
    }
    const double t = seconds - pass.start_s;
    const auto& ends = pass.stroke_end_s;
    const auto at = static_cast<std::size_t>(std::upper_bound(ends.begin(), ends.end(), t) - ends.begin());
    now.repeat = static_cast<int>(at / n);
    now.stroke = at % n;
    if (at == 0 && t < pass.marks_s + pass.ready_s) return now;  // it is being made ready
    double into = std::max(0.0, t - (at > 0 ? ends[at - 1] : pass.marks_s + pass.ready_s)) / pass.pace.factor;
    const auto runs_of = [&](std::size_t stroke, Vec heading) {
      return head_runs(pass.strokes[stroke].points(), pass.strokes[stroke].closed(), pass.lead, heading);
    };
    Vec heading = pass.heading;
    if (at > 0) {
      const Stroke& last = pass.strokes[(at - 1) % n];
      // Where it pointed before the one before matters to nothing but a prick.
      heading = heading_after(last.points(), last.closed(), pass.lead, heading);
      now.head = runs_of((at - 1) % n, pass.heading).back().head.back();
    } else if (pass.turn_in) {
      now.head = turn_in(*pass.turn_in, pass.lead).head.back();
    }
    for (const auto& run : runs_of(now.stroke, heading)) {
      const Motion way({now.head, run.head.front()}, travel_limits(machine));
      if (into < way.seconds()) {
        now.head = way.position_at(into), now.down = false;
        return now;
      }
      into -= way.seconds();
      const Motion mark(run.head, pass_limits(machine, pass.speed_mm_s), run.ceilings);
      const double down_t = std::clamp(into - machine.lower_s, 0.0, mark.seconds());
      now.head = mark.position_at(down_t);
      now.down = true;
      now.under_way = course_until(run, mark.way_at(down_t));
      into -= machine.lower_s + mark.seconds() + machine.lift_s;
      if (into < 0) return now;
    }
    return now;
  }
  return now;
}

}  // namespace dotlane
