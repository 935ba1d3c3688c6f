// A job run to its end on a cutter in this process, with its marks told apart by instruction.
#pragma once

#include "core/job/gcode.hpp"
#include "core/job/hpgl.hpp"
#include "core/job/rehearsal.hpp"

namespace dotlane::test {

using Ran = Rehearsal;

inline Ran ran(const Job& job, const Physics& physics = {}, double seconds = 1e9) {
  return rehearse(job, physics, seconds);
}

inline Ran ran_gcode(const Job& job, const GcodeProfile& profile) {
  Cutter cutter(job.machine, holders_at(job, 0), job.printed);
  cutter.set_reader(std::make_unique<GcodeReader>(job.machine.mat.height_mm, profile));
  return run_through(cutter, gcode_of(job, profile));
}

/// The rest of a job, its marks counted as the whole job's.
inline Ran ran_rest(const Job& job, const JobRest& rest, const Physics& physics) {
  Cutter cutter(job.machine, holders_at(rest.job, 0), job.printed);
  cutter.set_physics(physics);
  Ran out = run_through(cutter, hpgl_of(rest.job), rest.before);
  for (auto& mark : out.record.marks) {
    if (mark.instruction == npos) continue;
    if (mark.instruction == 0) {
      const double shift = rest.from.run_mm - rest.ahead_mm;
      mark.from_mm = std::max(rest.from.run_mm, mark.from_mm + shift);
      mark.to_mm = std::max(rest.from.run_mm, mark.to_mm + shift);
    }
    mark.instruction += rest.from.instruction;
  }
  return out;
}

}  // namespace dotlane::test
