// The one interface through which Dot Lane drives a cutter. The simulated one implements it; another device could.
#pragma once

#include <QObject>
#include <string>
#include <vector>

#include "core/job/job.hpp"
#include "core/job/run_record.hpp"

namespace dotlane {

/// Where the head is, on the cutter's own clock.
struct HeadState {
  Vec position;  ///< mm on the mat
  bool down = false;
  double seconds = 0;
  std::string tool;  ///< in the selected holder
  int mat = 1;
};

/// One run at a time. After start(), signals follow until exactly one finished().
class CutterLink : public QObject {
  Q_OBJECT
 public:
  using QObject::QObject;

  /// Sends the job. `holders` is what the user says is loaded, by tool id.
  virtual void start(const Job& job, const std::vector<std::string>& holders) = 0;
  /// At a pause: what the user says is loaded now. wrongLoad() follows when the job wants something else.
  virtual void confirmLoaded(const std::vector<std::string>& holders) = 0;
  virtual void hold() = 0;
  virtual void resume() = 0;
  virtual void cancel() = 0;
  /// How fast the rehearsal goes: 1 = as the real machine, 0 = as fast as it can. A real device ignores it.
  virtual void setTimeScale(double scale) = 0;
  [[nodiscard]] virtual bool running() const = 0;
  /// What has happened so far, marks included.
  [[nodiscard]] virtual const RunRecord& record() const = 0;

 signals:
  void moved(const dotlane::HeadState& head);
  void paused(const dotlane::LoadMarker& wanted);
  void wrongLoad(const QString& problem);
  void finished(const dotlane::RunRecord& record);
};

}  // namespace dotlane
