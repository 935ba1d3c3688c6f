// Ids: whether one is among others, and the next that is free.
#pragma once

#include <algorithm>
#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

[[nodiscard]] inline bool contains(const std::vector<int>& ids, int id) {
  return std::find(ids.begin(), ids.end(), id) != ids.end();
}

/// The one whose id this is, or the end. Things are numbered from 1 as they come, so it is looked for from its number
/// downwards, then above: while nobody has put them in another order, that finds it almost at once.
template <class List, class IdOf>
[[nodiscard]] auto find_id(const List& list, int id, IdOf id_of) {
  const auto is_it = [&](const auto& item) { return id_of(item) == id; };
  const auto from = list.begin() + std::clamp<std::ptrdiff_t>(id, 0, static_cast<std::ptrdiff_t>(list.size()));
  const auto below = std::find_if(std::make_reverse_iterator(from), list.rend(), is_it);
  return below != list.rend() ? std::prev(below.base()) : std::find_if(from, list.end(), is_it);
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
