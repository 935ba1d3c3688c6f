#include "core/shape/stencil_strength.hpp"

#include <algorithm>

#include "core/geometry/buckets.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/fill/fill.hpp"

namespace dotlane {
namespace {

constexpr double kFollows = 0.01;  // of a width: how closely curves are followed

/// What is narrower than a width, grown by a hair, with the places where it meets the rest.
struct Thin {
  Region area;
  std::vector<Region> meets;
  double by = 0;  ///< the hair, mm
};

std::vector<Thin> thin_places(const Region& whole, double width) {
  const OffsetOptions round{Corners::round, 4, kFollows * width};
  const double touch = 3 * kFollows * width;  // what is nearer meets
  // Detail that is fine for this width only takes time.
  std::vector<Ring> rings;
  for (const auto& ring : whole.rings) rings.push_back(thinned(ring, kFollows * width / 2));
  std::erase_if(rings, [](const Ring& ring) { return ring.size() < 3; });
  const Region sheet = region_of(rings, FillRule::nonzero);
  // A little more than was taken, or rounding would leave hairs along curved edges.
  const Region firm = offset(offset(sheet, -width / 2, round), width / 2 + touch / 2, round);
  const Region grown = offset(subtract(sheet, firm), touch, {Corners::mitre, 2, kFollows * width});
  std::vector<Thin> out;
  std::vector<Box> boxes;
  Box all;
  for (auto& part : parts_of(grown)) {
    boxes.push_back(bounds_of(part));
    all.add(boxes.back());
    out.push_back({std::move(part), {}, touch});
  }
  Buckets near(all, out.size());
  for (std::size_t i = 0; i < out.size(); ++i)
    near.each(boxes[i], [&](std::vector<int>& cell) { cell.push_back(static_cast<int>(i)); });
  for (auto& meets : parts_of(intersect(firm, grown))) {
    const Vec at = inner_point(meets);
    for (const int i : near.at(near.column(at.x), near.row(at.y))) {
      auto& thin = out[static_cast<std::size_t>(i)];
      if (!encloses(thin.area, at)) continue;
      thin.meets.push_back(std::move(meets));
      break;
    }
  }
  return out;
}

bool neck(const Thin& thin) { return thin.meets.size() >= 2; }

Vec middle_of(const Region& region) { return bounds_of(region).centre(); }

}  // namespace

Region openings_of(const DrawnPiece& piece) {
  std::vector<Region> all;
  for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
    const Line& line = piece.piece->lines[i];
    if (line.role != Role::cut) continue;
    std::vector<Ring> rings;
    for (std::size_t c = 0; c < piece.flat->lines[i].polylines->size(); ++c) {
      const Polyline course = piece.course(i, c);
      if (course.closed) rings.emplace_back(course.points.begin(), course.points.end() - 1);
    }
    all.push_back(region_of(rings, line.path->fill_rule));
  }
  return unite(all);
}

StencilLimits stencil_limits(double thickness_mm) {
  StencilLimits out;
  out.neck = bridge_width(thickness_mm) / 2;
  if (thickness_mm > 0) out.slenderest = std::clamp(out.slenderest * thickness_mm / 0.25, 4.0, 10.0);
  return out;
}

StencilStrength strength_of(const Region& openings, const StencilLimits& limits) {
  StencilStrength out;
  if (openings.empty()) return out;
  const Box box = bounds_of(openings), around = box.grown(4 * limits.widest);
  out.open = box.width() > 0 && box.height() > 0 ? area_of(openings) / (box.width() * box.height()) : 0;
  const Region sheet = subtract(region_of(around), openings);

  // The narrowest neck: halved down from the limit, with what lies around those that are under it.
  for (const auto& thin : thin_places(sheet, limits.neck)) {
    if (!neck(thin)) continue;
    ++out.necks;
    const Region there = intersect(sheet, region_of(bounds_of(thin.area).grown(2 * limits.neck)));
    // Only where it may be narrower than the narrowest so far.
    double none = 0, some = out.neck ? out.neck->width_mm : limits.neck;
    const auto necks_under = [&](double width) {
      auto all = thin_places(there, width);
      std::erase_if(all, [](const Thin& t) { return !neck(t); });
      return all;
    };
    auto found = necks_under(some);
    if (found.empty()) continue;
    while (some - none > limits.neck / 50) {
      const double width = (none + some) / 2;
      auto narrower = necks_under(width);
      if (narrower.empty()) {
        none = width;
      } else {
        some = width, found = std::move(narrower);
      }
    }
    out.neck = StencilStrength::Neck{some, middle_of(found.front().area)};
  }

  // Tongues, the thin ones first: what a wider opening finds again is the same one with its root.
  std::vector<Region> known;
  for (double width = limits.widest / 8; width <= limits.widest * 1.001; width *= 2) {
    for (const auto& place : thin_places(sheet, width)) {
      if (place.meets.size() != 1) continue;
      const Box b = bounds_of(place.area);
      if (std::max(b.width(), b.height()) < limits.slenderest * width / 4) continue;  // a corner's tip
      const Vec root = middle_of(place.meets.front());
      Vec tip = root;
      for (const auto& ring : place.area.rings) {
        for (const Vec p : ring) {
          if (distance(p, root) > distance(tip, root)) tip = p;
        }
      }
      // As wide as it is on the whole, or at its root where it tapers.
      const Box foot = bounds_of(place.meets.front());
      const double reach = distance(tip, root), length = reach - place.by;
      if (length <= 0) continue;
      const double wide = std::max({area_of(place.area) / reach, foot.width(), foot.height()}) - 2 * place.by;
      tip = tip + (root - tip) * (place.by / reach);
      if (wide <= 0 || length <= limits.slenderest * wide) continue;
      if (std::any_of(known.begin(), known.end(),
                      [&](const Region& k) { return encloses(k, tip) || encloses(place.area, middle_of(k)); }))
        continue;
      known.push_back(place.area);
      out.tongues.push_back({length, wide, tip});
    }
  }
  std::stable_sort(out.tongues.begin(), out.tongues.end(),
                   [](const auto& a, const auto& b) { return a.length_mm / a.width_mm > b.length_mm / b.width_mm; });
  return out;
}

}  // namespace dotlane
