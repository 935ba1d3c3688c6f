#include "core/geometry/refit.hpp"

#include <algorithm>
#include <array>
#include <numbers>
#include <optional>

#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

// How the tolerance is shared: vertices this near the last one kept are passed over, and those this near to a straight
// course of the others; curves stray from the rest by this.
constexpr double kGatherShare = 0.35, kThinShare = 0.22, kFitShare = 0.4;
constexpr double kCornerTurn = 35 * std::numbers::pi / 180;
constexpr double kCornerReach = 0.1;  // mm x rad: flattening leaves at most 8 chords' worth, 0.02
constexpr double kLongSegment = 0.2;  // mm
constexpr double kLongFactor = 6;     // times its neighbour
constexpr double kSmoothTurn = 12 * std::numbers::pi / 180;

Vec unit(Vec v) {
  const double n = norm(v);
  return n > 0 ? v * (1 / n) : Vec{1, 0};
}

double turn_at(Vec before, Vec at, Vec after) {
  const Vec a = at - before, b = after - at;
  return std::abs(std::atan2(cross(a, b), dot(a, b)));
}

struct Cubic {
  Vec a, c1, c2, b;
  [[nodiscard]] Vec at(double t) const {
    const double u = 1 - t;
    return a * (u * u * u) + c1 * (3 * u * u * t) + c2 * (3 * u * t * t) + b * (t * t * t);
  }
  [[nodiscard]] Vec slope(double t) const {
    const double u = 1 - t;
    return (c1 - a) * (3 * u * u) + (c2 - c1) * (6 * u * t) + (b - c2) * (3 * t * t);
  }
  [[nodiscard]] Vec bend(double t) const { return (c2 - c1 * 2 + a) * (6 * (1 - t)) + (b - c2 * 2 + c1) * (6 * t); }
};

/// A place the curve should pass: a vertex of the polyline, or the middle of a chord, which a true curve may overshoot.
struct Place {
  Vec at;
  bool vertex;
};

/// The cubic through the ends with these end tangents that lies nearest to the vertices at the given parameters.
Cubic least_squares(const Place* p, std::size_t n, const std::vector<double>& u, Vec t1, Vec t2) {
  const Vec first = p[0].at, last = p[n - 1].at;
  double c00 = 0, c01 = 0, c11 = 0, x0 = 0, x1 = 0;
  for (std::size_t i = 0; i < n; ++i) {
    if (!p[i].vertex) continue;
    const double t = u[i], s = 1 - t;
    const double b0 = s * s * s, b1 = 3 * s * s * t, b2 = 3 * s * t * t, b3 = t * t * t;
    const Vec a1 = t1 * b1, a2 = t2 * b2;
    c00 += dot(a1, a1), c01 += dot(a1, a2), c11 += dot(a2, a2);
    const Vec rest = p[i].at - (first * (b0 + b1) + last * (b2 + b3));
    x0 += dot(a1, rest), x1 += dot(a2, rest);
  }
  const double det = c00 * c11 - c01 * c01, span = distance(first, last);
  double l = det != 0 ? (x0 * c11 - x1 * c01) / det : 0, r = det != 0 ? (c00 * x1 - c01 * x0) / det : 0;
  // Schneider's rule for a fit that has gone astray: the third of the span that a gentle curve would have.
  if (!(l > 1e-6 * span) || !(r > 1e-6 * span)) l = r = span / 3;
  return {first, first + t1 * l, last + t2 * r, last};
}

/// A fit within tolerance of every place, or nothing. The first that does is good enough to see how far a cubic
/// reaches; a polished one goes on to the least error.
std::optional<Cubic> fitted(const Place* p, std::size_t n, Vec t1, Vec t2, double tolerance, bool polished) {
  std::vector<double> u(n, 0.0);
  for (std::size_t i = 1; i < n; ++i) u[i] = u[i - 1] + distance(p[i - 1].at, p[i].at);
  if (u.back() <= 0) return std::nullopt;
  const double length = u.back();
  for (double& v : u) v /= length;
  std::optional<Cubic> best;
  double least = tolerance;
  for (int round = 0; round < (polished ? 6 : 4); ++round) {
    const Cubic c = least_squares(p, n, u, t1, t2);
    double worst = 0, off = 0;
    for (std::size_t i = 1; i + 1 < n; ++i) {
      const double d = distance(c.at(u[i]), p[i].at);
      worst = std::max(worst, d);
      if (worst > 8 * tolerance) return best;  // no reparametrisation mends that
      if (p[i].vertex) off = std::max(off, d);
    }
    // Control arms longer than the polyline make loops between the points.
    const bool sound = distance(c.a, c.c1) <= length && distance(c.b, c.c2) <= length;
    if (worst <= tolerance && off <= least && sound) {
      best = c, least = off;
      if (!polished) return best;
    }
    for (std::size_t i = 1; i + 1 < n; ++i) {  // Newton's step towards the nearest place on the curve
      const Vec d = c.at(u[i]) - p[i].at, s = c.slope(u[i]), b = c.bend(u[i]);
      const double down = dot(s, s) + dot(d, b);
      if (down > 0) u[i] = std::clamp(u[i] - dot(d, s) / down, 0.0, 1.0);
    }
  }
  return best;
}

