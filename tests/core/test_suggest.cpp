// What to set now, on synthetic truth: thirty stocks whose limits the model does not know, outcomes with noise.
#include "core/logbook/advice.hpp"

#include <cmath>
#include <random>

#include "fixtures.hpp"

using namespace dotlane;

namespace {

/// What stocks really take: force by thickness and grammage and what they are made of, depth by thickness.
struct Truth {
  std::vector<KnownStock> stocks;
  std::vector<double> force, depth;  // that just go through
  static constexpr double kSharp = 22, kDeep = 1.55, kAgain = 0.45;

  explicit Truth(unsigned seed) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal;
    const std::vector<std::string> kinds{"cover", "paper", "vinyl", "felt", "foam"};
    for (int n = 0; n < 30; ++n) {
      const std::string& kind = kinds[static_cast<std::size_t>(n) % kinds.size()];
      KnownStock stock;
      stock.id = kind + "-" + std::to_string(n), stock.kind = kind;
      stock.thickness_mm = 0.08 * std::exp(1.2 * std::abs(normal(random)));
      stock.grammage_gsm = 700 * stock.thickness_mm * std::exp(0.15 * normal(random));
      const double tough = kind == "vinyl" ? 0.8 : kind == "felt" ? 1.25 : 1;
      const double f =
          std::clamp(260 * std::pow(stock.thickness_mm, 0.55) * tough * std::exp(0.14 * normal(random)), 15.0, 215.0);
      const double d = std::clamp(9 * std::pow(stock.thickness_mm, 0.7) * std::exp(0.12 * normal(random)), 0.7, 6.2);
      force.push_back(f), depth.push_back(d);
      // What is on the shelf is somebody's rough idea of it.
      stock.preset_force_gf = std::round(f / 0.85 * std::exp(0.3 * normal(random)) / 5) * 5;
      stock.preset_depth = std::max(1.0, std::round(d / 0.85 * std::exp(0.25 * normal(random))));
      stocks.push_back(stock);
    }
  }
  [[nodiscard]] double margin(std::size_t s, const CutModel::Setting& at) const {
    return std::min(at.force_gf * std::pow(at.repeats, kAgain) / force[s], at.depth / depth[s]);
  }
  /// Cuts through and leaves the mat whole.
  [[nodiscard]] bool clean(std::size_t s, const CutModel::Setting& at) const {
    const double m = margin(s, at);
    return m >= 1 && m <= kDeep;
  }
  CameOut outcome(std::size_t s, const CutModel::Setting& at, std::mt19937& random) const {
    std::uniform_real_distribution<double> chance(1e-6, 1 - 1e-6);
    const double p = chance(random), noise = std::log(p / (1 - p)) / kSharp;
    const double m = std::log(margin(s, at)) + noise;
    return m < 0 ? CameOut::weak : m > std::log(kDeep) ? CameOut::strong : CameOut::good;
  }
};

const CutModel::Limits kLimits{20, 350, 10, 3};

}  // namespace

TEST_CASE("after five test cuts nine in ten proposals cut clean, after twelve 97 in a hundred") {
#ifdef DOTLANE_SANITIZED
  constexpr std::size_t kStocks = 6;  // as many as are worth waiting for there
#else
  constexpr std::size_t kStocks = 30;
#endif
  int after5 = 0, after12 = 0, all = 0, shelf = 0;
  for (const unsigned seed : {1U, 2U}) {
    const Truth truth(seed);
    std::mt19937 random(seed * 77);
    std::vector<Tried> tried;
    for (std::size_t s = 0; s < kStocks; ++s) {
      ++all;
      shelf += truth.clean(s, CutModel(truth.stocks, {}).best(s, kLimits));
      for (int n = 1; n <= 12; ++n) {
        const CutModel model(truth.stocks, tried);
        const auto cut = model.next_test(s, kLimits);
        tried.push_back({s, cut.force_gf, cut.depth, cut.repeats, truth.outcome(s, cut, random)});
        if (n != 5 && n != 12) continue;
        const auto proposed = CutModel(truth.stocks, tried).best(s, kLimits);
        (n == 5 ? after5 : after12) += truth.clean(s, proposed);
      }
    }
  }
  WARN("clean: " << shelf << " of " << all << " from the shelf, " << after5 << " after 5 test cuts, " << after12
                 << " after 12");
  CHECK(after5 >= all * 0.9);
  CHECK(after12 >= all * 0.97);
  CHECK(after12 >= after5);
}

TEST_CASE("more force, depth or repeats never make a cut less deep, whatever was tried") {
  std::mt19937 random(9);
  for (int round = 0; round < 20; ++round) {
    const Truth truth(static_cast<unsigned>(round) + 40);
    std::vector<Tried> tried;
    std::uniform_real_distribution<double> force(20, 350);
    std::uniform_int_distribution<int> depth(1, 10), repeats(1, 3), stock(0, 29), out(1, 4);
    // Contradictory on purpose.
    for (int n = 0; n < 60; ++n)
      tried.push_back({static_cast<std::size_t>(stock(random)), force(random), static_cast<double>(depth(random)),
                       repeats(random), static_cast<CameOut>(out(random))});
    const CutModel model(truth.stocks, tried);
    for (int n = 0; n < 10; ++n) {
      const auto s = static_cast<std::size_t>(stock(random));
      const double f = force(random), d = depth(random);
      const int r = repeats(random);
      // In the order of repeats, forces, depths.
      const auto all = model.foretold(s, {f, f * 1.2}, {d, d + 1}, {r, r + 1});
      REQUIRE(all.size() == 8);
      for (std::size_t a = 0; a < 8; ++a) {
        CHECK(all[a].clean >= -1e-12);
        CHECK(all[a].through <= 1 + 1e-12);
        CHECK(all[a].worth >= -1e-9);
        for (std::size_t b = 0; b < 8; ++b) {
          if ((a & b) != a) continue;  // b has at least as much of each
          CHECK(all[b].through >= all[a].through - 1e-12);
          CHECK(all[b].into_mat() >= all[a].into_mat() - 1e-12);
        }
      }
    }
  }
}

