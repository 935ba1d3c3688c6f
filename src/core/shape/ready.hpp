// Ready shapes: lines made from a few numbers.
#pragma once

#include <string>
#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

/// The lines of a ready shape, in mm from its own top left corner, with the roles they are meant for (colours are a dark
/// neutral, tools are left open). `trouble` hears what cannot be made of the values, in one sentence with its figure and
/// a remedy; what can be made comes back all the same. An unknown kind gives no lines.
[[nodiscard]] std::vector<Line> ready_shape(const std::string& kind, const Values& values, std::string& trouble);

/// Whether text of this box, mm from the badge's own corner, stays in the face of a pin badge; the distance by which it
/// reaches past the clear margin, 0 when it does not.
[[nodiscard]] double past_badge_face(const Values& badge, const Box& text);

}  // namespace dotlane
