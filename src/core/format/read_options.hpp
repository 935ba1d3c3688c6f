// How a drawing is read, whatever its kind.
#pragma once

#include <cstddef>

namespace dotlane {

struct ReadOptions {
  double assumed_per_inch = 96;         ///< used only where the file states no physical unit
  int page = 1;                         ///< of files that have several, from 1
  std::size_t max_bytes = 256u << 20;   ///< larger files are refused
  int max_depth = 500;                  ///< deeper nesting is refused
  std::size_t max_instances = 200'000;  ///< elements drawn through copies; more are refused
  std::size_t max_segments = 20'000'000;
};

}  // namespace dotlane
