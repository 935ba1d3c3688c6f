#include "app/make/make_view.hpp"

#include "app/style.hpp"

namespace dotlane {

MakeView::MakeView(MakeDesk& desk, QWidget* parent) : QWidget(parent), desk_(desk) {
  setObjectName(QStringLiteral("makeView"));
  row_ = new QBoxLayout(QBoxLayout::LeftToRight, this);
  row_->setContentsMargins(0, 0, 0, 0);
  row_->setSpacing(1);
  figure_ = new GuideView(desk_, GuideView::Side::figure, this);
  sheet_ = new GuideView(desk_, GuideView::Side::sheet, this);
  row_->addWidget(figure_, 3);
  row_->addWidget(sheet_, 2);
  setFocusProxy(figure_);
  connect(&desk_, &MakeDesk::changed, this, &MakeView::arrange);
}

/// A figure that is taller than wide has its sheet beside it, others below, unless the window is much the other way.
void MakeView::arrange() {
  const Box figure = desk_.made() ? desk_.made()->guide.figure() : Box{};
  const bool beside = figure.empty() || figure.height() * width() > 0.8 * figure.width() * height();
  const auto way = beside ? QBoxLayout::LeftToRight : QBoxLayout::TopToBottom;
  if (row_->direction() != way) row_->setDirection(way);
}

void MakeView::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  arrange();
}

}  // namespace dotlane
