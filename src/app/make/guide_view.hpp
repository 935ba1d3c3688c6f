// A picture of the guide at true scale: the figure as far as it has come, or the sheet of the part that is looked for.
#pragma once

#include "app/bench/table.hpp"
#include "app/make/make_desk.hpp"

namespace dotlane {

class GuideView : public Table {
  Q_OBJECT
 public:
  enum class Side { figure, sheet };
  GuideView(MakeDesk& desk, Side side, QWidget* parent);

  void zoomToFit() override;
  /// Where a copy's number stands, px; nothing where it does not show.
  [[nodiscard]] std::optional<QPointF> number(std::size_t laid) const;

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;
  void changeEvent(QEvent* event) override;
  void nudge(double dx, double dy) override;
  void escape() override;

 private:
  void follow();
  [[nodiscard]] std::optional<AssemblyGuide::Page> page() const;
  /// Copies that show here and are told apart by numbers.
  [[nodiscard]] std::vector<std::size_t> numbered() const;
  [[nodiscard]] QTransform onto(const Affine& map) const;
  [[nodiscard]] QPainterPath outline(std::size_t laid) const;
  [[nodiscard]] bool covers(std::size_t laid, QPointF at) const;
  [[nodiscard]] std::optional<std::size_t> part_at(QPointF at) const;
  void paintCaption(QPainter& p) const;

  MakeDesk& desk_;
  Side side_;
  std::shared_ptr<const MakeDesk::Made> shown_;
  std::optional<AssemblyGuide::Page> page_;
};

}  // namespace dotlane
