#include "app/recipe/crop_frame.hpp"

#include <QApplication>
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
         "lower side. A click takes the colour there, or leaves it out again."));
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

QColor CropFrame::colorAt(QPointF at) const {
  const QPoint middle(static_cast<int>(at.x() * image_.width() / width()),
                      static_cast<int>(at.y() * image_.height() / height()));
  int red = 0, green = 0, blue = 0, pixels = 0;
  for (int y = middle.y() - 1; y <= middle.y() + 1; ++y) {
    for (int x = middle.x() - 1; x <= middle.x() + 1; ++x) {
      if (!image_.rect().contains(x, y)) continue;
      const QRgb c = image_.pixel(x, y);
      red += qRed(c), green += qGreen(c), blue += qBlue(c), ++pixels;
    }
  }
  const auto mean = [pixels](int sum) { return (sum + pixels / 2) / std::max(1, pixels); };
  return {mean(red), mean(green), mean(blue)};
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
  pressed_ = event->position();
  sides_ = sidesAt(pressed_);
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
  // A hand that clicks shakes a little.
  if (crop_ == pressed_crop_ && by.manhattanLength() < QApplication::startDragDistance()) return;
  crop_ = moved(pressed_crop_, sides_, 100 * by.x() / width(), 100 * by.y() / height());
  update();
}

void CropFrame::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  const bool dragged = !(crop_ == pressed_crop_),
             still = (event->position() - pressed_).manhattanLength() < QApplication::startDragDistance();
  sides_ = {};
  if (dragged) {
    emit changed(crop_), emit committed();
  } else if (still && rect().contains(event->position().toPoint())) {
    emit picked(colorAt(event->position()));
  }
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
