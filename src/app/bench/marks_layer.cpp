#include "app/bench/marks_layer.hpp"

#include <QElapsedTimer>
#include <QPainter>
#include <algorithm>

#include "app/style.hpp"
#include "render/course_painter.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr int kFrameMs = 20;                    // for marks, of what a frame may take
constexpr std::size_t kBetweenLooks = 100'000;  // points of marks painted between two looks at the clock

}  // namespace

void MarksLayer::prepare(const View& view, QSize size, int load, std::size_t wanted) {
  const bool stale = image_.isNull() || image_.size() != size || load_ != load || view_.origin != view.origin ||
                     view_.px_per_mm != view.px_per_mm || done_ > wanted;
  if (!stale) return;
  image_ = QImage(size, QImage::Format_ARGB32_Premultiplied);
  image_.fill(Qt::transparent);
  view_ = view;
  load_ = load;
  done_ = 0;
}

bool MarksLayer::go_on(std::size_t wanted, const std::function<std::size_t(CoursePainter&, std::size_t)>& draw_one) {
  if (done_ >= wanted) return true;
  QElapsedTimer clock;
  clock.start();
  QPainter q(&image_);
  CoursePainter courses(q, view_, true);
  while (done_ < wanted && clock.elapsed() < kFrameMs) {
    for (std::size_t points = 0; done_ < wanted && points < kBetweenLooks;) points += draw_one(courses, done_++);
    courses.finish();
  }
  return done_ >= wanted;
}

bool MarksLayer::paint(QPainter& p, const View& view, QSize size, const Project& project, const RunRecord& record,
                       int load) {
  prepare(view, size, load, record.marks.size());
  const bool all = go_on(record.marks.size(), [&](CoursePainter& courses, std::size_t i) -> std::size_t {
    const Mark& mark = record.marks[i];
    if (mark.mat != load || mark.points.empty()) return 1;
    courses.set_pen(mark_pen(view, project, mark, theme()));
    return courses.draw(mark.points, {});
  });
  p.drawImage(0, 0, image_);
  return all;
}

bool MarksLayer::paint(QPainter& p, const View& view, QSize size, const Project& project, const Plan& plan,
                       const Moment& now) {
  const std::size_t last = std::min(now.pass, plan.passes.size() - 1);
  const int load = plan.passes[last].load;
  // The strokes of this load in a row; how many of them are done.
  std::vector<std::pair<const Pass*, std::size_t>> passes;  // with how many strokes come before each
  std::size_t wanted = 0;
  for (std::size_t i = 0; i < plan.passes.size() && i <= now.pass; ++i) {
    const Pass& pass = plan.passes[i];
    if (pass.load != load) continue;
    passes.emplace_back(&pass, wanted);
    wanted += i < now.pass || now.repeat > 0 ? pass.strokes.size() : now.hands ? 0 : now.stroke;
  }
  auto stock_of = [&](const Pass& pass) -> const Stock* {
    for (const auto& sheet : project.sheets) {
      if (sheet.id == pass.sheet) return find_stock(project, sheet.stock);
    }
    return nullptr;
  };
  prepare(view, size, load, wanted);
  const bool all = go_on(wanted, [&, inked = static_cast<const Pass*>(nullptr), pen = QPen()](CoursePainter& courses,
                                                                                              std::size_t i) mutable {
    const auto after = std::upper_bound(passes.begin(), passes.end(), i,
                                        [](std::size_t n, const auto& entry) { return n < entry.second; });
    const auto& [pass, before] = *std::prev(after);
    if (pass != inked) pen = mark_pen(view, project, pass->tool, stock_of(*pass), theme());
    inked = pass;
    courses.set_pen(pen);
    return courses.draw(pass->strokes[i - before].points(), {});
  });
  p.drawImage(0, 0, image_);
  if (all && !now.under_way.empty() && now.pass < plan.passes.size()) {
    p.setRenderHint(QPainter::Antialiasing);
    const Pass& pass = plan.passes[now.pass];
    CoursePainter courses(p, view, false);
    courses.set_pen(mark_pen(view, project, pass.tool, stock_of(pass), theme()));
    courses.draw(now.under_way, {});
  }
  return all;
}

}  // namespace dotlane
