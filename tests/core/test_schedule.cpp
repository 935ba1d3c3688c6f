// Schedules of passes against trying everything, and against orders at random.
#include <map>
#include <tuple>

#include "chance.hpp"
#include "core/plan/schedule.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

bool serves(const Holding& held, const Task& task) {
  return held.tool == task.tool && (task.depth == 0 || held.depth == task.depth);
}

bool takes(const ScheduleProblem& p, const std::string& tool, int holder) {
  for (const Task& task : p.tasks) {
    if (task.tool == tool && !task.holders.empty())
      return std::find(task.holders.begin(), task.holders.end(), holder) != task.holders.end();
  }
  return true;
}

bool owns(const ScheduleProblem& p, const std::vector<Holding>& holders) {
  std::map<std::string, int> held;
  for (const auto& h : holders) {
    if (!h.tool.empty()) ++held[h.tool];
  }
  return std::all_of(held.begin(), held.end(), [&](const auto& h) {
    const auto known = p.owned.find(h.first);
    return h.second <= (known == p.owned.end() ? 1 : known->second);
  });
}

/// What hands do at a pause: acts and seconds.
std::pair<int, double> hands(const ScheduleProblem& p, const std::vector<Holding>& a, const std::vector<Holding>& b) {
  std::pair<int, double> out{0, 0};
  for (std::size_t h = 0; h < a.size(); ++h) {
    if (!(a[h] == b[h])) ++out.first, out.second += a[h].tool == b[h].tool ? p.set_s : p.swap_s;
  }
  return out;
}

struct Tried {
  std::vector<bool> done;
  std::vector<Holding> holders;
  std::vector<double> dry;
  int mat = 0, last = -1;
  ScheduleCost cost;
};

Tried begin(const ScheduleProblem& p) {
  return {std::vector<bool>(p.tasks.size()), p.loaded, std::vector<double>(p.tasks.size(), 0), 0, -1, {}};
}

/// May be run now, hands apart.
template <class At>
bool open_to(const ScheduleProblem& p, const At& m, std::size_t task) {
  if (m.done[task]) return false;
  for (const Before& b : p.before) {
    if (b.second == task && !m.done[b.first]) return false;
  }
  for (std::size_t i = 0; i < p.tasks.size() && !p.by_tool; ++i) {
    if (p.tasks[i].mat < p.tasks[task].mat && !m.done[i]) return false;
  }
  return true;
}

/// One more task; hands first make the holders what is said, in a pause unless it is the first one.
Tried step(const ScheduleProblem& p, Tried m, std::size_t task, const std::vector<Holding>& holders, bool pause) {
  const bool new_mat = m.last >= 0 && p.tasks[task].mat != m.mat;
  const auto [acts, seconds] = hands(p, m.holders, holders);
  m.cost.swaps += acts;
  if (pause) ++m.cost.pauses, m.cost.mats += new_mat, m.cost.seconds += seconds + (new_mat ? p.mat_s : 0);
  if (!p.way.empty()) m.cost.seconds += p.way[m.last < 0 ? p.tasks.size() : static_cast<std::size_t>(m.last)][task];
  m.cost.seconds = std::max(m.cost.seconds, m.dry[task]) + p.tasks[task].seconds;
  for (const Drying& d : p.drying) {
    if (d.ink == task) m.dry[d.over] = std::max(m.dry[d.over], m.cost.seconds + d.seconds);
  }
  m.holders = holders, m.mat = p.tasks[task].mat, m.last = static_cast<int>(task), m.done[task] = true;
  return m;
}

