#include "core/plan/tool_path.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <utility>

namespace dotlane {
namespace {

/// Where a course bends so little that it is a curve in short moves, the axis goes straight from one lead to the next:
/// it turns little, and a circle through the places would lie no farther from the moves than this, mm. Else it is a
/// corner.
constexpr double kCurve = 0.02, kBend = 15 * std::numbers::pi / 180;
constexpr double kArcStep = 10 * std::numbers::pi / 180;
constexpr double kTurnInTrails = 8, kLeastTurnIn = 4;  // of a trail; mm

Vec unit(Vec v) {
  const double n = norm(v);
  return n > 0 ? v * (1 / n) : Vec{};
}

std::vector<Vec> without_repeats(const std::vector<Vec>& points) {
  std::vector<Vec> out;
  for (const Vec p : points) {
    if (out.empty() || !(out.back() == p)) out.push_back(p);
  }
  return out;
}

/// The part of a polyline from one way along it to another, mm.
std::vector<Vec> part_of(const std::vector<Vec>& points, double from, double to) {
  std::vector<Vec> out;
  double at = 0;
  for (std::size_t i = 1; i < points.size(); ++i) {
    const double length = distance(points[i - 1], points[i]);
    const double a = std::max(from, at), b = std::min(to, at + length);
    if (b >= a && length > 0 && b > from - 1e-12 && a < to + 1e-12) {
      if (out.empty()) out.push_back(lerp(points[i - 1], points[i], (a - at) / length));
      const Vec end = b < at + length ? lerp(points[i - 1], points[i], (b - at) / length) : points[i];
      if (!(out.back() == end)) out.push_back(end);
    }
    at += length;
  }
  return out;
}

double way_of(const std::vector<Vec>& points) {
  double out = 0;
  for (std::size_t i = 1; i < points.size(); ++i) out += distance(points[i - 1], points[i]);
  return out;
}

/// Where tabs stand on a closed course: in the middle of straight stretches that are long enough, spread evenly as far
/// as those allow; ways along the course, mm, from start to end, in order.
std::vector<std::pair<double, double>> tabs_on(const std::vector<Vec>& points, int wanted, double width) {
  struct Stretch {
    double from, to;
  };
  std::vector<Stretch> straight;
  double at = 0;
  Vec direction;
  for (std::size_t i = 1; i < points.size(); ++i) {
    const double length = distance(points[i - 1], points[i]);
    const Vec u = unit(points[i] - points[i - 1]);
    if (!straight.empty() && dot(u, direction) > 0.99999) {
      straight.back().to += length;
    } else {
      straight.push_back({at, at + length});
    }
    direction = u;
    at += length;
  }
  constexpr double kRoom = 2;  // a stretch is as many widths long at least
  std::erase_if(straight, [&](const Stretch& s) { return s.to - s.from < kRoom * width; });
  std::vector<std::pair<double, double>> out;
  for (int k = 0; k < wanted && !straight.empty(); ++k) {
    const double ideal = at * (k + 0.5) / wanted;
    double best = -1, best_off = at;
    for (const auto& s : straight) {
      const double room = std::max(0.0, (s.to - s.from) / 2 - width);  // off the corners
      const double middle = (s.from + s.to) / 2;
      const double place = std::clamp(ideal, middle - room, middle + room);
      const bool taken = std::any_of(out.begin(), out.end(), [&](const auto& o) {
        return place - width / 2 < o.second + width && place + width / 2 > o.first - width;
      });
      if (!taken && std::abs(place - ideal) < best_off) best = place, best_off = std::abs(place - ideal);
    }
    if (best >= 0) out.emplace_back(best - width / 2, best + width / 2);
  }
  std::sort(out.begin(), out.end());
  return out;
}

/// The courses that are left of one between its tabs, overcut and all.
std::vector<std::vector<Vec>> pieces_of(const std::vector<Vec>& points, bool closed, const ToolLead& lead) {
  if (!closed || points.size() < 3) return {points};
  std::vector<Vec> whole = points;
  const double round = way_of(points);
  if (lead.overcut_mm > 0) {
    const std::vector<Vec> more = part_of(points, 0, std::min(lead.overcut_mm, round));
    if (more.size() > 1) whole.insert(whole.end(), more.begin() + 1, more.end());
  }
  if (lead.tabs <= 0 || lead.tab_mm <= 0) return {whole};
  const auto tabs = tabs_on(points, lead.tabs, lead.tab_mm);
  const double end = way_of(whole);
  std::vector<std::vector<Vec>> out;
  double from = 0;
  for (const auto& [a, b] : tabs) {
    if (a > from) out.push_back(part_of(whole, from, a));
    from = b;
  }
  if (end > from) out.push_back(part_of(whole, from, end));
  std::erase_if(out, [](const std::vector<Vec>& p) { return p.size() < 2; });
  return out;
}

class Trailing {
 public:
  Trailing(double trail, Vec heading) : trail_(trail), heading_(heading) {}

