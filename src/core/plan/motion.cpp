#include "core/plan/motion.hpp"

#include <algorithm>

namespace dotlane {
namespace {

/// Seconds of one move: speed up from v0 to the peak, hold it, brake to v1.
double move_seconds(double length, double v0, double peak, double v1, double accel) {
  const double up = (peak - v0) / accel, down = (peak - v1) / accel;
  const double ramps = (v0 + peak) / 2 * up + (v1 + peak) / 2 * down;
  return up + down + std::max(0.0, length - ramps) / peak;
}

double corner_speed2(Vec a, Vec b, Vec c, const MotionLimits& limits) {
  const Vec u = b - a, v = c - b;
  const double lengths = norm(u) * norm(v);
  if (lengths == 0) return 0;
  // sin(t/2) for the inner angle t, from the cosine of the turn.
  const double half = std::sqrt(std::clamp((1 + dot(u, v) / lengths) / 2, 0.0, 1.0));
  if (half > 0.999999) return limits.speed_mm_s * limits.speed_mm_s;
  return limits.accel_mm_s2 * limits.junction_deviation_mm * half / (1 - half);
}

}  // namespace

Motion::Motion(const std::vector<Vec>& points, const MotionLimits& limits, const std::vector<double>& ceilings)
    : accel_(limits.accel_mm_s2) {
  points_.reserve(points.size());
  std::vector<double> tops;  // of each move
  for (std::size_t i = 0; i < points.size(); ++i) {
    if (!points_.empty() && points_.back() == points[i]) continue;
    if (!points_.empty() && !ceilings.empty()) tops.push_back(std::min(limits.speed_mm_s, ceilings[i - 1]));
    points_.push_back(points[i]);
  }
  if (points_.size() < 2) return;
  const std::size_t n = points_.size();
  const auto top = [&](std::size_t move) { return tops.empty() ? limits.speed_mm_s : tops[move]; };
  std::vector<double> v2(n);  // squared speed at each point
  for (std::size_t i = 1; i + 1 < n; ++i) {
    const double most = std::min(top(i - 1), top(i));
    v2[i] = std::min(most * most, corner_speed2(points_[i - 1], points_[i], points_[i + 1], limits));
  }
  for (std::size_t i = n - 1; i-- > 0;) {
    v2[i] = std::min(v2[i], v2[i + 1] + 2 * accel_ * distance(points_[i], points_[i + 1]));
  }
  for (std::size_t i = 1; i < n; ++i) {
    v2[i] = std::min(v2[i], v2[i - 1] + 2 * accel_ * distance(points_[i - 1], points_[i]));
  }
  moves_.reserve(n - 1);
  for (std::size_t i = 0; i + 1 < n; ++i) {
    const double length = distance(points_[i], points_[i + 1]);
    const double peak = std::min(top(i), std::sqrt(accel_ * length + (v2[i] + v2[i + 1]) / 2));
    moves_.push_back({seconds_, length, std::sqrt(v2[i]), peak, std::sqrt(v2[i + 1]), length_, 0});
    if (i > 0) {
      const Move& before = moves_[i - 1];
      moves_[i].swept =
          before.swept + before.start_mm * (seconds_ - before.start_s) + into(before, seconds_ - before.start_s).second;
    }
    seconds_ += move_seconds(length, moves_.back().v0, peak, moves_.back().v1, accel_);
    length_ += length;
  }
  smoothing_ = limits.smoothing_s();
  seconds_ += smoothing_;
}

std::pair<double, double> Motion::into(const Move& m, double dt) const {
  const double up = (m.peak - m.v0) / accel_, down = (m.peak - m.v1) / accel_;
  const double ramps = (m.v0 + m.peak) / 2 * up + (m.v1 + m.peak) / 2 * down;
  const double hold = std::max(0.0, m.length - ramps) / m.peak;
  const auto rising = [this](double v, double t) {  // from speed v on
    return std::pair(v * t + accel_ * t * t / 2, v * t * t / 2 + accel_ * t * t * t / 6);
  };
  if (dt < up) return rising(m.v0, dt);
  const auto [way_up, sum_up] = rising(m.v0, up);
  if (dt < up + hold) {
    const double t = dt - up;
    return {way_up + m.peak * t, sum_up + way_up * t + m.peak * t * t / 2};
  }
  const double way_hold = way_up + m.peak * hold, sum_hold = sum_up + way_up * hold + m.peak * hold * hold / 2;
  const double t = std::min(dt - up - hold, down);
  return {std::min(m.length, way_hold + m.peak * t - accel_ * t * t / 2),
          sum_hold + way_hold * t + m.peak * t * t / 2 - accel_ * t * t * t / 6};
}

double Motion::plain_way(double t) const {
  if (t <= 0) return 0;
  if (t >= seconds_ - smoothing_) return length_;
  const Move& m = moves_[index_at(t)];
  return m.start_mm + into(m, t - m.start_s).first;
}

double Motion::swept(double t) const {
  if (t <= 0) return 0;
  const double end = seconds_ - smoothing_;
  const Move& m = moves_[index_at(std::min(t, end))];
  const double dt = std::min(t, end) - m.start_s;
  return m.swept + m.start_mm * dt + into(m, dt).second + std::max(0.0, t - end) * length_;
}

double Motion::way_at(double t) const {
  if (moves_.empty()) return 0;
  return smoothing_ > 0 ? (swept(t) - swept(t - smoothing_)) / smoothing_ : plain_way(t);
}

std::size_t Motion::index_at(double t) const {
  const auto after =
      std::upper_bound(moves_.begin(), moves_.end(), t, [](double time, const Move& m) { return time < m.start_s; });
  return after == moves_.begin() ? 0 : static_cast<std::size_t>(after - moves_.begin()) - 1;
}

std::size_t Motion::move_at(double t) const {
  if (moves_.empty()) return 0;
  if (smoothing_ == 0) return index_at(t);
  const auto after = std::upper_bound(moves_.begin(), moves_.end(), way_at(t),
                                      [](double way, const Move& m) { return way < m.start_mm; });
  return after == moves_.begin() ? 0 : static_cast<std::size_t>(after - moves_.begin()) - 1;
}

Vec Motion::position_at(double t) const {
  if (moves_.empty()) return points_.empty() ? Vec{} : points_.front();
  if (t >= seconds_) return points_.back();
  const std::size_t i = move_at(t);
  const Move& m = moves_[i];
  const double s = smoothing_ > 0 ? way_at(t) - m.start_mm : into(m, std::max(0.0, t - m.start_s)).first;
  return lerp(points_[i], points_[i + 1], std::clamp(s / m.length, 0.0, 1.0));
}

double motion_seconds(const std::vector<Vec>& points, const MotionLimits& limits) {
  if (points.size() == 2) {  // the travel case: at rest at both ends
    const double length = distance(points[0], points[1]);
    if (length == 0) return 0;
    const double peak = std::min(limits.speed_mm_s, std::sqrt(limits.accel_mm_s2 * length));
    return move_seconds(length, 0, peak, 0, limits.accel_mm_s2) + limits.smoothing_s();
  }
  return Motion(points, limits).seconds();
}

}  // namespace dotlane
