#include "core/geometry/apart.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/buckets.hpp"
#include "core/geometry/region_edges.hpp"

namespace dotlane {
namespace {

constexpr double kClear = 1e-3;  // mm: nearer than this may be touching

/// Boxes, asked for what overlaps one.
class Boxes {
 public:
  Boxes(const Box& bounds, std::size_t about) : index_(bounds, about) {}
  void add(const Box& box, std::size_t of) {
    index_.each(box, [&](std::vector<int>& cell) { cell.push_back(static_cast<int>(boxes_.size())); });
    boxes_.push_back(box);
    of_.push_back(of);
  }
  /// Whether one overlaps that is of another than this.
  [[nodiscard]] bool meets(const Box& box, std::size_t of) {
    bool met = false;
    index_.each(box, [&](const std::vector<int>& cell) {
      met = met || std::any_of(cell.begin(), cell.end(), [&](int i) {
              return of_[static_cast<std::size_t>(i)] != of && boxes_[static_cast<std::size_t>(i)].overlaps(box);
            });
    });
    return met;
  }
  [[nodiscard]] double cell() const { return index_.cell(); }

 private:
  Buckets index_;
  std::vector<Box> boxes_;
  std::vector<std::size_t> of_;
};

template <class Visit>
void each_edge(const Region& region, Visit&& visit) {
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0, k = ring.size() - 1; i < ring.size(); k = i++) visit(ring[k], ring[i]);
  }
}

Box box_of(Vec a, Vec b) {
  Box box;
  box.add(a), box.add(b);
  return box;
}

constexpr std::size_t kEdges = 0, kAsked = 1;

}  // namespace

Cleared clear_of_edges(const Region& from, const std::vector<Region>& parts) {
  Cleared out;
  const auto sweep_all = [&] {
    out = {};
    for (const auto& part : parts)
      out.to_sweep.rings.insert(out.to_sweep.rings.end(), part.rings.begin(), part.rings.end());
  };
  const std::size_t edges = vertices_in(from);
  Boxes boxes(bounds_of(from), edges);
  // Long edges in pieces no longer than a cell; where that makes very many there is little to be gained.
  std::size_t pieces = 0;
  each_edge(from, [&](Vec a, Vec b) { pieces += 1 + static_cast<std::size_t>(distance(a, b) / boxes.cell()); });
  if (pieces > 20 * edges) {
    sweep_all();
    return out;
  }
  each_edge(from, [&](Vec a, Vec b) {
    const int n = 1 + static_cast<int>(distance(a, b) / boxes.cell());
    for (int i = 0; i < n; ++i)
      boxes.add(box_of(lerp(a, b, 1.0 * i / n), lerp(a, b, (i + 1.0) / n)).grown(kClear), kEdges);
  });
  const RegionEdges inside(from);
  for (const auto& part : parts) {
    bool near = false;
    each_edge(part, [&](Vec a, Vec b) { near = near || boxes.meets(box_of(a, b), kAsked); });
    if (near) {
      out.to_sweep.rings.insert(out.to_sweep.rings.end(), part.rings.begin(), part.rings.end());
    } else if (inside.encloses(part.rings.front().front())) {
      for (const auto& ring : part.rings) out.holes.emplace_back(ring.rbegin(), ring.rend());
    }
  }
  return out;
}

SetAside set_aside(const std::vector<Region>& regions) {
  SetAside out;
  Box all;
  std::size_t count = 0;
  std::vector<std::vector<Region>> parts;
  for (const auto& region : regions) {
    all.add(bounds_of(region));
    parts.push_back(parts_of(region));
    count += parts.back().size();
  }
  Boxes boxes(all, count);
  for (std::size_t r = 0; r < parts.size(); ++r) {
    for (const auto& part : parts[r]) boxes.add(bounds_of(part.rings.front()).grown(kClear), r);
  }
  for (std::size_t r = 0; r < parts.size(); ++r) {
    Region& sweep = out.to_sweep.emplace_back();
    for (auto& part : parts[r]) {
      const bool near = boxes.meets(bounds_of(part.rings.front()), r);
      for (std::size_t i = 0; i < part.rings.size(); ++i) {
        const bool swept = near && (i == 0 || boxes.meets(bounds_of(part.rings[i]), r));
        (swept ? sweep.rings : out.rings).push_back(std::move(part.rings[i]));
      }
    }
  }
  return out;
}

}  // namespace dotlane
