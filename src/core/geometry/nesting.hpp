// Rings that do not cross: what they enclose can be told without a sweep.
#pragma once

#include <optional>
#include <polyclipping/clipper.hpp>

#include "core/geometry/path.hpp"

namespace dotlane {

/// The rings that bound what is filled under the rule, outlines turned positive and holes negative; rings with the same
/// on both sides are dropped. Nothing when a ring crosses, touches or doubles back on itself or another: that takes a
/// sweep. Time grows with the number of vertices times the rings around each.
[[nodiscard]] std::optional<ClipperLib::Paths> nested_rings(const ClipperLib::Paths& rings, FillRule rule);

}  // namespace dotlane
