// The picture that is traced, with a frame around the part that is kept; colours are picked on it.
#pragma once

#include <QImage>
#include <QWidget>
#include <vector>

#include "core/project/picture.hpp"

namespace dotlane {

/// What is left out on each side, percent of the picture.
struct CropValues {
  double left = 0, top = 0, right = 0, bottom = 0;
  friend bool operator==(const CropValues&, const CropValues&) = default;
};

class CropFrame : public QWidget {
  Q_OBJECT
 public:
  CropFrame(const Picture& picture, QWidget* parent);
  void setCrop(const CropValues& crop);
  /// The colours it is traced in, shown below the picture; a click on one leaves it out.
  void setColors(std::vector<QColor> colors);

 signals:
  /// The frame was let go at other values, or moved by a key.
  void changed(const CropValues& crop);
  /// The picture was clicked where it has this colour.
  void picked(const QColor& color);
  /// What comes next is another change.
  void committed();

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void focusInEvent(QFocusEvent* event) override;
  void focusOutEvent(QFocusEvent* event) override;

 private:
  /// The picture; its colours lie below.
  [[nodiscard]] QRect picture() const;
  [[nodiscard]] QRect swatch(std::size_t index) const;
  [[nodiscard]] QRectF kept() const;
  /// The mean of the pixels around a place: what the eye sees there.
  [[nodiscard]] QColor colorAt(QPointF at) const;
  /// The sides under the pointer; all of them inside the frame.
  [[nodiscard]] Qt::Edges sidesAt(QPointF at) const;
  /// The crop after moving those sides, kept within the picture.
  [[nodiscard]] CropValues moved(CropValues crop, Qt::Edges sides, double by_x, double by_y) const;

  QImage image_;
  std::vector<QColor> colors_;
  CropValues crop_, pressed_crop_;
  QPointF pressed_;
  Qt::Edges sides_;
};

}  // namespace dotlane
