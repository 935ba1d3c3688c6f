#include "core/job/rehearsal.hpp"

#include <algorithm>

#include "core/job/hpgl.hpp"

namespace dotlane {

Rehearsal run_through(Cutter& cutter, const Encoded& stream, std::size_t before, double seconds) {
  constexpr std::size_t kBytes = 5000;  // fed at once
  constexpr double kSlice = 50;         // s
  Rehearsal out;
  for (std::size_t at = 0; at < stream.text.size(); at += kBytes)
    cutter.feed(std::string_view(stream.text).substr(at, kBytes));
  cutter.end();
  while (true) {
    const double left = seconds - cutter.seconds();
    cutter.advance(std::min(left, kSlice));
    if (cutter.state() == Cutter::State::paused) {
      (void)cutter.loaded(cutter.wanted().holders);
    } else if (cutter.state() != Cutter::State::running || cutter.seconds() >= seconds - 1e-9) {
      break;
    }
  }
  RunRecord& record = out.record;
  record.marks = cutter.take_marks();
  for (auto& mark : record.marks) {
    const auto i = stream.instruction_after(mark.at - 1);
    if (i >= before) mark.instruction = i - before;
  }
  record.registrations = cutter.take_registrations();
  record.marked_mm = cutter.marked_mm();
  record.seconds = cutter.seconds();
  record.problem = cutter.problem();
  record.pauses = cutter.pauses();
  record.outcome = cutter.state() == Cutter::State::finished ? Outcome::done : Outcome::failed;
  out.place = {stream.instruction_after(cutter.done()), cutter.under_way_mm()};
  return out;
}

Rehearsal rehearse(const Job& job, const Physics& physics, double seconds) {
  Cutter cutter(job.machine, holders_at(job, 0), job.printed);
  cutter.set_physics(physics);
  return run_through(cutter, hpgl_of(job), 0, seconds);
}

}  // namespace dotlane
