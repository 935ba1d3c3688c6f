// The tape: how far apart things are, how long and large a line, where it is thinnest.
#pragma once

#include <array>
#include <optional>

#include "core/project/drawing.hpp"

namespace dotlane {

/// From one frame to another: how far its left, right, top and bottom edge is from the edge that comes next on that
/// way. Of a frame inside the other that is the other's same edge; of one beside it the near edge; nothing on a side
/// where the other does not reach.
struct Distance {
  Vec from, to;  ///< mm in the figure, to be drawn
  double mm = 0;
};
[[nodiscard]] std::array<std::optional<Distance>, 4> distances(const Box& of, const Box& to);

/// Length, and of closed contours what they enclose; mm, mm².
struct LineFigures {
  double length_mm = 0;
  bool closed = false;
  double area_mm2 = 0;
};
[[nodiscard]] LineFigures figures_of(const DrawnPiece& piece, std::size_t line);

/// Where an area is thinnest: the widest disc that still gets everywhere in it that wider ones reach, mm, within
/// 0.05; tips that taper off do not count. Found by halving (a shrunk area falls apart there, or is gone).
/// Nothing for open lines.
struct Thinnest {
  double width_mm = 0;
  Vec at;
};
[[nodiscard]] std::optional<Thinnest> thinnest_of(const DrawnPiece& piece, std::size_t line);

}  // namespace dotlane
