// Calibration sheets and exercises in the window: opens them, takes over what was read, judges runs.
#pragma once

#include <QObject>
#include <functional>

#include "app/actions.hpp"
#include "app/notice.hpp"
#include "app/practice/exercise_card.hpp"
#include "app/run_controller.hpp"
#include "app/session.hpp"
#include "core/calibrate/calibration.hpp"

namespace dotlane {

class Practice : public QObject {
  Q_OBJECT
 public:
  /// `after_saving` runs what it is given once unsaved work is saved or let go.
  using AfterSaving = std::function<void(std::function<void()>)>;
  Practice(Session& session, RunController& run, Actions& actions, Notice& notice, ExerciseCard& card,
           AfterSaving after_saving, QWidget* window);

  void begin(const QString& exercise);

 signals:
  void draftAsked();  ///< something was opened: it is looked at first

 private:
  void leaving(const std::function<void()>& then);
  void calibrate();
  void openSheet(const Project& sheet);
  void offerWayBack(const CalibrationOf& of, const Readings& readings);
  void takeWorkshop();
  void end();
  void judgeRun();

  Session& session_;
  RunController& run_;
  Notice& notice_;
  ExerciseCard& card_;
  AfterSaving after_saving_;
  QWidget* window_;
  QString came_from_;  // the file that was open before a calibration sheet
  const Exercise* exercise_ = nullptr;
  std::shared_ptr<const Lesson> lesson_;
  bool opening_ = false;
};

}  // namespace dotlane
