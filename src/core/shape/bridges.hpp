// Bridges of a stencil: strips of the sheet that hold what would fall out of it.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

struct BridgeOptions {
  enum class Way { upright, level, shortest };
  double width_mm = 1.2;  ///< where there is no room for it, down to a tenth of it
  /// How many each island is to have; 0: one, two where it is longer than `two_from_mm`, four from `four_from_mm` on.
  int per_island = 0;
  double two_from_mm = 8, four_from_mm = 60;  ///< common practice, no published source
  /// A bridge longer than so many times the width is made wider in proportion (common practice, no published source).
  double slenderest = 6;
  Way way = Way::upright;  ///< where both are as good; the others are taken where there is none this way
};

struct Bridge {
  Vec at;                              ///< its middle, mm
  double width_mm = 0, length_mm = 0;  ///< across, and from the island's edge to that on the other side
  double angle = 0;                    ///< degrees counter-clockwise from level
  Region strip;                        ///< what stays of the sheet
};

struct Bridged {
  Region openings;              ///< what falls out now
  std::vector<Bridge> bridges;  ///< in no particular order
  std::size_t islands = 0;      ///< that would have fallen out with it
  std::size_t loose = 0;        ///< of these, that no bridge could be found for
};

/// Every island, at any depth, tied to the sheet around or to an island that is. Of all strips as wide as asked that
/// run straight across an opening, those are taken that are short, stand square on both edges, lie in the middle of
/// their island and end where the material behind is no thin neck: a least spanning tree of islands first (Kruskal),
/// then more for those that are to have more, as far around from the others as can be. O(n log n) in the crossings of
/// lines a quarter of a width apart.
[[nodiscard]] Bridged bridged(const Region& openings, const BridgeOptions& options);

}  // namespace dotlane
