// What a person prefers, on this machine or carried to another: one file of settings.
#pragma once

#include <QColor>
#include <QString>
#include <optional>
#include <string>

#include "core/error.hpp"
#include "core/project/project.hpp"

namespace dotlane {

struct Preferences {
  QString language;  ///< "en", "de"; empty: the system's
  bool dark = false;
  LengthUnit unit = LengthUnit::mm;  ///< of new projects
  QString workshop;                  ///< the name of the project whose workshop was kept for new ones; or none
  int autosave_s = 1;                ///< how long after an edit unsaved work is kept aside
  QColor mat;                        ///< of the mat on the bench; invalid: as the look has it
  double nudge_mm = 1;               ///< by an arrow key; Shift: ten times, Alt: a tenth of it
  friend bool operator==(const Preferences&, const Preferences&) = default;
};

[[nodiscard]] Preferences preferences();
void prefer(const Preferences& now);

/// Keeps the tools, stocks and machine of a project for new ones (Preferences::workshop).
[[nodiscard]] Result<void> keep_workshop(const QString& project);
/// A new project as is preferred, with such a name.
[[nodiscard]] Project preferred_project(const std::string& name);

/// The keys of an action, where another sequence than its own was chosen; empty text: none at all.
[[nodiscard]] std::optional<QString> preferred_keys(const QString& action);
/// Nothing: the action's own again.
void prefer_keys(const QString& action, const std::optional<QString>& keys);

/// All settings but what belongs to this machine (recent projects, folders, ports), as a file to carry elsewhere.
/// False when it cannot be written.
[[nodiscard]] bool write_settings(const QString& path);
/// Takes them from such a file; false when it is none.
[[nodiscard]] bool take_settings(const QString& path);

}  // namespace dotlane
