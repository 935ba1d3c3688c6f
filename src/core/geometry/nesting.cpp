#include "core/geometry/nesting.hpp"

#include <algorithm>
#include <cstdint>
#include <vector>

namespace dotlane {
namespace {

using ClipperLib::IntPoint;
__extension__ using Wide = __int128;  // products of grid coordinates do not fit 64 bits at every size

int side(const IntPoint& a, const IntPoint& b, const IntPoint& p) {
  const Wide v = Wide{b.X - a.X} * (p.Y - a.Y) - Wide{b.Y - a.Y} * (p.X - a.X);
  return v > 0 ? 1 : v < 0 ? -1 : 0;
}

bool touch(const IntPoint& a, const IntPoint& b, const IntPoint& c, const IntPoint& d) {
  if (std::max(a.X, b.X) < std::min(c.X, d.X) || std::max(c.X, d.X) < std::min(a.X, b.X) ||
      std::max(a.Y, b.Y) < std::min(c.Y, d.Y) || std::max(c.Y, d.Y) < std::min(a.Y, b.Y))
    return false;
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

struct Edge {
  IntPoint a, b;
  std::uint32_t ring, at, count;  // its place in its ring of `count` edges
};

/// True when no two edges meet but at the vertex they share, which they leave in different directions.
bool apart(const std::vector<Edge>& edges, const ClipperLib::IntRect& box) {
  const double width = static_cast<double>(box.right - box.left) + 1,
               height = static_cast<double>(box.bottom - box.top) + 1;
  const double cells = std::clamp(std::sqrt(static_cast<double>(edges.size())) * 2, 1.0, 2000.0);
  const double cell = std::max(width, height) / cells;
  const auto across = static_cast<std::size_t>(width / cell) + 1, down = static_cast<std::size_t>(height / cell) + 1;
  auto span = [&](const Edge& e, auto&& visit) {
    auto low = [&](ClipperLib::cInt v, ClipperLib::cInt from) {
      return static_cast<std::size_t>(static_cast<double>(v - from) / cell);
    };
    const auto x0 = low(std::min(e.a.X, e.b.X), box.left), x1 = low(std::max(e.a.X, e.b.X), box.left);
    const auto y0 = low(std::min(e.a.Y, e.b.Y), box.top), y1 = low(std::max(e.a.Y, e.b.Y), box.top);
    for (auto y = y0; y <= y1; ++y) {
      for (auto x = x0; x <= x1; ++x) visit(y * across + x);
    }
  };
  // Edges by cell: counted, then filed.
  std::vector<std::uint32_t> start(across * down + 1, 0);
  std::size_t filed = 0;
  for (const auto& e : edges) {
    span(e, [&](std::size_t c) { ++start[c + 1], ++filed; });
    if (filed > 64 * edges.size() + 100'000) return false;  // long edges everywhere: a sweep is no slower
  }
  for (std::size_t i = 1; i < start.size(); ++i) start[i] += start[i - 1];
  std::vector<std::uint32_t> file(filed), next(start.begin(), start.end() - 1);
  for (std::uint32_t i = 0; i < edges.size(); ++i) span(edges[i], [&](std::size_t c) { file[next[c]++] = i; });
  std::size_t asked = 0;
  for (std::size_t c = 0; c + 1 < start.size(); ++c) {
    for (auto i = start[c]; i < start[c + 1]; ++i) {
      const Edge& e = edges[file[i]];
      for (auto k = i + 1; k < start[c + 1]; ++k) {
        const Edge& f = edges[file[k]];
        if (e.ring == f.ring && e.count > 2) {
          const bool follows = (e.at + 1) % e.count == f.at, leads = (f.at + 1) % f.count == e.at;
          if (follows || leads) {
            const Edge &first = follows ? e : f, &second = follows ? f : e;
            const bool straight = side(first.a, first.b, second.b) == 0;
            const Wide onward = Wide{first.b.X - first.a.X} * (second.b.X - first.b.X) +
                                Wide{first.b.Y - first.a.Y} * (second.b.Y - first.b.Y);
            if (straight && onward <= 0) return false;
            if (e.count == 3 || !(follows && leads)) continue;
          }
        }
        if (touch(e.a, e.b, f.a, f.b)) return false;
      }
      asked += start[c + 1] - i;
    }
    if (asked > 400 * edges.size() + 1'000'000) return false;
  }
  return true;
}

}  // namespace

std::optional<ClipperLib::Paths> nested_rings(const ClipperLib::Paths& in, FillRule rule) {
  ClipperLib::Paths rings;
  std::vector<Edge> edges;
  ClipperLib::IntRect box{};
  std::vector<ClipperLib::IntRect> boxes;  // of each ring
  bool first = true;
  for (const auto& given : in) {
    ClipperLib::Path ring;
    for (const auto& p : given) {
      if (ring.empty() || !(ring.back() == p)) ring.push_back(p);
    }
    while (ring.size() > 1 && ring.front() == ring.back()) ring.pop_back();
    if (ring.size() < 3) continue;
    ClipperLib::IntRect own{ring[0].X, ring[0].Y, ring[0].X, ring[0].Y};
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const auto& p = ring[i];
      own.left = std::min(own.left, p.X), own.right = std::max(own.right, p.X);
      own.top = std::min(own.top, p.Y), own.bottom = std::max(own.bottom, p.Y);
      edges.push_back({p, ring[(i + 1) % ring.size()], static_cast<std::uint32_t>(rings.size()),
                       static_cast<std::uint32_t>(i), static_cast<std::uint32_t>(ring.size())});
    }
    if (first) box = own, first = false;
    box.left = std::min(box.left, own.left), box.right = std::max(box.right, own.right);
    box.top = std::min(box.top, own.top), box.bottom = std::max(box.bottom, own.bottom);
    boxes.push_back(own);
    rings.push_back(std::move(ring));
  }
  if (rings.size() > 2000 || !apart(edges, box)) return std::nullopt;
  std::vector<bool> positive;
  for (const auto& ring : rings) positive.push_back(ClipperLib::Orientation(ring));
  ClipperLib::Paths out;
  for (std::size_t i = 0; i < rings.size(); ++i) {
    int winding = 0, depth = 0;
    const IntPoint& p = rings[i].front();
    for (std::size_t k = 0; k < rings.size(); ++k) {
      const auto& room = boxes[k];
      if (p.X < room.left || p.X > room.right || p.Y < room.top || p.Y > room.bottom) continue;
      if (k == i || ClipperLib::PointInPolygon(p, rings[k]) == 0) continue;
      winding += positive[k] ? 1 : -1;
      ++depth;
    }
    const int within = winding + (positive[i] ? 1 : -1);
    const bool outside_filled = rule == FillRule::evenodd ? depth % 2 != 0 : winding != 0;
    const bool inside_filled = rule == FillRule::evenodd ? depth % 2 == 0 : within != 0;
    if (outside_filled == inside_filled) continue;
    if (positive[i] != inside_filled) std::reverse(rings[i].begin(), rings[i].end());
    out.push_back(rings[i]);
  }
  return out;
}

}  // namespace dotlane
