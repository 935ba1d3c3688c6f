#include "core/geometry/dense.hpp"

#include "core/geometry/geos.hpp"

namespace dotlane {

std::optional<Region> dense_union(const std::vector<Region>& parts) {
  const Geos geos;
  const auto all = geos.polygons(parts);
  if (!all) return std::nullopt;
  return geos.region(geos.own(GEOSUnaryUnion_r(*geos, all.get())));
}

namespace {

using Overlay = GEOSGeometry* (*)(GEOSContextHandle_t, const GEOSGeometry*, const GEOSGeometry*);

std::optional<Region> dense_combine(const Region& a, const Region& b, Overlay operation) {
  const Geos geos;
  const auto left = geos.polygons(parts_of(a)), right = geos.polygons(parts_of(b));
  if (!left || !right) return std::nullopt;
  return geos.region(geos.own(operation(*geos, left.get(), right.get())));
}

}  // namespace

std::optional<Region> dense_difference(const Region& from, const Region& what) {
  return dense_combine(from, what, GEOSDifference_r);
}

std::optional<Region> dense_intersection(const Region& a, const Region& b) {
  return dense_combine(a, b, GEOSIntersection_r);
}

}  // namespace dotlane
