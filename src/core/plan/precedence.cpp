#include "core/plan/precedence.hpp"

#include <algorithm>
#include <cmath>
#include <cstdint>

namespace dotlane {
namespace {

/// Which passes come after which, all that follows among them.
class Reach {
 public:
  explicit Reach(std::size_t n) : words_((n + 63) / 64), after_(n, std::vector<std::uint64_t>(words_, 0)) {}
  [[nodiscard]] bool after(std::size_t a, std::size_t b) const { return after_[a][b / 64] >> (b % 64) & 1; }
  void add(std::size_t a, std::size_t b) {
    for (std::size_t x = 0; x < after_.size(); ++x) {
      if (x != a && !after(x, a)) continue;
      for (std::size_t w = 0; w < words_; ++w) after_[x][w] |= after_[b][w];
      after_[x][b / 64] |= std::uint64_t{1} << (b % 64);
    }
  }

 private:
  std::size_t words_;
  std::vector<std::vector<std::uint64_t>> after_;
};

struct Pair {
  std::size_t first, second;
  double apart;  // how far in rank: neighbours come first, so that the others follow from them
};

}  // namespace

std::string_view word(Why why) {
  switch (why) {
    case Why::role:
      return "role";
    case Why::ink:
      return "ink";
    case Why::by_hand:
      return "by hand";
    case Why::mat:
      return "mat";
  }
  return "";
}

std::vector<Reason> reasons_of(const std::vector<PassRank>& passes,
                               const std::vector<std::pair<std::size_t, std::size_t>>& by_hand,
                               std::vector<bool>* kept) {
  const std::size_t n = passes.size();
  Reach reach(n);
  std::vector<Reason> out;
  const auto add = [&](std::size_t a, std::size_t b, Why why) {
    if (a == b || reach.after(b, a)) return false;
    if (!reach.after(a, b)) {
      reach.add(a, b);
      out.push_back({a, b, why});
    }
    return true;
  };
  if (kept) kept->clear();
  for (const auto& [a, b] : by_hand) {
    const bool holds = passes[a].load == passes[b].load && add(a, b, Why::by_hand);
    if (kept) kept->push_back(holds);
  }
  std::vector<Pair> roles, inks;
  for (std::size_t a = 0; a < n; ++a) {
    for (std::size_t b = 0; b < n; ++b) {
      const PassRank &x = passes[a], &y = passes[b];
      if (a == b || x.load != y.load) continue;
      if (x.role < y.role) roles.push_back({a, b, static_cast<double>(y.role - x.role)});
      if (x.role == y.role && x.ink && y.ink && x.sheet == y.sheet && x.light > y.light + 1e-9)
        inks.push_back({a, b, x.light - y.light});
    }
  }
  for (auto* pairs : {&roles, &inks})
    std::stable_sort(pairs->begin(), pairs->end(), [](const Pair& a, const Pair& b) { return a.apart < b.apart; });
  for (const Pair& pair : roles) (void)add(pair.first, pair.second, Why::role);
  for (const Pair& pair : inks) (void)add(pair.first, pair.second, Why::ink);
  return out;
}

}  // namespace dotlane
