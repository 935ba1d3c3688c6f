#include "core/plan/tour.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <random>

#include "core/geometry/parallel.hpp"
#include "core/plan/end_grid.hpp"

namespace dotlane {
namespace {

using Int = std::int32_t;
constexpr Int kNobody = -1;
constexpr double kHeat = 0.6;    // of the mean way
constexpr double kLeast = 1e-9;  // gains below this are none

Vec nowhere() { return {std::numeric_limits<double>::quiet_NaN(), 0}; }

/// A tour as a ring through all stops and one more, home, whose two ends are where the head starts and where it has to
/// be afterwards. So a stretch turned round is a stretch turned round wherever it lies.
class Circuit {
 public:
  Circuit(const TourProblem& problem, const std::vector<TourStep>& tour)
      : problem_(problem), ways_(problem), home_(static_cast<Int>(problem.stops.size())), n_(home_ + 1) {
    way_.resize(at(n_)), turned_.assign(at(n_), 0), place_.resize(at(n_)), ring_.resize(at(n_));
    ends_.resize(2 * at(n_));
    ends_[2 * at(home_)] = problem.end.value_or(nowhere());
    ends_[2 * at(home_) + 1] = problem.start;
    waits_ = !problem.before.empty() &&
             std::any_of(problem.before.begin(), problem.before.end(), [](int b) { return b >= 0; });
    if (waits_) {
      frees_first_.assign(at(n_) + 1, 0);
      for (const int b : problem.before) {
        if (b >= 0) ++frees_first_[at(b) + 1];
      }
      for (std::size_t k = 1; k < frees_first_.size(); ++k) frees_first_[k] += frees_first_[k - 1];
      frees_.resize(at(frees_first_.back()));
      auto next = frees_first_;
      for (std::size_t s = 0; s < problem.before.size(); ++s) {
        if (problem.before[s] >= 0) frees_[at(next[at(problem.before[s])]++)] = static_cast<Int>(s);
      }
    }
    take(tour);
  }

  /// Mends what can be mended, then ways through stops, as long as that helps, but so often at most.
  void settle(int rounds) {
    constexpr double kWorthIt = 0.002;  // of all that the ways cost
    for (int round = 0; round < rounds; ++round) {
      list_neighbours();
      for (Int p = 0; round == 0 && p < n_; ++p) look_at(ring_[at(p)]);
      mend();
      if (choose_ways() <= kWorthIt * total()) break;
    }
  }

  void kick(const TourEffort& effort) {
    if (n_ < 8 || effort.kicks == 0) return;
    std::mt19937 random(effort.seed);
    const std::size_t between = std::max<std::size_t>(at(n_) * 20, 2000);
    bool loops = false;
    for (std::size_t s = 0; s < problem_.stops.size(); ++s) loops = loops || problem_.stops.ways(s) > 2;
    list_neighbours();
    // Losses are let pass now and then, fewer and smaller ones as it goes on (annealing).
    const double mean = total() / n_;
    for (std::size_t k = 0; k < effort.kicks; ++k) {
      if (k % 64 == 0 && effort.stop && effort.stop()) break;
      const double heat = kHeat * mean * (1 - static_cast<double>(k) / static_cast<double>(effort.kicks));
      one_kick(random, heat);
      if (loops && k % between == between - 1 && choose_ways() > kLeast) {
        list_neighbours();
        mend();
      }
    }
    (void)choose_ways();
  }

  [[nodiscard]] std::vector<TourStep> steps() const {
    std::vector<TourStep> out;
    out.reserve(at(n_ - 1));
    const bool back = turned_[at(home_)] != 0;
    for (Int s = next(home_, !back); s != home_; s = next(s, !back)) {
      std::size_t way = at(way_[at(s)]);
      if (problem_.stops.through(at(s))) way = (turned_[at(s)] != 0) != back ? 1 : 0;
      out.push_back({at(s), way});
    }
    return out;
  }

