// A photograph of the mat: its four corners are marked, and the scraps on it are outlined and kept.
#pragma once

#include <QFrame>
#include <QImage>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include "app/session.hpp"
#include "core/layout/photograph.hpp"

namespace dotlane {

class PhotographView : public QWidget {
  Q_OBJECT
 public:
  PhotographView(Session& session, QWidget* parent);
  /// Shows it; scraps that are kept from it are of this stock.
  void begin(Picture photograph, const std::string& stock);
  /// Where a place of the photograph, px, is in this widget.
  [[nodiscard]] QPointF at(Vec px) const;
  [[nodiscard]] const Quad& corners() const { return corners_; }
  [[nodiscard]] const std::vector<Region>& found() const { return found_; }

 signals:
  void ended();
  /// Scraps were laid on this mat load as they lie on the photograph, seen from above here.
  void laid(int load, const QImage& mat);
  void said(const QString& message, bool problem);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  [[nodiscard]] QRectF shown() const;
  [[nodiscard]] Vec from(QPointF at) const;
  void moveCorner(std::size_t corner, Vec to);
  void look();
  void keep(bool lay);
  void update();

  Session& session_;
  std::shared_ptr<const Picture> photograph_;
  QImage image_, mat_;
  std::string stock_;
  Quad corners_;
  std::size_t corner_ = 0;  // that keys move
  bool dragging_ = false, looking_ = false, looked_ = false;
  int epoch_ = 0;
  std::vector<Region> found_;  // mm on the mat
  QFrame* bar_;
  QLabel* text_;
  QPushButton *look_, *keep_, *lay_, *cancel_;
};

}  // namespace dotlane
