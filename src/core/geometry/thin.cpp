#include "core/geometry/region.hpp"

namespace dotlane {
namespace {

// Douglas and Peucker on points[from..to], marking what stays.
void keep_far(const std::vector<Vec>& points, std::size_t from, std::size_t to, double tolerance,
              std::vector<bool>& keep) {
  std::vector<std::pair<std::size_t, std::size_t>> todo{{from, to}};
  while (!todo.empty()) {
    const auto [a, b] = todo.back();
    todo.pop_back();
    if (b <= a + 1) continue;
    double worst = -1;
    std::size_t at = a;
    for (std::size_t i = a + 1; i < b; ++i) {
      const Vec off = points[i] - nearest_on(points[a], points[b], points[i]);
      const double far = dot(off, off);
      // Of equals the one nearest the middle, or a fine saw would be split off tooth by tooth.
      const bool equal = far > worst * (1 - 1e-6) && far >= worst - 1e-15;
      const auto off_middle = [ends = a + b](std::size_t k) { return k + k > ends ? k + k - ends : ends - k - k; };
      if (far > worst * (1 + 1e-6) || (equal && off_middle(i) < off_middle(at))) worst = std::max(far, worst), at = i;
    }
    if (worst <= tolerance * tolerance) continue;
    keep[at] = true;
    todo.push_back({a, at});
    todo.push_back({at, b});
  }
}

std::vector<Vec> kept(const std::vector<Vec>& points, const std::vector<bool>& keep) {
  std::vector<Vec> out;
  for (std::size_t i = 0; i < points.size(); ++i) {
    if (keep[i]) out.push_back(points[i]);
  }
  return out;
}

}  // namespace

Ring thinned(const Ring& ring, double tolerance) {
  if (ring.size() < 4) return ring;
  // Two anchors that no tolerance can bring together: the first point and the one farthest from it.
  std::size_t far = 0;
  for (std::size_t i = 1; i < ring.size(); ++i) {
    if (distance(ring[i], ring[0]) > distance(ring[far], ring[0])) far = i;
  }
  std::vector<Vec> points = ring;
  points.push_back(ring.front());
  std::vector<bool> keep(points.size(), false);
  keep[0] = keep[far] = true;
  keep_far(points, 0, far, tolerance, keep);
  keep_far(points, far, ring.size(), tolerance, keep);
  return kept(points, keep);
}

Polyline thinned(const Polyline& polyline, double tolerance) {
  if (polyline.closed && polyline.points.size() > 4) {
    return as_polyline(thinned(Ring(polyline.points.begin(), polyline.points.end() - 1), tolerance));
  }
  if (polyline.points.size() < 3) return polyline;
  std::vector<bool> keep(polyline.points.size(), false);
  keep.front() = keep.back() = true;
  keep_far(polyline.points, 0, polyline.points.size() - 1, tolerance, keep);
  return {kept(polyline.points, keep), polyline.closed};
}

}  // namespace dotlane
