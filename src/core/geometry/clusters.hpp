// What lies close together, told by boxes.
#pragma once

#include <cstddef>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// The indices of boxes that touch, directly or through others, cluster by cluster, from left to right. Empty boxes
/// touch nothing; nor do the first `apart` among themselves, and the others among themselves, where that is said.
[[nodiscard]] std::vector<std::vector<std::size_t>> touching(const std::vector<Box>& boxes, std::size_t apart = 0);

}  // namespace dotlane
