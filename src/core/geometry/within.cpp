#include "core/geometry/within.hpp"

#include "core/geometry/failure.hpp"
#include "core/geometry/geos.hpp"

namespace dotlane {

struct Within::Ready : PreparedRegion {
  using PreparedRegion::PreparedRegion;

  /// A point where the polyline has no length.
  [[nodiscard]] Geos::Shape line(const Polyline& polyline) const {
    std::vector<double> xy;
    for (const Vec p : polyline.points) {
      if (xy.empty() || xy[xy.size() - 2] != p.x || xy.back() != p.y) xy.push_back(p.x), xy.push_back(p.y);
    }
    GEOSCoordSequence* sequence =
        GEOSCoordSeq_copyFromBuffer_r(*geos, xy.data(), static_cast<unsigned>(xy.size() / 2), 0, 0);
    if (!sequence) throw GeometryFailure("step-failed/kernel");
    auto out = geos.own(xy.size() == 2 ? GEOSGeom_createPoint_r(*geos, sequence)
                                       : GEOSGeom_createLineString_r(*geos, sequence));
    if (!out) throw GeometryFailure("step-failed/kernel");
    return out;
  }
};

Within::Within(const Region& region) : ready_(std::make_unique<Ready>(region)) {}
Within::~Within() = default;
Within::Within(Within&&) noexcept = default;
Within& Within::operator=(Within&&) noexcept = default;

bool Within::holds(const Polyline& polyline) const {
  const auto line = ready_->line(polyline);
  return Ready::yes(GEOSPreparedCovers_r(*ready_->geos, ready_->prepared, line.get()));
}

bool Within::touches(const Polyline& polyline) const {
  const auto line = ready_->line(polyline);
  return Ready::yes(GEOSPreparedIntersects_r(*ready_->geos, ready_->prepared, line.get()));
}

}  // namespace dotlane
