// Painting 200,000 segments at 1280 x 800 beside one copy of the finished picture, which is what panning shows.
#include <benchmark/benchmark.h>

#include <QImage>
#include <random>

#include "core/project/presets.hpp"
#include "core/shape/evaluate.hpp"
#include "render/course_painter.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

Project dense(int segments) {
  std::mt19937 random(11);
  std::uniform_real_distribution<double> at(10, 290), step(-3, 3);
  Project project = new_project("bench");
  Piece piece;
  piece.id = 1;
  piece.stock = "cover-65";
  for (int i = 0; i < segments; i += 200) {
    Path path;
    Contour c{{at(random), at(random)}, {}, false};
    Vec p = c.start;
    for (int k = 0; k < 200; ++k) {
      p = {std::clamp(p.x + step(random), 5.0, 295.0), std::clamp(p.y + step(random), 5.0, 295.0)};
      c.segments.push_back(Segment::line(p));
    }
    path.contours.push_back(std::move(c));
    Line line;
    line.id = std::to_string(i);
    line.path = std::move(path);
    line.role = Role::draw;
    line.tool = "pen-black";
    piece.lines.push_back(std::move(line));
  }
  project.pieces.emplace_back(std::move(piece));
  return project;
}

void copy_picture(benchmark::State& state) {  // the reference: what a frame costs while panning
  QImage from(1600, 1120, QImage::Format_RGB32), to(1280, 800, QImage::Format_RGB32);
  from.fill(Qt::gray);
  for (auto _ : state) {
    QPainter p(&to);
    p.drawImage(-37, -11, from);
    benchmark::DoNotOptimize(to.constBits());
  }
}
BENCHMARK(copy_picture)->Unit(benchmark::kMillisecond);

void scale_picture(benchmark::State& state) {  // what a frame costs while zooming
  QImage from(1600, 1120, QImage::Format_RGB32), to(1280, 800, QImage::Format_RGB32);
  from.fill(Qt::gray);
  for (auto _ : state) {
    QPainter p(&to);
    p.drawImage(QRectF(-50, -30, 1920, 1344), from);
    benchmark::DoNotOptimize(to.constBits());
  }
}
BENCHMARK(scale_picture)->Unit(benchmark::kMillisecond);

/// Parallel strokes over most of the mat, waved so that they have as many segments.
Project hatched(int segments) {
  Project project = new_project("bench");
  Piece piece;
  piece.id = 1;
  piece.stock = "cover-65";
  constexpr int kStrokes = 500;
  Line line;
  line.id = "hatch";
  Path path;
  for (int i = 0; i < kStrokes; ++i) {
    const double y = 10 + 280.0 * i / kStrokes;
    Contour c{{10, y}, {}, false};
    for (int k = 1; k <= segments / kStrokes; ++k)
      c.segments.push_back(Segment::line({10 + 280.0 * k * kStrokes / segments, y + 2 * std::sin(k * 0.3)}));
    path.contours.push_back(std::move(c));
  }
  line.path = std::move(path);
  line.role = Role::draw;
  line.tool = "pen-black";
  line.coat = 1;
  piece.lines.push_back(std::move(line));
  project.pieces.emplace_back(std::move(piece));
  return project;
}

void paint(benchmark::State& state, const Project& project, double zoom) {
  DrawingCache cache;
  const Drawing drawing = evaluate(project, cache);
  View view = View::fitting(project.machine.mat_area(), QRectF(0, 0, 1280, 800), 18);
  view = {view.px_per_mm * zoom, QPointF(640, 400) - (QPointF(640, 400) - view.origin) * zoom};
  QImage image(1280, 800, QImage::Format_RGB32);
  for (auto _ : state) {
    QPainter p(&image);
    LineOptions options;
    options.clip = QRectF(0, 0, 1280, 800);
    benchmark::DoNotOptimize(paint_lines(p, view, project, drawing, light_theme(), options));
  }
}
void paint_strewn(benchmark::State& state) { paint(state, dense(static_cast<int>(state.range(0))), 1); }
void paint_hatch(benchmark::State& state) {
  paint(state, hatched(static_cast<int>(state.range(0))), static_cast<double>(state.range(1)));
}
BENCHMARK(paint_strewn)->Arg(200'000)->Arg(1'000'000)->Unit(benchmark::kMillisecond);
BENCHMARK(paint_hatch)->Args({200'000, 1})->Args({200'000, 4})->Args({1'000'000, 1})->Unit(benchmark::kMillisecond);

/// What a QPainter needs for the same segments: the reference.
void painter_200k(benchmark::State& state) {
  const Project project = dense(200'000);
  DrawingCache cache;
  const Drawing drawing = evaluate(project, cache);
  const View view = View::fitting(project.machine.mat_area(), QRectF(0, 0, 1280, 800), 18);
  QImage image(1280, 800, QImage::Format_RGB32);
  for (auto _ : state) {
    QPainter p(&image);
    p.setRenderHint(QPainter::Antialiasing, state.range(0) != 0);
    p.setPen(QPen(Qt::black, static_cast<double>(state.range(0))));
    CoursePainter courses(p, view, false);
    for (const auto& line : drawing.pieces[0]->flat->lines) {
      for (const auto& polyline : *line.polylines) courses.draw(polyline.points, {});
    }
  }
}
BENCHMARK(painter_200k)->Arg(0)->Arg(1)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
