#include "core/geometry/affine_fit.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dotlane {

std::optional<AffineFit> fitted_affine(const std::vector<Vec>& from, const std::vector<Vec>& to) {
  const std::size_t n = std::min(from.size(), to.size());
  if (n < 3) return std::nullopt;
  Vec middle, middle_to;
  for (std::size_t i = 0; i < n; ++i) middle = middle + from[i], middle_to = middle_to + to[i];
  middle = middle * (1.0 / static_cast<double>(n)), middle_to = middle_to * (1.0 / static_cast<double>(n));
  double xx = 0, xy = 0, yy = 0;
  double ux = 0, uy = 0, vx = 0, vy = 0;  // sums of what x and y of `from` have to do with x and y of `to`
  for (std::size_t i = 0; i < n; ++i) {
    const Vec p = from[i] - middle, q = to[i] - middle_to;
    xx += p.x * p.x, xy += p.x * p.y, yy += p.y * p.y;
    ux += p.x * q.x, uy += p.y * q.x, vx += p.x * q.y, vy += p.y * q.y;
  }
  const double determinant = xx * yy - xy * xy;
  if (!(determinant > 1e-9 * (xx + yy) * (xx + yy))) return std::nullopt;
  AffineFit out;
  Affine& m = out.map;
  m.a = (ux * yy - uy * xy) / determinant, m.c = (uy * xx - ux * xy) / determinant;
  m.b = (vx * yy - vy * xy) / determinant, m.d = (vy * xx - vx * xy) / determinant;
  m.e = middle_to.x - m.a * middle.x - m.c * middle.y;
  m.f = middle_to.y - m.b * middle.x - m.d * middle.y;
  for (std::size_t i = 0; i < n; ++i) out.residual_mm = std::max(out.residual_mm, distance(m(from[i]), to[i]));
  return out;
}

Displacement displacement_of(const Affine& map, Vec centre) {
  Displacement out;
  out.shift = map(centre) - centre;
  // The turn of the nearest map that keeps shapes.
  out.turn_deg = -std::atan2(map.b - map.c, map.a + map.d) * 180 / std::numbers::pi;
  out.most = map.max_stretch();
  out.least = out.most > 0 ? std::abs(map.determinant()) / out.most : 0;
  return out;
}

}  // namespace dotlane