/// Every order, every pause, every loading, with numbers for names as there are many. A way is left only where what was
/// spent, the running that remains and the loading that it asks for come to more already, or where the same was done
/// before at no more in anything.
class Everything {
 public:
  explicit Everything(const ScheduleProblem& p) : p_(p) {
    const auto number = [&](const std::string& name) {
      const auto at = std::find(names_.begin(), names_.end(), name);
      if (at == names_.end()) names_.push_back(name);
      return static_cast<int>(std::find(names_.begin(), names_.end(), name) - names_.begin());
    };
    for (const Task& t : p.tasks) {
      needs_.push_back({number(t.tool), static_cast<int>(t.depth)});
      if (std::find(wanted_.begin(), wanted_.end(), needs_.back()) == wanted_.end()) wanted_.push_back(needs_.back());
    }
    for (const Holding& h : p.loaded)
      start_.push_back(h.tool.empty() ? Has{-1, 0} : Has{number(h.tool), static_cast<int>(h.depth)});
    for (const auto& name : names_) {
      const auto known = p.owned.find(name);
      owned_.push_back(known == p.owned.end() ? 1 : known->second);
      takes_.emplace_back();
      for (std::size_t h = 0; h < start_.size(); ++h) takes_.back().push_back(takes(p, name, static_cast<int>(h) + 1));
    }
  }
  [[nodiscard]] bool has_less(const ScheduleCost& than) {
    been_.clear();
    State s{std::vector<bool>(p_.tasks.size()), start_, std::vector<double>(p_.tasks.size(), 0), 0, -1, {}, 0};
    for (const Task& t : p_.tasks) s.left += t.seconds;
    return any_less(s, than);
  }

 private:
  using Has = std::pair<int, int>;  // tool and mark
  struct State {
    std::vector<bool> done;
    std::vector<Has> holders;
    std::vector<double> dry;
    int mat, last;
    ScheduleCost cost;
    double left;  // seconds of running
  };
  const ScheduleProblem& p_;
  std::vector<std::string> names_;
  std::vector<Has> needs_, wanted_, start_;
  std::vector<int> owned_;
  std::vector<std::vector<bool>> takes_;
  struct Spent {
    ScheduleCost cost;
    std::vector<double> dry;
  };
  std::map<std::tuple<std::vector<bool>, int, std::vector<Has>>, std::vector<Spent>> been_;

  /// Each tool that is still to be run and in no holder takes an act, and a pause has no more acts than holders.
  [[nodiscard]] ScheduleCost at_least(const State& s) const {
    ScheduleCost least = s.cost;
    least.seconds += s.left;
    std::vector<bool> missing(names_.size());
    for (std::size_t i = 0; i < p_.tasks.size(); ++i) {
      if (!s.done[i]) missing[static_cast<std::size_t>(needs_[i].first)] = true;
    }
    for (const Has& h : s.holders) {
      if (h.first >= 0) missing[static_cast<std::size_t>(h.first)] = false;
    }
    const auto acts = static_cast<int>(std::count(missing.begin(), missing.end(), true));
    const auto holders = static_cast<int>(s.holders.size());
    least.swaps += acts;
    const int in_pauses = s.last < 0 ? std::max(0, acts - holders) : acts;
    least.pauses += (in_pauses + holders - 1) / holders;
    least.seconds += in_pauses * p_.swap_s;
    return least;
  }
  /// That the same is done, last and held as once before, when nothing had cost more and all was as dry.
  [[nodiscard]] bool known(const State& s) {
    auto& before = been_[{s.done, s.last, s.holders}];
    const auto no_more = [](const Spent& a, const Spent& b) {
      if (a.cost.mats > b.cost.mats || a.cost.pauses > b.cost.pauses || a.cost.swaps > b.cost.swaps ||
          a.cost.seconds > b.cost.seconds)
        return false;
      for (std::size_t i = 0; i < a.dry.size(); ++i) {
        if (a.dry[i] > b.dry[i]) return false;
      }
      return true;
    };
    const Spent now{s.cost, s.dry};
    if (std::any_of(before.begin(), before.end(), [&](const Spent& b) { return no_more(b, now); })) return true;
    before.push_back(now);
    return false;
  }

