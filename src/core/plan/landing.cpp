#include "core/plan/landing.hpp"

#include <bit>
#include <numbers>
#include <random>

#include "core/geometry/parallel.hpp"
#include "core/shape/fill/coverage.hpp"

namespace dotlane {
namespace {

/// Normal deviates that are the same on every library (Box and Muller, 1958).
class Dice {
 public:
  explicit Dice(std::uint64_t seed) : random_(seed) {}
  Vec offset(double scatter) {
    const double u = (static_cast<double>(random_() >> 11) + 1) * 0x1p-53,
                 v = static_cast<double>(random_() >> 11) * 0x1p-53;
    const double r = scatter * std::sqrt(-2 * std::log(u)), turn = 2 * std::numbers::pi * v;
    return {r * std::cos(turn), r * std::sin(turn)};
  }

 private:
  std::mt19937_64 random_;
};

std::vector<Strokes> fallen(const std::vector<Strokes>& coats, double scatter, std::uint64_t seed) {
  Dice dice(seed);
  std::vector<Strokes> out;
  for (const auto& coat : coats) {
    Strokes& moved = out.emplace_back();
    moved.reserve(coat.size(), coat.points().size());
    for (std::size_t i = 0; i < coat.size(); ++i) {
      const Vec by = dice.offset(scatter);
      for (const Vec p : coat[i]) moved.add(p + by);
      moved.end(coat.part(i));
    }
  }
  return out;
}

}  // namespace

LandingTrial land(const Region& region, const std::vector<Strokes>& coats, const LandingOptions& options) {
  LandingTrial out;
  const Box bounds = bounds_of(region);
  if (bounds.empty() || !(options.tip_mm > 0) || options.runs < 1) return out;
  const double radius = options.tip_mm / 2;
  const Box box = bounds.grown(radius + 5 * options.scatter_mm);
  const double cell = cell_for(box, {options.tip_mm, options.tip_mm / 8, 2e7});
  auto inked = [&](const std::vector<Strokes>& all) {
    BitGrid grid(box, cell);
    for (const auto& coat : all) {
      for (std::size_t i = 0; i < coat.size(); ++i) grid.add_track(coat[i], radius);
    }
    return grid;
  };
  const BitGrid perfect = inked(coats);
  const auto n = static_cast<std::size_t>(options.runs);
  std::vector<std::size_t> bare(n, 0), beyond(n, 0);
  for_each_index(n, 2, [&](std::size_t run) {
    const BitGrid grid = inked(fallen(coats, options.scatter_mm, options.seed + run));
    for (std::size_t r = 0; r < grid.rows(); ++r) {
      for (std::size_t w = 0; w < grid.stride(); ++w) {
        bare[run] += static_cast<std::size_t>(std::popcount(perfect.row(r)[w] & ~grid.row(r)[w]));
        beyond[run] += static_cast<std::size_t>(std::popcount(grid.row(r)[w] & ~perfect.row(r)[w]));
      }
    }
  });
  double gap = 0, more = 0;
  for (std::size_t run = 0; run < n; ++run)
    gap += static_cast<double>(bare[run]), more += static_cast<double>(beyond[run]);
  const double scale = cell * cell / static_cast<double>(n);
  out.gap_mm2 = gap * scale;
  // Every stroke keeps its own inked area; what is not bare and not new lies under more strokes than it should.
  out.overlap_mm2 = std::max(0.0, (gap - more) * scale);
  out.fallen = fallen(coats, options.scatter_mm, options.seed);
  return out;
}

}  // namespace dotlane
