// Another program, run to its end.
#pragma once

#include <string>
#include <vector>

namespace dotlane {

struct ProgramEnd {
  bool found = false;   ///< there is such a program
  bool in_time = true;  ///< it ended by itself before its time was up
  int code = -1;        ///< its exit code; -1 where it was ended by a signal
  [[nodiscard]] bool well() const { return found && in_time && code == 0; }
};

/// Runs the program, found by $PATH, with these words, without a shell. It reads nothing; what it says goes into the
/// file `output`, or nowhere, its errors nowhere. After so many seconds it is killed.
[[nodiscard]] ProgramEnd run_program(const std::vector<std::string>& words, double most_seconds,
                                     const std::string& output = "/dev/null");

/// A folder of its own in $TMPDIR, else /tmp; it goes with everything in it. Its path is empty where none can be made.
class TemporaryFolder {
 public:
  TemporaryFolder();
  ~TemporaryFolder();
  TemporaryFolder(const TemporaryFolder&) = delete;
  TemporaryFolder& operator=(const TemporaryFolder&) = delete;
  [[nodiscard]] const std::string& path() const { return path_; }

 private:
  std::string path_;
};

}  // namespace dotlane
