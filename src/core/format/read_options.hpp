// How a drawing is read, whatever its kind.
#pragma once

#include <cstddef>
#include <functional>

namespace dotlane {

struct ReadOptions {
  double assumed_per_inch = 96;         ///< used only where the file states no physical unit
  int page = 1;                         ///< of files that have several, from 1
  std::size_t max_bytes = 256u << 20;   ///< larger files are refused
  int max_depth = 500;                  ///< deeper nesting is refused
  std::size_t max_instances = 200'000;  ///< elements drawn through copies; more are refused
  std::size_t max_segments = 20'000'000;
  /// Asked now and then by what goes by other programs; once it says so, the reading ends as an error. From any thread.
  std::function<bool()> stop{};
};

}  // namespace dotlane