 private:
  static constexpr std::size_t kNear = 10;
  static std::size_t at(Int i) { return static_cast<std::size_t>(i); }

  const TourProblem& problem_;
  TravelCost ways_;
  Int home_, n_;
  std::vector<Int> ring_, place_;     // the stops in order, and where each is
  std::vector<std::uint8_t> turned_;  // gone through from the second end to the first, along the ring
  std::vector<Int> way_;              // of loops: by which entry
  std::vector<Vec> ends_;             // two of each stop
  struct Near {
    Int end;
    double cost;
  };
  std::vector<Int> near_first_;  // of each end: where those near it begin, nearest first
  std::vector<Near> near_;
  std::vector<Int> queue_;
  std::size_t queue_at_ = 0;
  std::vector<std::uint8_t> queued_;
  std::vector<std::pair<Int, Int>> done_;  // stretches turned round since the last kick
  bool keep_done_ = false;
  bool waits_ = false;
  std::vector<Int> frees_first_, frees_;  // of each stop: those that come before it

  void take(const std::vector<TourStep>& tour) {
    ring_[0] = home_, place_[at(home_)] = 0, turned_[at(home_)] = 0;
    for (std::size_t k = 0; k < tour.size(); ++k) {
      const auto [stop, way] = tour[k];
      ring_[k + 1] = static_cast<Int>(stop), place_[stop] = static_cast<Int>(k + 1);
      set_way(stop, way);
    }
  }
  void set_way(std::size_t stop, std::size_t way) {
    const Stops& stops = problem_.stops;
    way_[stop] = static_cast<Int>(way);
    turned_[stop] = stops.through(stop) && way == 1;
    ends_[2 * stop] = stops.in(stop, stops.through(stop) ? 0 : way);
    ends_[2 * stop + 1] = stops.through(stop) ? stops.out(stop, 0) : ends_[2 * stop];
  }

  [[nodiscard]] Int next(Int stop, bool forward) const {
    Int p = place_[at(stop)] + (forward ? 1 : -1);
    if (p == n_) p = 0;
    if (p < 0) p = n_ - 1;
    return ring_[at(p)];
  }
  /// The end by which a stop is left on the way forward or backward; and by which it is come to.
  [[nodiscard]] Int out_end(Int stop, bool forward) const { return 2 * stop + ((turned_[at(stop)] != 0) != forward); }
  [[nodiscard]] Int in_end(Int stop, bool forward) const { return out_end(stop, !forward); }
  [[nodiscard]] double cost(Int end, Int other) const { return ways_(ends_[at(end)], ends_[at(other)]); }
  [[nodiscard]] bool one_end(Int stop) const { return ends_[2 * at(stop)] == ends_[2 * at(stop) + 1]; }

  [[nodiscard]] double total() const {
    double sum = 0;
    for (Int s = 0; s < n_; ++s) sum += cost(out_end(s, true), in_end(next(s, true), true));
    return sum;
  }

