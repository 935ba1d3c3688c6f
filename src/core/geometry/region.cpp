#include "core/geometry/region.hpp"

#include <algorithm>
#include <iterator>

#include "core/geometry/apart.hpp"
#include "core/geometry/dense.hpp"
#include "core/geometry/grid.hpp"
#include "core/geometry/nesting.hpp"
#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

/// The rings grouped by outline, holes with the smallest outline around them.
std::vector<std::vector<const Ring*>> grouped(const Region& region) {
  struct Outline {
    Box box;
    double area = 0;
  };
  std::vector<std::vector<const Ring*>> out;
  std::vector<Outline> outlines;
  for (const auto& ring : region.rings) {
    const double area = signed_area_of(ring);
    if (area <= 0) continue;
    out.push_back({&ring});
    outlines.push_back({bounds_of(ring), area});
  }
  for (const auto& ring : region.rings) {
    if (signed_area_of(ring) > 0) continue;
    const Box box = bounds_of(ring);
    std::vector<std::size_t> around;
    for (std::size_t i = 0; i < outlines.size(); ++i) {
      if (outlines[i].box.contains(box)) around.push_back(i);
    }
    if (around.size() > 1) {
      // A vertex may lie on the outline, where either answer is right: most of several decide.
      std::erase_if(around, [&](std::size_t i) {
        int inside = 0, asked = 0;
        const Polyline outline = as_polyline(*out[i].front());
        for (std::size_t k = 0; k < ring.size() && asked < 5; k += std::max<std::size_t>(1, ring.size() / 5), ++asked) {
          inside += encloses(outline, lerp(ring[k], ring[(k + 1) % ring.size()], 0.5)) ? 1 : -1;
        }
        return inside < 0;
      });
    }
    if (around.empty()) continue;
    const std::size_t owner = *std::min_element(around.begin(), around.end(), [&](std::size_t i, std::size_t k) {
      return outlines[i].area < outlines[k].area;
    });
    out[owner].push_back(&ring);
  }
  return out;
}

/// A ring without what lies beyond a window (Sutherland and Hodgman 1974): it may run along the window's sides to and
/// fro, which a sweep inside the window takes no notice of.
Ring cut_to(const Box& window, Ring ring) {
  const auto by_side = [&ring](const auto& inside, const auto& meets) {
    if (std::all_of(ring.begin(), ring.end(), inside)) return;
    Ring out;
    for (std::size_t i = 0, k = ring.size() - 1; i < ring.size(); k = i++) {
      const bool from = inside(ring[k]), to = inside(ring[i]);
      if (from != to) out.push_back(meets(ring[k], ring[i]));
      if (to) out.push_back(ring[i]);
    }
    ring = std::move(out);
  };
  const auto at_x = [](double x) {
    return [x](Vec a, Vec b) { return Vec{x, a.y + (b.y - a.y) * (x - a.x) / (b.x - a.x)}; };
  };
  const auto at_y = [](double y) {
    return [y](Vec a, Vec b) { return Vec{a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y), y}; };
  };
  by_side([&](Vec p) { return p.x >= window.x0; }, at_x(window.x0));
  by_side([&](Vec p) { return p.x <= window.x1; }, at_x(window.x1));
  by_side([&](Vec p) { return p.y >= window.y0; }, at_y(window.y0));
  by_side([&](Vec p) { return p.y <= window.y1; }, at_y(window.y1));
  return ring;
}

/// The rings of a region that reach into the window, without what of them lies beyond it.
Region cut_to(const Box& window, const Region& region) {
  Region out;
  for (const auto& ring : region.rings) {
    if (!bounds_of(ring).overlaps(window)) continue;
    if (Ring cut = cut_to(window, ring); cut.size() > 2) out.rings.push_back(std::move(cut));
  }
  return out;
}

Region swept(const Region& subject, const Region& clip, ClipperLib::ClipType operation) {
  ClipperLib::Clipper clipper;
  for (const auto& ring : subject.rings) clipper.AddPath(grid::to_grid(ring), ClipperLib::ptSubject, true);
  for (const auto& ring : clip.rings) clipper.AddPath(grid::to_grid(ring), ClipperLib::ptClip, true);
  ClipperLib::Paths rings;
  grid::execute(clipper, operation, rings, ClipperLib::pftNonZero);
  Region out;
  for (const auto& ring : rings) out.rings.push_back(grid::to_mm(ring));
  return out;
}

void append(Region& to, Region from) { std::move(from.rings.begin(), from.rings.end(), std::back_inserter(to.rings)); }

}  // namespace

