#include "app/help/help_pages.hpp"

#include <QCoreApplication>
#include <QHash>
#include <QLocale>
#include <QRegularExpression>

#include "app/preferences/preferences.hpp"
#include "app/units.hpp"
#include "core/check/run_checks.hpp"
#include "core/format/files.hpp"
#include "core/places.hpp"
#include "core/project/bounds.hpp"
#include "core/project/kinds.hpp"
#include "core/project/presets.hpp"
#include "words/language.hpp"

namespace dotlane {
namespace {

constexpr const char* kPages[] = {"start", "draft", "recipe", "lettering", "fills",    "sheets",   "passes",
                                  "run",   "make",  "log",    "checks",    "practice", "projects", "cautions"};

QString page_text(const std::string& id) {
  for (const std::string& folder : {language().code, std::string("en")}) {
    if (const auto text = read_file(shipped("help/" + folder + "/" + id + ".md"))) return qs(*text);
  }
  return {};
}

QString standard_of(const ValueSpec& spec) {
  if (const auto* number = std::get_if<double>(&spec.standard)) {
    if (*number == 0 && !spec.zero.empty()) return worded(spec.zero);
    switch (spec.type) {
      case ValueType::length:
        return qs(number_text(*number, 2)) + QStringLiteral(" mm");
      case ValueType::area:
        return qs(number_text(*number, 2)) + QStringLiteral(" mm²");
      case ValueType::degrees:
        return qs(number_text(*number, 1)) + QStringLiteral("°");
      case ValueType::percent:
        return qs(number_text(*number, 1)) + QStringLiteral(" %");
      default:
        return qs(number_text(*number, 2));
    }
  }
  if (const auto* on = std::get_if<bool>(&spec.standard))
    return *on ? QCoreApplication::translate("help", "yes") : QCoreApplication::translate("help", "no");
  if (const auto* text = std::get_if<std::string>(&spec.standard)) {
    for (const auto& word : spec.words) {
      if (word.word == *text) return worded(word.label);
    }
    return qs(*text);
  }
  return {};
}

QString table_of(const std::vector<KindSpec>& kinds) {
  QString out;
  for (const auto& kind : kinds) {
    out += QStringLiteral("**%1.** %2\n\n").arg(worded(kind.label), worded(kind.summary));
    for (const auto& value : kind.values) {
      const QString standard = standard_of(value);
      out += QStringLiteral("- %1").arg(worded(value.label));
      if (!standard.isEmpty()) out += QStringLiteral(": ") + standard;
      if (!value.help.empty()) out += QStringLiteral(". ") + worded(value.help);
      out += u'\n';
    }
    out += u'\n';
  }
  return out;
}

std::optional<QString> value_of(const std::vector<KindSpec>& kinds, const QString& name) {
  const KindSpec* kind = find_kind(kinds, name.section(u'.', 0, 0).toStdString());
  const ValueSpec* value = kind ? kind->find(name.section(u'.', 1).toStdString()) : nullptr;
  return value ? std::optional(standard_of(*value)) : std::nullopt;
}

std::optional<QString> of_a_new_project(const QString& name) {
  const Project fresh = new_project("");
  const auto mm = [](double v) { return qs(number_text(v, 2)) + QStringLiteral(" mm"); };
  if (name == QLatin1String("gap")) return mm(fresh.laying.gap_mm);
  if (name == QLatin1String("bleed")) return mm(fresh.laying.bleed_mm);
  if (name == QLatin1String("landing")) return mm(fresh.machine.landing_mm);
  if (name == QLatin1String("swap")) return time_text(fresh.machine.swap_s);
  if (name == QLatin1String("set")) return time_text(fresh.machine.set_s);
  if (name == QLatin1String("nudge")) return mm(preferences().nudge_mm);
  return std::nullopt;
}

std::optional<QString> of_checks(const QString& name) {
  const auto figure = [](double v) { return qs(number_text(v, 2)); };
  if (name == QLatin1String("near-edge")) return figure(kNearEdgeMm) + QStringLiteral(" mm");
  if (name == QLatin1String("blank")) return figure(kBlankMm) + QStringLiteral(" mm");
  if (name == QLatin1String("held-low")) return figure(least_held(Tack::low)) + QStringLiteral(" mm²");
  if (name == QLatin1String("held-medium")) return figure(least_held(Tack::medium)) + QStringLiteral(" mm²");
  if (name == QLatin1String("held-high")) return figure(least_held(Tack::high)) + QStringLiteral(" mm²");
  if (name == QLatin1String("perforation-weak")) return figure(kWeakGsm) + QStringLiteral(" g/m²");
  if (name == QLatin1String("perforation-stiff")) return figure(kStiffGsm) + QStringLiteral(" g/m²");
  if (name == QLatin1String("farthest")) return figure(kFarthestMm / 1000) + QStringLiteral(" m");
  return std::nullopt;
}

/// `actions` may be nothing where no keys are asked for.
std::optional<QString> figure(const QString& kind, const QString& name, const Actions* actions) {
  if (kind == QLatin1String("key")) {
    const QAction* action = actions ? actions->find(name) : nullptr;
    if (!action) return std::nullopt;
    const QString keys = action->shortcut().toString(QKeySequence::NativeText);
    return keys.isEmpty() ? QString() : u'`' + keys + u'`';
  }
  if (kind == QLatin1String("step")) return value_of(step_kinds(), name);
  if (kind == QLatin1String("shape")) return value_of(shape_kinds(), name);
  if (kind == QLatin1String("check")) return of_checks(name);
  if (kind == QLatin1String("new")) return of_a_new_project(name);
  if (kind == QLatin1String("table") && name == QLatin1String("steps")) return table_of(step_kinds());
  if (kind == QLatin1String("table") && name == QLatin1String("shapes")) return table_of(shape_kinds());
  return std::nullopt;
}

QString filled(const QString& text, const Actions* actions) {
  static const QRegularExpression place(QStringLiteral("\\{\\{([a-z]+):([a-z0-9.-]+)\\}\\}"));
  QString out;
  qsizetype from = 0;
  for (auto it = place.globalMatch(text); it.hasNext();) {
    const auto match = it.next();
    out += text.mid(from, match.capturedStart() - from);
    out += figure(match.captured(1), match.captured(2), actions).value_or(match.captured());
    from = match.capturedEnd();
  }
  return out + text.mid(from);
}

/// Every action with its keys, as the list of actions has them.
HelpPage keys_page(const Actions& actions) {
  const QString title = QCoreApplication::translate("help", "Keys");
  QString text = QStringLiteral("# %1\n\n").arg(title) +
                 QCoreApplication::translate("help", "Each of them can be changed under Preferences.") +
                 QStringLiteral("\n\n");
  for (const QAction* action : actions.all()) {
    if (!action->shortcut().isEmpty())
      text += QStringLiteral("- `%1` %2\n").arg(action->shortcut().toString(QKeySequence::NativeText), action->text());
  }
  return {QStringLiteral("keys"), title, text};
}

}  // namespace

std::vector<HelpPage> help_pages(const Actions& actions) {
  std::vector<HelpPage> out;
  for (const char* id : kPages) {
    const QString text = page_text(id);
    const QString title = text.section(u'\n', 0, 0).remove(QStringLiteral("# ")).trimmed();
    out.push_back({QString::fromLatin1(id), title, filled(text, &actions)});
  }
  out.push_back(keys_page(actions));
  return out;
}

std::optional<FindingReason> why(const std::string& code) {
  static const QRegularExpression row(QStringLiteral("^\\| `([a-z-]+)` \\| (.*) \\| (.*) \\|$"),
                                      QRegularExpression::MultilineOption);
  static QHash<QString, QHash<QString, FindingReason>> by_language;
  auto& all = by_language[qs(language().code)];
  if (all.isEmpty()) {
    const QString text = filled(page_text("checks"), nullptr);
    for (auto it = row.globalMatch(text); it.hasNext();) {
      const auto match = it.next();
      all.insert(match.captured(1), {match.captured(2), match.captured(3)});
    }
  }
  const auto found = all.constFind(qs(code));
  return found == all.constEnd() ? std::nullopt : std::optional(*found);
}

}  // namespace dotlane
