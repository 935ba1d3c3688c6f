// Bridges of a stencil: strips of the sheet that hold what would fall out of it.
#pragma once

#include <optional>
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
  /// Places where there is to be a bridge, whatever else: across the opening there, the shortest way that stands square
  /// on its edges, between the sides of one opening too.
  std::vector<Vec> set;
  /// Places where there is to be none; the island there has one less, as long as it is held.
  std::vector<Vec> none;
  /// A mesh of bridges through all openings, level and upright or slanted, so far apart (mm between their middle
  /// lines); what it misses is held as without. 0: none.
  double mesh_mm = 0;
  double mesh_angle = 45;  ///< degrees
};

struct Bridge {
  Vec at;                              ///< its middle, mm
  double width_mm = 0, length_mm = 0;  ///< across, and from the island's edge to that on the other side
  double angle = 0;                    ///< degrees counter-clockwise from level
  Region strip;                        ///< what stays of the sheet
  std::optional<std::size_t> set;      ///< the place in the options that it stands at
};

struct Bridged {
  Region openings;              ///< what falls out now
  std::vector<Bridge> bridges;  ///< in no particular order
  std::size_t islands = 0;      ///< that would have fallen out with it
  std::size_t loose = 0;        ///< of these, that no bridge could be found for
  Region mesh;                  ///< what stays of the mesh
  std::size_t bits = 0;         ///< that fall out now
};

/// As wide as bridges of a stock this thick (mm) are made: 1.2 mm from 0.25 mm thick on, wider in proportion where it
/// is thinner, up to 2.5 mm. 1.2 mm where the thickness is not known (0). Common practice, no published source.
[[nodiscard]] double bridge_width(double thickness_mm);

/// Every island, at any depth, tied to the sheet around or to an island that is. Of all strips as wide as asked that
/// run straight across an opening, those are taken that are short, stand square on both edges, lie in the middle of
/// their island and end where the material behind is no thin neck: a least spanning tree of islands first (Kruskal),
/// then more for those that are to have more, as far around from the others as can be. Level ones of islands side by
/// side, as in a word, lie at one height where their middles nearly do. O(n log n) in the crossings of lines a quarter
/// of a width apart.
[[nodiscard]] Bridged bridged(const Region& openings, const BridgeOptions& options);

}  // namespace dotlane
