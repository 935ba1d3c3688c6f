// Ids: whether one is among others, and the next that is free.
#pragma once

#include <algorithm>
#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

[[nodiscard]] inline bool contains(const std::vector<int>& ids, int id) {
  return std::find(ids.begin(), ids.end(), id) != ids.end();
}

[[nodiscard]] inline int next_piece_id(const Project& project) {
  int id = 1;
  for (const auto& piece : project.pieces) id = std::max(id, piece->id + 1);
  return id;
}

[[nodiscard]] inline int next_step_id(const Piece& piece) {
  int id = 1;
  for (const auto& step : piece.steps) id = std::max(id, step.id + 1);
  return id;
}

}  // namespace dotlane
