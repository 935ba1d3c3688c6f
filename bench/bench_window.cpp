// The whole window: start to first paint, a large file to finished picture, frames while panning and zooming.
// Compare with open_empty_widget, the least that Qt itself takes for a window here.
#include <benchmark/benchmark.h>

#include <QPainter>
#include <QTemporaryDir>
#include <functional>
#include <random>

#include "app/main_window.hpp"
#include "application.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_reader.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

void open_empty_widget(benchmark::State& state) {
  application();
  for (auto _ : state) {
    QWidget widget;
    widget.resize(1280, 800);
    widget.show();
    benchmark::DoNotOptimize(widget.grab());
  }
}
BENCHMARK(open_empty_widget)->Unit(benchmark::kMillisecond);

void window_to_first_paint(benchmark::State& state) {
  application();
  for (auto _ : state) {
    MainWindow window;
    window.resize(1280, 800);
    window.show();
    benchmark::DoNotOptimize(window.grab());
  }
}
BENCHMARK(window_to_first_paint)->Unit(benchmark::kMillisecond);

/// 100,000 segments of drawn line, 100 to a path.
std::string big_svg() {
  std::mt19937 random(7);
  std::uniform_real_distribution<double> at(10, 290), step(-2, 2);
  std::string out =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#1f6f78">)";
  for (int i = 0; i < 1000; ++i) {
    double x = at(random), y = at(random);
    out += "<path d=\"M" + rounded_text(x, 3) + " " + rounded_text(y, 3);
    for (int k = 0; k < 100; ++k) {
      x = std::clamp(x + step(random), 1.0, 299.0), y = std::clamp(y + step(random), 1.0, 299.0);
      out += " L" + rounded_text(x, 3) + " " + rounded_text(y, 3);
    }
    out += "\"/>";
  }
  return out + "</svg>";
}

void read_and_show_100k_segments(benchmark::State& state) {
  application();
  const QTemporaryDir folder;
  const QString path = folder.filePath(QStringLiteral("big.svg"));
  (void)write_file(path.toStdString(), big_svg());
  for (auto _ : state) {
    state.PauseTiming();
    auto window = std::make_unique<MainWindow>();
    window->resize(1280, 800);
    window->show();
    benchmark::DoNotOptimize(window->grab());
    state.ResumeTiming();
    window->take({path});
    while (window->session().project().pieces.empty()) QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
    window->bench().finishPainting();
    benchmark::DoNotOptimize(window->bench().grab());
    state.PauseTiming();
    window->session().settle();
    window.reset();
    state.ResumeTiming();
  }
}
BENCHMARK(read_and_show_100k_segments)->Unit(benchmark::kMillisecond);

/// A window of the usual size with this in it, painted.
struct Shown {
  MainWindow window;
  explicit Shown(const std::function<void(MainWindow&)>& bring) {
    window.resize(1280, 800);
    window.show();
    bring(window);
    window.session().settle();
    window.bench().finishPainting();
  }
};

void bring_100k_segments(MainWindow& window) {
  const QTemporaryDir folder;
  const QString path = folder.filePath(QStringLiteral("big.svg"));
  (void)write_file(path.toStdString(), big_svg());
  window.take({path});
  window.session().settle();
}

/// A sheet filled with a million dots, and a small piece beside it.
void bring_million_strokes(MainWindow& window) {
  int id = 0;
  Project p = *add_shape(new_project("bench"), "rectangle", {{"width", 10.0}, {"height", 10.0}}, &id);
  p = *add_shape(std::move(p), "rectangle", {{"width", 280.0}, {"height", 280.0}}, &id);
  Step dots;
  dots.kind = "fill";
  dots.values = {{"pattern", std::string("dots")}, {"spacing", 0.279}};
  window.session().commit(*add_step(std::move(p), id, dots), QString());
}

void frame(benchmark::State& state, bool zoom, const std::function<void(MainWindow&)>& bring) {
  application();
  Shown shown(bring);
  MainWindow& window = shown.window;
  QImage canvas(window.bench().size(), QImage::Format_RGB32);
  int i = 0;
  for (auto _ : state) {
    if (zoom) {
      window.bench().zoomBy(i++ % 20 < 10 ? 1.02 : 1 / 1.02, {400, 300});
    } else {
      View view = window.bench().view();
      view.origin += QPointF(i++ % 20 < 10 ? 3 : -3, 1);
      window.bench().setView(view);
    }
    window.bench().render(&canvas);
  }
}
void pan_frame_100k_segments(benchmark::State& state) { frame(state, false, bring_100k_segments); }
void zoom_frame_100k_segments(benchmark::State& state) { frame(state, true, bring_100k_segments); }
void pan_frame_million_strokes(benchmark::State& state) { frame(state, false, bring_million_strokes); }
BENCHMARK(pan_frame_100k_segments)->Unit(benchmark::kMillisecond);
BENCHMARK(zoom_frame_100k_segments)->Unit(benchmark::kMillisecond);
BENCHMARK(pan_frame_million_strokes)->Unit(benchmark::kMillisecond);

