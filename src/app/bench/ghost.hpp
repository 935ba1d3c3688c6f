// The picture of what is being dragged, shown moved, sized or turned at once while the result is still on its way.
#pragma once

#include <QImage>
#include <QPainter>
#include <QTimer>
#include <functional>
#include <set>

#include "core/project/drawing.hpp"
#include "render/theme.hpp"
#include "render/view.hpp"

namespace dotlane {

/// For selections that are too heavy to be worked out and painted for every move of the hand. The edits that it is
/// given meanwhile are carried out a few times a second, the last one of them when the drag ends.
class Ghost {
 public:
  Ghost();

  /// From so many pieces or segments on one is worth it.
  [[nodiscard]] static bool worth(const Drawing& dragged);
  void begin(const Project& project, const Drawing& dragged, const View& view, const QRectF& canvas,
             double pixel_ratio);
  /// The hand let go: the last edit is done, and the picture stays until what it stands for is painted.
  void end();
  /// Away with it, and with an edit that waits.
  void drop();
  [[nodiscard]] bool on() const { return on_; }
  [[nodiscard]] bool there() const { return !image_.isNull(); }
  [[nodiscard]] bool holds(int piece) const { return on_ && pieces_.contains(piece); }

  /// Where the hand has brought it: a map of the figure.
  void set(const Affine& map) { map_ = map; }
  [[nodiscard]] Vec by() const { return {map_.e, map_.f}; }
  /// Carries the edit out: at once, or soon where there is a picture.
  void edit(std::function<void()> change);
  void paint(QPainter& painter, const View& view) const;

 private:
  bool on_ = false;
  QImage image_;
  View view_;
  QPointF offset_;
  Affine map_;
  std::set<int> pieces_;
  QTimer timer_;
  std::function<void()> waiting_;
};

}  // namespace dotlane
