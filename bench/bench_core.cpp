// Reading and planning, each beside a reference in the same run, so that ratios can be told on any machine.
#include <benchmark/benchmark.h>

#include <pugixml.hpp>
#include <random>

#include "core/format/svg_reader.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// An SVG with this many segments in paths of 100, random but always the same.
std::string big_svg(int segments) {
  std::mt19937 random(7);
  std::uniform_real_distribution<double> at(10, 290), step(-2, 2);
  std::string out =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#1f6f78">)";
  for (int i = 0; i < segments; i += 100) {
    double x = at(random), y = at(random);
    out += "<path d=\"M" + rounded_text(x, 3) + " " + rounded_text(y, 3);
    for (int k = 0; k < 100; ++k) {
      x += step(random), y += step(random);
      out += " L" + rounded_text(x, 3) + " " + rounded_text(y, 3);
    }
    out += "\"/>";
  }
  return out + "</svg>";
}

/// A project with this many small closed contours to cut, one in four with a hole.
Project many_contours(int count) {
  std::string svg =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#000">)";
  const int across = static_cast<int>(std::ceil(std::sqrt(count)));
  for (int i = 0; i < count; ++i) {
    const double pitch = 280.0 / across, x = 10 + pitch * (i % across), y = 10 + pitch * (i / across);
    svg += "<circle cx=\"" + rounded_text(x, 3) + "\" cy=\"" + rounded_text(y, 3) + "\" r=\"" +
           rounded_text(pitch * (i % 4 ? 0.4 : 0.1), 3) + "\"/>";
  }
  const auto art = read_svg(svg + "</svg>", "contours.svg");
  return add_artwork(new_project("bench"), *art, "contours.svg");
}

void parse_xml_only(benchmark::State& state) {  // the reference: pugixml building its tree of the same bytes
  const std::string svg = big_svg(100'000);
  for (auto _ : state) {
    pugi::xml_document document;
    benchmark::DoNotOptimize(document.load_buffer(svg.data(), svg.size()));
  }
}
BENCHMARK(parse_xml_only)->Unit(benchmark::kMillisecond);

void read_100k_segments(benchmark::State& state) {
  const std::string svg = big_svg(100'000);
  for (auto _ : state) benchmark::DoNotOptimize(read_svg(svg, "big.svg"));
}
BENCHMARK(read_100k_segments)->Unit(benchmark::kMillisecond);

void evaluate_100k_segments(benchmark::State& state) {
  const auto art = read_svg(big_svg(100'000), "big.svg");
  for (auto _ : state) {
    const Project project = add_artwork(new_project("bench"), *art, "big.svg");
    DrawingCache cache;
    benchmark::DoNotOptimize(evaluate(project, cache));
  }
}
BENCHMARK(evaluate_100k_segments)->Unit(benchmark::kMillisecond);

void sum_lengths_10k_contours(benchmark::State& state) {  // the reference: touching every point once
  const Project project = many_contours(10'000);
  DrawingCache cache;
  const Drawing drawing = evaluate(project, cache);
  for (auto _ : state) {
    double total = 0;
    for (const auto& line : drawing.pieces.front()->flat->lines) {
      for (const auto& polyline : *line.polylines) total += length_of(polyline);
    }
    benchmark::DoNotOptimize(total);
  }
}
BENCHMARK(sum_lengths_10k_contours)->Unit(benchmark::kMillisecond);

void plan_10k_contours(benchmark::State& state) {
  const Project project = many_contours(10'000);
  DrawingCache cache;
  const Layout layout = lay_out(project, evaluate(project, cache));
  for (auto _ : state) benchmark::DoNotOptimize(make_plan(project, layout));
}
BENCHMARK(plan_10k_contours)->Unit(benchmark::kMillisecond);

void check_10k_contours(benchmark::State& state) {
  const Project project = many_contours(10'000);
  DrawingCache cache;
  const Derived d = derive(project, cache);
  for (auto _ : state) benchmark::DoNotOptimize(check(project, d.drawing, d.layout, d.plan));
}
BENCHMARK(check_10k_contours)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
