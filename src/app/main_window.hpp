// The window: puts the parts together and carries the actions. No geometry, no rules.
#pragma once

#include <QMainWindow>
#include <QStackedWidget>

#include "app/actions.hpp"
#include "app/bench/bench.hpp"
#include "app/copy_actions.hpp"
#include "app/help/help_desk.hpp"
#include "app/lanes/lanes.hpp"
#include "app/ledger/ledger.hpp"
#include "app/lettering/lettering_actions.hpp"
#include "app/log/log_desk.hpp"
#include "app/make/make_view.hpp"
#include "app/notice.hpp"
#include "app/panels/passes_panel.hpp"
#include "app/panels/second_look.hpp"
#include "app/place_actions.hpp"
#include "app/run_controller.hpp"
#include "app/run_shelf.hpp"
#include "app/session.hpp"
#include "app/shape_actions.hpp"
#include "app/sheets/sheets_view.hpp"
#include "app/top_bar.hpp"

namespace dotlane {

class MainWindow : public QMainWindow {
  Q_OBJECT
 public:
  /// `link` drives the cutter: the simulated one unless another is given.
  explicit MainWindow(std::unique_ptr<CutterLink> link = {});
  ~MainWindow() override;

  [[nodiscard]] Session& session() { return session_; }
  [[nodiscard]] RunController& run() { return *run_; }
  [[nodiscard]] Bench& bench() { return *bench_; }
  [[nodiscard]] SheetsView& sheets() { return *sheets_; }
  [[nodiscard]] SheetDesk& desk() { return *desk_; }
  [[nodiscard]] MakeView& make() { return *make_; }
  [[nodiscard]] LogDesk& log() { return *log_; }
  [[nodiscard]] HelpDesk& help() { return *help_; }
  [[nodiscard]] class LogView& season() { return *season_; }
  [[nodiscard]] Typing& typing() { return *typing_; }
  [[nodiscard]] Lanes& lanes() { return *lanes_; }
  [[nodiscard]] Actions& actions() { return actions_; }
  [[nodiscard]] Stage stage() const { return stage_; }
  void setStage(Stage stage);
  void showSecondLook(bool on);
  /// Opens a step of the selected piece's recipe; 0 is its source.
  void openStep(int step);

  /// Opens projects and brings in drawings, by their endings.
  void take(const QStringList& files);
  /// Another window, with a project of its own; it goes when it is closed.
  MainWindow& another();
  /// The window in which the project is open, or null.
  [[nodiscard]] static MainWindow* having(const QString& path);
  /// Opens it in the place of what is open here, unless another window has it: that comes forward.
  void openHere(const QString& path);
  void comeForward();
  /// Runs `then` once unsaved changes are saved or let go; not at all when the user stays.
  void afterSaving(const std::function<void()>& then);
  /// Offers unsaved work that an ended program left, for a project's file, which could be read or not, or for none.
  void offerRecovery(const QString& path = {}, bool read = true);
  /// Asks what becomes of a run that was broken off when the program ended, if there is one.
  void offerBrokenRun();

 protected:
  void closeEvent(QCloseEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;

 private:
  void addFileActions();
  void addEditActions();
  void addViewActions();
  void addWindowActions();
  void showPreferences();
  void foldLanes(bool on);
  /// What the stage keeps of that: where all mats or the figure want the room, it is another.
  [[nodiscard]] bool& lanesFolded() {
    const bool wants_room = stage_ == Stage::sheets || stage_ == Stage::make || stage_ == Stage::log;
    return wants_room ? room_folded_ : lanes_folded_;
  }
  /// What zooms now.
  [[nodiscard]] Table& table();
  void takeOtherShelf();
  void takePhotograph(const QString& stock);
  void fillProjectMenu();
  /// The windows that are open, where there are several.
  void addWindows(class QMenu& menu);
  void showProjects();
  void updateActions();
  void save(bool as, std::function<void(bool)> then = {});
  void saveTo(const QString& path, bool over, std::function<void(bool)> then);
  /// What is to be known of what came in, or asked about it.
  void tellBroughtIn(int id);
  void askForPages(const QString& file, int page, int pages);
  void exportTo(const QString& path);
  void chooseGcodeProfile();
  /// The project of a run as it was, as a new one.
  void openAgain(const QString& text, const QString& name);
  void remember(const QString& path);
  void watchRun();
  void takeUpRun(const BrokenRun& run);

  Session session_;
  RunController* run_;
  Actions actions_;
  Typing* typing_;
  TopBar* top_;
  Ledger* ledger_;
  Bench* bench_;
  SheetDesk* desk_;
  SheetsView* sheets_;
  LogDesk* log_;
  class LogView* season_;
  MakeDesk* making_;
  MakeView* make_;
  class PhotographView* photograph_;
  QStackedWidget *ledgers_, *tables_;
  Notice* notice_;
  ShapeActions* shapes_ = nullptr;
  CopyActions* copies_ = nullptr;
  PlaceActions* places_ = nullptr;
  LetteringActions* lettering_ = nullptr;
  class RecipePanel* recipe_;
  QStackedWidget* panels_;
  class Practice* practice_ = nullptr;
  HelpDesk* help_ = nullptr;
  class RunPanel* run_panel_ = nullptr;
  QWidget* right_;  // the panels and what stands above them
  PassesPanel* passes_;
  SecondLook* look_;
  Lanes* lanes_;
  Stage stage_ = Stage::draft;
  bool look_open_ = false, closing_ = false;
  bool pointing_ = false;  // at what a run left farthest off
  bool lanes_folded_ = false, room_folded_ = true;
};

}  // namespace dotlane
