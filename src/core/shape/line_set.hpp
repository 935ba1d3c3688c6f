// What the steps share: choosing lines, giving them regions, naming what they make.
#pragma once

#include <optional>

#include "core/geometry/refit.hpp"
#include "core/shape/steps.hpp"

namespace dotlane {

/// Whether it has a closed contour that can bound something.
[[nodiscard]] bool has_closed(const Line& line);
[[nodiscard]] std::vector<Polyline> open_polylines(const Line& line, double chord = kChord);

/// Whether a step that names lines with `of` means this one; `standard` answers where it names none.
[[nodiscard]] bool named(const std::string& of, const Line& line, bool standard);

/// What these lie-in-each-other shapes leave: shapes inside shapes are holes, shapes that overlap are one.
[[nodiscard]] Region nested(std::vector<Region> shapes);

/// The indices of the closed shapes meant: those named, else the cut ones, else all closed ones. Strokes of fills are
/// no shapes.
[[nodiscard]] std::vector<std::size_t> shapes_meant(const std::string& of, const std::vector<Line>& lines);
/// What closed lines enclose, each for itself and all together. Where shapes lie in each other or overlap they are one,
/// and its line is the first.
struct Faces {
  std::vector<Region> each;
  Region together;
  bool one = false;
};
[[nodiscard]] Faces faces_of(const std::vector<Line>& lines, const std::vector<std::size_t>& meant);
/// The indices of the lines meant: those named, else every line.
[[nodiscard]] std::vector<std::size_t> lines_meant(const std::string& of, const std::vector<Line>& lines);

/// The same without strokes of fills, unless those are named: what changes outlines leaves them alone.
[[nodiscard]] std::vector<std::size_t> outlines_meant(const std::string& of, const std::vector<Line>& lines);

/// A copy of the line with this region as its outline, curves put back.
[[nodiscard]] Line with_region(const Line& like, const Region& region);
/// The same with open polylines besides.
[[nodiscard]] Line with_region(const Line& like, const Region& region, const std::vector<Polyline>& open);

/// "outline~3", or "outline~3.2" for the second of several.
[[nodiscard]] std::string made_id(const std::string& origin, int step, int number = 0);

/// The contour evened out by a Gaussian of this span (mm); corners that turn by more than so many degrees stay.
[[nodiscard]] Contour smoothed(const Contour& contour, double span, double keep_over);

/// Places that are kept as shares of the bounds of the lines, where they are now.
[[nodiscard]] std::vector<Vec> places_in(const std::vector<Line>& lines, const std::vector<double>& shares);

[[nodiscard]] std::size_t nodes_in(const std::vector<Line>& lines);
[[nodiscard]] Box bounds_of(const std::vector<Line>& lines);
/// The lines elsewhere; their paths stay as they are.
[[nodiscard]] std::vector<Line> mapped(std::vector<Line> lines, const Affine& map);
/// Every line with its path where it stands: for steps that work on shapes. Copies of a pattern share none then.
[[nodiscard]] std::vector<Line> placed(std::vector<Line> lines);
/// The same for lines that share their path with no other.
[[nodiscard]] std::vector<Line> with_single_placed(std::vector<Line> lines);

/// One function for each kind of step; see kinds.hpp for what they take.
struct StepCall {
  const Step& step;
  const Reading& take;
  const StepInputs& inputs;
  StepOutcome& outcome;
};
using StepFunction = std::vector<Line> (*)(std::vector<Line>, const StepCall&);

// Outlines: steps_outline.cpp.
std::vector<Line> step_offset(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_thicken(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_round_corners(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_dash(std::vector<Line> lines, const StepCall& call);
// Combinations: steps_combine.cpp.
std::vector<Line> step_join(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_cut_away(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_overlap(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_divide(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_split(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_seams(std::vector<Line> lines, const StepCall& call);  // steps_seams.cpp
std::vector<Line> step_fit_shape(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_trim_under(std::vector<Line> lines, const StepCall& call);
// Cleaning up: steps_clean.cpp.
std::vector<Line> step_simplify(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_smooth(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_drop_small(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_drop_contours(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_erase(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_leave_out(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_fill_holes(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_remove_doubled(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_close_gaps(std::vector<Line> lines, const StepCall& call);
// Fabric: steps_fabric.cpp.
std::vector<Line> step_applique(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_grain_arrow(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_template(std::vector<Line> lines, const StepCall& call);
// Stencils: steps_stencil.cpp.
std::vector<Line> step_bridge(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_paint_layer(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_stones(std::vector<Line> lines, const StepCall& call);
// Filling: steps_fill.cpp.
std::vector<Line> step_fill(std::vector<Line> lines, const StepCall& call);
// Placing: steps_place.cpp.
std::vector<Line> step_mirror(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_move_lines(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_rotate(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_skew(std::vector<Line> lines, const StepCall& call);
std::vector<Line> step_scale(std::vector<Line> lines, const StepCall& call);
// Copies: steps_repeat.cpp.
std::vector<Line> step_repeat(std::vector<Line> lines, const StepCall& call);

}  // namespace dotlane
