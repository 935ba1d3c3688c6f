// Sizing pieces as one: what a recipe comes to has the size that was asked for.
#pragma once

#include <optional>
#include <vector>

#include "core/shape/evaluate.hpp"

namespace dotlane {

/// How large the frame around some pieces is to be, mm on the mat. A size of nothing follows the other when proportions
/// are kept, else stays.
struct Sizing {
  std::optional<double> width_mm, height_mm;
  Vec anchor{0, 0};          ///< the place in the frame that stays: 0,0 = top left, 1,1 = bottom right
  bool scale_steps = false;  ///< lengths typed in recipes grow along; else they stay what they are
};

/// Whether proportions are kept when these are sized as one: when one of them keeps its own.
[[nodiscard]] bool keeps_proportions(const Project& project, const std::vector<int>& pieces);

/// Whether sizing with or without their steps makes a difference to one of these.
[[nodiscard]] bool has_typed_lengths(const Project& project, const std::vector<int>& pieces);

/// Sizes the pieces as one. It is their sources that grow, or a ready shape's own width and height; how the results
/// grow with them is found by trying, so the frame has the size asked for within 0.002 mm where any size of the sources
/// gives it. Of two sizes of a frame that keeps its proportions the tighter decides. What is made of other pieces alone
/// is as large as those. The recipes are worked out here, never taken from an older drawing; `cache` only saves time
/// from one call to the next. With Effort::at_once the result is nothing when that would take long.
[[nodiscard]] std::optional<Project> size_pieces(const Project& project, const std::vector<int>& pieces,
                                                 const Sizing& sizing, DrawingCache& cache,
                                                 Effort effort = Effort::whole);

}  // namespace dotlane
