// How long the head takes along a polyline of points, and where it is at any moment.
//
// The head follows straight moves with a trapezoidal speed profile: constant acceleration, a ceiling, constant
// braking. Between two moves it keeps the speed v at which a circular arc that rounds the corner by at most
// `junction_deviation_mm` needs no more than the acceleration: v² = a d sin(t/2) / (1 - sin(t/2)), t the angle between
// the moves (180° when they go straight on). A backward and a forward sweep then make every speed reachable. It starts
// and ends at rest. The plan and the simulated cutter both use this one model.
//
// With a limit to the jerk, the way gone is averaged over the last accel / jerk seconds, as controllers do that smooth
// their speed with a moving average: a step of the acceleration becomes a ramp of that jerk, and a motion takes that
// much longer. For a long move from rest to rest that is the S-curve of the textbooks: t = L/v + v/a + a/j (L.
// Biagiotti, C. Melchiorri, "Trajectory Planning for Automatic Machines and Robots", 2008, sections 3.4 and 4.6; from
// memory).
#pragma once

#include <utility>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

struct MotionLimits {
  double speed_mm_s = 100;
  double accel_mm_s2 = 2000;
  double junction_deviation_mm = 0.02;
  double jerk_mm_s3 = 0;  ///< 0: no limit
  /// How much longer each motion takes for the limit to its jerk, s.
  [[nodiscard]] double smoothing_s() const { return jerk_mm_s3 > 0 ? accel_mm_s2 / jerk_mm_s3 : 0; }
};

class Motion {
 public:
  Motion() = default;
  /// `ceilings`: for each move of the points, mm/s; none where it is empty.
  Motion(const std::vector<Vec>& points, const MotionLimits& limits, const std::vector<double>& ceilings = {});
  [[nodiscard]] double seconds() const { return seconds_; }
  [[nodiscard]] double length() const { return length_; }
  /// Index of the move under way at time t (0 to seconds()).
  [[nodiscard]] std::size_t move_at(double t) const;
  [[nodiscard]] Vec position_at(double t) const;
  /// The way gone at time t, mm.
  [[nodiscard]] double way_at(double t) const;
  [[nodiscard]] const std::vector<Vec>& points() const { return points_; }

 private:
  struct Move {
    double start_s, length, v0, peak, v1;
    double start_mm, swept;  ///< the way gone before it, and that summed up over time: mm s
  };
  [[nodiscard]] std::size_t index_at(double t) const;
  /// The way gone along a move, and its sum over time, so many seconds into it.
  [[nodiscard]] std::pair<double, double> into(const Move& move, double dt) const;
  [[nodiscard]] double plain_way(double t) const;
  [[nodiscard]] double swept(double t) const;
  std::vector<Vec> points_;
  std::vector<Move> moves_;
  double accel_ = 1, smoothing_ = 0, seconds_ = 0, length_ = 0;
};

/// Seconds along the polyline, without keeping it.
[[nodiscard]] double motion_seconds(const std::vector<Vec>& points, const MotionLimits& limits);

}  // namespace dotlane
