// Why one pass comes before another: what the trade says, and what was put in order by hand.
#pragma once

#include <string_view>
#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

enum class Why {
  role,     ///< the order of roles: what is drawn comes before what is cut
  ink,      ///< a light ink before a dark one, whose traces its tip would take up
  by_hand,  ///< put there by hand
  mat,      ///< the mat before is done with: taken out and put back it would not lie as it did
};
/// As files and reports say it.
[[nodiscard]] std::string_view word(Why why);

/// One pass runs only after another; indices into the passes.
struct Reason {
  std::size_t first = 0, second = 0;
  Why why = Why::role;
  friend bool operator==(const Reason&, const Reason&) = default;
};

/// What decides where a pass may come. Only passes of one mat load have reasons.
struct PassRank {
  int load = 1, sheet = 1;
  int role = 0;      ///< place of its role in the order of roles
  bool ink = false;  ///< leaves ink, so that light comes before dark on its sheet
  double light = 0;  ///< luminance of that ink
};

/// The reasons that say all, without those that follow from others. What was wished by hand comes first, in its order;
/// a wish against one before it and a reason against a wish fall out. `kept`, where given, says which wishes hold.
[[nodiscard]] std::vector<Reason> reasons_of(const std::vector<PassRank>& passes,
                                             const std::vector<std::pair<std::size_t, std::size_t>>& by_hand,
                                             std::vector<bool>* kept = nullptr);

}  // namespace dotlane
