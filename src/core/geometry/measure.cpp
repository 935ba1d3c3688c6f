#include "core/geometry/measure.hpp"

#include <array>

#include "core/geometry/region.hpp"

namespace dotlane {
namespace {

void add_extrema(Box& box, Vec a, const Segment& s, double Vec::*axis) {
  // Roots of the derivative: A t² + B t + C.
  const double p0 = a.*axis, p1 = s.c1.*axis, p2 = s.c2.*axis, p3 = s.end.*axis;
  const double A = -p0 + 3 * p1 - 3 * p2 + p3, B = 2 * (p0 - 2 * p1 + p2), C = p1 - p0;
  auto take = [&](double t) {
    if (t > 0 && t < 1) box.add(point_at(a, s, t));
  };
  if (std::abs(A) < 1e-12 * (std::abs(B) + std::abs(C))) {
    if (B != 0) take(-C / B);
    return;
  }
  const double disc = B * B - 4 * A * C;
  if (disc < 0) return;
  const double q = -0.5 * (B + std::copysign(std::sqrt(disc), B));
  take(q / A);
  if (q != 0) take(C / q);
}

double speed_integral(Vec a, const Segment& s, double t0, double t1) {
  // 5-point Gauss-Legendre nodes and weights (Abramowitz and Stegun, table 25.4).
  constexpr std::array<double, 5> x{0, 0.5384693101056831, -0.5384693101056831, 0.9061798459386640,
                                    -0.9061798459386640};
  constexpr std::array<double, 5> w{0.5688888888888889, 0.4786286704993665, 0.4786286704993665, 0.2369268850561891,
                                    0.2369268850561891};
  const double mid = (t0 + t1) / 2, half = (t1 - t0) / 2;
  double sum = 0;
  for (std::size_t i = 0; i < x.size(); ++i) {
    const double t = mid + half * x[i], u = 1 - t;
    const Vec d = (s.c1 - a) * (3 * u * u) + (s.c2 - s.c1) * (6 * u * t) + (s.end - s.c2) * (3 * t * t);
    sum += w[i] * norm(d);
  }
  return sum * half;
}

double cubic_length(Vec a, const Segment& s, double t0, double t1, double whole, int depth) {
  const double mid = (t0 + t1) / 2;
  const double left = speed_integral(a, s, t0, mid), right = speed_integral(a, s, mid, t1);
  if (depth == 0 || std::abs(left + right - whole) < 1e-7) return left + right;
  return cubic_length(a, s, t0, mid, left, depth - 1) + cubic_length(a, s, mid, t1, right, depth - 1);
}

}  // namespace

Box bounds_of(const Path& path, const Affine& map) {
  Box box;
  for (const auto& contour : path.contours) {
    Vec at = map(contour.start);
    box.add(at);
    for (const auto& s : contour.segments) {
      const Vec end = map(s.end);
      box.add(end);
      if (!s.straight) {
        Segment there = s;
        there.c1 = map(s.c1), there.c2 = map(s.c2), there.end = end;
        if (!(box.contains(there.c1) && box.contains(there.c2))) {
          add_extrema(box, at, there, &Vec::x);
          add_extrema(box, at, there, &Vec::y);
        }
      }
      at = end;
    }
  }
  return box;
}

double length_of(const Path& path) {
  double total = 0;
  for (const auto& contour : path.contours) {
    Vec at = contour.start;
    for (const auto& s : contour.segments) {
      total += s.straight ? distance(at, s.end) : cubic_length(at, s, 0, 1, speed_integral(at, s, 0, 1), 12);
      at = s.end;
    }
  }
  return total;
}

double enclosed_area_of(const Path& path) {
  constexpr double kFine = 5e-5;
  return area_of(region_of(path, kFine));
}

}  // namespace dotlane
