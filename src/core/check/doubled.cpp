#include "core/check/doubled.hpp"

#include <algorithm>
#include <cstdint>
#include <map>
#include <span>

#include "core/geometry/measure.hpp"

namespace dotlane {
namespace {

struct Edge {
  Vec a, b, along;  ///< `along` has the length 1, or 0 where the ends are the same
  std::size_t line;
};

/// Square cells over all edges, each with those that come near it, in their order.
class EdgeCells {
 public:
  /// `walk(edge, visit)` calls visit(place) for what the edge comes near.
  template <class Walk>
  EdgeCells(const std::vector<Edge>& edges, double side, const Walk& walk) {
    Box all;
    for (const auto& e : edges) all.add(e.a), all.add(e.b);
    constexpr double kMostAcross = 2000;  // more cells would be slower to clear than to search
    side_ = std::max(side, std::max(all.width(), all.height()) / kMostAcross);
    from_ = {all.x0 - side_, all.y0 - side_};
    across_ = static_cast<std::size_t>(all.width() / side_) + 3;
    const std::size_t count = across_ * (static_cast<std::size_t>(all.height() / side_) + 3);
    start_.assign(count + 1, 0);
    std::vector<std::uint32_t> last(count, 0);
    const auto each = [&](auto&& take) {
      for (std::uint32_t id = 0; id < edges.size(); ++id) {
        walk(edges[id], [&](Vec p) {
          const std::size_t c = cell(p);
          if (last[c] != id + 1) last[c] = id + 1, take(c, id);
        });
      }
    };
    each([&](std::size_t c, std::uint32_t) { ++start_[c + 1]; });
    for (std::size_t c = 0; c < count; ++c) start_[c + 1] += start_[c];
    file_.resize(start_.back());
    std::vector<std::uint32_t> next(start_.begin(), start_.end() - 1);
    std::fill(last.begin(), last.end(), 0);
    each([&](std::size_t c, std::uint32_t id) { file_[next[c]++] = id; });
  }
  [[nodiscard]] std::span<const std::uint32_t> at(Vec p) const {
    const std::size_t c = cell(p);
    return {file_.data() + start_[c], file_.data() + start_[c + 1]};
  }

 private:
  double side_ = 1;
  Vec from_;
  std::size_t across_ = 1;
  std::vector<std::uint32_t> start_, file_;

  [[nodiscard]] std::size_t cell(Vec p) const {
    return static_cast<std::size_t>((p.y - from_.y) / side_) * across_ +
           static_cast<std::size_t>((p.x - from_.x) / side_);
  }
};

}  // namespace

std::vector<DoubledPair> find_doubled(const std::vector<std::vector<Polyline>>& lines, double gap, double least_mm) {
  // Long edges are walked in steps through the cells; a cell is a few samples wide.
  // Very long work is looked at in wider steps, so that the time it takes has a limit.
  constexpr double kMostSamples = 1e6;
  double whole = 0;
  std::vector<Edge> edges;
  for (std::size_t l = 0; l < lines.size(); ++l) {
    for (const auto& polyline : lines[l]) {
      whole += length_of(polyline);
      for (std::size_t i = 1; i < polyline.points.size(); ++i) {
        const Vec a = polyline.points[i - 1], b = polyline.points[i];
        const double length = distance(a, b);
        edges.push_back({a, b, length > 0 ? (b - a) * (1 / length) : Vec{}, l});
      }
    }
  }
  if (edges.empty()) return {};
  const double step = std::max(gap * 5, whole / kMostSamples);
  auto each_sample = [&](Vec a, Vec b, auto&& visit) {
    const double length = distance(a, b);
    const int n = std::max(1, static_cast<int>(std::ceil(length / step)));
    for (int i = 0; i < n; ++i) visit(lerp(a, b, (i + 0.5) / n), length / n);
  };
  const EdgeCells cells(edges, std::max(1.0, 4 * step), [&](const Edge& e, auto&& visit) {
    each_sample(e.a, e.b, [&](Vec p, double) {
      for (const double dx : {-gap, gap}) {
        for (const double dy : {-gap, gap}) visit(p + Vec{dx, dy});
      }
    });
  });
  // What most of them are passed over by, close together.
  struct Head {
    float x, y;  // along
    std::uint32_t line;
  };
  std::vector<Head> heads;
  heads.reserve(edges.size());
  for (const auto& e : edges)
    heads.push_back({static_cast<float>(e.along.x), static_cast<float>(e.along.y), static_cast<std::uint32_t>(e.line)});
  std::map<std::pair<std::size_t, std::size_t>, double> shared;
  for (const auto& e : edges) {
    each_sample(e.a, e.b, [&](Vec p, double length) {
      std::size_t last = lines.size();  // the one that was found to run along here
      for (const auto id : cells.at(p)) {
        const auto& [x, y, line] = heads[id];
        if (line >= e.line) break;  // they are in the order of the lines
        if (line == last || std::abs(e.along.x * y - e.along.y * x) > 0.0872) continue;  // sin 5°
        const Edge& other = edges[id];
        if (distance(p, nearest_on(other.a, other.b, p)) > gap) continue;
        last = other.line;
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
