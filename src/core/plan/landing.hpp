// A tool that lifts never lands quite where it left: what that does to a fill, tried out by throwing dice.
#pragma once

#include "core/project/project.hpp"
#include "core/shape/fill/fill.hpp"

namespace dotlane {

struct LandingOptions {
  double scatter_mm = 0.08;  ///< standard deviation of each landing, along x and along y
  double tip_mm = 0.3;
  int runs = 24;  ///< trials; the figures' own error falls with their root
  std::uint64_t seed = 1;
};

struct LandingTrial {
  double gap_mm2 = 0;      ///< what a perfect landing would have inked and stays bare, mean of the runs
  double overlap_mm2 = 0;  ///< inked more often than with a perfect landing, mean of the runs
  /// The strokes as they fell in the first run: what the picture shows.
  std::vector<Strokes> fallen;
};

/// Every stroke of every coat is moved by a normally distributed error of its own, the same for all its points: the
/// head is true while the tool is down, and off by another amount after each lift (a model, not a measurement). Cells
/// of an eighth of the tip are counted (BitGrid). The same seed gives the same trial.
[[nodiscard]] LandingTrial land(const Region& region, const std::vector<Strokes>& coats, const LandingOptions& options);

}  // namespace dotlane
