#include "app/bench/art_layer.hpp"

#include <QPainter>

#include "app/style.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kPaintAtOnce = 250'000;  // segments; more are painted aside
constexpr int kOver = 160;                     // px painted beyond the edges, so that panning shows something

}  // namespace

struct ArtLayer::Work {
  View view;
  QSize size;
  double ratio;
  Art art;
  QColor ground;

  QImage paint(const std::atomic<bool>* stop) const {
    QImage image(size * ratio, QImage::Format_RGB32);
    image.setDevicePixelRatio(ratio);
    image.fill(ground);
    QPainter painter(&image);
    art.paint(painter, view, QRectF(QPointF(), QSizeF(size)), stop);
    return image;
  }
};

ArtLayer::ArtLayer(QObject* parent) : QObject(parent) { pool_.setMaxThreadCount(1); }

ArtLayer::~ArtLayer() {
  if (stop_) *stop_ = true;
  pool_.waitForDone();
}

void ArtLayer::start(const View& view, QSize size, double pixel_ratio, Art art) {
  if (stop_) *stop_ = true;  // what is being painted is out of date
  painting_ = epoch_;
  if (!art.slow && art.segments <= kPaintAtOnce) {
    image_ = Work{view, size, pixel_ratio, std::move(art), theme().ground}.paint(nullptr);
    image_view_ = view;
    offset_ = {};
    painted_ = epoch_;
    return;
  }
  View shifted = view;
  shifted.origin += QPointF(kOver, kOver);
  stop_ = std::make_shared<std::atomic<bool>>(false);
  auto work = std::make_shared<Work>(
      Work{shifted, size + QSize(2 * kOver, 2 * kOver), pixel_ratio, std::move(art), theme().ground});
  pool_.start([this, work, stop = stop_, epoch = epoch_, view] {
    QImage image = work->paint(stop.get());
    if (*stop) return;
    // The destructor waits for the pool, so `this` is alive here; the queued call goes with it.
    QMetaObject::invokeMethod(
        this,
        [this, image = std::move(image), epoch, view] {
          if (epoch < painted_) return;
          image_ = image;
          image_view_ = view;
          offset_ = QPointF(-kOver, -kOver);
          painted_ = epoch;
          emit ready();
        },
        Qt::QueuedConnection);
  });
}

void ArtLayer::paint(QPainter& p, const View& view, QSize size, double pixel_ratio, const std::function<Art()>& art) {
  if (painted_ != epoch_ && painting_ != epoch_) start(view, size, pixel_ratio, art());
  if (image_.isNull()) return;
  const double s = view.px_per_mm / image_view_.px_per_mm;
  const QPointF at = view.origin + (offset_ - image_view_.origin) * s;
  if (s == 1) {
    p.drawImage(at, image_);
  } else {
    p.drawImage(QRectF(at, image_.deviceIndependentSize() * s), image_);
  }
}

}  // namespace dotlane
