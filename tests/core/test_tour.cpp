#include "core/plan/tour.hpp"

#include <catch2/catch.hpp>
#include <fstream>
#include <numeric>
#include <set>
#include <sstream>

#include "chance.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Stops of both sorts; some wait for others where `nested`.
TourProblem stops_at_random(Chance& chance, int count, bool nested) {
  TourProblem p;
  p.start = {chance.between(0, 100), chance.between(0, 100)};
  if (chance.coin()) p.end = Vec{chance.between(0, 100), chance.between(0, 100)};
  p.speed = 200, p.accel = chance.coin() ? 2000 : 0;
  for (int i = 0; i < count; ++i) {
    const Vec a{chance.between(0, 200), chance.between(0, 200)};
    const auto near = [&] { return a + Vec{chance.between(-30, 30), chance.between(-30, 30)}; };
    switch (chance.whole(0, 2)) {
      case 0:
        p.stops.add_through(a, a);
        break;
      case 1:
        p.stops.add_through(a, near());
        break;
      default:
        p.stops.add_loop({a, near(), near(), near()});
    }
    // What comes later in the list may hold what comes before, as nests of contours do.
    p.before.push_back(nested && i + 1 < count && chance.coin() ? chance.whole(i + 1, count - 1) : -1);
  }
  return p;
}

bool holds(const TourProblem& p, const std::vector<TourStep>& tour) {
  std::vector<std::size_t> place(p.stops.size(), p.stops.size());
  for (std::size_t k = 0; k < tour.size(); ++k) {
    if (tour[k].way >= p.stops.ways(tour[k].stop) || place[tour[k].stop] != p.stops.size()) return false;
    place[tour[k].stop] = k;
  }
  if (tour.size() != p.stops.size()) return false;
  for (std::size_t s = 0; s < p.before.size(); ++s) {
    if (p.before[s] >= 0 && place[s] > place[static_cast<std::size_t>(p.before[s])]) return false;
  }
  return true;
}

/// The least that any order costs, by trying them all; the best ways through each order by trying them all as well.
double by_trying(const TourProblem& p) {
  std::vector<TourStep> tour;
  std::vector<std::size_t> order(p.stops.size());
  std::iota(order.begin(), order.end(), std::size_t{0});
  double best = 1e18;
  do {
    tour.clear();
    for (const auto s : order) tour.push_back({s, 0});
    if (!holds(p, tour)) continue;
    for (bool more = true; more;) {
      best = std::min(best, cost_of(p, tour));
      more = false;
      for (auto& step : tour) {
        if (++step.way < p.stops.ways(step.stop)) {
          more = true;
          break;
        }
        step.way = 0;
      }
    }
  } while (std::next_permutation(order.begin(), order.end()));
  return best;
}

}  // namespace

TEST_CASE("a tour of a few stops is hardly ever longer than the shortest there is") {
  Chance chance(61);
  double sum = 0;
  int found = 0;
  const int many = rounds(200);
  for (int round = 0; round < many; ++round) {
    INFO("round " << round);
    const TourProblem p = stops_at_random(chance, chance.whole(2, 5), chance.coin());
    const auto tour = quick_tour(p);
    REQUIRE(holds(p, tour));
    const double ours = cost_of(p, tour), best = by_trying(p);
    CHECK(ours >= best - 1e-9);
    CHECK(ours < 1.5 * best + 1e-9);
    sum += ours / best;
    found += ours < best + 1e-9;
  }
  CHECK(sum / many < 1.01);
  CHECK(found * 10 > many * 8);
}

TEST_CASE("tours through 300 nests keep what waits behind what it waits for, and the same seed gives the same") {
  Chance chance(17);
  int waiting = 0;
  for (int round = 0; round < rounds(300); ++round) {
    INFO("round " << round);
    const TourProblem p = stops_at_random(chance, chance.whole(1, 80), true);
    for (const int b : p.before) waiting += b >= 0;
    const TourEffort effort{static_cast<std::size_t>(chance.whole(0, 1) * 300), 5};
    const auto first = nearest_neighbour(p);
    const auto tour = quick_tour(p, effort);
    CHECK(holds(p, first));
    CHECK(holds(p, tour));
    CHECK(cost_of(p, tour) <= cost_of(p, first) + 1e-9);
    CHECK(quick_tour(p, effort) == tour);
  }
  CHECK(waiting > 0);
}

