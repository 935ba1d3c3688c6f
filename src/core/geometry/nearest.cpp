#include "core/geometry/nearest.hpp"

#include <array>

namespace dotlane {
namespace {

/// First and second derivative of a cubic at t.
std::pair<Vec, Vec> slopes(Vec p0, const Segment& s, double t) {
  const Vec a = s.c1 - p0, b = s.c2 - s.c1, c = s.end - s.c2;
  const double u = 1 - t;
  return {(a * (u * u) + b * (2 * u * t) + c * (t * t)) * 3, ((b - a) * u + (c - b) * t) * 6};
}

/// Whether the segment may come within `reach` of the point: its control points' box does.
bool may_reach(Vec from, const Segment& s, Vec p, double reach) {
  Box box;
  box.add(from), box.add(s.end);
  if (!s.straight) box.add(s.c1), box.add(s.c2);
  return box.grown(reach).contains(p);
}

}  // namespace

double nearest_parameter(Vec from, const Segment& segment, Vec p) {
  if (segment.straight) {
    const Vec d = segment.end - from;
    const double dd = dot(d, d);
    return dd > 0 ? std::clamp(dot(p - from, d) / dd, 0.0, 1.0) : 0;
  }
  // The square of the distance is of degree six: it has three valleys at most. Each that samples show is followed, by
  // golden sections, which always end; then Newton's method finds the last digits.
  constexpr int kSamples = 48;
  const auto far = [&](double t) {
    const Vec off = point_at(from, segment, t) - p;
    return dot(off, off);
  };
  std::array<double, kSamples + 1> sampled{};
  for (int i = 0; i <= kSamples; ++i) sampled[static_cast<std::size_t>(i)] = far(static_cast<double>(i) / kSamples);
  double best = 0, least = std::numeric_limits<double>::infinity();
  for (int i = 0; i <= kSamples; ++i) {
    const auto at = static_cast<std::size_t>(i);
    const bool valley = (i == 0 || sampled[at] <= sampled[at - 1]) && (i == kSamples || sampled[at] <= sampled[at + 1]);
    if (!valley) continue;
    constexpr double kGolden = 0.6180339887498949;
    double low = std::max(0.0, (i - 1.0) / kSamples), high = std::min(1.0, (i + 1.0) / kSamples);
    for (int k = 0; k < 40; ++k) {
      const double one = high - (high - low) * kGolden, two = low + (high - low) * kGolden;
      far(one) < far(two) ? high = two : low = one;
    }
    for (const double t : {(low + high) / 2, static_cast<double>(i) / kSamples}) {
      if (far(t) < least) least = far(t), best = t;
    }
  }
  for (int i = 0; i < 10; ++i) {
    const Vec off = point_at(from, segment, best) - p;
    const auto [first, second] = slopes(from, segment, best);
    const double slope = dot(first, first) + dot(off, second);
    if (slope <= 0) break;
    const double next = std::clamp(best - dot(off, first) / slope, 0.0, 1.0);
    if (far(next) >= far(best) || std::abs(next - best) < 1e-15) break;
    best = next;
  }
  return best;
}

std::optional<OnPath> nearest_place(const Path& path, Vec p, double reach) {
  std::optional<OnPath> best;
  for (std::size_t c = 0; c < path.contours.size(); ++c) {
    Vec from = path.contours[c].start;
    for (std::size_t s = 0; s < path.contours[c].segments.size(); ++s) {
      const Segment& segment = path.contours[c].segments[s];
      if (may_reach(from, segment, p, reach)) {
        const double t = nearest_parameter(from, segment, p);
        const Vec at = point_at(from, segment, t);
        const double far = distance(at, p);
        if (far <= reach && (!best || far < best->distance)) best = OnPath{at, c, s, t, far};
      }
      from = segment.end;
    }
  }
  return best;
}

}  // namespace dotlane
