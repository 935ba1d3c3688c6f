// What a task comes to in cells: its shapes as they may lie, its sheets as they are before anything lies on them.
#pragma once

#include <vector>

#include "core/layout/pack/pose.hpp"
#include "core/layout/pack/task.hpp"

namespace dotlane::pack {

/// The widest sheet's cells are made larger where there would be too many of them.
[[nodiscard]] double cell_for(const Task& task, double wanted_mm);

struct Ground {
  Ground(const Task& task, double cell_mm);

  double cell = 1;                 ///< mm
  std::vector<std::size_t> items;  ///< the shape of each part
  std::vector<Shape> shapes;
  std::vector<Box> boxes;     ///< mm, of each stand's area
  std::vector<double> whole;  ///< mm² of it
  std::vector<Grid> empty;    ///< of each stand, the corner of cell (0, 0) in its box's

  [[nodiscard]] double mm2(double cells) const { return cells * cell * cell; }
  /// The less, the better: the area used, and a great deal for each part that waits.
  [[nodiscard]] double cost_of(const Packing& packing) const;
  [[nodiscard]] double area_of_item(std::size_t item) const { return shapes[items[item]].area; }
  /// A part's pose with its corner on a cell of a stand, as a packing says it, and back. What a packing says must come
  /// from cells as large or whole times as large.
  [[nodiscard]] Lies lies(std::size_t item, std::size_t sheet, std::size_t stand, const Pose& pose, int x, int y) const;
  struct Spot {
    std::size_t pose = 0;
    int x = 0, y = 0;
  };
  [[nodiscard]] Spot spot_of(const Lies& part, std::size_t stand) const;
};

}  // namespace dotlane::pack
