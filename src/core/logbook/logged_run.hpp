// A run as the logbook keeps it: everything that says what was set and what came of it, without the project.
#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/job/run_record.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// How something came out, as who weeded and lifted it says.
enum class CameOut { unsaid, good, weak, strong, torn, skipped };
inline constexpr std::array kCameOut{CameOut::unsaid, CameOut::good, CameOut::weak,
                                     CameOut::strong, CameOut::torn, CameOut::skipped};
[[nodiscard]] std::string_view word(CameOut out);
[[nodiscard]] std::optional<CameOut> came_out_from(std::string_view word);

/// How parts came off.
enum class Weeding { unsaid, easy, hard };
inline constexpr std::array kWeedings{Weeding::unsaid, Weeding::easy, Weeding::hard};
[[nodiscard]] std::string_view word(Weeding weeding);
[[nodiscard]] std::optional<Weeding> weeding_from(std::string_view word);

/// Tool and stock stand in it as they were: both may be changed or gone by now.
struct LoggedPass {
  int index = 1;  ///< from 1, as in the plan
  Role role = Role::cut;
  std::string tool, tool_name, tool_kind;
  std::string stock, stock_name;
  double thickness_mm = 0, grammage_gsm = 0;
  int holder = 1;
  double force_gf = 0, speed_mm_s = 0, depth = 0;
  int repeats = 1;
  double planned_s = 0, real_s = 0;  ///< real: on the machine's own clock; 0 where nobody knows
  double pace = 1;                   ///< of the machine in this role, as it was known then: it is in what was planned
  int lifts = 0;
  double metres = 0;  ///< marked
  CameOut came_out = CameOut::unsaid;
  friend bool operator==(const LoggedPass&, const LoggedPass&) = default;
};

struct LoggedPause {
  int number = 1;
  double planned_s = 0, real_s = 0;  ///< what hands took; 0 where nobody knows
  friend bool operator==(const LoggedPause&, const LoggedPause&) = default;
};

/// A sheet or scrap that was used up.
struct LoggedSheet {
  int sheet = 1;
  std::string stock;
  double width_mm = 0, height_mm = 0;
  int shelf = 0;  ///< what it was taken from there; 0: nobody said
  bool scrap = false;
  friend bool operator==(const LoggedSheet&, const LoggedSheet&) = default;
};

struct LoggedRun {
  std::int64_t id = 0;      ///< in its logbook; 0: in none yet
  std::string job;          ///< the run's own name, the same in its journal
  std::string begun;        ///< local time, ISO 8601
  std::string project;      ///< its name
  std::string file;         ///< where it was saved, if it was
  std::string project_key;  ///< of the copy that is kept
  std::string machine;
  bool rehearsed = false;  ///< on the simulated cutter
  bool test_cut = false;
  Outcome outcome = Outcome::done;
  int parts = 1;  ///< streams: more than one where it was broken off and gone on with
  double planned_s = 0, real_s = 0;
  int strokes = 0, missing = 0;
  double farthest_mm = 0;  ///< off the plan, where that is known
  Weeding weeding = Weeding::unsaid;
  std::string note;
  std::vector<LoggedPass> passes;
  std::vector<LoggedPause> pauses;
  std::vector<LoggedSheet> sheets;
  std::vector<std::string> photos;  ///< names of files beside the logbook
  friend bool operator==(const LoggedRun&, const LoggedRun&) = default;
};

}  // namespace dotlane
