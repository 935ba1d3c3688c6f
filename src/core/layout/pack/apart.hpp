// Parts that lie over each other on a sheet, taken apart.
#pragma once

#include <functional>
#include <random>

#include "core/layout/pack/pose.hpp"

namespace dotlane::pack {

/// A part on a sheet: one of its shape's poses, and the cell that its corner lies on.
struct Laid {
  const Shape* shape = nullptr;
  std::size_t pose = 0;
  int x = 0, y = 0;
  [[nodiscard]] const Pose& as() const { return shape->poses[pose]; }
};

/// Moves and turns parts until none meets another or a taken cell, all within `width` by `height` cells of the grid, or
/// until so many have been looked at. Returns whether it came to that; where they lie before makes what is likely to
/// come out. Each time, a part goes where its overlap counts least; pairs that stay over each other count more and more
/// (guided local search, after Egeblad, Nielsen and Odgaard, European Journal of Operational Research 183(3), 2007, and
/// Umetani et al., International Transactions in Operational Research 16(6), 2009, who look along lines; here places
/// are drawn by chance and bettered step by step).
[[nodiscard]] bool taken_apart(std::vector<Laid>& parts, const Grid& grid, int width, int height, int looks,
                               std::mt19937& random, const std::function<bool()>& stop = {});

}  // namespace dotlane::pack
