// The number of each part, drawn on its sheet: lightly, in a pass of its own, never on a face.
#pragma once

#include "core/layout/layout.hpp"

namespace dotlane {

inline constexpr double kNumberHigh = 4, kNumberWide = 2.4;  ///< mm: of a digit
inline constexpr double kNumberApart = 1.2;                  ///< mm: between digits
inline constexpr double kNumberClear = 1;                    ///< mm: from every part

/// The strokes of a number in single strokes, about its middle, mm; y down. It must not be negative.
[[nodiscard]] std::vector<Polyline> number_strokes(int number);

/// Where `Project::laying` names a tool that draws: adds the numbers of all parts that are cut out to each sheet, as
/// the piece kNumbersPiece on top. A number stands beside its part in what is left of the sheet, at most
/// kNumberFar from it; in a job that is mirrored, where the back of the stock looks up, within the part. Where there is
/// no room it is left out, and said in `unnumbered`.
void add_numbers(const Project& project, const Drawing& drawing, Layout& layout);
inline constexpr double kNumberFar = 12;  ///< mm: from the part's edge to the number's middle

}  // namespace dotlane
