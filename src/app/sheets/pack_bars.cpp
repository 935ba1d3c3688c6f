#include "app/sheets/pack_bars.hpp"

#include <QLocale>
#include <QPainter>
#include <algorithm>

#include "app/style.hpp"

namespace dotlane {

namespace {
constexpr std::size_t kMostBars = 6;
}

void PackBars::show(std::vector<Answer> answers) {
  if (answers.size() > kMostBars) answers.erase(answers.begin(), answers.end() - kMostBars);
  answers_ = std::move(answers);
  update();
}

void PackBars::paintEvent(QPaintEvent*) {
  if (answers_.empty()) return;
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  // What the answers use up: sheets by how well they are filled, so that a better filled last sheet shows too.
  double most = 0;
  const auto cost = [](const Answer& a) { return static_cast<double>(a.sheets) * (2 - a.density); };
  for (const auto& a : answers_) most = std::max(most, cost(a));
  const double step = (width() - 74.0) / static_cast<double>(kMostBars), room = height() - 22;
  p.setFont(ui_font(11));
  for (std::size_t i = 0; i < answers_.size(); ++i) {
    const bool best = i + 1 == answers_.size();
    const double high = most > 0 ? room * cost(answers_[i]) / most : 0;
    const QRectF bar(step * static_cast<double>(i), room - high, step - 7, high);
    p.setPen(Qt::NoPen);
    p.setBrush(best ? t.accent : t.accent_soft);
    p.drawRoundedRect(bar, 3, 3);
    p.setFont(ui_font(11, best));
    p.setPen(best ? t.accent : t.quiet);
    p.drawText(QRectF(bar.left() - 4, room + 3, bar.width() + 8, 18), Qt::AlignCenter,
               QLocale().toString(static_cast<qulonglong>(answers_[i].sheets)));
  }
  p.setFont(ui_font(16, true));
  p.setPen(t.ink);
  p.drawText(QRectF(width() - 72, 20, 72, 24), Qt::AlignRight | Qt::AlignVCenter,
             QLocale().toString(100 * answers_.back().density, 'f', 0) + QStringLiteral(" %"));
  p.setFont(ui_font(12));
  p.setPen(t.quiet);
  p.drawText(QRectF(width() - 72, 42, 72, 18), Qt::AlignRight | Qt::AlignVCenter, tr("filled"));
}

}  // namespace dotlane
