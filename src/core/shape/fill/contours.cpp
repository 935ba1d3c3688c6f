#include "core/shape/fill/contours.hpp"

#include <algorithm>
#include <optional>

#include "core/geometry/failure.hpp"
#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

constexpr double kChordHere = 5e-4;       // mm: round corners of the insets
constexpr std::size_t kMostRings = 4000;  // one inside the other

struct NestedRing {
  Ring points;
  std::size_t level = 0;
};

/// The rings of one part, level by level.
std::vector<NestedRing> rings_of(const Region& part, double inset, double spacing, double shortest) {
  std::vector<NestedRing> out;
  for (std::size_t level = 0;; ++level) {
    if (level == kMostRings) throw GeometryFailure("step-failed/rings");
    const double by = inset + static_cast<double>(level) * spacing;
    const Region shrunk = by > 0 ? offset(part, -by, {Corners::round, 4, kChordHere}) : part;
    if (shrunk.empty()) break;
    for (const auto& ring : shrunk.rings) {
      if (length_of(as_polyline(ring)) < shortest) continue;
      out.push_back({ring, level});
    }
  }
  return out;
}

/// Adds the ring from its point `first` on, all around.
void go_round(Strokes& out, const Ring& ring, std::size_t first) {
  for (std::size_t k = 0; k <= ring.size(); ++k) out.add(ring[(first + k) % ring.size()]);
}

/// How a stroke that has gone round the outer ring gets to the inner one.
struct StepIn {
  double walk = std::numeric_limits<double>::infinity();  // mm along the outer ring
  std::vector<Vec> way;                                   // along the outer ring, to where it is left
  std::size_t to = 0;                                     // the inner ring's point
};

/// From point `start` of the outer ring to the inner ring's point nearest to it. That point is one spacing from the
/// outer ring, and so is the place where the outer ring is left: the step between them cannot leave the region.
std::optional<StepIn> step_in(const Ring& outer, std::size_t start, const Ring& inner, double spacing) {
  const double longest = 8 * spacing, reach = 1.001 * spacing + 4 * kChordHere;
  StepIn out;
  double nearest = std::numeric_limits<double>::infinity();
  for (std::size_t k = 0; k < inner.size(); ++k) {
    if (const double d = distance(outer[start], inner[k]); d < nearest) nearest = d, out.to = k;
  }
  if (nearest > longest) return std::nullopt;
  const Vec goal = inner[out.to];
  const std::size_t n = outer.size();
  std::size_t side = n;
  Vec leave;
  double best = reach;
  for (std::size_t k = 0; k < n; ++k) {
    const Vec foot = nearest_on(outer[k], outer[(k + 1) % n], goal);
    if (const double d = distance(foot, goal); d < best) best = d, side = k, leave = foot;
  }
  if (side == n) return std::nullopt;
  for (const bool forward : {true, false}) {
    std::vector<Vec> way;
    double walk = 0;
    Vec at = outer[start];
    const std::size_t last = forward ? side : (side + 1) % n;
    for (std::size_t k = start; k != last && walk <= longest;) {
      k = forward ? (k + 1) % n : (k + n - 1) % n;
      walk += distance(at, outer[k]);
      at = outer[k];
      way.push_back(at);
    }
    walk += distance(at, leave);
    way.push_back(leave);
    if (walk < out.walk) out.walk = walk, out.way = std::move(way);
  }
  if (out.walk > longest) return std::nullopt;
  return out;
}

/// Runs f(part's strokes, part's rings) for every part and puts the strokes in a row.
template <class F>
Strokes part_by_part(const Region& region, double inset, double spacing, double shortest, F f) {
  const auto parts = parts_of(region);
  std::vector<Strokes> made(parts.size());
  for_each_index(parts.size(), 4, [&](std::size_t i) {
    f(made[i], rings_of(parts[i], inset, spacing, shortest), static_cast<std::uint32_t>(i));
  });
  Strokes out;
  for (const auto& m : made) out.append(m);
  return out;
}

}  // namespace

Strokes nested_insets(const Region& region, double inset, double spacing, double shortest) {
  return part_by_part(region, inset, spacing, shortest,
                      [](Strokes& out, const std::vector<NestedRing>& rings, std::uint32_t part) {
                        for (const auto& r : rings) {
                          go_round(out, r.points, 0);
                          out.end(part);
                        }
                      });
}

Strokes spirals(const Region& region, double inset, double spacing, double shortest) {
  return part_by_part(
      region, inset, spacing, shortest, [&](Strokes& out, const std::vector<NestedRing>& rings, std::uint32_t part) {
        std::vector<char> used(rings.size(), 0);
        for (std::size_t first = 0; first < rings.size(); ++first) {
          if (used[first]) continue;
          std::size_t ring = first, start = 0;
          for (;;) {
            used[ring] = 1;
            go_round(out, rings[ring].points, start);
            std::size_t next = rings.size();
            StepIn best;
            for (std::size_t i = ring + 1; i < rings.size() && rings[i].level <= rings[ring].level + 1; ++i) {
              if (used[i] || rings[i].level == rings[ring].level) continue;
              const auto step = step_in(rings[ring].points, start, rings[i].points, spacing);
              if (step && step->walk < best.walk) best = *step, next = i;
            }
            if (next == rings.size()) break;
            for (const Vec p : best.way) out.add(p);
            ring = next;
            start = best.to;
          }
          out.end(part);
        }
      });
}

}  // namespace dotlane
