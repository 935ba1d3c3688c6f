// The projects that were open last, across sessions.
#pragma once

#include <QStringList>

namespace dotlane {

/// Their paths, the last one first.
[[nodiscard]] QStringList recent_projects();
void remember_project(const QString& path);

/// What a menu calls the path among these: its file name, with the folder where two would be called the same.
[[nodiscard]] QString name_among(const QStringList& paths, const QString& path);

}  // namespace dotlane