bool straight(const Vec* p, std::size_t n, double tolerance) {
  for (std::size_t i = 1; i + 1 < n; ++i) {
    if (distance(p[i], nearest_on(p[0], p[n - 1], p[i])) > tolerance) return false;
  }
  return true;
}

constexpr std::size_t kWholeAtOnce = 512;  // points

/// Fits one smooth run; `t1` and `t2` point into it from its ends.
void fit_run(std::vector<Segment>& out, const std::vector<Vec>& given, Vec t1, Vec t2, double tolerance) {
  if (given.size() == 2) {
    out.push_back(Segment::line(given.back()));
    return;
  }
  if (straight(given.data(), given.size(), tolerance / 20)) {
    out.push_back(Segment::line(given.back()));
    return;
  }
  // Middles of the longer chords as well, so that a curve cannot stray between points.
  std::vector<Place> p;
  for (std::size_t i = 0; i < given.size(); ++i) {
    if (i > 0 && distance(given[i - 1], given[i]) > 8 * tolerance)
      p.push_back({lerp(given[i - 1], given[i], 0.5), false});
    p.push_back({given[i], true});
  }
  auto tangent = [&](std::size_t i) {  // of the circle through the points before and after
    std::size_t lo = i, hi = i;
    do --lo;
    while (lo > 0 && !p[lo].vertex);
    do ++hi;
    while (hi + 1 < p.size() && !p[hi].vertex);
    const Vec a = p[i].at - p[lo].at, b = p[hi].at - p[i].at;
    const double la = norm(a), lb = norm(b);
    return unit(unit(a) * lb + unit(b) * la);
  };
  const double within = tolerance * kFitShare;
  std::size_t from = 0;
  Vec start = t1;
  while (from + 1 < p.size()) {
    auto reach = [&](std::size_t to, bool polished = false) {
      const Vec end = to + 1 == p.size() ? t2 : tangent(to) * -1;
      return fitted(p.data() + from, to - from + 1, start, end, within, polished);
    };
    auto next_node = [&](std::size_t i) {
      while (i + 1 < p.size() && !p[i].vertex) ++i;
      return std::min(i, p.size() - 1);
    };
    std::size_t good = next_node(from + 1), bad = p.size();
    const std::size_t last = p.size() - 1;
    // What is left of a short run may go in one; on a long one that would be tried in vain at every step.
    const bool short_run = p.size() - from <= kWholeAtOnce;
    std::optional<Cubic> best;
    if (short_run) best = reach(last);
    if (best) {
      good = last;
    } else {
      // Twice as far while it works, then between.
      std::size_t step = good - from;
      for (;;) {
        step *= 2;
        const std::size_t to = next_node(from + step);
        if (to >= last) {
          bad = last;
          if (short_run) break;
          if (auto c = reach(last)) best = c, good = last, bad = p.size();
          break;
        }
        auto c = reach(to);
        if (!c) {
          bad = to;
          break;
        }
        best = c, good = to;
      }
      while (bad > good + 1) {
        const std::size_t to = next_node(good + (bad - good) / 2);
        if (to >= bad) {
          std::size_t lower = good + (bad - good) / 2;
          while (lower > good && !p[lower].vertex) --lower;
          if (lower <= good) break;
          auto c = reach(lower);
          if (c) {
            best = c, good = lower;
          } else {
            bad = lower;
          }
          continue;
        }
        auto c = reach(to);
        if (c) {
          best = c, good = to;
        } else {
          bad = to;
        }
      }
    }
    if (best) {
      if (const auto better = reach(good, true)) best = better;
      out.push_back(Segment::cubic(best->c1, best->c2, best->b));
    } else {
      out.push_back(Segment::line(p[good].at));
    }
    start = good + 1 < p.size() ? tangent(good) : start;
    from = good;
  }
}

/// Vertices that break the smooth course, and whether the segment that follows each is a straight one of its own.
enum class Joint : char { smooth, corner, end_of_straight };

Joint joint_at(Vec before, Vec at, Vec after) {
  const double a = distance(before, at), b = distance(at, after), turn = turn_at(before, at, after);
  const double shorter = std::min(a, b), longer = std::max(a, b);
  if (turn > kCornerTurn || shorter * turn > kCornerReach) return Joint::corner;
  if (longer > kLongSegment && longer > kLongFactor * shorter) {
    return turn < kSmoothTurn ? Joint::end_of_straight : Joint::corner;
  }
  return Joint::smooth;
}

}  // namespace

