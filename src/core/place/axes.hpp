// A box looked at along one axis.
#pragma once

#include "core/geometry/vec.hpp"
#include "core/project/held.hpp"

namespace dotlane {

inline double low(const Box& b, Axis axis) { return axis == Axis::x ? b.x0 : b.y0; }
inline double high(const Box& b, Axis axis) { return axis == Axis::x ? b.x1 : b.y1; }
/// The place at a share of it, 0 at the left or the top.
inline double share_of(const Box& b, Axis axis, double share) {
  return low(b, axis) + (high(b, axis) - low(b, axis)) * share;
}
inline Axis other(Axis axis) { return axis == Axis::x ? Axis::y : Axis::x; }
inline Vec along(Axis axis, double by) { return axis == Axis::x ? Vec{by, 0} : Vec{0, by}; }
/// How far apart two boxes are along an axis; 0 where they overlap.
inline double apart(const Box& a, const Box& b, Axis axis) {
  return std::max({0.0, low(a, axis) - high(b, axis), low(b, axis) - high(a, axis)});
}
inline Box moved(const Box& b, Vec by) { return {b.x0 + by.x, b.y0 + by.y, b.x1 + by.x, b.y1 + by.y}; }

}  // namespace dotlane
