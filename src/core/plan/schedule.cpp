#include "core/plan/schedule.hpp"

#include <algorithm>
#include <array>
#include <bit>
#include <cstdint>
#include <optional>
#include <tuple>
#include <unordered_map>

#include "core/plan/schedule_shop.hpp"

namespace dotlane {
namespace {

using namespace scheduling;

constexpr std::size_t kMostOnMat = 64;

auto in_order(const ScheduleCost& c, bool by_tool) {
  return by_tool ? std::tuple(c.swaps, c.mats, c.pauses) : std::tuple(c.mats, c.pauses, c.swaps);
}

/// A way to have done some of a phase's tasks.
struct Label {
  std::uint64_t done = 0;
  std::array<std::int8_t, kMostHolders> now{kNone, kNone, kNone, kNone};  // things
  unsigned fresh = 0;  // holders that got something at the last pause and have not used it yet
  int last = kNone, mat = 0;
  ScheduleCost cost;
  std::vector<std::pair<std::size_t, double>> wet;  // by task: when what it runs over is dry, where that is to come
  int node = kNone;                                 // the move that led here
};

struct Node {
  int parent = kNone;
  Move move;
};

struct Key {
  std::uint64_t done = 0;
  std::array<std::int16_t, kMostHolders> holders{};
  int last = kNone, mat = 0;
  friend bool operator==(const Key&, const Key&) = default;
};
struct KeyHash {
  std::size_t operator()(const Key& k) const {
    std::uint64_t seed = k.done;
    const auto mix = [&](std::uint64_t v) { seed = (seed ^ v) * 0x9E3779B97F4A7C15ULL, seed ^= seed >> 29; };
    for (const auto h : k.holders) mix(static_cast<std::uint64_t>(h + 3));
    mix(static_cast<std::uint64_t>(k.last + 1)), mix(static_cast<std::uint64_t>(k.mat));
    return static_cast<std::size_t>(seed);
  }
};

std::uint64_t bit(std::size_t i) { return std::uint64_t{1} << i; }

class Search {
 public:
  Search(const Shop& shop, std::size_t labels) : shop_(shop), most_(labels) {
    for (const Need& need : shop.needs) need_of_.push_back(number(need));
    wants_ = things_.size();
    for (std::size_t h = 0; h < shop.holders; ++h) start_[h] = static_cast<std::int8_t>(number(shop.start[h]));
    for (const auto& phase : shop.phases) {
      small_ = small_ && phase.size() <= kMostOnMat && things_.size() <= kMostOnMat;
      wide_ = wide_ || phase.size() > kMostWhole;
    }
    if (wide_) most_ = std::min(most_, kMostWide);
    if (!small_) return;
    for (const Need& thing : things_) {
      std::uint64_t serves = 0, same = 0, marked = 0;
      for (std::size_t n = 0; n < wants_; ++n) {
        if (Shop::serves(thing, things_[n])) serves |= bit(n);
        if (things_[n].tool == thing.tool) same |= bit(n), marked |= things_[n].depth != 0 ? bit(n) : 0;
      }
      serves_.push_back(serves), same_tool_.push_back(same), marked_.push_back(marked);
    }
    // From a phase on: what is wanted in those after it, and their least seconds and mats.
    later_needs_.assign(shop.phases.size(), 0), later_s_.assign(shop.phases.size(), 0);
    for (std::size_t f = shop.phases.size() - 1; f > 0; --f) {
      later_needs_[f - 1] = later_needs_[f], later_s_[f - 1] = later_s_[f];
      for (const auto t : shop.phases[f]) later_needs_[f - 1] |= bit(need_of_[t]), later_s_[f - 1] += least_s(t);
    }
  }

  Schedule best() {
    const auto start = greedy(shop_);
    if (start.size() < shop_.needs.size()) return {};
    best_ = timed(shop_, start);
    if (!small_) return best_;
    least_ = at_least_from_start();
    // A quick look first: the less the best known costs, the less is worth following.
    if (most_ > kQuick) look(kQuick);
    if (most_ <= kQuick || dropped_) look(most_);
    Schedule out = best_;
    out.optimal = !dropped_ || !less(*dropped_, out.cost);
    out.least_pauses = out.optimal ? out.cost.pauses : std::min(least_, out.cost.pauses);
    return out;
  }

