#include "core/plan/order.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <optional>

#include "core/geometry/buckets.hpp"
#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

Box bounds_of(const Course& course) {
  Box box;
  for (const Vec p : course.polyline->points) box.add(course.map(p));
  return box;
}

/// A place where a closed course can begin: a point, or so far on the way to the next one.
struct Entry {
  std::size_t point = 0;
  double along = 0;
};

Vec place_of(const std::vector<Vec>& points, const Entry& entry) {
  return entry.along > 0 ? lerp(points[entry.point], points[entry.point + 1], entry.along) : points[entry.point];
}

/// A closed course, by how far one has gone around it.
class Loop {
 public:
  Loop(const Course& course, bool off_corners) : points_(transformed(*course.polyline, course.map).points) {
    constexpr double kSharp = 0.866;  // the cosine of a turn of 30 degrees
    far_.reserve(points_.size());
    far_.push_back(0);
    for (std::size_t i = 0; i + 1 < points_.size(); ++i)
      far_.push_back(far_.back() + distance(points_[i], points_[i + 1]));
    const std::size_t n = points_.size() - 1;
    for (std::size_t i = 0; off_corners && round() > 0 && i < n; ++i) {
      const Vec u = points_[i] - points_[i == 0 ? n - 1 : i - 1], v = points_[i + 1] - points_[i];
      const double both = dot(u, u) * dot(v, v), turn = dot(u, v);
      if (both > 0 && (turn < 0 || turn * turn < kSharp * kSharp * both)) corners_.push_back(far_[i]);
    }
  }
  [[nodiscard]] double round() const { return far_.back(); }
  /// The nearest place to begin at: with corners to keep clear of, a millimetre off them, as far as sides are that
  /// long.
  [[nodiscard]] double allowed(double s) const {
    constexpr double kClear = 1.0;
    if (corners_.empty()) return s;
    const auto after = std::upper_bound(corners_.begin(), corners_.end(), s);
    const double from = after == corners_.begin() ? corners_.back() - round() : *(after - 1);
    const double to = after == corners_.end() ? corners_.front() + round() : *after;
    const double clear = std::min(kClear, (to - from) / 4);
    s = std::clamp(s, from + clear, to - clear);
    return s < 0 ? s + round() : s >= round() ? s - round() : s;
  }
  [[nodiscard]] Entry entry(double s) const {
    constexpr double kSame = 0.01;  // mm
    const std::size_t n = points_.size() - 1;
    if (n == 0 || round() <= 0) return {};
    const auto i =
        std::min(n - 1, static_cast<std::size_t>(std::upper_bound(far_.begin(), far_.end(), s) - far_.begin()) - 1);
    if (s - far_[i] < kSame) return {i, 0};
    if (far_[i + 1] - s < kSame) return {i + 1 == n ? 0 : i + 1, 0};
    return {i, (s - far_[i]) / (far_[i + 1] - far_[i])};
  }
  [[nodiscard]] Vec at(const Entry& entry) const { return place_of(points_, entry); }
  /// So many places evenly around, or fewer.
  [[nodiscard]] std::vector<Entry> entries(std::size_t many) const {
    std::vector<Entry> out;
    for (std::size_t k = 0; k < many; ++k) {
      const Entry e = entry(allowed(static_cast<double>(k) / static_cast<double>(many) * round()));
      if (std::none_of(out.begin(), out.end(),
                       [&](const Entry& o) { return o.point == e.point && o.along == e.along; }))
        out.push_back(e);
    }
    return out;
  }
  /// The place with the least to both, of all points and of where a side comes nearest to `a`, to `b` and to their
  /// middle: on any side where there are few, else on those beside the best point.
  template <class Cost>
  [[nodiscard]] Entry best(Vec a, Vec b, const Cost& cost) const {
    constexpr std::size_t kFew = 16;
    const std::size_t n = points_.size() - 1;
    Entry out;
    double least = std::numeric_limits<double>::infinity();
    const auto consider = [&](const Entry& e) {
      const double c = cost(a, at(e)) + cost(at(e), b);
      if (c < least - 1e-12) least = c, out = e;
    };
    const auto consider_side = [&](std::size_t i) {
      const Vec side = points_[i + 1] - points_[i];
      const double length2 = dot(side, side);
      if (length2 <= 0) return;
      for (const Vec p : {a, b, lerp(a, b, 0.5)}) {
        const double share = std::clamp(dot(p - points_[i], side) / length2, 0.0, 1.0);
        // On this side of a corner.
        consider(entry(allowed(std::min(far_[i] + share * std::sqrt(length2), far_[i + 1] - 1e-9))));
      }
    };
    for (std::size_t i = 0; i < n; ++i) consider(corners_.empty() ? Entry{i, 0} : entry(allowed(far_[i])));
    const std::size_t near = out.point;
    for (std::size_t i = 0; i < n && n <= kFew; ++i) consider_side(i);
    if (n > kFew) consider_side(near), consider_side(near == 0 ? n - 1 : near - 1);
    return out;
  }

