// The lines of a job as files for other programs show them: each where it lies on the mat, pass by pass.
#pragma once

#include <vector>

#include "core/plan/selection.hpp"

namespace dotlane {

struct JobLine {
  const Pass* pass = nullptr;  ///< null: no pass runs it (print, guide)
  const DrawnPiece* piece = nullptr;
  std::size_t line = 0;  ///< index in the piece
  Affine map;            ///< of the line's path, mm on the mat, mirrored when the plan is
  [[nodiscard]] const Line& shown() const { return piece->piece->lines[line]; }
  [[nodiscard]] Path path() const { return transformed(*shown().path, map); }
  [[nodiscard]] Color color(const Project& project) const;  ///< of the ink where it is drawn
};

/// Those of the passes that the selection takes, in running order; before them those that no pass runs, when no single
/// pass was asked for. They point into layout and plan.
[[nodiscard]] std::vector<JobLine> job_lines(const Layout& layout, const Plan& plan, const ExportSelection& selection);

}  // namespace dotlane
