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

double Within::length_within(const Polyline& polyline) const {
  const auto& geos = ready_->geos;
  const auto whole = ready_->line(polyline);
  if (Ready::yes(GEOSPreparedCovers_r(*geos, ready_->prepared, whole.get()))) return length_of(polyline);
  if (!Ready::yes(GEOSPreparedIntersects_r(*geos, ready_->prepared, whole.get()))) return 0;
  // Each stretch by itself: overlaid as one, those that run over each other would count once.
  double total = 0;
  for (std::size_t i = 1; i < polyline.points.size(); ++i) {
    const Polyline stretch{{polyline.points[i - 1], polyline.points[i]}, false};
    const auto line = ready_->line(stretch);
    if (Ready::yes(GEOSPreparedCovers_r(*geos, ready_->prepared, line.get()))) {
      total += length_of(stretch);
    } else if (Ready::yes(GEOSPreparedIntersects_r(*geos, ready_->prepared, line.get()))) {
      const auto inside = geos.own(GEOSIntersection_r(*geos, line.get(), ready_->shape.get()));
      double length = 0;
      if (!inside || !GEOSLength_r(*geos, inside.get(), &length)) throw GeometryFailure("step-failed/kernel");
      total += length;
    }
  }
  return total;
}

}  // namespace dotlane
