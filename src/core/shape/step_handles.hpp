// Handles on the bench that set values of a step: where they are, and what dragging one makes of the values.
#pragma once

#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

struct StepHandle {
  enum class What { pitch, pitch_down, across, down, wide, high, radius, bridge, allowance, stitch, underlap };
  What what = What::pitch;
  int piece = 0, step = 0;
  Vec at;                          ///< mm in the figure
  Vec origin, unit;                ///< its value is how far it is from the origin along this direction of length 1
  double pitch = 0;                ///< of what is counted
  std::size_t bridge = 0;          ///< which of those made
  std::optional<std::size_t> set;  ///< the place set by hand that it stands at
  std::size_t set_as = 0;          ///< the one that it will stand at once dragged
  Affine share;                    ///< from the figure to shares of the box that such places are in
};

/// The handles of the piece's last step that is on: a repeat's, those of fabric's edges, or one on every
/// bridge. None where its lines wait to be
/// worked out.
[[nodiscard]] std::vector<StepHandle> step_handles(const Project& project, const Drawing& drawing, int piece);

/// The room that copies fill, as a ring in the figure; empty where there is none.
[[nodiscard]] std::vector<Vec> step_room(const Project& project, const Drawing& drawing, int piece);

/// The project with the handle dragged to a place in the figure. A bridge stands there from then on.
[[nodiscard]] Project drag_handle(Project project, const StepHandle& handle, Vec to);
/// The project with the handle clicked: a bridge is set where it stands, or let go. Others do nothing.
[[nodiscard]] Project click_handle(Project project, const StepHandle& handle);

/// Whether the piece's last step that is on makes bridges.
[[nodiscard]] bool has_bridges(const Project& project, int piece);
/// The project with a bridge set at this place in the figure; with none where there is a bridge within `reach` mm, and
/// with those that were left out there put back.
[[nodiscard]] Project pick_bridge(Project project, const Drawing& drawing, int piece, Vec at, double reach);

/// Moves the piece so that the room of its last step, where it is to be as large as the sheet, lies on what tools reach
/// of its first sheet. The drawing may be from before the step was changed.
[[nodiscard]] Project room_on_sheet(Project project, const Drawing& drawing, int piece);

}  // namespace dotlane
