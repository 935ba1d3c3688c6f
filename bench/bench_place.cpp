// Placing by hand: what a move of the mouse costs while pieces are dragged, sized and turned, and what snapping costs.
// Compare with open_empty_widget in bench_window.cpp, or with snap_looked_for_one_by_one here.
#include <benchmark/benchmark.h>

#include <QElapsedTimer>
#include <QMouseEvent>
#include <random>

#include "app/bench/handles.hpp"
#include "app/main_window.hpp"
#include "application.hpp"
#include "core/place/snap.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

/// So many pieces at random over two metres, each a drawing of its own with so many segments.
Project strewn(int pieces, int segments) {
  std::mt19937 random(11);
  std::uniform_real_distribution<double> at(20, 2000), size(4, 40), turn(0, 2 * std::numbers::pi);
  Project p = new_project("bench");
  Artwork art;
  art.lines.emplace_back();
  art.lines[0].id = "line";
  for (int i = 0; i < pieces; ++i) {
    const double x = at(random), y = at(random), r = size(random) / 2;
    Contour c;
    c.closed = true;
    for (int k = 0; k < segments; ++k) {
      const double a = 2 * std::numbers::pi * k / segments, q = r * (0.8 + 0.2 * std::sin(5 * a));
      const Vec v{x + q * std::cos(a), y + q * std::sin(a)};
      k == 0 ? void(c.start = v) : c.segments.push_back(Segment::line(v));
    }
    c.segments.push_back(Segment::line(c.start));
    art.lines[0].path = Path{{c}, FillRule::nonzero};
    p = add_artwork(std::move(p), art, "bench.svg");
  }
  return p;
}

SnapScene scene_of(const Project& p) {
  DrawingCache cache;
  std::vector<SnapPiece> pieces;
  for (const auto& drawn : evaluate(p, cache).pieces) pieces.push_back(snap_piece(drawn));
  return {std::move(pieces), ground_of(p, 0)};
}

void snap_2000_pieces(benchmark::State& state) {
  const SnapScene scene = scene_of(strewn(2000, 24));
  std::mt19937 random(5);
  std::uniform_real_distribution<double> at(100, 1900);
  for (auto _ : state) {
    const double x = at(random), y = at(random);
    benchmark::DoNotOptimize(scene.frame(Box::of(x, y, 30, 20), Vec{x, y}, 3));
  }
}
BENCHMARK(snap_2000_pieces)->Unit(benchmark::kMicrosecond);

/// The same question asked of every piece in turn: edges and nodes.
void snap_looked_for_one_by_one(benchmark::State& state) {
  DrawingCache cache;
  const Drawing drawing = evaluate(strewn(2000, 24), cache);
  std::mt19937 random(5);
  std::uniform_real_distribution<double> at(100, 1900);
  for (auto _ : state) {
    const Vec held{at(random), at(random)};
    double least = 3;
    for (const auto& piece : drawing.pieces) {
      const Box box = tight_bounds(*piece);
      for (const double edge : {box.x0, box.x1, box.centre().x}) least = std::min(least, std::abs(edge - held.x));
      for (const auto& line : piece->piece->lines) {
        for (const auto& contour : transformed(*line.path, piece->map).contours) {
          for (const auto& s : contour.segments) least = std::min(least, distance(s.end, held));
        }
      }
    }
    benchmark::DoNotOptimize(least);
  }
}
BENCHMARK(snap_looked_for_one_by_one)->Unit(benchmark::kMicrosecond);

void begin_to_snap_2000_pieces(benchmark::State& state) {
  const Project p = strewn(2000, 24);
  for (auto _ : state) benchmark::DoNotOptimize(scene_of(p));
}
BENCHMARK(begin_to_snap_2000_pieces)->Unit(benchmark::kMillisecond);

enum class Gesture { move, size, turn };