 private:
  static constexpr std::size_t kQuick = 300;
  // Up to so many tasks on a mat everything is tried; beyond, fewer things for one loading and fewer labels.
  static constexpr std::size_t kMostWhole = 12, kMostWide = 300;
  static constexpr int kChoices = 12, kChoicesWide = 5;

  const Shop& shop_;
  std::size_t most_, phase_ = 0;
  bool small_ = true, wide_ = false;
  std::vector<Need> things_;  // that holders may have: first what tasks want
  std::size_t wants_ = 0;     // how many of them tasks want
  std::vector<std::size_t> need_of_;
  std::array<std::int8_t, kMostHolders> start_{kNone, kNone, kNone, kNone};
  std::vector<std::uint64_t> serves_, same_tool_,
      marked_;  // by thing: wants that it serves, of its tool, of these marked
  std::vector<std::uint64_t> later_needs_;
  std::vector<double> later_s_;
  std::vector<Node> nodes_;
  std::vector<std::uint64_t> waits_;     // of each task of the phase: those it waits for there
  std::vector<double> task_s_;           // and the least it takes
  Schedule best_;                        // known
  std::optional<ScheduleCost> dropped_;  // the least that a label could have come to for which there was no room
  int least_ = 0;

  [[nodiscard]] std::size_t number(const Need& need) {
    if (need.tool == kNone) return static_cast<std::size_t>(kNone);
    const auto at = std::find(things_.begin(), things_.end(), need);
    if (at != things_.end()) return static_cast<std::size_t>(at - things_.begin());
    things_.push_back(need);
    return things_.size() - 1;
  }
  [[nodiscard]] const std::vector<std::size_t>& tasks() const { return shop_.phases[phase_]; }
  [[nodiscard]] bool less(const ScheduleCost& a, const ScheduleCost& b) const {
    return costs_less(a, b, shop_.problem.by_tool);
  }
  [[nodiscard]] int tool_of(std::int8_t thing) const {
    return thing == kNone ? kNone : things_[static_cast<std::size_t>(thing)].tool;
  }
  /// A task with the shortest way to it.
  [[nodiscard]] double least_s(std::size_t task) const {
    double way = 0;
    for (std::size_t from = 0; from < shop_.problem.way.size(); ++from)
      way = from == 0 ? shop_.problem.way[from][task] : std::min(way, shop_.problem.way[from][task]);
    return way + shop_.problem.tasks[task].seconds;
  }

  int at_least_from_start() {
    phase_ = 0;
    prepare();
    Label label;
    label.now = start_;
    return rest(label).pauses;
  }

  void look(std::size_t most) {
    dropped_.reset();
    nodes_.clear();
    Label from;
    from.now = start_;
    phase_ = 0;
    prepare();
    if (wide_ && !shop_.problem.drying.empty()) drop(at_least(from));  // hands while something dries are not weighed
    std::vector<Label> level{from};
    for (std::size_t f = 0; f < shop_.phases.size(); ++f) {
      phase_ = f;
      for (auto& label : level) label.done = 0;
      prepare();
      for (std::size_t k = 0; k < tasks().size(); ++k) level = next(level, most);
      std::erase_if(level, [](const Label& label) { return label.fresh != 0; });
    }
    const Label* best = nullptr;
    for (const auto& label : level) {
      if (!best || less(label.cost, best->cost)) best = &label;
    }
    if (best && less(best->cost, best_.cost)) best_ = timed(shop_, moves(best->node));
  }

  void prepare() {
    waits_.assign(tasks().size(), 0);
    task_s_.clear();
    for (std::size_t i = 0; i < tasks().size(); ++i) {
      task_s_.push_back(least_s(tasks()[i]));
      for (const auto first : shop_.after[tasks()[i]]) {
        const auto at = std::find(tasks().begin(), tasks().end(), first);
        if (at != tasks().end()) waits_[i] |= bit(static_cast<std::size_t>(at - tasks().begin()));
      }
    }
  }

