// Parts to be packed, of kinds that come off craft cutters; invented, the same for the same seed.
#pragma once

#include <numbers>

#include "chance.hpp"
#include "core/layout/pack/packer.hpp"

namespace dotlane::test {

inline Region scaled_to(const std::vector<Ring>& rings, double longest) {
  const Region region = region_of(rings, FillRule::evenodd);
  const Box box = bounds_of(region);
  const double s = longest / std::max(box.width(), box.height());
  return transformed(region, Affine::scale(s, s));
}

inline Ring star(int points, double inner) {
  Ring out;
  for (int i = 0; i < 2 * points; ++i) {
    const double a = std::numbers::pi * i / points, r = i % 2 == 0 ? 1 : inner;
    out.push_back({r * std::sin(a), -r * std::cos(a)});
  }
  return out;
}

inline Ring heart() {
  Ring out;
  for (int i = 0; i < 90; ++i) {
    const double t = 2 * std::numbers::pi * i / 90;
    out.push_back({16 * std::pow(std::sin(t), 3),
                   -(13 * std::cos(t) - 5 * std::cos(2 * t) - 2 * std::cos(3 * t) - std::cos(4 * t))});
  }
  return out;
}

/// A capital in straight strokes: E, F, H, T, U, V, A, N, O.
inline std::vector<Ring> capital(int which) {
  switch (which % 9) {
    case 0:
      return {{{0, 0}, {6, 0}, {6, 2}, {2, 2}, {2, 4}, {5, 4}, {5, 6}, {2, 6}, {2, 8}, {6, 8}, {6, 10}, {0, 10}}};
    case 1:
      return {{{0, 0}, {6, 0}, {6, 2}, {2, 2}, {2, 4}, {5, 4}, {5, 6}, {2, 6}, {2, 10}, {0, 10}}};
    case 2:
      return {{{0, 0}, {2, 0}, {2, 4}, {5, 4}, {5, 0}, {7, 0}, {7, 10}, {5, 10}, {5, 6}, {2, 6}, {2, 10}, {0, 10}}};
    case 3:
      return {{{0, 0}, {8, 0}, {8, 2}, {5, 2}, {5, 10}, {3, 10}, {3, 2}, {0, 2}}};
    case 4:
      return {{{0, 0}, {2, 0}, {2, 8}, {5, 8}, {5, 0}, {7, 0}, {7, 10}, {0, 10}}};
    case 5:
      return {{{0, 0}, {2, 0}, {4, 7}, {6, 0}, {8, 0}, {5, 10}, {3, 10}}};
    case 6:
      return {{{3, 0}, {5, 0}, {8, 10}, {6, 10}, {5.3, 7.5}, {2.7, 7.5}, {2, 10}, {0, 10}},
              {{3.3, 5.5}, {4.7, 5.5}, {4, 3}}};
    case 7:
      return {{{0, 0}, {2, 0}, {5, 6}, {5, 0}, {7, 0}, {7, 10}, {5, 10}, {2, 4}, {2, 10}, {0, 10}}};
    default:
      return {{{0, 0}, {7, 0}, {7, 10}, {0, 10}}, {{2, 2}, {5, 2}, {5, 8}, {2, 8}}};
  }
}

/// A band around part of a circle; a crescent where its ends run out thin.
inline Ring arc(double degrees, double width, bool crescent) {
  Ring outer, inner;
  const int n = 40;
  for (int i = 0; i <= n; ++i) {
    const double t = static_cast<double>(i) / n, a = (t - 0.5) * degrees * std::numbers::pi / 180;
    const double w = crescent ? width * 4 * t * (1 - t) + 0.004 : width;
    outer.push_back({std::sin(a), -std::cos(a)});
    inner.push_back({(1 - w) * std::sin(a), -(1 - w) * std::cos(a)});
  }
  outer.insert(outer.end(), inner.rbegin(), inner.rend());
  return outer;
}

inline Region mixed_part(Chance& chance, double longest) {
  switch (chance.whole(0, 5)) {
    case 0:
      return scaled_to({star(chance.whole(5, 8), chance.between(0.4, 0.6))}, longest);
    case 1:
      return scaled_to({heart()}, longest);
    case 2:
      return scaled_to(capital(chance.whole(0, 8)), longest);
    case 3: {
      const double w = chance.between(0.2, 0.4), l = chance.between(0.5, 1);
      return scaled_to({{{0, 0}, {w, 0}, {w, 1 - w}, {l, 1 - w}, {l, 1}, {0, 1}}}, longest);
    }
    case 4:
      return scaled_to({arc(chance.between(60, 150), chance.between(0.1, 0.2), false)}, longest);
    default:
      return scaled_to({arc(chance.between(150, 240), chance.between(0.3, 0.5), true)}, longest);
  }
}

inline pack::Task packing_task(std::vector<Region> parts, double sheet_mm = 292, double gap = 2, double step = 15) {
  pack::Task task;
  for (std::size_t i = 0; i < parts.size(); ++i) task.items.push_back(i);
  task.shapes = std::move(parts);
  task.stands.push_back({Region{{{{0, 0}, {sheet_mm, 0}, {sheet_mm, sheet_mm}, {0, sheet_mm}}}}, 0, {}});
  task.gap = gap;
  task.turns.clear();
  for (double t = 0; t < 360 - 1e-9; t += step) task.turns.push_back(t);
  return task;
}

/// Stars, hearts, capitals, L shapes, long bent strips, crescents.
inline pack::Task mixed_parts(int n, double scale) {
  Chance chance(2024);
  std::vector<Region> out;
  for (int i = 0; i < n; ++i) out.push_back(mixed_part(chance, scale * chance.between(28, 180)));
  return packing_task(std::move(out));
}

inline pack::Task large_parts() {
  Chance chance(7);
  std::vector<Region> out;
  for (int i = 0; i < 12; ++i) out.push_back(mixed_part(chance, chance.between(130, 235)));
  return packing_task(std::move(out));
}

/// Two whole sheets broken along straight lines into sixteen convex cells each.
inline pack::Task broken_sheets() {
  Chance chance(32);
  std::vector<Region> out;
  for (int sheet = 0; sheet < 2; ++sheet) {
    std::vector<Region> cells{Region{{{{0, 0}, {292, 0}, {292, 292}, {0, 292}}}}};
    while (cells.size() < 16) {
      std::sort(cells.begin(), cells.end(), [](const Region& a, const Region& b) { return area_of(a) < area_of(b); });
      const Region cell = cells.back();
      const Vec c = centre_of(cell);
      const double a = chance.between(0, std::numbers::pi);
      const Vec along{std::cos(a) * 1000, std::sin(a) * 1000}, side{-along.y, along.x};
      const Region half{{{c - along, c + along, c + along + side, c - along + side}}};
      cells.back() = intersect(cell, half);
      cells.push_back(subtract(cell, half));
    }
    for (const auto& cell : cells) out.push_back(cell);
  }
  return packing_task(std::move(out));
}

}  // namespace dotlane::test
