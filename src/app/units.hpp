// Lengths and times as people read and type them, in the project's unit and the user's locale.
#pragma once

#include <QString>
#include <optional>

#include "core/project/project.hpp"

namespace dotlane {

struct Pass;  // core/plan/plan.hpp

/// "36.0" or "1.417": the number alone, for fields with the unit beside them. Inches get two decimals more.
[[nodiscard]] QString length_number(double mm, LengthUnit unit, int decimals = 1);
/// How inches are shown: with decimals (0), or as fractions with so many parts, "5 1/2".
void set_inch_parts(int parts);
[[nodiscard]] int inch_parts();
/// "mm" or "in".
[[nodiscard]] QString unit_word(LengthUnit unit);
/// "36.0 mm".
[[nodiscard]] QString length_text(double mm, LengthUnit unit);
/// "60 mm/s" or "2.4 in/s".
[[nodiscard]] QString speed_text(double mm_s, LengthUnit unit);
/// "36.0 × 92.5".
[[nodiscard]] QString size_text(const Box& box, LengthUnit unit);
/// Long lengths: "1.9 m" or "6.2 ft".
[[nodiscard]] QString run_length_text(double mm, LengthUnit unit);
/// "48 s", "3.5 min", "1 h 12 min".
[[nodiscard]] QString time_text(double seconds);
/// Give or take so many seconds: "14 to 16 min".
[[nodiscard]] QString span_text(double seconds, double spread);
/// "1 piece" or "5 pieces": the number in the user's locale before the word that fits it.
[[nodiscard]] QString counted(std::size_t n, const QString& one, const QString& many);
/// What was typed, in mm: a number, fraction or sum in the project's unit or others (see core/typed_number.hpp), "/s"
/// may follow. `hint` hears what is wrong with it.
[[nodiscard]] std::optional<double> parse_length(const QString& text, LengthUnit unit, QString* hint = nullptr);
/// The same for numbers that are no lengths.
[[nodiscard]] std::optional<double> parse_number(const QString& text, const QString& unit, QString* hint = nullptr);

[[nodiscard]] inline QString qs(const std::string& s) { return QString::fromStdString(s); }
[[nodiscard]] inline QString qs(std::string_view s) {
  return QString::fromUtf8(s.data(), static_cast<qsizetype>(s.size()));
}
/// A label or help text of the core's in the user's language.
[[nodiscard]] QString worded(std::string_view english);

/// The role's word in the user's language, and the name of a tool.
[[nodiscard]] QString role_name(Role role);
/// The same of a pass, or that it writes the numbers of parts.
[[nodiscard]] QString role_name(const Pass& pass);
[[nodiscard]] QString tool_name(const Project& project, const std::string& id);

}  // namespace dotlane
