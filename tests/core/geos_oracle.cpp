#include "geos_oracle.hpp"

#include <geos/geom/Coordinate.h>
#include <geos/geom/CoordinateArraySequence.h>
#include <geos/geom/GeometryFactory.h>
#include <geos/geom/LineString.h>
#include <geos/geom/LinearRing.h>
#include <geos/geom/MultiLineString.h>
#include <geos/geom/MultiPolygon.h>
#include <geos/geom/Point.h>
#include <geos/geom/Polygon.h>
#include <geos/operation/buffer/BufferBuilder.h>
#include <geos/operation/buffer/BufferOp.h>
#include <geos/operation/buffer/BufferParameters.h>
#include <geos/operation/polygonize/Polygonizer.h>
#include <geos/operation/union/CascadedPolygonUnion.h>

#include <algorithm>

namespace dotlane::test {
namespace {

using geos::geom::Coordinate;
using geos::geom::Geometry;

const geos::geom::GeometryFactory& factory() { return *geos::geom::GeometryFactory::getDefaultInstance(); }

std::unique_ptr<geos::geom::CoordinateArraySequence> coordinates(const Ring& ring) {
  std::vector<Coordinate> all;
  for (const Vec p : ring) {
    if (all.empty() || all.back().x != p.x || all.back().y != p.y) all.emplace_back(p.x, p.y);
  }
  if (all.back().x != all.front().x || all.back().y != all.front().y) all.push_back(all.front());
  return std::make_unique<geos::geom::CoordinateArraySequence>(std::move(all));
}

std::unique_ptr<Geometry> to_geos(const Region& region) {
  std::vector<std::unique_ptr<Geometry>> polygons;
  for (const auto& part : parts_of(region)) {
    std::vector<std::unique_ptr<geos::geom::LinearRing>> holes;
    for (std::size_t i = 1; i < part.rings.size(); ++i)
      holes.push_back(factory().createLinearRing(coordinates(part.rings[i])));
    polygons.push_back(
        factory().createPolygon(factory().createLinearRing(coordinates(part.rings[0])), std::move(holes)));
  }
  return factory().createMultiPolygon(std::move(polygons));
}

Ring from(const geos::geom::LineString& line, bool outline) {
  Ring out;
  const auto* all = line.getCoordinatesRO();
  for (std::size_t i = 0; i + 1 < all->size(); ++i) out.push_back({all->getAt(i).x, all->getAt(i).y});
  if ((signed_area_of(out) > 0) != outline) std::reverse(out.begin(), out.end());
  return out;
}

Region to_region(const Geometry& geometry) {
  Region out;
  for (std::size_t i = 0; i < geometry.getNumGeometries(); ++i) {
    const auto* polygon = dynamic_cast<const geos::geom::Polygon*>(geometry.getGeometryN(i));
    if (!polygon || polygon->isEmpty()) continue;
    out.rings.push_back(from(*polygon->getExteriorRing(), true));
    for (std::size_t k = 0; k < polygon->getNumInteriorRing(); ++k)
      out.rings.push_back(from(*polygon->getInteriorRingN(k), false));
  }
  return out;
}

Figures figures_of(const Geometry& geometry) {
  Figures f{geometry.getArea(), 0, 0, 0};
  for (std::size_t i = 0; i < geometry.getNumGeometries(); ++i) {
    const auto* polygon = dynamic_cast<const geos::geom::Polygon*>(geometry.getGeometryN(i));
    if (!polygon || polygon->isEmpty()) continue;
    f.perimeter += polygon->getLength();
    f.holes += polygon->getNumInteriorRing();
    ++f.parts;
  }
  return f;
}

int winding(const std::vector<Ring>& rings, Vec p) {
  int w = 0;
  for (const auto& ring : rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if ((a.y <= p.y) == (b.y <= p.y)) continue;
      const double side = cross(b - a, p - a);
      if (a.y <= p.y && side > 0) ++w;
      if (a.y > p.y && side < 0) --w;
    }
  }
  return w;
}

}  // namespace

Figures figures_of(const Region& region) {
  return {area_of(region), perimeter_of(region), holes_in(region), parts_of(region).size()};
}

