// The journal of a run: what was sent, what the cutter confirmed, what hands did, a line of JSON each, written ahead.
//
// The protocol. Nothing is sent before the journal that allows it is on the disk, and nothing more is sent before what
// the cutter has confirmed by then is on it, too. So after any end of either side
//   - what is recorded as done was done,
//   - what is not recorded as sent was not begun,
//   - and what lies between (at most kAhead strokes) is known by a cutter that remembers; of another one a person is
//     asked, who has the work before him.
// Lines are synced in groups: while one group is being written what comes meanwhile waits, at most a second. A last
// line that was cut off does not count.
//
// A run is a folder: "journal.jsonl", "project.dotlane" (as it was), and what the simulated cutter remembers,
// "mat.jsonl".
#pragma once

#include <string>
#include <vector>

#include "core/error.hpp"
#include "core/job/job.hpp"
#include "core/job/run_record.hpp"

namespace dotlane {

inline constexpr std::size_t kAhead = 50;  ///< strokes that may be on their way to a cutter that does not remember

struct JournalHead {
  std::string job;            ///< a name of its own
  std::string project, file;  ///< its name; where it was saved, if it was
  std::string begun;          ///< local time, ISO 8601
  std::size_t instructions = 0, bytes = 0;
  unsigned checksum = 0;   ///< CRC-32 of the whole job's HPGL: the job made again must be this one
  unsigned laid_seed = 1;  ///< by which a rehearsal laid printed sheets
  bool rehearsed = false;  ///< on the simulated cutter
  bool test_cut = false;   ///< only small shapes in free corners
  friend bool operator==(const JournalHead&, const JournalHead&) = default;
};
[[nodiscard]] unsigned checksum_of(std::string_view text);

/// One line. Only what it says is read.
struct JournalLine {
  enum class Kind { part, sent, done, pause, card, loaded, held, lost, unloaded, end } kind = Kind::done;
  int number = 0;                      ///< part: which stream of the job begins; pause: which
  JobPlace place{};                    ///< part: where it begins; done: everything before is; sent: up to there
  double seconds = 0;                  ///< done: on the cutter's clock, of all parts
  std::string text{};                  ///< card: the point acknowledged; lost: why; end: the outcome
  std::vector<std::string> holders{};  ///< loaded
  double ms = 0;                       ///< pause, loaded: the time, milliseconds since 1970; 0: nobody said
};

struct JournalState {
  JournalHead head;
  std::vector<JobPlace> parts;  ///< where each stream begins, in their order
  JobPlace sent, done;
  double seconds = 0;
  std::vector<std::string> cards;  ///< points acknowledged
  bool unloaded = false;           ///< the mat was taken out: register is lost
  std::string outcome;             ///< empty while it has none
  std::vector<JournalLine> lines;  ///< what was done, and when hands were waited for, in order
  [[nodiscard]] bool broken_off() const { return outcome.empty() && !unloaded; }
};

[[nodiscard]] std::string journal_text(const JournalHead& head);
[[nodiscard]] std::string journal_text(const JournalLine& line);
/// Errors name the file and the line.
[[nodiscard]] Result<JournalState> read_journal(const std::string& path);

/// A file that only grows.
class JournalFile {
 public:
  JournalFile() = default;
  JournalFile(const JournalFile&) = delete;
  JournalFile& operator=(const JournalFile&) = delete;
  ~JournalFile();
  /// Opens it for adding, by one program at a time; a last line that was cut off is cut away first.
  Result<void> open(const std::string& path);
  /// Adds text and waits until it is on the disk. After an error the file ends as before.
  Result<void> add(std::string_view text);

 private:
  std::string path_;
  int file_ = -1;
};

}  // namespace dotlane
