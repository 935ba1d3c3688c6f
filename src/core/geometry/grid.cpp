#include "core/geometry/grid.hpp"

#include <algorithm>

#include "core/geometry/clusters.hpp"
#include "core/geometry/dense.hpp"

namespace dotlane {
namespace {

using ClipperLib::cInt;

constexpr double kReach = 1e9;  // mm; beyond this the grid ends

std::size_t vertices_in(const ClipperLib::Paths& rings) {
  std::size_t n = 0;
  for (const auto& ring : rings) n += ring.size();
  return n;
}

// Rings of one cluster, with the box around them: what cannot touch is never swept together.
struct Cluster {
  ClipperLib::Paths rings;
  cInt x0 = 0, y0 = 0, x1 = -1, y1 = -1;
  std::size_t members = 1;
  void add(const ClipperLib::Path& ring) {
    for (const auto& p : ring) {
      if (rings.empty() && &p == &ring.front()) {
        x0 = x1 = p.X, y0 = y1 = p.Y;
      } else {
        x0 = std::min(x0, p.X), x1 = std::max(x1, p.X), y0 = std::min(y0, p.Y), y1 = std::max(y1, p.Y);
      }
    }
    rings.push_back(ring);
  }
};

Cluster merged(Cluster a, const Cluster& b) {
  if (a.rings.empty()) return b;
  if (b.rings.empty()) return a;
  a.rings.insert(a.rings.end(), b.rings.begin(), b.rings.end());
  a.x0 = std::min(a.x0, b.x0), a.x1 = std::max(a.x1, b.x1);
  a.y0 = std::min(a.y0, b.y0), a.y1 = std::max(a.y1, b.y1);
  a.members += b.members;
  return a;
}

/// Clusters whose boxes touch, directly or through others, brought together; the first `apart` do not meet each other,
/// and neither do the others.
std::vector<Cluster> gathered(std::vector<Cluster> in, std::size_t apart) {
  std::vector<Box> boxes;
  for (const auto& c : in) {
    boxes.push_back(
        {static_cast<double>(c.x0), static_cast<double>(c.y0), static_cast<double>(c.x1), static_cast<double>(c.y1)});
  }
  std::vector<Cluster> out;
  for (const auto& together : touching(boxes, apart)) {
    out.push_back(std::move(in[together.front()]));
    for (std::size_t k = 1; k < together.size(); ++k) out.back() = merged(std::move(out.back()), in[together[k]]);
  }
  return out;
}

Cluster cluster_of(const ClipperLib::Paths& rings) {
  Cluster out;
  for (const auto& ring : rings) out.add(ring);
  return out;
}

/// Groups of clean rings by outline: each outline with the holes in it.
void collect_parts(const ClipperLib::PolyNode& node, std::vector<ClipperLib::Paths>& out) {
  for (const auto* outline : node.Childs) {
    ClipperLib::Paths part{outline->Contour};
    for (const auto* hole : outline->Childs) part.push_back(hole->Contour);
    out.push_back(std::move(part));
    for (const auto* hole : outline->Childs) collect_parts(*hole, out);
  }
}

std::vector<ClipperLib::Paths> swept_parts(const ClipperLib::Paths& rings) {
  if (vertices_in(rings) > kDense) {
    if (const auto dense = dense_union(parts_of(grid::to_region(rings)))) return grid::parts(*dense);
  }
  ClipperLib::Clipper clipper;
  clipper.AddPaths(rings, ClipperLib::ptSubject, true);
  ClipperLib::PolyTree tree;
  grid::execute(clipper, ClipperLib::ctUnion, tree, ClipperLib::pftNonZero);
  std::vector<ClipperLib::Paths> out;
  collect_parts(tree, out);
  return out;
}

/// The union of one half with the other, by halves: small sweeps grow into large ones, and what only one half holds
/// away from the other is left alone.
std::vector<Cluster> united(std::vector<Cluster> all) {
  if (all.size() <= 1) return all;
  cInt x0 = all[0].x0, x1 = all[0].x1, y0 = all[0].y0, y1 = all[0].y1;
  std::size_t vertices = 0;
  for (const auto& c : all) {
    x0 = std::min(x0, c.x0), x1 = std::max(x1, c.x1), y0 = std::min(y0, c.y0), y1 = std::max(y1, c.y1);
    for (const auto& ring : c.rings) vertices += ring.size();
  }
  std::vector<Cluster> left, right;
  if (all.size() > 8 && vertices > 400) {
    const bool across = x1 - x0 > y1 - y0;
    const auto mid = all.begin() + static_cast<std::ptrdiff_t>(all.size() / 2);
    std::nth_element(all.begin(), mid, all.end(), [&](const Cluster& a, const Cluster& b) {
      return across ? a.x0 + a.x1 < b.x0 + b.x1 : a.y0 + a.y1 < b.y0 + b.y1;
    });
    right.assign(std::make_move_iterator(mid), std::make_move_iterator(all.end()));
    all.erase(mid, all.end());
    left = united(std::move(all));
    right = united(std::move(right));
  } else {
    left = std::move(all);
  }
  const std::size_t apart = right.empty() ? 0 : left.size();
  std::vector<Cluster> both;
  for (auto* half : {&left, &right}) {
    for (auto& c : *half) both.push_back(std::move(c));
  }
  std::vector<Cluster> out;
  for (auto& group : gathered(std::move(both), apart)) {
    if (group.members == 1) {
      out.push_back(std::move(group));
      continue;
    }
    for (const auto& part : swept_parts(group.rings)) out.push_back(cluster_of(part));
  }
  return out;
}

}  // namespace

ClipperLib::IntPoint grid::to_grid(Vec p) {
  return {static_cast<cInt>(std::llround(std::clamp(p.x, -kReach, kReach) * kPerMm)),
          static_cast<cInt>(std::llround(std::clamp(p.y, -kReach, kReach) * kPerMm))};
}

Vec grid::to_mm(const ClipperLib::IntPoint& p) {
  return {static_cast<double>(p.X) / kPerMm, static_cast<double>(p.Y) / kPerMm};
}

ClipperLib::Path grid::to_grid(const std::vector<Vec>& points) {
  ClipperLib::Path out;
  out.reserve(points.size());
  for (const Vec p : points) out.push_back(to_grid(p));
  return out;
}

Ring grid::to_mm(const ClipperLib::Path& path) {
  Ring out;
  out.reserve(path.size());
  for (const auto& p : path) out.push_back(to_mm(p));
  return out;
}

Region grid::to_region(const ClipperLib::Paths& rings) {
  Region out;
  out.rings.reserve(rings.size());
  for (const auto& ring : rings) out.rings.push_back(to_mm(ring));
  return out;
}

std::vector<ClipperLib::Paths> grid::parts(const Region& region) {
  std::vector<ClipperLib::Paths> out;
  for (const auto& part : parts_of(region)) {
    auto& rings = out.emplace_back();
    for (const auto& ring : part.rings) rings.push_back(to_grid(ring));
  }
  return out;
}

Region grid::united(const std::vector<ClipperLib::Paths>& parts) {
  std::vector<Cluster> clusters;
  for (const auto& part : parts) clusters.push_back(cluster_of(part));
  Region out;
  for (const auto& c : ::dotlane::united(std::move(clusters))) {
    for (const auto& ring : c.rings) out.rings.push_back(to_mm(ring));
  }
  return out;
}

std::vector<std::vector<std::size_t>> grid::gathered(const std::vector<ClipperLib::Paths>& groups) {
  std::vector<Box> boxes;
  for (const auto& rings : groups) {
    Box& box = boxes.emplace_back();
    for (const auto& ring : rings) {
      for (const auto& p : ring) box.add(Vec{static_cast<double>(p.X), static_cast<double>(p.Y)});
    }
  }
  return touching(boxes);
}

}  // namespace dotlane
