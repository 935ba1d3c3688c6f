#include "app/fill/angle_curve.hpp"

#include <QLocale>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

constexpr int kCurveHeight = 112;

QString percent(double share) {
  return QLocale().toString(share * 100, 'f', share >= 0.995 || share < 0.1 ? 0 : 1) + QStringLiteral(" %");
}

}  // namespace

AngleCurve::AngleCurve(QWidget* parent) : QWidget(parent) {
  setFixedHeight(kCurveHeight);
  setMouseTracking(true);
  setObjectName(QStringLiteral("angleCurve"));
  setAccessibleName(tr("Coverage and time against the angle"));
  setToolTip(tr("Click to turn the strokes to an angle"));
}

void AngleCurve::show(AngleAdvice advice) {
  advice_ = std::move(advice);
  pointed_ = -1;
  update();
}

void AngleCurve::setAngle(double degrees) {
  if (angle_ == degrees) return;
  angle_ = degrees;
  update();
}

void AngleCurve::say(const QString& why) {
  why_ = why;
  update();
}

QRectF AngleCurve::plot() const { return QRectF(rect()).adjusted(2, 34, -2, -18); }

double AngleCurve::step() const {
  return advice_.curve.size() > 1 ? advice_.curve[1].options.angle - advice_.curve[0].options.angle : 5;
}

double AngleCurve::span() const { return step() * static_cast<double>(advice_.curve.size()); }

std::size_t AngleCurve::nearest(double x) const {
  const double at = (x - plot().left()) / plot().width() * span() / step();
  return static_cast<std::size_t>(std::clamp(std::round(at), 0.0, static_cast<double>(advice_.curve.size() - 1)));
}

void AngleCurve::paintEvent(QPaintEvent*) {
  const Theme& t = theme();
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.setFont(ui_font(11));
  if (advice_.curve.size() < 2) {
    p.setPen(t.quiet);
    p.drawText(rect().adjusted(8, 0, -8, 0), Qt::AlignCenter | Qt::TextWordWrap, why_);
    return;
  }
  const QRectF r = plot();
  double low = 1, high = 0, longest = 0;
  for (const auto& trial : advice_.curve) {
    low = std::min(low, trial.share);
    high = std::max(high, trial.share);
    longest = std::max(longest, trial.cost.seconds);
  }
  // Room below the lowest, so that small differences do not look like large ones.
  low = std::max(0.0, std::min(low - 0.02, high - 0.1));
  auto x = [&](double degrees) { return r.left() + r.width() * degrees / span(); };
  auto share_y = [&](double share) { return r.bottom() - r.height() * (share - low) / std::max(high - low, 1e-9); };
  auto time_y = [&](double seconds) { return r.bottom() - r.height() * 0.92 * seconds / std::max(longest, 1e-9); };
  // A field of columns: one faint rule every 45 degrees.
  for (double d = 0; d <= span() + 1e-9; d += 45) {
    p.setPen(QPen(t.hairline, 1));
    p.drawLine(QPointF(x(d), r.top()), QPointF(x(d), r.bottom()));
    p.setPen(t.quiet);
    const QString text = QLocale().toString(d, 'f', 0) + QStringLiteral("°");
    const auto align = d == 0 ? Qt::AlignLeft : d >= span() ? Qt::AlignRight : Qt::AlignHCenter;
    p.drawText(QRectF(x(d) - 30 + (d == 0 ? 30 : d >= span() ? -30 : 0), r.bottom() + 2, 60, 14), align, text);
  }
  // Minutes dashed, coverage solid: told apart without their colours.
  QPolygonF time, share;
  for (std::size_t i = 0; i <= advice_.curve.size(); ++i) {  // the last one is the first again
    const auto& trial = advice_.curve[i % advice_.curve.size()];
    const double at = x(static_cast<double>(i) * step());
    time.append(QPointF(at, time_y(trial.cost.seconds)));
    share.append(QPointF(at, share_y(trial.share)));
  }
  p.setPen(QPen(t.hands, 1.4, Qt::DashLine));
  p.drawPolyline(time);
  p.setPen(QPen(t.accent, 1.8));
  p.drawPolyline(share);
  // Angles that leave shapes empty.
  for (const auto& trial : advice_.curve) {
    if (trial.unfilled == advice_.curve[advice_.best].unfilled) continue;
    p.setPen(Qt::NoPen);
    p.setBrush(t.serious);
    p.drawRect(QRectF(x(trial.options.angle) - 1.5, r.bottom() - 3, 3, 3));
  }
  const double today = std::fmod(std::fmod(angle_, span()) + span(), span());
  p.setPen(QPen(t.ink, 1.2));
  p.drawLine(QPointF(x(today), r.top() - 3), QPointF(x(today), r.bottom()));
  const auto& best = advice_.curve[advice_.best];
  p.setPen(QPen(t.panel, 1.2));
  p.setBrush(t.accent);
  p.drawEllipse(QPointF(x(best.options.angle), share_y(best.share)), 4.5, 4.5);
  // What is pointed at, else today.
  const std::size_t said = pointed_ >= 0 ? static_cast<std::size_t>(pointed_) : nearest(x(today));
  const auto& trial = advice_.curve[said];
  if (pointed_ >= 0) {
    p.setPen(QPen(t.quiet, 1, Qt::DotLine));
    p.drawLine(QPointF(x(trial.options.angle), r.top()), QPointF(x(trial.options.angle), r.bottom()));
  }
  p.setPen(t.ink);
  p.setFont(ui_font(11, true));
  const QString head = (pointed_ >= 0 ? tr("at %1°") : tr("now, about %1°")).arg(trial.options.angle);
  p.drawText(QRectF(2, 0, width() - 4, 15), Qt::AlignLeft, head);
  p.setFont(ui_font(11));
  p.setPen(t.accent);
  p.drawText(QRectF(2, 15, width() / 2.0, 15), Qt::AlignLeft, tr("— %1 covered").arg(percent(trial.share)));
  p.setPen(t.hands.darker(t.dark ? 100 : 125));
  p.drawText(QRectF(width() / 2.0, 15, width() / 2.0 - 2, 15), Qt::AlignRight,
             tr("- - %1").arg(time_text(trial.cost.seconds)));
  p.setPen(t.quiet);
  p.drawText(QRectF(width() / 2.0 - 20, 0, width() / 2.0 + 18, 15), Qt::AlignRight,
             trial.unfilled > 0 ? tr("%1 empty").arg(counted(trial.unfilled, tr("shape"), tr("shapes")))
                                : counted(trial.cost.lifts, tr("lift"), tr("lifts")));
}

void AngleCurve::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton || advice_.curve.size() < 2) return;
  emit picked(advice_.curve[nearest(event->position().x())].options.angle);
}

void AngleCurve::mouseMoveEvent(QMouseEvent* event) {
  if (advice_.curve.size() < 2) return;
  pointed_ = static_cast<int>(nearest(event->position().x()));
  update();
}

void AngleCurve::leaveEvent(QEvent*) {
  pointed_ = -1;
  update();
}

}  // namespace dotlane
