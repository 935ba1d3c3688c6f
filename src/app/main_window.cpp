#include "app/main_window.hpp"
#include "app/figure/figure_actions.hpp"

#include <QFileInfo>
#include <QGridLayout>
#include <QResizeEvent>
#include <QScreen>
#include <QSettings>
#include <set>

#include "app/application.hpp"
#include "app/dialogs.hpp"
#include "app/ledger/ledger_actions.hpp"
#include "app/log/log_ledger.hpp"
#include "app/log/log_panel.hpp"
#include "app/log/log_view.hpp"
#include "app/make/make_panel.hpp"
#include "app/make/steps_ledger.hpp"
#include "app/panels/recipe_panel.hpp"
#include "app/panels/run_panel.hpp"
#include "app/practice/practice.hpp"
#include "app/preferences/preferences.hpp"
#include "app/sheets/parts_ledger.hpp"
#include "app/sheets/photograph_view.hpp"
#include "app/sheets/sheet_actions.hpp"
#include "app/sheets/sheets_panel.hpp"
#include "app/sheets/shelf_card.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/alike.hpp"
#include "core/project/edit.hpp"
#include "device/sim_cutter_link.hpp"

namespace dotlane {
namespace {

constexpr int kLanesHeight = 198, kLanesFolded = 34;
constexpr int kLowWindow = 700;  // below this the bench needs the lanes' room

}  // namespace

MainWindow::MainWindow(std::unique_ptr<CutterLink> link) : actions_(this) {
  setObjectName(QStringLiteral("mainWindow"));
  setMinimumSize(1000, 600);
  // Within what the screen has free, whatever its size and scale.
  const QRect room = screen() ? screen()->availableGeometry() : QRect(0, 0, 1280, 800);
  resize(std::min(1280, room.width()), std::min(800, room.height() - style()->pixelMetric(QStyle::PM_TitleBarHeight)));
  log_ = new LogDesk(this);
  run_ = new RunController(session_, *log_, link ? std::move(link) : std::make_unique<SimCutterLink>(), this);

  typing_ = new Typing(session_, this);

  auto* centre = new QWidget(this);
  set_kind(centre, "ground");
  setCentralWidget(centre);
  auto* grid = new QGridLayout(centre);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setSpacing(0);
  top_ = new TopBar(session_, actions_, centre);
  grid->addWidget(top_, 0, 0, 1, 3);
  desk_ = new SheetDesk(session_, this);
  ledgers_ = new QStackedWidget(centre);
  ledgers_->setFixedWidth(251);
  ledger_ = new Ledger(session_, ledgers_);
  ledgers_->addWidget(ledger_);
  ledgers_->addWidget(new PartsLedger(*desk_, ledgers_));
  making_ = new MakeDesk(session_, this);
  ledgers_->addWidget(new StepsLedger(*making_, ledgers_));
  auto* log_ledger = new LogLedger(*log_, ledgers_);
  ledgers_->addWidget(log_ledger);
  grid->addWidget(ledgers_, 1, 0);
  auto* middle = new QWidget(centre);
  auto* stack = new QVBoxLayout(middle);
  stack->setContentsMargins(0, 0, 0, 0);
  stack->setSpacing(0);
  notice_ = new Notice(middle);
  tables_ = new QStackedWidget(middle);
  bench_ = new Bench(session_, *typing_, tables_);
  sheets_ = new SheetsView(session_, *desk_, tables_);
  tables_->addWidget(bench_);
  tables_->addWidget(sheets_);
  make_ = new MakeView(*making_, tables_);
  tables_->addWidget(make_);
  season_ = new LogView(*log_, tables_);
  tables_->addWidget(season_);
  photograph_ = new PhotographView(session_, tables_);
  tables_->addWidget(photograph_);
  stack->addWidget(tables_, 1);
  notice_->raise();  // over the bench: nothing moves when something is said
  grid->addWidget(middle, 1, 1);
  right_ = new QWidget(centre);
  //: How wide the panels at the right must be for the words of this language, px. A test measures whether that does.
  right_->setFixedWidth(std::max(300, tr("300").toInt()));  // fixed: nothing shifts under the hand
  auto* right = new QVBoxLayout(right_);
  right->setContentsMargins(0, 0, 0, 0);
  right->setSpacing(0);
  auto* exercise = new ExerciseCard(right_);
  right->addWidget(exercise);
  panels_ = new QStackedWidget(right_);
  right->addWidget(panels_, 1);
  set_kind(panels_, "right");
  recipe_ = new RecipePanel(session_, panels_);
  panels_->addWidget(recipe_);
  auto* sheets_panel = new SheetsPanel(session_, *desk_, panels_);
  panels_->addWidget(sheets_panel);
  passes_ = new PassesPanel(session_, *log_, panels_);
  panels_->addWidget(passes_);
  auto* run_panel = run_panel_ = new RunPanel(session_, *run_, *log_, panels_);
  panels_->addWidget(run_panel);
  auto* make_panel = new MakePanel(session_, *making_, panels_);
  panels_->addWidget(make_panel);
  auto* log_panel = new LogPanel(session_, *log_, panels_);
  panels_->addWidget(log_panel);
  look_ = new SecondLook(session_, panels_);
  panels_->addWidget(look_);
  grid->addWidget(right_, 1, 2);
  lanes_ = new Lanes(session_, centre);
  lanes_->setFixedHeight(kLanesHeight);
  grid->addWidget(lanes_, 2, 0, 1, 3);
  grid->setColumnStretch(1, 1);
  grid->setRowStretch(1, 1);

  addFileActions();
  addWindowActions();
  shapes_ = new ShapeActions(session_, actions_, *notice_, this);
  add_ledger_actions(actions_, session_, *ledger_);
  places_ = new PlaceActions(session_, actions_, *notice_, *bench_, this);
  auto* figure = new FigureActions(session_, actions_, *notice_, this);
  connect(figure, &FigureActions::packAsked, this, [this, sheets_panel] {
    setStage(Stage::sheets);
    sheets_panel->pack();
  });
  make_panel->useActions(actions_);
  connect(run_panel, &RunPanel::placeAsked, this, [this](Vec at) { bench_->point({}, at); });
  connect(run_panel, &RunPanel::jobSheetAsked, this,
          [this] { actions_.find(QStringLiteral("save-job-sheet"))->trigger(); });
  connect(run_panel, &RunPanel::printAsked, this, [this] { actions_.find(QStringLiteral("save-print"))->trigger(); });
  copies_ = new CopyActions(
      session_, actions_, *notice_, [this] { shapes_->remove(); }, this);
  lettering_ = new LetteringActions(session_, *typing_, actions_, *notice_, this);
  recipe_->useLettering(lettering_->desk());
  connect(lettering_, &LetteringActions::made, this, [this] {
    setStage(Stage::draft);
    recipe_->openStep(0);
  });
  practice_ = new Practice(
      session_, *run_, actions_, *notice_, *exercise, [this](std::function<void()> then) { afterSaving(then); }, this);
  connect(log_, &LogDesk::said, notice_, &Notice::say);
  // What the logbook knows of its tools is looked at with all else that may spoil the work.
  const auto look_at_wear = [this] {
    log_->runningOut(session_.derivedHandle(),
                     [this](std::vector<Finding> worn) { session_.setWorn(std::move(worn)); });
  };
  connect(&session_, &Session::derivedChanged, this, look_at_wear);
  connect(log_, &LogDesk::changed, this, look_at_wear);
  connect(log_ledger, &LogLedger::wayPicked, this,
          [this](bool worked) { worked ? season_->showWorked(session_.project()) : season_->showSeason(); });
  connect(log_panel, &LogPanel::againAsked, this, &MainWindow::openAgain);
  connect(practice_, &Practice::draftAsked, this, [this] { setStage(Stage::draft); });
  connect(run_panel, &RunPanel::exercisesAsked, this,
          [this] { actions_.find(QStringLiteral("exercises"))->trigger(); });
  connect(passes_, &PassesPanel::calibrationAsked, this,
          [this] { actions_.find(QStringLiteral("calibrate"))->trigger(); });
  help_ = new HelpDesk(*this, actions_, *notice_);
  const std::pair<QWidget*, const char*> helps[] = {
      {recipe_, "recipe"}, {sheets_panel, "sheets"}, {passes_, "passes"}, {run_panel, "run"},  {make_panel, "make"},
      {log_panel, "log"},  {look_, "checks"},        {lanes_, "passes"},  {log_ledger, "log"}, {top_, "start"}};
  for (const auto& [widget, page] : helps) set_help(widget, page);
  addEditActions();
  add_sheet_actions(actions_, session_, *desk_, sheets_);
  addViewActions();
  recipe_->addMenus(actions_);
  connect(shapes_, &ShapeActions::stepAdded, this, [this](int step) {
    setStage(Stage::draft);
    recipe_->openStep(step);
  });
  connect(recipe_, &RecipePanel::refused, this, [this](const QString& why) { notice_->say(why, true); });
  ledger_->addButtons(actions_);
  fillProjectMenu();
  connect(top_->menu(), &QMenu::aboutToShow, this, &MainWindow::fillProjectMenu);

  connect(top_, &TopBar::stagePicked, this, &MainWindow::setStage);
  connect(top_, &TopBar::secondLookPicked, this, [this] { showSecondLook(!look_open_); });
  connect(look_, &SecondLook::showLines, this, [this](const std::vector<LineRef>& lines) {
    if (stage_ == Stage::make) setStage(Stage::draft), showSecondLook(true);
    bench_->point(lines);
  });
  connect(look_, &SecondLook::showLines, desk_, [this](const std::vector<LineRef>& lines) { desk_->point(lines); });
  connect(bench_, &Bench::filesDropped, this, &MainWindow::take);
  connect(sheets_, &SheetsView::filesDropped, this, &MainWindow::take);
  for (const Table* table : {static_cast<Table*>(bench_), static_cast<Table*>(sheets_)})
    connect(table, &Table::mimeDropped, this, [this](const QMimeData* what) { copies_->take(*what); });
  connect(desk_, &SheetDesk::said, notice_, &Notice::say);
  connect(&sheets_panel->shelf(), &ShelfCard::otherShelfAsked, this, &MainWindow::takeOtherShelf);
  connect(&sheets_panel->shelf(), &ShelfCard::photographAsked, this, &MainWindow::takePhotograph);
  connect(photograph_, &PhotographView::ended, this, [this] { setStage(Stage::sheets); });
  connect(photograph_, &PhotographView::said, notice_, &Notice::say);
  connect(photograph_, &PhotographView::laid, sheets_, &SheetsView::setUnder);
  connect(&session_, &Session::opened, this, [this] {
    if (tables_->currentWidget() == photograph_) setStage(stage_);
  });
  connect(lanes_, &Lanes::passPicked, this, [this](int pass) {
    passes_->setPass(pass);
    if (stage_ != Stage::run) setStage(Stage::passes);
  });
  connect(lanes_, &Lanes::scrubbed, this, [this](double seconds) {
    if (!run_->active()) bench_->setScrub(seconds);
  });
  connect(&session_, &Session::said, notice_, &Notice::say);
  if (auto* app = qobject_cast<Application*>(QCoreApplication::instance())) {
    connect(app, &Application::failed, this, [this](const QString& what) {
      notice_->say(
          tr("Something went wrong inside: %1. Your work is here; save it, under another name to be safe.").arg(what),
          true);
    });
  }
  connect(
      &session_, &Session::changedOutside, this, [this](const QString& path, const std::function<void(bool)>& then) {
        notice_->ask(
            tr("%1 was changed by another program or window since it was opened here.").arg(QFileInfo(path).fileName()),
            {{tr("Write over it"), [this, path, then] { saveTo(path, true, then); }},
             {tr("Save under another name…"), [this, then] { save(true, then); }},
             {tr("Do not save"), [then] {
                if (then) then(false);
              }}});
      });
  connect(&session_, &Session::readingChanged, this, [this](const QString& what) {
    if (what.isEmpty()) {
      notice_->hide();
    } else {
      notice_->busy(what, [this] { session_.cancelReading(); });
    }
  });
  connect(&session_, &Session::opened, this, [this] {
    lanes_->setTime(-1);
    bench_->setScrub(-1);
    run_->clear();
    if (!session_.path().isEmpty()) remember(session_.path());
  });
  connect(&session_, &Session::pagesLeft, this, &MainWindow::askForPages);
  connect(&session_, &Session::broughtIn, this, &MainWindow::tellBroughtIn);
  connect(&session_, &Session::shown, this, &MainWindow::updateActions);
  connect(&session_, &Session::fileChanged, this, [this] {
    setWindowTitle(qs(session_.project().name) + (session_.modified() ? tr(" (changed)") : QString()) +
                   tr(" – Dot Lane"));
  });
  watchRun();
  updateActions();
  setStage(Stage::draft);
  setWindowTitle(tr("Dot Lane"));
  bench_->setFocus();
}

MainWindow::~MainWindow() {
  // What holds on to the session goes before it, and before the caret what shows it.
  delete run_;
  delete takeCentralWidget();
  delete typing_;
}

void MainWindow::watchRun() {
  connect(run_, &RunController::stateChanged, this, [this] {
    using State = RunController::State;
    const State state = run_->state();
    if (state == State::idle) {
      bench_->showRun(nullptr);
    } else {
      bench_->showRun(&run_->record(), run_->print(), run_->lies());
    }
    lanes_->setLocked(run_->active());
    // A test cut has a plan of its own, which the lanes do not show.
    lanes_->setTime(state == State::idle || run_->testing() ? -1 : run_->planTime());
    if (state != State::idle) bench_->setScrub(-1), bench_->moveHead(run_->head());
    top_->setRunState(state == State::idle     ? QString()
                      : state == State::over   ? run_->record().outcome == Outcome::done ? tr("done") : tr("stopped")
                        : state == State::paused ? tr("hands needed")
                      : state == State::held   ? tr("held")
                                               : tr("running"));
    if (state == State::paused) setStage(Stage::run);
    // Where the outcome is farthest off the plan, if that can be seen at all.
    constexpr double kSeen = 0.1;
    const auto& outcome = run_->outcome();
    const bool off = state == State::over && outcome && outcome->most_mm > kSeen;
    if (off) bench_->setLoad(outcome->worst_mat);
    if (state != State::idle || pointing_) bench_->ring(off ? std::optional(outcome->worst) : std::nullopt);
    pointing_ = off;
    updateActions();
  });
  connect(run_, &RunController::moved, this, [this] {
    bench_->moveHead(run_->head());
    if (run_->testing()) return;
    lanes_->setTime(run_->planTime());
    if (run_->currentPass() != lanes_->currentPass()) lanes_->setCurrentPass(run_->currentPass());
  });
}

void MainWindow::setStage(Stage stage) {
  stage_ = stage;
  bench_->setOnMats(stage != Stage::draft);
  const int at = stage == Stage::sheets ? 1 : stage == Stage::make ? 2 : stage == Stage::log ? 3 : 0;
  const QWidget* focus = focusWidget();
  const bool held = focus && (tables_->currentWidget() == focus || tables_->currentWidget()->isAncestorOf(focus));
  // What is selected does not show there, so nothing is that keys could remove unseen.
  if (stage == Stage::make || stage == Stage::log) session_.select({});
  if (stage == Stage::log) log_->refresh();
  making_->setOn(stage == Stage::make);
  ledgers_->setCurrentIndex(at);
  tables_->setCurrentIndex(at);
  if (held) tables_->currentWidget()->setFocus();
  // All mats want the room; what the user folds or unfolds there is for that stage.
  foldLanes(lanesFolded());
  look_open_ = false;
  top_->setSecondLookOpen(false);
  top_->setStage(stage);
  right_->show();  // also where it was folded away
  panels_->setCurrentIndex(static_cast<int>(stage));
}

void MainWindow::foldLanes(bool on) {
  lanesFolded() = on;
  lanes_->setFixedHeight(on ? kLanesFolded : kLanesHeight);
}

void MainWindow::resizeEvent(QResizeEvent* event) {
  QMainWindow::resizeEvent(event);
  // Folded by itself only as the window becomes low, so that it can be unfolded there.
  const bool low = height() < kLowWindow, was_low = event->oldSize().height() < kLowWindow;
  if (low != was_low || !event->oldSize().isValid()) foldLanes(low);
}

Table& MainWindow::table() {
  if (stage_ == Stage::make) return make_->table();
  return stage_ == Stage::sheets ? static_cast<Table&>(*sheets_) : *bench_;
}

void MainWindow::openStep(int step) { recipe_->openStep(step); }

void MainWindow::showSecondLook(bool on) {
  look_open_ = on;
  top_->setSecondLookOpen(on);
  if (on) right_->show();
  panels_->setCurrentIndex(on ? panels_->indexOf(look_) : static_cast<int>(stage_));
}

// --- edits -----------------------------------------------------------------------------------------------------------

void MainWindow::addEditActions() {
  actions_.add("undo", tr("Undo"), QKeySequence::Undo, [this] { session_.undo(); });
  actions_.add("redo", tr("Redo"), Qt::CTRL | Qt::SHIFT | Qt::Key_Z, [this] { session_.redo(); });
  actions_.add("select-all", tr("Select everything"), QKeySequence::SelectAll, [this] {
    std::vector<LineRef> all;
    for (const auto& piece : session_.project().pieces) {
      if (!piece->hidden && !piece->locked) all.push_back({piece->id, ""});
    }
    session_.select(std::move(all));
  });
  actions_.add("delete", tr("Remove what is selected"), QKeySequence(Qt::Key_Delete), [this] { shapes_->remove(); });
  actions_.add("bring-onto-mat", tr("Bring onto the mat"), Qt::CTRL | Qt::Key_B, [this] {
    std::vector<int> ids = session_.selectedPieces();
    if (ids.empty()) {
      for (const auto& piece : session_.project().pieces) ids.push_back(piece->id);
    }
    session_.editDrawn([ids](const Project& p, const Drawing& d) { return bring_onto_mat(p, d, ids); },
                       tr("Bring onto the mat"));
  });
  actions_.add("split-layers", tr("Split into pieces by layer"), Qt::CTRL | Qt::Key_L, [this] {
    Project next = session_.project();
    for (const int id : session_.selectedPieces()) next = split_by_layer(std::move(next), id);
    session_.commit(std::move(next), tr("Split by layer"));
  });
  auto shift = [this](int by) {
    Project next = session_.project();
    for (const int id : session_.selectedPieces()) next = shift_layer(std::move(next), id, by);
    session_.commit(std::move(next), by < 0 ? tr("One layer up") : tr("One layer down"));
  };
  actions_.add("layer-up", tr("Move the piece one layer up"), Qt::CTRL | Qt::Key_Up, [shift] { shift(-1); });
  actions_.add("layer-down", tr("Move the piece one layer down"), Qt::CTRL | Qt::Key_Down, [shift] { shift(1); });
  const auto then = [](Qt::Key key) {
    return QKeySequence(QKeyCombination(Qt::ALT, Qt::Key_E), QKeyCombination(Qt::NoModifier, key));
  };
  for (const auto& [id, text, keys, how] :
       {std::tuple{"same-color", tr("Select all lines of this colour"), QKeySequence(Qt::CTRL | Qt::Key_J),
                   Alike::color},
        std::tuple{"same-role", tr("Select all lines of this role"), then(Qt::Key_R), Alike::role},
        std::tuple{"same-tool", tr("Select all lines of this tool"), then(Qt::Key_T), Alike::tool},
        std::tuple{"same-stock", tr("Select all pieces of this stock"), then(Qt::Key_S), Alike::stock},
        std::tuple{"same-shape", tr("Select all of this shape, turned, mirrored, larger or smaller"), then(Qt::Key_H),
                   Alike::shape},
        std::tuple{"same-size", tr("Select all pieces as large as this, however they lie"), then(Qt::Key_Z),
                   Alike::size}}) {
    actions_.add(QString::fromLatin1(id), text, keys,
                 [this, h = how] { session_.select(alike(session_.drawing(), session_.selection(), h)); });
  }
  actions_.add("select-others", tr("Select all that is not selected"), then(Qt::Key_O),
               [this] { session_.select(all_but(session_.drawing(), session_.selection())); });
  actions_.add("confirm-roles", tr("Confirm all guessed roles"), Qt::CTRL | Qt::Key_K, [this] {
    Project next = session_.project();
    for (const auto& piece : session_.project().pieces)
      next = confirm_roles(std::move(next), lines_of_piece(session_.drawing(), piece->id));
    session_.commit(std::move(next), tr("Confirm the roles"));
  });
  for (const bool across : {true, false}) {
    const QString text =
        across ? tr("Mirror what is selected, left to right") : tr("Mirror what is selected, top to bottom");
    actions_.add(across ? "mirror-across" : "mirror-down", text, Qt::ALT | Qt::SHIFT | (across ? Qt::Key_H : Qt::Key_V),
                 [this, across, text] {
                   session_.editDrawn(
                       [ids = session_.selectedPieces(), across](const Project& p, const Drawing& d) {
                         return mirror_pieces(p, d, ids, across);
                       },
                       text);
                 });
  }
  actions_.add("next-below", tr("Select the next piece below, where the pointer is"), then(Qt::Key_B),
               [this] { bench_->selectBelow(); });
  const auto sketch = [this](Sketch::What what) {
    setStage(Stage::draft);
    bench_->sketch(what);
    bench_->setFocus();
  };
  const auto hands = [](Qt::Key key) {
    return QKeySequence(QKeyCombination(Qt::ALT, Qt::Key_D), QKeyCombination(Qt::NoModifier, key));
  };
  for (const auto& [id, text, keys, what] :
       {std::tuple{"loop", tr("Select by a loop drawn around"), then(Qt::Key_L), Sketch::What::loop},
        std::tuple{"tape", tr("Measure with the tape"), hands(Qt::Key_M), Sketch::What::tape},
        std::tuple{"draw-straight", tr("Draw a straight line"), hands(Qt::Key_S), Sketch::What::straight},
        std::tuple{"draw-polyline", tr("Draw a line with corners"), hands(Qt::Key_C), Sketch::What::polyline},
        std::tuple{"draw-freehand", tr("Draw a line by free hand"), hands(Qt::Key_H), Sketch::What::freehand},
        std::tuple{"draw-fold", tr("Draw a fold from edge to edge"), hands(Qt::Key_F), Sketch::What::fold},
        std::tuple{"erase-loop", tr("Erase what lies in a loop"), hands(Qt::Key_E), Sketch::What::erase},
        std::tuple{"split-line", tr("Cut in two along a line drawn"), hands(Qt::Key_X), Sketch::What::split}})
    actions_.add(QString::fromLatin1(id), text, keys, [sketch, w = what] { sketch(w); });
  const auto pick = [this](Picking what) {
    setStage(Stage::draft);
    bench_->setPicking(bench_->picking() == what ? Picking::none : what);
    bench_->setFocus();
  };
  actions_.add("pick-contours", tr("Leave out contours by clicking them"), Qt::CTRL | Qt::ALT | Qt::Key_X,
               [pick] { pick(Picking::contours); });
  actions_.add("pick-places", tr("Set bridges or seams, and take them away, by clicking"),
               Qt::CTRL | Qt::ALT | Qt::Key_B, [pick] { pick(Picking::places); });
  connect(&session_, &Session::pickingAsked, this, pick);
  actions_.add("mirror", tr("Mirror the whole job, or not"), Qt::CTRL | Qt::Key_M, [this] {
    Project next = session_.project();
    next.plan.mirrored = !next.plan.mirrored;
    const QString what = next.plan.mirrored ? tr("Mirror the job") : tr("Do not mirror the job");
    session_.commit(std::move(next), what);
  });
  static constexpr std::pair<Role, int> keys[] = {
      {Role::cut, Qt::Key_C},     {Role::score, Qt::Key_S},  {Role::draw, Qt::Key_D},  {Role::foil, Qt::Key_F},
      {Role::engrave, Qt::Key_E}, {Role::emboss, Qt::Key_B}, {Role::print, Qt::Key_P}, {Role::guide, Qt::Key_G}};
  for (QWidget* place : {static_cast<QWidget*>(bench_), static_cast<QWidget*>(ledger_)}) {
    for (const auto& [role, key] : keys) {
      const QString id = (place == bench_ ? QStringLiteral("role-") : QStringLiteral("ledger-role-")) + qs(word(role));
      auto run = [this, r = role] {
        session_.commit(assign_role(session_.project(), session_.selectedLines(), r),
                        tr("Make it %1").arg(role_name(r)));
      };
      if (place == bench_) {
        actions_.add(id, tr("Make the selected lines %1").arg(role_name(role)), QKeySequence(key), run, place);
      } else {
        // The same key from the ledger; the list of actions names it once.
        auto* again = new QAction(place);
        again->setShortcut(QKeySequence(key));
        again->setShortcutContext(Qt::WidgetWithChildrenShortcut);
        connect(again, &QAction::triggered, this, run);
        place->addAction(again);
      }
    }
  }
}

void MainWindow::updateActions() {
  auto enable = [this](const char* id, bool on) { actions_.find(QString::fromLatin1(id))->setEnabled(on); };
  auto* undo = actions_.find(QStringLiteral("undo"));
  auto* redo = actions_.find(QStringLiteral("redo"));
  undo->setEnabled(session_.canUndo());
  undo->setText(session_.canUndo() ? tr("Undo: %1").arg(session_.undoLabel()) : tr("Undo"));
  redo->setEnabled(session_.canRedo());
  redo->setText(session_.canRedo() ? tr("Redo: %1").arg(session_.redoLabel()) : tr("Redo"));
  const bool any = !session_.selection().empty(), some = !session_.project().pieces.empty();
  for (const char* id : {"delete", "split-layers", "layer-up", "layer-down", "same-color", "same-role", "same-tool",
                         "same-stock", "same-size", "same-shape", "zoom-selection", "mirror-across", "mirror-down"})
    enable(id, any);
  enable("pick-contours", session_.selectedPieces().size() == 1);
  enable("pick-places", session_.selectedPieces().size() == 1 &&
                            placed_by_last(session_.project(), session_.selectedPieces().front()) != Placed::nothing);
  for (const char* id : {"bring-onto-mat", "select-all", "select-others", "confirm-roles", "export", "mirror"})
    enable(id, some);
  for (const Role role : kRoles) actions_.find(QStringLiteral("role-") + qs(word(role)))->setEnabled(any);
  shapes_->update();
  copies_->update();
  places_->update();
  update_ledger_actions(actions_, session_);
  lettering_->update();
  enable("run-start", some && !run_->active());
  enable("run-cancel", run_->active());
}

// --- view and run ----------------------------------------------------------------------------------------------------

void MainWindow::addViewActions() {
  actions_.add("find-action", tr("Find an action"), Qt::CTRL | Qt::Key_Space, [this] { top_->finder()->begin(); });
  actions_.add("zoom-fit", tr("Zoom to fit"), Qt::CTRL | Qt::Key_0, [this] { table().zoomToFit(); });
  actions_.add("zoom-selection", tr("Zoom to what is selected"), Qt::CTRL | Qt::Key_9,
               [this] { bench_->zoomToSelection(); });
  actions_.add("stacked", tr("Show the layers stacked, as they will lie on each other"), Qt::CTRL | Qt::Key_Y,
               [this] { bench_->setStacked(!bench_->stacked()); });
  actions_.add("show-hidden", tr("Show what upper layers hide"), Qt::CTRL | Qt::SHIFT | Qt::Key_Y,
               [this] { bench_->setHiddenShown(!bench_->hiddenShown()); });
  const auto zoom = [this](double by) { table().zoomBy(by, QRectF(table().rect()).center()); };
  actions_.add("zoom-in", tr("Zoom in"), QKeySequence::ZoomIn, [zoom] { zoom(1.25); });
  actions_.add("zoom-out", tr("Zoom out"), QKeySequence::ZoomOut, [zoom] { zoom(1 / 1.25); });
  actions_.add("stage-draft", tr("Go to Draft"), Qt::ALT | Qt::Key_1, [this] { setStage(Stage::draft); });
  actions_.add("stage-sheets", tr("Go to Sheets"), Qt::ALT | Qt::Key_2, [this] { setStage(Stage::sheets); });
  actions_.add("stage-passes", tr("Go to Passes"), Qt::ALT | Qt::Key_3, [this] { setStage(Stage::passes); });
  actions_.add("stage-run", tr("Go to Run"), Qt::ALT | Qt::Key_4, [this] { setStage(Stage::run); });
  actions_.add("stage-make", tr("Go to Make"), Qt::ALT | Qt::Key_5, [this] { setStage(Stage::make); });
  actions_.add("stage-log", tr("Go to the logbook"), Qt::ALT | Qt::Key_6, [this] { setStage(Stage::log); });
  actions_.add(
      "make-place", tr("Say that the part looked for is in its place, or not after all"), Qt::Key_Return,
      [this] { making_->toggleInPlace(); }, make_);
  actions_.add(
      "make-next", tr("Look for the next part"), Qt::Key_PageDown, [this] { making_->move(1); }, make_);
  actions_.add(
      "make-before", tr("Look for the part before"), Qt::Key_PageUp, [this] { making_->move(-1); }, make_);
  actions_.add("second-look", tr("Second look: the findings"), Qt::ALT | Qt::Key_0,
               [this] { showSecondLook(!look_open_); });
  actions_.add("to-notice", tr("Go to the answers of a notice"), Qt::Key_F6, [this] { notice_->focusAnswer(); });
  actions_.add("fold-lanes", tr("Fold the lanes to one line, or unfold them"), Qt::ALT | Qt::Key_L,
               [this] { foldLanes(lanes_->height() > kLanesFolded); });
  actions_.add("fold-panel", tr("Fold the panel at the right away, or show it"), Qt::ALT | Qt::Key_P,
               [this] { right_->setVisible(!right_->isVisible()); });
  actions_.add("unit", tr("Switch between millimetres and inches"), Qt::CTRL | Qt::Key_U, [this] {
    Project next = session_.project();
    next.unit = next.unit == LengthUnit::mm ? LengthUnit::inch : LengthUnit::mm;
    session_.commit(std::move(next), tr("Change the unit"));
  });
  set_inch_parts(QSettings().value(QStringLiteral("inchParts"), 0).toInt());
  actions_.add("inch-parts", tr("Show inches with decimals, as sixteenths, or as thirty-seconds"),
               Qt::CTRL | Qt::ALT | Qt::Key_I, [this] {
                 set_inch_parts(inch_parts() == 0 ? 16 : inch_parts() == 16 ? 32 : 0);
                 QSettings().setValue(QStringLiteral("inchParts"), inch_parts());
                 session_.showAnew();
                 notice_->say(inch_parts() == 0    ? tr("Inches are shown with decimals.")
                              : inch_parts() == 16 ? tr("Inches are shown to the nearest sixteenth.")
                                                   : tr("Inches are shown to the nearest thirty-second."),
                              false);
               });
  actions_.add("dark", tr("Switch between light and dark"), Qt::CTRL | Qt::SHIFT | Qt::Key_L, [] {
    Preferences now = preferences();
    now.dark = !theme().dark;
    prefer(now);
    use_theme(now.dark, now.mat);
  });
  actions_.add("run-start", tr("Rehearse the job"), Qt::CTRL | Qt::Key_R, [this] {
    setStage(Stage::run);
    run_panel_->rehearse();
  });
  actions_.add("run-cancel", tr("Cancel the run"), Qt::CTRL | Qt::Key_Period, [this] { run_->cancel(); });
}

}  // namespace dotlane
