// Regions to GEOS and back, for the files here that ask GEOS.
#pragma once

#include <geos_c.h>

#include <algorithm>
#include <memory>
#include <optional>

#include "core/geometry/failure.hpp"
#include "core/geometry/region.hpp"

namespace dotlane {

// One GEOS context for each call: they are cheap, and nothing is shared among threads. Errors are told by null results.
class Geos {
 public:
  Geos() : context_(GEOS_init_r()) {}
  ~Geos() { GEOS_finish_r(context_); }
  Geos(const Geos&) = delete;
  Geos& operator=(const Geos&) = delete;

  struct Delete {
    GEOSContextHandle_t context;
    void operator()(GEOSGeometry* g) const { GEOSGeom_destroy_r(context, g); }
  };
  using Shape = std::unique_ptr<GEOSGeometry, Delete>;
  [[nodiscard]] Shape own(GEOSGeometry* g) const { return {g, Delete{context_}}; }
  [[nodiscard]] GEOSContextHandle_t operator*() const { return context_; }

  /// Every part as a polygon with holes; null when GEOS refuses one of them.
  [[nodiscard]] Shape polygons(const std::vector<Region>& parts) const {
    std::vector<GEOSGeometry*> all;
    auto give_up = [&](const std::vector<GEOSGeometry*>& holes) {
      for (auto* g : holes) GEOSGeom_destroy_r(context_, g);
      for (auto* g : all) GEOSGeom_destroy_r(context_, g);
      return own(nullptr);
    };
    for (const auto& part : parts) {
      std::vector<GEOSGeometry*> holes;
      for (std::size_t i = 1; i < part.rings.size(); ++i) {
        GEOSGeometry* hole = ring(part.rings[i]);
        if (!hole) return give_up(holes);
        holes.push_back(hole);
      }
      GEOSGeometry* outline = ring(part.rings.front());
      if (!outline) return give_up(holes);
      GEOSGeometry* polygon =
          GEOSGeom_createPolygon_r(context_, outline, holes.data(), static_cast<unsigned>(holes.size()));
      if (!polygon) return give_up({});  // GEOS has taken the rings
      all.push_back(polygon);
    }
    return own(GEOSGeom_createCollection_r(context_, GEOS_MULTIPOLYGON, all.data(), static_cast<unsigned>(all.size())));
  }

  [[nodiscard]] std::optional<Region> region(const Shape& shape) const {
    if (!shape) return std::nullopt;
    Region out;
    const int n = GEOSGetNumGeometries_r(context_, shape.get());
    for (int i = 0; i < n; ++i) {
      const GEOSGeometry* polygon = GEOSGetGeometryN_r(context_, shape.get(), i);
      if (GEOSGeomTypeId_r(context_, polygon) != GEOS_POLYGON || GEOSisEmpty_r(context_, polygon)) continue;
      out.rings.push_back(points(GEOSGetExteriorRing_r(context_, polygon), true));
      for (int k = 0; k < GEOSGetNumInteriorRings_r(context_, polygon); ++k)
        out.rings.push_back(points(GEOSGetInteriorRingN_r(context_, polygon, k), false));
    }
    return out;
  }

  /// The ring of a polygon, turned as an outline or as a hole of a region.
  [[nodiscard]] Ring points(const GEOSGeometry* ring, bool outline) const {
    const GEOSCoordSequence* sequence = GEOSGeom_getCoordSeq_r(context_, ring);
    unsigned n = 0;
    GEOSCoordSeq_getSize_r(context_, sequence, &n);
    std::vector<double> xy(2 * std::size_t{n});
    GEOSCoordSeq_copyToBuffer_r(context_, sequence, xy.data(), 0, 0);
    Ring out(n > 0 ? n - 1 : 0);
    for (std::size_t i = 0; i < out.size(); ++i) out[i] = {xy[2 * i], xy[2 * i + 1]};
    if ((signed_area_of(out) > 0) != outline) std::reverse(out.begin(), out.end());
    return out;
  }

 private:
  [[nodiscard]] GEOSGeometry* ring(const Ring& points) const {
    std::vector<double> xy(points.size() * 2 + 2);
    for (std::size_t i = 0; i <= points.size(); ++i) {
      const Vec p = points[i % points.size()];
      xy[2 * i] = p.x, xy[2 * i + 1] = p.y;
    }
    GEOSCoordSequence* sequence =
        GEOSCoordSeq_copyFromBuffer_r(context_, xy.data(), static_cast<unsigned>(points.size() + 1), 0, 0);
    return sequence ? GEOSGeom_createLinearRing_r(context_, sequence) : nullptr;
  }

  GEOSContextHandle_t context_;
};

/// A region as prepared geometry: an index over its edges, for many questions. Throws GeometryFailure where GEOS
/// refuses.
struct PreparedRegion {
  Geos geos;
  Geos::Shape shape;
  const GEOSPreparedGeometry* prepared = nullptr;

  explicit PreparedRegion(const Region& region) : shape(geos.polygons(parts_of(region))) {
    if (shape) prepared = GEOSPrepare_r(*geos, shape.get());
    if (!prepared) throw GeometryFailure("step-failed/kernel");
  }
  ~PreparedRegion() { GEOSPreparedGeom_destroy_r(*geos, prepared); }
  PreparedRegion(const PreparedRegion&) = delete;
  PreparedRegion& operator=(const PreparedRegion&) = delete;

  /// GEOS answers 0, 1, or 2 for a failure.
  static bool yes(char answer) {
    if (answer == 2) throw GeometryFailure("step-failed/kernel");
    return answer == 1;
  }
};

}  // namespace dotlane
