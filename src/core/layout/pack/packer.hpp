// Packing: shapes onto as few sheets as will do. A good answer at once, better ones as long as somebody wants to wait.
#pragma once

#include <functional>
#include <optional>
#include <random>

#include "core/layout/pack/rearrange.hpp"

namespace dotlane::pack {

/// Bottom-left placing of cells under a score of touch (after Burke, Hellier, Kendall and Whitwell, Operations Research
/// 54(3), 2006, who fill from one edge), with late acceptance over the order of parts (Burke and Bykov, European
/// Journal of Operational Research 258(1), 2017); what comes of that is rearranged (see Rearranger). The same task
/// gives the same row of packings.
class Packer {
 public:
  explicit Packer(Task task);
  /// The best so far: no two parts nearer than the gap, everything inside. Worked out in the constructor already.
  [[nodiscard]] const Packing& best() const { return best_; }
  /// Whether there is no time left; asked often, from any thread.
  using Stop = std::function<bool()>;
  /// Tries a few more orders, on all cores. Returns whether the best became better. Stopped, it forgets what it tried.
  bool improve(const Stop& stop = {});

 private:
  struct Spot {
    std::size_t pose = 0;
    int x = 0, y = 0;
    double score = -1e9;
  };
  struct Try {
    std::vector<std::size_t> order;
    double low = 1;         // how much lying low counts against touching
    std::size_t ahead = 6;  // of so many parts the one that fits best comes next
    Packing packing;
    double cost = 0;
  };

  bool take(const Packing& packing, double cost);
  bool try_orders(const Stop& stop);
  /// With `box`, what is left of the sheet is to stay in one piece: what counts besides touching is the box around all.
  [[nodiscard]] Spot best_spot(const Grid& grid, const Shape& shape, double low, const Box* box = nullptr) const;
  /// False when it was stopped.
  bool lay_down(Try& attempt, const Stop& stop = {}) const;
  /// Lays the parts of the last sheet anew on narrower and narrower strips of it, and keeps the smallest box.
  void squeeze(Packing& packing, Box& used) const;
  /// Fills one more sheet with what fits of the items; returns the others, in their order.
  std::vector<std::size_t> fill(Packing& out, std::size_t stand, std::vector<std::size_t> items, const Try& how,
                                const Stop& stop, Box& used) const;

  Task task_;
  std::optional<Ground> ground_;
  std::optional<Rearranger> rearranger_;
  Try now_;
  std::vector<double> late_;  // costs some tries ago
  std::size_t tries_ = 0;
  std::mt19937 random_;
  Packing best_;
  double best_cost_ = 0;
  std::size_t rounds_ = 0;
};

}  // namespace dotlane::pack
