// The main job by keys alone, and every control of every stage within reach of Tab.
#include <QButtonGroup>
#include <QTreeView>
#include <set>

#include "app/notice.hpp"
#include "app/panels/panel.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

/// What a person types goes to what has the focus, wherever that is.
struct Keyboard {
  Opened& o;
  [[nodiscard]] QWidget* focus() const {
    QWidget* focus = QApplication::focusWidget();
    return focus && focus->isVisible() ? focus : &o.window;
  }
  void key(Qt::Key key, Qt::KeyboardModifiers keys = Qt::NoModifier) const {
    QTest::keyClick(focus(), key, keys);
    o.session().settle();
  }
  void keys(const QKeySequence& sequence) const {
    QTest::keySequence(focus(), sequence);
    o.session().settle();
  }
  /// Goes on with Tab until what is called so has the focus.
  void tab_to(const char* name) const {
    const QString wanted = QString::fromLatin1(name);
    std::set<QWidget*> seen;
    QStringList names;
    for (;;) {
      QWidget* now = focus();
      if (now->objectName() == wanted) return;
      names << now->objectName();
      if (!seen.insert(now).second) break;
      key(Qt::Key_Tab);
    }
    FAIL("Tab never comes to " << name << " but to " << names.join(QLatin1Char(' ')).toStdString());
  }
};

}  // namespace

TEST_CASE("open, give a role, plan, run and save: by keys alone") {
  Opened o(QString{});
  const Keyboard k{o};
  const QString path = o.folder.filePath(QStringLiteral("card.dotlane"));
  REQUIRE(QFile::copy(demo(), path));
  o.answers.open = {path};
  k.keys(QKeySequence::Open);
  REQUIRE(o.project().pieces.size() == 5);

  // A line of the ledger is gone to by the arrows, opened and made a fold.
  k.tab_to("ledger");
  auto* tree = o.find<QTreeView>("ledger");
  const auto at_wave = [&] { return tree->currentIndex().data().toString().startsWith(QStringLiteral("Wave border")); };
  k.key(Qt::Key_Home);
  for (int i = 0; i < 200 && !at_wave(); ++i) k.key(Qt::Key_Down);
  REQUIRE(at_wave());
  if (!tree->isExpanded(tree->currentIndex())) k.key(Qt::Key_Right);
  const auto crest_chosen = [&] {
    const auto lines = o.session().selectedLines();
    return lines.size() == 1 && lines.front().line == "wave-crest";
  };
  for (int i = 0; i < 20 && !crest_chosen(); ++i) k.key(Qt::Key_Down);
  REQUIRE(crest_chosen());
  k.key(Qt::Key_S);
  CHECK(o.piece("Wave border").lines[1].role == Role::score);

  // The plan is there at once; the run is started, held up by each pause, and confirmed.
  k.key(Qt::Key_3, Qt::AltModifier);
  CHECK(o.window.stage() == Stage::passes);
  CHECK(o.session().derived().plan.passes.size() >= 5);
  k.key(Qt::Key_4, Qt::AltModifier);
  k.tab_to("scaleBox");
  k.key(Qt::Key_End);
  k.key(Qt::Key_R, Qt::ControlModifier);
  auto& run = o.window.run();
  using State = RunController::State;
  int pauses = 0;
  for (;;) {
    wait_for([&] { return run.state() == State::paused || run.state() == State::over; });
    o.session().settle();
    if (run.state() == State::over) break;
    ++pauses;
    k.tab_to("confirmLoaded");
    k.key(Qt::Key_Space);
    wait_for([&] { return run.state() != State::paused || (run.pause() && run.record().pauses > pauses); });
  }
  CHECK(run.record().outcome == Outcome::done);
  CHECK(pauses > 0);
  k.keys(QKeySequence::Save);
  const auto saved = project_from_json(*read_file(path.toStdString()), "card.dotlane");
  REQUIRE(saved);
  CHECK(*saved == o.project());
  CHECK_FALSE(o.session().modified());
}

