// Packing: what is to be packed onto what, and what comes of it.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane::pack {

/// A sheet that may be used.
struct Stand {
  Region area;                ///< mm, where parts may lie: an outline, holes in it
  int most = 1;               ///< how many of these there are; 0: as many as are wanted
  std::vector<Region> taken;  ///< mm, what lies on it already (of one sheet, with most = 1)
};

struct Task {
  std::vector<Region> shapes;                    ///< mm, each where it likes
  std::vector<std::size_t> items;                ///< the shape of each part to be packed
  std::vector<Stand> stands;                     ///< in the order in which they are to be used
  double gap = 2;                                ///< mm, kept between parts, not to the edge of a sheet
  std::vector<double> turns{0};                  ///< degrees counter-clockwise as seen, of every part
  std::vector<std::vector<double>> own_turns{};  ///< of single shapes besides, by their index; may be shorter
  unsigned seed = 1;
};

/// Allows shapes that fit no stand in any of the turns, but would in another one, that turn of their own.
void allow_own_turns(Task& task);

/// Where a part lies: turned about the origin, then moved.
struct Lies {
  std::size_t item = 0;
  std::size_t sheet = 0;  ///< index in Packing::sheets
  double turn = 0;        ///< degrees counter-clockwise as seen
  Vec move;               ///< mm
  [[nodiscard]] Affine map() const { return Affine::move(move.x, move.y) * Affine::rotate(-turn); }
};

struct Packing {
  std::vector<std::size_t> sheets;  ///< used, in order: for each the index of its stand
  std::vector<Lies> parts;
  std::vector<std::size_t> waiting;  ///< items that fit on no sheet that is left
  double used_mm2 = 0;               ///< all sheets but the last, and the box around what lies on the last
  double parts_mm2 = 0;
  [[nodiscard]] double density() const { return used_mm2 > 0 ? parts_mm2 / used_mm2 : 0; }
};

}  // namespace dotlane::pack
