// The picture of mats, sheets and lines that bench and sheets show: painted at once when there is little of it, else
// aside, while the last picture is shown moved and scaled to where it belongs.
#pragma once

#include <QImage>
#include <QObject>
#include <QThreadPool>
#include <atomic>
#include <functional>
#include <memory>

#include "render/view.hpp"

class QPainter;

namespace dotlane {

/// What the picture shows: painted on any thread, in view of its size; given up soon after `stop` turns true.
struct Art {
  std::size_t segments = 0;  ///< of the lines in it, which is what painting costs
  std::function<void(QPainter&, const View&, const QRectF& clip, const std::atomic<bool>* stop)> paint;
  bool slow = false;  ///< painted aside whatever it holds
};

class ArtLayer : public QObject {
  Q_OBJECT
 public:
  explicit ArtLayer(QObject* parent);
  ~ArtLayer() override;

  /// Makes the picture out of date: what it shows or the view has changed.
  void invalidate() { ++epoch_; }
  /// Paints the best picture there is for this view and starts a better one, of what `art` gives, when it is out of
  /// date.
  void paint(QPainter& painter, const View& view, QSize size, double pixel_ratio, const std::function<Art()>& art);
  /// True when the last picture painted is up to date.
  [[nodiscard]] bool current() const { return painted_ == epoch_; }

 signals:
  void ready();  ///< a better picture has come

 private:
  struct Work;
  void start(const View& view, QSize size, double pixel_ratio, Art art);

  QImage image_;
  View image_view_;
  QPointF offset_;  // of the image's top left at that view
  int epoch_ = 1, painted_ = 0, painting_ = 0;
  std::shared_ptr<std::atomic<bool>> stop_;
  QThreadPool pool_;
};

}  // namespace dotlane
