// What hands do before a run and at each of its pauses, point by point: for the window, for paper, for a helper.
#pragma once

#include <vector>

#include "core/plan/plan.hpp"
#include "core/said.hpp"

namespace dotlane {

struct SetupPoint {
  enum class Kind { lay, load, check, caution } kind = Kind::check;
  Said said;
  int holder = 0;     ///< load: which
  std::string stock;  ///< lay: of what, by id
};

struct SetupCard {
  std::size_t pause = npos;  ///< index into Plan::pauses; npos: before the start
  std::size_t before_pass = 0;
  int load = 1;  ///< mat load
  bool hands = true;
  double start_s = 0;       ///< on the plan's clock
  double dries_s = 0;       ///< of the pause: waiting for ink
  double next_hands_s = 0;  ///< once it goes on: until hands are needed again, or all is done
  bool last = false;        ///< nothing more is asked of hands after it
  std::vector<SetupPoint> points;
};

/// One before the start, one a pause. Common practice, no published source, where no other is named.
[[nodiscard]] std::vector<SetupCard> setup_cards(const Project& project, const Layout& layout, const Plan& plan);

}  // namespace dotlane
