#include "app/autosave.hpp"

#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>
#include <algorithm>

#include "app/units.hpp"
#include "core/format/files.hpp"

namespace dotlane {
namespace {

constexpr int kMost = 20;  // windows on one project, and crashes nobody has decided on

QString numbered(const QString& base, int n) {
  const QString ending = QStringLiteral(".autosave");
  return n == 1 ? base : base.chopped(ending.size()) + QStringLiteral(".%1").arg(n) + ending;
}

std::unique_ptr<QLockFile> lock_of(const QString& path) {
  auto lock = std::make_unique<QLockFile>(path + QStringLiteral(".lock"));
  lock->setStaleLockTime(0);  // stale only when the program that holds it has ended
  return lock;
}

}  // namespace

Autosave::~Autosave() = default;  // the lock goes; the file stays for those who come back

QString Autosave::base(const QString& project_path) {
  if (!project_path.isEmpty()) return qs(autosave_path(project_path.toStdString()));
  return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) +
         QStringLiteral("/untitled.dotlane.autosave");
}

QStringList Autosave::left(const QString& base) {
  QStringList out;
  for (int n = 1; n <= kMost; ++n) {
    const QString path = numbered(base, n);
    if (!QFileInfo::exists(path)) continue;
    const auto lock = lock_of(path);
    // In a folder that cannot be written to, no lock can be made; the file is shown all the same.
    if (lock->tryLock(0) || lock->error() == QLockFile::PermissionError) out.append(path);
  }
  std::stable_sort(out.begin(), out.end(), [](const QString& a, const QString& b) {
    return QFileInfo(a).lastModified() > QFileInfo(b).lastModified();
  });
  return out;
}

void Autosave::remove(const QString& left) { QFile::remove(left); }

QString Autosave::take(const QString& base) {
  if (base == base_ && !path_.isEmpty()) return path_;
  QDir().mkpath(QFileInfo(base).path());
  if (!path_.isEmpty()) older_.append(path_);
  for (int n = 1; n <= kMost; ++n) {
    const QString path = numbered(base, n);
    if (QFileInfo::exists(path)) continue;
    auto lock = lock_of(path);
    if (!lock->tryLock(0) && lock->error() != QLockFile::PermissionError) continue;
    base_ = base;
    path_ = path;
    lock_ = std::move(lock);
    return path_;
  }
  base_ = base;
  path_ = numbered(base, kMost + 1);  // more than anybody has: the last one is shared
  lock_.reset();
  return path_;
}

void Autosave::written() {
  for (const QString& path : older_) QFile::remove(path);
  older_.clear();
}

void Autosave::discard() {
  written();
  if (!path_.isEmpty()) QFile::remove(path_);
  path_.clear();
  base_.clear();
  lock_.reset();
}

}  // namespace dotlane
