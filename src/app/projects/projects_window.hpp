// All one's projects: searched by what is in them, opened, and what of one is wanted in another.
#pragma once

#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QStackedWidget>
#include <QTimer>
#include <QToolButton>

#include "app/projects/project_tiles.hpp"
#include "app/session.hpp"

namespace dotlane {

class ProjectsWindow : public QDialog {
  Q_OBJECT
 public:
  ProjectsWindow(Session& session, QWidget* parent);
  [[nodiscard]] ProjectDesk& desk() { return *desk_; }

 signals:
  void openAsked(const QString& path, bool beside);  ///< beside: in a window of its own
  void broughtOver(const QString& message, bool problem);

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  void find();
  void list(const std::vector<FoundProject>& found);
  void showChosen();
  void updateButtons();
  void openChosen(bool beside);
  void bring();
  void fillFolders();
  void addFolder();
  [[nodiscard]] const FoundProject* chosen() const;

  Session& session_;
  ProjectDesk* desk_;
  ProjectTiles* model_;
  QListView* tiles_;
  QLineEdit* asked_;
  QLabel *count_, *nothing_, *name_, *about_, *where_, *said_;
  QStackedWidget *pages_, *side_;
  QListWidget* pieces_;
  QPushButton *open_, *beside_, *bring_;
  QToolButton* folders_;
  QTimer typed_;
  QString listed_;     // what was asked for when the tiles were filled
  std::string shown_;  // whose pieces are listed
  FileStamp shown_stamp_;
};

}  // namespace dotlane
