#include "app/figure/size_chart.hpp"

#include <QLocale>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

/// A round step of an axis so that it has about so many.
double round_step(double span, int steps) {
  const double rough = span / steps, ten = std::pow(10, std::floor(std::log10(rough)));
  for (const double nice : {1.0, 2.0, 5.0}) {
    if (rough <= nice * ten) return nice * ten;
  }
  return 10 * ten;
}

}  // namespace

SizeChart::SizeChart(QWidget* parent) : QWidget(parent) {
  setMinimumHeight(210);
  setMouseTracking(true);
  setObjectName(QStringLiteral("sizeChart"));
  setAccessibleName(tr("Sheets of each stock against the height of the figure"));
  setToolTip(tr("Click a size to choose it"));
}

void SizeChart::show(const Project& project, std::vector<SizePoint> points, double most, double height_mm) {
  project_ = project, points_ = std::move(points), most_ = most, height_mm_ = height_mm;
  update();
}

void SizeChart::choose(double scale) {
  chosen_ = scale;
  update();
}

QRectF SizeChart::plot() const { return QRectF(rect()).adjusted(34, 36, -14, -40); }

double SizeChart::x(double scale) const {
  const QRectF r = plot();
  return r.left() + r.width() * scale / (std::max(most_, 1.0) * 1.04);
}

double SizeChart::scaleAt(double px) const {
  const QRectF r = plot();
  return std::clamp((px - r.left()) / r.width() * std::max(most_, 1.0) * 1.04, 0.02 * most_, most_);
}

void SizeChart::paintEvent(QPaintEvent*) {
  const Theme& t = theme();
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.setFont(ui_font(11));
  const QRectF r = plot();
  std::size_t top = 1;
  for (const auto& point : points_) {
    for (const auto& [stock, n] : point.sheets) top = std::max(top, n);
  }
  const auto y = [&](double sheets) { return r.bottom() - r.height() * sheets / (static_cast<double>(top) + 0.35); };
  // Rules: whole sheets across, round heights up.
  const auto every = std::max<std::size_t>(1, (top + 5) / 6);
  for (std::size_t n = 0; n <= top; n += every) {
    p.setPen(QPen(t.hairline, 1));
    p.drawLine(QPointF(r.left(), y(static_cast<double>(n))), QPointF(r.right(), y(static_cast<double>(n))));
    p.setPen(t.quiet);
    p.drawText(QRectF(0, y(static_cast<double>(n)) - 8, 26, 16), Qt::AlignRight | Qt::AlignVCenter,
               QLocale().toString(static_cast<qulonglong>(n)));
  }
  p.setPen(t.quiet);
  p.drawText(QRectF(2, 0, 160, 14), Qt::AlignLeft, tr("sheets"));
  const LengthUnit unit = project_.unit;
  const double per_unit = unit == LengthUnit::inch ? 25.4 : 1;
  const double whole = height_mm_ * std::max(most_, 1.0) * 1.04 / per_unit;
  if (whole > 0) {
    const double step = round_step(whole, 6);
    for (double v = 0; v <= whole; v += step) {
      const double px = x(v * per_unit / height_mm_);
      p.setPen(QPen(t.hairline, 1));
      p.drawLine(QPointF(px, r.bottom()), QPointF(px, r.bottom() + 4));
      p.setPen(t.quiet);
      p.drawText(QRectF(px - 40, r.bottom() + 5, 80, 16), Qt::AlignHCenter,
                 QLocale().toString(v, 'f', step < 1 ? 1 : 0));
    }
    p.drawText(QRectF(r.right() - 150, r.bottom() + 22, 150, 14), Qt::AlignRight,
               tr("height, %1").arg(unit_word(unit)));
  }
  // A staircase for each stock, in its own colour; those that run together lie a little beside each other.
  const std::size_t stocks = points_.empty() ? 0 : points_.front().sheets.size();
  for (std::size_t s = 0; s < stocks; ++s) {
    const double off = (static_cast<double>(s) - static_cast<double>(stocks - 1) / 2) * 3;
    QPolygonF line;
    double from = points_.front().scale;
    std::string id;
    for (const auto& point : points_) {
      const auto it = std::next(point.sheets.begin(), static_cast<std::ptrdiff_t>(s));
      id = it->first;
      const double h = y(static_cast<double>(it->second)) + off;
      line << QPointF(x(from), h) << QPointF(x(point.scale), h);
      from = point.scale;
    }
    const Stock* stock = find_stock(project_, id);
    const QColor color = stock ? to_qcolor(stock->color) : t.ink;
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(t.ink, 3.6, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
    p.drawPolyline(line);
    p.setPen(QPen(color, 2.2, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
    p.drawPolyline(line);
  }
  // Where it stands today, and the largest: to the side that has room.
  const auto mark = [&](double scale, const QString& text, double above, Qt::PenStyle style) {
    p.setPen(QPen(t.ink, 1.2, style));
    p.drawLine(QPointF(x(scale), r.top() - 4), QPointF(x(scale), r.bottom()));
    p.setPen(t.ink);
    const bool left = x(scale) > r.center().x();
    p.drawText(QRectF(left ? x(scale) - 164 : x(scale) + 4, r.top() - above, 160, 14),
               left ? Qt::AlignRight : Qt::AlignLeft, text);
  };
  if (height_mm_ > 0) mark(1, tr("today %1").arg(length_text(height_mm_, unit)), 18, Qt::SolidLine);
  if (most_ > 0 && std::abs(x(most_) - x(1)) > 3)
    mark(most_, tr("largest %1").arg(length_text(height_mm_ * most_, unit)), 32, Qt::DashLine);
  const double shown = pointed_ > 0 ? pointed_ : chosen_;
  if (shown > 0) {
    p.setPen(QPen(t.accent, 1.6));
    p.drawLine(QPointF(x(shown), r.top()), QPointF(x(shown), r.bottom()));
  }
}

void SizeChart::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton && most_ > 0) emit picked(scaleAt(event->position().x()));
}

void SizeChart::mouseMoveEvent(QMouseEvent* event) {
  pointed_ = most_ > 0 ? scaleAt(event->position().x()) : 0;
  update();
}

void SizeChart::leaveEvent(QEvent*) {
  pointed_ = 0;
  update();
}

}  // namespace dotlane
