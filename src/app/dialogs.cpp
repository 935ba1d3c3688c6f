#include "app/dialogs.hpp"

#include <QFileDialog>
#include <QMessageBox>

namespace dotlane {
namespace {

Dialogs g_real;
Dialogs* g_dialogs = &g_real;

}  // namespace

QStringList Dialogs::openFiles(QWidget* parent, const QString& title, const QString& filter) {
  return QFileDialog::getOpenFileNames(parent, title, {}, filter);
}

QString Dialogs::openFolder(QWidget* parent, const QString& title) {
  return QFileDialog::getExistingDirectory(parent, title);
}

QString Dialogs::saveFile(QWidget* parent, const QString& title, const QString& proposal, const QString& filter) {
  return QFileDialog::getSaveFileName(parent, title, proposal, filter);
}

Dialogs::Answer Dialogs::askToSave(QWidget* parent, const QString& project) {
  QMessageBox box(parent);
  box.setWindowTitle(QObject::tr("Unsaved changes"));
  box.setText(QObject::tr("“%1” has changes that are not saved.").arg(project));
  box.setStandardButtons(QMessageBox::Save | QMessageBox::Discard | QMessageBox::Cancel);
  switch (box.exec()) {
    case QMessageBox::Save:
      return Answer::save;
    case QMessageBox::Discard:
      return Answer::discard;
    default:
      return Answer::cancel;
  }
}

Dialogs& dialogs() { return *g_dialogs; }
void use_dialogs(Dialogs* other) { g_dialogs = other ? other : &g_real; }

}  // namespace dotlane
