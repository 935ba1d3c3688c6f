#include "core/plan/schedule_shop.hpp"

#include <algorithm>
#include <functional>
#include <limits>
#include <map>
#include <optional>
#include <set>

namespace dotlane::scheduling {
namespace {

/// Puts these needs into holders, keeping what serves and, of the rest, what is needed later; nothing when they do not
/// go together.
std::optional<Holders> fitted(const Shop& shop, const Holders& before, const std::vector<Need>& needs,
                              const std::function<bool(int)>& needed_later) {
  std::optional<Holders> best;
  int least = std::numeric_limits<int>::max();
  const std::function<void(std::size_t, Holders, std::vector<bool>, int)> place =
      [&](std::size_t i, Holders now, std::vector<bool> taken, int cost) {
        if (cost >= least) return;
        if (i == needs.size()) {
          if (shop.owns(now)) best = now, least = cost;
          return;
        }
        for (std::size_t h = 0; h < shop.holders; ++h) {
          if (taken[h] || !shop.takes[static_cast<std::size_t>(needs[i].tool)][h]) continue;
          auto more = taken;
          more[h] = true;
          if (Shop::serves(now[h], needs[i])) {
            place(i + 1, now, more, cost);
            continue;
          }
          Holders then = now;
          const bool evicts = now[h].tool != kNone && now[h].tool != needs[i].tool && needed_later(now[h].tool);
          // A tool that there is once leaves the holder it was in.
          for (std::size_t g = 0; g < shop.holders; ++g) {
            if (!more[g] && then[g].tool == needs[i].tool && shop.owned[static_cast<std::size_t>(needs[i].tool)] == 1)
              then[g] = {};
          }
          then[h] = needs[i];
          place(i + 1, then, more, cost + 10 + (evicts ? 1 : 0));
        }
      };
  place(0, before, std::vector<bool>(shop.holders, false), 0);
  return best;
}

}  // namespace

Shop::Shop(const ScheduleProblem& p) : problem(p), holders(std::clamp<std::size_t>(p.loaded.size(), 1, kMostHolders)) {
  const auto number = [&](const std::string& name) {
    const auto at = std::find(names.begin(), names.end(), name);
    if (at != names.end()) return static_cast<int>(at - names.begin());
    names.push_back(name);
    const auto known = p.owned.find(name);
    owned.push_back(known == p.owned.end() ? 1 : std::max(1, known->second));
    takes.emplace_back(holders, true);
    return static_cast<int>(names.size()) - 1;
  };
  for (const Task& task : p.tasks) {
    needs.push_back({number(task.tool), task.depth});
    if (task.holders.empty()) continue;
    auto& allowed = takes[static_cast<std::size_t>(needs.back().tool)];
    for (std::size_t h = 0; h < holders; ++h)
      allowed[h] = std::find(task.holders.begin(), task.holders.end(), static_cast<int>(h) + 1) != task.holders.end();
    // A tool that no holder takes goes where there is room: the checks say so.
    if (std::none_of(allowed.begin(), allowed.end(), [](bool b) { return b; })) allowed.assign(holders, true);
    restricted = restricted || std::any_of(allowed.begin(), allowed.end(), [](bool b) { return !b; });
  }
  for (std::size_t h = 0; h < holders && h < p.loaded.size(); ++h)
    start[h] = p.loaded[h].tool.empty() ? Held{} : Held{number(p.loaded[h].tool), p.loaded[h].depth};
  after.resize(p.tasks.size());
  wets.resize(p.tasks.size());
  for (const Before& b : p.before) after[b.second].push_back(b.first);
  for (const Drying& d : p.drying) wets[d.ink].push_back(&d);
  std::map<int, std::vector<std::size_t>> by_mat;
  for (std::size_t i = 0; i < p.tasks.size(); ++i) by_mat[p.by_tool ? 0 : p.tasks[i].mat].push_back(i);
  for (auto& [mat, tasks] : by_mat) phases.push_back(std::move(tasks));
}

Schedule timed(const Shop& shop, const std::vector<Move>& moves) {
  Schedule out;
  const ScheduleProblem& p = shop.problem;
  std::vector<double> dry(p.tasks.size(), 0);
  Holders before = shop.start;
  double clock = 0;
  int last = kNone;
  for (const Move& move : moves) {
    double hands = move.new_mat ? p.mat_s : 0;
    for (std::size_t h = 0; h < shop.holders; ++h) {
      if (move.now[h] == before[h]) continue;
      ++out.cost.swaps;
      hands += shop.hands_s(before[h], move.now[h]);
    }
    ScheduleStep step{move.task, move.holder + 1, move.pause, move.new_mat, {}, 0, 0};
    if (move.pause) ++out.cost.pauses, clock += hands;
    out.cost.mats += move.new_mat;
    for (std::size_t h = 0; h < shop.holders; ++h) {
      const Held& held = move.now[h];
      step.holders.push_back(held.tool == kNone ? Holding{}
                                                : Holding{shop.names[static_cast<std::size_t>(held.tool)], held.depth});
    }
    step.start_s = clock;
    clock += shop.way(last, move.task);
    step.wait_s = std::max(0.0, dry[move.task] - clock);
    clock += step.wait_s + p.tasks[move.task].seconds;
    for (const Drying* d : shop.wets[move.task]) dry[d->over] = std::max(dry[d->over], clock + d->seconds);
    last = static_cast<int>(move.task);
    before = move.now;
    out.steps.push_back(std::move(step));
  }
  out.cost.seconds = clock;
  return out;
}

std::vector<Move> greedy(const Shop& shop) {
  std::vector<Move> out;
  const auto& p = shop.problem;
  std::vector<bool> done(p.tasks.size(), false);
  Holders now = shop.start;
  int mat = 0;  // that is in
  for (const auto& phase : shop.phases) {
    const std::set<std::size_t> here(phase.begin(), phase.end());
    const auto free = [&](std::size_t task, const std::vector<bool>& over) {
      return !over[task] && std::all_of(shop.after[task].begin(), shop.after[task].end(),
                                        [&](std::size_t first) { return over[first] || !here.contains(first); });
    };
    std::size_t left = phase.size();
    while (left > 0) {
      // The next load: settings are taken on while they go together, each with all that it sets free.
      std::vector<Need> load;
      std::vector<std::size_t> run;
      auto over = done;
      const auto later = [&](int tool) {
        return std::any_of(phase.begin(), phase.end(),
                           [&](std::size_t t) { return !over[t] && shop.needs[t].tool == tool; });
      };
      Holders then = now;
      for (bool more = true; more;) {
        more = false;
        for (const auto t : phase) {
          if (!free(t, over)) continue;
          auto wanted = load;
          if (std::none_of(load.begin(), load.end(), [&](const Need& n) { return Shop::serves(n, shop.needs[t]); }))
            wanted.push_back(shop.needs[t]);
          if (wanted.size() > shop.holders) continue;
          const auto fits = wanted.size() == load.size() ? std::optional(then) : fitted(shop, now, wanted, later);
          if (!fits) continue;
          then = *fits, load = std::move(wanted);
          over[t] = true;
          run.push_back(t);
          more = true;
        }
      }
      if (run.empty()) return {};  // a ring, or a tool for which there is no holder
      for (std::size_t k = 0; k < run.size(); ++k) {
        const auto t = run[k];
        Move move{t, 0, false, mat != 0 && p.tasks[t].mat != mat, then};
        move.pause = !out.empty() && (move.new_mat || (k == 0 && !(then == now)));
        mat = p.tasks[t].mat;
        while (!Shop::serves(then[static_cast<std::size_t>(move.holder)], shop.needs[t])) ++move.holder;
        out.push_back(move);
        done[t] = true;
      }
      now = then;
      left -= run.size();
    }
  }
  return out;
}

}  // namespace dotlane::scheduling
