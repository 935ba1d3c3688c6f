// The figure, small: what the parts make together, with the part that is pointed at lit in it as on its sheet.
#pragma once

#include <QPixmap>
#include <QWidget>

#include "app/sheets/sheet_desk.hpp"
#include "render/view.hpp"

namespace dotlane {

class FigureView : public QWidget {
  Q_OBJECT
 public:
  FigureView(Session& session, SheetDesk& desk, QWidget* parent);
  [[nodiscard]] QSize sizeHint() const override { return {254, 208}; }
  /// Where a point of the figure is, px.
  [[nodiscard]] QPointF at(Vec mm) const { return view().to_px(mm); }

 protected:
  void paintEvent(QPaintEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  [[nodiscard]] View view() const;
  [[nodiscard]] std::optional<std::size_t> part_at(QPointF at) const;

  Session& session_;
  SheetDesk& desk_;
  QPixmap picture_;
  std::shared_ptr<const Derived> of_;
  bool dark_ = false;
};

}  // namespace dotlane
