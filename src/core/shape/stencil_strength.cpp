#include "core/shape/stencil_strength.hpp"

#include <algorithm>

#include "core/shape/bridges.hpp"

namespace dotlane {
namespace {

constexpr double kTouch = 0.02;  // mm: what is nearer meets
const OffsetOptions kRound{Corners::round, 4, 0.005};

/// What is narrower than a width, with the places where it meets the rest.
struct Thin {
  Region area;
  std::vector<Region> meets;
};

std::vector<Thin> thin_places(const Region& sheet, double width) {
  // A little more than was taken, or rounding would leave hairs along curved edges.
  const Region firm = offset(offset(sheet, -width / 2, kRound), width / 2 + kTouch / 2, kRound);
  std::vector<Thin> out;
  for (auto& part : parts_of(subtract(sheet, firm))) {
    const Region grown = offset(part, kTouch, {Corners::mitre, 2, kTouch / 2});
    // Only what is near of the rest.
    const Box b = bounds_of(grown).grown(kTouch);
    Thin thin{std::move(part), {}};
    const Region near = intersect(firm, Region{{{{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}}}});
    thin.meets = parts_of(intersect(near, grown));
    out.push_back(std::move(thin));
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
  const Region sheet = subtract(
      Region{{{{around.x0, around.y0}, {around.x1, around.y0}, {around.x1, around.y1}, {around.x0, around.y1}}}},
      openings);

  // The narrowest neck: halved down from the limit.
  auto thin = thin_places(sheet, limits.neck);
  const auto necks_in = [](const std::vector<Thin>& all) { return std::count_if(all.begin(), all.end(), neck); };
  out.necks = static_cast<std::size_t>(necks_in(thin));
  if (out.necks > 0) {
    double none = 0, some = limits.neck;
    while (some - none > limits.neck / 50) {
      const double width = (none + some) / 2;
      auto at = thin_places(sheet, width);
      if (necks_in(at) > 0) {
        some = width, thin = std::move(at);
      } else {
        none = width;
      }
    }
    const auto first = std::find_if(thin.begin(), thin.end(), neck);
    out.neck = StencilStrength::Neck{some, middle_of(first->area)};
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
      const double length = distance(tip, root);
      const double wide = length > 0 ? std::max({area_of(place.area) / length, foot.width(), foot.height()}) : 0;
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
