// How far and how large a piece may be: the same for what is edited and for what a file says.
#pragma once

#include <cstddef>

#include "core/project/project.hpp"

namespace dotlane {

inline constexpr double kFarthestMm = 1e5;  ///< from the origin, on both axes

enum class Bound {
  kept,
  flattened,  ///< the placement has no area
  enlarged,   ///< the placement makes the piece more than 10,000 times as large
  distant     ///< it lies further than kFarthestMm from the origin
};

/// The bound that a piece breaks by its placement, or by a line of its own.
struct BrokenBound {
  Bound bound = Bound::kept;
  std::size_t line = npos;  ///< of the piece's lines; npos for the placement
  static constexpr std::size_t npos = static_cast<std::size_t>(-1);
};

[[nodiscard]] BrokenBound broken_bound(const Piece& piece);

}  // namespace dotlane
