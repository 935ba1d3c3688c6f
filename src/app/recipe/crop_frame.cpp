#include "app/recipe/crop_frame.hpp"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>

#include "app/style.hpp"
#include "app/widgets/arrow_keys.hpp"

namespace dotlane {
namespace {

constexpr int kWide = 214, kHigh = 180;  // px, at most
constexpr double kReach = 9;             // px around a side
constexpr double kLeast = 5;             // percent of the picture that stay at least
constexpr Qt::Edges kAll = Qt::LeftEdge | Qt::TopEdge | Qt::RightEdge | Qt::BottomEdge;

}  // namespace

CropFrame::CropFrame(const Picture& picture, QWidget* parent) : QWidget(parent) {
  const QImage whole(picture.rgb.data(), picture.width, picture.height, 3 * picture.width, QImage::Format_RGB888);
  image_ = whole.scaled(2 * kWide, 2 * kHigh, Qt::KeepAspectRatio, Qt::SmoothTransformation);
  setFixedSize(std::max(24, image_.width() / 2), std::max(24, image_.height() / 2));
  setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  setObjectName(QStringLiteral("cropFrame"));
  setAccessibleName(tr("Part of the picture that is traced"));
  setToolTip(
      tr("Drag a side or a corner to leave out what lies outside. Arrow keys move the frame, with Shift its right and "
         "lower side."));
}

void CropFrame::setCrop(const CropValues& crop) {
  if (sides_ || crop == crop_) return;
  crop_ = crop;
  update();
}

QRectF CropFrame::kept() const {
  const double w = width() / 100.0, h = height() / 100.0;
  return {crop_.left * w, crop_.top * h, (100 - crop_.left - crop_.right) * w, (100 - crop_.top - crop_.bottom) * h};
}

Qt::Edges CropFrame::sidesAt(QPointF at) const {
  const QRectF r = kept();
  if (!r.adjusted(-kReach, -kReach, kReach, kReach).contains(at)) return {};
  Qt::Edges sides;
  // The nearer of two that are both in reach.
  if (std::min(std::abs(at.x() - r.left()), std::abs(at.x() - r.right())) < kReach)
    sides |= std::abs(at.x() - r.left()) < std::abs(at.x() - r.right()) ? Qt::LeftEdge : Qt::RightEdge;
  if (std::min(std::abs(at.y() - r.top()), std::abs(at.y() - r.bottom())) < kReach)
    sides |= std::abs(at.y() - r.top()) < std::abs(at.y() - r.bottom()) ? Qt::TopEdge : Qt::BottomEdge;
  return sides ? sides : kAll;
}

CropValues CropFrame::moved(CropValues c, Qt::Edges sides, double by_x, double by_y) const {
  if (sides == kAll) {  // the whole frame, at its size
    by_x = std::clamp(by_x, -c.left, c.right);
    by_y = std::clamp(by_y, -c.top, c.bottom);
    return {c.left + by_x, c.top + by_y, c.right - by_x, c.bottom - by_y};
  }
  if (sides & Qt::LeftEdge) c.left = std::clamp(c.left + by_x, 0.0, 100 - kLeast - c.right);
  if (sides & Qt::RightEdge) c.right = std::clamp(c.right - by_x, 0.0, 100 - kLeast - c.left);
  if (sides & Qt::TopEdge) c.top = std::clamp(c.top + by_y, 0.0, 100 - kLeast - c.bottom);
  if (sides & Qt::BottomEdge) c.bottom = std::clamp(c.bottom - by_y, 0.0, 100 - kLeast - c.top);
  return c;
}

void CropFrame::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::SmoothPixmapTransform);
  p.drawImage(rect(), image_);
  const QRectF r = kept();
  QColor veil = theme().ground;
  veil.setAlpha(205);
  QPainterPath outside;
  outside.addRect(rect());
  outside.addRect(r);
  p.fillPath(outside, veil);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme().accent, hasFocus() ? 2.4 : 1.4));
  p.drawRect(r.adjusted(1, 1, -1, -1));
  p.setBrush(theme().field);
  p.setPen(QPen(theme().accent, 1.2));
  for (const QPointF at : {r.topLeft(), r.topRight(), r.bottomLeft(), r.bottomRight()}) {
    const QPointF in(std::clamp(at.x(), 4.0, width() - 4.0), std::clamp(at.y(), 4.0, height() - 4.0));
    p.drawRect(QRectF(in - QPointF(3.5, 3.5), QSizeF(7, 7)));
  }
}

void CropFrame::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  sides_ = sidesAt(event->position());
  pressed_ = event->position();
  pressed_crop_ = crop_;
}

void CropFrame::mouseMoveEvent(QMouseEvent* event) {
  if (!sides_) {
    const Qt::Edges over = sidesAt(event->position());
    const bool across = over & (Qt::LeftEdge | Qt::RightEdge), along = over & (Qt::TopEdge | Qt::BottomEdge);
    const bool falling = over == (Qt::LeftEdge | Qt::TopEdge) || over == (Qt::RightEdge | Qt::BottomEdge);
    setCursor(over == kAll      ? Qt::SizeAllCursor
              : across && along ? (falling ? Qt::SizeFDiagCursor : Qt::SizeBDiagCursor)
              : across          ? Qt::SizeHorCursor
              : along           ? Qt::SizeVerCursor
                                : Qt::ArrowCursor);
    return;
  }
  const QPointF by = event->position() - pressed_;
  crop_ = moved(pressed_crop_, sides_, 100 * by.x() / width(), 100 * by.y() / height());
  update();
}

void CropFrame::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton || !sides_) return;
  sides_ = {};
  if (!(crop_ == pressed_crop_)) emit changed(crop_), emit committed();
}

void CropFrame::keyPressEvent(QKeyEvent* event) {
  const auto by = arrow(event->key());
  if (!by) return QWidget::keyPressEvent(event);
  const bool size = event->modifiers() & Qt::ShiftModifier;
  const CropValues next = moved(crop_, size ? Qt::RightEdge | Qt::BottomEdge : kAll, by->x(), by->y());
  if (next == crop_) return;
  crop_ = next;
  update();
  emit changed(crop_);
}

void CropFrame::focusInEvent(QFocusEvent*) { update(); }
void CropFrame::focusOutEvent(QFocusEvent*) {
  update();
  emit committed();
}

}  // namespace dotlane
