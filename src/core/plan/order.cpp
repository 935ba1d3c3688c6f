#include "core/plan/order.hpp"

#include <algorithm>

#include "core/geometry/buckets.hpp"

namespace dotlane {
namespace {

Box bounds_of(const Course& course) {
  Box box;
  for (const Vec p : course.polyline->points) box.add(course.map(p));
  return box;
}

/// A place where a course can begin: either end of an open one, some of the nodes of a closed one.
struct Entry {
  Vec at;
  std::size_t course;
  std::size_t point;
};

class NearestEntries {
 public:
  NearestEntries(const Box& bounds, std::vector<Entry> entries)
      : entries_(std::move(entries)), buckets_(bounds, entries_.size()) {}
  void open(std::size_t first, std::size_t count) {
    for (std::size_t i = first; i < first + count; ++i) {
      buckets_.at(buckets_.column(entries_[i].at.x), buckets_.row(entries_[i].at.y)).push_back(static_cast<int>(i));
    }
  }
  void close(std::size_t first, std::size_t count) {
    for (std::size_t i = first; i < first + count; ++i) {
      auto& cell = buckets_.at(buckets_.column(entries_[i].at.x), buckets_.row(entries_[i].at.y));
      cell.erase(std::find(cell.begin(), cell.end(), static_cast<int>(i)));
    }
  }
  /// Searches rings of cells outward until no nearer entry can remain.
  [[nodiscard]] int nearest(Vec from) {
    const int c0 = buckets_.column(from.x), r0 = buckets_.row(from.y);
    int best = -1;
    double best_d = std::numeric_limits<double>::infinity();
    const int reach = std::max(buckets_.columns(), buckets_.rows());
    for (int ring = 0; ring <= reach; ++ring) {
      if (best >= 0 && (ring - 1) * buckets_.cell() > best_d) break;
      for (int r = r0 - ring; r <= r0 + ring; ++r) {
        if (r < 0 || r >= buckets_.rows()) continue;
        const int step = r == r0 - ring || r == r0 + ring ? 1 : std::max(1, 2 * ring);
        for (int c = c0 - ring; c <= c0 + ring; c += step) {
          if (c < 0 || c >= buckets_.columns()) continue;
          for (const int i : buckets_.at(c, r)) {
            const double d = distance(from, entries_[static_cast<std::size_t>(i)].at);
            if (d < best_d || (d == best_d && i < best)) best = i, best_d = d;
          }
        }
      }
    }
    return best;
  }
  [[nodiscard]] const Entry& entry(int i) const { return entries_[static_cast<std::size_t>(i)]; }

 private:
  std::vector<Entry> entries_;
  Buckets buckets_;
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

std::vector<OrderedStroke> order_strokes(const std::vector<Course>& courses, Vec start, bool inner_first) {
  constexpr std::size_t kEntriesOfClosed = 8;
  std::vector<int> parent(courses.size(), -1);
  if (inner_first) parent = containers_of(courses);
  std::vector<int> waiting(courses.size(), 0);
  for (const int p : parent) {
    if (p >= 0) ++waiting[static_cast<std::size_t>(p)];
  }
  std::vector<Entry> entries;
  std::vector<std::pair<std::size_t, std::size_t>> range(courses.size());
  Box bounds;
  bounds.add(start);
  for (std::size_t i = 0; i < courses.size(); ++i) {
    const auto& points = courses[i].polyline->points;
    const std::size_t first = entries.size();
    const auto add = [&](std::size_t point) { entries.push_back({courses[i].map(points[point]), i, point}); };
    if (courses[i].polyline->closed) {
      const std::size_t nodes = points.size() - 1, n = std::min(nodes, kEntriesOfClosed);
      for (std::size_t k = 0; k < n; ++k) add(k * nodes / n);
    } else if (!points.empty()) {
      add(0);
      if (points.size() > 1) add(points.size() - 1);
    }
    range[i] = {first, entries.size() - first};
  }
  for (const auto& e : entries) bounds.add(e.at);
  NearestEntries near(bounds, std::move(entries));
  for (std::size_t i = 0; i < courses.size(); ++i) {
    if (waiting[i] == 0) near.open(range[i].first, range[i].second);
  }
  std::vector<OrderedStroke> out;
  out.reserve(courses.size());
  for (Vec at = start;;) {
    const int found = near.nearest(at);
    if (found < 0) break;
    const Entry e = near.entry(found);
    const auto& [polyline, map] = courses[e.course];
    OrderedStroke stroke{e.course, false, 0};
    if (polyline->closed) {
      stroke.first_point = e.point;
      at = e.at;
    } else {
      stroke.reversed = e.point != 0;
      at = map(stroke.reversed ? polyline->points.front() : polyline->points.back());
    }
    out.push_back(stroke);
    near.close(range[e.course].first, range[e.course].second);
    const int p = parent[e.course];
    if (p >= 0 && --waiting[static_cast<std::size_t>(p)] == 0) {
      const auto& freed = range[static_cast<std::size_t>(p)];
      near.open(freed.first, freed.second);
    }
  }
  return out;
}

std::vector<Vec> points_of(const Course& course, const OrderedStroke& stroke) {
  std::vector<Vec> points = transformed(*course.polyline, course.map).points;
  if (stroke.reversed) std::reverse(points.begin(), points.end());
  if (course.polyline->closed && stroke.first_point > 0) {
    points.pop_back();
    std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(stroke.first_point), points.end());
    points.push_back(points.front());
  }
  return points;
}

}  // namespace dotlane
