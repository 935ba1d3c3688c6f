#include "core/shape/pieced.hpp"

#include <algorithm>
#include <numbers>

namespace dotlane {
namespace {

constexpr double kPatchesApart = 3;  // mm between patches
constexpr double kRoot2 = std::numbers::sqrt2;

Reading reading(const Values& values) { return {*find_kind(shape_kinds(), "pieced"), values}; }

}  // namespace

std::vector<PatchCut> patch_cuts(const Values& values) {
  const Reading take = reading(values);
  const double size = take.number("size"), seam = take.number("seam");
  const double half = (2 + kRoot2) * seam, quarter = (2 + 2 * kRoot2) * seam;
  if (take.is("unit", "quarter-square")) return {{4, size + quarter, 4}};
  if (take.is("unit", "geese")) return {{1, size + quarter, 4}, {2, size / 2 + half, 2}};
  if (take.is("unit", "square-in-square")) return {{1, size / kRoot2 + 2 * seam, 1}, {4, size / 2 + half, 2}};
  return {{2, size + half, 2}};
}

std::vector<Line> pieced_unit(const Values& values) {
  const Reading take = reading(values);
  const double seam = take.number("seam");
  Line patches, seams;
  patches.id = "patches", patches.role = Role::cut;
  seams.id = "seams", seams.role = Role::draw;
  Path cut, sewn;
  double x = 0;
  const auto add = [&](const std::vector<Vec>& corners, Vec middle, double inner) {
    // The seam is the same shape, seen from the middle of the circle within it.
    std::vector<Vec> outer, along;
    for (const Vec p : corners) {
      outer.push_back(p + Vec{x, 0});
      along.push_back(middle + (p - middle) * ((inner - seam) / inner) + Vec{x, 0});
    }
    cut.contours.push_back(straight_through(outer, true));
    if (take.flag("seams") && seam > 0) sewn.contours.push_back(straight_through(along, true));
    double right = 0;
    for (const Vec p : corners) right = std::max(right, p.x);
    x += right + kPatchesApart;
  };
  for (const auto& [count, side, into] : patch_cuts(values)) {
    for (int i = 0; i < count; ++i) {
      if (into == 1) {
        add({{0, 0}, {side, 0}, {side, side}, {0, side}}, {side / 2, side / 2}, side / 2);
      } else if (into == 2) {
        const double r = side * (1 - 1 / kRoot2);
        add({{0, 0}, {side, side}, {0, side}}, {r, side - r}, r);
      } else {
        const double r = side / kRoot2 * (1 - 1 / kRoot2);
        add({{0, side / 2}, {side / 2, 0}, {side, side / 2}}, {side / 2, side / 2 - r}, r);
      }
    }
  }
  patches.path = std::move(cut);
  if (sewn.contours.empty()) return {patches};
  seams.path = std::move(sewn);
  return {patches, seams};
}

}  // namespace dotlane
