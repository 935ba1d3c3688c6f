// The simulated cutter itself: takes a stream, moves a head, stops at pauses, remembers what was marked. It knows the
// stream that it is sent, what it is made of (physics.hpp) and nothing else.
// No clock, no sockets: time passes only when advance() says so. dot-lane-simcutter wraps it in a process.
#pragma once

#include <deque>
#include <memory>
#include <optional>
#include <random>
#include <set>
#include <string>
#include <string_view>
#include <vector>

#include "core/job/command.hpp"
#include "core/job/mark_sensor.hpp"
#include "core/job/markers.hpp"
#include "core/job/physics.hpp"
#include "core/job/run_record.hpp"
#include "core/job/tip_follower.hpp"
#include "core/plan/motion.hpp"

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
  /// What it is made of; without it tools mark where the head is, and nothing goes wrong.
  void set_physics(Physics physics);
  /// What the stream is written in: HPGL where nothing is said.
  void set_reader(std::unique_ptr<StreamReader> reader) { reader_ = std::move(reader); }
  /// So long it has run on this job already: faults of before are over.
  void set_clock(double seconds);
  /// Which stream of its job it works on.
  void set_part(int part) { part_ = part; }

  /// Takes the next bytes of the stream. A fault in it fails the run once all before it has been carried out.
  void feed(std::string_view bytes);
  /// Says that the stream is complete.
  void end();
  /// Lets `seconds` pass; returns how many were used before the head had to stop.
  double advance(double seconds);
  /// At a pause: what is in the holders now. Returns nothing when that is what the job wants (it goes on), else what is
  /// wrong (it stays paused).
  std::optional<Said> loaded(const std::vector<std::string>& holders);
  void hold();
  void resume();
  void cancel();

  [[nodiscard]] State state() const { return state_; }
  [[nodiscard]] const Said& problem() const { return problem_; }
  [[nodiscard]] const LoadMarker& wanted() const { return wanted_; }  ///< while paused
  [[nodiscard]] Vec position() const { return head_; }                ///< where it was sent, mm
  [[nodiscard]] bool down() const { return down_; }
  [[nodiscard]] double seconds() const { return seconds_; }
  [[nodiscard]] int pauses() const { return pauses_; }
  [[nodiscard]] int mat() const { return mat_; }
  [[nodiscard]] const std::string& tool() const;  ///< in the holder that is selected
  [[nodiscard]] const std::map<std::string, double>& marked_mm() const { return marked_mm_; }
  /// Bytes of the stream, from its beginning, whose work is done; and how far it is into the stroke after them, mm.
  [[nodiscard]] std::size_t done() const { return done_; }
  [[nodiscard]] double under_way_mm() const;
  /// Bytes of the stream that have been dealt with since the last call: the sender may send as many more.
  [[nodiscard]] std::size_t take_credit();
  /// Marks made since the last call. A stroke under way comes in parts, each starting where the one before ended.
  [[nodiscard]] std::vector<Mark> take_marks();
  /// Sheets whose marks were found since the last call.
  [[nodiscard]] std::vector<Registration> take_registrations();

 private:
  struct Step {
    enum class Kind { travel, stroke, select, speed, force, depth, marker, marks, as_laid, fault } kind = Kind::stroke;
    std::vector<Vec> points{};     // travel: the target; stroke: from the second point on
    std::vector<double> speeds{};  // stroke: on the way to each point, mm/s
    double number = 0;
    LoadMarker marker{};
    Said why{};             // of a fault
    std::size_t bytes = 0;  // that are given back when it is done
    std::size_t end = 0;    // of the stream, after it
    PrintMarks marks{};     // of the sheet `number`
  };

  void take(const Command& command);
  void finish_stroke();
  bool begin();  // takes the next step; false when the head has to stop
  void set_down();
  [[nodiscard]] double strength() const;  // of what is marked now
  void mark_up_to(double t);
  void leave_mark(std::vector<Vec> points, double from_mm, double to_mm);
  void fail_run(Said problem);
  void meet_faults(bool before = false);
  /// What the hands have put there, which is what marks.
  [[nodiscard]] const std::string& really() const;
  [[nodiscard]] const ToolBody& body() const;
  void lay_mat();  // the one that the marker names
  void hands_have_had(const std::vector<std::string>& before);
  /// Finds the marks of the sheet and takes where it lies into account; false when it cannot.
  bool register_sheet(int sheet, const PrintMarks& marks);

  Machine machine_;
  std::vector<std::string> holders_;
  std::vector<PrintedSheet> printed_;
  unsigned seed_;
  int part_ = 1;
  std::map<int, Affine> found_;  // sheets whose marks were found since the mat went in
  Affine moved_;                 // what follows, from where it is planned to where it is worked
  std::vector<Registration> registrations_;
  std::unique_ptr<StreamReader> reader_;
  std::deque<Step> steps_;
  Step open_;                         // the stroke being read
  std::size_t taken_ = 0, done_ = 0;  // bytes
  std::size_t pause_end_ = 0;         // where the pause's marker ends
  bool pen_down_in_stream_ = false;
  double speed_in_stream_ = 100;
  bool ended_ = false, faulty_ = false;

  State state_ = State::waiting;
  Said problem_;
  LoadMarker wanted_;
  int holder_ = 0, mat_ = 1, pauses_ = 0;
  double force_ = 0, depth_ = 0, seconds_ = 0;
  Vec head_;
  bool down_ = false;

  // The step under way: lowering, moving, lifting.
  bool busy_ = false, stroke_ = false;
  Motion motion_;
  double t_ = 0, lower_ = 0, lift_ = 0;
  std::size_t busy_bytes_ = 0, busy_end_ = 0;
  Vec marked_to_;
  std::size_t marked_move_ = 0;
  double marked_mm_here_ = 0;  // of the head's way

  Physics physics_;
  std::mt19937 random_{1};
  std::size_t met_ = 0;                      // faults, in the order of their times
  std::map<std::string, TipFollower> tips_;  // by tool
  std::set<std::string> dry_, worn_;
  bool dries_ = false, wears_ = false, swapped_ = false;
  Vec landed_;  // off by that much, this time
  Vec slipped_;
  std::set<int> lain_;  // mats that were in
  int in_ = 0;          // the one that is; 0: none yet

  std::map<std::string, double> marked_mm_;
  std::vector<Mark> marks_;
  std::size_t credit_ = 0;
};

}  // namespace dotlane
