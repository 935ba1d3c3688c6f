#include "core/geometry/convex_hull.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace dotlane {
namespace {

/// A corner of the hull that lies furthest in a direction, followed while the direction turns on.
class Support {
 public:
  Support(const Ring& hull, Vec direction) : hull_(hull) {
    for (std::size_t i = 1; i < hull.size(); ++i) {
      if (dot(hull[i], direction) > dot(hull[at_], direction)) at_ = i;
    }
  }
  [[nodiscard]] Vec turned_to(Vec direction) {
    for (std::size_t steps = 0; steps < hull_.size(); ++steps) {
      const std::size_t next = (at_ + 1) % hull_.size();
      if (dot(hull_[next], direction) <= dot(hull_[at_], direction)) break;
      at_ = next;
    }
    return hull_[at_];
  }

 private:
  const Ring& hull_;
  std::size_t at_ = 0;
};

}  // namespace

Ring convex_hull(std::vector<Vec> points) {
  std::sort(points.begin(), points.end(), [](Vec a, Vec b) { return a.x != b.x ? a.x < b.x : a.y < b.y; });
  points.erase(std::unique(points.begin(), points.end()), points.end());
  if (points.size() < 3) return points;
  Ring hull;
  for (const bool back : {false, true}) {
    const std::size_t start = hull.size();
    for (std::size_t i = 0; i < points.size(); ++i) {
      const Vec p = back ? points[points.size() - 1 - i] : points[i];
      while (hull.size() >= start + 2 && cross(hull.back() - hull[hull.size() - 2], p - hull.back()) <= 0)
        hull.pop_back();
      hull.push_back(p);
    }
    hull.pop_back();
  }
  return hull;
}

double scale_in_box(const Ring& hull, double width, double height, double turn) {
  Box box;
  const double a = turn * std::numbers::pi / 180;
  const Vec along{std::cos(a), std::sin(a)}, across{-along.y, along.x};
  for (const Vec p : hull) box.add(Vec{dot(p, along), dot(p, across)});
  const double share = std::max(box.width() / width, box.height() / height);
  return hull.empty() || share <= 0 ? std::numeric_limits<double>::infinity() : 1 / share;
}

BoxFit largest_in_box(const Ring& hull, double width, double height) {
  BoxFit best{scale_in_box(hull, width, height, 0), 0};
  if (hull.size() < 2) return best;
  // Where corners change: an edge lies along or across.
  std::vector<double> changes{0};
  for (std::size_t i = 0; i < hull.size(); ++i) {
    const Vec edge = hull[(i + 1) % hull.size()] - hull[i];
    const double a = std::fmod(std::atan2(edge.y, edge.x) + 2 * std::numbers::pi, std::numbers::pi / 2);
    changes.push_back(a), changes.push_back(a + std::numbers::pi / 2);
  }
  std::sort(changes.begin(), changes.end());
  changes.push_back(std::numbers::pi);
  const auto try_turn = [&](double a, Vec wide, Vec high) {
    const Vec along{std::cos(a), std::sin(a)}, across{-along.y, along.x};
    const double share = std::max(dot(wide, along) / width, dot(high, across) / height);
    if (share > 0 && 1 / share > best.scale) best = {1 / share, a * 180 / std::numbers::pi};
  };
  Support right(hull, {1, 0}), left(hull, {-1, 0}), below(hull, {0, 1}), above(hull, {0, -1});
  for (std::size_t k = 0; k + 1 < changes.size(); ++k) {
    const double from = changes[k], to = changes[k + 1], middle = (from + to) / 2;
    const Vec along{std::cos(middle), std::sin(middle)}, across{-along.y, along.x};
    const Vec wide = right.turned_to(along) - left.turned_to(along * -1),
              high = below.turned_to(across) - above.turned_to(across * -1);
    try_turn(from, wide, high);
    // wide . along / width = high . across / height
    const double c = wide.x / width - high.y / height, s = wide.y / width + high.x / height;
    for (double a = std::atan2(-c, s); a < std::numbers::pi; a += std::numbers::pi) {
      if (a > from && a < to) try_turn(a, wide, high);
    }
  }
  if (best.turn >= 180) best.turn -= 180;
  return best;
}

BoxFit largest_in_any(const Ring& hull, const std::vector<Vec>& boxes, const std::vector<double>& turns, double slack) {
  BoxFit best;
  for (const Vec box : boxes) {
    const double w = box.x + slack, h = box.y + slack;
    BoxFit fit;
    if (turns.empty()) fit = largest_in_box(hull, w, h);
    for (const double turn : turns) {
      if (const double scale = scale_in_box(hull, w, h, turn); scale > fit.scale) fit = {scale, turn};
    }
    if (fit.scale > best.scale) best = fit;
  }
  return best;
}

Ring hull_of(const Region& region) {
  std::vector<Vec> points;
  for (const auto& ring : region.rings) points.insert(points.end(), ring.begin(), ring.end());
  return convex_hull(std::move(points));
}

}  // namespace dotlane
