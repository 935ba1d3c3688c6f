#include "core/geometry/nurbs.hpp"

#include <algorithm>
#include <cmath>

namespace dotlane {
namespace {

/// A control point in the projective plane.
struct Weighted {
  double x = 0, y = 0, w = 1;
  [[nodiscard]] Vec point() const { return {x / w, y / w}; }
};

Weighted between(const Weighted& a, const Weighted& b, double t) {
  return {a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t, a.w + (b.w - a.w) * t};
}

bool sound(const Nurbs& curve) {
  const auto n = curve.control.size();
  constexpr int kHighest = 25;
  if (curve.degree < 1 || curve.degree > kHighest || n < static_cast<std::size_t>(curve.degree) + 1) return false;
  if (curve.knots.size() != n + static_cast<std::size_t>(curve.degree) + 1) return false;
  if (!std::is_sorted(curve.knots.begin(), curve.knots.end())) return false;
  if (!curve.weights.empty() && curve.weights.size() != n) return false;
  if (std::any_of(curve.weights.begin(), curve.weights.end(), [](double w) { return !(w > 0); })) return false;
  if (!std::all_of(curve.control.begin(), curve.control.end(), [](Vec p) { return is_finite(p); })) return false;
  const auto p = static_cast<std::size_t>(curve.degree);
  // A knot inside that stands more often than the degree would tear it apart.
  for (std::size_t i = p + 1; i + p < n; ++i) {
    if (curve.knots[i] > curve.knots[p] && curve.knots[i + p] == curve.knots[i] && curve.knots[i] < curve.knots[n])
      return false;
  }
  return curve.knots[n] > curve.knots[p];
}

std::vector<Weighted> weighted(const Nurbs& curve) {
  std::vector<Weighted> out;
  for (std::size_t i = 0; i < curve.control.size(); ++i) {
    const double w = curve.weights.empty() ? 1 : curve.weights[i];
    out.push_back({curve.control[i].x * w, curve.control[i].y * w, w});
  }
  return out;
}

/// The span of knots in which t lies.
std::size_t span_of(const Nurbs& curve, double t) {
  const auto p = static_cast<std::size_t>(curve.degree), n = curve.control.size();
  std::size_t k = p;
  while (k + 1 < n && curve.knots[k + 1] <= t) ++k;
  return k;
}

bool all_alike(const std::vector<double>& weights) {
  return std::all_of(weights.begin(), weights.end(), [&](double w) { return std::abs(w - weights.front()) < 1e-12; });
}

/// Knots inserted until each inside the domain stands `degree` times: control points of one Bézier curve after the
/// other.
std::vector<Vec> bezier_points(const Nurbs& curve) {
  const auto p = static_cast<std::size_t>(curve.degree);
  std::vector<double> knots = curve.knots;
  std::vector<Vec> control = curve.control;
  const double from = knots[p], to = knots[control.size()];
  const auto insert = [&](double t) {
    std::size_t k = p;
    while (k + 1 < control.size() && knots[k + 1] <= t) ++k;
    std::vector<Vec> now;
    for (std::size_t i = 0; i <= control.size(); ++i) {
      if (i + p <= k) {
        now.push_back(control[i]);
      } else if (i > k) {
        now.push_back(control[i - 1]);
      } else {
        const double span = knots[i + p] - knots[i];
        const double share = span > 0 ? (t - knots[i]) / span : 0;
        now.push_back(lerp(control[i - 1], control[i], share));
      }
    }
    control = std::move(now);
    knots.insert(knots.begin() + static_cast<std::ptrdiff_t>(k) + 1, t);
  };
  std::vector<double> wanted;
  for (const double t : curve.knots) {
    if (t >= from && t <= to && (wanted.empty() || t != wanted.back())) wanted.push_back(t);
  }
  for (const double t : wanted) {
    const auto times = static_cast<std::size_t>(std::count(knots.begin(), knots.end(), t));
    for (std::size_t i = times; i < p; ++i) insert(t);
  }
  // What lies before the domain and after it is left out.
  const auto first =
      static_cast<std::size_t>(std::upper_bound(knots.begin(), knots.end(), from) - knots.begin()) - p - 1;
  const std::size_t count = (wanted.size() - 1) * p + 1;
  std::vector<Vec> out;
  for (std::size_t i = 0; i < count && first + i < control.size(); ++i) out.push_back(control[first + i]);
  return out;
}

/// Where the curve is and where it goes, as the span of knots says that begins at `k`, its end included.
struct Moving {
  Vec at, towards;  ///< towards: by the parameter
};
Moving moving(const Nurbs& curve, const std::vector<Weighted>& control, double t, std::size_t k) {
  const auto p = static_cast<std::size_t>(curve.degree);
  std::vector<Weighted> d;
  for (std::size_t j = 0; j <= p; ++j) d.push_back(control[j + k - p]);
  Weighted before = d[0];
  for (std::size_t r = 1; r <= p; ++r) {
    if (r == p) before = d[p - 1];
    for (std::size_t j = p; j >= r; --j) {
      const double low = curve.knots[j + k - p], high = curve.knots[j + 1 + k - r];
      if (r == p) {
        // The last step runs along the tangent.
        const Weighted end = d[p];
        const Weighted at = between(before, end, (t - low) / (high - low));
        const double by = static_cast<double>(p) / (high - low), dw = (end.w - before.w) * by;
        const Vec point = at.point();
        return {point,
                Vec{(end.x - before.x) * by - point.x * dw, (end.y - before.y) * by - point.y * dw} * (1 / at.w)};
      }
      d[j] = between(d[j - 1], d[j], high > low ? (t - low) / (high - low) : 0);
    }
  }
  return {d[p].point(), {}};
}

/// Cubics that leave and arrive as the curve does, halved until they are nowhere farther off than that.
void follow(const Nurbs& curve, const std::vector<Weighted>& control, std::size_t k, double from, double to,
            double tolerance, int depth, std::vector<Segment>& out) {
  const Moving a = moving(curve, control, from, k), b = moving(curve, control, to, k);
  const double third = (to - from) / 3;
  const Segment cubic = Segment::cubic(a.at + a.towards * third, b.at - b.towards * third, b.at);
  constexpr int kDeepest = 16, kLooks = 7;
  bool near = true;
  for (int i = 1; i <= kLooks && near && depth < kDeepest; ++i) {
    const double share = static_cast<double>(i) / (kLooks + 1);
    near =
        distance(point_at(a.at, cubic, share), moving(curve, control, from + (to - from) * share, k).at) <= tolerance;
  }
  if (near) {
    out.push_back(cubic);
    return;
  }
  const double middle = (from + to) / 2;
  follow(curve, control, k, from, middle, tolerance, depth + 1, out);
  follow(curve, control, k, middle, to, tolerance, depth + 1, out);
}

}  // namespace

Vec point_of(const Nurbs& curve, double t) { return moving(curve, weighted(curve), t, span_of(curve, t)).at; }

std::optional<Contour> course_of(const Nurbs& curve, double tolerance) {
  if (!sound(curve)) return std::nullopt;
  Contour out;
  if (curve.degree <= 3 && (curve.weights.empty() || all_alike(curve.weights))) {
    const auto points = bezier_points(curve);
    const auto p = static_cast<std::size_t>(curve.degree);
    if (points.size() < p + 1) return std::nullopt;
    out.start = points.front();
    for (std::size_t i = 0; i + p < points.size(); i += p) {
      const Vec a = points[i], end = points[i + p];
      if (p == 1) {
        out.segments.push_back(Segment::line(end));
      } else if (p == 2) {
        out.segments.push_back(Segment::cubic(lerp(a, points[i + 1], 2.0 / 3), lerp(end, points[i + 1], 2.0 / 3), end));
      } else {
        out.segments.push_back(Segment::cubic(points[i + 1], points[i + 2], end));
      }
    }
    return out;
  }
  const std::vector<Weighted> control = weighted(curve);
  const auto p = static_cast<std::size_t>(curve.degree);
  for (std::size_t k = p; k < curve.control.size(); ++k) {
    if (!(curve.knots[k + 1] > curve.knots[k])) continue;
    if (out.segments.empty()) out.start = moving(curve, control, curve.knots[k], k).at;
    follow(curve, control, k, curve.knots[k], curve.knots[k + 1], tolerance, 0, out.segments);
  }
  const bool finite = std::all_of(out.segments.begin(), out.segments.end(), [](const Segment& s) {
    return is_finite(s.c1) && is_finite(s.c2) && is_finite(s.end);
  });
  return finite && !out.segments.empty() ? std::optional(std::move(out)) : std::nullopt;
}

Contour smooth_through(const std::vector<Vec>& points, bool closed) {
  const std::size_t n = points.size();
  if (n < 3) return straight_through(points, false);
  // Slopes at the points over their distances: continuous curvature makes a system of three diagonals.
  const std::size_t spans = closed ? n : n - 1;
  std::vector<double> h(spans);
  for (std::size_t i = 0; i < spans; ++i) h[i] = std::max(1e-9, distance(points[i], points[(i + 1) % n]));
  std::vector<Vec> slope(n);
  const auto chord = [&](std::size_t i) { return (points[(i + 1) % n] - points[i]) * (1 / h[i]); };
  // Relaxed until nothing moves: the system is diagonally dominant, so that this always ends.
  for (std::size_t i = 0; i < n; ++i) slope[i] = chord(std::min(i, spans - 1));
  constexpr int kRounds = 200;
  for (int round = 0; round < kRounds; ++round) {
    double moved = 0;
    for (std::size_t i = 0; i < n; ++i) {
      Vec next;
      if (!closed && i == 0) {
        next = (chord(0) * 3 - slope[1]) * 0.5;
      } else if (!closed && i == n - 1) {
        next = (chord(n - 2) * 3 - slope[n - 2]) * 0.5;
      } else {
        const std::size_t before = (i + n - 1) % n, after = (i + 1) % n;
        const double a = 1 / h[before], b = 1 / h[i];
        next = (chord(before) * (3 * a) + chord(i) * (3 * b) - slope[before] * a - slope[after] * b) * (0.5 / (a + b));
      }
      moved = std::max(moved, distance(next, slope[i]));
      slope[i] = next;
    }
    if (moved < 1e-10) break;
  }
  Contour out{points.front(), {}, closed};
  for (std::size_t i = 0; i < spans; ++i) {
    const Vec a = points[i], b = points[(i + 1) % n];
    out.segments.push_back(Segment::cubic(a + slope[i] * (h[i] / 3), b - slope[(i + 1) % n] * (h[i] / 3), b));
  }
  return out;
}

}  // namespace dotlane
