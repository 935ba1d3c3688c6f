// Applique: shapes of fabric with what is turned under, and what runs under their neighbours.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// What is cut so that `face` is seen where no other piece covers it. `allowance_mm` is added outside along its free
/// edges, to be turned under; below what covers it, and nowhere else, it runs on by `underlap_mm`. Corners are round:
/// by Steiner's formula a convex face of area A and perimeter P becomes A + P a + π a².
[[nodiscard]] Region applique_cut(const Region& face, const Region& cover, double allowance_mm, double underlap_mm);

/// Cuts into the allowance so that it lies flat when it is turned: clips where the edge bends inward and at inner
/// corners, notches where it bends outward, and a trim across outer corners. They end `kClear` mm from the edge. The
/// tighter the bend the closer they are. Common practice, no published source.
[[nodiscard]] std::vector<Polyline> allowance_marks(const Region& face, const Region& cut, double allowance_mm);
inline constexpr double kClear = 1.5;
/// Fabric narrower than this frays away before it is sewn down, mm. Common practice, no published source.
inline constexpr double kFrays = 3;

/// Where it is seen how far the cut runs under what covers it: a place on the edge of what is seen, and the place on
/// the cut that this runs to, in the middle of the longest side there. Nothing where it runs under nothing.
struct Underlap {
  Vec seen, cut;
};
[[nodiscard]] std::optional<Underlap> underlap_of(const Region& face, const Region& cover, const Region& cut,
                                                  double underlap_mm);

/// How much of the face, mm², is narrower than this: it frays, or a stitch of this width has no room on it.
[[nodiscard]] double narrower_than(const Region& face, double width_mm);

}  // namespace dotlane
