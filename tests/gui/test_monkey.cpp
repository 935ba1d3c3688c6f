// A monkey at the real window: random clicks, drags, keys, shortcuts and typed numbers, the same for the same seed.
// DOTLANE_MONKEY_SEEDS and DOTLANE_MONKEY_EVENTS say how many are tried, DOTLANE_MONKEY_FIRST from which seed on; one
// seed of 400 events is part of every run, of 2,000 of the one before a change is taken (.ci/run). A seed has
// DOTLANE_MONKEY_SECONDS, 240 unless said: what it makes can be slow to work out, and how far it gets is said.
// Each event waits for what the last one began, so that a seed is the same run on every machine; with
// DOTLANE_MONKEY_HASTY set none waits, and edits meet results that are still under way.
#include <QElapsedTimer>
#include <QLineEdit>
#include <QTimer>
#include <random>

#include "core/format/project_json.hpp"
#include "core/road.hpp"
#include "driving.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

class Monkey {
 public:
  Monkey(Opened& o, unsigned seed) : o_(o), random_(seed) {
    o.window.run().setTimeScale(0);
    o.answers.save = o.folder.filePath(QStringLiteral("monkey.svg"));
    // Menus and dialogs run loops of their own: what stays open for a moment is closed.
    QObject::connect(&closer_, &QTimer::timeout, [this] {
      if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
      if (QWidget* modal = QApplication::activeModalWidget()) modal->close();
    });
    closer_.start(25);
  }
  void act() {
    switch (any(12)) {
      case 0:
      case 1:
        QTest::mouseClick(o_.table(), Qt::LeftButton, keys(), place());
        break;
      case 2:
      case 3:
        drag(o_.table(), place(), place(), keys());
        break;
      case 4:
        QTest::mouseDClick(o_.table(), Qt::LeftButton, {}, place());
        QTest::mouseRelease(o_.table(), Qt::LeftButton, {}, place());
        break;
      case 5: {  // a handle of the frame around what is selected
        const Box box = bounds_of(o_.session().drawing(), o_.session().selection());
        if (o_.window.stage() == Stage::sheets) {
          if (const auto knob = o_.window.sheets().knob()) drag(o_.table(), knob->toPoint(), place());
        } else if (!box.empty()) {
          drag(o_.table(), o_.at(box.x1, box.y1), place());
        }
        break;
      }
      case 6:
        key();
        break;
      case 7:
      case 8:
        shortcut();
        break;
      case 9:
        button();
        break;
      case 10:
        number();
        break;
      default: {
        const auto& pieces = o_.project().pieces;
        if (!pieces.empty())
          o_.session().select({{pieces[static_cast<std::size_t>(any(static_cast<int>(pieces.size())))]->id, ""}});
      }
    }
    QCoreApplication::processEvents();
  }
  /// Other windows go, as by hand: never while one of them has a menu or a question open.
  void close_others() {
    for (QWidget* other : QApplication::topLevelWidgets()) {
      if (other != &o_.window && qobject_cast<MainWindow*>(other) && other->isVisible()) other->close();
    }
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  }
  /// What it copies and fills over and over only takes time: large projects are tried elsewhere. To be asked once what
  /// the last event began has ended, so that the answer is the same on every machine.
  void keep_small() {
    for (int i = 0; i < kMostUndone && large() && o_.session().canUndo(); ++i) {
      QTest::keySequence(o_.table(), QKeySequence(QKeySequence::Undo));
      o_.session().settle();
    }
  }

 private:
  static constexpr std::size_t kMostPieces = 20, kMostPoints = 100'000;
  static constexpr int kMostUndone = 5;

  bool large() const {
    std::size_t points = o_.session().drawing().segments();
    for (const auto& pass : o_.session().derived().plan.passes) {
      for (const auto& stroke : pass.strokes) points += stroke.course.polyline->points.size();
    }
    return o_.project().pieces.size() > kMostPieces || points > kMostPoints;
  }

