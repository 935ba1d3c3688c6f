// Scraps on a photograph of the mat: perspective is removed by the mat's four corners, and what lies on it is outlined.
#pragma once

#include <array>
#include <optional>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/picture.hpp"

namespace dotlane {

/// A map of the plane that keeps straight lines straight: rows of a 3 x 3 matrix for (x, y, 1).
struct Homography {
  std::array<double, 9> m{1, 0, 0, 0, 1, 0, 0, 0, 1};
  [[nodiscard]] Vec operator()(Vec p) const {
    const double w = m[6] * p.x + m[7] * p.y + m[8];
    return {(m[0] * p.x + m[1] * p.y + m[2]) / w, (m[3] * p.x + m[4] * p.y + m[5]) / w};
  }
};

/// Four corners, from the top left one clockwise as the mat lies before the machine.
using Quad = std::array<Vec, 4>;

/// The one map that takes each corner to its other (direct linear transformation with four points; R. Hartley and
/// A. Zisserman, Multiple View Geometry in Computer Vision, 2nd ed. 2004, section 4.1, from memory). Nothing where
/// three of the corners lie in a line, or they do not go around once.
[[nodiscard]] std::optional<Homography> homography(const Quad& from, const Quad& to);

/// The mat as seen from straight above, so many pixels a mm: corners in px of the photograph, sizes in mm. An empty
/// picture where the corners will not do.
[[nodiscard]] Picture rectified(const Picture& photograph, const Quad& corners, double width_mm, double height_mm,
                                double px_per_mm);

/// What lies on the mat, largest first, mm from its top left corner: all that differs in colour from the mat as it is
/// along its edges, light falling off evenly allowed for, and is larger than `least_mm2`. The border of `edge_mm` all
/// around is taken for mat.
[[nodiscard]] std::vector<Region> things_on(const Picture& mat, double px_per_mm, double least_mm2 = 400,
                                            double edge_mm = 4);

}  // namespace dotlane
