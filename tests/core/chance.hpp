// Shapes of many sorts at random, the same for the same seed.
#pragma once

#include <algorithm>
#include <cmath>
#include <numbers>
#include <random>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane::test {

/// How often something random is tried: less under sanitizers, which take ten times as long.
constexpr int rounds(int n) {
#if defined(DOTLANE_SANITIZED)
  return n / 8 + 1;
#else
  return n;
#endif
}

/// A ring around a place whose radius swings by a share, so many times around; without a swing a circle.
inline Ring wavy(Vec at, double r, double swing, int waves, int points) {
  Ring out;
  for (int i = 0; i < points; ++i) {
    const double t = 2 * std::numbers::pi * i / points, q = r * (1 + swing * std::sin(waves * t));
    out.push_back(at + Vec{q * std::cos(t), q * std::sin(t)});
  }
  return out;
}

class Chance {
 public:
  explicit Chance(unsigned seed) : random_(seed) {}
  double between(double low, double high) { return std::uniform_real_distribution<double>(low, high)(random_); }
  int whole(int low, int high) { return std::uniform_int_distribution<int>(low, high)(random_); }
  bool coin() { return whole(0, 1) == 1; }

  /// A closed run of points of many sorts: smooth, jagged, crossing itself, on a coarse grid, doubled back.
  Ring ring() {
    const Vec middle{between(0, 80), between(0, 80)};
    const double size = between(2, 30);
    const int n = whole(3, 40);
    Ring out;
    switch (whole(0, 4)) {
      case 0:  // round, with bumps
        for (int i = 0; i < 3 * n; ++i) {
          const double a = 2 * 3.14159265358979323846 * i / (3 * n), r = size * (1 + 0.2 * std::sin(5 * a));
          out.push_back(middle + Vec{r * std::cos(a), r * std::sin(a)});
        }
        break;
      case 1:  // anything at all, crossing itself
        for (int i = 0; i < std::min(n, 12); ++i)
          out.push_back(middle + Vec{between(-size, size), between(-size, size)});
        break;
      case 2:  // corners on a grid of whole millimetres: shared edges, touching corners
        for (int i = 0; i < std::min(n, 10); ++i)
          out.push_back({std::round(middle.x + between(-6, 6)), std::round(middle.y + between(-6, 6))});
        break;
      case 3:  // a rectangle
        out = {middle, middle + Vec{size, 0}, middle + Vec{size, size / 3}, middle + Vec{0, size / 3}};
        break;
      default:  // there and back with a step aside
        for (int i = 0; i < n; ++i) out.push_back(middle + Vec{size * i / n, 0.1 * (i % 3)});
        for (int i = n; i-- > 0;) out.push_back(middle + Vec{size * i / n, 0.1 * (i % 3) + (coin() ? 0.0 : 2.0)});
    }
    if (coin()) std::reverse(out.begin(), out.end());
    return out;
  }
  std::vector<Ring> rings() {
    std::vector<Ring> out(static_cast<std::size_t>(whole(1, 5)));
    for (auto& r : out) r = ring();
    return out;
  }
  FillRule rule() { return coin() ? FillRule::nonzero : FillRule::evenodd; }

 private:
  std::mt19937 random_;
};

}  // namespace dotlane::test