/// Whether a widget was painted.
struct Painted : QObject {
  bool yes = false;
  bool eventFilter(QObject*, QEvent* event) override {
    yes = yes || event->type() == QEvent::Paint;
    return false;
  }
};

/// What one move of the mouse costs, from the event to the frame that shows it; `real_ms` is how long it takes
/// until the project itself has followed.
void gesture(benchmark::State& state, const Project& project, Gesture how) {
  application();
  MainWindow window;
  window.resize(1280, 800);
  window.show();
  Session& session = window.session();
  session.commit(project, QString());
  session.settle();
  std::vector<LineRef> all;
  for (const auto& piece : session.project().pieces) all.push_back({piece->id, ""});
  session.select(all);
  session.settle();
  Bench& bench = window.bench();
  bench.zoomToFit();
  bench.finishPainting();
  const QRectF frame = bench.view().to_px(bounds_of(session.drawing(), all));
  const Piece& first = *session.project().pieces.front();
  const Box one = find_drawn(session.drawing(), first.id)->bounds;
  const QPointF from = how == Gesture::size   ? frame.bottomRight()
                       : how == Gesture::turn ? turn_knob(frame)
                                              : bench.view().to_px(one.centre());
  const auto send = [&](QEvent::Type type, QPointF at) {
    QMouseEvent event(type, at, bench.mapToGlobal(at), type == QEvent::MouseMove ? Qt::NoButton : Qt::LeftButton,
                      type == QEvent::MouseButtonRelease ? Qt::NoButton : Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&bench, &event);
  };
  send(QEvent::MouseButtonPress, from);
  send(QEvent::MouseMove, from + QPointF(9, 9));
  int i = 0;
  double worst = 0;
  Painted painted;
  bench.installEventFilter(&painted);
  for (auto _ : state) {
    QElapsedTimer clock;
    clock.start();
    ++i;
    painted.yes = false;
    send(QEvent::MouseMove, from + QPointF(10 + i % 40, 10 + i * 7 % 30));
    QCoreApplication::processEvents();
    if (!painted.yes) bench.repaint();
    worst = std::max(worst, static_cast<double>(clock.nsecsElapsed()) / 1e6);
  }
  // Until the project says so itself.
  const Affine before = session.project().pieces.front()->placement;
  QElapsedTimer clock;
  clock.start();
  send(QEvent::MouseMove, from + QPointF(90, 70));
  while (session.project().pieces.front()->placement == before)
    QCoreApplication::processEvents(QEventLoop::AllEvents, 1);
  state.counters["real_ms"] = static_cast<double>(clock.nsecsElapsed()) / 1e6;
  state.counters["worst_ms"] = worst;
  send(QEvent::MouseButtonRelease, from + QPointF(30, 30));
  session.settle();
  session.dropAutosave();
}

void move_500_pieces(benchmark::State& state) { gesture(state, strewn(500, 24), Gesture::move); }
void size_500_pieces(benchmark::State& state) { gesture(state, strewn(500, 24), Gesture::size); }
void turn_500_pieces(benchmark::State& state) { gesture(state, strewn(500, 24), Gesture::turn); }
void move_100k_segments(benchmark::State& state) { gesture(state, strewn(1, 100'000), Gesture::move); }
void size_100k_segments(benchmark::State& state) { gesture(state, strewn(1, 100'000), Gesture::size); }
void turn_100k_segments(benchmark::State& state) { gesture(state, strewn(1, 100'000), Gesture::turn); }
BENCHMARK(move_500_pieces)->Unit(benchmark::kMillisecond);
BENCHMARK(size_500_pieces)->Unit(benchmark::kMillisecond);
BENCHMARK(turn_500_pieces)->Unit(benchmark::kMillisecond);
BENCHMARK(move_100k_segments)->Unit(benchmark::kMillisecond);
BENCHMARK(size_100k_segments)->Unit(benchmark::kMillisecond);
BENCHMARK(turn_100k_segments)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
