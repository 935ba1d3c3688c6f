// Handles on the bench that set values of a step: where they are, and what dragging one makes of the values.
#pragma once

#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

struct StepHandle {
  enum class What {
    pitch,
    pitch_down,
    across,
    down,
    wide,
    high,
    radius,
    bridge,
    allowance,
    stitch,
    underlap,
    seam,     ///< the middle of one: moves it
    seam_end  ///< turns it about its other end
  };
  What what = What::pitch;
  int piece = 0, step = 0;
  Vec at;                          ///< mm in the figure
  Vec origin, unit;                ///< its value is how far it is from the origin along this direction of length 1
  double pitch = 0;                ///< of what is counted
  std::size_t made = 0;            ///< of bridges and seams: which of those made
  std::optional<std::size_t> set;  ///< the place set by hand that it stands at; of a pinned seam, its own
  std::size_t set_as = 0;          ///< the one that it will stand at once dragged
  Affine share;                    ///< from the figure to shares of the box that such places are in
  Vec a, b;                        ///< ends of a seam, in the figure; that which is dragged first
  int end = 0;                     ///< of a seam: 1 or 2
};

/// The handles of the piece's last step that is on: a repeat's, those of fabric's edges, one on every bridge, three on
/// every seam. None where its lines wait to be worked out.
[[nodiscard]] std::vector<StepHandle> step_handles(const Project& project, const Drawing& drawing, int piece);

/// A stretch of a seam in the figure.
struct SeamStretch {
  Vec a, b;
  bool hidden = false;  ///< pieces in upper layers lie on it
};
/// All seams of the drawing, but for those of pieces that later steps move or repeat.
[[nodiscard]] std::vector<SeamStretch> seams_in(const Project& project, const Drawing& drawing);

/// The room that copies fill, as a ring in the figure; empty where there is none.
[[nodiscard]] std::vector<Vec> step_room(const Project& project, const Drawing& drawing, int piece);

/// The project with the handle dragged to a place in the figure. A bridge stands there from then on, a seam is pinned.
[[nodiscard]] Project drag_handle(Project project, const StepHandle& handle, Vec to);
/// The project with the handle clicked: a bridge is set where it stands, or let go; a seam is pinned, or not any more.
/// Others do nothing.
[[nodiscard]] Project click_handle(Project project, const StepHandle& handle);

/// What the piece's last step that is on has at places that can be clicked.
enum class Placed { nothing, bridges, seams };
[[nodiscard]] Placed placed_by_last(const Project& project, int piece);
/// The project with a bridge set at this place in the figure, or a pinned seam the shortest way across there; with none
/// where there is one within `reach` mm, and with bridges that were left out there put back.
[[nodiscard]] Project pick_place(Project project, const Drawing& drawing, int piece, Vec at, double reach);

/// Moves the piece so that the room of its last step, where it is to be as large as the sheet, lies on what tools reach
/// of its first sheet. The drawing may be from before the step was changed.
[[nodiscard]] Project room_on_sheet(Project project, const Drawing& drawing, int piece);

}  // namespace dotlane
