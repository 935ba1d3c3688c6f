// A cross in the rulers of its sheet, from near: where it is clicked, there it was seen.
#pragma once

#include <QWidget>

#include "core/geometry/vec.hpp"

namespace dotlane {

class ReadingPicture : public QWidget {
  Q_OBJECT
 public:
  explicit ReadingPicture(QWidget* parent);
  /// The cross, mm right of 0 and down from it.
  void setPlace(Vec mm);
  [[nodiscard]] Vec place() const { return place_; }

 signals:
  void picked(dotlane::Vec mm);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  void pick(Vec mm);
  [[nodiscard]] double perMm() const;
  Vec place_;
};

}  // namespace dotlane
