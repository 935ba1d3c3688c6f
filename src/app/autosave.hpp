// Where unsaved work is kept aside, so that neither a crash nor a second window loses it.
#pragma once

#include <QLockFile>
#include <QStringList>
#include <memory>

namespace dotlane {

/// The files of one open project. Each is beside a base such as ".card.dotlane.autosave"; where that is taken, by
/// another window or by work that nobody has decided on yet, the next number is: ".card.dotlane.2.autosave". A lock
/// beside it says that a running program owns it.
class Autosave {
 public:
  ~Autosave();

  /// The base for a project's file, or for one without a file.
  [[nodiscard]] static QString base(const QString& project_path);
  /// What ended programs left for this base, newest first.
  [[nodiscard]] static QStringList left(const QString& base);
  /// Removes such a file for good.
  static void remove(const QString& left);

  /// Takes a file for the base, unless one is taken already, and returns its path. What was taken for another base is
  /// kept until written().
  QString take(const QString& base);
  /// The work stands in the taken file now: what it replaces can go.
  void written();
  /// The work stands elsewhere, or nobody wants it: our files go.
  void discard();
  /// A file that written() may remove: what was taken up from it is ours to keep now.
  void supersede(const QString& left) { older_.append(left); }
  /// The file that is taken; empty when none is.
  [[nodiscard]] QString path() const { return path_; }

 private:
  QString base_, path_;
  std::unique_ptr<QLockFile> lock_;
  QStringList older_;
};

}  // namespace dotlane
