// How packing gets on: a bar for each better answer with the sheets it takes, the lower the fewer and the better
// filled; the best one in full colour.
#pragma once

#include <QWidget>
#include <vector>

namespace dotlane {

class PackBars : public QWidget {
  Q_OBJECT
 public:
  using QWidget::QWidget;
  struct Answer {
    std::size_t sheets = 0;
    double density = 0;
  };
  void show(std::vector<Answer> answers);
  [[nodiscard]] QSize sizeHint() const override { return {240, 92}; }

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  std::vector<Answer> answers_;
};

}  // namespace dotlane
