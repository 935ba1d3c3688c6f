#include "core/geometry/nearest.hpp"

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
  constexpr int kSamples = 16;
  double best = 0, least = std::numeric_limits<double>::infinity();
  for (int i = 0; i <= kSamples; ++i) {
    const double t = static_cast<double>(i) / kSamples;
    const Vec off = point_at(from, segment, t) - p;
    if (dot(off, off) < least) least = dot(off, off), best = t;
  }
  // Between the samples beside it, by golden sections, which always end; then Newton's method for the last digits.
  const auto far = [&](double t) {
    const Vec off = point_at(from, segment, t) - p;
    return dot(off, off);
  };
  constexpr double kGolden = 0.6180339887498949;
  double low = std::max(0.0, best - 1.0 / kSamples), high = std::min(1.0, best + 1.0 / kSamples);
  for (int i = 0; i < 40; ++i) {
    const double a = high - (high - low) * kGolden, b = low + (high - low) * kGolden;
    far(a) < far(b) ? high = b : low = a;
  }
  if (const double middle = (low + high) / 2; far(middle) < least) best = middle;
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
