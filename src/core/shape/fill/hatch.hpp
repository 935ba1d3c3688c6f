// Parallel strokes, each by itself or joined along the edge into as few as go in one sweep.
#pragma once

#include "core/shape/fill/scan.hpp"
#include "core/shape/fill/strokes.hpp"

namespace dotlane {

/// Every span as a stroke, from line `first` on, to and fro in turn. Spans shorter than `shortest` mm are left out.
[[nodiscard]] Strokes hatch(const FillArea& area, const Scan& scan, double shortest, std::size_t first = 0);

/// The spans joined: from the end of one the stroke goes along the edge of the area to the span of the next line that
/// ends on the same stretch of edge, when that way is at most `join` mm long. Every joint lies on the area's edge, so
/// inside what is filled. Spans shorter than `shortest` are left out.
///
/// A stroke is grown greedily from the first span left over, at both of its ends. On an area that every scan line meets
/// in one span that gives one stroke; where the area forks, one more for each branch.
[[nodiscard]] Strokes zigzag(const FillArea& area, const Scan& scan, double join, double shortest);

}  // namespace dotlane
