#include "app/sheets/sheet_actions.hpp"

namespace dotlane {

void add_sheet_actions(Actions& actions, Session& session, SheetDesk& desk, QWidget* place) {
  const auto add = [&](const char* id, const QString& text, const QKeySequence& key, void (SheetDesk::*edit)()) {
    actions.add(
        QString::fromLatin1(id), text, key, [&desk, edit] { (desk.*edit)(); }, place);
  };
  add("part-pin", SheetDesk::tr("Pin the chosen parts, or let them go"), Qt::Key_H, &SheetDesk::togglePinned);
  add("part-together", SheetDesk::tr("Keep the chosen parts together, or not"), Qt::Key_K, &SheetDesk::toggleTogether);
  add("part-not-now", SheetDesk::tr("Leave the chosen parts out of the run, or not"), Qt::Key_N,
      &SheetDesk::toggleNotNow);
  add("part-room", SheetDesk::tr("Find room for the chosen parts"), Qt::Key_R, &SheetDesk::findRoom);
  add("part-fit", SheetDesk::tr("Turn the chosen parts to fit their sheet"), Qt::Key_T, &SheetDesk::turnToFit);
  add("part-off", SheetDesk::tr("Take the chosen parts off their sheet"), Qt::Key_Backspace, &SheetDesk::takeOff);
  add("parts-push", SheetDesk::tr("Push the parts together"), Qt::Key_U, &SheetDesk::pushTogether);
  for (const int way : {1, -1}) {
    actions.add(
        way > 0 ? QStringLiteral("part-turn-left") : QStringLiteral("part-turn-right"),
        way > 0 ? SheetDesk::tr("Turn the chosen parts to the left on their sheet")
                : SheetDesk::tr("Turn the chosen parts to the right on their sheet"),
        way > 0 ? Qt::Key_Comma : Qt::Key_Period,
        [&session, &desk, way] {
          const double step = session.project().laying.turn_step_deg;
          desk.turn(way * (step > 0 ? step : 90));
        },
        place);
  }
  actions.add("run-everything", SheetDesk::tr("Run everything: nothing is left out any more"),
              Qt::CTRL | Qt::SHIFT | Qt::Key_R, [&desk] { desk.runEverything(); });
}

}  // namespace dotlane