Contour refit(const Polyline& polyline, double tolerance) {
  Contour out;
  out.closed = polyline.closed;
  std::vector<Vec> p;
  for (const Vec v : thinned(polyline, tolerance * kThinShare).points) {
    if (p.empty() || distance(p.back(), v) > tolerance * kGatherShare) p.push_back(v);
  }
  if (!p.empty() && !polyline.closed) p.back() = polyline.points.back();
  if (p.empty()) return out;
  const bool closed = polyline.closed && p.size() > 2;
  if (closed && distance(p.front(), p.back()) <= tolerance * kGatherShare) p.pop_back();
  const std::size_t n = p.size();
  if (n < 3) {
    out.start = p.front();
    for (std::size_t i = 1; i < n; ++i) out.segments.push_back(Segment::line(p[i]));
    if (polyline.closed) out.segments.push_back(Segment::line(p.front()));
    return out;
  }
  std::vector<Joint> joints(n, Joint::corner);
  for (std::size_t i = 0; i < n; ++i) {
    if (!closed && (i == 0 || i + 1 == n)) continue;
    joints[i] = joint_at(p[(i + n - 1) % n], p[i], p[(i + 1) % n]);
  }
  // A closed polyline starts at a break where it has one, and is broken smoothly anywhere else.
  std::size_t first = 0;
  if (closed) {
    while (first < n && joints[first] != Joint::corner) ++first;
    if (first == n)
      first =
          static_cast<std::size_t>(std::find(joints.begin(), joints.end(), Joint::end_of_straight) - joints.begin());
    if (first == n) first = 0;
    std::rotate(p.begin(), p.begin() + static_cast<std::ptrdiff_t>(first), p.end());
    std::rotate(joints.begin(), joints.begin() + static_cast<std::ptrdiff_t>(first), joints.end());
    p.push_back(p.front());
    joints.push_back(joints.front());
  }
  const std::size_t last = p.size() - 1;
  auto smooth_tangent = [&](std::size_t i) {
    const Vec before = i > 0 ? p[i - 1] : p[last - 1], after = i < last ? p[i + 1] : p[1];
    const Vec a = p[i] - before, b = after - p[i];
    return unit(unit(a) * norm(b) + unit(b) * norm(a));
  };
  // Into a run that leaves a vertex with the chord `along`: the straight neighbour's direction, the smooth tangent, or
  // at a corner that of the circle through the run's first three points.
  auto run_tangent = [&](std::size_t at, Vec chord, Vec next, Vec neighbour) {
    if (joints[at] == Joint::end_of_straight) return unit(neighbour);
    if (joints[at] == Joint::smooth) return smooth_tangent(at);
    const double la = norm(chord), lb = norm(next);
    const double turn = std::atan2(cross(chord, next), dot(chord, next)) * la / std::max(la + lb, 1e-12);
    const Vec u = unit(chord);
    return Vec{u.x * std::cos(-turn) - u.y * std::sin(-turn), u.x * std::sin(-turn) + u.y * std::cos(-turn)};
  };
  out.start = p.front();
  std::size_t from = 0;
  while (from < last) {
    std::size_t to = from + 1;
    while (to < last && joints[to] == Joint::smooth) ++to;
    const std::vector<Vec> run(p.begin() + static_cast<std::ptrdiff_t>(from),
                               p.begin() + static_cast<std::ptrdiff_t>(to) + 1);
    if (run.size() == 2) {
      out.segments.push_back(Segment::line(run.back()));
    } else {
      const std::size_t k = run.size();
      const Vec before = from > 0 ? p[from] - p[from - 1] : p[0] - p[last - 1];
      const Vec after = to < last ? p[to] - p[to + 1] : p[last] - p[1];
      const bool whole = closed && from == 0 && to == last && joints[0] == Joint::smooth;
      const Vec t1 = whole ? smooth_tangent(0) : run_tangent(from, run[1] - run[0], run[2] - run[1], before);
      const Vec t2 = whole ? smooth_tangent(0) * -1
                     : joints[to] == Joint::smooth
                         ? smooth_tangent(to) * -1
                         : run_tangent(to, run[k - 2] - run[k - 1], run[k - 3] - run[k - 2], after);
      fit_run(out.segments, run, t1, t2, tolerance);
    }
    from = to;
  }
  if (closed) out.segments.back().end = out.start;
  return out;
}

Path refit(const Region& region, double tolerance) {
  Path out;
  out.contours.resize(region.rings.size());
  for_each_index(region.rings.size(), 16,
                 [&](std::size_t i) { out.contours[i] = refit(as_polyline(region.rings[i]), tolerance); });
  std::erase_if(out.contours, [](const Contour& c) { return c.segments.empty(); });
  return out;
}

}  // namespace dotlane
