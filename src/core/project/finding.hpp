// What a check or a reader has found: a code with its figures, and where it applies. src/words makes sentences of it.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/geometry/vec.hpp"
#include "core/project/recipe.hpp"
#include "core/said.hpp"

namespace dotlane {

enum class Severity { info, warning, error };

[[nodiscard]] constexpr const char* word(Severity s) {
  return s == Severity::error ? "error" : s == Severity::warning ? "warning" : "info";
}

/// A line of a piece, by their ids. A reader that knows no pieces yet leaves `piece` at 0.
struct LineRef {
  int piece = 0;
  std::string line;
  friend bool operator==(const LineRef&, const LineRef&) = default;
  friend auto operator<=>(const LineRef&, const LineRef&) = default;
};

/// An edit of the project that would settle a finding; carried out by apply_fix() in core/check/checks.hpp.
struct Fix {
  enum class Kind {
    bring_onto_mat,
    close_ends,
    remove_lines,
    confirm_roles,
    use_tool,
    restore_order,
    forget_order_by_hand,
    plan_again,
    set_per_inch,
    add_step,
    change_step,
    find_room,
    mirror_job,
    set_role,
    stroke_by_stroke,
    print_sheet,
    divide  ///< what is too large for its sheet, in tiles
  };
  Kind kind = Kind::confirm_roles;
  Said label;               ///< what its button says
  std::string tool;         ///< use_tool: the rack id; set_role: the role's word
  double number = 0;        ///< set_per_inch: units per inch; close_ends: the widest gap in mm; print_sheet: its id
  std::vector<LineRef> on;  ///< the lines it touches; empty means all that the finding names
  std::vector<std::size_t> laid{};  ///< find_room: copies of parts, by their indices in Layout::laid
  Step step{};  ///< add_step: the step; change_step: its id (0: the source) and the values that change
  friend bool operator==(const Fix&, const Fix&) = default;
};

struct Finding {
  std::string code;  ///< stable, lower case with dashes: "open-cut"
  Severity severity = Severity::info;
  Figures figures;
  std::vector<LineRef> lines{};
  std::vector<Fix> fixes{};
  std::string form{};       ///< which of the code's sentences fits; empty for its first
  Sayings because{};        ///< what a step says, of its own trouble
  Unknown unknown{};        ///< of a note in a file
  std::optional<Vec> at{};  ///< where it is, mm in the figure, when it is at one place
  friend bool operator==(const Finding&, const Finding&) = default;
};

}  // namespace dotlane
