#include "core/project/bounds.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/measure.hpp"

namespace dotlane {
namespace {

// Whether the nodes and handles, between which the curves lie, are all near: seldom anything more must be known.
bool surely_near(const Path& path, const Affine& m) {
  const auto near = [&](Vec p) {
    const Vec q = m(p);
    return std::abs(q.x) <= kFarthestMm && std::abs(q.y) <= kFarthestMm;
  };
  return std::all_of(path.contours.begin(), path.contours.end(), [&](const Contour& c) {
    return near(c.start) && std::all_of(c.segments.begin(), c.segments.end(), [&](const Segment& s) {
             return near(s.end) && (s.straight || (near(s.c1) && near(s.c2)));
           });
  });
}

}  // namespace

BrokenBound broken_bound(const Piece& piece) {
  const Affine& m = piece.placement;
  if (std::abs(m.determinant()) < 1e-12) return {Bound::flattened};
  if (std::max({std::abs(m.a), std::abs(m.b), std::abs(m.c), std::abs(m.d)}) > 1e4) return {Bound::enlarged};
  if (std::max(std::abs(m.e), std::abs(m.f)) > kFarthestMm) return {Bound::distant};
  for (std::size_t i = 0; i < piece.lines.size(); ++i) {
    if (surely_near(*piece.lines[i].path, m)) continue;
    const Box box = bounds_of(*piece.lines[i].path, m);
    if (!box.empty() && std::max({-box.x0, -box.y0, box.x1, box.y1}) > kFarthestMm) return {Bound::distant, i};
  }
  return {};
}

}  // namespace dotlane
