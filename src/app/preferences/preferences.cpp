#include "app/preferences/preferences.hpp"

#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>
#include <algorithm>
#include <filesystem>

#include "core/format/files.hpp"
#include "core/project/presets.hpp"
#include "words/language.hpp"

namespace dotlane {
namespace {

constexpr const char* kMark = "dot-lane/settings";  // in files that are carried about
constexpr int kMarkVersion = 1;
constexpr double kLeastNudge = 0.01, kMostNudge = 100;
constexpr int kMostAutosave = 600;

/// Beside the settings, and as small as they.
std::string workshop_path() {
  return (QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation) + QStringLiteral("/workshop.dotlane"))
      .toStdString();
}

QString keys_of(const QString& action) { return QStringLiteral("keys/") + action; }

/// Places on this machine's disk and ports mean nothing on another.
bool stays_here(const QString& key) {
  for (const char* begins : {"recent", "projects/", "cutter/port", "preferences/workshop", "gcode/", "tour/"}) {
    if (key.startsWith(QLatin1String(begins))) return true;
  }
  return false;
}

}  // namespace

Preferences preferences() {
  QSettings s;
  Preferences out;
  out.language = s.value(QStringLiteral("preferences/language")).toString();
  out.dark = s.value(QStringLiteral("dark"), false).toBool();
  out.unit =
      s.value(QStringLiteral("preferences/unit")).toString() == QLatin1String("in") ? LengthUnit::inch : LengthUnit::mm;
  out.workshop = s.value(QStringLiteral("preferences/workshop")).toString();
  out.autosave_s =
      std::clamp(s.value(QStringLiteral("preferences/autosave"), out.autosave_s).toInt(), 1, kMostAutosave);
  out.mat = QColor(s.value(QStringLiteral("preferences/mat")).toString());
  const double nudge = s.value(QStringLiteral("preferences/nudge"), out.nudge_mm).toDouble();
  if (nudge >= kLeastNudge && nudge <= kMostNudge) out.nudge_mm = nudge;
  return out;
}

void prefer(const Preferences& now) {
  QSettings s;
  s.setValue(QStringLiteral("preferences/language"), now.language);
  s.setValue(QStringLiteral("dark"), now.dark);
  s.setValue(QStringLiteral("preferences/unit"),
             now.unit == LengthUnit::inch ? QStringLiteral("in") : QStringLiteral("mm"));
  s.setValue(QStringLiteral("preferences/workshop"), now.workshop);
  s.setValue(QStringLiteral("preferences/autosave"), now.autosave_s);
  s.setValue(QStringLiteral("preferences/mat"), now.mat.isValid() ? now.mat.name() : QString());
  s.setValue(QStringLiteral("preferences/nudge"), now.nudge_mm);
}

Result<void> keep_workshop(const QString& project) {
  auto from = load_project(project.toStdString());
  if (!from) return tl::unexpected<Error>(from.error());
  const std::string path = workshop_path();
  std::error_code trouble;
  std::filesystem::create_directories(std::filesystem::path(path).parent_path(), trouble);
  Project kept = new_project(from->name);
  kept.tools = from->tools, kept.stocks = from->stocks, kept.machine = from->machine;
  return save_project(kept, path);
}

/// Tools and stocks are named in the user's language; from then on the names belong to the project.
Project preferred_project(const std::string& name) {
  Project out = new_project(name);
  for (auto& tool : out.tools) tool.name = in_words(tool.name);
  for (auto& stock : out.stocks) stock.name = in_words(stock.name);
  out.machine.name = in_words(out.machine.name);
  const Preferences wanted = preferences();
  out.unit = wanted.unit;
  if (!wanted.workshop.isEmpty()) {
    if (const auto from = load_project(workshop_path()))
      out.tools = from->tools, out.stocks = from->stocks, out.machine = from->machine;
  }
  return out;
}

std::optional<QString> preferred_keys(const QString& action) {
  const QSettings s;
  return s.contains(keys_of(action)) ? std::optional(s.value(keys_of(action)).toString()) : std::nullopt;
}

void prefer_keys(const QString& action, const std::optional<QString>& keys) {
  QSettings s;
  keys ? s.setValue(keys_of(action), *keys) : s.remove(keys_of(action));
}

bool write_settings(const QString& path) {
  QSettings here;
  QSettings there(path, QSettings::IniFormat);
  there.clear();
  there.setValue(QLatin1String(kMark), kMarkVersion);
  for (const QString& key : here.allKeys()) {
    if (!stays_here(key)) there.setValue(key, here.value(key));
  }
  there.sync();
  return there.status() == QSettings::NoError && QFileInfo::exists(path);
}

bool take_settings(const QString& path) {
  if (!QFileInfo::exists(path)) return false;
  const QSettings there(path, QSettings::IniFormat);
  if (there.status() != QSettings::NoError || there.value(QLatin1String(kMark)).toInt() != kMarkVersion) return false;
  QSettings here;
  for (const QString& key : here.allKeys()) {
    if (!stays_here(key)) here.remove(key);
  }
  for (const QString& key : there.allKeys()) {
    if (!stays_here(key) && key != QLatin1String(kMark)) here.setValue(key, there.value(key));
  }
  return true;
}

}  // namespace dotlane