  [[nodiscard]] std::uint64_t left(const Label& label) const {
    const std::uint64_t all = tasks().size() == kMostOnMat ? ~std::uint64_t{0} : bit(tasks().size()) - 1;
    return all & ~label.done;
  }
  template <class Each>
  static void each_bit(std::uint64_t bits, Each each) {
    for (; bits != 0; bits &= bits - 1) each(static_cast<std::size_t>(std::countr_zero(bits)));
  }
  [[nodiscard]] std::uint64_t served(const Label& label) const {
    std::uint64_t out = 0;
    for (const auto thing : label.now) out |= thing == kNone ? 0 : serves_[static_cast<std::size_t>(thing)];
    return out;
  }
  /// Without what something at a mark, which is wanted anyway, will do for.
  [[nodiscard]] std::uint64_t distinct(std::uint64_t needs) const {
    each_bit(needs, [&](std::size_t n) {
      if (things_[n].depth == 0 && (needs & marked_[n]) != 0) needs &= ~bit(n);
    });
    return needs;
  }

  /// Something that would have come to this at least was not followed.
  void drop(const ScheduleCost& cost) {
    if (!dropped_ || less(cost, *dropped_)) dropped_ = cost;
  }

  /// What is still to come costs at least this.
  [[nodiscard]] ScheduleCost rest(const Label& label) const {
    const auto& p = shop_.problem;
    ScheduleCost out;
    out.seconds = later_s_[phase_];
    std::uint64_t needs = later_needs_[phase_], mats = 0;
    each_bit(left(label), [&](std::size_t i) {
      needs |= bit(need_of_[tasks()[i]]);
      out.seconds += task_s_[i];
      mats |= bit(static_cast<std::size_t>(p.tasks[tasks()[i]].mat) % 64);
    });
    if (label.mat != 0) mats &= ~bit(static_cast<std::size_t>(label.mat) % 64);
    out.mats = std::popcount(mats) - (label.mat == 0 && mats != 0 ? 1 : 0) +
               static_cast<int>(shop_.phases.size() - 1 - phase_);
    const std::uint64_t open = distinct(needs & ~served(label));
    const int swaps = std::popcount(open), holders = static_cast<int>(shop_.holders),
              start = label.last == kNone ? 1 : 0;
    out.swaps = swaps;
    out.pauses = std::max(out.mats, (swaps + holders - 1) / holders - start);
    // A tool that there is once is at one mark at a time.
    int tools = 0;
    for (std::uint64_t todo = open; todo != 0;) {
      const auto n = static_cast<std::size_t>(std::countr_zero(todo));
      const int marks = std::popcount(open & same_tool_[n]);
      todo &= ~same_tool_[n];
      if (shop_.owned[static_cast<std::size_t>(things_[n].tool)] == 1) out.pauses = std::max(out.pauses, marks - start);
      tools += std::none_of(label.now.begin(), label.now.end(),
                            [&](std::int8_t t) { return tool_of(t) == things_[n].tool; });
    }
    if (start == 0) out.seconds += tools * p.swap_s + (swaps - tools) * std::min(p.swap_s, p.set_s);
    out.seconds += out.mats * p.mat_s;
    return out;
  }
  [[nodiscard]] ScheduleCost at_least(const Label& label) const {
    const ScheduleCost more = rest(label);
    return {label.cost.mats + more.mats, label.cost.pauses + more.pauses, label.cost.swaps + more.swaps,
            label.cost.seconds + more.seconds};
  }

  using Level = std::unordered_map<Key, std::vector<Label>, KeyHash>;

  [[nodiscard]] Key key_of(const Label& label) const {
    Key key{label.done, {}, shop_.problem.way.empty() ? kNone : label.last, label.mat};
    for (std::size_t h = 0; h < kMostHolders; ++h)
      key.holders[h] = static_cast<std::int16_t>(label.now[h] * 2 + static_cast<int>(label.fresh >> h & 1));
    for (std::size_t h = 1; h < kMostHolders && !shop_.restricted; ++h) {  // which holder is which does not matter
      for (std::size_t g = h; g > 0 && key.holders[g] < key.holders[g - 1]; --g)
        std::swap(key.holders[g], key.holders[g - 1]);
    }
    return key;
  }

