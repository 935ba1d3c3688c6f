// Lanes: the plan as one horizontal lane per tool load, with dots where hands are needed and a play head to scrub.
#pragma once

#include <QAbstractScrollArea>
#include <optional>

#include "app/session.hpp"

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
  /// Of each pass; empty words where there is no room.
  [[nodiscard]] std::vector<Label> labels() const;
  /// Where pauses begin, from left to right.
  [[nodiscard]] std::vector<double> pauseLines() const;

 signals:
  void passPicked(int index);
  void scrubbed(double seconds);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;

 private:
  [[nodiscard]] const Plan& plan() const { return session_.derived().plan; }
  void layOut();
  [[nodiscard]] double xOf(double seconds) const;
  [[nodiscard]] double secondsAt(double x) const;
  [[nodiscard]] int passAt(QPointF at) const;
  /// Where words of such a width have room beside a block: over no pause line, block or other words.
  [[nodiscard]] std::optional<QRectF> roomBeside(std::size_t pass, double width, const std::vector<Label>& taken) const;
  void drop(int pass, double x);

  Session& session_;
  std::vector<int> lane_of_;  // for each pass
  int lanes_ = 0;
  std::string follow_;  // key of a pass that was just moved
  int current_ = 0;
  double time_ = -1;
  bool locked_ = false, scrubbing_ = false;
  int dragged_ = 0;
  QPointF press_, at_;
  bool moved_ = false;
};

}  // namespace dotlane