Region intersect(const Region& a, const Region& b) {
  // Only what lies about where both are is swept, as a letter on a large figure asks for little of it.
  constexpr double kAround = 0.1;  // mm, so that the window's sides lie clear of the answer
  const auto window = [&](const Region& x, const Region& y) {
    return common(bounds_of(x), bounds_of(y)).grown(kAround);
  };
  if (!bounds_of(a).overlaps(bounds_of(b))) return {};
  const Region some_a = cut_to(window(a, b), a), some_b = cut_to(window(some_a, b), b);
  if (!bounds_of(some_a).overlaps(bounds_of(some_b))) return {};
  if (vertices_in(some_a) + vertices_in(some_b) > kDense) {
    // GEOS takes no rings that run to and fro.
    if (auto dense = dense_intersection(a, b)) return *std::move(dense);
  }
  return swept(some_a, some_b, ClipperLib::ctIntersection);
}

Region subtract(const Region& from, const Region& what) {
  const Box reach_from = bounds_of(from), reach_what = bounds_of(what);
  if (!reach_from.overlaps(reach_what)) return from;
  // Only what lies near the other side is swept; parts far from it are whole in the answer.
  Region subject, clip, out;
  for (auto& part : parts_of(from)) {
    Region& to = bounds_of(part.rings.front()).overlaps(reach_what) ? subject : out;
    append(to, std::move(part));
  }
  std::vector<Region> clips = parts_of(what);
  std::erase_if(clips, [&](const Region& part) { return !bounds_of(part.rings.front()).overlaps(reach_from); });
  for (const auto& part : clips) append(clip, part);
  if (vertices_in(subject) + vertices_in(clip) > kDense) {
    Cleared cleared = clear_of_edges(subject, clips);
    clip = std::move(cleared.to_sweep);
    append(out, {std::move(cleared.holes)});
  }
  if (vertices_in(subject) + vertices_in(clip) > kDense) {
    if (auto dense = dense_difference(subject, clip)) {
      append(out, *std::move(dense));
      return out;
    }
  }
  append(out, swept(subject, clip, ClipperLib::ctDifference));
  return out;
}

namespace {

ClipperLib::Paths united(const ClipperLib::Paths& rings, ClipperLib::PolyFillType fill) {
  ClipperLib::Paths out;
  ClipperLib::Clipper clipper;
  clipper.AddPaths(rings, ClipperLib::ptSubject, true);
  grid::execute(clipper, ClipperLib::ctUnion, out, fill);
  return out;
}

/// The union of rings that all go the same way round: each cleaned by itself, then united half by half.
ClipperLib::Paths united_by_halves(const ClipperLib::Paths& rings) {
  std::vector<ClipperLib::Paths> clean;
  for (const auto& ring : rings) {
    for (auto& part : grid::parts(grid::to_region(united({ring}, ClipperLib::pftNonZero))))
      clean.push_back(std::move(part));
  }
  ClipperLib::Paths out;
  for (const auto& ring : grid::united(clean).rings) out.push_back(grid::to_grid(ring));
  return out;
}

/// The rings that have no vertex on the outline of all: they lie within the others.
ClipperLib::Paths hidden(const ClipperLib::Paths& rings, const ClipperLib::Paths& outline) {
  std::vector<std::pair<ClipperLib::cInt, ClipperLib::cInt>> seen;
  for (const auto& ring : outline) {
    for (const auto& p : ring) seen.emplace_back(p.X, p.Y);
  }
  std::sort(seen.begin(), seen.end());
  ClipperLib::Paths out;
  for (const auto& ring : rings) {
    const bool shows = std::any_of(ring.begin(), ring.end(), [&](const ClipperLib::IntPoint& p) {
      return std::binary_search(seen.begin(), seen.end(), std::pair(p.X, p.Y));
    });
    if (!shows) out.push_back(ring);
  }
  return out;
}

/// What the rings enclose, under `nested` where they lie in each other or apart, and under `crossing` where they cross
/// or touch: told of each group by itself that may meet.
Region enclosed(const std::vector<Ring>& rings, FillRule nested, FillRule crossing, Detail detail) {
  std::vector<ClipperLib::Paths> each;
  for (const auto& ring : rings) {
    if (ring.size() > 2) each.push_back({grid::to_grid(ring)});
  }
  const auto fill = crossing == FillRule::evenodd ? ClipperLib::pftEvenOdd : ClipperLib::pftNonZero;
  const auto groups = grid::gathered(each);
  std::vector<ClipperLib::Paths> done(groups.size());
  for_each_index(groups.size(), 32, [&](std::size_t g) {
    ClipperLib::Paths together;
    for (const std::size_t i : groups[g]) together.push_back(each[i].front());
    if (auto simple = nested_rings(together, nested)) {
      done[g] = std::move(*simple);
      return;
    }
    if (nested != crossing) {
      for (auto& ring : together) {
        if (!ClipperLib::Orientation(ring)) std::reverse(ring.begin(), ring.end());
      }
    }
    // Dense rings that cross themselves would take minutes as they are.
    if (detail == Detail::enough && vertices_in(grid::to_region(together)) > 2 * kDense) {
      for (auto& ring : together) ring = grid::to_grid(thinned(grid::to_mm(ring), kDenseDetail));
    }
    done[g] = nested == crossing ? united(together, fill) : united_by_halves(together);
    if (nested != crossing) {
      ClipperLib::Paths islands = united(hidden(together, done[g]), ClipperLib::pftNonZero);
      for (auto& ring : islands) {
        std::reverse(ring.begin(), ring.end());
        done[g].push_back(std::move(ring));
      }
    }
  });
  Region out;
  for (const auto& finished : done) {
    for (const auto& ring : finished) out.rings.push_back(grid::to_mm(ring));
  }
  return out;
}

}  // namespace

