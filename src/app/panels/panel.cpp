#include "app/panels/panel.hpp"

#include <QEvent>
#include <QTimer>
#include <algorithm>
#include <utility>
#include <vector>

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

/// What Tab comes to in the widget, as it is read: by the layouts, not by when it was made.
void gather(QLayout* layout, std::vector<QWidget*>& out);
void gather(QWidget* widget, std::vector<QWidget*>& out) {
  // One that hands the keys on to a part of it goes about as a whole.
  if (widget->isAncestorOf(widget->focusProxy())) return out.push_back(widget);
  if (widget->focusPolicy() & Qt::TabFocus) out.push_back(widget);
  if (widget->layout()) gather(widget->layout(), out);
}
void gather(QLayout* layout, std::vector<QWidget*>& out) {
  std::vector<std::pair<std::pair<int, int>, QLayoutItem*>> items;
  auto* grid = qobject_cast<QGridLayout*>(layout);
  for (int i = 0; i < layout->count(); ++i) {
    std::pair<int, int> at{i, 0};
    int rows = 0, columns = 0;
    if (grid) grid->getItemPosition(i, &at.first, &at.second, &rows, &columns);
    items.emplace_back(at, layout->itemAt(i));
  }
  std::stable_sort(items.begin(), items.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
  for (const auto& [at, item] : items) {
    if (item->widget()) gather(item->widget(), out);
    if (item->layout()) gather(item->layout(), out);
  }
}

}  // namespace

Panel::Panel(const QString& heading, QWidget* parent) : QWidget(parent) {
  setAccessibleName(heading);
  auto* outer = new QVBoxLayout(this);
  outer->setContentsMargins(0, 0, 0, 0);
  outer->setSpacing(0);
  auto* head = new QHBoxLayout;
  head->setContentsMargins(18, 10, 16, 6);
  head->addWidget(make_label(heading, "heading", this));
  head->addStretch();
  subject_ = make_label({}, "name", this);
  subject_->setWordWrap(false);
  head->addWidget(subject_);
  outer->addLayout(head);
  scroll_ = new QScrollArea(this);
  scroll_->setWidgetResizable(true);
  scroll_->setFrameShape(QFrame::NoFrame);
  scroll_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  body_ = new QWidget(scroll_);
  column_ = new QVBoxLayout(body_);
  column_->setContentsMargins(17, 4, 15, 14);  // and the ring about it
  column_->setSpacing(8);
  scroll_->setWidget(body_);
  body_->installEventFilter(this);
  outer->addWidget(scroll_, 1);
  footer_ = new QVBoxLayout;
  footer_->setContentsMargins(18, 0, 16, 0);
  footer_->setSpacing(6);
  outer->addLayout(footer_);
}

bool Panel::eventFilter(QObject* watched, QEvent* event) {
  if (watched == body_ && event->type() == QEvent::LayoutRequest && !std::exchange(ordering_, true)) {
    // Once all that changes now is there.
    QTimer::singleShot(0, this, [this] {
      ordering_ = false;
      std::vector<QWidget*> order{scroll_};
      gather(body_, order);
      for (std::size_t i = 1; i < order.size(); ++i) setTabOrder(order[i - 1], order[i]);
    });
  }
  return QWidget::eventFilter(watched, event);
}

void Panel::setSubject(const QString& text) {
  subject_->setText(subject_->fontMetrics().elidedText(text, Qt::ElideRight, 190));
  subject_->setToolTip(text);
}

QFormLayout* Panel::addForm(const QString& heading) {
  if (!heading.isEmpty()) column_->addWidget(make_label(heading, "heading", body_));
  auto* form = new QFormLayout;
  form->setContentsMargins(0, 0, 0, 0);
  form->setHorizontalSpacing(10);
  form->setVerticalSpacing(2);
  form->setLabelAlignment(Qt::AlignLeft | Qt::AlignVCenter);
  form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
  column_->addLayout(form);
  return form;
}

void Panel::clear(QLayout* layout) {
  while (QLayoutItem* item = layout->takeAt(0)) {
    if (item->widget()) {
      item->widget()->hide();
      item->widget()->deleteLater();
    }
    if (item->layout()) clear(item->layout());
    delete item;
  }
}

}  // namespace dotlane
