// Ten thousand copies of a motif: what an edit of the motif costs until the first picture, what laying out and planning
// cost, and how much memory a copy takes.
#include <benchmark/benchmark.h>
#include <malloc.h>

#include <QImage>
#include <QPainter>
#include <numbers>

#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr int kAcross = 100;

/// A wavy disc of this many nodes, 2.4 mm wide.
Line motif(int nodes, double phase) {
  const auto at = [&](double k) {
    const double turn = 2 * std::numbers::pi * k / nodes;
    return Vec{10 + 1.2 * (0.8 + 0.2 * std::sin(5 * turn + phase)) * std::cos(turn),
               10 + 1.2 * (0.8 + 0.2 * std::sin(5 * turn + phase)) * std::sin(turn)};
  };
  Contour contour{at(0), {}, true};
  for (int k = 0; k < nodes; ++k) {
    const Vec a = at(k), b = at((k + 1) % nodes);
    contour.segments.push_back(Segment::cubic(a + (at(k + 0.01) - a) * 33.3, b - (b - at(k + 0.99)) * 33.3, b));
  }
  Line line;
  line.id = "wave";
  line.path = Path{{contour}, FillRule::nonzero};
  line.role = Role::cut;
  line.tool = "fine-blade";
  return line;
}

Project strewn(int nodes) {
  Project p = new_project("bench");
  Piece piece;
  piece.id = 1;
  piece.name = "Wave";
  piece.stock = "cover-65";
  piece.lines = {motif(nodes, 0)};
  Step step;
  step.id = 1;
  step.kind = "repeat";
  step.values = {{"way", std::string("grid")}, {"count", 1.0 * kAcross}, {"rows", 1.0 * kAcross}, {"gap", 0.3}};
  piece.steps = {step};
  p.pieces.push_back(piece);
  match_sheets(p);
  return p;
}

Project with_phase(Project p, int nodes, double phase) {
  p.pieces.front().edit([&](Piece& piece) { piece.lines = {motif(nodes, phase)}; });
  return p;
}

void paint(const Project& p, const Drawing& drawing) {
  QImage image(900, 700, QImage::Format_ARGB32_Premultiplied);
  image.fill(Qt::white);
  QPainter painter(&image);
  const View view = View::fitting(drawing.bounds(), QRectF(0, 0, 900, 700), 20);
  benchmark::DoNotOptimize(paint_lines(painter, view, p, drawing, light_theme(), {}));
}

/// Edits the motif again and again, and hands what comes of it on.
template <class Done>
void edit_motif(benchmark::State& state, Project p, Done done) {
  DrawingCache cache;
  double phase = 0;
  for (auto _ : state) {
    p = with_phase(std::move(p), 200, phase += 0.1);
    done(p, evaluate(p, cache));
  }
}

void one_motif_to_picture(benchmark::State& state) {  // the reference: the same edit with a single copy
  Project p = strewn(200);
  p.pieces.front().edit([](Piece& piece) { piece.steps.clear(); });
  edit_motif(state, std::move(p), paint);
}
BENCHMARK(one_motif_to_picture)->Unit(benchmark::kMillisecond);

void ten_thousand_evaluated(benchmark::State& state) {
  edit_motif(state, strewn(200), [](const Project&, const Drawing& drawing) { benchmark::DoNotOptimize(&drawing); });
}
BENCHMARK(ten_thousand_evaluated)->Unit(benchmark::kMillisecond);

void ten_thousand_to_picture(benchmark::State& state) { edit_motif(state, strewn(200), paint); }
BENCHMARK(ten_thousand_to_picture)->Unit(benchmark::kMillisecond);

void ten_thousand_laid_out(benchmark::State& state) {
  const Project p = strewn(200);
  DrawingCache cache;
  const Drawing drawing = evaluate(p, cache);
  for (auto _ : state) benchmark::DoNotOptimize(lay_out(p, drawing));
}
BENCHMARK(ten_thousand_laid_out)->Unit(benchmark::kMillisecond);

void ten_thousand_planned(benchmark::State& state) {
  const Project p = strewn(200);
  DrawingCache cache;
  const Layout layout = lay_out(p, evaluate(p, cache));
  for (auto _ : state) benchmark::DoNotOptimize(make_plan(p, layout));
}
BENCHMARK(ten_thousand_planned)->Unit(benchmark::kMillisecond);

/// Bytes that drawing, layout and plan hold, for motifs of more and more nodes: they must not grow with their product.
void bytes_for_nodes(benchmark::State& state) {
  for (auto _ : state) {
    const Project p = strewn(static_cast<int>(state.range(0)));
    const auto before = mallinfo2();
    DrawingCache cache;
    const Drawing drawing = evaluate(p, cache);
    const auto drawn = mallinfo2();
    const Layout layout = lay_out(p, drawing);
    const auto laid = mallinfo2();
    const Plan plan = make_plan(p, layout);
    const auto planned = mallinfo2();
    const auto held = [](const auto& a, const auto& b) {
      return static_cast<double>(b.uordblks + b.hblkhd) - static_cast<double>(a.uordblks + a.hblkhd);
    };
    state.counters["drawing_MB"] = held(before, drawn) / 1e6;
    state.counters["layout_MB"] = held(drawn, laid) / 1e6;
    state.counters["plan_MB"] = held(laid, planned) / 1e6;
  }
}
BENCHMARK(bytes_for_nodes)->Arg(50)->Arg(200)->Arg(800)->Iterations(1)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
