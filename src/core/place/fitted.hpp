// Pieces fitted inside others: as large as there is room for.
#pragma once

#include "core/shape/evaluate.hpp"

namespace dotlane {

/// Segments of an outline up to which others are fitted inside: it is looked at after every edit.
inline constexpr std::size_t kMostAround = 20'000;

/// By how much the piece may grow about its middle, put onto the middle of the other's outline, for its convex hull to
/// lie inside that with a margin (mm); and where that middle is. Nothing where there is no room.
[[nodiscard]] std::optional<std::pair<double, Vec>> room_inside(const DrawnPiece& piece, const DrawnPiece& around,
                                                                double margin);

/// The project with the piece fitted; nothing where that cannot be found out at once.
[[nodiscard]] std::optional<Project> fitted_inside(const Project& project, const Drawing& drawing, int piece,
                                                   const Fit& fit, DrawingCache& cache, Effort effort);

}  // namespace dotlane
