// Parts: what comes off a sheet as one. Worked out from the drawing, never stored.
#pragma once

#include <string>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// A contour of a drawn piece: the indices of its line, and of the contour in the line's path.
struct PartLine {
  int piece = 0;
  std::size_t line = 0, contour = 0;
  friend auto operator<=>(const PartLine&, const PartLine&) = default;
};

struct Part {
  PartKey key;
  PartLine first;     ///< the contour that the key names
  int number = 1;     ///< from 1, in the order of the drawing
  std::string name;   ///< the piece's; where several parts would be called the same, "Heron neck 2"
  std::string stock;  ///< stock id
  /// What its outline encloses, without the holes, in coordinates of its own; empty where it has no outline. Copies of
  /// a pattern share it.
  Shared<Region> shape;
  Affine at;                     ///< of the shape, to the drawing
  double area_mm2 = 0;           ///< of the body
  Vec centre;                    ///< the body's centre of area; without a body, the middle of its reach
  Box reach;                     ///< around the body and all its lines, however far these run over
  std::vector<PartLine> lines;   ///< as in the drawing; a blank's outline is a guide and not among them
  std::vector<PartLine> guides;  ///< that lie within it: they go along, and are neither worked nor counted
  bool unsure = false;           ///< its piece could not be taken apart

  [[nodiscard]] bool has_body() const { return !shape->empty(); }
  /// The shape, mm in the drawing.
  [[nodiscard]] Region body() const { return at == Affine{} ? *shape : transformed(*shape, at); }
  [[nodiscard]] Box bounds() const { return has_body() ? bounds_of(body()) : reach; }
};

/// Lines in no outline that lie within this many mm of each other stay together. Common practice, no published source.
inline constexpr double kTogether = 5;

/// The parts of the drawing, in its order. Every contour that is cut, scored, drawn, foiled, engraved or printed
/// belongs to exactly one; helpers and guides belong to none, but guides within a part go where it goes.
///
/// An outermost closed cut contour makes a part, with what lies within it: every contour of the same stock, whichever
/// piece it came from, that has most of its length there. A contour that crosses outlines goes with the one that holds
/// most of it. What lies in no cut outline makes one part for each blank (an outermost closed guide of the stock), else
/// one for each cluster of a piece. Where GEOS gives up on a stock's outlines, each of its pieces makes one, `unsure`.
[[nodiscard]] std::vector<Part> parts_of(const Project& project, const Drawing& drawing);

}  // namespace dotlane
