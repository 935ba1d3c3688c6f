// The edges of a region, sorted to answer quickly: what a line crosses, and how much of it lies inside.
#pragma once

#include <algorithm>
#include <cstdint>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// The edges lie in level rows, as many as keep each edge in about four: a question looks at the edges of a few rows.
/// What runs along an edge counts as inside.
class RegionEdges {
 public:
  explicit RegionEdges(const Region& region);

  /// A stretch of a line on one side of the edges, by the parameter along it from 0 to 1.
  struct Run {
    double from = 0, to = 1;
    bool inside = false;
  };
  /// The straight line from a to b, divided where it crosses an edge; sides alternate. Runs under 1 nm are left out.
  [[nodiscard]] std::vector<Run> runs(Vec a, Vec b) const;
  /// Whether the region holds every point of the polyline.
  [[nodiscard]] bool holds(const Polyline& line) const;
  /// How much of the polyline lies inside, mm.
  [[nodiscard]] double length_within(const Polyline& line) const;
  /// Even-odd; points on an edge may fall either way.
  [[nodiscard]] bool encloses(Vec p) const;
  [[nodiscard]] const Box& bounds() const { return bounds_; }

 private:
  struct Edge {
    Vec a, b;
  };
  [[nodiscard]] int row_of(double y) const;
  [[nodiscard]] bool comes_near(Vec a, Vec b) const {
    return std::min(a.x, b.x) <= bounds_.x1 && std::max(a.x, b.x) >= bounds_.x0 && std::min(a.y, b.y) <= bounds_.y1 &&
           std::max(a.y, b.y) >= bounds_.y0;
  }
  Box bounds_;
  double height_ = 1;  // of a row, mm
  int rows_ = 1;
  std::vector<Edge> edges_;
  std::vector<std::uint32_t> starts_, of_rows_;  // of row r: of_rows_[starts_[r]] to of_rows_[starts_[r + 1]]
};

}  // namespace dotlane
