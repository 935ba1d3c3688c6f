// Which pass comes when, what the holders have meanwhile, and where hands are needed.
#pragma once

#include <map>
#include <string>
#include <vector>

namespace dotlane {

/// What a holder has.
struct Holding {
  std::string tool;  ///< empty: nothing
  double depth = 0;  ///< the mark that hands set on it; 0: none, or not known
  friend bool operator==(const Holding&, const Holding&) = default;
};

/// One pass to be placed.
struct Task {
  std::string tool;
  double depth = 0;          ///< the mark that its tool must be set to by hand; 0: any
  int mat = 1;               ///< number of its mat load
  double seconds = 0;        ///< running, without the way to its first stroke
  std::vector<int> holders;  ///< that take its tool, from 1; empty: all
};

/// One runs only once another has ended.
struct Before {
  std::size_t first = 0, second = 0;
  friend auto operator<=>(const Before&, const Before&) = default;
};

/// Where `ink` runs before `over`, so many seconds lie between its end and the other's start.
struct Drying {
  std::size_t ink = 0, over = 0;
  double seconds = 0;
};

struct ScheduleProblem {
  std::vector<Task> tasks;
  std::vector<Before> before;  ///< without rings
  std::vector<Drying> drying;
  /// Seconds from the end of one task to the start of another, `way[from][to]`; from home in the last row. Empty: none.
  std::vector<std::vector<double>> way;
  std::vector<Holding> loaded;       ///< in the holders beforehand; as many as there are holders, 1 to 4
  std::map<std::string, int> owned;  ///< how many of a tool there are; those not named once
  double swap_s = 45, set_s = 15, mat_s = 45;
  /// Mats come one after the other by number, and none comes back; else they come and go, as tools allow (`by_tool`).
  bool by_tool = false;
};

/// In the order in which they count; where mats come and go with the tools, swaps count before these.
struct ScheduleCost {
  int mats = 0;        ///< changes of the mat
  int pauses = 0;      ///< moments when hands are needed, mats among them; without the first loading
  int swaps = 0;       ///< tools put in and marks set, the first loading's among them
  double seconds = 0;  ///< to the end of the last task, without the first loading
};

struct ScheduleStep {
  std::size_t task = 0;
  int holder = 1;
  bool pause_before = false;     ///< hands are needed; never before the first one
  bool new_mat = false;          ///< another mat goes in at that pause
  std::vector<Holding> holders;  ///< what they have while it runs
  double start_s = 0;            ///< when the head sets out for it
  double wait_s = 0;             ///< of that, until what it runs over is dry
};

struct Schedule {
  std::vector<ScheduleStep> steps;
  ScheduleCost cost;
  bool optimal = false;  ///< no other schedule costs less
  int least_pauses = 0;  ///< no schedule has fewer
};

/// The schedule that costs least, pauses before swaps before seconds. At a pause any holders may change.
/// Method: dynamic programming over sets of tasks done, a label for each way to be there that no other one dominates
/// (its cost, when what is wet will be dry), a mat at a time; labels that cannot beat a greedy schedule are dropped.
/// Exact for up to 12 tasks a mat while no more than `labels` of them live at once and no loading has more than 12
/// things to choose from; beyond that the 300 best are kept, and more than 64 tasks on a mat are scheduled greedily.
/// `optimal` and `least_pauses` say what is proven. Without steps where `before` runs in a ring.
[[nodiscard]] Schedule make_schedule(const ScheduleProblem& problem, std::size_t labels = 50'000);

/// What a sequence costs with the holders loaded as late and as seldom as can be: what an order by hand comes to.
/// Tasks must come in an order that `before` allows, mat by mat.
[[nodiscard]] Schedule schedule_in_order(const ScheduleProblem& problem, const std::vector<std::size_t>& order);

[[nodiscard]] bool costs_less(const ScheduleCost& a, const ScheduleCost& b, bool by_tool = false);

}  // namespace dotlane
