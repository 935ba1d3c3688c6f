// The first order of a tour: always on to what is nearest of all that may be run.
#include <algorithm>
#include <cmath>
#include <cstdint>
#include <limits>

#include "core/plan/tour.hpp"

namespace dotlane {
namespace {

/// A way into a stop.
struct WayIn {
  std::size_t stop, way;
  Vec at;
};

/// The ways into stops that may be run now, in cells that have room for all that can ever lie in them.
class OpenWays {
 public:
  explicit OpenWays(const std::vector<WayIn>& ways, const Box& bounds) : ways_(ways), bounds_(bounds) {
    constexpr double kInACell = 3;
    const double side = std::sqrt(std::max(1.0, static_cast<double>(ways.size()) / kInACell));
    cell_ = std::max({bounds.width(), bounds.height(), 1e-6}) / side;
    columns_ = static_cast<int>(bounds.width() / cell_) + 1, rows_ = static_cast<int>(bounds.height() / cell_) + 1;
    first_.assign(index(columns_) * index(rows_) + 1, 0);
    for (const WayIn& w : ways) ++first_[cell_of(w.at) + 1];
    for (std::size_t c = 1; c < first_.size(); ++c) first_[c] += first_[c - 1];
    end_.assign(first_.begin(), first_.end() - 1);
    slots_.resize(ways.size()), slot_of_.resize(ways.size());
  }
  void add(std::size_t way) { put(way, end_[cell_of(ways_[way].at)]++); }
  void remove(std::size_t way) { put(slots_[--end_[cell_of(ways_[way].at)]].way, slot_of_[way]); }
  /// The nearest, the first of those equally near. There must be one.
  [[nodiscard]] std::size_t nearest(Vec from) const {
    const int c0 = column(from.x), r0 = row(from.y), reach = std::max(columns_, rows_);
    std::size_t best = ways_.size();
    double least = std::numeric_limits<double>::infinity();  // squared
    for (int ring = 0; ring <= reach; ++ring) {
      const double gone = (ring - 1) * cell_;
      if (best < ways_.size() && ring > 1 && gone * gone > least) break;
      for (int r = std::max(0, r0 - ring); r <= std::min(rows_ - 1, r0 + ring); ++r) {
        const int step = r == r0 - ring || r == r0 + ring ? 1 : std::max(1, 2 * ring);
        for (int c = c0 - ring; c <= c0 + ring; c += step) {
          if (c < 0 || c >= columns_) continue;
          const std::size_t cell = index(r) * index(columns_) + index(c);
          for (std::size_t k = first_[cell]; k < end_[cell]; ++k) {
            const Vec way = slots_[k].at - from;
            const double far = dot(way, way);
            if (far < least || (far == least && slots_[k].way < best)) best = slots_[k].way, least = far;
          }
        }
      }
    }
    return best;
  }

 private:
  static std::size_t index(int i) { return static_cast<std::size_t>(i); }
  [[nodiscard]] int column(double x) const {
    return static_cast<int>(std::clamp((x - bounds_.x0) / cell_, 0.0, columns_ - 1.0));
  }
  [[nodiscard]] int row(double y) const {
    return static_cast<int>(std::clamp((y - bounds_.y0) / cell_, 0.0, rows_ - 1.0));
  }
  [[nodiscard]] std::size_t cell_of(Vec p) const { return index(row(p.y)) * index(columns_) + index(column(p.x)); }
  void put(std::size_t way, std::size_t slot) {
    slots_[slot] = {ways_[way].at, way};
    slot_of_[way] = slot;
  }

  struct Slot {
    Vec at;
    std::size_t way;
  };
  const std::vector<WayIn>& ways_;
  Box bounds_;
  double cell_ = 1;
  int columns_ = 1, rows_ = 1;
  std::vector<std::size_t> first_, end_;  // of each cell's slots
  std::vector<Slot> slots_;
  std::vector<std::size_t> slot_of_;  // of each way in
};

}  // namespace

std::vector<TourStep> nearest_neighbour(const TourProblem& problem) {
  const Stops& stops = problem.stops;
  const std::size_t n = stops.size();
  std::vector<WayIn> ways;
  std::vector<std::size_t> first{0};
  Box bounds;
  bounds.add(problem.start);
  for (std::size_t s = 0; s < n; ++s) {
    for (std::size_t w = 0; w < stops.ways(s); ++w) {
      ways.push_back({s, w, stops.in(s, w)});
      bounds.add(ways.back().at);
    }
    first.push_back(ways.size());
  }
  OpenWays near(ways, bounds);
  std::size_t open = 0;
  const auto free = [&](std::size_t s) {
    ++open;
    for (std::size_t w = first[s]; w < first[s + 1]; ++w) near.add(w);
  };
  std::vector<int> waiting(n, 0);
  for (const int b : problem.before) {
    if (b >= 0) ++waiting[static_cast<std::size_t>(b)];
  }
  for (std::size_t s = 0; s < n; ++s) {
    if (waiting[s] == 0) free(s);
  }
  std::vector<TourStep> out;
  out.reserve(n);
  for (Vec at = problem.start; open > 0; --open) {
    const WayIn& in = ways[near.nearest(at)];
    out.push_back({in.stop, in.way});
    at = stops.out(in.stop, in.way);
    for (std::size_t w = first[in.stop]; w < first[in.stop + 1]; ++w) near.remove(w);
    const int b = problem.before.empty() ? -1 : problem.before[in.stop];
    if (b >= 0 && --waiting[static_cast<std::size_t>(b)] == 0) free(static_cast<std::size_t>(b));
  }
  if (out.size() < n) return {};
  return out;
}

}  // namespace dotlane
