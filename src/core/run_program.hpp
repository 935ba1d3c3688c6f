// Another program, run to its end.
#pragma once

#include <functional>
#include <string>
#include <vector>

namespace dotlane {

struct ProgramEnd {
  bool found = false;    ///< there is such a program
  bool in_time = true;   ///< it ended by itself before its time was up
  bool stopped = false;  ///< it was not waited for
  int code = -1;         ///< its exit code; -1 where it was ended by a signal
  [[nodiscard]] bool well() const { return found && in_time && !stopped && code == 0; }
};

/// Runs the program, found by $PATH, with these words, without a shell. It reads nothing; what it says goes into the
/// file `output`, or nowhere, its errors nowhere. After so many seconds, or as soon as `stop` says so, it is killed.
[[nodiscard]] ProgramEnd run_program(const std::vector<std::string>& words, double most_seconds,
                                     const std::string& output = "/dev/null", const std::function<bool()>& stop = {});

}  // namespace dotlane