  [[nodiscard]] bool serves(const Has& held, std::size_t task) const {
    return held.first == needs_[task].first && (needs_[task].second == 0 || held.second == needs_[task].second);
  }
  [[nodiscard]] bool owns(const std::vector<Has>& holders) const {
    for (const Has& h : holders) {
      const auto same = std::count_if(holders.begin(), holders.end(), [&](const Has& g) { return g.first == h.first; });
      if (h.first >= 0 && same > owned_[static_cast<std::size_t>(h.first)]) return false;
    }
    return true;
  }
  [[nodiscard]] bool any_less(const State& s, const ScheduleCost& than) {
    if (!costs_less(at_least(s), than, p_.by_tool) || known(s)) return false;
    bool all = true;
    for (std::size_t i = 0; i < p_.tasks.size(); ++i) {
      if (s.done[i]) continue;
      all = false;
      if (!open_to(p_, s, i)) continue;
      auto holders = s.holders;
      if (loaded(s, i, 0, holders, 0, 0, than)) return true;
    }
    return all;
  }
  /// Fills the holders from this one on in every way, then runs the task.
  bool loaded(const State& s, std::size_t task, std::size_t h, std::vector<Has>& holders, int acts, double seconds,
              const ScheduleCost& than) {
    if (h < holders.size()) {
      if (loaded(s, task, h + 1, holders, acts, seconds, than)) return true;
      for (const Has& w : wanted_) {
        if (w == s.holders[h] || !takes_[static_cast<std::size_t>(w.first)][h]) continue;
        holders[h] = w;
        const double act = s.holders[h].first == w.first ? p_.set_s : p_.swap_s;
        const bool less = loaded(s, task, h + 1, holders, acts + 1, seconds + act, than);
        holders[h] = s.holders[h];
        if (less) return true;
      }
      return false;
    }
    if (std::none_of(holders.begin(), holders.end(), [&](const Has& held) { return serves(held, task); }) ||
        !owns(holders))
      return false;
    State to = s;
    const bool first = s.last < 0, new_mat = !first && p_.tasks[task].mat != s.mat;
    to.cost.swaps += acts;
    if (!first && (new_mat || acts > 0))
      ++to.cost.pauses, to.cost.mats += new_mat, to.cost.seconds += seconds + (new_mat ? p_.mat_s : 0);
    if (!p_.way.empty()) to.cost.seconds += p_.way[first ? p_.tasks.size() : static_cast<std::size_t>(s.last)][task];
    to.cost.seconds = std::max(to.cost.seconds, s.dry[task]) + p_.tasks[task].seconds;
    to.left -= p_.tasks[task].seconds;
    for (const Drying& d : p_.drying) {
      if (d.ink == task) to.dry[d.over] = std::max(to.dry[d.over], to.cost.seconds + d.seconds);
    }
    to.holders = holders, to.mat = p_.tasks[task].mat, to.last = static_cast<int>(task), to.done[task] = true;
    return any_less(to, than);
  }
};

/// That a schedule keeps all rules, and costs what it says.
void check_rules(const ScheduleProblem& p, const Schedule& s) {
  REQUIRE(s.steps.size() == p.tasks.size());
  Tried m = begin(p);
  for (const auto& at : s.steps) {
    CHECK(open_to(p, m, at.task));
    CHECK(at.new_mat == (m.last >= 0 && p.tasks[at.task].mat != m.mat));
    CHECK(at.holders.size() == p.loaded.size());
    CHECK(owns(p, at.holders));
    if (m.last >= 0) CHECK(at.pause_before == (at.new_mat || !(at.holders == m.holders)));
    if (m.last < 0) CHECK_FALSE(at.pause_before);
    for (std::size_t h = 0; h < at.holders.size(); ++h) {
      if (!(at.holders[h] == m.holders[h])) CHECK(takes(p, at.holders[h].tool, static_cast<int>(h) + 1));
    }
    REQUIRE(at.holder >= 1);
    CHECK(serves(at.holders[static_cast<std::size_t>(at.holder) - 1], p.tasks[at.task]));
    m = step(p, m, at.task, at.holders, at.pause_before);
  }
  CHECK(m.cost.mats == s.cost.mats);
  CHECK(m.cost.pauses == s.cost.pauses);
  CHECK(m.cost.swaps == s.cost.swaps);
  CHECK(m.cost.seconds == Approx(s.cost.seconds));
  CHECK(s.least_pauses <= s.cost.pauses);
}

