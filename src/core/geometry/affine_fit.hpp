// The affine map that takes some places nearest to others.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

struct AffineFit {
  Affine map;
  double residual_mm = 0;  ///< the farthest that any place ends from where it should
};

/// The least squares fit; `from` and `to` are equally many. Nothing for fewer than three places, or where they lie in a
/// line. (Normal equations about the centre of `from`; any textbook of linear least squares.)
[[nodiscard]] std::optional<AffineFit> fitted_affine(const std::vector<Vec>& from, const std::vector<Vec>& to);

/// What a map that hardly changes shapes does to what lies around `centre`.
struct Displacement {
  Vec shift;                   ///< of the centre, mm
  double turn_deg = 0;         ///< counter-clockwise as seen
  double least = 1, most = 1;  ///< factors of length, by direction (singular values)
};
[[nodiscard]] Displacement displacement_of(const Affine& map, Vec centre);

}  // namespace dotlane
