// What is copied, as the arrangements of copies see it.
#pragma once

#include "core/shape/copies.hpp"
#include "core/shape/spacing.hpp"

namespace dotlane {

inline constexpr double kCopyFits = 1e-6;  // mm: what reaches so little over an edge fits

[[nodiscard]] inline Box bounds_of_all(const std::vector<Polyline>& lines) {
  Box box;
  for (const auto& line : lines) {
    for (const Vec p : line.points) box.add(p);
  }
  return box;
}

[[nodiscard]] inline std::vector<Polyline> transformed_all(const std::vector<Polyline>& lines, const Affine& map) {
  std::vector<Polyline> out;
  out.reserve(lines.size());
  for (const auto& line : lines) out.push_back(transformed(line, map));
  return out;
}

/// The map about a middle.
[[nodiscard]] inline Affine about_middle(Vec middle, const Affine& map) {
  return Affine::move(middle.x, middle.y) * map * Affine::move(-middle.x, -middle.y);
}

/// Makes a pattern's scale as large as it must be so that a copy that is `apart` times the scale away keeps the gap.
inline void keep_clear(double& scale, const Spaced& motif, const std::vector<Polyline>& copy, Vec apart) {
  const double length = norm(apart);
  if (const auto t = clear_from(motif, copy, apart * (1 / length), {})) scale = std::max(scale, *t / length);
}

/// Copies in a ring, its middle below the motif's; and along a path, none where there is no path: copies_along.cpp.
[[nodiscard]] Copies copies_in_ring(const std::vector<Polyline>& motif, const CopyOptions& options);
[[nodiscard]] Copies copies_on_path(const std::vector<Polyline>& motif, const CopyOptions& options,
                                    CopyTrouble& trouble);

}  // namespace dotlane
