// What a simulated cutter is made of: how its tools really are, and what goes wrong.
#pragma once

#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// A tool as it is, whatever the project says of it.
struct ToolBody {
  double trail_mm = 0;  ///< how far the edge touches behind its axis
  Vec tip;              ///< where it touches beside the middle of the holder, mm
  bool inks = false;    ///< it runs dry
  bool edge = false;    ///< it wears
  double width_mm = 0;  ///< of what it marks; 0: as the project says
  double lasts_mm = 0;  ///< of marks, then it is dry or worn; 0: for ever
  friend bool operator==(const ToolBody&, const ToolBody&) = default;
};

enum class FaultKind {
  dry,         ///< the next ink that is down marks nothing from then on
  wear,        ///< the next blade that is down cuts half as deep from then on
  wrong_tool,  ///< the tools in the first two holders are in fact the other way round
  slip,        ///< the mat moves under the rollers
  jam,         ///< the head is blocked: the cutter stops
  link,        ///< the line goes dead, and comes back
  power,       ///< the cutter goes off, in the middle of whatever it does
  garbage,     ///< what comes over the line is damaged
  full,        ///< the cutter takes nothing more for a while
};
[[nodiscard]] std::string_view word(FaultKind kind);
[[nodiscard]] std::optional<FaultKind> fault_from(std::string_view word);
/// All words in a row, for messages.
[[nodiscard]] std::string fault_words();

struct Fault {
  FaultKind kind = FaultKind::slip;
  double at_s = 0;  ///< on the cutter's own clock
  friend bool operator==(const Fault&, const Fault&) = default;
};
/// "slip@12.5" (seconds), "power@40%" (of `running_s`), or "jam" alone: by chance with this seed. Errors name what is
/// wrong.
[[nodiscard]] Result<Fault> read_fault(std::string_view text, double running_s, unsigned seed);

/// Stock on a mat, and what a blade has to be given to go just through it.
struct LyingStock {
  int mat = 1;
  Box area;  ///< mm on the mat
  double force_gf = 0, depth = 0;
  friend bool operator==(const LyingStock&, const LyingStock&) = default;
};

struct Physics {
  std::map<std::string, ToolBody> tools;  ///< by id; who is not named is plain
  double landing_mm = 0;                  ///< how far off a tool lands: the standard deviation along x and y
  unsigned seed = 1;
  std::vector<Fault> faults;
  double reload_mm = 0;           ///< a mat that was in before lies so far beside its place
  Affine reached;                 ///< where the head comes to when it is sent to a place
  std::vector<LyingStock> stock;  ///< what blades go through; elsewhere as they should
};
/// Tools and machine as the project has them; `landing` says whether tools land as far off as its machine says.
[[nodiscard]] Physics physics_of(const Project& project, bool landing);
/// What lies on the project's mats when each stock needs what another project gives it.
[[nodiscard]] std::vector<LyingStock> lying_stock(const Project& project, const Project& needs);

}  // namespace dotlane