 private:
  std::vector<Vec> points_;
  std::vector<double> far_;      // of each point, from the first
  std::vector<double> corners_;  // likewise
};

}  // namespace

std::vector<Course> courses_of(const std::vector<Polyline>& polylines) {
  std::vector<Course> out;
  out.reserve(polylines.size());
  for (const auto& polyline : polylines)
    out.push_back({std::shared_ptr<const Polyline>(std::shared_ptr<const void>(), &polyline), {}});
  return out;
}

std::vector<int> containers_of(const std::vector<Course>& courses) {
  std::vector<int> parent(courses.size(), -1);
  std::vector<Box> boxes;
  std::vector<int> closed;
  Box all;
  for (std::size_t i = 0; i < courses.size(); ++i) {
    boxes.push_back(bounds_of(courses[i]));
    all.add(boxes.back());
    if (courses[i].polyline->closed) closed.push_back(static_cast<int>(i));
  }
  if (closed.empty() || all.empty()) return parent;
  std::vector<double> area(courses.size());
  for (const int i : closed) {
    const Course& course = courses[static_cast<std::size_t>(i)];
    area[static_cast<std::size_t>(i)] = std::abs(signed_area_of(*course.polyline) * course.map.determinant());
  }
  std::sort(closed.begin(), closed.end(), [&](int a, int b) {
    const double x = area[static_cast<std::size_t>(a)], y = area[static_cast<std::size_t>(b)];
    return x != y ? x < y : a < b;
  });
  // Each cell lists the closed polylines whose box reaches it, smallest first.
  Buckets buckets(all, courses.size());
  for (const int i : closed)
    buckets.each(boxes[static_cast<std::size_t>(i)], [&](std::vector<int>& cell) { cell.push_back(i); });
  for (std::size_t i = 0; i < courses.size(); ++i) {
    const Polyline& polyline = *courses[i].polyline;
    if (polyline.points.empty()) continue;
    const Vec p = courses[i].map(polyline.points.front());
    for (const int j : buckets.at(buckets.column(p.x), buckets.row(p.y))) {
      const auto outer = static_cast<std::size_t>(j);
      if (outer == i || !boxes[outer].contains(boxes[i])) continue;
      if (polyline.closed && (area[outer] < area[i] || (area[outer] == area[i] && outer < i))) continue;
      if (encloses(*courses[outer].polyline, courses[outer].map.inverse()(p))) {
        parent[i] = j;
        break;
      }
    }
  }
  return parent;
}

