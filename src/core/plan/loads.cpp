#include "core/plan/loads.hpp"

#include <algorithm>
#include <map>
#include <set>

namespace dotlane {
namespace {

using Tools = std::set<std::string>;

/// Runs through one order of tools from what the current load already uses; returns the pauses and leaves in `load`
/// the tools of the last load. A load grows until the next tool does not fit: no other split needs fewer pauses.
int pauses_along(const std::vector<std::string>& order, std::size_t holders, Tools& load) {
  int pauses = 0;
  for (const auto& tool : order) {
    if (load.contains(tool)) continue;
    if (load.size() == holders) {
      load.clear();
      ++pauses;
    }
    load.insert(tool);
  }
  return pauses;
}

struct Best {
  int pauses = 0;
  std::vector<std::string> order;  // of tools, all ranks so far
};

}  // namespace

std::vector<LoadedPass> load_holders(const std::vector<LoadItem>& items, int holders,
                                     std::vector<std::string>& loaded) {
  const auto slots = static_cast<std::size_t>(std::max(1, holders));
  loaded.resize(slots);
  // Blocks of equal rank, each with its different tools in the order they come.
  std::vector<std::vector<std::string>> blocks;
  std::vector<std::size_t> block_of(items.size());
  for (std::size_t i = 0; i < items.size(); ++i) {
    if (i == 0 || items[i].rank != items[i - 1].rank) blocks.emplace_back();
    block_of[i] = blocks.size() - 1;
    auto& tools = blocks.back();
    if (std::find(tools.begin(), tools.end(), items[i].tool) == tools.end()) tools.push_back(items[i].tool);
  }
  // The state between blocks is the set of tools of the load under way.
  std::map<Tools, Best> states{{Tools{}, Best{}}};
  for (const auto& block : blocks) {
    std::map<Tools, Best> next;
    for (const auto& [load, best] : states) {
      std::vector<std::size_t> turn(block.size());
      for (std::size_t i = 0; i < turn.size(); ++i) turn[i] = i;
      do {
        std::vector<std::string> order;
        for (const auto i : turn) order.push_back(block[i]);
        Tools after = load;
        Best reached{best.pauses + pauses_along(order, slots, after), best.order};
        reached.order.insert(reached.order.end(), order.begin(), order.end());
        const auto known = next.find(after);
        if (known == next.end() || reached.pauses < known->second.pauses) next[after] = std::move(reached);
      } while (block.size() <= 6 && std::next_permutation(turn.begin(), turn.end()));
    }
    states = std::move(next);
  }
  const Best* best = nullptr;
  for (const auto& [load, reached] : states) {
    if (!best || reached.pauses < best->pauses) best = &reached;
  }

  // Lay the items along the chosen order of tools, block by block.
  std::vector<std::size_t> sequence;
  std::size_t at = 0;
  for (std::size_t b = 0; b < blocks.size(); ++b) {
    for (std::size_t k = 0; k < blocks[b].size(); ++k, ++at) {
      for (std::size_t i = 0; i < items.size(); ++i) {
        if (block_of[i] == b && items[i].tool == best->order[at]) sequence.push_back(i);
      }
    }
  }
  // Cut the sequence into loads, then give each load its holders.
  std::vector<LoadedPass> out;
  bool first = true;
  for (std::size_t from = 0; from < sequence.size();) {
    Tools load;
    std::size_t to = from;
    for (; to < sequence.size(); ++to) {
      const auto& tool = items[sequence[to]].tool;
      if (!load.contains(tool) && load.size() == slots) break;
      load.insert(tool);
    }
    bool changed = false;
    std::vector<bool> busy(slots, false);
    for (std::size_t h = 0; h < slots; ++h) busy[h] = load.contains(loaded[h]);
    for (std::size_t i = from; i < to; ++i) {
      const auto& tool = items[sequence[i]].tool;
      if (std::find(loaded.begin(), loaded.end(), tool) != loaded.end()) continue;
      const auto free = static_cast<std::size_t>(std::find(busy.begin(), busy.end(), false) - busy.begin());
      loaded[free] = tool;
      busy[free] = true;
      changed = true;
    }
    for (std::size_t i = from; i < to; ++i) {
      const auto holder = std::find(loaded.begin(), loaded.end(), items[sequence[i]].tool) - loaded.begin();
      out.push_back({sequence[i], static_cast<int>(holder) + 1, i == from && changed && !first});
    }
    first = false;
    from = to;
  }
  return out;
}

}  // namespace dotlane
