// What a person prefers, keys of their own, and all of it taken to another machine.
#include <QSettings>

#include "app/preferences/preferences_window.hpp"
#include "app/style.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

struct Preferring {
  Opened& o;
  PreferencesWindow* window;
  explicit Preferring(Opened& opened) : o(opened) {
    o.run("preferences");
    window = o.window.findChild<PreferencesWindow*>();
    REQUIRE(window);
  }
  ~Preferring() {
    window->close();
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    o.window.activateWindow();
  }
  template <class T>
  T* find(const char* name) {
    auto* w = window->findChild<T*>(QString::fromLatin1(name));
    INFO(name);
    REQUIRE(w);
    return w;
  }
  void click(const char* name) { test::click(find<QPushButton>(name)); }
  /// Chooses an action in the list and presses its new keys.
  void press(const char* action, Qt::Key key, Qt::KeyboardModifiers keys) {
    auto* list = find<QTreeWidget>("keysList");
    for (int i = 0; i < list->topLevelItemCount(); ++i) {
      if (list->topLevelItem(i)->data(0, Qt::UserRole).toString() != QString::fromLatin1(action)) continue;
      list->scrollToItem(list->topLevelItem(i));
      QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(list->topLevelItem(i)).center());
    }
    auto* edit = find<QKeySequenceEdit>("keysEdit");
    edit->setFocus();
    QTest::keyClick(edit, key, keys);
    wait_for([&] { return !edit->keySequence().isEmpty(); }, 100);
    QTest::qWait(1200);  // it waits for more keys
  }
};

/// Leaves nothing to the next test.
struct Untouched {
  Untouched() { QSettings().clear(); }
  ~Untouched() {
    QSettings().clear();
    use_theme(false);
  }
};

}  // namespace

TEST_CASE("preferences: nudges, look, mat, units and workshop of new projects") {
  const Untouched untouched;
  Opened o;
  const std::string name = o.project().pieces.front()->name;
  {
    Preferring p(o);
    auto* nudge = p.find<NumberField>("preferNudge");
    type(nudge, "2.5");
    CHECK(preferences().nudge_mm == 2.5);
    choose(p.find<QComboBox>("preferUnit"), 1);
    choose(p.find<QComboBox>("preferLook"), 1);
    CHECK(theme().dark);
    choose(p.find<QComboBox>("preferLook"), 0);
    CHECK_FALSE(theme().dark);
    choose(p.find<QComboBox>("preferAutosave"), 2);
    CHECK(preferences().autosave_s == 60);
    o.answers.open = {demo()};
    p.click("preferWorkshop");
    wait_for([&] { return !preferences().workshop.isEmpty(); }, 5000);
    CHECK(preferences().workshop == "lighthouse-card");
  }
  o.pick(name);
  const Box before = o.bounds(name);
  o.press(Qt::Key_Right);
  CHECK(o.bounds(name).x0 == Approx(before.x0 + 2.5));
  o.press(Qt::Key_Left, Qt::ShiftModifier);
  CHECK(o.bounds(name).x0 == Approx(before.x0 - 22.5));
  const auto tools = o.project().tools;
  o.answers.answer = Dialogs::Answer::discard;
  o.run("new");
  CHECK(o.project().pieces.empty());
  CHECK(o.project().unit == LengthUnit::inch);
  CHECK(o.project().tools == tools);  // the demo's rack, not the standard one
}

TEST_CASE("keys of one's own: clashes are told, taken over if wanted, given back, and carried in the settings' file") {
  const Untouched untouched;
  Opened o;
  QAction* rehearse = o.window.actions().find(QStringLiteral("run-start"));
  QAction* save = o.window.actions().find(QStringLiteral("save"));
  const QKeySequence own = rehearse->shortcut(), of_save = save->shortcut();
  const QString file = o.folder.filePath(QStringLiteral("mine.ini"));
  {
    Preferring p(o);
    p.click("preferences1");
    p.press("run-start", Qt::Key_F9, Qt::NoModifier);
    CHECK(rehearse->shortcut() == QKeySequence(Qt::Key_F9));
    // Another action's keys are not just taken.
    p.press("run-start", Qt::Key_S, Qt::ControlModifier);
    CHECK(rehearse->shortcut() == QKeySequence(Qt::Key_F9));
    CHECK(p.find<QLabel>("keysClash")->text().contains(save->text()));
    p.click("keysTake");
    CHECK(rehearse->shortcut() == of_save);
    CHECK(save->shortcut().isEmpty());
    o.answers.save = file;
    p.click("writeSettings");
    CHECK(QFile::exists(file));
    p.click("keysOwn");
    CHECK(rehearse->shortcut() == own);
  }
  {  // the next window has them as well, and another machine after the file came there
    QSettings().clear();
    Opened next;
    CHECK(next.window.actions().find(QStringLiteral("run-start"))->shortcut() == own);
    Preferring p(next);
    next.answers.open = {file};
    p.click("takeSettings");
    CHECK(next.window.actions().find(QStringLiteral("run-start"))->shortcut() == of_save);
    CHECK(next.window.actions().find(QStringLiteral("save"))->shortcut().isEmpty());
    // A file that is none is refused, and nothing changes.
    const QString other = next.folder.filePath(QStringLiteral("other.ini"));
    REQUIRE(write_file(other.toStdString(), "[keys]\nrun-start=F2\n"));
    next.answers.open = {other};
    p.click("takeSettings");
    CHECK(p.find<QLabel>("preferencesSaid")->text().startsWith(QStringLiteral("other.ini holds no settings")));
    CHECK(next.window.actions().find(QStringLiteral("run-start"))->shortcut() == of_save);
  }
}

}  // namespace dotlane::test
