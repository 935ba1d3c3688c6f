// What lies close together, told by boxes.
#pragma once

#include <cstddef>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// The indices of boxes that touch, directly or through others, cluster by cluster, from left to right. Empty boxes
/// touch nothing.
[[nodiscard]] std::vector<std::vector<std::size_t>> touching(const std::vector<Box>& boxes);

}  // namespace dotlane
