// Lanes: the plan as one horizontal lane per tool load, with dots where hands are needed and a play head to scrub.
#pragma once

#include <QAbstractScrollArea>
#include <atomic>
#include <memory>
#include <optional>

#include "app/session.hpp"
#include "core/plan/by_hand.hpp"

namespace dotlane {

class Lanes : public QAbstractScrollArea {
  Q_OBJECT
 public:
  Lanes(Session& session, QWidget* parent);

  /// The pass picked by a click, from 1; 0 for none.
  [[nodiscard]] int currentPass() const { return current_; }
  void setCurrentPass(int index);
  /// The play head on the plan's clock; negative hides it.
  void setTime(double seconds);
  [[nodiscard]] double time() const { return time_; }
  /// While a run is on, the play head follows it and hands off the lanes.
  void setLocked(bool locked) { locked_ = locked; }

  /// Where a pass is painted, in viewport coordinates; for tests and pictures.
  [[nodiscard]] QRectF blockOf(int pass) const;
  /// The words on or beside a pass, and where they are.
  struct Label {
    QRectF place;
    QString words;
    bool inside = false;
  };
  /// Of each pass; empty words where there is no room, or where it is out of sight.
  [[nodiscard]] const std::vector<Label>& labels() const { return labels_; }
  /// Where pauses begin, from left to right.
  [[nodiscard]] std::vector<double> pauseLines() const;
  /// How many times longer than all of the plan's time fits; from 1.
  [[nodiscard]] double zoom() const { return zoom_; }
  /// What the move under way would cost, as it is said beside the pointer; empty while it is worked out.
  [[nodiscard]] QString costText() const { return cost_text_; }

 signals:
  void passPicked(int index);
  void scrubbed(double seconds);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void mouseDoubleClickEvent(QMouseEvent* event) override;
  void wheelEvent(QWheelEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void scrollContentsBy(int dx, int dy) override;

 private:
  [[nodiscard]] const Plan& plan() const { return session_.derived().plan; }
  void layOut();
  void arrangeLabels();
  /// For those who cannot see it.
  void sayCurrent();
  /// Zooms so that the moment at x stays there.
  void zoomAt(double x, double factor);
  void pan(double seconds);
  /// The play head, and what the view shows, so that it is in sight.
  void scrubTo(double seconds);
  [[nodiscard]] double width() const;  // of the time axis, px
  [[nodiscard]] double xOf(double seconds) const;
  [[nodiscard]] double secondsAt(double x) const;
  [[nodiscard]] int passAt(QPointF at) const;
  /// Where words of such a width have room beside a block: over no pause line, block or other words.
  [[nodiscard]] std::optional<QRectF> roomBeside(std::size_t pass, double width) const;
  /// The pass, from 1, before which something dropped there goes; 0: the end.
  [[nodiscard]] int slotAt(int pass, double x) const;
  void drop(int pass, double x);
  /// Works out aside what the drop would cost.
  void weigh(int pass, int before);
  [[nodiscard]] QString textOf(const PlanChange& change, const Plan& before) const;
  void togglePin(int pass);
  /// Force, speed and repeats of a pass, over its block.
  void editPass(int pass);

  void paintHead(QPainter& p);
  void paintFolded(QPainter& p);
  void paintAxis(QPainter& p);
  void paintPauses(QPainter& p);
  void paintBlocks(QPainter& p);
  void paintNames(QPainter& p);
  void paintHands(QPainter& p);
  void paintRing(QPainter& p);  ///< that it has the keys

  Session& session_;
  std::vector<int> lane_of_;                       // for each pass
  std::vector<std::vector<std::size_t>> in_lane_;  // passes
  std::vector<Label> labels_;
  int lanes_ = 0;
  double zoom_ = 1, from_ = 0;  // seconds at the left of the axis
  std::string follow_;          // key of a pass that was just moved
  int current_ = 0;
  double time_ = -1;
  bool locked_ = false, scrubbing_ = false;
  int dragged_ = 0;
  QPointF press_, at_;
  bool moved_ = false;
  std::optional<int> weighed_;  // the slot whose cost was asked for
  std::shared_ptr<std::atomic<int>> weighing_ = std::make_shared<std::atomic<int>>(0);  // number of the last question
  QString cost_text_;
};

}  // namespace dotlane
