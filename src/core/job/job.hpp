// Job: what a cutter is told, instruction by instruction, made from a plan. Languages are encoders of it (hpgl.hpp,
// gcode.hpp).
#pragma once

#include <string>
#include <variant>
#include <vector>

#include "core/job/mark_sensor.hpp"
#include "core/job/markers.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

/// What is loaded before the first move, or, at a pause, before what follows.
using LoadHolders = LoadMarker;
using FindMarks = MarksMarker;
/// What follows is not moved to where a print lies.
struct AsLaid {};
/// The holder that works from here on, and how.
struct SelectTool {
  int holder = 1;
  double speed_mm_s = 0, force_gf = 0;
  double depth = 0;  ///< the mark its blade is set to; 0: none
};
/// One lowering of the tool. What the head runs through; the tip's course goes with it where that is another.
using RunHead = HeadRun;
/// The tool is lifted, the holders are let go.
struct EndJob {};

struct Instruction {
  std::variant<LoadHolders, FindMarks, AsLaid, SelectTool, RunHead, EndJob> what;
  std::size_t pass = npos;    ///< index into the plan's passes; npos: none
  int round = 0;              ///< of the pass's repeats
  std::size_t stroke = npos;  ///< index into its strokes; npos: turning the blade in, or no run at all
};

/// Where the head is sent stands in the instructions: so that it comes to where it is wanted, as far as it is known how
/// the machine misses that (Machine::scale). Courses of tips are where they are wanted, on the mat.
struct Job {
  std::vector<Instruction> instructions;
  Machine machine;
  Plan plan;  ///< what it was made from
  /// What a rehearsal finds on the mats, with how it lies there; a device knows nothing of it.
  std::vector<PrintedSheet> printed;
};

[[nodiscard]] Job compile(const Plan& plan, const Machine& machine);

/// A place in a job: everything before the instruction is done, and so much of its run, mm of the head's way.
struct JobPlace {
  std::size_t instruction = 0;
  double run_mm = 0;
  friend auto operator<=>(const JobPlace&, const JobPlace&) = default;
};

/// The job from a place on: what must be loaded there, found and selected comes first, a blade that trails is turned
/// in, and a run that was broken off begins where it was left.
struct JobRest {
  Job job;
  std::size_t before = 0;  ///< instructions of the preamble: instruction before + n of it is `from.instruction` + n
  JobPlace from;
  double ahead_mm = 0;  ///< of the head's way in the first run: turning the blade to where it has to point
  /// The place in the whole job that a place in the rest stands for.
  [[nodiscard]] JobPlace whole(JobPlace place) const;
};
[[nodiscard]] JobRest job_from(const Job& job, JobPlace place);

/// What the holders have at a place.
[[nodiscard]] std::vector<std::string> holders_at(const Job& job, std::size_t instruction);

/// A language's text of a job, and where each instruction ends in it.
struct Encoded {
  std::string text;
  std::vector<std::size_t> ends;  ///< bytes from the beginning, one for each instruction
  /// The instruction that is under way once so many bytes are done: the first whose end lies beyond.
  [[nodiscard]] std::size_t instruction_after(std::size_t bytes) const;
};

/// How far from its place a printed sheet is laid by hand, and how much a printer misses its size.
struct Misplaced {
  double shift_mm = 3, turn_deg = 1.5, scale = 0.002;
};
/// The printed sheets that the plan works on, each laid down by chance within that.
[[nodiscard]] std::vector<PrintedSheet> laid_by_chance(const Project& project, const Layout& layout, const Plan& plan,
                                                       unsigned seed, const Misplaced& within = {});

}  // namespace dotlane
