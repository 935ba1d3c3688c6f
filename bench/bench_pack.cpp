// Packing: how dense, and how long. Density counts all sheets but the last whole, and of the last the box around its
// parts; sheets of 292 x 292 mm, 2 mm between parts, turns in steps of 15 degrees.
#include <benchmark/benchmark.h>

#include <chrono>

#include "../tests/core/pack_instances.hpp"
#include "core/format/files.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/pack/settle.hpp"
#include "core/shape/evaluate.hpp"
#include "words/sentences.hpp"

namespace {

using namespace dotlane;
using namespace dotlane::test;

/// Three of each part of two demos: slender reeds and legs, large lobes, labels, tags and a lantern.
pack::Task demo_parts() {
  pack::Task task;
  task.stands.push_back({Region{{{{0, 0}, {292, 0}, {292, 292}, {0, 292}}}}, 0, {}});
  task.turns = turns_in_steps(15);
  for (const char* name : {"wading-heron", "fair-stall"}) {
    const auto project = load_project(std::string(DOTLANE_DEMO) + "/" + name + ".dotlane");
    if (!project) throw std::runtime_error(line_of(project.error()));
    DrawingCache cache;
    const Drawing drawing = evaluate(*project, cache);
    for (const auto& part : parts_of(*project, drawing)) {
      if (!part.has_body()) continue;
      task.shapes.push_back(part.body());
      for (int i = 0; i < 3; ++i) task.items.push_back(task.shapes.size() - 1);
    }
  }
  return task;
}

pack::Task task_of(int kind) {
  switch (kind) {
    case 0:
      return mixed_parts(40, 1);
    case 1:
      return mixed_parts(150, 0.42);
    case 2:
      return large_parts();
    case 3:
      return broken_sheets();
    default:
      return demo_parts();
  }
}

/// The first answer alone: what a person waits for.
void pack_first(benchmark::State& state) {
  const pack::Task task = task_of(static_cast<int>(state.range(0)));
  double density = 0;
  for (auto _ : state) density = pack::Packer(task).best().density();
  state.counters["density"] = density;
}
BENCHMARK(pack_first)->DenseRange(0, 4)->ArgName("kind")->Unit(benchmark::kMillisecond)->Iterations(1);

/// What so many seconds of looking on bring.
void pack_for(benchmark::State& state) {
  const pack::Task task = task_of(static_cast<int>(state.range(0)));
  pack::Packing packing;
  for (auto _ : state) {
    const auto end = std::chrono::steady_clock::now() + std::chrono::seconds(state.range(1));
    pack::Packer packer(task);
    const auto over = [&] { return std::chrono::steady_clock::now() >= end; };
    while (!over()) packer.improve(over);
    packing = pack::settled(task, packer.best());
  }
  state.counters["density"] = packing.density();
  state.counters["sheets"] = static_cast<double>(packing.sheets.size());
}
BENCHMARK(pack_for)
    ->ArgsProduct({{0, 1, 2, 3, 4}, {5, 20}})
    ->ArgNames({"kind", "seconds"})
    ->Unit(benchmark::kSecond)
    ->Iterations(1)
    ->UseRealTime();

}  // namespace
