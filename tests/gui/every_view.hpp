// Goes through every view of a demo, as a person comes to it.
#pragma once

#include <QDialog>
#include <functional>

#include "driving.hpp"

namespace dotlane::test {

/// Opens the demo and shows `look` each view: the stages, with something chosen and nothing, the second look, a run
/// with its pause and its end, and the windows beside.
inline void every_view(const QString& name, const std::function<void(Opened&, QWidget&, const char*)>& look) {
  Opened o(demo(name));
  const auto now = [&](const char* view) {
    o.session().settle();
    QTest::qWait(1);
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    look(o, o.window, view);
  };
  const auto keys = [&](QKeySequence sequence) {
    QTest::keySequence(&o.window, sequence);
    o.session().settle();
  };
  now("draft, nothing chosen");
  keys(QKeySequence::SelectAll);
  now("draft, everything chosen");
  const char* stages[] = {"draft", "sheets", "passes", "run", "make", "log"};
  for (int i = 1; i < 6; ++i) {
    keys(QKeyCombination(Qt::AltModifier, static_cast<Qt::Key>(Qt::Key_1 + i)));
    now(stages[i]);
  }
  o.stage(Stage::passes);
  auto* lanes = o.find("lanes");
  QTest::keyClick(lanes, Qt::Key_Down);
  now("a pass chosen");
  o.run("second-look");
  now("second look");
  const auto beside = [&](const char* action, const char* window) {
    o.run(action);
    wait_for([&] { return o.window.findChild<QWidget*>(QString::fromLatin1(window)) != nullptr; }, 5000);
    auto* shown = o.window.findChild<QWidget*>(QString::fromLatin1(window));
    INFO(action);
    REQUIRE(shown);
    QTest::qWait(20);
    look(o, *shown, action);
    shown->close();
    o.window.activateWindow();
  };
  beside("calibrate", "calibrateWindow");
  beside("exercises", "exerciseList");
  o.run("how-big");
  wait_for([&] { return o.find("notice")->isVisible(); }, 10'000);
  now("a notice");
  o.answer(QCoreApplication::translate("dotlane::FigureActions", "Sizes and sheets"));
  if (auto* sizes = o.window.findChild<QWidget*>(QStringLiteral("sizeSheet"))) {
    QTest::qWait(300);
    look(o, *sizes, "sizes and sheets");
    sizes->close();
  }

  // A rehearsal, with a pause and its end.
  o.stage(Stage::run);
  auto* pace = o.find<QComboBox>("scaleBox");
  choose(pace, pace->count() - 1);
  o.run("run-start");
  auto& run = o.window.run();
  using State = RunController::State;
  for (int pauses = 0;; ++pauses) {
    wait_for([&] { return run.state() == State::paused || run.state() == State::over; });
    o.session().settle();
    if (run.state() == State::over || pauses > 20) break;
    if (pauses == 0) now("a pause of the run");
    const int passed = run.record().pauses;
    o.click("confirmLoaded");
    wait_for([&] { return run.state() != State::paused || (run.pause() && run.record().pauses > passed); });
  }
  now("the end of the run");
}

/// Each piece of a demo in the draft, and all its steps.
inline void every_piece(const QString& name, const std::function<void(Opened&, QWidget&, const char*)>& look) {
  Opened o(demo(name));
  for (const auto& piece : o.project().pieces) {
    o.pick({LineRef{piece->id, ""}});
    for (std::size_t k = 0; k <= piece->steps.size(); ++k) {
      if (k > 0) o.window.openStep(piece->steps[k - 1].id);
      o.session().settle();
      QTest::qWait(1);
      QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
      look(o, o.window, (name.toStdString() + ", " + piece->name).c_str());
    }
  }
  o.stage(Stage::sheets);
  look(o, o.window, (name.toStdString() + ", sheets").c_str());
}

}  // namespace dotlane::test
