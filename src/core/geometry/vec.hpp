// Points, boxes and affine maps. Lengths are mm; y points down, as on screen and in SVG.
#pragma once

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace dotlane {

struct Vec {
  double x = 0, y = 0;
  friend Vec operator+(Vec a, Vec b) { return {a.x + b.x, a.y + b.y}; }
  friend Vec operator-(Vec a, Vec b) { return {a.x - b.x, a.y - b.y}; }
  friend Vec operator*(Vec a, double s) { return {a.x * s, a.y * s}; }
  friend bool operator==(const Vec&, const Vec&) = default;
};

inline double dot(Vec a, Vec b) { return a.x * b.x + a.y * b.y; }
inline double cross(Vec a, Vec b) { return a.x * b.y - a.y * b.x; }
/// Without hypot's care for numbers near the ends of the range, which no length in mm comes near, and many times
/// faster.
inline double norm(Vec a) { return std::sqrt(a.x * a.x + a.y * a.y); }
inline double distance(Vec a, Vec b) { return norm(b - a); }
inline Vec lerp(Vec a, Vec b, double t) { return a + (b - a) * t; }
/// The place of the segment from `a` to `b` that is nearest to `p`.
inline Vec nearest_on(Vec a, Vec b, Vec p) {
  const Vec d = b - a;
  const double dd = dot(d, d);
  const double t = dd > 0 ? dot(p - a, d) / dd : 0;
  return t <= 0 ? a : t >= 1 ? b : a + d * t;
}
inline bool is_finite(Vec a) { return std::isfinite(a.x) && std::isfinite(a.y); }

/// An axis-parallel box; a default one is empty and takes the first point added.
struct Box {
  double x0 = std::numeric_limits<double>::infinity(), y0 = std::numeric_limits<double>::infinity();
  double x1 = -std::numeric_limits<double>::infinity(), y1 = -std::numeric_limits<double>::infinity();

  static Box of(double x, double y, double w, double h) { return {x, y, x + w, y + h}; }
  [[nodiscard]] bool empty() const { return x0 > x1 || y0 > y1; }
  [[nodiscard]] double width() const { return empty() ? 0 : x1 - x0; }
  [[nodiscard]] double height() const { return empty() ? 0 : y1 - y0; }
  [[nodiscard]] Vec centre() const { return {(x0 + x1) / 2, (y0 + y1) / 2}; }
  void add(Vec p) {
    x0 = std::min(x0, p.x), x1 = std::max(x1, p.x);
    y0 = std::min(y0, p.y), y1 = std::max(y1, p.y);
  }
  void add(const Box& b) {
    if (!b.empty()) add(Vec{b.x0, b.y0}), add(Vec{b.x1, b.y1});
  }
  /// The box grown by `d` mm on every side (shrunk when negative).
  [[nodiscard]] Box grown(double d) const { return {x0 - d, y0 - d, x1 + d, y1 + d}; }
  [[nodiscard]] bool contains(Vec p) const { return p.x >= x0 && p.x <= x1 && p.y >= y0 && p.y <= y1; }
  [[nodiscard]] bool contains(const Box& b) const {
    return b.empty() || (b.x0 >= x0 && b.x1 <= x1 && b.y0 >= y0 && b.y1 <= y1);
  }
  [[nodiscard]] bool overlaps(const Box& b) const {
    return !empty() && !b.empty() && b.x0 <= x1 && b.x1 >= x0 && b.y0 <= y1 && b.y1 >= y0;
  }
  /// What lies in both; empty where they are apart.
  friend Box common(const Box& a, const Box& b) {
    return {std::max(a.x0, b.x0), std::max(a.y0, b.y0), std::min(a.x1, b.x1), std::min(a.y1, b.y1)};
  }
  friend bool operator==(const Box&, const Box&) = default;
};

/// The map (x, y) -> (a x + c y + e, b x + d y + f): SVG's matrix(a b c d e f).
struct Affine {
  double a = 1, b = 0, c = 0, d = 1, e = 0, f = 0;

  static Affine move(double x, double y) { return {1, 0, 0, 1, x, y}; }
  static Affine scale(double x, double y) { return {x, 0, 0, y, 0, 0}; }
  /// Turns by `degrees`; with y down, positive angles turn clockwise on screen, as SVG's rotate() does.
  static Affine rotate(double degrees) {
    const double r = degrees * std::numbers::pi / 180;
    return {std::cos(r), std::sin(r), -std::sin(r), std::cos(r), 0, 0};
  }
  [[nodiscard]] Vec operator()(Vec p) const { return {a * p.x + c * p.y + e, b * p.x + d * p.y + f}; }
  /// (m * n)(p) = m(n(p)).
  friend Affine operator*(const Affine& m, const Affine& n) {
    return {m.a * n.a + m.c * n.b, m.b * n.a + m.d * n.b,       m.a * n.c + m.c * n.d,
            m.b * n.c + m.d * n.d, m.a * n.e + m.c * n.f + m.e, m.b * n.e + m.d * n.f + m.f};
  }
  [[nodiscard]] double determinant() const { return a * d - b * c; }
  /// The map that undoes this one; the determinant must not be 0.
  [[nodiscard]] Affine inverse() const {
    const double n = 1 / determinant();
    return {d * n, -b * n, -c * n, a * n, (c * f - d * e) * n, (b * e - a * f) * n};
  }
  /// The largest factor by which the map stretches any length (its largest singular value).
  [[nodiscard]] double max_stretch() const {
    const double s = (a * a + b * b + c * c + d * d) / 2;
    const double q = std::sqrt(std::max(0.0, s * s - determinant() * determinant()));
    return std::sqrt(s + q);
  }
  [[nodiscard]] bool finite() const {
    return std::isfinite(a) && std::isfinite(b) && std::isfinite(c) && std::isfinite(d) && std::isfinite(e) &&
           std::isfinite(f);
  }
  friend bool operator==(const Affine&, const Affine&) = default;
};

/// How far a map turns, degrees counter-clockwise as seen.
inline double turn_of(const Affine& m) { return std::atan2(-m.b, m.a) * 180 / std::numbers::pi; }

}  // namespace dotlane
