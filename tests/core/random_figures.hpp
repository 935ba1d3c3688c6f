// Wall figures drawn by chance: a body along a bent spine with limbs, and layers that lie on it.
#pragma once

#include "chance.hpp"
#include "core/geometry/region.hpp"

namespace dotlane::test {

struct RandomFigure {
  Region body;
  std::vector<Region> upper;
  [[nodiscard]] Region over() const { return unite(upper); }
};

/// About so many mm long and high; every number comes from the seed.
inline RandomFigure random_figure(std::uint32_t seed, double length, double height) {
  Chance chance(seed);
  const auto blob = [&](Vec at, double rx, double ry, double turn) {
    Ring ring;
    const int n = 48;
    const double wave = chance.between(0, 0.15), waves = chance.whole(2, 6), phase = chance.between(0, 6);
    for (int i = 0; i < n; ++i) {
      const double a = 2 * std::numbers::pi * i / n, r = 1 + wave * std::sin(waves * a + phase);
      ring.push_back(at + Affine::rotate(turn)({rx * r * std::cos(a), ry * r * std::sin(a)}));
    }
    return region_of({ring}, FillRule::nonzero);
  };
  RandomFigure out;
  const double bend = chance.between(-0.3, 0.3), lean = chance.between(-15, 15);
  std::vector<Region> parts;
  const int bodies = chance.whole(4, 7);
  std::vector<Vec> spine;
  for (int i = 0; i < bodies; ++i) {
    const double t = (i + 0.5) / bodies;
    spine.push_back({t * length, height * (0.5 + bend * std::sin(3 * t) + chance.between(-0.06, 0.06))});
    parts.push_back(blob(spine.back(), length / bodies * chance.between(0.65, 0.95), height * chance.between(0.2, 0.5),
                         chance.between(-20, 20)));
  }
  const int limbs = chance.whole(1, 5);
  for (int i = 0; i < limbs; ++i) {
    const Vec from = spine[static_cast<std::size_t>(chance.whole(0, bodies - 1))];
    const double way = chance.between(0, 360), far = height * chance.between(0.5, 1.0);
    const Vec to = from + Affine::rotate(way)({far, 0});
    parts.push_back(buffer({Polyline{{from, lerp(from, to, 0.5) + Vec{chance.between(-20, 20), 0}, to}, false}},
                           chance.between(6, 22), 0.05));
  }
  const Region whole = transformed(unite(parts), Affine::rotate(lean));
  for (const auto& part : parts_of(whole)) {
    if (out.body.empty() || area_of(part) > area_of(out.body)) out.body = part;
  }
  for (int i = 0; i < 5; ++i) {
    const Vec at = Affine::rotate(lean)(spine[static_cast<std::size_t>(chance.whole(0, bodies - 1))]) +
                   Vec{chance.between(-60, 60), chance.between(-40, 40)};
    out.upper.push_back(
        intersect(out.body, blob(at, chance.between(40, 130), chance.between(25, 90), chance.between(0, 180))));
  }
  return out;
}

}  // namespace dotlane::test
