// What a boolean of dense regions need not sweep: rings that are clear of the other side.
#pragma once

#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// For one region minus parts that do not overlap each other: those that come near none of its edges are holes as they
/// are, or nothing; the others must be swept.
struct Cleared {
  Region to_sweep;
  std::vector<Ring> holes;
};
[[nodiscard]] Cleared clear_of_edges(const Region& from, const std::vector<Region>& parts);

/// For a union: the regions without parts and holes that nothing of another region comes near, and those.
struct SetAside {
  std::vector<Region> to_sweep;
  std::vector<Ring> rings;
};
[[nodiscard]] SetAside set_aside(const std::vector<Region>& regions);

}  // namespace dotlane
