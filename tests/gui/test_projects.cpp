// All one's projects by hand: found by what is in them, opened, a piece of one brought into another; several open at
// once.
#include <QDir>
#include <QLabel>
#include <QSettings>
#include <QStandardPaths>
#include <QThreadPool>

#include "app/projects/projects_window.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

void forget_projects() {
  QThreadPool::globalInstance()->waitForDone();
  const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
  for (const char* name : {"projects.sqlite", "projects.sqlite-wal", "projects.sqlite-shm"})
    QFile::remove(folder + QLatin1Char('/') + QString::fromLatin1(name));
  QSettings().remove(QStringLiteral("projects/folders"));
  QSettings().remove(QStringLiteral("recent"));
}

/// The window of all projects, once it has looked through them.
ProjectsWindow& shelf_of(Opened& o) {
  QThreadPool::globalInstance()->waitForDone();
  o.run("projects");
  auto* window = o.window.findChild<ProjectsWindow*>();
  REQUIRE(window);
  REQUIRE(window->isVisible());
  window->desk().settle();
  return *window;
}

template <class T>
T* in(ProjectsWindow& window, const char* name) {
  auto* found = window.findChild<T*>(QString::fromLatin1(name));
  REQUIRE(found);
  return found;
}

void search(ProjectsWindow& window, const QString& words) {
  type(in<QLineEdit>(window, "projectSearch"), words);
  QTest::qWait(200);
  window.desk().settle();
}

QStringList shown(ProjectsWindow& window) {
  QStringList out;
  const auto* model = in<QListView>(window, "projectTiles")->model();
  for (int i = 0; i < model->rowCount(); ++i) out.append(model->index(i, 0).data().toString());
  return out;
}

/// Copies of the demos in a folder that is looked through.
QString demos_in(const QTemporaryDir& folder) {
  QDir(folder.path()).mkpath(QStringLiteral("fair/cards"));
  for (const char* name : {"lighthouse-card", "wading-heron", "moorings-tag"}) {
    const QString file = QString::fromLatin1(name) + QStringLiteral(".dotlane");
    REQUIRE(
        QFile::copy(QStringLiteral(DOTLANE_DEMO "/") + file, folder.filePath(QStringLiteral("fair/cards/") + file)));
  }
  return folder.filePath(QStringLiteral("fair"));
}

/// Windows that were opened beside one; they go at the end.
struct Beside {
  explicit Beside(MainWindow& first) : first_(first) {}
  ~Beside() {
    for (MainWindow* window : all()) {
      window->session().settle();
      window->session().dropAutosave();
      delete window;
    }
  }
  [[nodiscard]] std::vector<MainWindow*> all() const {
    std::vector<MainWindow*> out;
    for (QWidget* widget : QApplication::topLevelWidgets()) {
      auto* window = qobject_cast<MainWindow*>(widget);
      if (window && window != &first_) out.push_back(window);
    }
    return out;
  }

 private:
  MainWindow& first_;
};

}  // namespace

TEST_CASE("a piece is found in another project by a word and comes into this one") {
  forget_projects();
  Opened o;
  o.answers.folder = demos_in(o.folder);
  auto& shelf = shelf_of(o);
  const auto count = [&] { return in<QLabel>(shelf, "projectCount")->text().replace(QChar::Nbsp, u' ').toStdString(); };
  CHECK(count() == "1 project");  // that is open
  auto* folders = in<QToolButton>(shelf, "projectFolders");
  click_entry(folders->menu(), folders, [&](const QAction* a) { return a == folders->menu()->actions().back(); });
  shelf.activateWindow();
  shelf.desk().settle();
  CHECK(shown(shelf).size() == 4);
  search(shelf, QStringLiteral("heron leg"));
  REQUIRE(shown(shelf) == QStringList{QStringLiteral("Wading heron")});
  CHECK(count() == "1 of 4 projects");
  auto* pieces = in<QListWidget>(shelf, "foundPieces");
  CHECK(pieces->count() > 10);
  // The one that was meant is chosen and in sight.
  REQUIRE(pieces->selectedItems().size() == 1);
  const QListWidgetItem* leg = pieces->selectedItems().front();
  CHECK(leg->text().contains(QStringLiteral("Leg"), Qt::CaseInsensitive));
  CHECK(pieces->viewport()->rect().intersects(pieces->visualItemRect(leg)));
  CHECK_FALSE(leg->icon().isNull());
  const std::size_t before = o.project().pieces.size();
  const std::string name = leg->text().section(QLatin1Char('\n'), 0, 0).toStdString();
  click(in<QPushButton>(shelf, "bringOver"));
  shelf.desk().settle();
  o.session().settle();
  REQUIRE(o.project().pieces.size() == before + 1);
  CHECK(o.project().pieces.front()->name == name);
  REQUIRE(o.session().selectedPieces().size() == 1);
  CHECK(o.session().selectedPieces().front() == o.project().pieces.front()->id);
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("Wading heron")));
  shelf.close();
  o.undo();
  CHECK(o.project().pieces.size() == before);
}

