// Lines drawn by hand: as new pieces, or as steps that erase and part what is there.
#pragma once

#include "core/shape/evaluate.hpp"

namespace dotlane {

/// What hands draw.
enum class Drawn { straight, polyline, freehand, fold };

/// The line through these places (mm in the figure): straight ones keep their corners; a freehand one becomes smooth
/// curves, evened out over 4 mm, with the corners that are meant. Nothing of fewer than two places.
[[nodiscard]] std::optional<Contour> drawn_contour(const std::vector<Vec>& places, Drawn how, bool closed);

/// The straight line through both places as far as it runs across what the piece is cut to: from edge to edge, in
/// several stretches where there are openings. As drawn where it runs across nothing.
[[nodiscard]] std::vector<Contour> fold_across(const DrawnPiece* piece, Vec from, Vec to);

/// Adds the lines as a piece on top: folds are scored, all else drawn, on the stock and in the group of the piece under
/// them (0: of the first sheet). `name` is numbered where it is taken.
[[nodiscard]] Project add_drawn(Project project, const std::vector<Contour>& contours, Drawn how, int over,
                                const std::string& name, int* id = nullptr);

/// Appends a step that leaves out every contour that lies wholly within the loop, or one that parts what is cut along
/// the course; both mm in the figure. Pieces without any such contour stay as they are.
[[nodiscard]] Project erase_within(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                   const std::vector<Vec>& loop);
[[nodiscard]] Project split_along(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                  const std::vector<Vec>& course);

}  // namespace dotlane
