// The simulated cutter itself: takes an HPGL stream, moves a head, stops at pauses, remembers what was marked.
// No clock, no sockets: time passes only when advance() says so. dot-lane-simcutter wraps it in a process.
#pragma once

#include <deque>
#include <string>
#include <string_view>
#include <vector>

#include "core/job/job.hpp"
#include "core/job/run_record.hpp"

namespace dotlane {

class Cutter {
 public:
  enum class State {
    waiting,  ///< for more of the stream
    running,
    paused,  ///< at a pause marker, until loaded() says what is in the holders
    held,    ///< stopped by hold()
    finished,
    cancelled,
    failed,
  };

  /// `holders` is what a person loaded before the start; a start marker that wants something else fails the run.
  /// `printed` lies on the mats; its marks are found by a sensor whose noise is by `seed`.
  Cutter(Machine machine, std::vector<std::string> holders, std::vector<PrintedSheet> printed = {}, unsigned seed = 1);

  /// Takes the next bytes of the stream. A fault in it fails the run once all before it has been carried out.
  void feed(std::string_view bytes);
  /// Says that the stream is complete.
  void end();
  /// Lets `seconds` pass; returns how many were used before the head had to stop.
  double advance(double seconds);
  /// At a pause: what is in the holders now. Returns an empty text when that is what the job wants (it goes on), else
  /// what is wrong (it stays paused).
  std::string loaded(const std::vector<std::string>& holders);
  void hold();
  void resume();
  void cancel();

  [[nodiscard]] State state() const { return state_; }
  [[nodiscard]] const std::string& problem() const { return problem_; }
  [[nodiscard]] const LoadMarker& wanted() const { return wanted_; }  ///< while paused
  [[nodiscard]] Vec position() const { return head_; }                ///< mm on the mat
  [[nodiscard]] bool down() const { return down_; }
  [[nodiscard]] double seconds() const { return seconds_; }
  [[nodiscard]] int pauses() const { return pauses_; }
  [[nodiscard]] int mat() const { return mat_; }
  [[nodiscard]] const std::string& tool() const;  ///< in the holder that is selected
  [[nodiscard]] const std::map<std::string, double>& marked_mm() const { return marked_mm_; }
  /// Bytes of the stream that have been dealt with since the last call: the sender may send as many more.
  [[nodiscard]] std::size_t take_credit();
  /// Marks made since the last call. A stroke under way comes in parts, each starting where the one before ended.
  [[nodiscard]] std::vector<Mark> take_marks();
  /// Sheets whose marks were found since the last call.
  [[nodiscard]] std::vector<Registration> take_registrations();

 private:
  struct Step {
    enum class Kind { travel, stroke, select, speed, marker, marks, as_laid, fault } kind;
    std::vector<Vec> points;  // travel: the target; stroke: from the second point on
    double number = 0;
    LoadMarker marker;
    std::string text;
    std::size_t bytes = 0;
    PrintMarks marks{};  // of the sheet `number`
  };

  void take(const HpglInstruction& instruction);
  void add_points(const HpglInstruction& instruction);
  void finish_stroke();
  bool begin();  // takes the next step; false when the head has to stop
  void mark_up_to(double t);
  void fail_run(std::string problem);
  /// Finds the marks of the sheet and takes where it lies into account; false when it cannot.
  bool register_sheet(int sheet, const PrintMarks& marks);

  Machine machine_;
  std::vector<std::string> holders_;
  std::vector<PrintedSheet> printed_;
  unsigned seed_;
  std::map<int, Affine> found_;  // sheets whose marks were found since the mat went in
  Affine moved_;                 // what follows, from where it is planned to where it is worked
  std::vector<Registration> registrations_;
  HpglParser parser_;
  std::deque<Step> steps_;
  Step open_{Step::Kind::stroke, {}, 0, {}, {}, 0};  // the stroke being read
  bool pen_down_in_stream_ = false;
  bool ended_ = false, faulty_ = false;

  State state_ = State::waiting;
  std::string problem_;
  LoadMarker wanted_;
  int holder_ = 0, mat_ = 1, pauses_ = 0;
  double speed_ = 100, seconds_ = 0;
  Vec head_;
  bool down_ = false;

  // The step under way: lowering, moving, lifting.
  bool busy_ = false, stroke_ = false;
  Motion motion_;
  double t_ = 0, lower_ = 0, lift_ = 0;
  std::size_t busy_bytes_ = 0;
  Vec marked_to_;
  std::size_t marked_move_ = 0;

  std::map<std::string, double> marked_mm_;
  std::vector<Mark> marks_;
  std::size_t credit_ = 0;
};

}  // namespace dotlane