  void list_neighbours() {
    std::vector<Int> which;
    for (Int s = 0; s < home_; ++s) {
      which.push_back(2 * s);
      if (!one_end(s)) which.push_back(2 * s + 1);
    }
    if (!std::isnan(ends_[2 * at(home_)].x)) which.push_back(2 * home_);
    if (!one_end(home_)) which.push_back(2 * home_ + 1);
    constexpr std::size_t kRun = 512, kWorth = 4;  // ends in a row
    const EndGrid grid(ends_, which);
    std::vector<std::array<Near, kNear>> found(which.size());
    std::vector<std::size_t> many(which.size());
    for_each_index((which.size() + kRun - 1) / kRun, kWorth, [&](std::size_t run) {
      std::array<EndGrid::Found, kNear> some;
      for (std::size_t i = run * kRun; i < std::min(which.size(), (run + 1) * kRun); ++i) {
        many[i] = grid.nearest(which[i], some);
        for (std::size_t k = 0; k < many[i]; ++k) found[i][k] = {some[k].end, cost(which[i], some[k].end)};
      }
    });
    near_first_.assign(2 * at(n_) + 1, 0);
    for (std::size_t i = 0; i < which.size(); ++i) near_first_[at(which[i]) + 1] = static_cast<Int>(many[i]);
    for (std::size_t e = 1; e < near_first_.size(); ++e) near_first_[e] += near_first_[e - 1];
    near_.resize(at(near_first_.back()));
    for (std::size_t i = 0; i < which.size(); ++i)
      std::copy_n(found[i].begin(), many[i], near_.begin() + near_first_[at(which[i])]);
  }
  /// Ends near this one. Where both ends of a stop are at one place, the first one's list serves both.
  [[nodiscard]] std::pair<const Near*, const Near*> near(Int end) const {
    const Int e = end % 2 == 1 && near_first_[at(end)] == near_first_[at(end) + 1] ? end - 1 : end;
    return {near_.data() + near_first_[at(e)], near_.data() + near_first_[at(e) + 1]};
  }
  /// Whether an end that is near is the one meant, or at the same place.
  [[nodiscard]] bool is(Int listed, Int end) const {
    return listed == end || (listed == (end ^ 1) && ends_[at(listed)] == ends_[at(end)]);
  }

  void look_at(Int stop) {
    if (queued_.empty()) queued_.assign(at(n_), 0);
    if (queued_[at(stop)]) return;
    queued_[at(stop)] = 1;
    queue_.push_back(stop);
  }
  double mend() {
    double gained = 0;
    while (queue_at_ < queue_.size()) {
      const Int stop = queue_[queue_at_++];
      queued_[at(stop)] = 0;
      for (double more = better(stop); more > 0; more = better(stop)) gained += more;
      if (queue_at_ > 4096 && queue_at_ * 2 > queue_.size()) {
        queue_.erase(queue_.begin(), queue_.begin() + static_cast<std::ptrdiff_t>(queue_at_));
        queue_at_ = 0;
      }
    }
    queue_.clear(), queue_at_ = 0;
    return gained;
  }

  /// One improvement around a stop; what it gains, or 0.
  double better(Int stop) {
    for (const bool forward : {true, false}) {
      if (const double gain = two_opt(stop, forward); gain > 0) return gain;
    }
    if (stop == home_) return 0;
    for (const bool forward : {true, false}) {
      if (const double gain = or_opt(stop, forward); gain > 0) return gain;
    }
    return 0;
  }

  double two_opt(Int a, bool forward) {
    const Int b = next(a, forward), a_out = out_end(a, forward), b_in = in_end(b, forward);
    const double now = cost(a_out, b_in);
    const auto [from, to] = near(a_out);
    for (const Near* q = from; q != to; ++q) {
      const double gain = now - q->cost;
      if (gain <= kLeast) break;
      const Int c = q->end / 2, c_out = out_end(c, forward);
      if (c == a || !is(q->end, c_out)) continue;
      const Int d = next(c, forward), d_in = in_end(d, forward);
      const double all = gain + cost(c_out, d_in) - cost(b_in, d_in);
      if (all <= kLeast || !may_turn(forward ? b : c, forward ? c : b)) continue;
      turn(forward ? b : c, forward ? c : b);
      for (const Int s : {a, b, c, d}) look_at(s);
      return all;
    }
    return 0;
  }