/// The play head drawn back and forth over all that is marked: each frame marks anew from the start on.
void scrub_frame_100k_segments(benchmark::State& state) {
  application();
  Shown shown(bring_100k_segments);
  MainWindow& window = shown.window;
  window.session().settle();
  window.setStage(Stage::passes);
  const double seconds = window.session().derived().plan.seconds;
  QImage canvas(window.bench().size(), QImage::Format_RGB32);
  int i = 0;
  for (auto _ : state) {
    window.bench().setScrub(seconds * (i++ % 2 == 0 ? 0.99 : 0.95));
    window.bench().render(&canvas);
  }
}
BENCHMARK(scrub_frame_100k_segments)->Unit(benchmark::kMillisecond);

/// What turning the dial of a filled word costs the interface thread until its strokes show: under 50 ms, or dragging
/// stutters.
void turn_dial_of_filled_word(benchmark::State& state) {
  application();
  int id = 0;
  Shown shown([&](MainWindow& window) {
    Project p = *add_shape(new_project("bench"), "lettering",
                           {{"text", std::string("HARBOUR 7")}, {"font", std::string("Roboto Slab Bold")}}, &id);
    Step fill;
    fill.kind = "fill";
    fill.values = {{"pattern", std::string("zigzag")}, {"spacing", 0.2}};
    window.session().commit(*add_step(std::move(p), id, fill), QString());
  });
  Session& session = shown.window.session();
  double angle = 0;
  for (auto _ : state) {
    angle = std::fmod(angle + 1, 180);
    session.commit(*set_step_value(session.project(), id, 1, "angle", angle), QStringLiteral("turn"), "turn");
  }
  session.settle();
}
BENCHMARK(turn_dial_of_filled_word)->Unit(benchmark::kMillisecond);

/// What an edit beside a million strokes costs the interface thread until the window goes on.
void edit_beside_million_strokes(benchmark::State& state) {
  application();
  Shown shown(bring_million_strokes);
  Session& session = shown.window.session();
  const int small = session.project().pieces.back()->id;
  for (auto _ : state) {
    session.commit(move_pieces(session.project(), {small}, {0.5, 0}), QStringLiteral("move"));
    state.PauseTiming();
    session.settle();
    state.ResumeTiming();
  }
}
BENCHMARK(edit_beside_million_strokes)->Unit(benchmark::kMillisecond)->Iterations(3);

/// 300 passes: four pens over 75 numbers of repeats each.
void bring_300_passes(MainWindow& window) {
  std::string body;
  for (int i = 0; i < 300; ++i)
    body += "<path d=\"M" + std::to_string(10 + i % 20 * 12) + " " + std::to_string(10 + i / 20 * 12) + "h8\"/>";
  const auto art = read_svg(
      "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"290mm\" height=\"290mm\" viewBox=\"0 0 290 290\" "
      "fill=\"none\" stroke=\"#000\">" +
          body + "</svg>",
      "many.svg");
  Project p = add_artwork(new_project("many"), *art, "many.svg");
  p.pieces[0].edit([&](Piece& piece) {
    for (std::size_t i = 0; i < piece.lines.size(); ++i) {
      Line& line = piece.lines[i];
      line.role = Role::draw, line.tool = p.tools[i / 75].id, line.repeats = static_cast<int>(1 + i % 75);
    }
  });
  window.session().commit(std::move(p), QString());
  window.setStage(Stage::passes);
}

/// A frame of the lanes, scrubbing (0) or zooming along time (1): within 16 ms they follow the hand.
void lanes_frame_300_passes(benchmark::State& state) {
  application();
  Shown shown(bring_300_passes);
  Lanes& lanes = shown.window.lanes();
  QImage canvas(lanes.size(), QImage::Format_RGB32);
  const double seconds = shown.window.session().derived().plan.seconds;
  int i = 0;
  for (auto _ : state) {
    if (state.range(0) == 0) {
      lanes.setTime(seconds * (i++ % 100) / 100);
    } else {
      QKeyEvent key(QEvent::KeyPress, i++ % 20 < 10 ? Qt::Key_Plus : Qt::Key_Minus, {});
      QApplication::sendEvent(&lanes, &key);
    }
    lanes.render(&canvas);
  }
}
BENCHMARK(lanes_frame_300_passes)->Arg(0)->Arg(1)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
