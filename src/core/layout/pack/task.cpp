#include "core/layout/pack/task.hpp"

#include "core/geometry/convex_hull.hpp"

namespace dotlane::pack {

void allow_own_turns(Task& task) {
  std::vector<Vec> rooms;
  for (const auto& stand : task.stands) {
    const Box box = bounds_of(stand.area);
    rooms.push_back({box.width(), box.height()});
  }
  task.own_turns.assign(task.shapes.size(), {});
  for (std::size_t i = 0; i < task.shapes.size(); ++i) {
    const Ring hull = hull_of(task.shapes[i]);
    if (largest_in_any(hull, rooms, task.turns, 0).scale >= 1) continue;
    const BoxFit fit = largest_in_any(hull, rooms, {}, 0);
    if (fit.scale >= 1) task.own_turns[i] = {fit.turn, fit.turn + 180};
  }
}

}  // namespace dotlane::pack