  /// Whether nothing that can come of `b` is better than what can come of `a`; both have the same key.
  [[nodiscard]] bool dominates(const Label& a, const Label& b) const {
    const auto x = in_order(a.cost, shop_.problem.by_tool), y = in_order(b.cost, shop_.problem.by_tool);
    if (x != y) return x < y;
    if (a.cost.seconds > b.cost.seconds) return false;
    return std::all_of(a.wet.begin(), a.wet.end(), [&](const auto& wet) {
      if (wet.second <= b.cost.seconds) return true;
      return std::any_of(b.wet.begin(), b.wet.end(),
                         [&](const auto& other) { return other.first == wet.first && other.second >= wet.second; });
    });
  }

  void add(Level& level, Label label, const Move& move) {
    if (!less(at_least(label), best_.cost)) return;
    auto& there = level[key_of(label)];
    if (std::any_of(there.begin(), there.end(), [&](const Label& other) { return dominates(other, label); })) return;
    std::erase_if(there, [&](const Label& other) { return dominates(label, other); });
    nodes_.push_back({label.node, move});
    label.node = static_cast<int>(nodes_.size()) - 1;
    there.push_back(std::move(label));
  }

  [[nodiscard]] bool serves(std::int8_t thing, std::size_t task) const {
    return thing != kNone && (serves_[static_cast<std::size_t>(thing)] & bit(need_of_[task])) != 0;
  }

  struct Hands {
    std::array<std::int8_t, kMostHolders> now;
    unsigned fresh = 0;
    int swaps = 0;
    double seconds = 0;
    bool pause = false, new_mat = false;
  };

  /// The label after one more task, which some holder serves.
  void run(Level& level, const Label& from, std::size_t i, const Hands& hands) {
    const auto& p = shop_.problem;
    const std::size_t task = tasks()[i];
    Move move{task, kNone, hands.pause, hands.new_mat, {}};
    for (std::size_t h = 0; h < shop_.holders; ++h) {
      if (hands.now[h] != kNone) move.now[h] = things_[static_cast<std::size_t>(hands.now[h])];
      if (!serves(hands.now[h], task)) continue;
      if (move.holder == kNone || ((hands.fresh >> h & 1) && !(hands.fresh >> move.holder & 1)))
        move.holder = static_cast<int>(h);
    }
    Label to = from;
    to.now = hands.now;
    to.fresh = hands.fresh & ~(1u << move.holder);
    to.done |= bit(i);
    to.mat = p.tasks[task].mat;
    to.cost.pauses += hands.pause, to.cost.mats += hands.new_mat, to.cost.swaps += hands.swaps;
    double clock = from.cost.seconds + (hands.pause ? hands.seconds : 0) + shop_.way(from.last, task);
    for (const auto& [over, dry] : from.wet) {
      if (over == task) clock = std::max(clock, dry);
    }
    clock += p.tasks[task].seconds;
    to.cost.seconds = clock;
    for (const Drying* d : shop_.wets[task]) to.wet.emplace_back(d->over, clock + d->seconds);
    if (!to.wet.empty()) {
      std::sort(to.wet.begin(), to.wet.end(), [](const auto& a, const auto& b) {
        return std::pair(a.first, -a.second) < std::pair(b.first, -b.second);
      });
      to.wet.erase(
          std::unique(to.wet.begin(), to.wet.end(), [](const auto& a, const auto& b) { return a.first == b.first; }),
          to.wet.end());
      std::erase_if(to.wet, [&](const auto& wet) { return wet.second <= clock || over(to, wet.first); });
    }
    to.last = static_cast<int>(task);
    // What nobody needs any more is as good as nothing.
    std::uint64_t needs = later_needs_[phase_];
    each_bit(left(to), [&](std::size_t k) { needs |= bit(need_of_[tasks()[k]]); });
    for (auto& held : to.now) {
      if (held != kNone && (needs & same_tool_[static_cast<std::size_t>(held)]) == 0) held = kNone;
    }
    add(level, std::move(to), move);
  }
  /// Whether a task is done, in this phase or in one before.
  [[nodiscard]] bool over(const Label& label, std::size_t task) const {
    const auto at = std::find(tasks().begin(), tasks().end(), task);
    if (at != tasks().end()) return label.done >> (at - tasks().begin()) & 1;
    for (std::size_t f = 0; f < phase_; ++f) {
      if (std::find(shop_.phases[f].begin(), shop_.phases[f].end(), task) != shop_.phases[f].end()) return true;
    }
    return false;
  }

