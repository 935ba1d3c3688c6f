// A schedule's problem in numbers, what a row of passes costs, and a first row that keeps the rules.
#pragma once

#include <array>
#include <string>
#include <vector>

#include "core/plan/schedule.hpp"

namespace dotlane::scheduling {

inline constexpr std::size_t kMostHolders = 4;
inline constexpr int kNone = -1;

struct Held {
  int tool = kNone;
  double depth = 0;
  friend bool operator==(const Held&, const Held&) = default;
};
using Holders = std::array<Held, kMostHolders>;
using Need = Held;  // what a task wants to find in a holder

/// The problem with numbers for names, and what hangs on each task.
struct Shop {
  const ScheduleProblem& problem;
  std::size_t holders;
  std::vector<std::string> names;                // of tools
  std::vector<Need> needs;                       // of each task
  std::vector<int> owned;                        // of each tool
  std::vector<std::vector<bool>> takes;          // of each tool: which holders take it
  bool restricted = false;                       // some holder does not take every tool
  std::vector<std::vector<std::size_t>> after;   // of each task: those it waits for
  std::vector<std::vector<const Drying*>> wets;  // of each task: what it leaves wet for others
  std::vector<std::vector<std::size_t>> phases;  // tasks, a mat at a time
  Holders start;

  explicit Shop(const ScheduleProblem& problem);

  [[nodiscard]] static bool serves(const Held& held, const Need& need) {
    return held.tool == need.tool && (need.depth == 0 || held.depth == need.depth);
  }
  [[nodiscard]] double way(int from, std::size_t to) const {
    if (problem.way.empty()) return 0;
    return problem.way[from == kNone ? problem.tasks.size() : static_cast<std::size_t>(from)][to];
  }
  /// Of what one holder gets: whether it is a tool, and how long hands take.
  [[nodiscard]] double hands_s(const Held& before, const Held& now) const {
    return before.tool == now.tool ? problem.set_s : problem.swap_s;
  }
  /// No more of a tool than there are.
  [[nodiscard]] bool owns(const Holders& now) const {
    for (std::size_t h = 0; h < holders; ++h) {
      if (now[h].tool == kNone) continue;
      int same = 0;
      for (std::size_t g = 0; g < holders; ++g) same += now[g].tool == now[h].tool;
      if (same > owned[static_cast<std::size_t>(now[h].tool)]) return false;
    }
    return true;
  }
};

struct Move {  // one task run, with what hands did before it
  std::size_t task = 0;
  int holder = 0;
  bool pause = false, new_mat = false;
  Holders now;
};

/// Times and costs of moves: the one place where these are worked out.
[[nodiscard]] Schedule timed(const Shop& shop, const std::vector<Move>& moves);

/// Any schedule that keeps the rules: tasks as they come, those first for which hands are not needed. Fewer moves than
/// there are tasks where `before` runs in a ring.
[[nodiscard]] std::vector<Move> greedy(const Shop& shop);

}  // namespace dotlane::scheduling
