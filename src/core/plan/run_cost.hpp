// What it costs to run strokes: how long, how far, how often the tool lifts.
#pragma once

#include "core/plan/order.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

/// How strokes are run. Lengths mm, speeds mm/s.
struct RunWay {
  double speed_mm_s = 25;
  int repeats = 1;
  bool stroke_by_stroke = false;  ///< repeats of each stroke at once, to and fro, instead of the whole pass again
  double slower = 1;              ///< the machine's pace: it takes so many times as long
};

struct RunCost {
  double length_mm = 0, travel_mm = 0, seconds = 0;
  std::size_t lifts = 0;
};

/// The course `repeats` times without lifting: a closed one round and round, an open one to and fro.
[[nodiscard]] std::vector<Vec> retraced(std::vector<Vec> course, bool closed, int repeats);

/// Runs the coats one after the other, each in the order that passes are run in (order_strokes), from the machine's
/// home. The same figures as a plan's pass of these strokes alone.
[[nodiscard]] RunCost run_cost(const std::vector<std::vector<Polyline>>& coats, const Machine& machine,
                               const RunWay& way);

}  // namespace dotlane
