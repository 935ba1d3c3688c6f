#include "core/shape/stones.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/buckets.hpp"

namespace dotlane {
namespace {

constexpr double kMostRows = 5000;
constexpr double kNear = 1e-7;  // mm by which two may be nearer, for rounding
constexpr int kShiftsAcross = 8, kShiftsDown = 6;

/// So many places, evenly by length; closed lines have none at their end.
std::vector<Vec> evenly(const Polyline& line, double length, std::size_t count) {
  const double gap = line.closed ? length / static_cast<double>(count)
                     : count > 1 ? length / static_cast<double>(count - 1)
                                 : 0;
  std::vector<Vec> out;
  double next = count == 1 && !line.closed ? length / 2 : 0, passed = 0;
  for (std::size_t i = 1; i < line.points.size() && out.size() < count; ++i) {
    const Vec a = line.points[i - 1], b = line.points[i];
    const double d = distance(a, b);
    // The last one may lie a rounding past the end.
    const double end = i + 1 == line.points.size() ? passed + d + 1e-9 * length : passed + d;
    while (d > 0 && next <= end && out.size() < count) {
      out.push_back(a + (b - a) * std::min(1.0, (next - passed) / d));
      next += gap;
      if (gap <= 0) break;
    }
    passed += d;
  }
  return out;
}

/// Whether any two that follow one another are nearer than the pitch: a bent line is shorter across than along.
bool tight(const std::vector<Vec>& at, bool closed, double pitch) {
  for (std::size_t i = 1; i < at.size(); ++i) {
    if (distance(at[i - 1], at[i]) < pitch - kNear) return true;
  }
  return closed && at.size() > 1 && distance(at.back(), at.front()) < pitch - kNear;
}

}  // namespace

std::optional<double> stone_across(const std::string& size) {
  static constexpr std::pair<const char*, double> kSizes[]{
      {"ss6", 2.0}, {"ss10", 2.8}, {"ss16", 4.0}, {"ss20", 4.8}, {"ss30", 6.4}};
  for (const auto& [word, across] : kSizes) {
    if (size == word) return across;
  }
  return std::nullopt;
}

std::optional<std::vector<Vec>> stones_along(const std::vector<Polyline>& lines, double pitch) {
  std::vector<Vec> out;
  if (!(pitch > 0)) return out;
  Box box;
  double all = 0;
  for (const auto& line : lines) {
    for (const Vec p : line.points) box.add(p);
    all += length_of(line);
  }
  if (box.empty()) return out;
  if (all / pitch > static_cast<double>(kMostStones)) return std::nullopt;
  Buckets near(box, static_cast<std::size_t>(all / pitch) + 1);
  for (const auto& line : lines) {
    const double length = length_of(line);
    auto count = static_cast<std::size_t>(length / pitch + 1e-9);
    if (!line.closed) ++count;
    count = std::max<std::size_t>(1, count);
    auto at = evenly(line, length, count);
    // Around sharp corners even a few less may not do; then those that are too near give way below.
    for (const std::size_t least = count * 3 / 4; count > 1 && count > least && tight(at, line.closed, pitch);)
      at = evenly(line, length, --count);
    for (const Vec p : at) {
      bool free = true;
      near.each(Box{p.x, p.y, p.x, p.y}.grown(pitch), [&](const std::vector<int>& cell) {
        for (const int k : cell) free = free && distance(out[static_cast<std::size_t>(k)], p) >= pitch - kNear;
      });
      if (!free) continue;
      if (out.size() == kMostStones) return std::nullopt;
      near.at(near.column(p.x), near.row(p.y)).push_back(static_cast<int>(out.size()));
      out.push_back(p);
    }
  }
  return out;
}

std::optional<std::vector<Vec>> stones_all_over(const Region& region, double pitch) {
  std::vector<Vec> best;
  const Box box = bounds_of(region);
  if (!(pitch > 0) || box.empty()) return best;
  const double down = pitch * std::sqrt(3.0) / 2;
  if (area_of(region) > static_cast<double>(kMostStones) * pitch * down || box.height() > kMostRows * down)
    return std::nullopt;
  for (int y = 0; y < kShiftsDown; ++y) {
    // Two rows make the pattern.
    std::vector<Polyline> rows;
    const double first = box.y0 + down * (2.0 * y / kShiftsDown - 1) + kNear;
    const int n = static_cast<int>((box.y1 - first) / down) + 1;
    std::vector<std::vector<Polyline>> spans;
    for (int i = 0; i < n; ++i) {
      const double at = first + i * down;
      if (at < box.y0) {
        spans.emplace_back();
        continue;
      }
      spans.push_back(clip({Polyline{{{box.x0 - 1, at}, {box.x1 + 1, at}}, false}}, region, true));
    }
    for (int x = 0; x < kShiftsAcross; ++x) {
      std::vector<Vec> places;
      for (int i = 0; i < n; ++i) {
        const double start = box.x0 + pitch * (static_cast<double>(x) / kShiftsAcross + (i % 2 == 0 ? 0 : 0.5));
        for (const auto& span : spans[static_cast<std::size_t>(i)]) {
          const double a = std::min(span.points.front().x, span.points.back().x),
                       b = std::max(span.points.front().x, span.points.back().x);
          for (double k = std::ceil((a - start) / pitch - 1e-9); start + k * pitch <= b + kNear; ++k)
            places.push_back({start + k * pitch, span.points.front().y});
        }
      }
      if (places.size() > best.size()) best = std::move(places);
    }
  }
  if (best.size() > kMostStones) return std::nullopt;
  return best;
}

}  // namespace dotlane
