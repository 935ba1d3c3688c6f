// A run: the plan as it was at the start, the link to the cutter, and where things stand.
#pragma once

#include <QObject>
#include <memory>

#include "app/session.hpp"
#include "device/cutter_link.hpp"
#include "render/print_sheet.hpp"

namespace dotlane {

class RunController : public QObject {
  Q_OBJECT
 public:
  enum class State { idle, running, held, paused, over };

  RunController(Session& session, std::unique_ptr<CutterLink> link, QObject* parent = nullptr);

  [[nodiscard]] State state() const { return state_; }
  [[nodiscard]] const Plan& plan() const { return *plan_; }  ///< of this run
  [[nodiscard]] const RunRecord& record() const { return link_->record(); }
  /// What is printed on the sheets of this run, and where they lie instead of where they were planned, by sheet id.
  [[nodiscard]] const std::shared_ptr<const Print>& print() const { return print_; }
  [[nodiscard]] const std::map<int, Affine>& lies() const { return lies_; }
  [[nodiscard]] const HeadState& head() const { return head_; }
  [[nodiscard]] const Pause* pause() const;  ///< while paused
  [[nodiscard]] const QString& problem() const { return problem_; }
  /// The pass under way, from 1, and the place on the plan's clock.
  [[nodiscard]] int currentPass() const;
  [[nodiscard]] double planTime() const;
  /// Seconds still to go, hands included.
  [[nodiscard]] double secondsLeft() const;
  [[nodiscard]] bool active() const { return state_ != State::idle && state_ != State::over; }

  void setTimeScale(double scale);
  void start();
  void confirmLoaded(const std::vector<std::string>& holders);
  void hold();
  void resume();
  void cancel();
  /// Forgets the run that is over.
  void clear();

 signals:
  void stateChanged();
  void moved();

 private:
  void set(State state);

  Session& session_;
  std::unique_ptr<CutterLink> link_;
  State state_ = State::idle;
  std::shared_ptr<const Plan> plan_ = std::make_shared<const Plan>();
  std::shared_ptr<const Print> print_;
  std::map<int, Affine> lies_;
  unsigned runs_ = 0;      // so far: printed sheets lie otherwise in each
  bool starting_ = false;  // the job is being compiled aside
  HeadState head_;
  LoadMarker wanted_;
  QString problem_;
};

}  // namespace dotlane
