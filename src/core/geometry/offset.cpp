#include <algorithm>

#include "core/geometry/dense.hpp"
#include "core/geometry/grid.hpp"
#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

/// The points of a corner at `p` between edges with the unit normals `a` and `b`, `by` mm away. Turns away from the
/// offset get the three points whose loop winds the other way and is swept out again.
void add_corner(Ring& out, Vec p, Vec a, Vec b, double by, double shorter, const OffsetOptions& options) {
  const double sine = cross(a, b), cosine = dot(a, b);
  const double reach = std::sqrt(2 / std::max(1 + cosine, 1e-12));  // of a mitre, in distances
  const Vec mitre = p + (a + b) * (by / std::max(1 + cosine, 1e-12));
  const bool outer = sine * by >= 0;
  // Nearly straight: one point serves, as long as it does not reach past the edges' ends.
  if (cosine > 0.5 && std::abs(by) * (reach - 1) < options.chord &&
      (outer || std::abs(by) * std::abs(sine) / (1 + cosine) < shorter)) {
    out.push_back(mitre);
    return;
  }
  const Vec from = p + a * by, to = p + b * by;
  if (!outer) {
    out.insert(out.end(), {from, p, to});
  } else if (options.corners == Corners::mitre && reach <= options.mitre_limit) {
    out.push_back(mitre);
  } else if (options.corners == Corners::round) {
    const double turn = std::atan2(std::abs(sine), cosine);
    const double step = 2 * std::acos(std::max(0.0, 1 - options.chord / std::abs(by)));
    const int n = std::max(1, static_cast<int>(std::ceil(turn / std::max(step, 1e-3))));
    const double way = sine >= 0 ? turn / n : -turn / n;
    out.push_back(from);
    for (int i = 1; i < n; ++i) {
      const double c = std::cos(way * i), s = std::sin(way * i);
      out.push_back(p + Vec{a.x * c - a.y * s, a.x * s + a.y * c} * by);
    }
    out.push_back(to);
  } else {
    out.insert(out.end(), {from, to});
  }
}

/// The ring moved sideways by `by`, loops and all.
Ring raw_offset(const Ring& ring, double by, const OffsetOptions& options) {
  const std::size_t n = ring.size();
  std::vector<Vec> normals(n);
  std::vector<double> lengths(n);
  for (std::size_t i = 0; i < n; ++i) {
    const Vec d = ring[(i + 1) % n] - ring[i];
    lengths[i] = norm(d);
    normals[i] = lengths[i] > 0 ? Vec{d.y / lengths[i], -d.x / lengths[i]} : normals[(i + n - 1) % n];
  }
  Ring out;
  out.reserve(n * 2);
  for (std::size_t i = 0; i < n; ++i) {
    const std::size_t before = (i + n - 1) % n;
    add_corner(out, ring[i], normals[before], normals[i], by, std::min(lengths[before], lengths[i]), options);
  }
  return out;
}

/// What the raw offset curves of one part enclose. Shrinking is growing what lies around: the curves are swept together
/// with a frame, and the frame is dropped again.
ClipperLib::Paths resolved(const ClipperLib::Paths& raw, bool grown) {
  ClipperLib::Clipper clipper;
  clipper.AddPaths(raw, ClipperLib::ptSubject, true);
  ClipperLib::Paths out;
  if (grown) {
    grid::execute(clipper, ClipperLib::ctUnion, out, ClipperLib::pftPositive);
    return out;
  }
  const auto box = clipper.GetBounds();
  const ClipperLib::Path frame{{box.left - 10, box.bottom + 10},
                               {box.right + 10, box.bottom + 10},
                               {box.right + 10, box.top - 10},
                               {box.left - 10, box.top - 10}};
  clipper.AddPath(frame, ClipperLib::ptSubject, true);
  clipper.ReverseSolution(true);
  grid::execute(clipper, ClipperLib::ctUnion, out, ClipperLib::pftNegative);
  if (!out.empty()) out.erase(out.begin());
  return out;
}

/// Tells whether a point is nearer to the edges of a part than a distance. The edges are kept by bands of y that reach
/// as far as the distance, so that each point asks those of one band.
class NearEdges {
 public:
  NearEdges(const Region& part, double distance) : distance_(distance), top_(bounds_of(part).grown(distance).y0) {
    constexpr double kMostBands = 1000;
    const double height = bounds_of(part).height() + 2 * distance;
    band_ = std::max(distance, height / kMostBands);
    bands_.resize(static_cast<std::size_t>(height / band_) + 1);
    for (const auto& ring : part.rings) {
      Vec a = ring.back();
      for (const Vec b : ring) {
        const std::size_t end = band_of(std::max(a.y, b.y) + distance);
        for (std::size_t k = band_of(std::min(a.y, b.y) - distance); k <= end; ++k) bands_[k].emplace_back(a, b);
        a = b;
      }
    }
  }
  [[nodiscard]] bool meet(Vec p) const {
    const double y = (p.y - top_) / band_;
    if (!(y >= 0) || y >= static_cast<double>(bands_.size())) return false;
    const auto& band = bands_[static_cast<std::size_t>(y)];
    return std::any_of(band.begin(), band.end(), [&](const auto& edge) {
      const auto& [a, b] = edge;
      if (std::max(a.x, b.x) < p.x - distance_ || std::min(a.x, b.x) > p.x + distance_) return false;
      const Vec off = p - nearest_on(a, b, p);
      return dot(off, off) < distance_ * distance_;
    });
  }

