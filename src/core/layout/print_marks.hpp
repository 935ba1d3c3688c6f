// Registration marks of sheets that are printed before they are cut (docs/print-marks.md): four dots in the corners,
// and a small one beside the first that says which corner that is.
#pragma once

#include <array>
#include <optional>

#include "core/geometry/region.hpp"
#include "core/project/project.hpp"

namespace dotlane {

inline constexpr double kMarkDot = 5;          ///< mm across
inline constexpr double kMarkSecondDot = 2.5;  ///< mm across
inline constexpr double kMarkSecondAway = 7;   ///< mm from the first dot's centre, to the right
inline constexpr double kMarkInset = 15;       ///< mm from the sheet's edges to the dots' centres
inline constexpr double kMarkQuiet = 4;        ///< mm around each dot where nothing is printed or worked
inline constexpr double kMarkLeastSheet = 80;  ///< mm: a smaller sheet has no room for them

struct PrintMarks {
  std::array<Vec, 4> dots;  ///< centres, mm on the mat: top left, top right, bottom right, bottom left
  Vec second;               ///< the small one's
};

/// Where they are on a sheet that lies as planned; nothing where it is not printed, is a scrap, or has no room for
/// them. They are the same in a mirrored job: only what is between them is mirrored.
[[nodiscard]] std::optional<PrintMarks> marks_of(const Project& project, const Sheet& sheet);
/// Where nothing else may be printed or worked, mm on the mat.
[[nodiscard]] Region zones_of(const PrintMarks& marks);

}  // namespace dotlane
