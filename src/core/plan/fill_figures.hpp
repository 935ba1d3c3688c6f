// The figures of one fill step as its piece is drawn: with its tool, on its stock.
#pragma once

#include "core/plan/fill_advice.hpp"
#include "core/shape/fill/fill_made.hpp"

namespace dotlane {

/// What a fill step filled and what it is run with.
struct FillSubject {
  std::shared_ptr<const FillMade> made;
  FillRun run;
  Role role = Role::draw;
  std::string tool;  ///< id; empty when no tool on the rack serves
};

/// The fill of this step of the piece; nothing when the step fills nothing. `tip_mm` stands in for the tool's own.
[[nodiscard]] std::optional<FillSubject> fill_subject(const Project& project, const DrawnPiece& piece, int step,
                                                      std::optional<double> tip_mm = {});

struct FillFigures {
  std::size_t strokes = 0;
  RunCost cost;
  Coverage coverage;
  std::vector<std::size_t> unfilled;  ///< indices of FillMade::parts that got no stroke
};

/// Takes as long as ordering the strokes and counting their coverage does.
[[nodiscard]] FillFigures figures_of(const FillSubject& subject);

}  // namespace dotlane
