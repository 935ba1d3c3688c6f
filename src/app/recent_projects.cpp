#include "app/recent_projects.hpp"

#include <QCoreApplication>
#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <algorithm>

namespace dotlane {
namespace {

constexpr int kKept = 8;

QString key() { return QStringLiteral("recent"); }

}  // namespace

QStringList recent_projects() { return QSettings().value(key()).toStringList(); }

void remember_project(const QString& path) {
  QStringList recent = recent_projects();
  recent.removeAll(path);
  recent.prepend(path);
  while (recent.size() > kKept) recent.removeLast();
  QSettings().setValue(key(), recent);
}

QString name_among(const QStringList& paths, const QString& path) {
  const QFileInfo file(path);
  const auto same = std::count_if(paths.begin(), paths.end(),
                                  [&](const QString& other) { return QFileInfo(other).fileName() == file.fileName(); });
  if (same < 2) return file.fileName();
  return QCoreApplication::translate("RecentProjects", "%1 in %2")
      .arg(file.fileName(), QDir::toNativeSeparators(file.path()));
}

}  // namespace dotlane
