#include "app/notice.hpp"

#include <QHBoxLayout>
#include <QPushButton>
#include <QStyle>

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

Notice::Notice(QWidget* parent) : QFrame(parent) {
  setObjectName(QStringLiteral("notice"));
  row_ = new QHBoxLayout(this);
  row_->setContentsMargins(14, 7, 10, 7);
  row_->setSpacing(8);
  text_ = make_label({}, "body", this);
  text_->setTextInteractionFlags(Qt::TextSelectableByMouse);
  row_->addWidget(text_, 1);
  timer_.setSingleShot(true);
  connect(&timer_, &QTimer::timeout, this, &QWidget::hide);
  hide();
}

void Notice::show(const QString& message, const char* kind, std::vector<Choice> choices, int ms) {
  for (QWidget* b : buttons_) b->hide(), b->deleteLater();
  buttons_.clear();
  text_->setText(message);
  setAccessibleName(message);
  set_kind(this, kind);
  style()->unpolish(this);
  style()->polish(this);
  for (auto& choice : choices) {
    auto* button = new QPushButton(choice.text, this);
    set_kind(button, "chip");
    row_->addWidget(button);
    buttons_.push_back(button);
    connect(button, &QPushButton::clicked, this, [this, run = std::move(choice.run)] {
      hide();
      if (run) run();
    });
  }
  timer_.stop();
  if (ms > 0) timer_.start(ms);
  QFrame::show();
}

void Notice::say(const QString& message, bool problem) {
  if (problem) {
    show(message, "serious", {{tr("Dismiss"), {}}}, 0);
  } else {
    show(message, "card", {}, 4000);
  }
}

void Notice::ask(const QString& message, std::vector<Choice> choices) { show(message, "hands", std::move(choices), 0); }

void Notice::busy(const QString& message, std::function<void()> cancel) {
  show(message + QStringLiteral(" …"), "card", {{tr("Cancel"), std::move(cancel)}}, 0);
}

}  // namespace dotlane