  /// Moves a stretch of up to three that begins at `stop` and runs that way.
  double or_opt(Int stop, bool forward) {
    const Int p = next(stop, !forward), p_out = out_end(p, forward), e1 = in_end(stop, forward);
    const double first = cost(p_out, e1);
    Int last = stop;
    std::array<Int, 3> in{stop, kNobody, kNobody};
    for (std::size_t length = 1; length <= 3; ++length) {
      if (length > 1) last = in[length - 1] = next(last, forward);
      if (last == home_ || last == p) return 0;
      const Int n = next(last, forward);
      if (n == p) return 0;
      const Int e2 = out_end(last, forward), n_in = in_end(n, forward);
      const double freed = first + cost(e2, n_in) - cost(p_out, n_in);
      if (freed <= kLeast) continue;
      const auto [from, to] = near(e1);
      for (const Near* q = from; q != to; ++q) {
        const Int c = q->end / 2;
        const double way = q->cost;
        if (way >= freed - kLeast) break;
        if (c == in[0] || c == in[1] || c == in[2]) continue;
        for (const bool same : {true, false}) {  // after c as it runs, or before c and the other way round
          if (!is(q->end, same ? out_end(c, forward) : in_end(c, forward)) || c == (same ? p : n)) continue;
          const Int d = next(c, same == forward);
          const Int c_end = same ? out_end(c, forward) : in_end(c, forward),
                    d_end = same ? in_end(d, forward) : out_end(d, forward);
          const double gain = freed - way - cost(e2, d_end) + cost(c_end, d_end);
          if (gain <= kLeast || !may_move(in, length, c, d, !same)) continue;
          move(stop, last, forward, c, same);
          for (const Int s : {p, n, stop, last, c, d}) look_at(s);
          return gain;
        }
      }
    }
    return 0;
  }

  /// Takes the stretch out (from `stop` to `last`, as it runs that way) and puts it in beside c: after it as it runs,
  /// or before it and turned round.
  void move(Int stop, Int last, bool forward, Int c, bool same) {
    // Along the ring, the stretch is a..b.
    const Int a = forward ? stop : last, b = forward ? last : stop;
    // It goes behind `left`, along the ring.
    const Int left = forward == same ? c : next(c, false);
    const bool round = !same;
    const Int gap = place_[at(left)] - place_[at(b)], ahead = gap < 0 ? gap + n_ : gap;
    const Int size = place_[at(b)] - place_[at(a)] + (place_[at(b)] < place_[at(a)] ? n_ : 0) + 1;
    if (ahead <= n_ - size - ahead) {
      // a..b t..left: turned round as a whole, then each by itself.
      const Int t = next(b, true);
      swap_ends(a, b, t, left, round);
    } else {
      // t..u a..b, where u is just before a and t just behind left.
      const Int t = next(left, true), u = next(a, false);
      swap_ends(t, u, a, b, round, true);
    }
  }
  /// Two stretches in a row change places, x1..x2 and y1..y2; the one that is moved (the first, or the second) may be
  /// turned round as well.
  void swap_ends(Int x1, Int x2, Int y1, Int y2, bool round, bool second = false) {
    bool mirrored = turn(x1, y2);
    // Now y2..y1 x2..x1, along the ring or against it.
    const auto back = [&](Int from, Int to) {
      mirrored = turn(mirrored ? to : from, mirrored ? from : to) != mirrored;
    };
    if (second || !round) back(x2, x1);
    if (!second || !round) back(y2, y1);
  }

  /// Turns the stretch from a along the ring to b round: or the rest, which comes to the same seen from the other side.
  /// True in the latter case.
  bool turn(Int a, Int b) {
    const Int i = place_[at(a)], j = place_[at(b)];
    if (keep_done_) done_.emplace_back(i, j);
    return turn_places(i, j);
  }
  bool turn_places(Int i, Int j) {
    Int inside = j - i + 1;
    if (inside <= 0) inside += n_;
    const bool rest = 2 * inside > n_;
    if (rest) {
      const Int i_was = i;
      i = j + 1 == n_ ? 0 : j + 1, j = i_was == 0 ? n_ - 1 : i_was - 1;
      inside = n_ - inside;
    }
    for (Int k = 0; k < inside / 2; ++k) {
      const Int s = ring_[at(i)], t = ring_[at(j)];
      ring_[at(i)] = t, ring_[at(j)] = s;
      place_[at(t)] = i, place_[at(s)] = j;
      turned_[at(s)] ^= 1, turned_[at(t)] ^= 1;
      if (++i == n_) i = 0;
      if (--j < 0) j = n_ - 1;
    }
    if (inside % 2 == 1) turned_[at(ring_[at(i)])] ^= 1;
    return rest;
  }

