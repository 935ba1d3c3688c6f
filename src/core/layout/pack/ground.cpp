#include "core/layout/pack/ground.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/parallel.hpp"

namespace dotlane::pack {
namespace {

constexpr double kEdge = 0.002;  // mm
constexpr double kWaits = 1e6;   // mm²

Grid grid_of(const Stand& stand, const Box& box, double gap, double cell) {
  // Whole cells only: what is left over at the right and the lower edge is less than one.
  const int width = std::max(1, static_cast<int>(std::floor(box.width() / cell + 1e-6)));
  const int height = std::max(1, static_cast<int>(std::floor(box.height() / cell + 1e-6)));
  Grid grid(width, height);
  const Vec corner{box.x0, box.y0};
  const Region whole{
      {{{box.x0 - 1, box.y0 - 1}, {box.x1 + 1, box.y0 - 1}, {box.x1 + 1, box.y1 + 1}, {box.x0 - 1, box.y1 + 1}}}};
  grid.take(cells_of(subtract(whole, stand.area), corner, cell), 0, 0);
  for (const auto& region : stand.taken) grid.take(cells_of(offset(region, gap + kEdge), corner, cell), 0, 0);
  return grid;
}

}  // namespace

double cell_for(const Task& task, double wanted_mm) {
  double out = wanted_mm;
  for (const auto& stand : task.stands)
    out = std::max(out, std::max(bounds_of(stand.area).width(), 1.0) / (Grid::kWidest - 1));
  return out;
}

Ground::Ground(const Task& task, double cell_mm) : cell(cell_mm), items(task.items), shapes(task.shapes.size()) {
  for (const auto& stand : task.stands) {
    boxes.push_back(bounds_of(stand.area));
    whole.push_back(area_of(stand.area));
    empty.push_back(grid_of(stand, boxes.back(), task.gap, cell));
  }
  for_each_index(shapes.size(), 2, [&](std::size_t i) {
    std::vector<double> turns = task.turns;
    if (i < task.own_turns.size()) turns.insert(turns.end(), task.own_turns[i].begin(), task.own_turns[i].end());
    shapes[i] = shape_of(task.shapes[i], turns, task.gap, cell);
  });
}

double Ground::cost_of(const Packing& packing) const {
  double out = packing.used_mm2;
  for (const std::size_t item : packing.waiting) out += kWaits + 10 * area_of_item(item);
  return out;
}

Lies Ground::lies(std::size_t item, std::size_t sheet, std::size_t stand, const Pose& pose, int x, int y) const {
  const Vec at{boxes[stand].x0 + x * cell, boxes[stand].y0 + y * cell};
  return {item, sheet, pose.turn, at - pose.corner};
}

Ground::Spot Ground::spot_of(const Lies& part, std::size_t stand) const {
  const auto& poses = shapes[items[part.item]].poses;
  Spot out;
  const auto has = [&](const Pose& p) { return std::find(p.turns.begin(), p.turns.end(), part.turn) != p.turns.end(); };
  out.pose = static_cast<std::size_t>(std::find_if(poses.begin(), poses.end(), has) - poses.begin());
  const Vec corner = part.move + poses.at(out.pose).corner;
  out.x = static_cast<int>(std::lround((corner.x - boxes[stand].x0) / cell));
  out.y = static_cast<int>(std::lround((corner.y - boxes[stand].y0) / cell));
  return out;
}

}  // namespace dotlane::pack
