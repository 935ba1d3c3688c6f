#include "core/plan/order.hpp"

#include <algorithm>

namespace dotlane {
namespace {

/// Square cells over the bounds of the input, about one item to a cell.
class Buckets {
 public:
  Buckets(const Box& bounds, std::size_t items) : bounds_(bounds) {
    const double side = std::sqrt(std::max(1.0, static_cast<double>(items)));
    cell_ = std::max({bounds.width(), bounds.height(), 1e-6}) / side;
    columns_ = static_cast<int>(bounds.width() / cell_) + 1;
    rows_ = static_cast<int>(bounds.height() / cell_) + 1;
    cells_.resize(static_cast<std::size_t>(columns_) * static_cast<std::size_t>(rows_));
  }
  [[nodiscard]] int column(double x) const {
    return std::clamp(static_cast<int>((x - bounds_.x0) / cell_), 0, columns_ - 1);
  }
  [[nodiscard]] int row(double y) const { return std::clamp(static_cast<int>((y - bounds_.y0) / cell_), 0, rows_ - 1); }
  [[nodiscard]] int columns() const { return columns_; }
  [[nodiscard]] int rows() const { return rows_; }
  [[nodiscard]] double cell() const { return cell_; }
  std::vector<int>& at(int c, int r) {
    return cells_[static_cast<std::size_t>(r) * static_cast<std::size_t>(columns_) + static_cast<std::size_t>(c)];
  }

 private:
  Box bounds_;
  double cell_ = 1;
  int columns_ = 1, rows_ = 1;
  std::vector<std::vector<int>> cells_;
};

Box bounds_of(const Polyline& polyline) {
  Box box;
  for (const Vec p : polyline.points) box.add(p);
  return box;
}

/// A place where a polyline can begin: either end of an open one, some of the nodes of a closed one.
struct Entry {
  Vec at;
  std::size_t polyline;
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

std::vector<int> containers_of(const std::vector<Polyline>& polylines) {
  std::vector<int> parent(polylines.size(), -1);
  std::vector<Box> boxes;
  std::vector<int> closed;
  Box all;
  for (std::size_t i = 0; i < polylines.size(); ++i) {
    boxes.push_back(bounds_of(polylines[i]));
    all.add(boxes.back());
    if (polylines[i].closed) closed.push_back(static_cast<int>(i));
  }
  if (closed.empty() || all.empty()) return parent;
  std::vector<double> area(polylines.size());
  for (const int i : closed)
    area[static_cast<std::size_t>(i)] = std::abs(signed_area_of(polylines[static_cast<std::size_t>(i)]));
  std::sort(closed.begin(), closed.end(), [&](int a, int b) {
    const double x = area[static_cast<std::size_t>(a)], y = area[static_cast<std::size_t>(b)];
    return x != y ? x < y : a < b;
  });
  // Each cell lists the closed polylines whose box reaches it, smallest first.
  Buckets buckets(all, polylines.size());
  for (const int i : closed) {
    const Box& b = boxes[static_cast<std::size_t>(i)];
    for (int r = buckets.row(b.y0); r <= buckets.row(b.y1); ++r) {
      for (int c = buckets.column(b.x0); c <= buckets.column(b.x1); ++c) buckets.at(c, r).push_back(i);
    }
  }
  for (std::size_t i = 0; i < polylines.size(); ++i) {
    if (polylines[i].points.empty()) continue;
    const Vec p = polylines[i].points.front();
    for (const int j : buckets.at(buckets.column(p.x), buckets.row(p.y))) {
      const auto outer = static_cast<std::size_t>(j);
      if (outer == i || !boxes[outer].contains(boxes[i])) continue;
      if (polylines[i].closed && (area[outer] < area[i] || (area[outer] == area[i] && outer < i))) continue;
      if (encloses(polylines[outer], p)) {
        parent[i] = j;
        break;
      }
    }
  }
  return parent;
}

std::vector<OrderedStroke> order_strokes(const std::vector<Polyline>& polylines, Vec start, bool inner_first) {
  constexpr std::size_t kEntriesOfClosed = 8;
  std::vector<int> parent(polylines.size(), -1);
  if (inner_first) parent = containers_of(polylines);
  std::vector<int> waiting(polylines.size(), 0);
  for (const int p : parent) {
    if (p >= 0) ++waiting[static_cast<std::size_t>(p)];
  }
  std::vector<Entry> entries;
  std::vector<std::pair<std::size_t, std::size_t>> range(polylines.size());
  Box bounds;
  bounds.add(start);
  for (std::size_t i = 0; i < polylines.size(); ++i) {
    const auto& points = polylines[i].points;
    const std::size_t first = entries.size();
    if (polylines[i].closed) {
      const std::size_t nodes = points.size() - 1, n = std::min(nodes, kEntriesOfClosed);
      for (std::size_t k = 0; k < n; ++k) entries.push_back({points[k * nodes / n], i, k * nodes / n});
    } else if (!points.empty()) {
      entries.push_back({points.front(), i, 0});
      if (points.size() > 1) entries.push_back({points.back(), i, points.size() - 1});
    }
    range[i] = {first, entries.size() - first};
  }
  for (const auto& e : entries) bounds.add(e.at);
  NearestEntries near(bounds, std::move(entries));
  for (std::size_t i = 0; i < polylines.size(); ++i) {
    if (waiting[i] == 0) near.open(range[i].first, range[i].second);
  }
  std::vector<OrderedStroke> out;
  out.reserve(polylines.size());
  for (Vec at = start;;) {
    const int found = near.nearest(at);
    if (found < 0) break;
    const Entry e = near.entry(found);
    const auto& polyline = polylines[e.polyline];
    OrderedStroke stroke{e.polyline, false, 0};
    if (polyline.closed) {
      stroke.first_point = e.point;
      at = e.at;
    } else {
      stroke.reversed = e.point != 0;
      at = stroke.reversed ? polyline.points.front() : polyline.points.back();
    }
    out.push_back(stroke);
    near.close(range[e.polyline].first, range[e.polyline].second);
    const int p = parent[e.polyline];
    if (p >= 0 && --waiting[static_cast<std::size_t>(p)] == 0) {
      const auto& freed = range[static_cast<std::size_t>(p)];
      near.open(freed.first, freed.second);
    }
  }
  return out;
}

std::vector<Vec> points_of(const Polyline& polyline, const OrderedStroke& stroke) {
  std::vector<Vec> points = polyline.points;
  if (stroke.reversed) std::reverse(points.begin(), points.end());
  if (polyline.closed && stroke.first_point > 0) {
    points.pop_back();
    std::rotate(points.begin(), points.begin() + static_cast<std::ptrdiff_t>(stroke.first_point), points.end());
    points.push_back(points.front());
  }
  return points;
}

}  // namespace dotlane
