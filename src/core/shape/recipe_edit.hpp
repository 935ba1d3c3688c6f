// Edits of recipes: ready shapes and steps put in, changed, moved, switched, taken out; results frozen.
#pragma once

#include <optional>

#include "core/error.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

/// Adds a ready shape as a piece on top, in the middle of the usable area, on the first sheet's stock (65 lb cover when
/// there is none yet). Errors name a value that cannot stand. `id` hears the new piece's id.
[[nodiscard]] Result<Project> add_shape(Project project, const std::string& kind, const Values& values,
                                        int* id = nullptr);
/// Adds a piece just below these that is their outline together, `by` mm larger all around.
[[nodiscard]] Project add_outline_of(Project project, const std::vector<int>& pieces, double by, int* id = nullptr);
/// Adds a traced picture the same way.
[[nodiscard]] Project add_picture(Project project, Picture picture, const std::string& file, const Values& values,
                                  int* id = nullptr);
/// Changes one value of a piece's source and gives lines that are new their tools.
[[nodiscard]] Result<Project> set_source_value(Project project, int piece, const std::string& key, const Value& value);

/// Puts other values in the place of a piece's source's; they must be such as set_source_value() takes.
[[nodiscard]] Project set_source_values(Project project, int piece, const Values& values);

/// A new piece at the bottom that draws what these pieces show in the end, numbered from the lowest layer up: on the
/// stock named "paper" where there is one, else on that of the lowest piece.
[[nodiscard]] Project add_template_of(Project project, const std::vector<int>& pieces, int* id = nullptr);

/// Moves single lines of pieces with recipes by so much in the figure, mm: by a step of its own for each piece, or by
/// the last one when that moves the very same lines. Other pieces stay.
[[nodiscard]] Project move_lines(Project project, const std::vector<LineRef>& lines, Vec by);
/// Whether all of these are single lines that move_lines() moves.
[[nodiscard]] bool can_move_lines(const Project& project, const std::vector<LineRef>& lines);

/// Appends a step. Refused when the kind or a value is unknown, or when the piece would come to depend on itself.
[[nodiscard]] Result<Project> add_step(Project project, int piece, Step step, int* id = nullptr);
[[nodiscard]] Result<Project> set_step_value(Project project, int piece, int step, const std::string& key,
                                             const Value& value);
[[nodiscard]] Project switch_step(Project project, int piece, int step, bool on);
/// Moves the step up (-1) or down (+1).
[[nodiscard]] Project shift_step(Project project, int piece, int step, int by);
[[nodiscard]] Project remove_step(Project project, int piece, int step);
/// Clicks a contour for a "drop-contours" step at the end of the recipe, adding one where there is none; `at` is a
/// place on the mat.
[[nodiscard]] Project pick_contour(Project project, const Drawing& drawing, int piece, Vec at, bool keep);

/// Makes what the recipe comes to the piece's own lines; the recipe is gone.
[[nodiscard]] Project freeze(Project project, const Drawing& drawing, int piece);
/// Removes the pieces; recipes of other pieces that work with them are frozen first when `freeze_users`, else they go
/// on without.
[[nodiscard]] Project remove_with_users(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                        bool freeze_users);

/// Trims every piece that others may hide (all when `pieces` is empty), or ends that: adds or removes the step.
[[nodiscard]] Project trim_under(Project project, const std::vector<int>& pieces, double tuck_mm);
[[nodiscard]] Project untrim(Project project, const std::vector<int>& pieces);

}  // namespace dotlane
