#include "app/bench/rulers.hpp"

#include <QLocale>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {

double ruler_step(double px_per_unit, double min_px, bool inch) {
  static constexpr double inches[] = {0.0625, 0.125, 0.25, 0.5, 1, 2, 3, 6, 12, 24, 48, 96};
  if (inch) {
    for (const double step : inches) {
      if (step * px_per_unit >= min_px) return step;
    }
  }
  double step = 0.1;
  for (;;) {
    for (const double k : {1.0, 2.0, 2.5, 5.0}) {
      if (k == 2.5 && step < 10) continue;
      if (step * k * px_per_unit >= min_px) return step * k;
    }
    step *= 10;
  }
}

void paint_rulers(QPainter& p, const QRectF& area, const View& view, LengthUnit unit, const Box& marked,
                  const Theme& theme) {
  const bool inch = unit == LengthUnit::inch;
  const double mm = inch ? kMmPerInch : 1;
  const double px = view.px_per_mm * mm;
  const double step = ruler_step(px, 60, inch);
  const int parts = inch ? 4 : 5;
  p.save();
  p.setRenderHint(QPainter::Antialiasing, false);
  p.fillRect(QRectF(area.left(), area.top(), area.width(), kRulerHeight), theme.ground);
  p.fillRect(QRectF(area.left(), area.top(), kRulerWidth, area.height()), theme.ground);
  if (!marked.empty()) {
    const QRectF r = view.to_px(marked);
    p.setClipRect(area.adjusted(kRulerWidth, kRulerHeight, 0, 0)
                      .united(QRectF(area.left() + kRulerWidth, area.top(), area.width(), kRulerHeight)));
    p.fillRect(QRectF(r.left(), area.top(), r.width(), kRulerHeight), theme.accent_soft);
    p.setClipRect(QRectF(area.left(), area.top() + kRulerHeight, kRulerWidth, area.height()));
    p.fillRect(QRectF(area.left(), r.top(), kRulerWidth, r.height()), theme.accent_soft);
    p.setClipping(false);
  }
  p.setFont(ui_font(10));
  QColor tick = theme.quiet;
  tick.setAlpha(150);
  auto label = [](double v) { return QLocale().toString(v, 'g', 6); };
  const double x_from = std::floor(view.to_mm({kRulerWidth, 0}).x / mm / step) * step;
  for (int i = 0;; ++i) {
    const double v = x_from + i * step / parts;
    const double x = view.to_px(Vec{v * mm, 0}).x();
    if (x > area.right()) break;
    if (x < area.left() + kRulerWidth) continue;
    const bool major = i % parts == 0;
    p.setPen(tick);
    p.drawLine(QPointF(x, area.top() + kRulerHeight - (major ? 9 : 5)), QPointF(x, area.top() + kRulerHeight - 1));
    if (major) {
      p.setPen(theme.quiet);
      p.drawText(QRectF(x + 3, area.top(), 60, 14), Qt::AlignLeft | Qt::AlignVCenter, label(v));
    }
  }
  const double y_from = std::floor(view.to_mm({0, kRulerHeight}).y / mm / step) * step;
  for (int i = 0;; ++i) {
    const double v = y_from + i * step / parts;
    const double y = view.to_px(Vec{0, v * mm}).y();
    if (y > area.bottom()) break;
    if (y < area.top() + kRulerHeight) continue;
    const bool major = i % parts == 0;
    p.setPen(tick);
    p.drawLine(QPointF(area.left() + kRulerWidth - (major ? 9 : 5), y), QPointF(area.left() + kRulerWidth - 1, y));
    if (major) {
      p.setPen(theme.quiet);
      p.drawText(QRectF(area.left(), y + 1, kRulerWidth - 2, 13), Qt::AlignRight | Qt::AlignVCenter, label(v));
    }
  }
  p.fillRect(QRectF(area.left(), area.top(), kRulerWidth, kRulerHeight), theme.ground);
  p.setPen(theme.quiet);
  p.drawText(QRectF(area.left(), area.top(), kRulerWidth, kRulerHeight), Qt::AlignCenter,
             inch ? QStringLiteral("in") : QStringLiteral("mm"));
  p.restore();
}

}  // namespace dotlane
