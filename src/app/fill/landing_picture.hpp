// A close look at a fill as it may fall when the tool lands a little off after each lift.
#pragma once

#include <QWidget>

#include "core/plan/landing.hpp"

namespace dotlane {

class LandingPicture : public QWidget {
  Q_OBJECT
 public:
  explicit LandingPicture(QWidget* parent);
  /// The region and its strokes as they fell, looked at around a place.
  void show(Region region, std::vector<Strokes> fallen, Vec at, double tip_mm, const QColor& ink, const QColor& ground);

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  Region region_;
  std::vector<Strokes> fallen_;
  Vec at_;
  double tip_mm_ = 0.3;
  QColor ink_, ground_;
};

}  // namespace dotlane
