// Edits of colours: near-equal ones united, pieces sorted onto stock by colour.
#pragma once

#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

/// Colours of lines that differ by less than `within` (CIEDE2000) from each other.
struct NearColors {
  Color keep, other;
  double difference = 0;
  std::size_t lines = 0;  ///< that have the other colour
};
/// Pairs of near-equal colours among the pieces' own lines, nearest first; the one with more lines is kept.
[[nodiscard]] std::vector<NearColors> near_colors(const Project& project, double within = 5);
/// Gives every own line of the other colours the kept one, and draw lines its pen.
[[nodiscard]] Project unite_colors(Project project, const std::vector<NearColors>& pairs);
/// Splits the piece by the colours of its lines and puts each part on the stock nearest in colour, adding a stock like
/// the present one in that colour where none is within 10 (CIEDE2000).
[[nodiscard]] Project colors_to_stock(Project project, int piece);
}  // namespace dotlane
