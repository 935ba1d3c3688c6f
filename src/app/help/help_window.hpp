// The help: a list of pages that is searched as one types, and the page.
#pragma once

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>

#include "app/help/help_pages.hpp"

namespace dotlane {

class HelpWindow : public QDialog {
  Q_OBJECT
 public:
  HelpWindow(const Actions& actions, QWidget* parent);
  void showPage(const QString& id);

 private:
  void search(const QString& words);
  void showRow(int row);

  std::vector<HelpPage> pages_;
  QLineEdit* search_;
  QListWidget* list_;
  QTextBrowser* text_;
};

}  // namespace dotlane
