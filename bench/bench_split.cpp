// Dividing what is larger than a sheet: how long, into how many tiles, and how much seam is seen, beside a plain grid
// on the same figures. Figures of about 840 x 300 mm with five layers on them, sheets of 292 x 292 mm.
#include <benchmark/benchmark.h>

#include "../tests/core/random_figures.hpp"
#include "core/layout/split/split.hpp"

namespace {

using namespace dotlane;
using namespace dotlane::test;

constexpr std::uint32_t kFigures = 16;

std::vector<tiling::Task> tasks() {
  std::vector<tiling::Task> out;
  for (std::uint32_t i = 0; i < kFigures; ++i) {
    const RandomFigure figure = random_figure(1500 + i, 690, 250);
    tiling::Task task;
    task.part = figure.body, task.over = figure.over(), task.rooms = {{292, 292}};
    out.push_back(std::move(task));
  }
  return out;
}

void tell(benchmark::State& state, const std::vector<tiling::Split>& splits) {
  double tiles = 0, visible = 0;
  for (const auto& s : splits) tiles += static_cast<double>(s.tiles.size()), visible += s.visible_mm;
  state.counters["tiles"] = tiles / kFigures;
  state.counters["visible_mm"] = visible / kFigures;
}

void split_16_figures(benchmark::State& state) {
  const auto all = tasks();
  std::vector<tiling::Split> splits;
  for (auto _ : state) {
    splits.clear();
    for (const auto& task : all) splits.push_back(split_part(task));
  }
  tell(state, splits);
}
BENCHMARK(split_16_figures)->Unit(benchmark::kMillisecond);

void split_16_figures_by_grid(benchmark::State& state) {  // the reference
  const auto all = tasks();
  std::vector<tiling::Split> splits;
  for (auto _ : state) {
    splits.clear();
    for (const auto& task : all) splits.push_back(split_by_grid(task));
  }
  tell(state, splits);
}
BENCHMARK(split_16_figures_by_grid)->Unit(benchmark::kMillisecond);

}  // namespace
