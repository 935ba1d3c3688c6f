#include "app/panels/line_figures.hpp"

#include <QLocale>

#include "app/style.hpp"
#include "app/units.hpp"
#include "core/place/tape.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

QString area_text(double mm2, LengthUnit unit) {
  return unit == LengthUnit::inch
             ? QLocale().toString(mm2 / (kMmPerInch * kMmPerInch), 'f', 2) + QChar(0xA0) + QStringLiteral("in²")
             : QLocale().toString(mm2, 'f', mm2 < 100 ? 1 : 0) + QChar(0xA0) + QStringLiteral("mm²");
}

}  // namespace

LineFigureLabel::LineFigureLabel(Session& session, QWidget* parent) : QLabel(parent), session_(session) {
  setObjectName(QStringLiteral("lineFigures"));
  set_kind(this, "quiet");
  setWordWrap(true);
  hide();
}

void LineFigureLabel::show(const LineRef& line) {
  std::shared_ptr<const DrawnPiece> piece;
  for (const auto& drawn : session_.drawing().pieces) {
    if (!line.line.empty() && drawn->piece->id == line.piece) piece = drawn;
  }
  const LengthUnit unit = session_.project().unit;
  if (piece == of_ && line.line == line_ && unit == unit_ && parts_ == inch_parts()) return;
  of_ = piece, line_ = line.line, unit_ = unit, parts_ = inch_parts();
  setVisible(piece != nullptr);
  const int asked = ++asked_;
  if (!piece) return;
  std::size_t at = 0;
  while (at < piece->piece->lines.size() && piece->piece->lines[at].id != line.line) ++at;
  if (at == piece->piece->lines.size()) return setVisible(false);
  setText(tr("measuring…"));
  session_.aside([this, piece, at, unit, asked] {
    const LineFigures figures = figures_of(*piece, at);
    const auto thin = figures.closed ? thinnest_of(*piece, at) : std::nullopt;
    return [this, figures, thin, unit, asked] {
      if (asked != asked_) return;
      QStringList parts{tr("%1 long").arg(length_text(figures.length_mm, unit))};
      if (figures.closed) parts << tr("encloses %1").arg(area_text(figures.area_mm2, unit));
      if (thin) parts << tr("thinnest %1").arg(length_text(thin->width_mm, unit));
      setText(parts.join(QStringLiteral("  ·  ")));
    };
  });
}

}  // namespace dotlane
