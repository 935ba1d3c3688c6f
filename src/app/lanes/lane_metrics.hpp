// Where things stand in the lanes, px.
#pragma once

namespace dotlane::lane_metrics {

/// Room for the names of tools at the left, beside the last block, and for the axis; the height of a lane.
inline constexpr double kLeft = 270, kRight = 28, kTop = 44, kLane = 29;

}  // namespace dotlane::lane_metrics