  HeadRun follow(const std::vector<Vec>& course) {
    HeadRun run;
    if (course.size() < 2) {  // a prick
      add(run, course.front(), heading_);
      return run;
    }
    add(run, course.front(), heading_);
    double before = 0;
    for (std::size_t i = 1; i < course.size(); ++i) {
      const Vec u = unit(course[i] - course[i - 1]);
      const double length = distance(course[i - 1], course[i]);
      turn(run, course[i - 1], u, std::max(length, before));
      before = length;
      add(run, course[i], u);
    }
    return run;
  }
  HeadRun round(Vec at, Vec to) {
    HeadRun run;
    add(run, at, heading_);
    turn(run, at, to, 0);
    return run;
  }
  [[nodiscard]] Vec heading() const { return heading_; }

 private:
  void add(HeadRun& run, Vec at, Vec heading) {
    heading_ = heading;
    run.head.push_back(at + heading * trail_);
    run.tip.push_back(at);
  }
  /// `move`: the longer of the moves before and after, mm.
  void turn(HeadRun& run, Vec at, Vec to, double move) {
    const double by = std::atan2(cross(heading_, to), dot(heading_, to));
    if (std::abs(by) < 1e-9) return;
    if (run.head.size() > 1 && std::abs(by) < kBend &&
        move * std::abs(by) / 8 < kCurve) {  // half the turn before the place, half after it
      const Vec half = unit(heading_ + to);
      run.head.back() = at + half * trail_;
      heading_ = half;
      return;
    }
    const int steps = static_cast<int>(std::ceil(std::abs(by) / kArcStep));
    const Vec from = heading_;
    for (int k = 1; k <= steps; ++k) {
      const double a = by * k / steps, c = std::cos(a), s = std::sin(a);
      add(run, at, {from.x * c - from.y * s, from.x * s + from.y * c});
    }
  }
  double trail_;
  Vec heading_;
};

}  // namespace

std::vector<HeadRun> head_runs(const std::vector<Vec>& points, bool closed, const ToolLead& lead, Vec& heading) {
  if (lead.plain()) return {{points, {}, {}}};
  std::vector<HeadRun> out;
  for (const auto& course : pieces_of(without_repeats(points), closed, lead)) {
    HeadRun run;
    if (lead.trails()) {
      Trailing trailing(lead.trail_mm, heading);
      run = trailing.follow(course);
      heading = trailing.heading();
    } else {
      run.head = course;
      if (!(lead.tip == Vec{})) run.tip = course;
    }
    for (Vec& p : run.head) p = p - lead.tip;
    run.ceilings = ceilings_of(run.head, lead.slowed);
    out.push_back(std::move(run));
  }
  return out;
}

std::vector<double> ceilings_of(const std::vector<Vec>& head, const Slowed& slowed) {
  if (slowed.radius_mm <= 0 || head.size() < 3) return {};
  constexpr double kFree = 1e6;  // mm/s
  std::vector<double> out(head.size() - 1, kFree);
  bool any = false;
  for (std::size_t i = 1; i + 1 < head.size(); ++i) {
    const Vec u = head[i] - head[i - 1], v = head[i + 1] - head[i];
    const double turn = std::abs(std::atan2(cross(u, v), dot(u, v)));
    if (turn * slowed.radius_mm <= std::min(norm(u), norm(v))) continue;
    for (const std::size_t move : {i - 1, i}) {
      if (distance(head[move], head[move + 1]) < slowed.radius_mm) out[move] = slowed.speed_mm_s, any = true;
    }
  }
  return any ? out : std::vector<double>{};
}

Vec heading_after(const std::vector<Vec>& points, bool closed, const ToolLead& lead, Vec before) {
  if (!lead.trails()) return before;
  if (closed && (lead.overcut_mm > 0 || lead.tabs > 0)) {
    (void)head_runs(points, closed, lead, before);
    return before;
  }
  for (std::size_t i = points.size(); i-- > 1;) {
    if (!(points[i] == points[i - 1])) return unit(points[i] - points[i - 1]);
  }
  return before;
}

HeadRun turn_in(Vec from, const ToolLead& lead) {
  const Vec to = from + kTurnedIn * std::max(kLeastTurnIn, kTurnInTrails * lead.trail_mm);
  const Vec ahead = kTurnedIn * lead.trail_mm - lead.tip;
  return {{from + ahead, to + ahead}, {from, to}, {}};
}

Vec turn_in_place(double mat_height_mm, double border_mm, int nth, const ToolLead& lead) {
  constexpr double kLeast = 1;
  const double in = std::max(kLeast, border_mm / 2);
  const double pitch = std::max(kLeastTurnIn, kTurnInTrails * lead.trail_mm) + 2 * lead.trail_mm + 1;
  constexpr int kRow = 8;  // then over the first again
  return {in + pitch * (nth % kRow), mat_height_mm - in};
}

HeadRun swivel(Vec at, Vec from, Vec to, const ToolLead& lead) {
  Trailing trailing(lead.trail_mm, from);
  HeadRun out = trailing.round(at, to);
  for (Vec& p : out.head) p = p - lead.tip;
  return out;
}

std::vector<Vec> course_until(const HeadRun& run, double mm) {
  const auto& course = run.course();
  std::vector<Vec> out{course.front()};
  double at = 0;
  for (std::size_t i = 1; i < run.head.size() && at < mm; ++i) {
    const double length = distance(run.head[i - 1], run.head[i]);
    const double t = length > 0 ? std::min(1.0, (mm - at) / length) : 1;
    const Vec here = lerp(course[i - 1], course[i], t);
    if (!(here == out.back())) out.push_back(here);
    at += length;
  }
  if (out.size() == 1) out.push_back(out.front());
  return out;
}

HeadRun rest_of(const HeadRun& run, double mm) {
  HeadRun out;
  double at = 0;
  for (std::size_t i = 1; i < run.head.size(); ++i) {
    const double length = distance(run.head[i - 1], run.head[i]);
    if (out.head.empty() && at + length > mm) {
      const double t = std::clamp((mm - at) / length, 0.0, 1.0);
      out.head.push_back(lerp(run.head[i - 1], run.head[i], t));
      if (!run.tip.empty()) out.tip.push_back(lerp(run.tip[i - 1], run.tip[i], t));
    }
    at += length;
    if (out.head.empty()) continue;
    out.head.push_back(run.head[i]);
    if (!run.tip.empty()) out.tip.push_back(run.tip[i]);
    if (!run.ceilings.empty()) out.ceilings.push_back(run.ceilings[i - 1]);
  }
  if (out.head.empty() && !run.head.empty()) {  // nothing is left but the place
    out.head.push_back(run.head.back());
    if (!run.tip.empty()) out.tip.push_back(run.tip.back());
  }
  return out;
}

}  // namespace dotlane
