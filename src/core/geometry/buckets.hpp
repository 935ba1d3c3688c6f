// What lies near: square cells over some bounds, each with a list of numbers.
#pragma once

#include <algorithm>
#include <cmath>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// About one item to a cell, where they are spread evenly. What lies outside the bounds is in the cells at the rim.
class Buckets {
 public:
  Buckets(const Box& bounds, std::size_t items) : bounds_(bounds.empty() ? Box{0, 0, 0, 0} : bounds) {
    const double side = std::sqrt(std::max(1.0, static_cast<double>(items)));
    cell_ = std::max({bounds_.width(), bounds_.height(), 1e-6}) / side;
    columns_ = static_cast<int>(bounds_.width() / cell_) + 1;
    rows_ = static_cast<int>(bounds_.height() / cell_) + 1;
    cells_.resize(static_cast<std::size_t>(columns_) * static_cast<std::size_t>(rows_));
  }
  [[nodiscard]] int column(double x) const { return cell_of(x - bounds_.x0, columns_); }
  [[nodiscard]] int row(double y) const { return cell_of(y - bounds_.y0, rows_); }
  [[nodiscard]] int columns() const { return columns_; }
  [[nodiscard]] int rows() const { return rows_; }
  [[nodiscard]] double cell() const { return cell_; }
  std::vector<int>& at(int c, int r) {
    return cells_[static_cast<std::size_t>(r) * static_cast<std::size_t>(columns_) + static_cast<std::size_t>(c)];
  }
  /// Calls with the list of every cell that the box reaches.
  template <class Visit>
  void each(const Box& box, Visit&& visit) {
    for (int r = row(box.y0); r <= row(box.y1); ++r) {
      for (int c = column(box.x0); c <= column(box.x1); ++c) visit(at(c, r));
    }
  }

 private:
  [[nodiscard]] int cell_of(double from_first, int cells) const {
    return static_cast<int>(std::clamp(from_first / cell_, 0.0, static_cast<double>(cells - 1)));
  }
  Box bounds_;
  double cell_ = 1;
  int columns_ = 1, rows_ = 1;
  std::vector<std::vector<int>> cells_;
};

}  // namespace dotlane
