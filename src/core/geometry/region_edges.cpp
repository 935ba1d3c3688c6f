#include "core/geometry/region_edges.hpp"

#include <algorithm>
#include <cmath>
#include <utility>

namespace dotlane {
namespace {

constexpr double kGrain = 1e-6;  // mm: the grid of regions; no run is shorter, and what is nearer lies on an edge
constexpr double kRowsOfEdge = 4;

}  // namespace

RegionEdges::RegionEdges(const Region& region) : bounds_(bounds_of(region)) {
  double risen = 0;
  edges_.reserve(vertices_in(region));
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0, k = ring.size() - 1; i < ring.size(); k = i++) {
      edges_.push_back({ring[k], ring[i]});
      risen += std::abs(ring[i].y - ring[k].y);
    }
  }
  if (edges_.empty()) return;
  const double n = static_cast<double>(edges_.size());
  const double most = risen > 0 ? kRowsOfEdge * n * bounds_.height() / risen : 1;
  rows_ = std::max(1, static_cast<int>(std::min(n, most)));
  height_ = std::max(bounds_.height() / rows_, kGrain);
  std::vector<std::uint32_t> count(static_cast<std::size_t>(rows_) + 1);
  const auto each_row = [&](const auto& visit) {
    for (std::size_t i = 0; i < edges_.size(); ++i) {
      const auto [low, high] = std::minmax(edges_[i].a.y, edges_[i].b.y);
      for (int r = row_of(low); r <= row_of(high); ++r) visit(static_cast<std::size_t>(r), i);
    }
  };
  each_row([&](std::size_t row, std::size_t) { ++count[row + 1]; });
  for (std::size_t r = 1; r < count.size(); ++r) count[r] += count[r - 1];
  starts_ = count;
  of_rows_.resize(starts_.back());
  each_row([&](std::size_t row, std::size_t i) { of_rows_[count[row]++] = static_cast<std::uint32_t>(i); });
}

int RegionEdges::row_of(double y) const {
  return static_cast<int>(std::clamp((y - bounds_.y0) / height_, 0.0, static_cast<double>(rows_ - 1)));
}

bool RegionEdges::encloses(Vec p) const {
  if (edges_.empty() || p.y < bounds_.y0 || p.y > bounds_.y1 || p.x < bounds_.x0 || p.x > bounds_.x1) return false;
  bool inside = false;
  const auto row = static_cast<std::size_t>(row_of(p.y));
  for (std::uint32_t at = starts_[row]; at < starts_[row + 1]; ++at) {
    const auto [a, b] = edges_[of_rows_[at]];
    if ((a.y > p.y) != (b.y > p.y) && p.x < a.x + (b.x - a.x) * (p.y - a.y) / (b.y - a.y)) inside = !inside;
  }
  return inside;
}

std::vector<RegionEdges::Run> RegionEdges::runs(Vec a, Vec b) const {
  Box reach;
  reach.add(a), reach.add(b);
  const Vec along = b - a;
  const double length = norm(along);
  if (edges_.empty() || !comes_near(a, b)) return {{0, 1, false}};
  if (length < kGrain) return {{0, 1, encloses(a)}};
  std::vector<double> at;                       // where an edge is crossed
  std::vector<std::pair<double, double>> upon;  // from where to where it runs along one
  const int first = row_of(reach.y0), last = row_of(reach.y1);
  for (int row = first; row <= last; ++row) {
    const auto r = static_cast<std::size_t>(row);
    for (std::uint32_t i = starts_[r]; i < starts_[r + 1]; ++i) {
      const auto [c, d] = edges_[of_rows_[i]];
      if (std::max(c.x, d.x) < reach.x0 - kGrain || std::min(c.x, d.x) > reach.x1 + kGrain) continue;
      if (row != std::max(first, row_of(std::min(c.y, d.y)))) continue;  // seen in a row before this one
      const double left = cross(along, c - a) / length, right = cross(along, d - a) / length;  // mm beside the line
      if (std::abs(left) <= kGrain && std::abs(right) <= kGrain) {
        const auto ends = std::minmax({dot(c - a, along) / (length * length), dot(d - a, along) / (length * length)});
        const double from = std::max(ends.first, 0.0), to = std::min(ends.second, 1.0);
        if (from >= to) continue;
        upon.emplace_back(from, to);
        at.push_back(from), at.push_back(to);
      } else if ((left > 0) != (right > 0)) {
        const Vec meets = lerp(c, d, left / (left - right));
        const double t = dot(meets - a, along) / (length * length);
        if (t > 0 && t < 1) at.push_back(t);
      }
    }
  }
  std::sort(at.begin(), at.end());
  at.push_back(1);
  std::vector<Run> out;
  double from = 0;
  for (const double to : at) {
    if ((to - from) * length < kGrain && (to < 1 || !out.empty())) continue;
    const double middle = (from + to) / 2;
    const bool on_edge =
        std::any_of(upon.begin(), upon.end(), [&](const auto& u) { return u.first <= middle && middle <= u.second; });
    const bool inside = on_edge || encloses(lerp(a, b, middle));
    if (!out.empty() && out.back().inside == inside) {
      out.back().to = to;
    } else {
      out.push_back({from, to, inside});
    }
    from = to;
  }
  out.back().to = 1;
  return out;
}

bool RegionEdges::holds(const Polyline& line) const {
  if (line.points.size() == 1) return encloses(line.points.front());
  for (std::size_t i = 1; i < line.points.size(); ++i) {
    if (!comes_near(line.points[i - 1], line.points[i])) return false;
    for (const Run& run : runs(line.points[i - 1], line.points[i])) {
      if (!run.inside) return false;
    }
  }
  return !line.points.empty();
}

double RegionEdges::length_within(const Polyline& line) const {
  double total = 0;
  for (std::size_t i = 1; i < line.points.size(); ++i) {
    const Vec a = line.points[i - 1], b = line.points[i];
    if (!comes_near(a, b)) continue;
    for (const Run& run : runs(a, b)) {
      if (run.inside) total += (run.to - run.from) * distance(a, b);
    }
  }
  return total;
}

std::vector<Polyline> clip(const std::vector<Polyline>& polylines, const Region& region, bool inside) {
  const RegionEdges edges(region);
  std::vector<Polyline> out;
  for (const auto& polyline : polylines) {
    const auto& points = polyline.points;
    std::vector<Polyline> kept;
    bool going = false;  // the last of `kept` goes on
    for (std::size_t i = 1; i < points.size(); ++i) {
      const Vec a = points[i - 1], b = points[i];
      for (const RegionEdges::Run& run : edges.runs(a, b)) {
        if (run.inside == inside) {
          if (!going) kept.push_back({{run.from > 0 ? lerp(a, b, run.from) : a}, false});
          kept.back().points.push_back(run.to < 1 ? lerp(a, b, run.to) : b);
        }
        going = run.inside == inside;
      }
    }
    // A closed one that is cut elsewhere goes on over its start.
    if (polyline.closed && going && kept.front().points.front() == points.front()) {
      if (kept.size() == 1) {
        kept.front().closed = true;
      } else {
        auto& tail = kept.back().points;
        tail.insert(tail.end(), kept.front().points.begin() + 1, kept.front().points.end());
        kept.front().points = std::move(tail);
        kept.pop_back();
      }
    }
    for (auto& one : kept) out.push_back(std::move(one));
  }
  return out;
}

}  // namespace dotlane
