// The quickest way through stops: in which order, from which end, by which entry.
//
// Each stop is gone through once. Method: nearest neighbour to begin with; 2-opt and Or-opt (segments of up to three)
// with lists of near ends and a queue of what to look at again (J. L. Bentley, "Fast algorithms for geometric traveling
// salesman problems", ORSA J. Computing 4, 1992); ways through stops by dynamic programming over the order found; then,
// for `kicks` times, three short stretches in a row change places (a double bridge), what is around them is mended, and
// what became no better is taken back (iterated local search; D. S. Johnson, L. A. McGeoch, "The traveling salesman
// problem: a case study in local optimization", 1997).
#pragma once

#include <cmath>
#include <cstdint>
#include <functional>
#include <optional>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// What is to be gone through.
class Stops {
 public:
  /// In at one end and out at the other, either way; a single point has both ends there.
  void add_through(Vec a, Vec b) { add({a, b}, true); }
  /// In and out at the same one of these places.
  void add_loop(const std::vector<Vec>& entries) { add(entries, false); }
  [[nodiscard]] std::size_t size() const { return through_.size(); }
  [[nodiscard]] bool through(std::size_t stop) const { return through_[stop] != 0; }
  [[nodiscard]] std::size_t ways(std::size_t stop) const { return first_[stop + 1] - first_[stop]; }
  /// Where the head comes in and goes out when it takes that way: of a stop gone through, 0 from the first end, 1 from
  /// the second.
  [[nodiscard]] Vec in(std::size_t stop, std::size_t way) const { return at_[first_[stop] + way]; }
  [[nodiscard]] Vec out(std::size_t stop, std::size_t way) const {
    return at_[first_[stop] + (through(stop) ? 1 - way : way)];
  }

 private:
  void add(const std::vector<Vec>& at, bool through) {
    at_.insert(at_.end(), at.begin(), at.end());
    first_.push_back(at_.size());
    through_.push_back(through ? 1 : 0);
  }
  std::vector<Vec> at_;
  std::vector<std::size_t> first_{0};
  std::vector<std::uint8_t> through_;
};

struct TourProblem {
  Stops stops;
  Vec start;
  std::optional<Vec> end;  ///< where the head has to be afterwards; nothing: wherever it is then
  /// Of each stop the one that comes only after it, or -1; without rings. Empty: none waits.
  std::vector<int> before;
  /// What a way costs: seconds from rest to rest. With no limit to the acceleration, its length over the speed.
  double speed = 1, accel = 0;  ///< 0: no limit
};

/// Seconds between places. A place that is nowhere (not a number) costs nothing.
class TravelCost {
 public:
  explicit TravelCost(const TourProblem& p)
      : speed_(p.speed), accel_(p.accel), ramp_(p.accel > 0 ? p.speed * p.speed / p.accel : 0) {}
  double operator()(Vec a, Vec b) const {
    const double dx = a.x - b.x, dy = a.y - b.y, d2 = dx * dx + dy * dy;
    if (!(d2 >= 0)) return 0;
    const double d = std::sqrt(d2);
    if (d >= ramp_) return accel_ > 0 && d > 0 ? d / speed_ + speed_ / accel_ : d / speed_;
    return 2 * std::sqrt(d / accel_);
  }

 private:
  double speed_, accel_, ramp_;
};

struct TourStep {
  std::size_t stop = 0, way = 0;
  friend bool operator==(const TourStep&, const TourStep&) = default;
};

/// How hard to try. The same numbers give the same tour.
struct TourEffort {
  std::size_t kicks = 0;
  std::uint32_t seed = 1;
  std::function<bool()> stop{};  ///< asked now and then; once it says so, no more is tried
};

/// Every stop once, none before what waits for it. Nothing where `before` runs in a ring.
[[nodiscard]] std::vector<TourStep> quick_tour(const TourProblem& problem, const TourEffort& effort = {});

/// Nearest neighbour alone: what quick_tour starts from.
[[nodiscard]] std::vector<TourStep> nearest_neighbour(const TourProblem& problem);

/// What all ways of a tour cost together.
[[nodiscard]] double cost_of(const TourProblem& problem, const std::vector<TourStep>& tour);

}  // namespace dotlane
