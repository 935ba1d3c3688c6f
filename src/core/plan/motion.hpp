// How long the head takes along a polyline of points, and where it is at any moment.
//
// The head follows straight moves with a trapezoidal speed profile: constant acceleration, a ceiling, constant
// braking. Between two moves it keeps the speed v at which a circular arc that rounds the corner by at most
// `junction_deviation_mm` needs no more than the acceleration: v² = a d sin(t/2) / (1 - sin(t/2)), t the angle between
// the moves (180° when they go straight on). A backward and a forward sweep then make every speed reachable. It starts
// and ends at rest. The plan and the simulated cutter both use this one model.
#pragma once

#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

struct MotionLimits {
  double speed_mm_s = 100;
  double accel_mm_s2 = 2000;
  double junction_deviation_mm = 0.02;
};

class Motion {
 public:
  Motion() = default;
  Motion(const std::vector<Vec>& points, const MotionLimits& limits);
  [[nodiscard]] double seconds() const { return seconds_; }
  [[nodiscard]] double length() const { return length_; }
  /// Index of the move under way at time t (0 to seconds()).
  [[nodiscard]] std::size_t move_at(double t) const;
  [[nodiscard]] Vec position_at(double t) const;
  [[nodiscard]] const std::vector<Vec>& points() const { return points_; }

 private:
  struct Move {
    double start_s, length, v0, peak, v1;
  };
  std::vector<Vec> points_;
  std::vector<Move> moves_;
  double accel_ = 1, seconds_ = 0, length_ = 0;
};

/// Seconds along the polyline, without keeping it.
[[nodiscard]] double motion_seconds(const std::vector<Vec>& points, const MotionLimits& limits);

}  // namespace dotlane
