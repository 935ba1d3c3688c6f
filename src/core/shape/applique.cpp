#include "core/shape/applique.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

#include "core/geometry/measure.hpp"

namespace dotlane {
namespace {

constexpr double kCornerTurn = 0.6;      // radians: a sharper turn is a corner
constexpr double kBend = 8;              // allowances: an inward bend of a smaller radius is clipped,
constexpr double kBulge = 4;             // and an outward one notched
constexpr double kWindow = 3;            // mm of edge over which its bend is judged
constexpr double kNotch = 0.25;          // of the allowance: half the width of a notch
constexpr double kShortestMark = 0.2;    // mm: what clipping leaves besides is no mark
constexpr std::size_t kMostSides = 300;  // that are looked at for a place of the underlap
constexpr double kHairsMm = 0.05;        // slivers that a difference may leave

/// A place on the edge of the face; its directions are of length 1.
struct EdgePlace {
  Vec at, out;      // out of the fabric
  double turn = 0;  // radians within the window; positive where it bulges
  bool corner = false;
};

Vec unit_of(Vec v) {
  const double n = norm(v);
  return n > 0 ? v * (1 / n) : Vec{};
}

/// Out of the fabric, which lies to the right of the way around it.
Vec outward(Vec along) { return {along.y, -along.x}; }

/// The corners of a ring, and places every half millimetre on its bends.
std::vector<EdgePlace> places_on(const Ring& ring) {
  constexpr double kStep = 0.5;
  const std::size_t n = ring.size();
  std::vector<EdgePlace> out;
  std::vector<double> turn(n);
  for (std::size_t i = 0; i < n; ++i) {
    const Vec a = ring[i] - ring[(i + n - 1) % n], b = ring[(i + 1) % n] - ring[i];
    turn[i] = std::atan2(cross(a, b), dot(a, b));
    if (std::abs(turn[i]) >= kCornerTurn)
      out.push_back({ring[i], unit_of(outward(unit_of(a)) + outward(unit_of(b))), turn[i], true});
  }
  double carried = 0;
  for (std::size_t i = 0; i < n; ++i) {
    const Vec a = ring[i], b = ring[(i + 1) % n];
    const double length = distance(a, b);
    for (; carried < length; carried += kStep) {
      // What turns within half a window to either side, corners left out.
      double bend = 0;
      double far = carried;
      for (std::size_t k = i; far < kWindow / 2 && k + n > i; --k) {
        const std::size_t at = k % n;
        if (std::abs(turn[at]) >= kCornerTurn) break;
        bend += turn[at];
        far += distance(ring[at], ring[(at + n - 1) % n]);
        if (k == 0) break;
      }
      far = length - carried;
      for (std::size_t k = i + 1; far < kWindow / 2 && k < i + n; ++k) {
        if (std::abs(turn[k % n]) >= kCornerTurn) break;
        bend += turn[k % n];
        far += distance(ring[k % n], ring[(k + 1) % n]);
      }
      out.push_back({a + (b - a) * (carried / length), outward(unit_of(b - a)), bend, false});
    }
    carried -= length;
  }
  return out;
}

}  // namespace

Region applique_cut(const Region& face, const Region& cover, double allowance, double underlap) {
  if (cover.empty()) return allowance > 0 ? offset(face, allowance) : face;
  const Region seen = without_slivers(subtract(face, cover), kHairsMm);
  if (seen.empty()) return {};
  std::vector<Region> all{seen};
  if (allowance > 0) all.push_back(subtract(offset(seen, allowance), cover));
  if (underlap > 0) all.push_back(intersect(offset(seen, underlap), cover));
  return unite(all);
}

std::vector<Polyline> allowance_marks(const Region& face, const Region& cut, double allowance) {
  std::vector<Polyline> marks;
  if (allowance <= kClear) return marks;
  const auto from_edge = [&](const EdgePlace& p, double mm) { return p.at + p.out * mm; };
  for (const auto& ring : face.rings) {
    const auto places = places_on(ring);
    std::vector<Vec> taken;  // on the edge
    const auto free = [&](Vec at, double apart) {
      return std::none_of(taken.begin(), taken.end(), [&](Vec t) { return distance(t, at) < apart; });
    };
    for (const auto& p : places) {
      if (!p.corner) continue;
      taken.push_back(p.at);
      if (p.turn < 0) {
        marks.push_back({{from_edge(p, 0.3), from_edge(p, allowance * std::numbers::sqrt2)}, false});
      } else {
        const Vec across{-p.out.y, p.out.x};
        const Vec at = from_edge(p, kClear);
        marks.push_back({{at - across * (2 * allowance), at + across * (2 * allowance)}, false});
      }
    }
    for (const auto& p : places) {
      if (p.corner || std::abs(p.turn) < 1e-6) continue;
      const double radius = kWindow / std::abs(p.turn);
      const bool inward = p.turn < 0;
      if (radius > (inward ? kBend : kBulge) * allowance) continue;
      const double apart = std::clamp(radius / (inward ? 3 : 2), 3.0, 12.0);
      if (!free(p.at, apart)) continue;
      taken.push_back(p.at);
      const Vec inner = from_edge(p, kClear), outer = from_edge(p, allowance);
      if (inward) {
        marks.push_back({{inner, outer}, false});
      } else {
        const Vec side = Vec{-p.out.y, p.out.x} * (kNotch * allowance);
        marks.push_back({{outer - side, inner, outer + side}, false});
      }
    }
  }
  // Only in the allowance, up to where it is cut.
  marks = clip(clip(marks, cut, true), offset(face, 0.25), false);
  std::erase_if(marks, [](const Polyline& mark) { return length_of(mark) < kShortestMark; });
  return marks;
}

double narrower_than(const Region& face, double width) {
  return width > 0 ? std::max(0.0, area_of(face) - area_of(without_slivers(face, width))) : 0;
}

std::optional<Underlap> underlap_of(const Region& face, const Region& cover, const Region& cut, double underlap_mm) {
  const Region seen = subtract(face, cover);
  std::vector<std::pair<double, Underlap>> sides;  // by how long they are
  for (const auto& ring : cut.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      sides.push_back({distance(a, b), {{}, (a + b) * 0.5}});
    }
  }
  std::stable_sort(sides.begin(), sides.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
  std::size_t tried = 0;
  for (auto& [length, under] : sides) {
    if (!encloses(cover, under.cut)) continue;
    if (++tried > kMostSides) break;
    double nearest = std::numeric_limits<double>::infinity();
    for (const auto& ring : seen.rings) {
      for (std::size_t k = 0; k < ring.size(); ++k) {
        const Vec q = nearest_on(ring[k], ring[(k + 1) % ring.size()], under.cut);
        if (const double d = distance(q, under.cut); d < nearest) nearest = d, under.seen = q;
      }
    }
    // Sides of the shape itself run under it from its edge inward, nearer than that.
    if (std::abs(nearest - underlap_mm) <= 0.02 * underlap_mm) return under;
  }
  return std::nullopt;
}

}  // namespace dotlane
