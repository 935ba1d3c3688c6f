// How large the figure may be for the sheets that there are, what stops it, and what would help.
#pragma once

#include <map>
#include <string>
#include <vector>

#include "core/geometry/convex_hull.hpp"
#include "core/layout/layout.hpp"

namespace dotlane {

/// The largest rectangles that parts of the stock may be laid on, as far as tools reach, mm: of its sheets and of what
/// is on the shelf, scraps with an outline of their own left aside; all that tools reach where there is nothing of it.
[[nodiscard]] std::vector<Vec> rooms_of(const Project& project, const std::string& stock);

/// The largest that a shape of the stock may be on any of its sheets: in the best turn, or in those that its grain
/// allows. A little more than the room itself is let pass (0.01 mm).
[[nodiscard]] BoxFit largest_on(const Project& project, const std::string& stock, const Region& shape);

/// What would let the figure be larger, and how large, as a share of its size today.
struct Remedy {
  enum class What {
    mat,    ///< a larger mat, with sheets as large as tools reach on it
    sheet,  ///< a whole sheet of the stock, of which there are only scraps
    seam,   ///< one straight seam across the part that stops it
    trim    ///< that part cut away where others lie on it, but for kTuckMm
  };
  What what = What::mat;
  std::string name;  ///< of the mat, of the stock, or of the part
  double scale = 0;
};
[[nodiscard]] std::string_view word(Remedy::What what);

/// How far a part that is trimmed runs on under those on top of it. Common practice, no published source.
inline constexpr double kTuckMm = 5;

/// A scale as it is told and taken: to a thousandth, rounded down, so that what is said still fits.
[[nodiscard]] double told_scale(double scale);

struct HowBig {
  /// Share of its size today at which every part fits a sheet, or a scrap within its outline; 0 where there is no part.
  double scale = 0;
  std::size_t part = npos;       ///< the one that stops it, an index in Layout::parts
  double turn = 0;               ///< in which it then lies, degrees counter-clockwise as seen
  Box figure;                    ///< around all parts today, mm
  std::vector<Remedy> remedies;  ///< those that help, the one that helps most first
};
[[nodiscard]] HowBig how_big(const Project& project, const Drawing& drawing, const Layout& layout);

/// How many sheets of each stock the first good packing takes when the figure is so much larger; what found no room on
/// the sheets that there are counts as one more each.
[[nodiscard]] std::map<std::string, std::size_t> sheets_at(const Project& project, const Drawing& drawing,
                                                           const Layout& layout, double scale);

}  // namespace dotlane
