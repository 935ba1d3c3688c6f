#include "app/fill/fill_dial.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <cmath>
#include <numbers>

#include "app/style.hpp"

namespace dotlane {
namespace {

constexpr int kSide = 96;     // px
constexpr double kRim = 12;   // px between the strokes and the edge of the widget
constexpr double kLines = 9;  // spacings across the dial
constexpr double kTips = 14;  // and tips, at the least
constexpr double kTypedMm = 0.01;

double rounded(double v, double to) { return std::round(v / to) * to; }

}  // namespace

FillDial::FillDial(QWidget* parent) : QWidget(parent) {
  setFixedSize(kSide, kSide);
  setFocusPolicy(Qt::StrongFocus);
  setObjectName(QStringLiteral("fillDial"));
  setAccessibleName(tr("Angle and spacing of the strokes"));
  setToolTip(tr("Drag the rim to turn the strokes (Shift: by 5°), the middle up or down to spread them"));
}

void FillDial::show(const FillOptions& options, double tip_mm, const QColor& ink, const QColor& ground) {
  if (options == options_ && tip_mm == tip_mm_ && ink == ink_ && ground == ground_) return;
  options_ = options, tip_mm_ = tip_mm, ink_ = ink, ground_ = ground;
  update();
}

double FillDial::radius() const { return kSide / 2.0 - kRim; }

bool FillDial::turns() const {
  return options_.pattern != FillPattern::contour && options_.pattern != FillPattern::spiral &&
         options_.pattern != FillPattern::stipple;
}

QPointF FillDial::knob() const {
  const double a = options_.angle * std::numbers::pi / 180;
  return QPointF(kSide / 2.0, kSide / 2.0) + QPointF(std::cos(a), -std::sin(a)) * (radius() + 6);
}

void FillDial::paintEvent(QPaintEvent*) {
  const Theme& t = theme();
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const QPointF middle(kSide / 2.0, kSide / 2.0);
  // Marks around the rim every 15 degrees, longer every 45.
  if (turns()) {
    for (int i = 0; i < 24; ++i) {
      const double a = i * std::numbers::pi / 12;
      const QPointF d(std::cos(a), std::sin(a));
      p.setPen(QPen(i % 3 == 0 ? t.quiet : t.hairline.darker(112), 1));
      p.drawLine(middle + d * (radius() + 3), middle + d * (radius() + (i % 3 == 0 ? 9 : 7)));
    }
  }
  QPainterPath disc;
  disc.addEllipse(middle, radius(), radius());
  p.fillPath(disc, ground_);
  p.save();
  p.setClipPath(disc);
  const double seen = std::max(kTips * tip_mm_, kLines * options_.spacing);
  const double scale = 2 * radius() / seen;  // px to a mm
  // The pattern itself over a disc of that size, by the same code that fills the pieces.
  Ring ring;
  for (int i = 0; i < 64; ++i) {
    const double a = i * std::numbers::pi / 32;
    ring.push_back(Vec{std::cos(a), std::sin(a)} * (seen * 0.5));
  }
  FillOptions o = options_;
  o.inset = 0;
  o.edge = false;
  o.spacing = std::max(o.spacing, seen / 400);
  QColor ink = ink_;
  if (tip_mm_ * scale < 1) ink.setAlphaF(static_cast<float>(std::max(0.15, tip_mm_ * scale)));
  // First the marks as wide as the tip, then their middles: where all is inked the way of the strokes still shows.
  QColor way = ground_;
  way.setAlpha(130);
  for (QPen pen : {QPen(ink, std::max(1.0, tip_mm_ * scale)), QPen(way, 1)}) {
    pen.setCapStyle(Qt::RoundCap);
    pen.setJoinStyle(Qt::RoundJoin);
    p.setPen(pen);
    for (int coat = 0; coat < (o.second == SecondCoat::none ? 1 : 2); ++coat) {
      const auto strokes = fill({{ring}}, o, coat);
      if (!strokes) break;
      for (std::size_t i = 0; i < strokes->size(); ++i) {
        QPolygonF line;
        for (const Vec v : (*strokes)[i]) line.append(middle + QPointF(v.x, v.y) * scale);
        line.size() == 1 ? p.drawPoint(line.first()) : p.drawPolyline(line);
      }
    }
  }
  p.restore();
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(t.hairline.darker(t.dark ? 90 : 112), 1));
  p.drawEllipse(middle, radius(), radius());
  if (hasFocus()) {
    p.setPen(QPen(t.accent, 1.5));
    p.drawEllipse(middle, radius() + 1.5, radius() + 1.5);
  }
  if (turns()) {
    p.setPen(QPen(t.panel, 1.5));
    p.setBrush(t.accent);
    p.drawEllipse(knob(), 5.5, 5.5);
  }
  if (!isEnabled()) p.fillRect(rect(), QColor(t.panel.red(), t.panel.green(), t.panel.blue(), 150));
}

