#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <tuple>

#include "core/geometry/clearance.hpp"
#include "core/geometry/region.hpp"
#include "core/shape/copies.hpp"

namespace dotlane {

std::optional<double> least_between(const std::vector<Polyline>& motif, const Copies& copies) {
  constexpr double kThin = 5e-4;  // mm: lines have a width for once
  const Region own = buffer(motif, kThin);
  if (own.empty() || copies.copies.size() < 2) return std::nullopt;
  // Most pairs are alike: by how both are turned, and how far they are apart.
  using Turn = std::array<long long, 4>;
  std::map<std::tuple<Turn, Turn, long long, long long>, double> known;
  std::map<Turn, Clearance> ready;
  const auto rounded = [](double v) { return std::llround(v * 1e6); };
  const auto turn_of = [&](const Affine& m) { return Turn{rounded(m.a), rounded(m.b), rounded(m.c), rounded(m.d)}; };
  const auto turned = [&](const Affine& m) -> const Clearance& {
    const auto found = ready.find(turn_of(m));
    return found != ready.end() ? found->second
                                : ready.emplace(turn_of(m), transformed(own, {m.a, m.b, m.c, m.d, 0, 0})).first->second;
  };
  std::vector<Box> boxes;
  double widest = 0;
  const Box box = bounds_of(own);
  for (const auto& copy : copies.copies) {
    Box b;
    for (const Vec p : {Vec{box.x0, box.y0}, Vec{box.x1, box.y0}, Vec{box.x1, box.y1}, Vec{box.x0, box.y1}})
      b.add(copy.map(p));
    boxes.push_back(b);
    widest = std::max({widest, b.width(), b.height()});
  }
  std::vector<std::size_t> order(boxes.size());
  for (std::size_t i = 0; i < order.size(); ++i) order[i] = i;
  std::sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return boxes[a].x0 < boxes[b].x0; });
  std::optional<double> least;
  constexpr std::size_t kMost = 6000;  // pairs that are near: where there are more, the others are like these
  std::size_t looked = 0;
  for (std::size_t i = 0; i < order.size() && looked < kMost; ++i) {
    const std::size_t a = order[i];
    for (std::size_t j = i + 1; j < order.size() && looked < kMost; ++j) {
      const std::size_t b = order[j];
      const double near = least.value_or(widest);
      if (boxes[b].x0 > boxes[a].x1 + near) break;
      if (boxes[b].y0 > boxes[a].y1 + near || boxes[a].y0 > boxes[b].y1 + near) continue;
      const Affine &m = copies.copies[a].map, &n = copies.copies[b].map;
      const Vec moved{n.e - m.e, n.f - m.f};
      ++looked;
      const auto [pair, fresh] = known.try_emplace({turn_of(m), turn_of(n), rounded(moved.x), rounded(moved.y)}, 0);
      if (fresh) pair->second = turned(m).distance(turned(n), moved);
      const double apart = pair->second > 0 ? pair->second + 2 * kThin : 0;
      least = std::min(least.value_or(apart), apart);
    }
  }
  return least;
}

}  // namespace dotlane