namespace {

/// Each kind in an order of its own: what parts are cut round by comes after all else.
std::vector<OrderedStroke> outlines_last(const std::vector<Course>& courses, Vec start, OrderRules rules) {
  rules.outlines_last = false;
  const auto parent = containers_of(courses);
  std::vector<OrderedStroke> out;
  const std::size_t kicks = rules.effort.kicks;
  for (const bool outlines : {false, true}) {
    std::vector<Course> some;
    std::vector<std::size_t> index;
    for (std::size_t i = 0; i < courses.size(); ++i) {
      if ((courses[i].polyline->closed && parent[i] < 0) != outlines) continue;
      some.push_back(courses[i]);
      index.push_back(i);
    }
    rules.effort.kicks = kicks * some.size() / std::max<std::size_t>(1, courses.size());
    for (OrderedStroke stroke : order_strokes(some, start, rules)) {
      start = points_of(some[stroke.course], stroke).back();
      stroke.course = index[stroke.course];
      out.push_back(stroke);
    }
  }
  return out;
}

}  // namespace

std::vector<OrderedStroke> order_strokes(const std::vector<Course>& courses, Vec start, const OrderRules& rules) {
  if (rules.inner_first && rules.outlines_last) return outlines_last(courses, start, rules);
  TourProblem problem;
  problem.start = start;
  problem.speed = rules.travel.speed_mm_s, problem.accel = rules.travel.accel_mm_s2;
  if (rules.inner_first) problem.before = containers_of(courses);
  constexpr std::size_t kMany = 2000;
  std::vector<std::optional<Loop>> loops(courses.size());
  std::vector<std::vector<Entry>> entries(courses.size());
  for_each_index(courses.size(), kMany, [&](std::size_t i) {
    if (!courses[i].polyline->closed || courses[i].polyline->points.empty()) return;
    entries[i] = loops[i].emplace(courses[i], rules.off_corners).entries(courses.size() > kMany ? 8 : 16);
  });
  std::vector<Vec> at;
  for (std::size_t i = 0; i < courses.size(); ++i) {
    const auto& [polyline, map] = courses[i];
    const auto& points = polyline->points;
    if (points.empty()) {
      problem.stops.add_through(start, start);
    } else if (polyline->closed) {
      at.clear();
      for (const Entry& entry : entries[i]) at.push_back(loops[i]->at(entry));
      problem.stops.add_loop(at);
    } else if (rules.to_and_fro) {
      problem.stops.add_loop({map(points.front()), map(points.back())});
    } else {
      problem.stops.add_through(map(points.front()), map(points.back()));
    }
  }
  const auto tour = quick_tour(problem, rules.effort);
  std::vector<OrderedStroke> out;
  out.reserve(courses.size());
  Vec head = start;
  const TravelCost cost(problem);
  for (std::size_t k = 0; k < tour.size(); ++k) {
    const auto [stop, way] = tour[k];
    if (!loops[stop]) {
      out.push_back({stop, way == 1, 0, 0});
      head = problem.stops.out(stop, way);
      continue;
    }
    // Any point of a loop will do: the best between where the head comes from and where it goes.
    const Loop& loop = *loops[stop];
    const Vec next = k + 1 < tour.size() ? problem.stops.in(tour[k + 1].stop, tour[k + 1].way) : head;
    Entry entry = loop.best(head, next, cost);
    const Entry known = entries[stop][way];
    const auto both = [&](const Entry& e) { return cost(head, loop.at(e)) + cost(loop.at(e), next); };
    if (both(known) <= both(entry)) entry = known;
    out.push_back({stop, false, entry.point, entry.along});
    head = loop.at(entry);
  }
  return out;
}

std::vector<Vec> points_of(const Course& course, const OrderedStroke& stroke) {
  std::vector<Vec> points = transformed(*course.polyline, course.map).points;
  if (stroke.reversed) std::reverse(points.begin(), points.end());
  if (!course.polyline->closed || (stroke.first_point == 0 && stroke.along == 0)) return points;
  const Vec first = place_of(points, {stroke.first_point, stroke.along});
  points.pop_back();
  std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(stroke.first_point), points.end());
  if (stroke.along > 0) {
    points.push_back(points.front());
    points.front() = first;
  }
  points.push_back(first);
  return points;
}

}  // namespace dotlane
