// Which tool goes into which holder when: the fewest pauses that an order of passes allows.
#pragma once

#include <string>
#include <vector>

namespace dotlane {

/// One pass as the loading sees it: passes of equal rank may trade places, others may not.
struct LoadItem {
  std::string tool;
  int rank = 0;
};

struct LoadedPass {
  std::size_t item = 0;       ///< index into the input
  int holder = 1;             ///< 1 or 2
  bool pause_before = false;  ///< hands are needed: at least one holder gets another tool
};

/// Orders the items within their ranks and loads the holders so that the pauses are as few as possible; at a pause
/// both holders may change. The first loading is not a pause. `loaded` is what the holders hold before and after
/// (empty names = empty); a tool that stays keeps its holder. Ranks must not decrease along the input.
/// Method: dynamic programming over ranks, all orders within a rank of up to 6 different tools, the given order beyond.
[[nodiscard]] std::vector<LoadedPass> load_holders(const std::vector<LoadItem>& items, int holders,
                                                   std::vector<std::string>& loaded);

}  // namespace dotlane