TEST_CASE("words that nothing has say so and how to ask, a damaged file says why") {
  forget_projects();
  Opened o;
  const QString folder = demos_in(o.folder);
  QFile bad(folder + QStringLiteral("/broken.dotlane"));
  REQUIRE(bad.open(QIODevice::WriteOnly));
  bad.write("{\"format\": ");
  bad.close();
  QSettings().setValue(QStringLiteral("projects/folders"), QStringList{folder});
  auto& shelf = shelf_of(o);
  REQUIRE(shown(shelf).size() == 5);
  search(shelf, QStringLiteral("walrus"));
  CHECK(shown(shelf).isEmpty());
  auto* nothing = in<QLabel>(shelf, "projectsNothing");
  CHECK(nothing->isVisible());
  CHECK(nothing->text().contains(QStringLiteral("105 x 148 mm")));
  search(shelf, QStringLiteral("broken"));
  REQUIRE(shown(shelf).size() == 1);
  CHECK(in<QLabel>(shelf, "foundAbout")->text().startsWith(QStringLiteral("It cannot be read")));
  CHECK_FALSE(in<QPushButton>(shelf, "openFound")->isEnabled());
  CHECK_FALSE(in<QPushButton>(shelf, "bringOver")->isEnabled());
  // Mended elsewhere, it is there the next time.
  REQUIRE(save_project(new_project("Mended"), bad.fileName().toStdString()));
  shelf.desk().look();
  shelf.desk().settle();
  search(shelf, QStringLiteral("mended"));
  CHECK(shown(shelf) == QStringList{QStringLiteral("Mended")});
  // Down goes to what was found, Return opens it.
  o.answers.answer = Dialogs::Answer::discard;
  QTest::keyClick(in<QLineEdit>(shelf, "projectSearch"), Qt::Key_Down);
  auto* tiles = in<QListView>(shelf, "projectTiles");
  CHECK(tiles->hasFocus());
  QTest::keyClick(tiles, Qt::Key_Return);
  o.session().settle();
  CHECK(o.project().name == "Mended");
  wait_for([&] { return o.window.findChild<ProjectsWindow*>() == nullptr; });
}

TEST_CASE("what was opened or saved is known wherever it lies, and searched as it is now") {
  forget_projects();
  Opened o;
  o.pick("Cliff");
  o.run("duplicate");
  o.answers.save = o.folder.filePath(QStringLiteral("two-cliffs.dotlane"));
  o.run("save-as");
  o.session().settle();
  auto& shelf = shelf_of(o);
  search(shelf, QStringLiteral("lighthouse"));
  CHECK(shown(shelf).size() == 2);
  search(shelf, QStringLiteral("two-cliffs"));  // its file's name counts as well
  CHECK(shown(shelf).size() == 1);
}

TEST_CASE("several projects are open at once, each by itself, and what is copied in one is pasted in another") {
  forget_projects();
  Opened o;
  QSettings().setValue(QStringLiteral("projects/folders"), QStringList{demos_in(o.folder)});
  const Beside beside(o.window);
  auto& shelf = shelf_of(o);
  search(shelf, QStringLiteral("moorings"));
  REQUIRE(shown(shelf).size() == 1);
  click(in<QPushButton>(shelf, "openBeside"));
  REQUIRE(beside.all().size() == 1);
  MainWindow& second = *beside.all().front();
  second.session().settle();
  CHECK(second.isVisible());
  CHECK(second.session().project().name != o.project().name);
  const QString path = second.session().path();
  // Asked for once more, the window that has it comes forward; there is no third.
  click(in<QPushButton>(shelf, "openBeside"));
  CHECK(beside.all().size() == 1);
  CHECK(MainWindow::having(path) == &second);
  shelf.close();
  // A change here is none there.
  const Project there = second.session().project();
  o.pick("Cliff");
  o.run("copy");
  QTest::qWait(20);
  second.activateWindow();
  (void)QTest::qWaitForWindowActive(&second, 1000);
  QTest::keySequence(&second.bench(), QKeySequence::Paste);
  second.session().settle();
  CHECK(second.session().project().pieces.size() == there.pieces.size() + 1);
  CHECK(second.session().project().pieces.front()->name == "Cliff");
  CHECK_FALSE(o.session().modified());
  // The menu tells them apart.
  auto* button = o.find<QPushButton>("projectMenu");
  QStringList listed;
  click_entry(button->menu(), button, [&](const QAction* a) {
    if (a->isCheckable()) listed.append(a->text());
    return a->text() == QString::fromStdString(there.name);
  });
  CHECK(listed.contains(QString::fromStdString(o.project().name)));
  CHECK(second.isActiveWindow());
  // Round by a key.
  QTest::keySequence(&second.bench(), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_W));
  wait_for([&] { return o.window.isActiveWindow(); });
  // Closed with changes it asks; the other stays.
  o.answers.answer = Dialogs::Answer::discard;
  second.activateWindow();
  (void)QTest::qWaitForWindowActive(&second, 1000);
  QTest::keySequence(&second.bench(), QKeySequence::Close);
  wait_for([&] { return beside.all().empty(); });
  CHECK(o.answers.asked == 1);
  CHECK(o.window.isVisible());
  CHECK(o.project().name == "Lighthouse card");
}

TEST_CASE("another window begins with nothing in it") {
  Opened o;
  const Beside beside(o.window);
  o.run("new-window");
  REQUIRE(beside.all().size() == 1);
  CHECK(beside.all().front()->session().project().pieces.empty());
  CHECK(beside.all().front()->size() == o.window.size());
}

}  // namespace dotlane::test