  /// How many stops lie between home and this one, as the head runs.
  [[nodiscard]] Int rank(Int stop) const {
    const Int gap =
        turned_[at(home_)] != 0 ? place_[at(home_)] - place_[at(stop)] : place_[at(stop)] - place_[at(home_)];
    return gap < 0 ? gap + n_ : gap;
  }
  [[nodiscard]] Int waiting_for(Int stop) const { return stop == home_ ? kNobody : problem_.before[at(stop)]; }

  /// Whether nothing in the stretch from a along the ring to b waits for something else in it. Home is in the rest.
  [[nodiscard]] bool may_turn(Int a, Int b) const {
    if (!waits_) return true;
    const auto inside = [&](Int s) {
      Int from_a = place_[at(s)] - place_[at(a)], whole = place_[at(b)] - place_[at(a)];
      if (from_a < 0) from_a += n_;
      if (whole < 0) whole += n_;
      return from_a <= whole;
    };
    Int first = a, last = b;
    if (inside(home_)) {
      if (a == next(b, true)) return true;  // all of it
      first = next(b, true), last = next(a, false);
    }
    Int low = rank(first), high = rank(last);
    if (low > high) std::swap(low, high);
    for (Int s = first;; s = next(s, true)) {
      const Int other = waiting_for(s);
      if (other >= 0 && rank(other) >= low && rank(other) <= high) return false;
      if (s == last) break;
    }
    return true;
  }

  /// Whether the stops `in` may go between c and d, which are beside each other.
  [[nodiscard]] bool may_move(const std::array<Int, 3>& in, std::size_t length, Int c, Int d, bool round) const {
    if (!waits_) return true;
    // They come to stand between ranks `left` and `left` + 1.
    const Int rc = rank(c), rd = rank(d);
    const Int left = c != home_ && d != home_ ? std::min(rc, rd) : std::max(rc, rd) == 1 ? 0 : std::max(rc, rd);
    for (std::size_t k = 0; k < length; ++k) {
      const Int s = in[k], own = rank(s), other = waiting_for(s);
      const auto among = [&](Int t) { return t == in[0] || t == in[1] || t == in[2]; };
      if (other >= 0) {
        if (among(other)) {
          if (round) return false;
        } else if (left > own && rank(other) <= left) {
          return false;
        }
      }
      if (left > own) continue;
      for (Int f = frees_first_[at(s)]; f < frees_first_[at(s) + 1]; ++f) {
        const Int earlier = frees_[at(f)];
        if (!among(earlier) && rank(earlier) > left) return false;
      }
    }
    return true;
  }

  void one_kick(std::mt19937& random, double heat) {
    constexpr Int kLongest = 50;
    const Int most = std::min<Int>(kLongest, (n_ - 2) / 2);
    const auto pick = [&](Int below) { return static_cast<Int>(random() % static_cast<std::uint32_t>(below)); };
    // p x1..x2 y1..y2 n: x and y change places.
    const Int from = pick(n_), x = 1 + pick(most), y = 1 + pick(most);
    const auto stop_at = [&](Int k) { return ring_[at((from + k) % n_)]; };
    if (x + y + 2 > n_) return;
    const Int p = stop_at(0), x1 = stop_at(1), x2 = stop_at(x), y1 = stop_at(x + 1), y2 = stop_at(x + y),
              n = stop_at(x + y + 1);
    if (waits_) {
      for (Int k = 1; k <= x + y; ++k) {
        const Int s = stop_at(k), other = waiting_for(s);
        if (s == home_) return;  // it stays simple: not across home
        if (other < 0) continue;
        Int gap = place_[at(other)] - from;
        if (gap < 0) gap += n_;
        if (gap >= 1 && gap <= x + y && (gap > x) != (k > x)) return;
      }
    }
    const auto joints = [&](Int a, Int b) { return cost(out_end(a, true), in_end(b, true)); };
    const double lost = joints(p, y1) + joints(y2, x1) + joints(x2, n) - joints(p, x1) - joints(x2, y1) - joints(y2, n);
    done_.clear();
    keep_done_ = true;
    swap_ends(x1, x2, y1, y2, false);
    for (const Int s : {p, x1, x2, y1, y2, n}) look_at(s);
    const double gained = mend();
    keep_done_ = false;
    const double luck = (static_cast<double>(random()) + 1) / 4294967297.0;
    if (gained >= lost - kLeast + heat * std::log(luck)) return;
    for (auto back = done_.rbegin(); back != done_.rend(); ++back) (void)turn_places(back->first, back->second);
  }

