#include "app/help/help_desk.hpp"

#include <QApplication>
#include <QSettings>

#include "app/help/tour.hpp"
#include "app/main_window.hpp"
#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/places.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr const char* kTourOffered = "tour/offered";

/// The page for what has the keys.
QString page_here(QWidget* focus, Stage stage) {
  for (QWidget* at = focus; at; at = at->parentWidget()) {
    const QString page = at->property(kHelpPage).toString();
    if (!page.isEmpty()) return page;
  }
  static constexpr std::pair<Stage, const char*> pages[] = {{Stage::draft, "draft"},   {Stage::sheets, "sheets"},
                                                            {Stage::passes, "passes"}, {Stage::run, "run"},
                                                            {Stage::make, "make"},     {Stage::log, "log"}};
  for (const auto& [of, page] : pages) {
    if (of == stage && focus) return QString::fromLatin1(page);
  }
  return QStringLiteral("start");
}

}  // namespace

void set_help(QWidget* widget, const char* page) { widget->setProperty(kHelpPage, QString::fromLatin1(page)); }

HelpDesk::HelpDesk(MainWindow& window, Actions& actions, Notice& notice)
    : QObject(&window), window_(window), actions_(actions), notice_(notice) {
  actions.add("help", tr("Help on what has the keys"), QKeySequence::HelpContents, [this] { open(); });
  actions.add("tour", tr("A tour of the demo, in five steps"), Qt::ALT | Qt::SHIFT | Qt::Key_X,
              [this] { startTour(); });
  // Windows beside the main one take its keys too; a dialog that waits for an answer would keep them from it.
  connect(qApp, &QApplication::focusChanged, this, [this](QWidget*, QWidget* now) {
    QWidget* beside = now ? now->window() : nullptr;
    if (!beside || beside == &window_ || qobject_cast<HelpWindow*>(beside)) return;
    const QObject* of = beside->parent();
    while (of && of != &window_) of = of->parent();
    QAction* action = actions_.find(QStringLiteral("help"));
    if (of && !beside->actions().contains(action)) beside->addAction(action);
  });
}

void HelpDesk::open() {
  const QString page = page_here(QApplication::focusWidget(), window_.stage());
  // What waits for an answer lets no other window be used but its own.
  QWidget* over = QApplication::activeModalWidget() ? QApplication::activeModalWidget() : &window_;
  auto* help = over->findChild<HelpWindow*>(QString(), Qt::FindDirectChildrenOnly);
  if (!help) help = new HelpWindow(actions_, over);
  help->showPage(page);
  help->show();
  help->raise();
  help->activateWindow();
}

void HelpDesk::offerTour() {
  QSettings settings;
  if (settings.value(QLatin1String(kTourOffered), false).toBool() || notice_.isVisible()) return;
  settings.setValue(QLatin1String(kTourOffered), true);
  notice_.ask(tr("New here? The lighthouse card of the Harbour Lantern Fair shows the whole road in five steps."),
              {{tr("Show me"), [this] { startTour(); }}, {tr("Not now"), {}}});
}

void HelpDesk::startTour() {
  window_.afterSaving([this] {
    auto demo = load_project(shipped("demo/lighthouse-card.dotlane"));
    if (!demo) return notice_.say(qs(line_of(demo.error())), true);
    window_.session().openMade(std::move(*demo));
    window_.setStage(Stage::draft);
    const auto named = [this](const char* name) { return window_.findChild<QWidget*>(QString::fromLatin1(name)); };
    const auto at = [this, named](Stage stage, const char* name) {
      return [this, named, stage, name] {
        window_.setStage(stage);
        window_.session().settle();
        return named(name);
      };
    };
    delete window_.findChild<Tour*>();
    auto* tour = new Tour(
        {{tr("These are the pieces of a card, the top layer first. Click one: its size, its steps and its lines show "
             "at the right, and the bench shows it at true size."),
          at(Stage::draft, "ledger")},
         {tr("What is each line for? Its role says: cut, score, draw, foil… The tool follows from it. Roles are "
             "the first thing to look at in a drawing that came in."),
          [this, named] {
            window_.setStage(Stage::draft);
            const auto& pieces = window_.session().project().pieces;
            if (!pieces.empty()) window_.session().select({{pieces.front()->id, ""}});
            window_.session().settle();
            return named("role-draw");
          }},
         {tr("The plan: every pass along time, tools in their holders at the left. The ochre dots are pauses, when "
             "hands are needed. Drag a pass elsewhere, and it says what that costs."),
          at(Stage::passes, "lanes")},
         {tr("Second look reads over your shoulder: gaps, doubled lines, parts too small, inks in the wrong order. "
             "Many of its findings are settled by a click."),
          at(Stage::passes, "secondLookPill")},
         {tr("Rehearse before any card is spoiled: the simulated cutter goes through the job, pauses and all. Try it "
             "now; nothing real moves."),
          at(Stage::run, "startRun")}},
        &window_);
    tour->start();
  });
}

}  // namespace dotlane
