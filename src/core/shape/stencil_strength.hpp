// How well the sheet of a stencil holds: its necks, its tongues, and how much of it is left.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// What the cut lines of the piece enclose, mm in the figure; of a plate for paint, its openings.
[[nodiscard]] Region openings_of(const DrawnPiece& piece);

/// What a stock can bear, lengths in mm. Common practice, no published source.
struct StencilLimits {
  double neck = 0.6;       ///< material narrower than this between two wider places tears
  double slenderest = 6;   ///< a tongue longer than so many times its width bends and lifts
  double most_open = 0.6;  ///< share of the box around the openings that may be cut away
  double widest = 8;       ///< tongues wider than this bear their own weight
  double brush = 0;        ///< openings narrower than this are hard to fill with paint; 0: not looked for
};
/// Half of a bridge's width; slenderness grows with the thickness, from 4 to 10. Of unknown thickness (0): as above.
[[nodiscard]] StencilLimits stencil_limits(double thickness_mm);

struct StencilStrength {
  struct Neck {
    double width_mm = 0;
    Vec at;
  };
  std::optional<Neck> neck;  ///< the narrowest that is under the limit, to a fiftieth of that
  std::size_t necks = 0;     ///< that are under it
  struct Tongue {
    double length_mm = 0, width_mm = 0;
    Vec tip;
  };
  std::vector<Tongue> tongues;  ///< the most slender first
  double open = 0;              ///< share of the box around the openings
  std::size_t slits = 0;        ///< openings, or parts of them longer than a corner's tip, that no brush gets into
  std::optional<Vec> slit;      ///< in the largest of them
};

/// Looks at the sheet around these openings by morphological openings with a disc: what one of a width takes away is
/// narrower than that; it is a neck where it meets the rest at several places, a tongue where it does at one.
[[nodiscard]] StencilStrength strength_of(const Region& openings, const StencilLimits& limits);

}  // namespace dotlane
