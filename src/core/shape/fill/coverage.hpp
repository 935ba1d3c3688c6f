// What a fill looks like once the tip has gone over it: how much is inked, what shows through.
#pragma once

#include "core/geometry/region.hpp"
#include "core/shape/fill/strokes.hpp"

namespace dotlane {

struct CoverageOptions {
  double tip_mm = 0.3;  ///< width of the mark
  /// Side of the cells that are counted, mm; 0 = a twelfth of the tip, or coarser where that would take more than
  /// `most_cells` over the region's box. The share inked is right within about a cell's width along all edges of ink.
  double cell_mm = 0;
  double most_cells = 2e8;  ///< a bit each, twice
  bool spot = true;         ///< look for the largest spot without ink too: half of the time
};

struct Coverage {
  double region_mm2 = 0;
  double inked_mm2 = 0;            ///< of the region
  double outside_mm2 = 0;          ///< ink beyond the region's edge
  double share = 0;                ///< inked_mm2 / region_mm2, 0 to 1
  double largest_gap_mm = 0;       ///< diameter of the largest round spot of the region without ink
  Vec gap_at;                      ///< its middle
  std::vector<double> part_share;  ///< of each part, in the order of parts_of()
  double cell_mm = 0;
};

/// Counts cells whose middles lie under the tip's round track, row by row. The largest spot without ink comes from an
/// exact distance transform of the cells (P. F. Felzenszwalb and D. P. Huttenlocher, "Distance Transforms of Sampled
/// Functions", Theory of Computing 8, 2012) on at most eight million of them, so it is right within about two cells.
[[nodiscard]] Coverage coverage_of(const Region& region, const Strokes& strokes, const CoverageOptions& options);

/// A grid of bits, the common ground of coverage and landing: cell (c, r) lies with its middle at
/// origin + ((c, r) + 1/2) cell.
class BitGrid {
 public:
  BitGrid(const Box& box, double cell);
  [[nodiscard]] std::size_t rows() const { return rows_; }
  [[nodiscard]] std::size_t columns() const { return columns_; }
  [[nodiscard]] double cell() const { return cell_; }
  [[nodiscard]] Vec middle(std::size_t column, std::size_t row) const {
    return {origin_.x + (static_cast<double>(column) + 0.5) * cell_,
            origin_.y + (static_cast<double>(row) + 0.5) * cell_};
  }
  /// Row by row, 64 cells a word.
  [[nodiscard]] std::uint64_t* row(std::size_t r) { return words_.data() + r * stride_; }
  [[nodiscard]] const std::uint64_t* row(std::size_t r) const { return words_.data() + r * stride_; }
  [[nodiscard]] std::size_t stride() const { return stride_; }
  [[nodiscard]] bool at(std::size_t c, std::size_t r) const { return (row(r)[c / 64] >> (c % 64)) & 1; }

  /// Sets every cell whose middle is within `radius` of the course, moved by `by`.
  void add_track(std::span<const Vec> course, double radius, Vec by = {});
  /// Sets every cell whose middle lies inside.
  void add_region(const Region& region);

 private:
  void set(std::size_t row, double x0, double x1);
  Vec origin_;
  double cell_;
  std::size_t columns_, rows_, stride_;
  std::vector<std::uint64_t> words_;
};

/// The cell side that CoverageOptions asks for over this box.
[[nodiscard]] double cell_for(const Box& box, const CoverageOptions& options);

}  // namespace dotlane
