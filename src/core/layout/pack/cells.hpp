// Shapes as cells of a square grid, and a grid that knows what is taken: for packing.
#pragma once

#include <cstdint>
#include <utility>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane::pack {

/// Cells `from` to `to` of a row, both inclusive.
struct Run {
  int row = 0, from = 0, to = 0;
  friend bool operator==(const Run&, const Run&) = default;
};

/// Every cell, `cell` mm wide, that the region shares an area with, row by row from left to right; the corner of cell
/// (0, 0) is at `origin`. Less than 5 µm counts as nothing.
[[nodiscard]] std::vector<Run> cells_of(const Region& region, Vec origin, double cell);

/// Every cell of a grid of so many columns and rows that does not lie wholly within the region.
[[nodiscard]] std::vector<Run> cells_beyond(const Region& region, Vec origin, double cell, int width, int height);

/// The cells around these, corners included: where a shape is that touches something.
[[nodiscard]] std::vector<Run> rim_of(const std::vector<Run>& runs);

/// The same in layers with at most one run in a row, to ask quickly what two shapes have in common.
class Layers {
 public:
  Layers() = default;
  explicit Layers(const std::vector<Run>& runs);  ///< row by row from left to right, as `cells_of` gives them
  /// How many cells these have in common with the others, moved by x and y. O(rows they share).
  [[nodiscard]] int common(const Layers& other, int x, int y) const;

 private:
  struct Layer {
    int first = 0, rows = 0;
    std::vector<std::int16_t> from, to;  // of each row; a few empty ones behind
  };
  int left_ = 0, right_ = -1;  // the outermost cells
  std::vector<Layer> layers_;
};

/// Which cells of a sheet are taken. Around it, everything is.
class Grid {
 public:
  static constexpr int kWidest = 4000;  ///< cells

  Grid(int width, int height);
  [[nodiscard]] int width() const { return width_; }
  [[nodiscard]] int height() const { return height_; }
  /// The last row with a taken cell; -1 where none is.
  [[nodiscard]] int lowest() const { return lowest_; }
  /// Takes these cells, moved by x and y; what falls outside is passed over.
  void take(const std::vector<Run>& runs, int x, int y);
  /// How many of these cells are taken, outside included.
  [[nodiscard]] int taken(const std::vector<Run>& runs, int x, int y) const;

  /// Whether none of these cells, which must lie inside the grid, is taken.
  [[nodiscard]] bool free(const std::vector<Run>& runs, int x, int y) const;

  /// For each x from 0 to `last`, whether one of the runs, moved by x and y, meets a taken cell: a set bit. The runs
  /// must lie inside the grid there. Returns whether any bit is clear. `out` has room for `last` bits in whole words.
  /// The run that decided is put in front: the next row is likely to be decided by it again.
  bool meets(std::vector<Run>& runs, int y, int last, std::uint64_t* out) const;

 private:
  // Level k tells of each cell whether it or one of the 2^k - 1 to its right is taken: any run is two questions.
  [[nodiscard]] const std::uint64_t* row(int level, int y) const {
    return &bits_[(static_cast<std::size_t>(level) * static_cast<std::size_t>(height_) + static_cast<std::size_t>(y)) *
                  static_cast<std::size_t>(stride_)];
  }
  std::uint64_t* row(int level, int y) { return const_cast<std::uint64_t*>(std::as_const(*this).row(level, y)); }

  int width_, height_, words_, stride_, levels_, lowest_ = -1;
  std::vector<std::uint64_t> bits_;
};

}  // namespace dotlane::pack
