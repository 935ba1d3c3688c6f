// Room on the disk for as long as something takes.
#pragma once

#include <string>

namespace dotlane {

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
