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

constexpr int kWide = 214, kHigh = 180;    // px, at most
constexpr int kSwatch = 16, kBetween = 5;  // px, of the colours below
constexpr double kReach = 9;               // px around a side
constexpr double kLeast = 5;               // percent of the picture that stay at least
constexpr Qt::Edges kAll = Qt::LeftEdge | Qt::TopEdge | Qt::RightEdge | Qt::BottomEdge;

}  // namespace

CropFrame::CropFrame(const Picture& picture, QWidget* parent) : QWidget(parent) {
  const QImage whole(picture.rgb.data(), picture.width, picture.height, 3 * picture.width, QImage::Format_RGB888);
  image_ = whole.scaled(2 * kWide, 2 * kHigh, Qt::KeepAspectRatio, Qt::SmoothTransformation);
  setFixedSize(this->picture().size());
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

void CropFrame::setColors(std::vector<QColor> colors) {
  if (colors == colors_) return;
  colors_ = std::move(colors);
  const int last = colors_.empty() ? picture().bottom() : swatch(colors_.size() - 1).bottom() + kBetween;
  setFixedSize(picture().width(), last + 1);
  update();
}

QRect CropFrame::picture() const { return {0, 0, std::max(24, image_.width() / 2), std::max(24, image_.height() / 2)}; }

QRect CropFrame::swatch(std::size_t index) const {
  const int a_row = std::max(1, (picture().width() + kBetween) / (kSwatch + kBetween)), i = static_cast<int>(index);
  return {i % a_row * (kSwatch + kBetween), picture().bottom() + 1 + kBetween + i / a_row * (kSwatch + kBetween),
          kSwatch, kSwatch};
}

QRectF CropFrame::kept() const {
  const double w = picture().width() / 100.0, h = picture().height() / 100.0;
  return {crop_.left * w, crop_.top * h, (100 - crop_.left - crop_.right) * w, (100 - crop_.top - crop_.bottom) * h};
}

QColor CropFrame::colorAt(QPointF at) const {
  const QPoint middle(static_cast<int>(at.x() * image_.width() / picture().width()),
                      static_cast<int>(at.y() * image_.height() / picture().height()));
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
  p.drawImage(picture(), image_);
  const QRectF r = kept();
  QColor veil = theme().ground;
  veil.setAlpha(205);
  QPainterPath outside;
  outside.addRect(picture());
  outside.addRect(r);
  p.fillPath(outside, veil);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme().accent, hasFocus() ? 2.4 : 1.4));
  p.drawRect(r.adjusted(1, 1, -1, -1));
  p.setBrush(theme().field);
  p.setPen(QPen(theme().accent, 1.2));
  for (const QPointF at : {r.topLeft(), r.topRight(), r.bottomLeft(), r.bottomRight()}) {
    const QPointF in(std::clamp(at.x(), 4.0, picture().width() - 4.0),
                     std::clamp(at.y(), 4.0, picture().height() - 4.0));
    p.drawRect(QRectF(in - QPointF(3.5, 3.5), QSizeF(7, 7)));
  }
  for (std::size_t i = 0; i < colors_.size(); ++i) {
    p.setPen(QPen(theme().quiet, 1));
    p.setBrush(colors_[i]);
    p.drawRoundedRect(QRectF(swatch(i)).adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
  }
}

void CropFrame::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  pressed_ = event->position();
  sides_ = picture().contains(pressed_.toPoint()) ? sidesAt(pressed_) : Qt::Edges();
  pressed_crop_ = crop_;
}

void CropFrame::mouseMoveEvent(QMouseEvent* event) {
  if (!sides_) {
    if (!picture().contains(event->position().toPoint())) return setCursor(Qt::ArrowCursor);
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
  crop_ = moved(pressed_crop_, sides_, 100 * by.x() / picture().width(), 100 * by.y() / picture().height());
  update();
}

void CropFrame::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  const bool dragged = !(crop_ == pressed_crop_),
             still = (event->position() - pressed_).manhattanLength() < QApplication::startDragDistance();
  sides_ = {};
  if (dragged) {
    emit changed(crop_), emit committed();
  } else if (const QPoint at = event->position().toPoint(); still && picture().contains(at)) {
    emit picked(colorAt(at));
  } else if (still) {
    for (std::size_t i = 0; i < colors_.size(); ++i) {
      if (swatch(i).contains(at)) return emit picked(colors_[i]);
    }
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
