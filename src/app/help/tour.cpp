#include "app/help/tour.hpp"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr int kCardWidth = 320, kRingRoom = 4, kBeside = 14;

/// The ring; the pointer goes through it.
class TourRing : public QWidget {
 public:
  explicit TourRing(QWidget* window) : QWidget(window) { setAttribute(Qt::WA_TransparentForMouseEvents); }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().accent, 3));
    p.drawRoundedRect(QRectF(rect()).adjusted(2, 2, -2, -2), 8, 8);
  }
};

}  // namespace

Tour::Tour(std::vector<TourStop> steps, QWidget* window) : QFrame(window), steps_(std::move(steps)) {
  setObjectName(QStringLiteral("tour"));
  set_kind(this, "card");
  setFixedWidth(kCardWidth);
  setFocusPolicy(Qt::StrongFocus);
  ring_ = new TourRing(window);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(16, 12, 16, 12);
  column->setSpacing(8);
  count_ = make_label({}, "quiet", this);
  text_ = make_label({}, "body", this);
  text_->setObjectName(QStringLiteral("tourText"));
  column->addWidget(count_);
  column->addWidget(text_);
  auto* row = new QHBoxLayout;
  next_ = new QPushButton(this);
  next_->setObjectName(QStringLiteral("tourNext"));
  set_kind(next_, "primary");
  auto* end = new QPushButton(tr("Leave the tour"), this);
  end->setObjectName(QStringLiteral("tourEnd"));
  set_kind(end, "pill");
  row->addWidget(next_);
  row->addWidget(end);
  row->addStretch();
  column->addLayout(row);
  connect(next_, &QPushButton::clicked, this, [this] { at_ + 1 < steps_.size() ? showStop(at_ + 1) : deleteLater(); });
  connect(end, &QPushButton::clicked, this, &QObject::deleteLater);
  window->installEventFilter(this);
}

Tour::~Tour() { delete ring_; }

void Tour::start() { showStop(0); }

void Tour::showStop(std::size_t step) {
  at_ = step;
  target_ = steps_[step].goes_to();
  count_->setText(tr("%1 of %2").arg(step + 1).arg(steps_.size()));
  text_->setText(steps_[step].text);
  setAccessibleName(steps_[step].text);
  next_->setText(step + 1 < steps_.size() ? tr("Next") : tr("Now you"));
  QWidget::show();
  place();
  next_->setFocus();
}

void Tour::place() {
  if (!target_ || !target_->isVisible() || !ring_) return ring_ ? ring_->hide() : void();
  QWidget* window = parentWidget();
  const QRect at(target_->mapTo(window, QPoint(0, 0)), target_->size());
  ring_->setGeometry(at.adjusted(-kRingRoom, -kRingRoom, kRingRoom, kRingRoom).intersected(window->rect()));
  ring_->show();
  ring_->raise();
  adjustSize();
  // Where there is room: right, left, below, above; else over the middle of it.
  const QSize card(kCardWidth, std::max(height(), heightForWidth(kCardWidth)));
  const QRect all = window->rect().adjusted(8, 8, -8, -8);
  QRect chosen(QPoint(at.center().x() - card.width() / 2, at.center().y() - card.height() / 2), card);
  for (const QPoint corner :
       {QPoint(at.right() + kBeside, at.top()), QPoint(at.left() - kBeside - card.width(), at.top()),
        QPoint(at.left(), at.bottom() + kBeside), QPoint(at.left(), at.top() - kBeside - card.height())}) {
    QRect tried(corner, card);
    if (corner.x() == at.left() && tried.left() < all.left()) tried.moveLeft(all.left());
    if (corner.y() == at.top() && tried.bottom() > all.bottom()) tried.moveBottom(all.bottom());
    if (tried.right() > all.right() && corner.x() == at.left()) tried.moveRight(all.right());
    if (all.contains(tried) && !tried.intersects(at)) {
      chosen = tried;
      break;
    }
  }
  setGeometry(chosen);
  raise();
}

void Tour::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Escape) return deleteLater();
  QFrame::keyPressEvent(event);
}

bool Tour::eventFilter(QObject* watched, QEvent* event) {
  if (watched == parentWidget() && event->type() == QEvent::Resize && isVisible()) place();
  return QFrame::eventFilter(watched, event);
}

}  // namespace dotlane
