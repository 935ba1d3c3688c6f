// Five steps along the road, each pointing at what is there.
#pragma once

#include <QFrame>
#include <QPointer>
#include <functional>
#include <vector>

class QLabel;
class QPushButton;

namespace dotlane {

struct TourStop {
  QString text;
  std::function<QWidget*()> goes_to;  ///< brings it on screen and gives what is pointed at
};

/// A card beside what it speaks of, with a ring around that; it goes at its end, or with Esc.
class Tour : public QFrame {
  Q_OBJECT
 public:
  Tour(std::vector<TourStop> steps, QWidget* window);
  ~Tour() override;
  void start();

 protected:
  void keyPressEvent(QKeyEvent* event) override;
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  void showStop(std::size_t step);
  void place();

  std::vector<TourStop> steps_;
  std::size_t at_ = 0;
  QPointer<QWidget> target_;
  QPointer<QWidget> ring_;
  QLabel *count_, *text_;
  QPushButton* next_;
};

}  // namespace dotlane
