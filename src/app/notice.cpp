#include "app/notice.hpp"

#include <QApplication>
#include <QEvent>
#include <QHBoxLayout>
#include <QPushButton>
#include <QStyle>

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr int kNoticeSide = 34, kNoticeFoot = 52;  // px: clear of the rulers, and of what stands at the bench's foot

}  // namespace

Notice::Notice(QWidget* parent) : QFrame(parent) {
  setObjectName(QStringLiteral("notice"));
  row_ = new QBoxLayout(QBoxLayout::LeftToRight, this);
  row_->setContentsMargins(14, 7, 10, 7);
  row_->setSpacing(8);
  text_ = make_label({}, "body", this);
  text_->setTextInteractionFlags(Qt::TextSelectableByMouse);
  text_->setWordWrap(true);
  row_->addWidget(text_, 1);
  choices_ = new QHBoxLayout;
  choices_->setSpacing(8);
  choices_->addStretch();
  row_->addLayout(choices_);
  parent->installEventFilter(this);
  connect(qApp, &QApplication::focusChanged, this, [this](QWidget* old, QWidget* now) {
    if (now && isAncestorOf(now) && old && !isAncestorOf(old)) came_from_ = old;
  });
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
    choices_->addWidget(button);
    button->show();  // a hidden one has no height yet
    buttons_.push_back(button);
    connect(button, &QPushButton::clicked, this, [this, run = std::move(choice.run)] {
      const QPointer<QWidget> back = came_from_;
      hide();
      if (back && back->isVisible()) back->setFocus(Qt::OtherFocusReason);
      if (run) run();
    });
  }
  // Several answers have a line of their own, so that none is cut off.
  row_->setDirection(buttons_.size() > 1 ? QBoxLayout::TopToBottom : QBoxLayout::LeftToRight);
  place();
  timer_.stop();
  if (ms > 0) timer_.start(ms);
  QFrame::show();
  raise();
}

void Notice::focusAnswer() {
  if (isVisible() && !buttons_.empty()) buttons_.front()->setFocus(Qt::ShortcutFocusReason);
}

void Notice::place() {
  const int room = parentWidget()->width() - 2 * kNoticeSide;
  const int wanted = std::max(text_->fontMetrics().horizontalAdvance(text_->text()) + 40 +
                                  (row_->direction() == QBoxLayout::LeftToRight ? choices_->sizeHint().width() : 0),
                              choices_->sizeHint().width() + 30);
  const int width = std::min(wanted, room);
  row_->activate();
  const int height = layout()->hasHeightForWidth() ? layout()->heightForWidth(width) : sizeHint().height();
  setGeometry((parentWidget()->width() - width) / 2, parentWidget()->height() - kNoticeFoot - height, width, height);
}

bool Notice::eventFilter(QObject* watched, QEvent* event) {
  if (watched == parent() && event->type() == QEvent::Resize && isVisible()) place();
  return QFrame::eventFilter(watched, event);
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
