// A packing made denser: parts change sheets, and the box around the last sheet's parts is made smaller.
#pragma once

#include <optional>
#include <random>

#include "core/layout/pack/apart.hpp"
#include "core/layout/pack/ground.hpp"

namespace dotlane::pack {

/// Keeps a packing and tries changes to it: a part of the last sheet, or one that waits, goes onto another sheet,
/// mostly in exchange for a smaller one, and what then lies over each other is taken apart; or the last sheet's parts
/// are taken apart within a smaller box. What leaves less on the last sheet is kept. The same seeds give the same
/// packings.
class Rearranger {
 public:
  using Stop = std::function<bool()>;

  Rearranger(const Task& task, double cell_mm);
  /// Goes on from this packing, which comes from cells as large or whole times as large, if it is better than its own.
  void offer(const Packing& packing);
  [[nodiscard]] const Ground& ground() const { return ground_; }
  /// Whether there is anything to change: not with thousands of parts on a sheet.
  [[nodiscard]] bool able() const;
  /// Tries some changes, on all cores, and returns the best packing that came of them, if any did. Stopped, it forgets
  /// what it tried.
  [[nodiscard]] std::optional<Packing> improve(std::mt19937& random, const Stop& stop);

 private:
  static constexpr std::size_t npos = static_cast<std::size_t>(-1);
  struct Part {
    std::size_t item = 0, sheet = npos;  // npos: it waits
    Ground::Spot spot;
  };
  struct State {
    std::vector<std::size_t> sheets;  // their stands
    std::vector<Part> parts;
    double rank = 0;  // the less, the better
  };
  struct Frame {  // cells
    int x0 = 0, y0 = 0, x1 = 0, y1 = 0;
  };

  [[nodiscard]] State state_of(const Packing& packing) const;
  [[nodiscard]] Packing packing_of(const State& state) const;
  [[nodiscard]] double area(const Part& part) const { return ground_.area_of_item(part.item); }
  [[nodiscard]] double rank_of(const State& state) const;
  [[nodiscard]] Frame frame_of(const State& state, std::size_t sheet) const;
  /// Takes the parts on a sheet apart within the frame.
  bool apart(State& state, std::size_t sheet, Frame frame, std::mt19937& random, const Stop& stop) const;
  /// The first of which there are more.
  [[nodiscard]] std::optional<std::size_t> unused_stand(const State& state) const;
  bool exchange(State& state, std::mt19937& random, const Stop& stop) const;
  bool narrow(State& state, std::mt19937& random, const Stop& stop) const;

  Ground ground_;
  std::vector<int> most_;  // of each stand
  std::optional<State> now_;
};

}  // namespace dotlane::pack
