// The one interface through which Dot Lane drives a cutter: what it can do, how much it may be sent, what it says. The
// simulated one, a file and a port implement it; another device could.
#pragma once

#include <QObject>
#include <optional>
#include <string>
#include <vector>

#include "core/job/job.hpp"
#include "core/job/physics.hpp"
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

struct Capabilities {
  QString name;
  bool confirms = false;         ///< it says what it has carried out
  bool remembers = false;        ///< and still knows after the line was lost or the power
  bool shows_head = false;       ///< it says where the head is, and what was marked
  bool rehearses = false;        ///< it can go faster than the machine
  bool pauses = false;           ///< it stops at markers by itself and waits
  std::size_t buffer_bytes = 0;  ///< what it holds beyond what it has carried out; 0: not known
};

/// What a cutter knows of the job it was on last.
struct DeviceMemory {
  std::string job;       ///< empty: of none
  int part = 0;          ///< of its streams
  std::size_t done = 0;  ///< bytes of that stream
  double run_mm = 0;     ///< how far it was into the stroke after them
  double seconds = 0;    ///< on its clock, of the whole job
  /// Where the head of a cutter stands that remembers no job, mm from the lower left, y up; and whether the tool is
  /// down.
  std::optional<Vec> at{};
  bool down = false;
};

/// A stream of a job: the whole of it, or the rest from some place on.
struct Shipment {
  std::string job;
  int part = 1;
  Encoded stream;
  std::vector<std::pair<std::size_t, LoadMarker>> pauses;  ///< by the instruction that is one
  Machine machine;
  std::vector<std::string> holders;  ///< what hands say is loaded, by tool id
  /// For a rehearsal: what lies on the mats, and what the cutter is made of.
  std::vector<PrintedSheet> printed;
  Physics physics;
};

/// One stream at a time. open(), then opened() or ended(); send(), then signals until exactly one ended().
class CutterLink : public QObject {
  Q_OBJECT
 public:
  using QObject::QObject;

  [[nodiscard]] virtual Capabilities capabilities() const = 0;
  /// Reaches the cutter.
  virtual void open() = 0;
  /// Hands it a stream, of which nothing goes out before allow().
  virtual void send(const Shipment& shipment) = 0;
  /// So much of the stream may go out, bytes from its beginning. More each time.
  virtual void allow(std::size_t bytes) = 0;
  /// At a pause: what hands say is loaded now. wrongLoad() follows when the job wants something else.
  virtual void confirmLoaded(const std::vector<std::string>& holders) = 0;
  virtual void hold() = 0;
  virtual void resume() = 0;
  virtual void cancel() = 0;
  /// How fast a rehearsal goes: 1 = as the real machine, 0 = as fast as it can. A real device ignores it.
  virtual void setTimeScale(double scale) = 0;
  /// Lets the cutter go: nothing is said any more.
  virtual void close() = 0;
  /// For a rehearsal: the file that stands for what lies on the mat.
  virtual void keepMat(const QString& /*file*/) {}
  /// All marks of this job so far are told once more, with marked().
  virtual void recall() {}

 signals:
  void opened(const dotlane::DeviceMemory& memory);
  void moved(const dotlane::HeadState& head);
  void marked(const std::vector<dotlane::Mark>& marks);
  void registered(const dotlane::Registration& sheet);
  /// All before so many bytes of the stream is carried out, and so much of the stroke that follows, mm.
  void done(std::size_t bytes, double run_mm);
  void paused(const dotlane::LoadMarker& wanted);
  void wrongLoad(const QString& problem);
  void ended(dotlane::Outcome outcome, const QString& problem);
};

}  // namespace dotlane
