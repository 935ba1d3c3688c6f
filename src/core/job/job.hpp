// Job: the instruction stream for the cutter, compiled from a plan.
//
// HPGL at 40 units a mm, x to the right, y up, the origin at the lower left corner of the mat. Used instructions:
//   IN; SPn; (holder n, 0 at the end)  VSv; (speed in cm/s)  FSf; (force in grams)  PUx,y;  PDx,y,...;
// and comments, which other readers pass over, as markers that Dot Lane's cutter acts on:
//   CO "dot-lane start mat 1 holders 1=pen-black 2=fine-blade";   what is loaded before the first move
//   CO "dot-lane pause 1 mat 1 holders 1=scoring-tip 2=fine-blade";   stop until exactly this is loaded
// An empty holder is written "-". Pauses count from 1.
//   CO "dot-lane marks sheet 2 15,21.4 289.8,21.4 289.8,283.4 15,283.4 22,21.4";   four dots and a small
//   one of a printed sheet, mm from the mat's top left: find them; what follows is moved to where the print lies
//   CO "dot-lane as-laid";   what follows stays where it is
#pragma once

#include <string>
#include <vector>

#include "core/error.hpp"
#include "core/job/mark_sensor.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

inline constexpr double kHpglPerMm = 40;

struct Job {
  std::string hpgl;
  Machine machine;
  Plan plan;  ///< what the stream was compiled from
  /// What a rehearsal finds on the mats, with how it lies there; a device knows nothing of it.
  std::vector<PrintedSheet> printed;
};

[[nodiscard]] Job compile(const Plan& plan, const Machine& machine);

/// One instruction of a stream. `text` is what stands between the quotes of a comment.
struct HpglInstruction {
  std::string code;  ///< two upper-case letters
  std::vector<double> numbers;
  std::string text;
  std::size_t bytes = 0;  ///< how much of the stream it took
};

/// Cuts a stream that arrives in pieces into instructions.
class HpglParser {
 public:
  /// Appends what is complete to `out`; the rest waits for more. Errors name the instruction's number.
  Result<void> feed(std::string_view bytes, std::vector<HpglInstruction>& out);
  /// True when nothing half-read is left.
  [[nodiscard]] bool empty() const;

 private:
  Result<HpglInstruction> read(std::string_view text) const;
  std::string pending_;
  std::size_t count_ = 0;
};

/// A start or pause marker.
struct LoadMarker {
  bool pause = false;
  int number = 0;  ///< of the pause; 0 for the start
  int mat = 1;
  std::vector<std::string> holders;  ///< tool ids, empty = nothing in it
};

[[nodiscard]] std::string marker_text(const LoadMarker& marker);
[[nodiscard]] std::optional<LoadMarker> marker_from(std::string_view text);

/// The marks of a printed sheet, to be found.
struct MarksMarker {
  int sheet = 0;
  PrintMarks marks;
};
[[nodiscard]] std::string marker_text(const MarksMarker& marker);
[[nodiscard]] std::optional<MarksMarker> marks_from(std::string_view text);
inline constexpr std::string_view kAsLaid = "dot-lane as-laid";

/// How far from its place a printed sheet is laid by hand, and how much a printer misses its size.
struct Misplaced {
  double shift_mm = 3, turn_deg = 1.5, scale = 0.002;
};
/// The printed sheets that the plan works on, each laid down by chance within that.
[[nodiscard]] std::vector<PrintedSheet> laid_by_chance(const Project& project, const Layout& layout, const Plan& plan,
                                                       unsigned seed, const Misplaced& within = {});

}  // namespace dotlane