TEST_CASE("nearest neighbour always takes what is nearest of what may come") {
  Chance chance(8);
  for (int round = 0; round < rounds(100); ++round) {
    INFO("round " << round);
    const TourProblem p = stops_at_random(chance, chance.whole(1, 30), chance.coin());
    std::set<std::size_t> done;
    Vec at = p.start;
    for (const auto& [stop, way] : nearest_neighbour(p)) {
      double nearest = 1e9;
      for (std::size_t s = 0; s < p.stops.size(); ++s) {
        bool free = !done.count(s);
        for (std::size_t k = 0; k < p.before.size(); ++k)
          free = free && (p.before[k] != static_cast<int>(s) || done.count(k));
        for (std::size_t w = 0; free && w < p.stops.ways(s); ++w)
          nearest = std::min(nearest, distance(at, p.stops.in(s, w)));
      }
      CHECK(distance(at, p.stops.in(stop, way)) == Approx(nearest).margin(1e-9));
      CHECK(done.insert(stop).second);
      at = p.stops.out(stop, way);
    }
    CHECK(done.size() == p.stops.size());
  }
}

TEST_CASE("there is no tour where stops wait for each other") {
  TourProblem p;
  p.stops.add_through({0, 0}, {1, 0});
  p.stops.add_through({2, 0}, {3, 0});
  p.before = {1, 0};
  CHECK(quick_tour(p).empty());
  CHECK(quick_tour({}).empty());
}

TEST_CASE("493 drilled holes: the tour comes near the shortest one there is") {
  // Problem d493 of TSPLIB (G. Reinelt, ORSA J. Computing 3, 1991), read from Debian's package r-cran-tsp. Distances
  // are rounded to whole numbers there; the shortest tour is 35002 long (from memory: TSPLIB's list of optimal
  // solutions).
  std::ifstream file("/usr/lib/R/site-library/TSP/examples/d493.tsp");
  REQUIRE(file);
  std::vector<Vec> holes;
  for (std::string line; std::getline(file, line);) {
    std::istringstream row(line);
    int number = 0;
    Vec at;
    if (row >> number >> at.x >> at.y) holes.push_back(at);
  }
  REQUIRE(holes.size() == 493);
  TourProblem p;
  p.start = holes.front(), p.end = holes.front();
  for (std::size_t i = 1; i < holes.size(); ++i) p.stops.add_through(holes[i], holes[i]);
  const auto length = [&](const TourEffort& effort) {
    double sum = 0;
    Vec at = p.start;
    const auto go = [&](Vec to) { sum += std::round(distance(at, to)), at = to; };
    for (const auto& step : quick_tour(p, effort)) go(p.stops.in(step.stop, 0));
    go(*p.end);
    return sum;
  };
  constexpr double kShortest = 35002;
  CHECK(length({}) < 1.06 * kShortest);
  const double best = length({static_cast<std::size_t>(rounds(60'000)), 1});
  CHECK(best >= kShortest);
  CHECK(best <= (rounds(60'000) == 60'000 ? 1.001 : 1.01) * kShortest);
}

TEST_CASE("20,000 places at random: the tour is a few percent longer than the asymptote") {
  // The shortest tour through n places in an area A tends to 0.7124 sqrt(n A) (D. S. Johnson, L. A. McGeoch, E. E.
  // Rothberg, "Asymptotic experimental analysis for the Held-Karp traveling salesman bound", SODA 1996).
  Chance chance(3);
  TourProblem p;
  const int n = rounds(20'000);
  for (int i = 0; i < n; ++i) {
    const Vec at{chance.between(0, 1000), chance.between(0, 1000)};
    p.stops.add_through(at, at);
  }
  const auto tour = quick_tour(p);
  REQUIRE(holds(p, tour));
  CHECK(cost_of(p, tour) < 1.08 * 0.7124 * std::sqrt(n * 1e6));
}

TEST_CASE("loops that may be entered anywhere take three quarters of the way of loops entered at one place") {
  double length[2];
  for (const std::size_t entries : {std::size_t{1}, std::size_t{16}}) {
    Chance chance(3);
    TourProblem p;
    for (int i = 0; i < rounds(1500); ++i) {
      const Ring around = wavy({chance.between(0, 1000), chance.between(0, 1000)}, chance.between(3, 13), 0, 1, 16);
      p.stops.add_loop({around.begin(), around.begin() + static_cast<std::ptrdiff_t>(entries)});
    }
    const auto tour = quick_tour(p);
    REQUIRE(holds(p, tour));
    length[entries > 1] = cost_of(p, tour);
  }
  CHECK(length[1] < (rounds(1500) == 1500 ? 0.78 : 0.95) * length[0]);
}