  /// Whether what is put in may as well wait for the pause before it is used: hands are as long about it then. Not so
  /// before the start, which takes no time, and not where they may be busy while something dries.
  [[nodiscard]] bool late(const Label& label) const {
    return label.last != kNone && (wide_ || shop_.problem.drying.empty());
  }

  /// Every way to load the holders at a pause that puts in nothing but what some task is waiting for.
  template <class Then>
  void each_loading(const Label& label, Then then) {
    std::uint64_t needs = 0;
    each_bit(left(label), [&](std::size_t i) { needs |= bit(need_of_[tasks()[i]]); });
    // What any mark will do for takes the marks that are wanted later.
    std::uint64_t marks = 0;
    each_bit(needs, [&](std::size_t n) { marks |= things_[n].depth == 0 ? marked_[n] : 0; });
    needs |= later_needs_[phase_] & (late(label) ? marks : ~std::uint64_t{0});
    needs = distinct(needs & ~served(label));
    const int most = wide_ ? kChoicesWide : kChoices;
    if (std::popcount(needs) > most) {  // those of tasks that may run soonest
      std::uint64_t some = 0;
      for (const bool free : {true, false}) {
        each_bit(left(label), [&](std::size_t i) {
          const bool now = (waits_[i] & ~label.done) == 0;
          if (now == free && std::popcount(some) < most) some |= needs & bit(need_of_[tasks()[i]]);
        });
      }
      needs = some;
      drop(at_least(label));
    }
    std::array<std::int8_t, kMostHolders> choice{kNone, kNone, kNone, kNone};  // kNone: as it is
    const auto choose = [&](const auto& self, std::size_t h, std::uint64_t open) -> void {
      if (h == shop_.holders) return offer(label, choice, then);
      // Holders that are alike are filled in one order, those that stay as they are last.
      const bool alike = h > 0 && !shop_.restricted && label.now[h] == label.now[h - 1];
      choice[h] = kNone;
      self(self, h + 1, open);
      if (alike && choice[h - 1] == kNone) return;
      each_bit(open, [&](std::size_t n) {
        if (alike && static_cast<std::int8_t>(n) < choice[h - 1]) return;
        if (!shop_.takes[static_cast<std::size_t>(things_[n].tool)][h]) return;
        choice[h] = static_cast<std::int8_t>(n);
        self(self, h + 1, open & ~bit(n));
        choice[h] = kNone;
      });
    };
    choose(choose, 0, needs);
  }
  template <class Then>
  void offer(const Label& label, const std::array<std::int8_t, kMostHolders>& choice, Then then) const {
    Hands hands{label.now};
    bool evicts = false, idle = false;
    for (std::size_t h = 0; h < shop_.holders; ++h) {
      if (choice[h] == kNone) {
        idle = idle || label.now[h] == kNone;
        continue;
      }
      const bool same = tool_of(label.now[h]) == tool_of(choice[h]);
      evicts = evicts || (label.now[h] != kNone && !same);
      hands.seconds += same ? shop_.problem.set_s : shop_.problem.swap_s;
      hands.now[h] = choice[h];
      if (late(label)) hands.fresh |= 1u << h;
      ++hands.swaps;
    }
    if (evicts && idle && !shop_.restricted) return;   // the empty one would do
    for (std::size_t h = 0; h < shop_.holders; ++h) {  // no more of a tool than there are
      const int tool = tool_of(hands.now[h]);
      if (tool == kNone || choice[h] == kNone) continue;
      int same = 0;
      for (std::size_t g = 0; g < shop_.holders; ++g) same += tool_of(hands.now[g]) == tool;
      if (same > shop_.owned[static_cast<std::size_t>(tool)]) return;
    }
    then(hands);
  }

