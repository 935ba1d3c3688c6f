// Held places: pieces that stay where they are beside others, whatever becomes of those.
#pragma once

#include "core/error.hpp"
#include "core/said.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

/// The project with the piece held as it lies: the hold's distance becomes what it is now, and one that the piece had
/// on this axis is gone. Refused, with the reason, where what it is held to depends on the piece itself or is not
/// there.
[[nodiscard]] Result<Project> hold_piece(Project project, const Drawing& drawing, int piece, Hold hold);

/// Holds three or more pieces as a row with equal gaps, along the axis on which they lie further apart: the outermost
/// stay, those between follow. Refused as above.
[[nodiscard]] Result<Project> hold_row(Project project, const Drawing& drawing, const std::vector<int>& pieces);

/// Lets the pieces go on one axis, or altogether, what they are fitted inside too.
[[nodiscard]] Project let_go(Project project, const std::vector<int>& pieces, std::optional<Axis> axis = {});

/// The same holds at another distance, mm.
[[nodiscard]] Project set_held_distance(Project project, int piece, Axis axis, double distance_mm);

/// The same fit with another margin, mm.
[[nodiscard]] Project set_fit_margin(Project project, int piece, double margin_mm);

/// The pieces and all that goes along when they are moved: held to them, fitted inside them or made with them, directly
/// or through others.
[[nodiscard]] std::vector<int> with_followers(const Project& project, const std::vector<int>& pieces);

/// Whether a distance belongs to the hold: from an edge to an edge. A middle, or one of a row, is held or is not.
[[nodiscard]] bool has_distance(const Hold& hold);

/// Fits the piece inside another: from now on it is as large as the outline of that, less a margin (mm), has room for,
/// by its convex hull about the middle of that. Refused as above, and where there is no room.
[[nodiscard]] Result<Project> fit_piece(Project project, const Drawing& drawing, int piece, int inside,
                                        double margin_mm);

/// What follows from an edit that led from `before` to `next`: held pieces that it moved by hand have another distance,
/// or are let go where none belongs to them; then all held pieces go to where they are held. What is held to pieces
/// that are gone is let go. Pieces that take long to work out are followed as they were (Effort::at_once).
[[nodiscard]] Project with_held_places(const Project& before, Project next, DrawingCache& cache,
                                       Effort effort = Effort::whole);

/// From what is held to what holds it, mm in the figure, to be shown: one for each place that a piece is held to.
struct HeldLink {
  int piece = 0;
  Vec from, to;
};
[[nodiscard]] std::vector<HeldLink> held_links(const Project& project, const Drawing& drawing);

/// How it is held, to be told: "held/edge" and so on, with names of pieces and places.
[[nodiscard]] Said told(const Project& project, const Hold& hold);

}  // namespace dotlane
