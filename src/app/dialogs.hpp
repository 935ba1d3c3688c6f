// Questions to the user behind one small interface, so that tests can answer them.
#pragma once

#include <QStringList>
#include <QWidget>

namespace dotlane {

class Dialogs {
 public:
  enum class Answer { save, discard, cancel };
  virtual ~Dialogs() = default;
  /// Empty when the user gave up.
  virtual QStringList openFiles(QWidget* parent, const QString& title, const QString& filter);
  virtual QString openFolder(QWidget* parent, const QString& title);
  virtual QString saveFile(QWidget* parent, const QString& title, const QString& proposal, const QString& filter);
  virtual Answer askToSave(QWidget* parent, const QString& project);
};

/// The dialogs in use: the real ones unless a test has put in others.
[[nodiscard]] Dialogs& dialogs();
/// Puts in other dialogs, or the real ones again with null. The caller keeps them alive.
void use_dialogs(Dialogs* other);

}  // namespace dotlane