Region region_of(const std::vector<Ring>& rings, FillRule rule, Detail detail) {
  return enclosed(rings, rule, rule, detail);
}

Region openings_of(const std::vector<Ring>& rings) {
  return enclosed(rings, FillRule::evenodd, FillRule::nonzero, Detail::enough);
}

Region region_of(const Path& path, double chord) {
  std::vector<Ring> rings;
  for (const auto& contour : path.contours) {
    if (!contour.closed) continue;
    auto points = flatten(contour, chord).points;
    if (points.size() > 1) points.pop_back();
    rings.push_back(std::move(points));
  }
  return region_of(rings, path.fill_rule);
}

Region unite(const std::vector<Region>& regions) {
  std::size_t vertices = 0;
  for (const auto& region : regions) vertices += vertices_in(region);
  if (vertices > kDense * regions.size()) {  // few and dense: not worth halving
    const SetAside aside = set_aside(regions);
    std::vector<Region> parts;
    for (const auto& region : aside.to_sweep) {
      for (auto& part : parts_of(region)) parts.push_back(std::move(part));
    }
    if (auto dense = dense_union(parts)) {
      dense->rings.insert(dense->rings.end(), aside.rings.begin(), aside.rings.end());
      return *dense;
    }
  }
  std::vector<ClipperLib::Paths> parts;
  for (const auto& region : regions) {
    for (auto& part : grid::parts(region)) parts.push_back(std::move(part));
  }
  return grid::united(parts);
}

std::vector<Region> parts_of(const Region& region) {
  std::vector<Region> out;
  for (const auto& group : grouped(region)) {
    auto& part = out.emplace_back();
    for (const Ring* ring : group) part.rings.push_back(*ring);
  }
  return out;
}

double signed_area_of(const Ring& ring) {
  double twice = 0;
  for (std::size_t i = 2; i < ring.size(); ++i) twice += cross(ring[i - 1] - ring[0], ring[i] - ring[0]);
  return twice / 2;
}

double area_of(const Region& region) {
  double area = 0;
  for (const auto& ring : region.rings) area += signed_area_of(ring);
  return area;
}

Vec centre_of(const Region& region) {
  const Box box = bounds_of(region);
  if (box.empty()) return {};
  const Vec middle = box.centre();  // measured from there, the sums stay small
  double twice_area = 0;
  Vec sum;
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i] - middle, b = ring[(i + 1) % ring.size()] - middle;
      const double w = cross(a, b);
      twice_area += w;
      sum = sum + (a + b) * w;
    }
  }
  return twice_area > 0 ? middle + sum * (1 / (3 * twice_area)) : middle;
}

double perimeter_of(const Region& region) {
  double length = 0;
  for (const auto& ring : region.rings) length += length_of(as_polyline(ring));
  return length;
}

std::size_t holes_in(const Region& region) {
  return static_cast<std::size_t>(
      std::count_if(region.rings.begin(), region.rings.end(), [](const Ring& r) { return signed_area_of(r) < 0; }));
}

std::size_t vertices_in(const Region& region) {
  std::size_t n = 0;
  for (const auto& ring : region.rings) n += ring.size();
  return n;
}

Box bounds_of(const Ring& ring) {
  Box box;
  for (const Vec p : ring) box.add(p);
  return box;
}

Box bounds_of(const Region& region) {
  Box box;
  for (const auto& ring : region.rings) box.add(bounds_of(ring));
  return box;
}

bool encloses(const Region& region, Vec p) {
  bool inside = false;
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0, k = ring.size() - 1; i < ring.size(); k = i++) {
      const Vec a = ring[k], b = ring[i];
      if ((a.y > p.y) != (b.y > p.y) && p.x < a.x + (b.x - a.x) * (p.y - a.y) / (b.y - a.y)) inside = !inside;
    }
  }
  return inside;
}

Polyline as_polyline(const Ring& ring) {
  Polyline out{ring, true};
  if (!ring.empty()) out.points.push_back(ring.front());
  return out;
}

Region transformed(const Region& region, const Affine& map) {
  Region out = region;
  const bool turned_over = map.determinant() < 0;
  for (auto& ring : out.rings) {
    for (Vec& p : ring) p = map(p);
    if (turned_over) std::reverse(ring.begin(), ring.end());
  }
  return out;
}

Region region_of(const Box& b) {
  if (b.empty()) return {};
  return Region{{{{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}}}};
}

}  // namespace dotlane
