// A run from its first to its last instruction, over as many streams as it takes: compiles what is left, keeps the
// journal before anything is sent (core/format/journal.hpp says how), and goes on where a run was broken off.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <QTimer>
#include <memory>

#include "core/format/journal.hpp"
#include "device/cutter_link.hpp"

namespace dotlane {

/// A job ready to be run, and the papers of its journal.
struct RunPapers {
  std::shared_ptr<const Job> job;
  JournalHead head;
  std::string project;  ///< the project file as it is, kept with the journal
  Physics physics;      ///< of a rehearsal
};
/// Fills in what the head says of the job; takes a while for a long one.
[[nodiscard]] RunPapers papers_of(std::shared_ptr<const Job> job, JournalHead head, std::string project,
                                  Physics physics);

class JobRunner : public QObject {
  Q_OBJECT
 public:
  explicit JobRunner(std::unique_ptr<CutterLink> link, QObject* parent = nullptr);
  ~JobRunner() override;

  [[nodiscard]] bool running() const { return running_; }
  [[nodiscard]] const RunRecord& record() const { return record_; }
  [[nodiscard]] Capabilities capabilities() const { return link_->capabilities(); }
  /// Everything before this place of the job is done, as far as is known.
  [[nodiscard]] JobPlace place() const { return done_; }
  /// Up to here it may have been sent to a cutter that does not say what it has done.
  [[nodiscard]] JobPlace sentTo() const { return sent_; }
  [[nodiscard]] int part() const { return part_; }
  /// What has to be loaded where it goes on, by tool id.
  [[nodiscard]] std::vector<std::string> holdersNow() const;
  /// Of the run under way or over; none before the first.
  [[nodiscard]] const std::shared_ptr<const Job>& job() const { return papers_.job; }
  /// What its journal says, or will say once it is written.
  [[nodiscard]] JournalState journal() const;
  /// Another cutter, while nothing runs.
  void setLink(std::unique_ptr<CutterLink> link);
  /// Why nothing more is sent: the journal cannot be written. Empty while it can.
  [[nodiscard]] const QString& journalProblem() const { return journal_problem_; }

  /// Runs a job from its beginning. `folder` is where its journal goes, made if need be; empty: none is kept.
  void start(RunPapers papers, const QString& folder);
  /// Takes up the run in this folder, whose job is this one again, after the program itself had ended: it is then as
  /// one that has just been broken off. False when its journal cannot be opened; the record says why.
  bool takeUp(RunPapers papers, const QString& folder, const JournalState& state);
  /// Nobody knows how far the cutter came: goOnAt() says it.
  [[nodiscard]] bool unsure() const { return unsure_; }
  /// Goes on after an end that was none of the job's: from where the cutter says that it stopped, or from `from` on.
  void goOn();
  void goOnAt(JobPlace from);
  /// Leaves the stream under way and goes on at another place: a pass is left out, or made once more.
  void jump(JobPlace to);

  void confirmLoaded(const std::vector<std::string>& holders);
  void hold();
  void resumeHeld();
  void cancel();
  void setTimeScale(double scale) { link_->setTimeScale(scale); }
  /// A point of a card that hands acknowledge.
  void acknowledge(const std::string& point);
  /// The mat was taken out: what is left cannot be in register.
  void matUnloaded();

 signals:
  /// What was made before is told anew.
  void recalling();
  void moved(const dotlane::HeadState& head);
  void paused(const dotlane::LoadMarker& wanted);
  void wrongLoad(const QString& problem);
  void journalChanged();
  void finished(const dotlane::RunRecord& record);

 private:
  struct Part {
    std::size_t before = 0;
    std::vector<std::size_t> ends;
    JobPlace from;
    double ahead_mm = 0;
  };
  struct Made {
    std::vector<Part> parts;  // of all streams so far
    JobRest rest;
    Encoded stream;
  };
  void listen();
  void begin();
  void opened(const DeviceMemory& memory);
  void send(std::shared_ptr<const Made> made);
  void confirmed(std::size_t bytes, double run_mm);
  void marks(std::vector<Mark> marks);
  void ended(Outcome outcome, const QString& problem);
  [[nodiscard]] static JobPlace place_of(const Part& part, std::size_t bytes, double run_mm);
  [[nodiscard]] JobPlace ahead_of(JobPlace place) const;
  void put_down(JournalLine line);
  void write();
  void allow_to(JobPlace to);

  std::unique_ptr<CutterLink> link_;
  RunPapers papers_;
  QString folder_;
  RunRecord record_;
  bool running_ = false, sending_ = false, cancelled_ = false;
  int part_ = 0;
  std::vector<JobPlace> starts_;    // where each stream began
  std::vector<JournalLine> lines_;  // as JournalState has them
  std::shared_ptr<const Made> made_;
  JobPlace done_, sent_;
  double seconds_ = 0;
  std::optional<JobPlace> from_, jump_;
  bool unsure_ = false;
  bool again_ = false;  // the job was on its way before: the cutter may know how far

  std::shared_ptr<JournalFile> journal_;
  QThreadPool writer_, aside_;
  QTimer retry_;
  std::string pending_;
  bool writing_ = false;
  QString journal_problem_;
};

}  // namespace dotlane
