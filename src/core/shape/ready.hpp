// Ready shapes: lines made from a few numbers.
#pragma once

#include <string>
#include <vector>

#include "core/project/project.hpp"
#include "core/said.hpp"

namespace dotlane {

/// The lines of a ready shape, in mm from its own top left corner, with the roles they are meant for (colours are a
/// dark neutral, tools are left open). `trouble` hears what cannot be made of the values, with its
/// figure and a remedy; what can be made comes back all the same. An unknown kind gives no lines.
[[nodiscard]] std::vector<Line> ready_shape(const std::string& kind, const Values& values, Sayings& trouble);

/// The circles of a pin badge, mm: what stays visible, what is cut, and inside which radius text stays clear of the
/// rim.
struct BadgeFace {
  double visible = 0, cut = 0;
  [[nodiscard]] Vec centre() const { return {cut / 2, cut / 2}; }
  double clear_radius = 0;
};
[[nodiscard]] BadgeFace badge_face(const Values& badge);

}  // namespace dotlane
