// A job run to its end on a cutter in this process, with its marks told apart by instruction.
#pragma once

#include "core/job/cutter.hpp"
#include "core/job/gcode.hpp"
#include "core/job/hpgl.hpp"

namespace dotlane::test {

struct Ran {
  RunRecord record;
  JobPlace place;  ///< everything before it is done
};

/// Confirms every pause; stops once so many seconds have gone by.
inline Ran ran_on(Cutter& cutter, const Encoded& stream, std::size_t before, double seconds = 1e9) {
  Ran out;
  for (std::size_t at = 0; at < stream.text.size(); at += 5000)
    cutter.feed(std::string_view(stream.text).substr(at, 5000));
  cutter.end();
  while (true) {
    const double left = seconds - cutter.seconds();
    cutter.advance(std::min(left, 50.0));
    if (cutter.state() == Cutter::State::paused) {
      (void)cutter.loaded(cutter.wanted().holders);
    } else if (cutter.state() != Cutter::State::running || cutter.seconds() >= seconds - 1e-9) {
      break;
    }
  }
  out.record.marks = cutter.take_marks();
  for (auto& mark : out.record.marks) {
    const auto i = stream.instruction_after(mark.at - 1);
    if (i >= before) mark.instruction = i - before;
  }
  out.record.registrations = cutter.take_registrations();
  out.record.marked_mm = cutter.marked_mm();
  out.record.seconds = cutter.seconds();
  out.record.problem = cutter.problem();
  out.record.pauses = cutter.pauses();
  out.record.outcome = cutter.state() == Cutter::State::finished ? Outcome::done : Outcome::failed;
  out.place = {stream.instruction_after(cutter.done()), cutter.under_way_mm()};
  return out;
}

inline Ran ran(const Job& job, const Physics& physics = {}, double seconds = 1e9) {
  Cutter cutter(job.machine, holders_at(job, 0), job.printed);
  cutter.set_physics(physics);
  return ran_on(cutter, hpgl_of(job), 0, seconds);
}

inline Ran ran_gcode(const Job& job, const GcodeProfile& profile) {
  Cutter cutter(job.machine, holders_at(job, 0), job.printed);
  cutter.set_reader(std::make_unique<GcodeReader>(job.machine.mat.height_mm, profile));
  return ran_on(cutter, gcode_of(job, profile), 0);
}

/// The rest of a job, its marks counted as the whole job's.
inline Ran ran_rest(const Job& job, const JobRest& rest, const Physics& physics) {
  Cutter cutter(job.machine, holders_at(rest.job, 0), job.printed);
  cutter.set_physics(physics);
  Ran out = ran_on(cutter, hpgl_of(rest.job), rest.before);
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
