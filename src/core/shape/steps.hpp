// The steps of a recipe, each a function from lines to lines.
#pragma once

#include <functional>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/drawing.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {

/// What a step may ask about the rest of the project; all in the coordinates of the lines it works on.
struct StepInputs {
  double turned = 0;        ///< how far the piece is turned, degrees counter-clockwise
  double most_strokes = 0;  ///< a fill that would have more is made coarser, for a first look; 0 = as asked
  std::vector<int> above;   ///< pieces in upper layers, for trim-under
  std::function<const Region&(int piece)> covers;           ///< the material of another piece; empty when there is none
  std::function<Box(int piece)> bounds;                     ///< its bounds
  std::function<std::vector<Polyline>(int piece)> courses;  ///< its lines, those of fills left out
  Vec room;                 ///< width and height of the largest sheet of the piece's stock
  double thickness_mm = 0;  ///< of that stock; 0 where it is not known
};

/// Carries out one step. Lines that the step does not concern pass through as they are. The outcome's figures are
/// filled in; what could not be done is said in its `trouble`, and the lines then come back unchanged.
[[nodiscard]] std::vector<Line> apply(const Step& step, std::vector<Line> lines, const StepInputs& inputs,
                                      StepOutcome& outcome);

/// How much work the step is, in nodes that are touched.
[[nodiscard]] std::size_t work_of(const Step& step, const std::vector<Line>& lines);

/// Whether a step of this kind only says where lines stand, whatever these look like.
[[nodiscard]] bool only_places(const std::string& kind);

/// The card or fabric that the cut lines of a piece leave: shapes inside shapes are holes, shapes that overlap are one.
/// Where nothing is cut, all closed lines count.
[[nodiscard]] Region material_of(const std::vector<Line>& lines);

/// Bounds, nodes, contours and material of the lines.
void measure(const std::vector<Line>& lines, StepOutcome& outcome);

}  // namespace dotlane
