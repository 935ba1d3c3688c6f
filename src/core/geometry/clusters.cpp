#include "core/geometry/clusters.hpp"

#include <algorithm>
#include <numeric>

namespace dotlane {

std::vector<std::vector<std::size_t>> touching(const std::vector<Box>& boxes, std::size_t apart) {
  const std::size_t n = boxes.size();
  std::vector<std::size_t> order(n), root(n), live;
  std::iota(order.begin(), order.end(), std::size_t{0});
  root = order;
  std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return boxes[a].x0 < boxes[b].x0; });
  auto find = [&](std::size_t i) {
    while (root[i] != i) i = root[i] = root[root[i]];
    return i;
  };
  for (const std::size_t i : order) {
    std::erase_if(live, [&](std::size_t k) { return boxes[k].x1 < boxes[i].x0; });
    for (const std::size_t k : live) {
      if (apart > 0 && (k < apart) == (i < apart)) continue;
      if (boxes[k].overlaps(boxes[i])) root[find(i)] = find(k);
    }
    if (!boxes[i].empty()) live.push_back(i);
  }
  std::vector<std::vector<std::size_t>> out;
  std::vector<std::size_t> at(n, n);
  for (const std::size_t i : order) {
    const std::size_t r = find(i);
    if (at[r] == n) at[r] = out.size(), out.emplace_back();
    out[at[r]].push_back(i);
  }
  return out;
}

}  // namespace dotlane
