// The logbook with ten thousand runs: opening the stage, filtering, what there is to filter by; beside it the plainest
// question to the same file. And fitting what to set now.
#include <benchmark/benchmark.h>

#include <filesystem>
#include <random>

#include "app/log/log_view.hpp"
#include "application.hpp"
#include "core/logbook/logbook.hpp"
#include "core/logbook/suggest.hpp"

namespace {

using namespace dotlane;
namespace fs = std::filesystem;

constexpr int kRuns = 10'000;

/// Filled once; some five passes a run, 25 stocks, 14 tools, small pictures.
Logbook& season() {
  static const std::string path = (fs::temp_directory_path() / "dot-lane-bench" / "log.sqlite").string();
  static Logbook book = [] {
    for (const char* end : {"", "-wal", "-shm"}) fs::remove(path + end);
    Logbook made = Logbook::open(path).value();
    std::mt19937 random(11);
    const auto below = [&](int n) { return static_cast<int>(random() % static_cast<unsigned>(n)); };
    std::string picture(11'000, '\0');
    for (int n = 0; n < kRuns; ++n) {
      LoggedRun run;
      run.job = "j" + std::to_string(n);
      run.begun =
          std::to_string(2016 + n / 1000) + "-0" + std::to_string(1 + n / 100 % 9) + "-1" + std::to_string(n % 10);
      run.project = "Card " + std::to_string(n % 60), run.rehearsed = n % 3 == 0;
      for (int k = 1; k <= 2 + below(7); ++k) {
        LoggedPass p;
        p.index = k, p.tool = "tool-" + std::to_string(below(14)), p.tool_name = "Some tool";
        p.stock = "stock-" + std::to_string(below(25)), p.stock_name = "Some stock";
        p.force_gf = 5.0 * below(60), p.depth = 1 + below(9);
        p.came_out = kCameOut[static_cast<std::size_t>(below(6))];
        run.passes.push_back(p);
      }
      for (char& c : picture) c = static_cast<char>(random());
      (void)made.keep(run, "{\"project\": " + std::to_string(n % 60) + "}", picture);
    }
    return made;
  }();
  return book;
}

void count_runs(benchmark::State& state) {  // the reference
  Logbook& book = season();
  for (auto _ : state) benchmark::DoNotOptimize(book.count());
  state.counters["MB"] = static_cast<double>(fs::file_size(book.path())) / 1e6;
}
BENCHMARK(count_runs)->Unit(benchmark::kMillisecond);

void glance_at_10000_runs(benchmark::State& state) {
  Logbook& book = season();
  for (auto _ : state) benchmark::DoNotOptimize(book.glances());
}
BENCHMARK(glance_at_10000_runs)->Unit(benchmark::kMillisecond);

void filter_10000_runs(benchmark::State& state) {
  Logbook& book = season();
  for (auto _ : state) benchmark::DoNotOptimize(book.glances({.stock = "stock-3", .came_out = CameOut::weak}));
}
BENCHMARK(filter_10000_runs)->Unit(benchmark::kMillisecond);

void known_in_10000_runs(benchmark::State& state) {
  Logbook& book = season();
  for (auto _ : state) benchmark::DoNotOptimize(book.known());
}
BENCHMARK(known_in_10000_runs)->Unit(benchmark::kMillisecond);

/// The interface thread's part: the list laid out and painted, as on coming to the stage.
void show_10000_tiles(benchmark::State& state) {
  application();
  LogDesk desk(nullptr, season().path());
  desk.refresh();
  desk.settle();
  for (auto _ : state) {
    LogView view(desk, nullptr);
    view.resize(744, 700);
    view.showSeason();
    benchmark::DoNotOptimize(view.grab());
  }
  desk.settle();
}
BENCHMARK(show_10000_tiles)->Unit(benchmark::kMillisecond);

void fit_30_stocks(benchmark::State& state) {
  std::mt19937 random(3);
  std::vector<KnownStock> stocks;
  std::vector<Tried> tried;
  for (std::size_t s = 0; s < 30; ++s) {
    stocks.push_back({"stock-" + std::to_string(s), "card", 0.1 + 0.02 * static_cast<double>(s), 100, 100, 3});
    for (int n = 0; n < 12; ++n)
      tried.push_back({s, 50.0 + static_cast<double>(random() % 150), 1.0 + static_cast<double>(random() % 8), 1,
                       kCameOut[1 + random() % 3]});
  }
  for (auto _ : state) {
    const CutModel model(stocks, tried);
    benchmark::DoNotOptimize(model.best(7, {}));
  }
}
BENCHMARK(fit_30_stocks)->Unit(benchmark::kMillisecond);

}  // namespace
