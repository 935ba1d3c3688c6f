// A run: the plan as it was at the start, the link to the cutter, and where things stand.
#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <memory>
#include <optional>

#include "app/awake.hpp"
#include "app/log/log_desk.hpp"
#include "app/session.hpp"
#include "core/job/outcome.hpp"
#include "device/job_runner.hpp"
#include "render/print_sheet.hpp"

namespace dotlane {

class RunController : public QObject {
  Q_OBJECT
 public:
  enum class State { idle, running, held, paused, over };

  /// Runs are written down in `log`.
  RunController(Session& session, LogDesk& log, std::unique_ptr<CutterLink> link, QObject* parent = nullptr);

  [[nodiscard]] State state() const { return state_; }
  [[nodiscard]] const Plan& plan() const { return *plan_; }  ///< of this run
  [[nodiscard]] const RunRecord& record() const { return runner_.record(); }
  /// What is printed on the sheets of this run, and where they lie instead of where they were planned, by sheet id.
  [[nodiscard]] const std::shared_ptr<const Print>& print() const { return print_; }
  [[nodiscard]] const std::map<int, Affine>& lies() const { return lies_; }
  [[nodiscard]] const HeadState& head() const { return head_; }
  [[nodiscard]] const Pause* pause() const;  ///< while paused
  /// Why nothing more is sent; empty while it is.
  [[nodiscard]] const QString& journalProblem() const { return runner_.journalProblem(); }
  [[nodiscard]] Capabilities cutter() const { return runner_.capabilities(); }
  void setCutter(std::unique_ptr<CutterLink> link) { runner_.setLink(std::move(link)); }
  /// What the run that is over left, held against the plan; nothing while it is worked out.
  [[nodiscard]] const std::optional<OutcomeReport>& outcome() const { return outcome_; }
  /// A run that is over before it was done, its mat where it was.
  [[nodiscard]] bool canGoOn() const;
  /// Strokes of the job, those that are made, and those that may be: where nobody knows, hands say.
  struct Strokes {
    std::size_t all = 0, made = 0, maybe = 0;
  };
  [[nodiscard]] Strokes strokes() const;
  /// What has to be loaded where it goes on, by holder.
  [[nodiscard]] std::vector<std::string> holdersNow() const { return runner_.holdersNow(); }
  /// The desktop may go to sleep in the middle of it.
  [[nodiscard]] bool maySleep() const { return active() && awake_.refused(); }
  [[nodiscard]] bool unsure() const { return runner_.unsure(); }
  [[nodiscard]] const QString& problem() const { return problem_; }
  /// While paused: seconds since the pause began.
  [[nodiscard]] double pausedFor() const;
  /// A point of a card that hands acknowledge: it goes into the journal.
  void acknowledge(const QString& point) { runner_.acknowledge(point.toStdString()); }
  /// The pass under way, from 1, and the place on the plan's clock.
  [[nodiscard]] int currentPass() const;
  [[nodiscard]] double planTime() const;
  /// Seconds still to go, hands included.
  [[nodiscard]] double secondsLeft() const;
  [[nodiscard]] bool active() const { return state_ != State::idle && state_ != State::over; }

  /// The run that is over, once it stands in the logbook; and what was said of it since.
  [[nodiscard]] const std::optional<LoggedRun>& logged() const { return logged_; }

  void setTimeScale(double scale);
  /// What is to go wrong in the next rehearsal, by chance; `landing`: tools land a little off.
  void setWhatIf(bool landing, std::optional<FaultKind> fault) { landing_ = landing, fault_ = fault; }
  /// What the simulated cutter is made of instead of what the project says; nothing: as the project says.
  using World = std::function<Physics(const Project&)>;
  void setWorld(World world) { world_ = std::move(world); }
  /// The job of the run under way or over, and what it was made from.
  [[nodiscard]] const std::shared_ptr<const Job>& job() const { return runner_.job(); }
  [[nodiscard]] const std::shared_ptr<const Derived>& derived() const { return run_of_; }
  void start();
  /// Cuts a small shape in a free corner of each sheet first; said where there is none.
  void startTest();
  /// The run under way or over is that.
  [[nodiscard]] bool testing() const { return testing_; }
  /// Goes on with a run that is over, from where it stopped, or after so many strokes.
  void goOn();
  void goOnAfter(std::size_t strokes);
  /// While held: the pass under way is left, or made once more from its beginning.
  void leavePass();
  void repeatPass();
  /// The mat of the run that is over was taken out: it cannot be gone on with.
  void matTakenOut();
  /// Takes up the run in this folder, whose project is the one at hand.
  void takeUp(const QString& folder);
  void confirmLoaded(const std::vector<std::string>& holders);
  void hold();
  void resume();
  void cancel();
  /// Forgets the run that is over.
  void clear();

 signals:
  void stateChanged();
  void writtenDown();  ///< the run that is over stands in the logbook
  void moved();

 private:
  void set(State state);
  void judge();
  void writeDown(const OutcomeReport& found, const std::shared_ptr<const RunRecord>& record);
  void begin(const std::shared_ptr<const Derived>& derived);
  void jumpTo(std::size_t pass);

  Session& session_;
  LogDesk& log_;
  JobRunner runner_;
  Awake awake_;
  State state_ = State::idle;
  World world_;
  std::shared_ptr<const Derived> run_of_;
  std::shared_ptr<const Project> run_project_;
  std::shared_ptr<const std::string> run_text_;  // the project file as it was
  std::optional<LoggedRun> logged_;
  std::shared_ptr<const Plan> plan_ = std::make_shared<const Plan>();
  std::shared_ptr<const Print> print_;
  std::map<int, Affine> lies_;
  unsigned runs_ = 0;      // so far: printed sheets lie otherwise in each
  bool starting_ = false;  // the job is being compiled aside
  std::optional<OutcomeReport> outcome_;
  bool mat_out_ = false, landing_ = false, testing_ = false;
  std::optional<FaultKind> fault_;
  HeadState head_;
  QElapsedTimer paused_since_;
  LoadMarker wanted_;
  QString problem_;
};

}  // namespace dotlane
