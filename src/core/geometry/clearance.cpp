#include "core/geometry/clearance.hpp"

#include "core/geometry/failure.hpp"
#include "core/geometry/geos.hpp"

namespace dotlane {

struct Clearance::Ready : PreparedRegion {
  using PreparedRegion::PreparedRegion;

  /// The other shape as polygons of this context.
  [[nodiscard]] Geos::Shape moved(const Ready& other, Vec by) const {
    struct Shift {
      Vec by;
    } shift{by};
    auto out = geos.own(GEOSGeom_transformXY_r(
        *geos, other.shape.get(),
        [](double* x, double* y, void* data) {
          const auto* s = static_cast<const Shift*>(data);
          *x += s->by.x, *y += s->by.y;
          return 1;
        },
        &shift));
    if (!out) throw GeometryFailure("step-failed/kernel");
    return out;
  }
};

Clearance::Clearance(const Region& shape) : ready_(std::make_unique<Ready>(shape)), bounds_(bounds_of(shape)) {}
Clearance::~Clearance() = default;
Clearance::Clearance(Clearance&&) noexcept = default;
Clearance& Clearance::operator=(Clearance&&) noexcept = default;

double Clearance::distance(const Clearance& other, Vec moved) const {
  const auto shape = ready_->moved(*other.ready_, moved);
  double out = 0;
  if (GEOSPreparedDistance_r(*ready_->geos, ready_->prepared, shape.get(), &out) != 1)
    throw GeometryFailure("step-failed/kernel");
  return out;
}

bool Clearance::keeps(double gap, const Clearance& other, Vec moved) const {
  const Box& b = other.bounds_;
  if (!bounds_.grown(gap).overlaps({b.x0 + moved.x, b.y0 + moved.y, b.x1 + moved.x, b.y1 + moved.y})) return true;
  // GEOS 3.11 asks every pair of edges whether they are within a distance; for the distance it has an index.
  if (gap > 0) return distance(other, moved) >= gap;
  const auto shape = ready_->moved(*other.ready_, moved);
  return !Ready::yes(GEOSPreparedIntersects_r(*ready_->geos, ready_->prepared, shape.get()));
}

bool Clearance::holds(const Clearance& other, Vec moved) const {
  const auto shape = ready_->moved(*other.ready_, moved);
  return Ready::yes(GEOSPreparedCovers_r(*ready_->geos, ready_->prepared, shape.get()));
}

}  // namespace dotlane
