// Courses of a tool, one lowering each, packed: a fill may have a million of them.
#pragma once

#include <cstdint>
#include <span>
#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

/// Strokes in running order. Lengths mm. A stroke of one point is a touch of the tip; one that ends where it began is
/// closed.
class Strokes {
 public:
  [[nodiscard]] std::size_t size() const { return ends_.size(); }
  [[nodiscard]] bool empty() const { return ends_.empty(); }
  [[nodiscard]] std::span<const Vec> operator[](std::size_t i) const {
    const std::size_t from = i == 0 ? 0 : ends_[i - 1];
    return {points_.data() + from, ends_[i] - from};
  }
  /// The part of the region that the stroke fills, an index into parts_of() of what was filled.
  [[nodiscard]] std::uint32_t part(std::size_t i) const { return parts_[i]; }

  /// Adds a point to the stroke that is being made; end() ends it.
  void add(Vec p) { points_.push_back(p); }
  void end(std::uint32_t part) {
    ends_.push_back(points_.size());
    parts_.push_back(part);
  }
  void append(const Strokes& more) {
    const std::size_t before = points_.size();
    points_.insert(points_.end(), more.points_.begin(), more.points_.end());
    for (const std::size_t e : more.ends_) ends_.push_back(before + e);
    parts_.insert(parts_.end(), more.parts_.begin(), more.parts_.end());
  }
  void reserve(std::size_t strokes, std::size_t points) {
    ends_.reserve(strokes);
    parts_.reserve(strokes);
    points_.reserve(points);
  }

  [[nodiscard]] const std::vector<Vec>& points() const { return points_; }
  [[nodiscard]] double length_mm() const {
    double sum = 0;
    for (std::size_t i = 0; i < size(); ++i) {
      const auto s = (*this)[i];
      for (std::size_t k = 1; k < s.size(); ++k) sum += distance(s[k - 1], s[k]);
    }
    return sum;
  }

 private:
  std::vector<Vec> points_;
  std::vector<std::size_t> ends_;
  std::vector<std::uint32_t> parts_;
};

}  // namespace dotlane