  std::vector<Label> next(const std::vector<Label>& labels, std::size_t most) {
    Level level;
    const auto& p = shop_.problem;
    for (const auto& label : labels) {
      const bool first = label.last == kNone;
      std::uint64_t free = 0;
      each_bit(left(label), [&](std::size_t i) { free |= (waits_[i] & ~label.done) == 0 ? bit(i) : 0; });
      const auto new_mat = [&](std::size_t i) { return label.mat != 0 && p.tasks[tasks()[i]].mat != label.mat; };
      const auto any = [&](const auto& now, std::size_t task, unsigned among) {
        for (std::size_t h = 0; h < shop_.holders; ++h) {
          if ((among >> h & 1) && serves(now[h], task)) return true;
        }
        return false;
      };
      constexpr unsigned all = (1u << kMostHolders) - 1;
      Hands none{label.now};
      none.fresh = label.fresh;
      each_bit(free, [&](std::size_t i) {
        if (!first && !new_mat(i) && any(label.now, tasks()[i], all)) run(level, label, i, none);
      });
      if (label.fresh != 0) continue;  // what was put in is to be used first
      each_loading(label, [&](Hands hands) {
        const double without_mat = hands.seconds;
        each_bit(free, [&](std::size_t i) {
          hands.new_mat = new_mat(i);
          if (!first && hands.swaps == 0 && !hands.new_mat) return;
          // Where nothing is wet, hands may as well wait until what they put in is needed.
          if (!any(hands.now, tasks()[i], late(label) && !hands.new_mat ? hands.fresh : all)) return;
          hands.pause = !first;
          hands.seconds = without_mat + (hands.new_mat ? p.mat_s : 0);
          run(level, label, i, hands);
        });
      });
    }
    std::vector<Label> out;
    for (auto& [key, there] : level)
      out.insert(out.end(), std::make_move_iterator(there.begin()), std::make_move_iterator(there.end()));
    // The same row on every machine.
    std::sort(out.begin(), out.end(), [](const Label& a, const Label& b) { return a.node < b.node; });
    if (out.size() <= most) return out;
    std::vector<std::pair<ScheduleCost, std::size_t>> ranked;
    for (std::size_t i = 0; i < out.size(); ++i) ranked.emplace_back(at_least(out[i]), i);
    std::stable_sort(ranked.begin(), ranked.end(), [&](const auto& a, const auto& b) {
      const auto x = in_order(a.first, p.by_tool), y = in_order(b.first, p.by_tool);
      return x != y ? x < y : a.first.seconds < b.first.seconds;
    });
    drop(ranked[most].first);
    std::vector<Label> kept;
    for (std::size_t i = 0; i < most; ++i) kept.push_back(std::move(out[ranked[i].second]));
    return kept;
  }

  [[nodiscard]] std::vector<Move> moves(int node) const {
    std::vector<Move> out;
    for (; node != kNone; node = nodes_[static_cast<std::size_t>(node)].parent)
      out.push_back(nodes_[static_cast<std::size_t>(node)].move);
    std::reverse(out.begin(), out.end());
    // What nobody needed any more was forgotten; in truth it stays in its holder until something else comes there.
    Holders before = shop_.start;
    for (auto& move : out) {
      for (std::size_t h = 0; h < shop_.holders; ++h) {
        if (move.now[h].tool == kNone) move.now[h] = before[h];
      }
      before = move.now;
    }
    return out;
  }
};

}  // namespace

bool costs_less(const ScheduleCost& a, const ScheduleCost& b, bool by_tool) {
  const auto x = in_order(a, by_tool), y = in_order(b, by_tool);
  return x != y ? x < y : a.seconds < b.seconds - 1e-9;
}

Schedule make_schedule(const ScheduleProblem& problem, std::size_t labels) {
  if (problem.tasks.empty()) return {{}, {}, true, 0};
  const Shop shop(problem);
  return Search(shop, std::max<std::size_t>(1, labels)).best();
}

Schedule schedule_in_order(const ScheduleProblem& problem, const std::vector<std::size_t>& order) {
  ScheduleProblem fixed = problem;
  for (std::size_t k = 1; k < order.size(); ++k) fixed.before.push_back({order[k - 1], order[k]});
  return make_schedule(fixed);
}

}  // namespace dotlane
