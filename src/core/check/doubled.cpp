#include "core/check/doubled.hpp"

#include <cstdint>
#include <map>
#include <unordered_map>

#include "core/geometry/measure.hpp"

namespace dotlane {
namespace {

struct Edge {
  Vec a, b;
  std::size_t line;
};

std::uint64_t cell_of(double x, double y, double side) {
  const auto cx = static_cast<std::uint32_t>(static_cast<std::int32_t>(std::floor(x / side)));
  const auto cy = static_cast<std::uint32_t>(static_cast<std::int32_t>(std::floor(y / side)));
  return (static_cast<std::uint64_t>(cx) << 32) | cy;
}

}  // namespace

std::vector<DoubledPair> find_doubled(const std::vector<std::vector<Polyline>>& lines, double gap, double least_mm) {
  // Long edges are walked in steps through the cells; a cell is a few samples wide.
  // Very long work is looked at in wider steps, so that the time it takes has a limit.
  constexpr double kMostSamples = 1e6;
  double whole = 0;
  for (const auto& line : lines) {
    for (const auto& polyline : line) whole += length_of(polyline);
  }
  const double step = std::max(gap * 5, whole / kMostSamples), kCell = std::max(1.0, 4 * step);
  std::vector<Edge> edges;
  std::unordered_map<std::uint64_t, std::vector<std::uint32_t>> cells;
  auto each_sample = [&](Vec a, Vec b, auto&& visit) {
    const double length = distance(a, b);
    const int n = std::max(1, static_cast<int>(std::ceil(length / step)));
    for (int i = 0; i < n; ++i) visit(lerp(a, b, (i + 0.5) / n), length / n);
  };
  for (std::size_t l = 0; l < lines.size(); ++l) {
    for (const auto& polyline : lines[l]) {
      for (std::size_t i = 1; i < polyline.points.size(); ++i) {
        edges.push_back({polyline.points[i - 1], polyline.points[i], l});
        const auto id = static_cast<std::uint32_t>(edges.size() - 1);
        each_sample(polyline.points[i - 1], polyline.points[i], [&](Vec p, double) {
          for (const double dx : {-gap, gap}) {
            for (const double dy : {-gap, gap}) {
              auto& cell = cells[cell_of(p.x + dx, p.y + dy, kCell)];
              if (cell.empty() || cell.back() != id) cell.push_back(id);
            }
          }
        });
      }
    }
  }
  std::map<std::pair<std::size_t, std::size_t>, double> shared;
  std::vector<std::size_t> seen;
  for (const auto& e : edges) {
    const Vec d = e.b - e.a;
    each_sample(e.a, e.b, [&](Vec p, double length) {
      const auto found = cells.find(cell_of(p.x, p.y, kCell));
      if (found == cells.end()) return;
      seen.clear();
      for (const auto id : found->second) {
        const Edge& other = edges[id];
        if (other.line >= e.line || std::find(seen.begin(), seen.end(), other.line) != seen.end()) continue;
        const Vec f = other.b - other.a;
        if (std::abs(cross(d, f)) > 0.0872 * norm(d) * norm(f)) continue;  // sin 5°
        if (distance(p, nearest_on(other.a, other.b, p)) > gap) continue;
        seen.push_back(other.line);
        shared[{other.line, e.line}] += length;
      }
    });
  }
  std::vector<DoubledPair> out;
  for (const auto& [pair, length] : shared) {
    if (length >= least_mm) out.push_back({pair.first, pair.second, length});
  }
  return out;
}

}  // namespace dotlane
