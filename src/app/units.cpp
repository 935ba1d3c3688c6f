#include "app/units.hpp"

#include <QCoreApplication>
#include <QLocale>
#include <cmath>

#include "core/plan/plan.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"
#include "words/language.hpp"

namespace dotlane {
namespace {

int parts_of_inch = 0;

}  // namespace

void set_inch_parts(int parts) { parts_of_inch = parts; }
int inch_parts() { return parts_of_inch; }

QString worded(std::string_view english) { return qs(in_words(std::string(english))); }

QString length_number(double mm, LengthUnit unit, int decimals) {
  const bool inch = unit == LengthUnit::inch;
  if (inch && parts_of_inch > 0) return qs(as_fraction(mm / kMmPerInch, parts_of_inch));
  if (inch) decimals += 2;
  const double value = inch ? mm / kMmPerInch : mm;
  // A hair below nothing is nothing, not "-0.0".
  return QLocale().toString(std::abs(value) < 0.5 * std::pow(10.0, -decimals) ? 0.0 : value, 'f', decimals);
}

QString unit_word(LengthUnit unit) { return unit == LengthUnit::inch ? QObject::tr("in") : QObject::tr("mm"); }

QString length_text(double mm, LengthUnit unit) { return length_number(mm, unit) + QChar(0xA0) + unit_word(unit); }

QString speed_text(double mm_s, LengthUnit unit) {
  return unit == LengthUnit::inch ? QLocale().toString(mm_s / kMmPerInch, 'f', 1) + QObject::tr(" in/s")
                                  : QLocale().toString(mm_s, 'f', 0) + QObject::tr(" mm/s");
}

QString size_text(const Box& box, LengthUnit unit) {
  return length_number(box.width(), unit) + QStringLiteral(" × ") + length_number(box.height(), unit);
}

QString run_length_text(double mm, LengthUnit unit) {
  if (unit == LengthUnit::inch) {
    return mm < 12 * kMmPerInch ? QLocale().toString(mm / kMmPerInch, 'f', 1) + QObject::tr(" in")
                                : QLocale().toString(mm / kMmPerInch / 12, 'f', 1) + QObject::tr(" ft");
  }
  return mm < 1000 ? QLocale().toString(mm, 'f', 0) + QObject::tr(" mm")
                   : QLocale().toString(mm / 1000, 'f', 1) + QObject::tr(" m");
}

QString time_text(double seconds) {
  if (seconds < 59.5) return QLocale().toString(static_cast<int>(std::lround(seconds))) + QObject::tr(" s");
  if (seconds < 600) return QLocale().toString(seconds / 60, 'f', 1) + QObject::tr(" min");
  const int minutes = static_cast<int>(std::lround(seconds / 60));
  if (minutes < 60) return QLocale().toString(minutes) + QObject::tr(" min");
  return QLocale().toString(minutes / 60) + QObject::tr(" h ") + QLocale().toString(minutes % 60) + QObject::tr(" min");
}

QString span_text(double seconds, double spread) {
  const QString from = time_text(seconds - spread), to = time_text(seconds + spread);
  if (from == to) return time_text(seconds);
  // The unit once where it is the same.
  const QChar space = QLatin1Char(' ');
  const bool alike = from.count(space) == 1 && to.count(space) == 1 && from.section(space, 1) == to.section(space, 1);
  return QObject::tr("%1 to %2").arg(alike ? from.section(space, 0, 0) : from, to);
}

QString counted(std::size_t n, const QString& one, const QString& many) {
  return QLocale().toString(static_cast<qulonglong>(n)) + QChar(0xA0) + (n == 1 ? one : many);
}

namespace {

/// As the core reads it: with a point for the decimals.
std::string with_point(QString text) {
  const QString decimal = QLocale().decimalPoint();
  if (decimal != QStringLiteral(".")) text.replace(decimal, QStringLiteral("."));
  return text.toStdString();
}

QString hint_of(const TypedNumber& typed) {
  switch (typed.fault) {
    case TypedFault::none:
    case TypedFault::empty:
      return {};
    case TypedFault::number_expected:
      return typed.word.empty() ? QObject::tr("A number is missing at the end.")
                                : QObject::tr("A number is expected instead of “%1”.").arg(qs(typed.word));
    case TypedFault::unknown_unit:
      return QObject::tr("“%1” is no unit here; for lengths there are mm, cm, m, in, \", ft, ' and pt.")
          .arg(qs(typed.word));
    case TypedFault::length_twice:
      return QObject::tr("A length can be multiplied or divided by plain numbers only.");
    case TypedFault::by_zero:
      return QObject::tr("Nothing can be divided by 0.");
    case TypedFault::bracket:
      return QObject::tr("A bracket is open, or closed too often.");
    case TypedFault::too_large:
      break;
  }
  return QObject::tr("That is too large.");
}

}  // namespace

std::optional<double> parse_length(const QString& text, LengthUnit unit, QString* hint) {
  QString plain = text.trimmed();
  if (const auto per = plain.indexOf(QStringLiteral("/s")); per >= 0) plain.truncate(per);
  const double unit_mm = unit == LengthUnit::inch ? kMmPerInch : 1;
  bool ok = false;
  if (const double grouped = QLocale().toDouble(plain, &ok); ok) return grouped * unit_mm;  // "2,500", as it is shown
  const TypedNumber typed = typed_length(with_point(plain), unit_mm);
  if (hint) *hint = hint_of(typed);
  return typed.ok() ? std::optional(typed.value) : std::nullopt;
}

std::optional<double> parse_number(const QString& text, const QString& unit, QString* hint) {
  bool ok = false;
  if (const double grouped = QLocale().toDouble(text.trimmed(), &ok); ok) return grouped;
  const TypedNumber typed = typed_number(with_point(text), unit.toStdString());
  if (hint) *hint = hint_of(typed);
  return typed.ok() ? std::optional(typed.value) : std::nullopt;
}

QString role_name(Role role) {
  switch (role) {
    case Role::cut:
      return QObject::tr("cut");
    case Role::score:
      return QObject::tr("score");
    case Role::draw:
      return QObject::tr("draw");
    case Role::foil:
      return QObject::tr("foil");
    case Role::engrave:
      return QObject::tr("engrave");
    case Role::emboss:
      return QObject::tr("emboss");
    case Role::print:
      return QObject::tr("print");
    default:
      return QObject::tr("guide");
  }
}

QString role_name(const Pass& pass) { return pass.numbers ? QObject::tr("numbers") : role_name(pass.role); }

QString tool_name(const Project& project, const std::string& id) {
  if (id.empty()) return QObject::tr("nothing");
  const Tool* tool = find_tool(project, id);
  return qs(tool ? tool->name : id);
}

}  // namespace dotlane
