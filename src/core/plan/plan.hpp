// Plan: the passes in order, with everything each needs and how long it takes.
#pragma once

#include <string>
#include <vector>

#include "core/layout/layout.hpp"
#include "core/layout/print_marks.hpp"
#include "core/plan/motion.hpp"
#include "core/plan/order.hpp"
#include "core/plan/precedence.hpp"
#include "core/plan/tool_path.hpp"

namespace dotlane {

/// One lowering of the tool.
struct Stroke {
  Course course;                ///< onto the mat, mirrored already when the plan is
  bool reversed = false;        ///< open courses: from the last point to the first
  std::size_t first_point = 0;  ///< closed ones start here,
  double along = 0;             ///< or so far, as a share, on the way to the next point
  int times = 1;                ///< without lifting: round and round, or to and fro
  int piece = 0;                ///< piece id
  std::size_t line = 0;         ///< index of the line in its piece
  std::size_t laid = 0;         ///< index in Layout::laid: which copy of which part it works

  [[nodiscard]] bool closed() const { return course.polyline->closed; }
  /// What the tool runs through, mm on the mat; and where it goes down and up.
  [[nodiscard]] std::vector<Vec> points() const;
  [[nodiscard]] Vec start() const;
  [[nodiscard]] Vec end() const;
};

/// One tool over one sheet in one role.
struct Pass {
  /// A stable name, by which it is left out of a run: "load/sheet/role/tool/repeats", and "/strokes" when stroke by
  /// stroke, "/numbers" when it writes the numbers of parts.
  std::string key;
  int index = 1;  ///< 1-based, in running order
  int load = 1;
  int sheet = 1;  ///< sheet id
  Role role = Role::cut;
  std::string tool;
  int holder = 1;
  bool numbers = false;  ///< it writes the numbers of parts, as lightly as its tool goes
  bool pause_before = false;
  bool pinned = false;            ///< by hand: planning anew keeps its place
  int repeats = 1;                ///< times the tool goes over every stroke, in register
  bool stroke_by_stroke = false;  ///< the repeats are in the strokes already, to and fro or round and round
  /// Times the strokes are run through from the first to the last.
  [[nodiscard]] int rounds() const { return stroke_by_stroke ? 1 : repeats; }
  double force_gf = 0, speed_mm_s = 0, depth = 0;
  ToolLead lead;                    ///< how its tool has to be led
  Vec heading = kTurnedIn;          ///< where a trailing blade points before the first stroke
  std::optional<Vec> turn_in;       ///< where it is turned in before that
  std::vector<Stroke> strokes;      ///< in running order, one round
  int contours = 0;                 ///< strokes of one round
  double length_mm = 0;             ///< tool down, all repeats
  double travel_mm = 0;             ///< tool up, all repeats, from where the pass before ended
  int lifts = 0;                    ///< all repeats
  Pace pace;                        ///< of the machine in this role: it is in the seconds
  std::optional<PrintMarks> marks;  ///< of its sheet, when that is printed and the machine finds them
  double marks_s = 0;               ///< of the seconds: to find them before the first stroke
  double ready_s = 0;               ///< of the seconds, after that: to turn the blade in
  double seconds = 0;               ///< without the pause before it
  double start_s = 0;               ///< on the clock of the plan, after the pause before it
  /// When each stroke ends, seconds from start_s: the strokes of the first round, then of the second, and so on.
  std::vector<double> stroke_end_s;
};

struct HolderLoad {
  int holder = 1;
  std::string take_out;  ///< tool id; empty when the holder was empty or keeps its tool
  std::string put_in;    ///< tool id; empty when nothing changes here
  std::string holds;     ///< tool id after the pause; may be empty
  double depth = 0;      ///< the mark that hands set on it now; 0: none is to be set
};

/// Hands are needed.
struct Pause {
  std::size_t before_pass = 0;  ///< index into passes
  bool change_mat = false;      ///< another mat load goes in
  int load = 1;
  std::vector<HolderLoad> holders;  ///< one for each holder
  double start_s = 0, seconds = 0;
  double dries_s = 0;  ///< of the seconds: waiting, after all that hands do, until what is run over next is dry
  /// Whether hands do anything: else it is a wait for ink to dry.
  [[nodiscard]] bool hands() const;
};

struct Plan {
  std::vector<Pass> passes;
  std::vector<Pass> not_now;    ///< passes left out of the run, with what they are and no strokes, in their order
  std::vector<Reason> reasons;  ///< why passes come after others; indices into passes
  std::vector<HolderLoad> first_load;
  std::vector<Pause> pauses;
  bool mirrored = false;
  double seconds = 0;    ///< run and pauses, without the first loading
  int least_pauses = 0;  ///< no order that the reasons allow needs fewer
  /// What the order by hand costs beside what is planned without it, pins kept.
  int hand_mats = 0, hand_pauses = 0, hand_swaps = 0;
  bool optimal = true;  ///< nor fewer mats, pauses and swaps together, nor is it quicker with as many
  [[nodiscard]] double running_seconds() const;
  /// How much sooner or later it may all end, as far as the machine's pace is known; s.
  [[nodiscard]] double spread_seconds() const;
};

/// What hands have to do in a plan.
struct Handwork {
  int pauses = 0;   ///< where hands do something
  int waits = 0;    ///< where they do nothing, until something is dry
  int mats = 0;     ///< mats put in, the first one among them
  int returns = 0;  ///< of these, mats that were in before: what they carry may not lie as it did
  int tools = 0;    ///< tools put in, the first loading's among them
  int swaps = 0;    ///< tools put in and marks set at pauses
};
[[nodiscard]] Handwork handwork_of(const Plan& plan);

[[nodiscard]] MotionLimits travel_limits(const Machine& machine);
[[nodiscard]] MotionLimits pass_limits(const Machine& machine, double speed_mm_s);
/// How a tool has to be led with a setting.
[[nodiscard]] ToolLead lead_of(const Tool& tool, const Setting& setting, Role role);

/// Plans every line whose role runs and that has a tool, but what is left out of the run. Passes come in the order that
/// costs least (make_schedule) of those that the reasons allow (reasons_of): first what was put in order by hand, then
/// roles, then light inks before dark ones on a sheet. Mat loads come one after the other, or come and go with the
/// tools
/// (`by_tool`). A blade whose depth is set by hand is another setting at each mark, which only a pause can change. Cut
/// passes run inner contours before outer ones. With `mirrored`, each sheet's strokes are reflected once across the
/// sheet's upright middle line, here and nowhere else.
///
/// `effort` says how long to look for better orders of strokes; its kicks are shared out among the passes.
[[nodiscard]] Plan make_plan(const Project& project, const Layout& layout, const TourEffort& effort = {});

/// As much as is worth while: fifty kicks a stroke, 60,000 at most, which take about a second or two.
[[nodiscard]] TourEffort thorough(const Plan& plan, std::function<bool()> stop = {});

/// What the plan is doing at a moment of its clock.
struct Moment {
  std::size_t pass = 0;        ///< index into passes; passes.size() when all is done
  int repeat = 0;              ///< from 0
  std::size_t stroke = 0;      ///< strokes before it are done in this repeat
  std::vector<Vec> under_way;  ///< what the stroke has marked so far
  Vec head;
  bool down = false;
  bool hands = false;  ///< in the pause before `pass`
};
[[nodiscard]] Moment moment_at(const Plan& plan, const Machine& machine, double seconds);

}  // namespace dotlane
