// Orders of strokes: how long they take, and how near they come to what is known.
#include <benchmark/benchmark.h>

#include <cmath>
#include <fstream>
#include <random>
#include <sstream>

#include "core/plan/tour.hpp"

namespace dotlane {
namespace {

/// Problem d493 of TSPLIB as Debian's r-cran-tsp ships it; its shortest tour is 35002 long.
TourProblem drilled_holes() {
  TourProblem p;
  std::ifstream file("/usr/lib/R/site-library/TSP/examples/d493.tsp");
  for (std::string line; std::getline(file, line);) {
    std::istringstream row(line);
    int number = 0;
    Vec at;
    if (row >> number >> at.x >> at.y) p.stops.add_through(at, at);
  }
  if (p.stops.size() > 0) p.start = p.stops.in(0, 0), p.end = p.start;
  return p;
}

TourProblem places(int n) {
  std::mt19937 random(7);
  std::uniform_real_distribution<double> at(0, 1000);
  TourProblem p;
  for (int i = 0; i < n; ++i) {
    const Vec v{at(random), at(random)};
    p.stops.add_through(v, v);
  }
  return p;
}

TourProblem loops(int n, int entries) {
  std::mt19937 random(3);
  std::uniform_real_distribution<double> at(0, 1000);
  TourProblem p;
  for (int i = 0; i < n; ++i) {
    const Vec c{at(random), at(random)};
    const double r = 3 + at(random) / 100;
    std::vector<Vec> around;
    for (int k = 0; k < entries; ++k)
      around.push_back(c + Vec{r * std::cos(2 * M_PI * k / entries), r * std::sin(2 * M_PI * k / entries)});
    p.stops.add_loop(around);
  }
  return p;
}

void nearest_20k(benchmark::State& state) {  // the reference
  const TourProblem p = places(20'000);
  for (auto _ : state) benchmark::DoNotOptimize(nearest_neighbour(p));
  state.counters["over_asymptote"] = cost_of(p, nearest_neighbour(p)) / (0.7124 * std::sqrt(20'000 * 1e6));
}
void tour_20k(benchmark::State& state) {
  const TourProblem p = places(20'000);
  std::vector<TourStep> tour;
  for (auto _ : state) tour = quick_tour(p, {static_cast<std::size_t>(state.range(0)), 1, {}});
  state.counters["over_asymptote"] = cost_of(p, tour) / (0.7124 * std::sqrt(20'000 * 1e6));
}
void tour_d493(benchmark::State& state) {
  const TourProblem p = drilled_holes();
  if (p.stops.size() != 493) return state.SkipWithError("r-cran-tsp is not installed");
  std::vector<TourStep> tour;
  std::uint32_t seed = 0;
  double sum = 0;
  int runs = 0;
  for (auto _ : state) {
    tour = quick_tour(p, {static_cast<std::size_t>(state.range(0)), ++seed, {}});
    sum += cost_of(p, tour), ++runs;
  }
  state.counters["over_shortest"] = sum / runs / 35002;
}
void tour_1500_loops(benchmark::State& state) {
  const TourProblem p = loops(1500, static_cast<int>(state.range(0)));
  std::vector<TourStep> tour;
  for (auto _ : state) tour = quick_tour(p);
  state.counters["length"] = cost_of(p, tour);
}
BENCHMARK(nearest_20k)->Unit(benchmark::kMillisecond);
BENCHMARK(tour_20k)->Arg(0)->Arg(120'000)->Unit(benchmark::kMillisecond);
BENCHMARK(tour_d493)->Arg(0)->Arg(10'000)->Arg(60'000)->Unit(benchmark::kMillisecond);
BENCHMARK(tour_1500_loops)->Arg(1)->Arg(16)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
