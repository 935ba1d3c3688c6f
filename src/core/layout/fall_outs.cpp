#include "core/layout/fall_outs.hpp"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/layout/shelf.hpp"
#include "core/shape/stencil_strength.hpp"

namespace dotlane {
namespace {

constexpr double kAlikeSize = 0.005, kAlikeForm = 0.01;  // shares by which alike ones may differ

/// What turning and mirroring leave as it is: area, length of edges, and the two principal second moments.
struct Moments {
  double area = 0, edges = 0, wide = 0, narrow = 0;
};

Moments moments_of(const Region& region) {
  Moments out;
  double xx = 0, yy = 0, xy = 0, mx = 0, my = 0;
  const Vec o = bounds_of(region).centre();
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i] - o, b = ring[(i + 1) % ring.size()] - o;
      const double c = cross(a, b);
      out.area += c / 2;
      mx += (a.x + b.x) * c / 6, my += (a.y + b.y) * c / 6;
      xx += (a.x * a.x + a.x * b.x + b.x * b.x) * c / 12, yy += (a.y * a.y + a.y * b.y + b.y * b.y) * c / 12;
      xy += (a.x * b.y + 2 * a.x * a.y + 2 * b.x * b.y + b.x * a.y) * c / 24;
      out.edges += distance(a, b);
    }
  }
  if (out.area <= 0) return out;
  xx -= mx * mx / out.area, yy -= my * my / out.area, xy -= mx * my / out.area;
  const double half = (xx + yy) / 2, apart = std::hypot((xx - yy) / 2, xy);
  out.wide = half + apart, out.narrow = half - apart;
  return out;
}

bool within_share(double a, double b, double share) {
  return std::abs(a - b) <= share * std::max(std::abs(a), std::abs(b));
}

bool alike(const Moments& a, const Moments& b) {
  return within_share(a.area, b.area, kAlikeSize) && within_share(a.edges, b.edges, kAlikeSize) &&
         within_share(a.wide, b.wide, kAlikeForm) && within_share(a.narrow, b.narrow, kAlikeForm);
}

}  // namespace

std::vector<FallOut> fall_outs(const DrawnPiece& piece, double least_mm2) {
  std::vector<std::pair<Moments, FallOut>> found;
  std::multimap<double, std::size_t> by_area;
  for (auto& bit : parts_of(openings_of(piece))) {
    const Moments form = moments_of(bit);
    if (form.area < least_mm2) continue;
    const auto from = by_area.lower_bound(form.area * (1 - 2 * kAlikeSize)),
               to = by_area.upper_bound(form.area * (1 + 2 * kAlikeSize));
    const auto known = std::find_if(from, to, [&](const auto& k) { return alike(found[k.second].first, form); });
    if (known != to) {
      ++found[known->second].second.count;
      continue;
    }
    by_area.emplace(form.area, found.size());
    const Box box = bounds_of(bit);
    found.push_back({form, {std::move(bit), 1, form.area, std::max(box.width(), box.height())}});
  }
  std::vector<FallOut> out;
  for (auto& [form, bit] : found) out.push_back(std::move(bit));
  std::stable_sort(out.begin(), out.end(), [](const FallOut& a, const FallOut& b) { return a.area_mm2 > b.area_mm2; });
  return out;
}

Project keep_fall_outs(Project project, const Drawing& drawing, int id, double least_mm2) {
  const Piece* piece = find_piece(project, id);
  const DrawnPiece* drawn = find_drawn(drawing, id);
  if (!piece || !drawn) return project;
  const std::string stock = piece->stock, name = piece->name;
  for (const auto& bit : fall_outs(*drawn, least_mm2)) {
    ShelfItem item = scrap_of(bit.shape, stock, name);
    item.count = static_cast<int>(bit.count);
    if (!item.outline.empty()) add_to_shelf(project, std::move(item));
  }
  return project;
}

}  // namespace dotlane
