// Second look at sheets: parts in each other's way, over an edge, without room, turned against the grain.
#pragma once

#include "core/layout/layout.hpp"
#include "core/project/finding.hpp"

namespace dotlane {

/// Codes: parts-overlap, parts-near (nearer than the gap, of what does not lie as drawn), off-scrap, part-waiting,
/// part-too-large, against-grain, fill-turned (a fill whose angle counts on
/// the mat, on a part that lies turned), group-torn, numbers-left-out (no room for the number of a part),
/// shelf-short (more sheets laid out than the shelf has), shelf-gone
/// (taken from what is not there any more).
[[nodiscard]] std::vector<Finding> check_layout(const Project& project, const Drawing& drawing, const Layout& layout);

}  // namespace dotlane
