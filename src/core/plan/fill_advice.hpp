// Which angle, which spacing, which way to go over it: fills tried out and compared by figures.
#pragma once

#include <atomic>

#include "core/plan/landing.hpp"
#include "core/plan/run_cost.hpp"

namespace dotlane {

/// What a fill is run with.
struct FillRun {
  Machine machine;
  RunWay way;
  double tip_mm = 0.3;
};

/// A fill carried out on paper.
struct FillTrial {
  FillOptions options;
  RunCost cost;
  double share = 0;          ///< of the region inked, 0 to 1
  double weakest_share = 0;  ///< of the part that gets the least
  std::size_t unfilled = 0;  ///< parts without any stroke
};

[[nodiscard]] Result<FillTrial> try_fill(const Region& region, const FillOptions& options, const FillRun& run);

enum class AngleGoal {
  time,   ///< the fastest at the wanted coverage
  lifts,  ///< the fewest lifts at the wanted coverage
  thin,   ///< the most on the part that gets the least
};

struct AngleAdvice {
  std::vector<FillTrial> curve;  ///< by angle, from 0 on; empty for patterns without one
  std::size_t best = 0;          ///< index into the curve
};

/// Tries the angles from 0 to 180 degrees (90 for patterns that look the same after a quarter turn), `step` apart. The
/// best leaves the fewest parts without a stroke; among those, where any reach the wanted coverage only they count;
/// then the goal decides, and the smaller angle on a tie. Ends early, with what there is, once `stop` is true.
[[nodiscard]] AngleAdvice best_angle(const Region& region, const FillOptions& options, const FillRun& run,
                                     double wanted_share, AngleGoal goal, double step = 5,
                                     const std::atomic<bool>* stop = nullptr);

/// The widest spacing (to a hundredth of a millimetre) at which the fill still covers `wanted_share` of the region;
/// nothing when the finest, a fifth of the tip, does not either, as where the inset keeps too much clear.
[[nodiscard]] std::optional<double> widest_spacing(const Region& region, FillOptions options, double tip_mm,
                                                   double wanted_share);

/// A way to go over the region, for comparing: gaps that landing errors leave against minutes.
struct WayChoice {
  enum class Kind { as_it_is, joined, closer, shifted_coat, turned_coat, again_by_pass, again_by_stroke };
  Kind kind = Kind::as_it_is;
  FillOptions options;
  RunWay way;
  RunCost cost;
  double share = 0;
  double gap_mm2 = 0, overlap_mm2 = 0;  ///< what landing errors leave bare and ink twice, see land()
};

/// The fill as it is beside the ways to a denser one: ends joined; strokes a fifth closer; a second coat shifted or
/// turned; and beside the ways to a deeper one: once more pass by pass, once more stroke by stroke.
[[nodiscard]] std::vector<WayChoice> compare_ways(const Region& region, const FillOptions& options, const FillRun& run,
                                                  double scatter_mm, const std::atomic<bool>* stop = nullptr);

/// The coats of a fill as polylines, as passes take them.
[[nodiscard]] std::vector<std::vector<Polyline>> polylines_of(const std::vector<Strokes>& coats);

}  // namespace dotlane
