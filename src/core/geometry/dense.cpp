#include "core/geometry/dense.hpp"

#include "core/geometry/geos.hpp"

namespace dotlane {

std::optional<Region> dense_union(const std::vector<Region>& parts) {
  const Geos geos;
  return geos.region(geos.own(GEOSUnaryUnion_r(*geos, geos.polygons(parts).get())));
}

std::optional<Region> dense_difference(const Region& from, const Region& what) {
  const Geos geos;
  return geos.region(
      geos.own(GEOSDifference_r(*geos, geos.polygons(parts_of(from)).get(), geos.polygons(parts_of(what)).get())));
}

std::optional<Region> dense_intersection(const Region& a, const Region& b) {
  const Geos geos;
  return geos.region(
      geos.own(GEOSIntersection_r(*geos, geos.polygons(parts_of(a)).get(), geos.polygons(parts_of(b)).get())));
}

}  // namespace dotlane
