#include "app/panels/panel.hpp"

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
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
  auto* scroll = new QScrollArea(this);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  body_ = new QWidget(scroll);
  column_ = new QVBoxLayout(body_);
  column_->setContentsMargins(18, 4, 16, 14);
  column_->setSpacing(8);
  scroll->setWidget(body_);
  outer->addWidget(scroll, 1);
  footer_ = new QVBoxLayout;
  footer_->setContentsMargins(18, 0, 16, 0);
  footer_->setSpacing(6);
  outer->addLayout(footer_);
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
