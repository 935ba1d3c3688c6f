// Handles on the bench that set values of a step: where they are, and what dragging one makes of the values.
#pragma once

#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

struct StepHandle {
  enum class What { pitch, pitch_down, across, down, wide, high, radius };
  What what = What::pitch;
  int piece = 0, step = 0;
  Vec at;            ///< mm in the figure
  Vec origin, unit;  ///< its value is how far it is from the origin along this direction of length 1
  double pitch = 0;  ///< of what is counted
};

/// The handles of the piece's last step that is on: a repeat's. None where its lines wait to be worked out.
[[nodiscard]] std::vector<StepHandle> step_handles(const Project& project, const Drawing& drawing, int piece);

/// The room that copies fill, as a ring in the figure; empty where there is none.
[[nodiscard]] std::vector<Vec> step_room(const Project& project, const Drawing& drawing, int piece);

/// The project with the handle dragged to a place in the figure.
[[nodiscard]] Project drag_handle(Project project, const StepHandle& handle, Vec to);

/// Moves the piece so that the room of its last step, where it is to be as large as the sheet, lies on what tools reach
/// of its first sheet. The drawing may be from before the step was changed.
[[nodiscard]] Project room_on_sheet(Project project, const Drawing& drawing, int piece);

}  // namespace dotlane
