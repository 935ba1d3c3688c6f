#include "core/geometry/flatten.hpp"

namespace dotlane {

Polyline flatten(const Contour& contour, double tolerance) {
  Polyline out;
  out.closed = contour.closed;
  out.points.reserve(contour.segments.size() + 1);
  out.points.push_back(contour.start);
  Vec a = contour.start;
  for (const auto& s : contour.segments) {
    if (!s.straight) {
      const double bend = std::max(norm(a - s.c1 * 2 + s.c2), norm(s.c1 - s.c2 * 2 + s.end));
      const int n = std::clamp(static_cast<int>(std::ceil(std::sqrt(0.75 * bend / tolerance))), 1, 10000);
      for (int i = 1; i < n; ++i) {
        const double t = static_cast<double>(i) / n, u = 1 - t;
        out.points.push_back(a * (u * u * u) + s.c1 * (3 * u * u * t) + s.c2 * (3 * u * t * t) + s.end * (t * t * t));
      }
    }
    if (!(out.points.back() == s.end)) out.points.push_back(s.end);
    a = s.end;
  }
  return out;
}

Polyline transformed(const Polyline& line, const Affine& map) {
  Polyline out;
  out.closed = line.closed;
  out.points.reserve(line.points.size());
  for (const Vec p : line.points) out.points.push_back(map(p));
  return out;
}

double length_of(const Polyline& line) {
  double total = 0;
  for (std::size_t i = 1; i < line.points.size(); ++i) total += distance(line.points[i - 1], line.points[i]);
  return total;
}

double signed_area_of(const Polyline& ring) {
  double twice = 0;
  if (ring.points.empty()) return 0;
  const Vec o = ring.points.front();  // near the ring, so that far-off rings keep their digits
  for (std::size_t i = 1; i < ring.points.size(); ++i) twice += cross(ring.points[i - 1] - o, ring.points[i] - o);
  return twice / 2;
}

bool encloses(const Polyline& ring, Vec p) {
  bool inside = false;
  for (std::size_t i = 1; i < ring.points.size(); ++i) {
    const Vec a = ring.points[i - 1], b = ring.points[i];
    if ((a.y > p.y) != (b.y > p.y) && p.x < a.x + (b.x - a.x) * (p.y - a.y) / (b.y - a.y)) inside = !inside;
  }
  return inside;
}

double distance_to(const Polyline& line, Vec p) {
  double best = std::numeric_limits<double>::infinity();
  for (std::size_t i = 0; i < line.points.size(); ++i) {
    const Vec b = line.points[i];
    if (i == 0) {
      best = distance(b, p);
      continue;
    }
    best = std::min(best, distance(p, nearest_on(line.points[i - 1], b, p)));
  }
  return best;
}

}  // namespace dotlane