Region geos_region(const std::vector<Ring>& rings, FillRule rule) {
  std::vector<std::unique_ptr<Geometry>> lines;
  for (const auto& ring : rings) lines.push_back(factory().createLineString(coordinates(ring)));
  const auto all = factory().createMultiLineString(std::move(lines));
  const auto noded = all->Union();
  geos::operation::polygonize::Polygonizer polygonizer;
  polygonizer.add(noded.get());
  const auto faces = polygonizer.getPolygons();
  std::vector<std::unique_ptr<Geometry>> kept;
  for (const auto& face : faces) {
    const auto inside = face->getInteriorPoint();
    const int w = winding(rings, {inside->getX(), inside->getY()});
    if (rule == FillRule::evenodd ? w % 2 != 0 : w != 0) kept.push_back(face->clone());
  }
  const auto together = factory().createGeometryCollection(std::move(kept));
  return to_region(*together->Union());
}

Figures geos_boolean(const Region& a, const Region& b, Boolean operation) {
  const auto x = to_geos(a), y = to_geos(b);
  return figures_of(*(operation == Boolean::join       ? x->Union(y.get())
                      : operation == Boolean::cut_away ? x->difference(y.get())
                                                       : x->intersection(y.get())));
}

Figures geos_offset(const Region& region, double by, Corners corners, double mitre_limit, int quadrant) {
  using geos::operation::buffer::BufferParameters;
  BufferParameters how(quadrant, BufferParameters::CAP_ROUND,
                       corners == Corners::round   ? BufferParameters::JOIN_ROUND
                       : corners == Corners::mitre ? BufferParameters::JOIN_MITRE
                                                   : BufferParameters::JOIN_BEVEL,
                       mitre_limit);
  geos::operation::buffer::BufferBuilder builder(how);
  return figures_of(*builder.buffer(to_geos(region).get(), by));
}

namespace {

std::unique_ptr<Geometry> line_of(const std::vector<Vec>& points) {
  std::vector<Coordinate> all;
  for (const Vec p : points) all.emplace_back(p.x, p.y);
  if (all.size() == 1) return std::unique_ptr<Geometry>(factory().createPoint(all.front()));
  return factory().createLineString(std::make_unique<geos::geom::CoordinateArraySequence>(std::move(all)));
}

}  // namespace

double geos_hatch_length(const Region& region, double angle, double spacing, double phase) {
  const auto shape = to_geos(region);
  const double turn = angle * 3.14159265358979323846 / 180;
  const double quarter = std::fmod(angle, 90) == 0 ? std::round(std::cos(turn)) : 2;
  const double c = quarter == 2 ? std::cos(turn) : quarter,
               s = quarter == 2 ? std::sin(turn) : std::round(std::sin(turn));
  const Box box = bounds_of(region);
  const double far = 2 * (box.width() + box.height());
  double low = 1e9, high = -1e9;
  for (const Vec p : {Vec{box.x0, box.y0}, Vec{box.x1, box.y0}, Vec{box.x0, box.y1}, Vec{box.x1, box.y1}}) {
    low = std::min(low, p.x * s + p.y * c);
    high = std::max(high, p.x * s + p.y * c);
  }
  const Vec middle = box.centre();
  const double along = middle.x * c - middle.y * s;
  double sum = 0;
  for (double k = std::floor(low / spacing - phase) - 1; (k + phase) * spacing <= high + spacing; ++k) {
    const double across = (k + phase) * spacing;
    const auto at = [&](double u) { return Vec{u * c + across * s, across * c - u * s}; };
    sum += shape->intersection(line_of({at(along - far), at(along + far)}).get())->getLength();
  }
  return sum;
}

Inked geos_inked(const Region& region, const std::vector<Polyline>& polylines, double tip) {
  std::vector<std::unique_ptr<Geometry>> tracks;
  for (const auto& polyline : polylines) tracks.push_back(line_of(polyline.points)->buffer(tip / 2, 32));
  const auto ink = factory().createGeometryCollection(std::move(tracks))->Union();
  const auto shape = to_geos(region);
  const double inside = ink->intersection(shape.get())->getArea();
  return {inside, ink->getArea() - inside};
}

double geos_distance(const std::vector<Polyline>& a, const std::vector<Polyline>& b) {
  const auto lines = [](const std::vector<Polyline>& polylines) {
    std::vector<std::unique_ptr<Geometry>> out;
    for (const auto& polyline : polylines) out.push_back(line_of(polyline.points));
    return factory().createGeometryCollection(std::move(out));
  };
  return lines(a)->distance(lines(b).get());
}

std::size_t geos_faces(const std::vector<Polyline>& polylines) {
  std::vector<std::unique_ptr<Geometry>> lines;
  for (const auto& polyline : polylines) lines.push_back(line_of(polyline.points));
  const auto noded = factory().createGeometryCollection(std::move(lines))->Union();
  geos::operation::polygonize::Polygonizer faces;
  faces.add(noded.get());
  return faces.getPolygons().size();
}

}  // namespace dotlane::test
