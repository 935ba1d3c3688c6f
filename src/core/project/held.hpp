// What hands laid down for placing: guides pulled from the rulers, and how pieces are held to others.
#pragma once

#include <array>
#include <string>
#include <string_view>
#include <vector>

#include "core/project/recipe.hpp"

namespace dotlane {

enum class Axis { x, y };
inline constexpr std::array kAxes{Axis::x, Axis::y};
/// As files say it.
[[nodiscard]] constexpr std::string_view word(Axis axis) { return axis == Axis::x ? "x" : "y"; }

/// A line across the whole figure to bring things to: upright where its axis is x.
struct Guide {
  Axis axis = Axis::x;
  double at_mm = 0;
  Unknown unknown{};
  friend bool operator==(const Guide&, const Guide&) = default;
};

/// A place on an axis of something: a share of its box, 0 at the left or the top, 1 at the right or the bottom.
struct Anchor {
  int piece = 0;     ///< id; 0: the first sheet of the held piece's stock, as its window shows it in the figure
  std::string line;  ///< of the piece, as a fold; empty: all of it
  double share = 0;
  Unknown unknown{};
  friend bool operator==(const Anchor&, const Anchor&) = default;
};

/// Fitted inside another piece: as large as its outline less a margin allows, about the middle of that.
struct Fit {
  int piece = 0;
  double margin_mm = 3;
  Unknown unknown{};
  friend bool operator==(const Fit&, const Fit&) = default;
};

/// How a piece is held on one axis: a place of its own box stays at a distance from the mean of one or two others; or,
/// as one of a row, so that all gaps of the row are equal.
struct Hold {
  Axis axis = Axis::x;
  double own_share = 0.5;  ///< of the piece's own box
  std::vector<Anchor> to;  ///< one or two
  double distance_mm = 0;  ///< right or down of there
  std::vector<int> row;    ///< pieces between the two that gaps are equal to, in order, this one among them; or none
  Unknown unknown{};
  friend bool operator==(const Hold&, const Hold&) = default;
};

}  // namespace dotlane