  /// For the order as it is, the best way through each stop. What that gains.
  double choose_ways() {
    const Stops& stops = problem_.stops;
    const auto now = steps();
    if (now.empty()) return 0;
    std::vector<std::uint8_t> came;  // of each stop's ways in a row: by which way of the stop before
    std::vector<std::size_t> came_first;
    std::vector<double> costs{0}, next_costs;
    std::vector<Vec> outs{problem_.start};
    double was = 0;
    Vec head = problem_.start;
    for (std::size_t k = 0; k < now.size(); ++k) {
      const std::size_t stop = now[k].stop, ways = stops.ways(stop);
      was += ways_(head, stops.in(stop, now[k].way));
      head = stops.out(stop, now[k].way);
      came_first.push_back(came.size());
      came.resize(came.size() + ways), next_costs.resize(ways);
      for (std::size_t w = 0; w < ways; ++w) {
        double best = std::numeric_limits<double>::infinity();
        for (std::size_t v = 0; v < costs.size(); ++v) {
          const double c = costs[v] + ways_(outs[v], stops.in(stop, w));
          if (c < best) best = c, came[came_first[k] + w] = static_cast<std::uint8_t>(v);
        }
        next_costs[w] = best;
      }
      costs.swap(next_costs);
      outs.resize(ways);
      for (std::size_t w = 0; w < ways; ++w) outs[w] = stops.out(stop, w);
    }
    if (problem_.end) {
      was += ways_(head, *problem_.end);
      for (std::size_t w = 0; w < costs.size(); ++w) costs[w] += ways_(outs[w], *problem_.end);
    }
    auto best = static_cast<std::size_t>(std::min_element(costs.begin(), costs.end()) - costs.begin());
    const double gain = was - costs[best];
    if (gain <= kLeast) return 0;
    auto tour = now;
    for (std::size_t k = now.size(); k-- > 0;) {
      if (tour[k].way != best) look_at(static_cast<Int>(tour[k].stop));
      tour[k].way = best;
      best = came[came_first[k] + best];
    }
    take(tour);
    return gain;
  }
};

}  // namespace

std::vector<TourStep> quick_tour(const TourProblem& problem, const TourEffort& effort) {
  auto tour = nearest_neighbour(problem);
  if (tour.size() < 2) return tour;
  Circuit ring(problem, tour);
  // Of very many stops the first good order is wanted soon: a second round would win a hundredth and double the time.
  constexpr std::size_t kMany = 5000;
  ring.settle(effort.kicks == 0 && tour.size() > kMany ? 1 : 6);
  ring.kick(effort);
  return ring.steps();
}

double cost_of(const TourProblem& problem, const std::vector<TourStep>& tour) {
  const TravelCost ways(problem);
  double out = 0;
  Vec head = problem.start;
  for (const auto& [stop, way] : tour) {
    out += ways(head, problem.stops.in(stop, way));
    head = problem.stops.out(stop, way);
  }
  return problem.end ? out + ways(head, *problem.end) : out;
}

}  // namespace dotlane
