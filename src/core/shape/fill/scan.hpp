// Where evenly spaced parallel lines lie inside a region: the kernel under every straight pattern.
#pragma once

#include <cstdint>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// What is filled, taken apart: the rings of all parts, each kept clear of its edge.
struct FillArea {
  std::vector<Ring> rings;
  std::vector<std::uint32_t> part_of;  ///< for each ring the part it belongs to
  std::size_t parts = 0;               ///< of the region before anything was kept clear
  [[nodiscard]] Region region() const { return {rings}; }
};

/// The region shrunk by `inset` mm, part by part. Round corners become chords within half a micrometre.
[[nodiscard]] FillArea fill_area(const Region& region, double inset);

/// A stretch of a scan line inside the area, from one edge to another. Edges are numbered through all rings: edge i of
/// a ring runs from its point i to the next one.
struct Span {
  double from = 0, to = 0;  ///< along the line, mm
  std::uint32_t from_edge = 0, to_edge = 0;
};

/// The spans of all scan lines. Line k of them runs at `first + k`, counted in spacings.
class Scan {
 public:
  /// Lines at `angle` degrees counter-clockwise, `spacing` mm apart, one of them `phase` spacings beside the origin.
  ///
  /// Each edge is cut into its crossings, crossings are counted into their lines, and each line's are sorted: time
  /// grows with the number of crossings, memory too. A line that runs along an edge or through a vertex (within 2 nm,
  /// the grid of regions and its rounding) takes all of the closed area with it: what it meets just above and just
  /// below, together. Spacing must be positive; the area clean as fill_area() gives it.
  Scan(const FillArea& area, double angle, double spacing, double phase);

  [[nodiscard]] std::size_t lines() const { return starts_.size() - 1; }
  /// Whether the line's number, counted from the origin, is odd.
  [[nodiscard]] bool odd(std::size_t line) const { return std::fmod(first_ + static_cast<double>(line), 2) != 0; }
  [[nodiscard]] std::size_t size() const { return spans_.size(); }
  /// Index of the first span of a line; that of lines() is size().
  [[nodiscard]] std::size_t start(std::size_t line) const { return starts_[line]; }
  [[nodiscard]] const Span& span(std::size_t i) const { return spans_[i]; }
  /// The place on the plane that is `along` mm along the line and `line` lines after the first.
  [[nodiscard]] Vec at(double along, double line) const {
    const double across = (first_ + line) * spacing_ + shift_;
    return {along * cos_ + across * sin_, across * cos_ - along * sin_};
  }

  /// How many lines after the first the place lies.
  [[nodiscard]] double line_of(Vec p) const { return (p.x * sin_ + p.y * cos_ - shift_) / spacing_ - first_; }

  /// A vertex as the scan sees it: along the lines in mm, across them in lines after the first.
  struct Corner {
    double along, line;
  };
  [[nodiscard]] const std::vector<Corner>& corners() const { return corners_; }
  /// Where each ring's corners and edges start among all; the last entry is their number.
  [[nodiscard]] std::uint32_t ring_of(std::uint32_t edge) const;
  /// The corner at the end of the edge.
  [[nodiscard]] std::uint32_t next(std::uint32_t edge) const;
  /// The corner, and edge, before this one.
  [[nodiscard]] std::uint32_t before(std::uint32_t corner) const;

 private:
  struct Crossing {
    double along;
    std::uint32_t edge;
  };
  void pair_up(std::vector<Crossing>& line, std::vector<Span>& out) const;

  double cos_ = 1, sin_ = 0, spacing_ = 1, shift_ = 0, first_ = 0;
  std::vector<Corner> corners_;
  std::vector<std::uint32_t> rings_;
  std::vector<std::size_t> starts_{0};
  std::vector<Span> spans_;
};

}  // namespace dotlane
