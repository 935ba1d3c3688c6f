#include "app/bench/table.hpp"

#include <QCoreApplication>
#include <QDragEnterEvent>
#include <QMimeData>
#include <QPainter>
#include <QWheelEvent>

#include "app/preferences/preferences.hpp"
#include "app/style.hpp"
#include "app/widgets/arrow_keys.hpp"

namespace dotlane {

Table::Table(QWidget* parent) : QWidget(parent) {
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  setAcceptDrops(true);
  setMinimumSize(300, 200);
  art_ = new ArtLayer(this);
  connect(art_, &ArtLayer::ready, this, qOverload<>(&QWidget::update));
}

void Table::setView(const View& view) {
  view_ = view;
  view_.px_per_mm = std::clamp(view_.px_per_mm, kLeastZoom, kMostZoom);
  viewChanged();
}

void Table::zoomBy(double factor, QPointF around) {
  View v = view_;
  const Vec fixed = view_.to_mm(around);
  v.px_per_mm = std::clamp(v.px_per_mm * factor, kLeastZoom, kMostZoom);
  v.origin = around - QPointF(fixed.x, fixed.y) * v.px_per_mm;
  fitted_ = false;
  setView(v);
}

void Table::finishPainting() {
  grab();
  while (!art_->current()) QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
}

void Table::viewChanged() {
  art_->invalidate();
  update();
}

void Table::pan(QPointF by) {
  view_.origin += by;
  fitted_ = false;
  viewChanged();
}

bool Table::pressed(QMouseEvent* event) {
  press_ = last_ = event->position();
  moved_ = false;
  panning_ = event->button() == Qt::MiddleButton || (event->button() == Qt::LeftButton && space_);
  if (panning_) setCursor(Qt::ClosedHandCursor);
  return panning_;
}

bool Table::dragged(QMouseEvent* event, bool dragging) {
  if (!panning_ && !dragging) return false;
  const QPointF at = event->position();
  if (!moved_ && (at - press_).manhattanLength() < 4) return true;
  moved_ = true;
  const QPointF step = at - last_;
  last_ = at;
  if (panning_) pan(step);
  return panning_;
}

bool Table::released() {
  if (!panning_) return false;
  panning_ = false;
  setCursor(space_ ? Qt::OpenHandCursor : Qt::ArrowCursor);
  return true;
}

void Table::paintBand(QPainter& p) const {
  QColor wash = theme().accent;
  wash.setAlpha(30);
  p.setPen(QPen(theme().accent, 1, Qt::DashLine));
  p.setBrush(wash);
  p.drawRect(band_);
}

void Table::paintFocusRing(QPainter& p) const {
  if (!hasFocus() || !ring_) return;
  p.setRenderHint(QPainter::Antialiasing, false);
  p.setPen(QPen(theme().accent, 2));
  p.setBrush(Qt::NoBrush);
  p.drawRect(rect().adjusted(1, 1, -1, -1));
}

void Table::wheelEvent(QWheelEvent* event) {
  const QPoint px = event->pixelDelta(), ticks = event->angleDelta();
  if (!px.isNull() && !(event->modifiers() & Qt::ControlModifier)) {
    pan(px);
  } else if (event->modifiers() & Qt::ShiftModifier) {
    pan(QPointF(ticks.y() + ticks.x(), 0) / 3);
  } else {
    zoomBy(std::pow(1.2, (ticks.y() != 0 ? ticks.y() : px.y() * 4) / 120.0), event->position());
  }
  event->accept();
}

void Table::keyPressEvent(QKeyEvent* event) {
  const double step = preferences().nudge_mm * (event->modifiers() & Qt::ShiftModifier ? 10
                                                : event->modifiers() & Qt::AltModifier ? 0.1
                                                                                       : 1);
  if (const auto way = arrow(event->key())) return nudge(step * way->x(), step * way->y());
  switch (event->key()) {
    case Qt::Key_Escape:
      escape();
      break;
    case Qt::Key_Space:
      if (!event->isAutoRepeat()) space_ = true, setCursor(Qt::OpenHandCursor);
      break;
    default:
      QWidget::keyPressEvent(event);
  }
}

void Table::keyReleaseEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Space && !event->isAutoRepeat()) {
    space_ = false;
    setCursor(Qt::ArrowCursor);
  }
  QWidget::keyReleaseEvent(event);
}

void Table::focusInEvent(QFocusEvent* event) {
  ring_ = event->reason() == Qt::TabFocusReason || event->reason() == Qt::BacktabFocusReason;
  QWidget::focusInEvent(event);
}

void Table::dragEnterEvent(QDragEnterEvent* event) {
  const QMimeData* mime = event->mimeData();
  if (mime->hasUrls() || mime->hasImage() || mime->hasText() || mime->hasFormat(QStringLiteral("image/svg+xml")))
    event->acceptProposedAction();
}

void Table::dropEvent(QDropEvent* event) {
  QStringList files;
  for (const QUrl& url : event->mimeData()->urls()) {
    if (url.isLocalFile()) files.append(url.toLocalFile());
  }
  if (!files.isEmpty()) {
    emit filesDropped(files);
  } else {
    emit mimeDropped(event->mimeData());
  }
  event->acceptProposedAction();
}

}  // namespace dotlane
