// Markers: remarks in a stream that other readers pass over and Dot Lane's cutter acts on.
//   dot-lane start mat 1 holders 1=pen-black 2=fine-blade   what is loaded before the first move
//   dot-lane pause 1 mat 1 holders 1=scoring-tip 2=-        stop until exactly this is loaded; "-" is an empty holder
// Pauses count from 1.
//   dot-lane marks sheet 2 15,21.4 289.8,21.4 289.8,283.4 15,283.4 22,21.4   four dots and a small one of a printed
//   sheet, mm from the mat's top left: find them; what follows is moved to where the print lies
//   dot-lane as-laid   what follows stays where it is
//   dot-lane depth 3   the mark at which the blade in the holder works from here on
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/layout/print_marks.hpp"

namespace dotlane {

/// A start or pause marker.
struct LoadMarker {
  bool pause = false;
  int number = 0;  ///< of the pause; 0 for the start
  int mat = 1;
  std::vector<std::string> holders;  ///< tool ids, empty = nothing in it
};
[[nodiscard]] std::string marker_text(const LoadMarker& marker);
[[nodiscard]] std::optional<LoadMarker> marker_from(std::string_view text);

/// The marks of a printed sheet, to be found.
struct MarksMarker {
  int sheet = 0;
  PrintMarks marks;
};
[[nodiscard]] std::string marker_text(const MarksMarker& marker);
[[nodiscard]] std::optional<MarksMarker> marks_from(std::string_view text);
[[nodiscard]] std::string depth_text(double depth);
[[nodiscard]] std::optional<double> depth_from(std::string_view text);
inline constexpr std::string_view kAsLaid = "dot-lane as-laid";

}  // namespace dotlane
