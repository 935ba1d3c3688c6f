// Where a tool's tip goes when its head is led along a way.
//
// An edge that trails its axis by d is dragged: it moves towards the axis only, never across. While the axis goes s
// straight on, the angle a between the edge's lead and the way shrinks by tan(a/2) = tan(a0/2) exp(-s/d), and the edge
// describes a tractrix. (The differential equation da/ds = -sin(a)/d and its solution: any text on pursuit curves, for
// one J. D. Lawrence, "A Catalog of Special Plane Curves", 1972; from memory, and checked in the tests by integrating
// it in small steps.)
#pragma once

#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

class TipFollower {
 public:
  TipFollower() = default;
  /// `heading`: where the axis lies seen from the edge, a unit vector.
  TipFollower(double trail_mm, Vec tip, Vec heading) : trail_(trail_mm), tip_(tip), heading_(heading) {}

  /// Where the tip is while the axis is there.
  [[nodiscard]] Vec at(Vec axis) const { return axis + tip_ - heading_ * trail_; }
  /// Moves the axis straight on; what the tip runs through is added to `out`, without where it is now.
  void move(Vec from, Vec to, std::vector<Vec>& out);
  [[nodiscard]] Vec heading() const { return heading_; }

 private:
  double trail_ = 0;
  Vec tip_;
  Vec heading_{1, 0};
};

}  // namespace dotlane
