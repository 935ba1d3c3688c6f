// The folders of runs: where new ones go, which of them were broken off, and when old ones go.
#pragma once

#include <QDateTime>
#include <QString>
#include <vector>

#include "core/format/journal.hpp"

namespace dotlane {

/// A folder of its own for a run that begins now, named so that they sort by time.
[[nodiscard]] QString new_run_folder();

struct BrokenRun {
  QString folder;
  QDateTime when;  ///< the journal's last line
  JournalState state;
};
/// Runs that were broken off and that nobody has decided on, the newest first. Those under way elsewhere are none.
[[nodiscard]] std::vector<BrokenRun> broken_runs();
/// Nobody is asked about it any more.
void let_run_be(const QString& folder);
/// Removes all but the newest runs that have an outcome.
void tidy_runs();

}  // namespace dotlane
