// Run: what to load before the start, how far it is, the card at each pause, what came of it.
#pragma once

#include <QComboBox>
#include <QProgressBar>
#include <QPushButton>

#include "app/panels/cutter_choice.hpp"
#include "app/panels/panel.hpp"
#include "app/run_controller.hpp"
#include "core/plan/setup_cards.hpp"

namespace dotlane {

class RunPanel : public Panel {
  Q_OBJECT
 public:
  RunPanel(Session& session, RunController& run, LogDesk& log, QWidget* parent);
  /// On the simulated cutter, with the pace and the mishaps that are chosen here; nothing where another is chosen.
  void rehearse();

 signals:
  void printAsked();                 ///< what is printed is to be saved
  void jobSheetAsked();              ///< the job sheet is
  void exercisesAsked();             ///< something is to be practised
  void placeAsked(dotlane::Vec at);  ///< mm on the mat: it is to be seen from near

 private:
  void rebuild();
  void buildReady();
  /// Reaches the cutter that is chosen, then starts.
  void begin(const std::function<void()>& start);
  void buildRunning();
  void buildPause();
  void buildOver();
  void addOutcome();
  void askHow();  // it came out
  void addGoingOn();
  void progress();
  void addCard(const SetupCard& card, QVBoxLayout* box, QWidget* parent, bool choose);
  void addHolders(QVBoxLayout* box, QWidget* parent, const std::vector<HolderLoad>& loads);
  /// When hands are needed again.
  void addNext(const SetupCard& card);
  void showDrying();
  QPushButton* addButton(const QString& text, const char* kind, const char* name, QLayout* row,
                         std::function<void()> run);

  Session& session_;
  RunController& run_;
  LogDesk& log_;
  QVBoxLayout* contents_;
  CutterChoice* choice_;
  bool chosen_ = false;  // another cutter than the simulated one was run on
  QProgressBar* bar_ = nullptr;
  QPushButton* leads_on_ = nullptr;  // of the buttons shown, the one to press next
  QLabel* where_ = nullptr;
  QLabel* left_ = nullptr;
  QLabel* drying_ = nullptr;    // while ink dries
  QVBoxLayout* how_ = nullptr;  // where that is asked, once the run is written down
  std::vector<QComboBox*> holder_boxes_;
  int scale_row_ = 1, what_if_row_ = 0;
};

}  // namespace dotlane