 private:
  [[nodiscard]] std::size_t band_of(double y) const {
    return static_cast<std::size_t>(std::clamp((y - top_) / band_, 0.0, static_cast<double>(bands_.size() - 1)));
  }
  double distance_, top_, band_ = 1;
  std::vector<std::vector<std::pair<Vec, Vec>>> bands_;
};

/// Offsets one part on its own.
ClipperLib::Paths offset_part(const Region& part, double by, const OffsetOptions& options) {
  auto thinner = [](const Region& from, double detail) {
    Region out;
    for (const auto& ring : from.rings) {
      Ring points = ring.size() < 12 ? ring : thinned(ring, detail);
      if (points.size() > 2) out.rings.push_back(std::move(points));
    }
    return out;
  };
  Region thin = thinner(part, options.chord / 2);
  for (double detail = kDenseDetail; vertices_in(thin) > kDense && detail <= std::max(kDenseDetail, std::abs(by) / 100);
       detail *= 2) {
    thin = thinner(thin, detail);
  }
  // A thinned ring may cross itself by a hair.
  if (vertices_in(thin) < vertices_in(part)) thin = region_of(thin.rings, FillRule::nonzero);
  ClipperLib::Paths raw;
  for (const auto& ring : thin.rings) raw.push_back(grid::to_grid(raw_offset(ring, by, options)));
  if (raw.empty()) return raw;
  auto shrunk = resolved(raw, by > 0);
  const double clear = -by - 4 * options.chord;
  if (by > 0 || clear <= 0) return shrunk;
  // A smooth bulge that is narrower than twice the distance turns inside out, and its raw curve encloses what it should
  // not. Bevels come nearer to the edge by themselves, so with them only what is too near all around goes.
  bool fooled = false;
  const NearEdges edges_near(thin, clear);
  std::erase_if(shrunk, [&](const ClipperLib::Path& ring) {
    const auto too_near =
        std::count_if(ring.begin(), ring.end(), [&](const auto& p) { return edges_near.meet(grid::to_mm(p)); });
    fooled = fooled || too_near > 0;
    return too_near == std::ssize(ring);
  });
  if (!fooled || options.corners != Corners::round) return shrunk;
  // The buffer along the edge, taken off, cannot be fooled; it takes longer.
  std::vector<Polyline> edges;
  for (const auto& ring : part.rings) edges.push_back(as_polyline(ring));
  ClipperLib::Paths out;
  for (const auto& ring : subtract(part, buffer(edges, -by, options.chord)).rings) out.push_back(grid::to_grid(ring));
  return out;
}

Region offset_once(const Region& region, double by, const OffsetOptions& options) {
  const auto parts = parts_of(region);
  std::vector<ClipperLib::Paths> moved(parts.size());
  for_each_index(parts.size(), 16, [&](std::size_t i) { moved[i] = offset_part(parts[i], by, options); });
  std::erase_if(moved, [](const ClipperLib::Paths& rings) { return rings.empty(); });
  if (by > 0) return grid::united(moved);
  // Shrunk parts lie inside what they were and cannot meet.
  Region out;
  for (const auto& part : moved) {
    for (const auto& ring : part) out.rings.push_back(grid::to_mm(ring));
  }
  return out;
}

/// How far to go in one step. Where very many vertices lie within the distance of each other, as along a fine saw, the
/// raw curve crosses itself without end; growing by a and then by b is growing by a + b, and after a short first step
/// few vertices are left.
double first_step(const Region& region, double by) {
  constexpr std::size_t kFew = 2000;
  constexpr double kNeighbours = 20;  // vertices within the distance, along the part
  double step = std::abs(by);
  for (const auto& part : parts_of(region)) {
    const std::size_t n = vertices_in(part);
    if (n < kFew) continue;
    const Box box = bounds_of(part);
    step = std::min(step, kNeighbours * std::hypot(box.width(), box.height()) / static_cast<double>(n));
  }
  if (step > std::abs(by) / 2) return by;
  return std::copysign(std::max(step, std::abs(by) / 32), by);
}

}  // namespace

Region offset(const Region& region, double by, const OffsetOptions& options) {
  if (by == 0 || region.empty()) return region;
  if (options.corners != Corners::round) return offset_once(region, by, options);
  Region now = region;
  for (int step = 0; step < 4; ++step) {
    const double way = first_step(now, by);
    if (way == by) break;
    now = offset_once(now, way, options);
    by -= way;
  }
  return offset_once(now, by, options);
}

Region buffer(const std::vector<Polyline>& polylines, double by, double chord) {
  std::vector<ClipperLib::Paths> buffers;
  if (!(by > 0)) return {};
  for (const auto& polyline : polylines) {
    if (polyline.points.empty()) continue;
    // Out along the polyline and back again is a ring of no area; its ends are corners of half a turn.
    Ring there = thinned(polyline, chord / 4).points;
    if (there.size() == 1) there.push_back(there.front() + Vec{chord / 4, 0});
    const std::size_t n = there.size();
    for (std::size_t i = n - 1; i-- > 1;) there.push_back(there[i]);
    auto rings = resolved({grid::to_grid(raw_offset(there, by, {Corners::round, 4, chord}))}, true);
    if (!rings.empty()) buffers.push_back(std::move(rings));
  }
  return grid::united(buffers);
}

Region without_slivers(const Region& region, double width) {
  const OffsetOptions mitred{Corners::mitre, 20, kChord};
  const Region core = offset(region, -width / 2, mitred);
  // Grown a little too far and cut back to the region itself, so that corners and curves stay where they were.
  return intersect(offset(core, width / 2 + 0.001, mitred), region);
}

}  // namespace dotlane
