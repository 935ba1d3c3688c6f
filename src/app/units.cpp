#include "app/units.hpp"

#include <QCoreApplication>
#include <QLocale>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

QString tr(const char* text) { return QCoreApplication::translate("units", text); }

}  // namespace

QString length_number(double mm, LengthUnit unit, int decimals) {
  const bool inch = unit == LengthUnit::inch;
  if (inch) decimals += 2;
  const double value = inch ? mm / kMmPerInch : mm;
  // A hair below nothing is nothing, not "-0.0".
  return QLocale().toString(std::abs(value) < 0.5 * std::pow(10.0, -decimals) ? 0.0 : value, 'f', decimals);
}

QString unit_word(LengthUnit unit) { return unit == LengthUnit::inch ? tr("in") : tr("mm"); }

QString length_text(double mm, LengthUnit unit) { return length_number(mm, unit) + QChar(0xA0) + unit_word(unit); }

QString speed_text(double mm_s, LengthUnit unit) {
  return unit == LengthUnit::inch ? QLocale().toString(mm_s / kMmPerInch, 'f', 1) + tr(" in/s")
                                  : QLocale().toString(mm_s, 'f', 0) + tr(" mm/s");
}

QString size_text(const Box& box, LengthUnit unit) {
  return length_number(box.width(), unit) + QStringLiteral(" × ") + length_number(box.height(), unit);
}

QString run_length_text(double mm, LengthUnit unit) {
  if (unit == LengthUnit::inch) {
    return mm < 12 * kMmPerInch ? QLocale().toString(mm / kMmPerInch, 'f', 1) + tr(" in")
                                : QLocale().toString(mm / kMmPerInch / 12, 'f', 1) + tr(" ft");
  }
  return mm < 1000 ? QLocale().toString(mm, 'f', 0) + tr(" mm") : QLocale().toString(mm / 1000, 'f', 1) + tr(" m");
}

QString time_text(double seconds) {
  if (seconds < 59.5) return QLocale().toString(static_cast<int>(std::lround(seconds))) + tr(" s");
  if (seconds < 600) return QLocale().toString(seconds / 60, 'f', 1) + tr(" min");
  const int minutes = static_cast<int>(std::lround(seconds / 60));
  if (minutes < 60) return QLocale().toString(minutes) + tr(" min");
  return QLocale().toString(minutes / 60) + tr(" h ") + QLocale().toString(minutes % 60) + tr(" min");
}

QString counted(std::size_t n, const QString& one, const QString& many) {
  return QLocale().toString(static_cast<qulonglong>(n)) + QChar(0xA0) + (n == 1 ? one : many);
}

std::optional<double> parse_length(const QString& text, LengthUnit unit) {
  QString plain = text.trimmed();
  if (const auto per = plain.indexOf(QChar('/')); per >= 0 && plain.mid(per).startsWith(QStringLiteral("/s")))
    plain.truncate(per);
  bool ok = false;
  if (const double grouped = QLocale().toDouble(plain, &ok); ok)  // "2,500", as it is shown
    return unit == LengthUnit::inch ? grouped * kMmPerInch : grouped;
  const QString decimal = QLocale().decimalPoint();
  if (decimal != QStringLiteral(".")) plain.replace(decimal, QStringLiteral("."));
  const auto bare = to_number(plain.toStdString());
  if (bare) return unit == LengthUnit::inch ? *bare * kMmPerInch : *bare;
  return length_mm_from(plain.toStdString());
}

QString role_name(Role role) {
  switch (role) {
    case Role::cut:
      return tr("cut");
    case Role::score:
      return tr("score");
    case Role::draw:
      return tr("draw");
    case Role::foil:
      return tr("foil");
    case Role::engrave:
      return tr("engrave");
    case Role::print:
      return tr("print");
    default:
      return tr("guide");
  }
}

QString tool_name(const Project& project, const std::string& id) {
  if (id.empty()) return tr("nothing");
  const Tool* tool = find_tool(project, id);
  return qs(tool ? tool->name : id);
}

}  // namespace dotlane
