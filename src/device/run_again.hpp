// A run that was begun by a program that has ended: its job, made once more from its folder.
#pragma once

#include "device/job_runner.hpp"

namespace dotlane {

struct RunAgain {
  RunPapers papers;
  Project project;
  JournalState state;
};
/// Takes as long as planning the project does. Errors name the file and say what to do.
[[nodiscard]] Result<RunAgain> run_again(const std::string& folder);

}  // namespace dotlane
