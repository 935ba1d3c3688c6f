// Job: the instruction stream for the cutter, compiled from a plan.
//
// HPGL at 40 units a mm, x to the right, y up, the origin at the lower left corner of the mat. Used instructions:
//   IN; SPn; (holder n, 0 at the end)  VSv; (speed in cm/s)  FSf; (force in grams)  PUx,y;  PDx,y,...;
// and comments, which other readers pass over, as markers that Dot Lane's cutter acts on:
//   CO "dot-lane start mat 1 holders 1=pen-black 2=fine-blade";   what is loaded before the first move
//   CO "dot-lane pause 1 mat 1 holders 1=scoring-tip 2=fine-blade";   stop until exactly this is loaded
// An empty holder is written "-". Pauses count from 1.
#pragma once

#include <string>
#include <vector>

#include "core/error.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

inline constexpr double kHpglPerMm = 40;

struct Job {
  std::string hpgl;
  Machine machine;
  Plan plan;  ///< what the stream was compiled from
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

}  // namespace dotlane
