// What bench and sheets do alike with mouse and keys: a view that is panned and zoomed, files that are dropped.
#pragma once

#include <QWidget>

#include "app/bench/art_layer.hpp"
#include "render/view.hpp"

class QMimeData;

namespace dotlane {

/// A widget that shows things at true scale. Wheel and pinch zoom, the middle button or the space bar pan, arrow keys
/// nudge what is chosen.
class Table : public QWidget {
  Q_OBJECT
 public:
  explicit Table(QWidget* parent = nullptr);

  [[nodiscard]] const View& view() const { return view_; }
  void setView(const View& view);
  void zoomBy(double factor, QPointF around);
  virtual void zoomToFit() = 0;
  /// Runs the event loop until what is painted aside is there. For pictures and tests.
  void finishPainting();

 signals:
  void filesDropped(const QStringList& files);
  void mimeDropped(const QMimeData* what);  ///< what is no file; there only while the signal is heard

 protected:
  /// How far it zooms, px per mm.
  static constexpr double kLeastZoom = 0.05, kMostZoom = 400;

  /// The view moved: paint anew, show the old picture meanwhile.
  virtual void viewChanged();
  /// Moves what is chosen by so many mm.
  virtual void nudge(double dx, double dy) = 0;
  virtual void escape() = 0;

  /// Each is true when the event was the beginning, the middle or the end of panning, or too small a move to count.
  bool pressed(QMouseEvent* event);
  bool dragged(QMouseEvent* event, bool dragging);
  bool released();
  void paintBand(QPainter& painter) const;
  void paintFocusRing(QPainter& painter) const;

  void wheelEvent(QWheelEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void keyReleaseEvent(QKeyEvent* event) override;
  void focusInEvent(QFocusEvent* event) override;
  void dragEnterEvent(QDragEnterEvent* event) override;
  void dropEvent(QDropEvent* event) override;

  View view_;
  bool fitted_ = true;  ///< keep fitting while the window changes size
  ArtLayer* art_;
  QPointF press_, last_;  ///< where the button went down, where the pointer was last
  bool moved_ = false;    ///< far enough from there to be a drag
  bool space_ = false;
  QRectF band_;

 private:
  void pan(QPointF by);

  bool panning_ = false;
  bool ring_ = false;  // the focus came by keyboard
};

}  // namespace dotlane
