#include "app/log/force_curve_view.hpp"

#include <QHelpEvent>
#include <QLocale>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>

#include "app/log/came_out.hpp"
#include "app/style.hpp"

namespace dotlane {
namespace {

constexpr int kCurveHigh = 132;
constexpr double kStrip = 15;  // below the curves, for the passes
constexpr double kSameDepth = 0.5;

QString share_text(double share) { return QLocale().toString(100 * share, 'f', 0); }

}  // namespace

ForceCurveView::ForceCurveView(QWidget* parent) : QWidget(parent) {
  setObjectName(QStringLiteral("forceCurve"));
  setFixedHeight(kCurveHigh);
  setCursor(Qt::PointingHandCursor);
  setMouseTracking(true);
}

void ForceCurveView::show(ForceCurve curve, double force_gf, double depth) {
  curve_ = std::move(curve);
  depth_ = depth;
  setForce(force_gf);
  QWidget::show();
}

void ForceCurveView::setForce(double force_gf) {
  force_ = force_gf;
  const auto now = std::min_element(curve_.along.begin(), curve_.along.end(), [&](const auto& a, const auto& b) {
    return std::abs(a.force_gf - force_) < std::abs(b.force_gf - force_);
  });
  if (now != curve_.along.end())
    setAccessibleName(
        tr("With %1 gf it cuts through with %2 % and cuts the mat with %3 %")
            .arg(QLocale().toString(force_, 'f', 0), share_text(now->through), share_text(now->into_mat())));
  update();
}

QRectF ForceCurveView::plot() const { return QRectF(rect()).adjusted(40, 8, -6, -(kStrip + 18)); }

double ForceCurveView::most() const { return curve_.along.empty() ? 1 : curve_.along.back().force_gf; }

double ForceCurveView::xOf(double force) const { return plot().left() + plot().width() * force / most(); }

double ForceCurveView::forceAt(double x) const {
  constexpr double kStep = 5;
  const double force = most() * (x - plot().left()) / plot().width();
  return std::clamp(std::round(force / kStep) * kStep, kStep, std::floor(most() / kStep) * kStep);
}

void ForceCurveView::paintEvent(QPaintEvent*) {
  if (curve_.along.empty()) return;
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  const QRectF room = plot();
  const auto y_of = [&](double share) { return room.bottom() - room.height() * std::clamp(share, 0.0, 1.0); };
  p.setFont(ui_font(10.5));
  for (const double share : {0.0, 0.5, 1.0}) {
    p.setPen(QPen(t.hairline, 1));
    p.drawLine(QPointF(room.left(), y_of(share)), QPointF(room.right(), y_of(share)));
    p.setPen(t.quiet);
    p.drawText(QRectF(0, y_of(share) - 8, room.left() - 4, 16), Qt::AlignRight | Qt::AlignVCenter,
               share == 1.0 ? tr("100 %") : QLocale().toString(100 * share, 'f', 0));
  }
  const auto draw = [&](const auto& share, const auto& spread, const QColor& color, Qt::PenStyle style) {
    QPainterPath line, band;
    const std::size_t n = curve_.along.size();
    for (std::size_t i = 0; i < n; ++i) {
      const auto& s = curve_.along[i];
      const QPointF at(xOf(s.force_gf), y_of(share(s)));
      const QPointF high(at.x(), y_of(share(s) + spread(s)));
      i == 0 ? line.moveTo(at) : line.lineTo(at);
      i == 0 ? band.moveTo(high) : band.lineTo(high);
    }
    for (std::size_t i = n; i-- > 0;) {
      const auto& s = curve_.along[i];
      band.lineTo(xOf(s.force_gf), y_of(share(s) - spread(s)));
    }
    QColor shade = color;
    shade.setAlphaF(0.16F);
    p.fillPath(band, shade);
    p.strokePath(line, QPen(color, 1.8, style));
  };
  using Foretold = CutModel::Setting;
  draw([](const Foretold& s) { return s.through; }, [](const Foretold& s) { return s.through_spread; }, t.accent,
       Qt::SolidLine);
  draw([](const Foretold& s) { return s.into_mat(); }, [](const Foretold& s) { return s.mat_spread; }, t.serious,
       Qt::DashLine);
  // What is set now.
  p.setPen(QPen(t.ink, 1.2));
  p.drawLine(QPointF(xOf(force_), room.top()), QPointF(xOf(force_), room.bottom() + kStrip));
  for (const auto& tried : curve_.tried) {
    p.setOpacity(depth_ <= 0 || std::abs(tried.depth - depth_) < kSameDepth ? 1 : 0.3);
    paint_came_out(p, {xOf(std::min(tried.force_gf, most())), room.bottom() + kStrip / 2 + 2}, tried.out, 4);
  }
  p.setOpacity(1);
  p.setPen(t.quiet);
  const double tick = most() > 250 ? 100 : most() > 120 ? 50 : 25;
  for (double force = 0; force <= most(); force += tick) {
    const bool unit = force + tick > most();
    p.drawText(QRectF(xOf(force) - 30, height() - 16, 60, 14), Qt::AlignCenter,
               unit ? tr("%1 gf").arg(QLocale().toString(force, 'f', 0)) : QLocale().toString(force, 'f', 0));
  }
}

void ForceCurveView::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton && !curve_.along.empty()) emit picked(forceAt(event->position().x()));
}

bool ForceCurveView::event(QEvent* event) {
  if (event->type() != QEvent::ToolTip || curve_.along.empty()) return QWidget::event(event);
  const auto* help = static_cast<QHelpEvent*>(event);
  const double force = forceAt(help->pos().x());
  const auto at = std::min_element(curve_.along.begin(), curve_.along.end(), [&](const auto& a, const auto& b) {
    return std::abs(a.force_gf - force) < std::abs(b.force_gf - force);
  });
  QToolTip::showText(help->globalPos(),
                     tr("%1 gf: through with %2 %, into the mat with %3 %; click to set it")
                         .arg(QLocale().toString(force, 'f', 0), share_text(at->through), share_text(at->into_mat())),
                     this);
  return true;
}

}  // namespace dotlane
