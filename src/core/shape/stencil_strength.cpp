#include "core/shape/stencil_strength.hpp"

#include <algorithm>
#include <set>

#include "core/geometry/buckets.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/fill/fill.hpp"
#include "core/shape/paint_layers.hpp"

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

struct Near {
  double width_mm = 0;
  Vec at;
};

/// Where corners or edges of two different openings come nearer to each other than a width, once for each two of them.
/// Discs slip past where two corners face each other: they touch on the other side before they are held up.
std::vector<Near> near_pairs(const Region& openings, double width) {
  const auto parts = parts_of(openings);
  std::vector<Box> boxes;
  Box all;
  for (const auto& part : parts) {
    boxes.push_back(bounds_of(part).grown(width / 2));
    all.add(boxes.back());
  }
  Buckets index(all, parts.size());
  std::set<std::pair<std::size_t, std::size_t>> pairs;
  for (std::size_t i = 0; i < parts.size(); ++i) {
    index.each(boxes[i], [&](std::vector<int>& cell) {
      for (const int k : cell) pairs.insert({static_cast<std::size_t>(k), i});
      cell.push_back(static_cast<int>(i));
    });
  }
  std::vector<Near> out;
  for (const auto& [a, b] : pairs) {
    if (a == b || !boxes[a].overlaps(boxes[b])) continue;
    std::optional<Near> best;
    const auto look = [&](const Region& corners, const Region& edges, const Box& within) {
      for (const auto& ring : corners.rings) {
        for (const Vec p : ring) {
          if (!within.contains(p)) continue;
          for (const auto& other : edges.rings) {
            for (std::size_t k = 0; k < other.size(); ++k) {
              const Vec q = nearest_on(other[k], other[(k + 1) % other.size()], p);
              const double d = distance(p, q);
              if (d < (best ? best->width_mm : width)) best = Near{d, (p + q) * 0.5};
            }
          }
        }
      }
    };
    look(parts[a], parts[b], boxes[b].grown(width / 2));
    look(parts[b], parts[a], boxes[a].grown(width / 2));
    if (best) out.push_back(*best);
  }
  return out;
}

Vec middle_of(const Region& region) { return bounds_of(region).centre(); }

}  // namespace

Region openings_of(const DrawnPiece& piece) {
  std::vector<Region> all;
  const bool plate = paint_of(piece).has_value();
  for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
    const Line& line = piece.piece->lines[i];
    if (line.role != Role::cut || (plate && line.id != kPlateOpenings)) continue;
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

  if (limits.brush > 0) {
    const double tip = 2 * limits.brush * limits.brush;  // of a corner of 20 degrees it is half of that
    double largest = 0;
    for (const auto& thin : thin_places(openings, limits.brush)) {
      const double area = area_of(thin.area);
      if (!thin.meets.empty() && area <= tip) continue;
      ++out.slits;
      if (out.slit && area <= largest) continue;
      largest = area, out.slit = inner_point(thin.area);
    }
  }

  std::vector<Box> known_necks;
  // The narrowest neck: halved down from the limit, with what lies around those that are under it.
  for (const auto& thin : thin_places(sheet, limits.neck)) {
    if (!neck(thin)) continue;
    ++out.necks;
    known_necks.push_back(bounds_of(thin.area).grown(limits.neck));
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
  const double hair = limits.neck / 50;
  for (const auto& near : near_pairs(openings, limits.neck)) {
    if (std::none_of(known_necks.begin(), known_necks.end(), [&](const Box& b) { return b.contains(near.at); }))
      ++out.necks;
    if (!out.neck || near.width_mm < out.neck->width_mm - hair) out.neck = {near.width_mm, near.at};
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
