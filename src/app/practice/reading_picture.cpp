#include "app/practice/reading_picture.hpp"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "app/style.hpp"
#include "core/calibrate/calibration.hpp"

namespace dotlane {
namespace {

constexpr double kStep = 0.05;  // mm: nobody reads finer

}  // namespace

ReadingPicture::ReadingPicture(QWidget* parent) : QWidget(parent) {
  setFixedSize(190, 190);
  setFocusPolicy(Qt::StrongFocus);
  setCursor(Qt::CrossCursor);
  setObjectName(QStringLiteral("readingPicture"));
  setAccessibleName(tr("Where the cross is seen: click, or move it by the arrow keys"));
  setToolTip(accessibleName());
}

double ReadingPicture::perMm() const { return (width() / 2.0 - 14) / kRulerReach; }

void ReadingPicture::setPlace(Vec mm) {
  if (mm == place_) return;
  place_ = mm;
  update();
}

void ReadingPicture::pick(Vec mm) {
  const auto rounded = [](double v) { return std::clamp(std::round(v / kStep) * kStep, -kRulerReach, kRulerReach); };
  setPlace({rounded(mm.x), rounded(mm.y)});
  emit picked(place_);
}

void ReadingPicture::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.fillRect(rect(), theme().field);
  const double scale = perMm(), half = width() / 2.0;
  const double edge = half - 1;
  p.setPen(QPen(hasFocus() ? theme().accent : theme().hairline, hasFocus() ? 2 : 1));
  p.drawRect(QRectF(1, 1, width() - 2, height() - 2));
  p.setPen(QPen(theme().ink, 1));
  for (int k = -12; k <= 12; ++k) {
    const double at = half + scale * kRulerReach * k / 12, tooth = k % 10 == 0 ? 12 : k % 2 == 0 ? 8 : 4;
    p.drawLine(QPointF(at, half - edge), QPointF(at, half - edge + tooth));
    p.drawLine(QPointF(half - edge, at), QPointF(half - edge + tooth, at));
  }
  p.setPen(theme().quiet);
  QFont small = font();
  constexpr int kSmall = 10;
  small.setPixelSize(kSmall);
  p.setFont(small);
  for (const int mm : {-5, 0, 5}) {
    const double at = half + scale * mm;
    p.drawText(QRectF(at - 14, 14, 28, 12), Qt::AlignCenter, QString::number(mm));
    if (mm >= 0) p.drawText(QRectF(19, at - 6, 16, 12), Qt::AlignLeft | Qt::AlignVCenter, QString::number(mm));
  }
  p.setPen(QPen(theme().accent, 2));
  const QPointF at(half + scale * place_.x, half + scale * place_.y);
  p.drawLine(QPointF(at.x(), 30), QPointF(at.x(), height() - 8));
  p.drawLine(QPointF(36, at.y()), QPointF(width() - 8, at.y()));
}

void ReadingPicture::mousePressEvent(QMouseEvent* event) {
  const QPointF d = event->position() - QPointF(width() / 2.0, height() / 2.0);
  pick({d.x() / perMm(), d.y() / perMm()});
}

void ReadingPicture::mouseMoveEvent(QMouseEvent* event) {
  if (event->buttons() & Qt::LeftButton) mousePressEvent(event);
}

void ReadingPicture::keyPressEvent(QKeyEvent* event) {
  const double step = event->modifiers() & Qt::ShiftModifier ? 0.5 : kStep;
  switch (event->key()) {
    case Qt::Key_Left:
      return pick(place_ - Vec{step, 0});
    case Qt::Key_Right:
      return pick(place_ + Vec{step, 0});
    case Qt::Key_Up:
      return pick(place_ - Vec{0, step});
    case Qt::Key_Down:
      return pick(place_ + Vec{0, step});
    default:
      QWidget::keyPressEvent(event);
  }
}

}  // namespace dotlane