  int any(int below) { return static_cast<int>(random_() % static_cast<unsigned>(below)); }
  QPoint place() { return {any(o_.table()->width()), any(o_.table()->height())}; }
  Qt::KeyboardModifiers keys() {
    static constexpr Qt::KeyboardModifier all[] = {Qt::NoModifier,    Qt::NoModifier,      Qt::NoModifier,
                                                   Qt::ShiftModifier, Qt::ControlModifier, Qt::AltModifier};
    return all[any(6)];
  }
  QWidget* focused() { return QApplication::focusWidget() ? QApplication::focusWidget() : o_.table(); }
  void key() {
    static constexpr Qt::Key all[] = {Qt::Key_Left,   Qt::Key_Right,  Qt::Key_Up,     Qt::Key_Down,      Qt::Key_Tab,
                                      Qt::Key_Escape, Qt::Key_Return, Qt::Key_Delete, Qt::Key_Backspace, Qt::Key_Space,
                                      Qt::Key_A,      Qt::Key_D,      Qt::Key_C,      Qt::Key_S,         Qt::Key_7};
    QTest::keyClick(focused(), all[any(15)], keys());
  }
  void shortcut() {
    const auto& all = o_.window.actions().all();
    QAction* action = all[static_cast<std::size_t>(any(static_cast<int>(all.size())))];
    static const QStringList left_alone{QStringLiteral("close"),   QStringLiteral("new"),  QStringLiteral("open"),
                                        QStringLiteral("save-as"), QStringLiteral("save"), QStringLiteral("dark")};
    if (!action->isEnabled() || left_alone.contains(action->objectName()) || action->shortcut().isEmpty()) return;
    QTest::keySequence(focused(), action->shortcut());
    // Undo often, so that not all pieces vanish.
    if (any(2) == 0 && o_.session().canUndo()) QTest::keySequence(o_.table(), QKeySequence(QKeySequence::Undo));
  }
  template <class T>
  T* visible() {
    std::vector<T*> all;
    for (auto* w : o_.window.findChildren<T*>()) {
      if (w->isVisible() && w->isEnabled()) all.push_back(w);
    }
    return all.empty() ? nullptr : all[static_cast<std::size_t>(any(static_cast<int>(all.size())))];
  }
  void button() {
    if (auto* b = visible<QAbstractButton>()) QTest::mouseClick(b, Qt::LeftButton);
  }
  void number() {
    auto* field = visible<NumberField>();
    if (!field) return;
    field->editor()->setFocus();
    field->editor()->selectAll();
    QTest::keyClicks(field->editor(), QString::number(any(400) / 10.0));
    if (any(2) == 0) QTest::keyClick(field->editor(), Qt::Key_Return);
  }

  Opened& o_;
  std::mt19937 random_;
  QTimer closer_;
};

void check_whole(Opened& o) {
  o.session().settle();
  const Project now = o.project();
  const std::string bytes = to_json(now);
  const auto again = project_from_json(bytes, "monkey.dotlane");
  if (!again) FAIL(line_of(again.error()));
  CHECK(*again == now);
  CHECK(to_json(*again) == bytes);
  DrawingCache cache;
  const Derived fresh = derive(now, cache);
  CHECK(o.session().derived().findings == fresh.findings);
  CHECK(o.session().derived().plan.passes.size() == fresh.plan.passes.size());
  CHECK(o.window.isVisible());
}

void let_loose(const char* name) {
  const auto wanted = [](const char* key, int standard) {
    const int n = qEnvironmentVariableIntValue(key);
    return n > 0 ? n : standard;
  };
  const int seeds = wanted("DOTLANE_MONKEY_SEEDS", 1), events = wanted("DOTLANE_MONKEY_EVENTS", 400);
  const bool hasty = qEnvironmentVariableIsSet("DOTLANE_MONKEY_HASTY");
  const int first = wanted("DOTLANE_MONKEY_FIRST", 1), seconds = wanted("DOTLANE_MONKEY_SECONDS", 240);
  for (int seed = first; seed < first + seeds; ++seed) {
    INFO(name << ", seed " << seed);
    Opened o(demo(QString::fromLatin1(name)));
    o.put(o.project());  // a copy: the demo stays as it is
    Monkey monkey(o, static_cast<unsigned>(seed));
    QElapsedTimer clock;
    clock.start();
    qint64 slowest = 0;
    int slowest_at = 0;
    for (int event = 1; event <= events; ++event) {
      if (clock.elapsed() > seconds * 1000) {
        WARN(name << ", seed " << seed << ": time was up after " << event - 1 << " of " << events << " events");
        break;
      }
      CAPTURE(event);
      const qint64 began = clock.elapsed();
      monkey.act();
      monkey.close_others();
      if (!hasty) o.session().settle();
      monkey.keep_small();
      if (const qint64 took = clock.elapsed() - began; took > slowest) slowest = took, slowest_at = event;
      if (event % 100 == 0) check_whole(o);
    }
    monkey.close_others();
    WARN(name << ", seed " << seed << ": event " << slowest_at << " took longest, " << slowest << " ms");
  }
}

}  // namespace

// Nothing ends the program, what is saved loads equal, and no finding is lost.
TEST_CASE("a monkey at the lighthouse card", "[monkey]") { let_loose("lighthouse-card"); }
TEST_CASE("a monkey at the fair stall", "[monkey]") { let_loose("fair-stall"); }
TEST_CASE("a monkey at the stall sign", "[monkey]") { let_loose("stall-sign"); }
TEST_CASE("a monkey at the moorings tag", "[monkey]") { let_loose("moorings-tag"); }

}  // namespace dotlane::test