TEST_CASE("alike stocks learn from each other, unlike ones hardly, and what was tried makes surer") {
  const std::vector<KnownStock> stocks{{"cover-65", "cover", 0.24, 176, 130, 4},
                                       {"cover-70", "cover", 0.26, 190, 130, 4},
                                       {"felt-1", "felt", 1.0, 200, 130, 4}};
  std::vector<Tried> tried;
  for (const double f : {130.0, 150.0, 170.0}) tried.push_back({0, f, 6, 1, CameOut::weak});
  tried.push_back({0, 200, 6, 1, CameOut::good});
  const CutModel before(stocks, {}), after(stocks, tried);
  const auto at = [](const CutModel& m, std::size_t s, double force) {
    return m.foretold(s, {force}, {6}, {1}).front();
  };
  const auto through = [&](const CutModel& m, std::size_t s) { return at(m, s, 150).through; };
  CHECK(through(after, 0) < 0.3);
  CHECK(through(before, 1) - through(after, 1) > 0.2);
  CHECK(std::abs(through(before, 2) - through(after, 2)) < 0.1);
  CHECK(at(after, 0, 200).spread < at(before, 0, 200).spread);
  CHECK(after.best(0, kLimits).force_gf > before.best(0, kLimits).force_gf);
  // Nothing said, or skipped, teaches nothing.
  const CutModel same(stocks, {{0, 100, 3, 1, CameOut::unsaid}, {0, 100, 3, 1, CameOut::skipped}});
  CHECK(same.mode() == before.mode());
}

TEST_CASE(
    "the curve over force rises, is the model's own, is surer where more was tried, and tells the passes behind it") {
  const Project p = new_project("curve");
  const auto cut_with = [](double force, double depth, CameOut out, const std::string& stock) {
    LoggedRun run;
    LoggedPass pass;
    pass.tool = "fine-blade", pass.stock = stock, pass.role = Role::cut, pass.force_gf = force, pass.depth = depth,
    pass.came_out = out, pass.thickness_mm = 0.24, pass.grammage_gsm = 176;
    run.passes.push_back(pass);
    return run;
  };
  std::vector<LoggedRun> runs;
  const ForceCurve none = force_curve(p, runs, "cover-65", "fine-blade", Role::cut, 4, 1).value();
  CHECK(none.tried.empty());
  for (int n = 0; n < 4; ++n) {
    runs.push_back(cut_with(80 + 5 * n, 4, CameOut::weak, "cover-65"));
    runs.push_back(cut_with(125 + 5 * n, 4, CameOut::good, "cover-65"));
    runs.push_back(cut_with(210 + 5 * n, 4, CameOut::strong, "cover-65"));
  }
  runs.push_back(cut_with(100, 4, CameOut::good, "felt-1"));  // another stock
  runs.push_back(cut_with(100, 4, CameOut::unsaid, "cover-65"));
  const ForceCurve curve = force_curve(p, runs, "cover-65", "fine-blade", Role::cut, 4, 1).value();
  CHECK(curve.tried.size() == 12);
  REQUIRE(curve.along.size() > 50);
  CHECK(curve.along.front().force_gf == 0);
  const TriedStocks known = tried_stocks(p, runs, "fine-blade", Role::cut);
  const CutModel model(known.stocks, known.tried);
  double unsure = 0, unsure_before = 0;
  for (std::size_t i = 0; i < curve.along.size(); ++i) {
    const auto& s = curve.along[i];
    if (i > 0) {
      CHECK(s.force_gf > curve.along[i - 1].force_gf);
      CHECK(s.through >= curve.along[i - 1].through - 1e-12);
      CHECK(s.into_mat() >= curve.along[i - 1].into_mat() - 1e-12);
    }
    CHECK(s.into_mat() <= s.through + 1e-12);
    // A share of which the mean is m spreads no more than m (1 - m) allows.
    CHECK(s.through_spread * s.through_spread <= s.through * (1 - s.through) + 1e-9);
    CHECK(s.mat_spread * s.mat_spread <= s.into_mat() * (1 - s.into_mat()) + 1e-9);
    unsure += s.through_spread + s.mat_spread;
    unsure_before += none.along[i].through_spread + none.along[i].mat_spread;
  }
  CHECK(unsure < unsure_before);
  std::size_t stock = 0;
  while (known.stocks[stock].id != "cover-65") ++stock;
  const auto one = model.foretold(stock, {curve.along[30].force_gf}, {4}, {1}).front();
  CHECK(one.through == Approx(curve.along[30].through));
  // Between what was too weak and what went into the mat lies what is good.
  const auto at = [&](double force) {
    return *std::min_element(curve.along.begin(), curve.along.end(), [&](const auto& a, const auto& b) {
      return std::abs(a.force_gf - force) < std::abs(b.force_gf - force);
    });
  };
  CHECK(at(80).through < 0.5);
  CHECK(at(135).clean > 0.6);
  CHECK(at(225).into_mat() > 0.5);
  CHECK_FALSE(force_curve(p, runs, "nothing", "fine-blade", Role::cut, 4, 1));
}
