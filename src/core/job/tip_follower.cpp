#include "core/job/tip_follower.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dotlane {

void TipFollower::move(Vec from, Vec to, std::vector<Vec>& out) {
  const double way = distance(from, to);
  if (way <= 0) return;
  if (trail_ <= 0) {
    out.push_back(at(to));
    return;
  }
  const Vec u = (to - from) * (1 / way);
  double a0 = std::atan2(cross(u, heading_), dot(u, heading_));
  // Exactly backwards nothing says which way round: it takes one.
  constexpr double kMost = std::numbers::pi - 1e-6;
  a0 = std::clamp(a0, -kMost, kMost);
  // Half a degree of turning a step: the chord then misses the tractrix by a few micrometres at most.
  constexpr double kTurnStep = std::numbers::pi / 360;
  const double t0 = std::tan(std::abs(a0) / 2);
  const double a1 = 2 * std::atan(t0 * std::exp(-way / trail_));
  const int steps = std::max(1, static_cast<int>(std::ceil((std::abs(a0) - a1) / kTurnStep)));
  for (int k = 1; k <= steps; ++k) {
    const bool last = k == steps;
    const double a = last ? a1 : std::abs(a0) + (a1 - std::abs(a0)) * k / steps;
    const double s = last ? way : std::min(way, trail_ * std::log(t0 / std::tan(a / 2)));
    const double turn = std::copysign(a, a0), c = std::cos(turn), n = std::sin(turn);
    heading_ = {u.x * c - u.y * n, u.x * n + u.y * c};
    out.push_back(at(from + u * s));
  }
}

}  // namespace dotlane