void FillDial::setAngle(double degrees) {
  degrees = std::fmod(degrees + 540, 360) - 180;  // from -180 up to 180
  if (degrees == options_.angle) return;
  options_.angle = degrees;
  update();
  emit angleEdited(degrees);
}

void FillDial::setSpacing(double mm) {
  mm = std::clamp(rounded(mm, kTypedMm), 0.02, 200.0);
  if (mm == options_.spacing) return;
  options_.spacing = mm;
  update();
  emit spacingEdited(mm);
}

void FillDial::turnTo(QPointF at, bool coarse) {
  const QPointF d = at - QPointF(kSide / 2.0, kSide / 2.0);
  if (std::hypot(d.x(), d.y()) < 4) return;
  setAngle(rounded(std::atan2(-d.y(), d.x()) * 180 / std::numbers::pi, coarse ? 5 : 1));
}

void FillDial::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  const QPointF d = event->position() - QPointF(kSide / 2.0, kSide / 2.0);
  const bool rim = std::hypot(d.x(), d.y()) > radius() - 6;
  drag_ = rim && turns() ? Drag::turn : Drag::spread;
  from_ = event->position();
  spacing_from_ = options_.spacing;
  if (drag_ == Drag::turn) turnTo(event->position(), event->modifiers() & Qt::ShiftModifier);
}

void FillDial::mouseMoveEvent(QMouseEvent* event) {
  if (drag_ == Drag::turn) turnTo(event->position(), event->modifiers() & Qt::ShiftModifier);
  // Sixty pixels up double the spacing.
  if (drag_ == Drag::spread) setSpacing(spacing_from_ * std::exp2((from_.y() - event->position().y()) / 60));
}

void FillDial::mouseReleaseEvent(QMouseEvent*) {
  if (drag_ != Drag::none) emit committed();
  drag_ = Drag::none;
}

void FillDial::spread(double factor) { setSpacing(options_.spacing * factor); }

void FillDial::wheelEvent(QWheelEvent* event) {
  if (!hasFocus()) return event->ignore();  // the panel is being scrolled
  spread(event->angleDelta().y() > 0 ? 1.05 : 1 / 1.05);
  event->accept();
}

void FillDial::keyPressEvent(QKeyEvent* event) {
  const double by = event->modifiers() & Qt::ShiftModifier ? 15 : 1;
  switch (event->key()) {
    case Qt::Key_Left:
      if (turns()) setAngle(options_.angle + by);
      break;
    case Qt::Key_Right:
      if (turns()) setAngle(options_.angle - by);
      break;
    case Qt::Key_Up:
      setSpacing(options_.spacing + 0.01 * by);
      break;
    case Qt::Key_Down:
      setSpacing(options_.spacing - 0.01 * by);
      break;
    default:
      QWidget::keyPressEvent(event);
      return;
  }
  emit committed();
}

}  // namespace dotlane