ScheduleProblem random_problem(Chance& chance, int tasks, int holders, int tools) {
  ScheduleProblem p;
  const int mats = chance.whole(0, 3) == 0 ? 2 : 1;
  const bool marks = chance.coin(), picky = chance.whole(0, 3) == 0, dries = chance.coin(), ways = chance.coin();
  for (int i = 0; i < tasks; ++i) {
    Task t;
    const int tool = chance.whole(0, tools - 1);
    t.tool = std::string(1, static_cast<char>('a' + tool));
    if (marks && tool == 0) t.depth = chance.whole(0, 2);
    t.mat = chance.whole(1, mats);
    t.seconds = chance.whole(1, 40);
    if (picky && holders > 1 && tool % 3 == 1) t.holders = {1 + tool % holders};
    p.tasks.push_back(t);
  }
  // Reasons run from lower numbers to higher ones of a shuffled row, so there are no rings.
  const int dense = chance.whole(0, 4);
  const int pinned = chance.whole(0, 2) == 0 ? chance.whole(0, tasks - 1) : -1;  // stays where it is among all others
  for (int a = 0; a < tasks; ++a) {
    for (int b = a + 1; b < tasks; ++b) {
      if (p.tasks[static_cast<std::size_t>(a)].mat != p.tasks[static_cast<std::size_t>(b)].mat) continue;
      if (chance.whole(0, 9) < dense || a == pinned || b == pinned)
        p.before.push_back({static_cast<std::size_t>(a), static_cast<std::size_t>(b)});
      if (dries && chance.whole(0, 4) == 0)
        p.drying.push_back(
            {static_cast<std::size_t>(a), static_cast<std::size_t>(b), static_cast<double>(chance.whole(10, 120))});
      if (dries && chance.whole(0, 6) == 0)
        p.drying.push_back(
            {static_cast<std::size_t>(b), static_cast<std::size_t>(a), static_cast<double>(chance.whole(10, 120))});
    }
  }
  if (ways) {
    p.way.assign(static_cast<std::size_t>(tasks) + 1, std::vector<double>(static_cast<std::size_t>(tasks)));
    for (auto& row : p.way) {
      for (double& s : row) s = chance.whole(0, 9);
    }
  }
  p.loaded.resize(static_cast<std::size_t>(holders));
  if (chance.coin()) p.loaded[0] = {"b", 0};
  if (chance.whole(0, 3) == 0) p.owned["a"] = 2;
  p.by_tool = mats == 2 && chance.coin();
  return p;
}

}  // namespace

TEST_CASE("1,000 schedules: nothing costs less, whatever is tried") {
  Chance chance(1426);
  for (int round = 0; round < rounds(1000); ++round) {
    const int holders = chance.whole(1, 4);
    const int tasks = chance.whole(1, 7);
    const ScheduleProblem p = random_problem(chance, tasks, holders, chance.whole(1, std::min(tasks, 6)));
    INFO("round " << round << ": " << tasks << " tasks, " << holders << " holders");
    const Schedule s = make_schedule(p);
    check_rules(p, s);
    CHECK(s.optimal);
    CHECK(s.least_pauses == s.cost.pauses);
    CHECK_FALSE(Everything(p).has_less(s.cost));
    ScheduleCost dearer = s.cost;
    dearer.seconds += 1;
    CHECK(Everything(p).has_less(dearer));
  }
}

TEST_CASE("what is more than a search can hold is still scheduled by the rules, and nothing to do is done at once") {
  CHECK(make_schedule({}).optimal);
  CHECK(make_schedule({}).steps.empty());
  Chance chance(1428);
  for (const int tasks : {30, 90}) {
    for (int round = 0; round < rounds(8); ++round) {
      const ScheduleProblem p = random_problem(chance, tasks, chance.whole(1, 4), 20);
      INFO(tasks << " tasks, round " << round);
      const Schedule s = make_schedule(p, 500);
      check_rules(p, s);
      // What is not proven says how far it may be off.
      CHECK((s.optimal ? s.least_pauses == s.cost.pauses : s.least_pauses <= s.cost.pauses));
    }
  }
}

TEST_CASE("200 schedules of 12 tool loads are the best there are, and no order by hand beats them") {
  Chance chance(1427);
  for (int round = 0; round < rounds(200); ++round) {
    const ScheduleProblem p = random_problem(chance, 12, chance.whole(1, 4), 12);
    INFO("round " << round);
    const Schedule s = make_schedule(p);
    check_rules(p, s);
    CHECK(s.optimal);
    for (int k = 0; k < 5; ++k) {
      // Any order that the reasons allow, mat by mat.
      Tried m = begin(p);
      std::vector<std::size_t> order;
      while (order.size() < p.tasks.size()) {
        const auto i = static_cast<std::size_t>(chance.whole(0, 11));
        if (!open_to(p, m, i)) continue;
        m.done[i] = true;
        order.push_back(i);
      }
      const Schedule by_hand = schedule_in_order(p, order);
      check_rules(p, by_hand);
      for (std::size_t i = 0; i < order.size(); ++i) CHECK(by_hand.steps[i].task == order[i]);
      CHECK_FALSE(costs_less(by_hand.cost, s.cost, p.by_tool));
    }
  }
}
