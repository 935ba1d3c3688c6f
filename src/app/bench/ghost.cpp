#include "app/bench/ghost.hpp"

#include "app/style.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kPieces = 40, kSegments = 4'000;
constexpr int kEditMs = 70;

}  // namespace

Ghost::Ghost() {
  timer_.setSingleShot(true);
  timer_.setInterval(kEditMs);
  QObject::connect(&timer_, &QTimer::timeout, &timer_, [this] {
    if (const auto change = std::exchange(waiting_, {})) change();
  });
}

bool Ghost::worth(const Drawing& dragged) {
  return dragged.pieces.size() >= kPieces || dragged.segments() >= kSegments;
}

void Ghost::begin(const Project& project, const Drawing& dragged, const View& view, const QRectF& canvas,
                  double pixel_ratio) {
  drop();
  // What may come into sight is painted, too: as much again on every side.
  const QRectF room =
      canvas.adjusted(-canvas.width() / 2, -canvas.height() / 2, canvas.width() / 2, canvas.height() / 2);
  const QRectF area = view.to_px(dragged.bounds().grown(2 / view.px_per_mm)).intersected(room).toAlignedRect();
  if (area.isEmpty()) return;
  image_ = QImage((area.size() * pixel_ratio).toSize(), QImage::Format_ARGB32_Premultiplied);
  if (image_.isNull()) return;
  image_.setDevicePixelRatio(pixel_ratio);
  image_.fill(Qt::transparent);
  view_ = view;
  offset_ = area.topLeft();
  View moved = view;
  moved.origin -= offset_;
  QPainter p(&image_);
  LineOptions options;
  options.clip = QRectF(QPointF(), area.size());
  paint_lines(p, moved, project, dragged, theme(), options);
  for (const auto& piece : dragged.pieces) pieces_.insert(piece->piece->id);
  map_ = {};
  on_ = true;
}

void Ghost::end() {
  on_ = false;
  pieces_.clear();
  timer_.stop();
  if (const auto change = std::exchange(waiting_, {})) change();
}

void Ghost::drop() {
  on_ = false;
  timer_.stop();
  waiting_ = {};
  image_ = {};
  pieces_.clear();
}

void Ghost::edit(std::function<void()> change) {
  if (!on_) return change();
  waiting_ = std::move(change);
  if (!timer_.isActive()) timer_.start();
}

void Ghost::paint(QPainter& p, const View& view) const {
  if (image_.isNull()) return;
  const auto onto_screen = [](const View& v) {
    return QTransform(v.px_per_mm, 0, 0, v.px_per_mm, v.origin.x(), v.origin.y());
  };
  const QTransform map(map_.a, map_.b, map_.c, map_.d, map_.e, map_.f);
  p.save();
  p.setTransform(onto_screen(view_).inverted() * map * onto_screen(view), true);
  p.drawImage(offset_, image_);
  p.restore();
}

}  // namespace dotlane