TEST_CASE("the key that rehearses never starts a machine, and a rehearsal runs as fast as was chosen") {
  Opened o;
  o.stage(Stage::run);
  auto& run = o.window.run();
  using State = RunController::State;
  auto* cutter = o.find<QComboBox>("cutterBox");
  choose(cutter, cutter->count() - 1);
  QTest::keySequence(&o.window, Qt::CTRL | Qt::Key_R);
  o.session().settle();
  CHECK(run.state() == State::idle);
  choose(o.find<QComboBox>("cutterBox"), 0);
  // At the machine's own speed the first pause is half a minute away.
  auto* pace = o.find<QComboBox>("scaleBox");
  choose(pace, pace->count() - 1);
  QTest::keySequence(&o.window, Qt::CTRL | Qt::Key_R);
  wait_for([&] { return run.state() == State::paused; });
  CHECK(run.head().seconds > 0);
  o.click("cancelRun");
  wait_for([&] { return run.state() == State::over; });
}

// A control that the pointer can use and Tab cannot reach is told by its name. A label beside it does not count.
TEST_CASE("Tab comes to every control of every stage") {
  Opened o;
  const Keyboard k{o};
  for (int stage = 1; stage <= 6; ++stage) {
    k.key(static_cast<Qt::Key>(Qt::Key_0 + stage), Qt::AltModifier);
    std::set<QWidget*> reached;
    for (int i = 0; i < 400; ++i) {
      QWidget* now = k.focus();
      if (!reached.insert(now).second && now == *reached.begin() && i > 300) break;
      QTest::keyClick(now, Qt::Key_Tab);
      QCoreApplication::processEvents();
    }
    QStringList missed;
    for (auto* widget : o.window.findChildren<QWidget*>()) {
      const bool control = qobject_cast<QAbstractButton*>(widget) || qobject_cast<QLineEdit*>(widget) ||
                           qobject_cast<QComboBox*>(widget) || qobject_cast<QAbstractItemView*>(widget);
      if (!control || !widget->isVisible() || !widget->isEnabled() || widget->focusPolicy() == Qt::NoFocus) continue;
      if (widget->visibleRegion().isEmpty()) continue;  // scrolled out of sight
      bool there = reached.count(widget) > 0;
      for (QWidget* at = widget; at && !there; at = at->focusProxy()) there = reached.count(at) > 0;
      // Of buttons that exclude each other Tab comes to one, the arrows to the rest.
      const auto* button = qobject_cast<QAbstractButton*>(widget);
      if (!there && button && (button->group() || button->autoExclusive())) {
        const auto all =
            button->group() ? button->group()->buttons() : button->parentWidget()->findChildren<QAbstractButton*>();
        for (auto* other : all)
          there = there || (other->autoExclusive() == button->autoExclusive() && reached.count(other) > 0);
      }
      if (!there) missed << QString::fromLatin1(widget->metaObject()->className()) + u' ' + widget->objectName();
    }
    INFO("stage " << stage << ": " << missed.join(QStringLiteral(", ")).toStdString());
    CHECK(missed.isEmpty());
  }
}

TEST_CASE("Tab goes through a panel as it is read, also after its rows were made anew") {
  Opened o;
  const Keyboard k{o};
  o.pick("Lighthouse");
  for (int stage = 1; stage <= 6; ++stage) {
    k.key(static_cast<Qt::Key>(Qt::Key_0 + stage), Qt::AltModifier);
    o.session().settle();
    QScrollArea* area = nullptr;
    for (auto* a : o.window.findChildren<QScrollArea*>()) {
      if (a->isVisible() && qobject_cast<Panel*>(a->parentWidget())) area = a;
    }
    INFO("stage " << stage);
    REQUIRE(area);
    QTest::qWait(5);
    area->setFocus(Qt::TabFocusReason);
    int rows = 0, top = 0;
    QString before;
    for (QTest::keyClick(area, Qt::Key_Tab); area->widget()->isAncestorOf(k.focus()) && rows < 300; ++rows) {
      QWidget* now = k.focus();
      const QRect box(now->mapTo(area->widget(), QPoint()), now->size());
      INFO(before.toStdString() << ", then " << now->metaObject()->className() << ' '
                                << now->objectName().toStdString());
      CHECK(box.bottom() >= top);
      top = box.top(), before = now->objectName();
      QTest::keyClick(now, Qt::Key_Tab);
      QCoreApplication::processEvents();
    }
    if (stage <= 4) CHECK(rows >= 3);
  }
}

}  // namespace dotlane::test
