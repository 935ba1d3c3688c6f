// How near shapes come to each other as they are moved about.
#pragma once

#include <memory>

#include "core/geometry/region.hpp"

namespace dotlane {

/// A shape made ready for many questions (GEOS's prepared geometry: an index over its edges). Every function throws
/// GeometryFailure where GEOS gives up.
class Clearance {
 public:
  explicit Clearance(const Region& shape);
  ~Clearance();
  Clearance(Clearance&&) noexcept;
  Clearance& operator=(Clearance&&) noexcept;

  /// Whether the other shape, moved by so much, is at least `gap` mm away from this one; with a gap
  /// of 0, whether they do not even touch.
  [[nodiscard]] bool keeps(double gap, const Clearance& other, Vec moved) const;
  /// How far the other shape, moved by so much, is from this one, mm; 0 where they touch or overlap.
  [[nodiscard]] double distance(const Clearance& other, Vec moved) const;
  /// Whether the other shape, moved by so much, lies within this one; edges may touch.
  [[nodiscard]] bool holds(const Clearance& other, Vec moved) const;
  [[nodiscard]] const Box& bounds() const { return bounds_; }

 private:
  struct Ready;
  std::unique_ptr<Ready> ready_;
  Box bounds_;
};

}  // namespace dotlane
