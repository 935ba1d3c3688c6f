// Whether lines lie within an area or reach into it, asked many times of the same area.
#pragma once

#include <memory>

#include "core/geometry/region.hpp"

namespace dotlane {

/// A region made ready for many questions (GEOS's prepared geometry: an index over its edges).
class Within {
 public:
  /// Throws GeometryFailure where GEOS refuses the region.
  explicit Within(const Region& region);
  ~Within();
  Within(Within&&) noexcept;
  Within& operator=(Within&&) noexcept;

  /// Whether the region holds every point of the polyline; its edge counts as inside.
  [[nodiscard]] bool holds(const Polyline& line) const;
  /// Whether the polyline reaches into the region anywhere, or its edge.
  [[nodiscard]] bool touches(const Polyline& line) const;

 private:
  struct Ready;
  std::unique_ptr<Ready> ready_;
};

}  // namespace dotlane
