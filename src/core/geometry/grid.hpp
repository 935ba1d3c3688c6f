// Rings on Clipper's integer grid, and the unions that region.cpp and offset.cpp share.
#pragma once

#include <polyclipping/clipper.hpp>
#include <vector>

#include "core/geometry/failure.hpp"
#include "core/geometry/region.hpp"

namespace dotlane::grid {

inline constexpr double kPerMm = 1e6;  // steps of 1 nm

[[nodiscard]] ClipperLib::IntPoint to_grid(Vec p);
[[nodiscard]] ClipperLib::Path to_grid(const std::vector<Vec>& points);
[[nodiscard]] Vec to_mm(const ClipperLib::IntPoint& p);
[[nodiscard]] Ring to_mm(const ClipperLib::Path& path);
[[nodiscard]] Region to_region(const ClipperLib::Paths& rings);

/// Carries the operation out. Throws GeometryFailure where Clipper gives up.
template <class Out>
void execute(ClipperLib::Clipper& clipper, ClipperLib::ClipType what, Out& out, ClipperLib::PolyFillType fill) {
  if (clipper.Execute(what, out, fill, fill)) return;
  // It says no as well where there is nothing to do.
  const auto box = clipper.GetBounds();
  if (box.left != box.right || box.top != box.bottom) throw GeometryFailure("step-failed/kernel");
}

/// The rings of each connected part, its outline first.
[[nodiscard]] std::vector<ClipperLib::Paths> parts(const Region& region);

/// The union of parts that are clean each on its own.
[[nodiscard]] Region united(const std::vector<ClipperLib::Paths>& parts);

/// Which groups of rings have boxes that touch, directly or through others: what cannot touch is never swept together.
[[nodiscard]] std::vector<std::vector<std::size_t>> gathered(const std::vector<ClipperLib::Paths>& groups);

}  // namespace dotlane::grid
