// The picture of mat, sheets and lines that the bench shows: painted at once when there is little of it, else aside,
// while the last picture is shown moved and scaled to where it belongs.
#pragma once

#include <QImage>
#include <QObject>
#include <QThreadPool>
#include <atomic>
#include <memory>

#include "core/project/drawing.hpp"
#include "render/paint.hpp"
#include "render/view.hpp"

class QPainter;

namespace dotlane {

/// What the picture shows.
struct ArtScene {
  Project project;
  Drawing drawing;  ///< what of it shows
  int load = 1;     ///< the mat load whose sheets are shown
  Space space = Space::figure;
  double strength = 1;                  ///< opacity of the lines
  bool stacked = false, hidden = true;  ///< see LineOptions
};

class ArtLayer : public QObject {
  Q_OBJECT
 public:
  explicit ArtLayer(QObject* parent);
  ~ArtLayer() override;

  /// Makes the picture out of date: the scene or the view has changed.
  void invalidate() { ++epoch_; }
  /// Paints the best picture there is for this view and starts a better one when it is out of date.
  void paint(QPainter& painter, const View& view, QSize size, double pixel_ratio, const ArtScene& scene);
  /// True when the last picture painted is up to date.
  [[nodiscard]] bool current() const { return painted_ == epoch_; }

 signals:
  void ready();  ///< a better picture has come

 private:
  struct Work;
  void start(const View& view, QSize size, double pixel_ratio, const ArtScene& scene);

  QImage image_;
  View image_view_;
  QPointF offset_;  // of the image's top left at that view
  int epoch_ = 1, painted_ = 0, painting_ = 0;
  std::shared_ptr<std::atomic<bool>> stop_;
  QThreadPool pool_;
};

}  // namespace dotlane
