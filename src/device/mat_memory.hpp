// What is on the mat of the simulated cutter and how far it is: a file that outlives its process, as a mat outlives a
// power cut. A line of JSON a moment, {"job","part","done","run_mm","seconds","marks"}, each written in one go: what is
// not in it has not happened.
#pragma once

#include <functional>
#include <string>
#include <vector>

#include "core/job/run_record.hpp"
#include "device/cutter_link.hpp"

namespace dotlane {

class MatMemory {
 public:
  MatMemory() = default;
  MatMemory(const MatMemory&) = delete;
  MatMemory& operator=(const MatMemory&) = delete;
  ~MatMemory();
  /// Opens the file and waits for another cutter to let it go; an error says why it cannot.
  Result<void> open(const std::string& path);
  [[nodiscard]] bool is_open() const { return file_ >= 0; }
  [[nodiscard]] const DeviceMemory& last() const { return last_; }
  /// A stream begins. Of another job: the mat is a new one.
  Result<void> begin(const std::string& job, int part);
  /// What has happened since.
  Result<void> add(const DeviceMemory& now, const std::vector<Mark>& marks);
  /// All marks so far, in the order in which they were made, some at a time.
  void recall(const std::function<void(std::vector<Mark>)>& each) const;

 private:
  Result<void> write(const std::string& line);
  std::string path_;
  int file_ = -1;
  DeviceMemory last_;
};

}  // namespace dotlane
