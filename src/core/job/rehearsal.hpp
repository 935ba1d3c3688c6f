// A job run to its end on a cutter in this process, all at once: what it would leave.
#pragma once

#include "core/job/cutter.hpp"
#include "core/job/job.hpp"

namespace dotlane {

struct Rehearsal {
  RunRecord record;  ///< its marks know their instructions
  JobPlace place;    ///< everything before it is done
};

/// Feeds the stream, confirms every pause as it wants, stops once so many seconds have gone by. Instruction n of the
/// stream is instruction n - `before` of the job; marks of what comes before that belong to none.
[[nodiscard]] Rehearsal run_through(Cutter& cutter, const Encoded& stream, std::size_t before = 0,
                                    double seconds = 1e9);

/// The job as HPGL, on a cutter made of this.
[[nodiscard]] Rehearsal rehearse(const Job& job, const Physics& physics = {}, double seconds = 1e9);

}  // namespace dotlane
