// What a band or a loop drawn by hand catches.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

enum class Caught { enclosed, touched };

/// All lines that lie wholly within the loop, a piece with all of its lines as one reference with an empty line id; or
/// whole pieces that the loop touches anywhere. The loop closes by itself and may cross itself: what it winds around
/// counts.
[[nodiscard]] std::vector<LineRef> caught(const Drawing& drawing, const std::vector<Vec>& loop, Caught how);

}  // namespace dotlane
