// From a run's journal to its place in the logbook.
#pragma once

#include "core/format/journal.hpp"
#include "core/job/outcome.hpp"
#include "core/logbook/logged_run.hpp"

namespace dotlane {

/// What is known of a run now, whether it is over, broken off or was gone on with. `record` and `found` are what the
/// cutter told, where it told anything: strokes, marks, how far off. Real seconds of a pass are those between what the
/// journal says was done before and after; of a pause, from when it began to when hands said they were ready.
[[nodiscard]] LoggedRun logged(const Project& project, const Job& job, const JournalState& journal,
                               const RunRecord* record = nullptr, const OutcomeReport* found = nullptr);

}  // namespace dotlane
