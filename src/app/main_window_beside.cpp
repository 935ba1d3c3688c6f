// Several projects open at once, a window each; and the shelf of all projects.
#include <QFileInfo>
#include <QMenu>

#include "app/main_window.hpp"
#include "app/preferences/preferences_window.hpp"
#include "app/projects/projects_window.hpp"
#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

/// In the order in which they were opened.
std::vector<MainWindow*> open_windows() {
  std::vector<MainWindow*> out;
  for (QWidget* widget : QApplication::topLevelWidgets()) {
    auto* window = qobject_cast<MainWindow*>(widget);
    if (window && window->isVisible()) out.push_back(window);
  }
  std::sort(out.begin(), out.end(), [](const MainWindow* a, const MainWindow* b) { return a->winId() < b->winId(); });
  return out;
}

}  // namespace

MainWindow* MainWindow::having(const QString& path) {
  const QString whole = QFileInfo(path).canonicalFilePath();
  for (MainWindow* window : open_windows()) {
    if (!window->session_.path().isEmpty() && QFileInfo(window->session_.path()).canonicalFilePath() == whole)
      return window;
  }
  return nullptr;
}

void MainWindow::openHere(const QString& path) {
  MainWindow* there = having(path);
  there&& there != this ? there->comeForward() : take({path});
}

MainWindow& MainWindow::another() {
  auto* window = new MainWindow;
  window->setAttribute(Qt::WA_DeleteOnClose);
  window->resize(size());
  window->show();
  window->comeForward();
  return *window;
}

void MainWindow::comeForward() {
  if (isMinimized()) showNormal();
  raise();
  activateWindow();
}

void MainWindow::showProjects() {
  auto* window = findChild<ProjectsWindow*>();
  if (window) {
    window->raise();
    return window->activateWindow();
  }
  window = new ProjectsWindow(session_, this);
  connect(window, &ProjectsWindow::openAsked, this, [this](const QString& path, bool beside) {
    if (!beside) return openHere(path);
    MainWindow* there = having(path);
    there ? there->comeForward() : another().take({path});
  });
  connect(window, &ProjectsWindow::broughtOver, this, [this](const QString& message, bool problem) {
    if (!problem) setStage(Stage::draft);
    notice_->say(message, problem);
  });
  window->show();
}

void MainWindow::showPreferences() {
  auto* window = new PreferencesWindow(session_, actions_, this);
  connect(window, &PreferencesWindow::changed, this, [] {
    const Preferences now = preferences();
    use_theme(now.dark, now.mat);
    for (MainWindow* each : open_windows()) each->actions_.refreshKeys(), each->session_.keepAsideAfter(now.autosave_s);
  });
  window->show();
}

void MainWindow::addWindowActions() {
  actions_.add("preferences", tr("Preferences…"), Qt::CTRL | Qt::Key_Comma, [this] { showPreferences(); });
  actions_.add("projects", tr("Find a project, or a piece of one…"), Qt::CTRL | Qt::SHIFT | Qt::Key_P,
               [this] { showProjects(); });
  actions_.add("new-window", tr("Another window with a new project"), Qt::CTRL | Qt::SHIFT | Qt::Key_N,
               [this] { another(); });
  actions_.add("next-window", tr("Go to the next window"), Qt::CTRL | Qt::SHIFT | Qt::Key_W, [this] {
    const auto all = open_windows();
    const auto at = std::find(all.begin(), all.end(), this);
    if (at != all.end()) (at + 1 == all.end() ? all.front() : *(at + 1))->comeForward();
  });
}

void MainWindow::addWindows(QMenu& menu) {
  const auto all = open_windows();
  if (all.size() < 2) return;
  menu.addAction(tr("Windows"))->setEnabled(false);
  for (MainWindow* window : all) {
    QAction* one = menu.addAction(qs(window->session_.project().name).replace(u'&', QStringLiteral("&&")));
    one->setCheckable(true);
    one->setChecked(window == this);
    connect(one, &QAction::triggered, window, [window] { window->comeForward(); });
  }
  menu.addSeparator();
}

}  // namespace dotlane
