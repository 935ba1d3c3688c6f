// Which ends of stops lie near which: cells with about two ends each, in one piece of memory.
#pragma once

#include <algorithm>
#include <array>
#include <cmath>
#include <cstdint>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// The ends of stops in cells, for looking up what lies near.
class EndGrid {
 public:
  EndGrid(const std::vector<Vec>& ends, const std::vector<std::int32_t>& which) : ends_(ends) {
    Box box;
    for (const std::int32_t e : which) box.add(ends[index(e)]);
    if (box.empty()) box = {0, 0, 0, 0};
    x0_ = box.x0, y0_ = box.y0;
    const double side = std::sqrt(std::max(1.0, static_cast<double>(which.size()) / 2));
    cell_ = std::max({box.width(), box.height(), 1e-6}) / side;
    columns_ = static_cast<int>(box.width() / cell_) + 1, rows_ = static_cast<int>(box.height() / cell_) + 1;
    first_.assign(index(columns_) * index(rows_) + 1, 0);
    for (const std::int32_t e : which) ++first_[cell_of(ends[index(e)]) + 1];
    for (std::size_t c = 1; c < first_.size(); ++c) first_[c] += first_[c - 1];
    items_.resize(which.size());
    auto next = first_;
    for (const std::int32_t e : which) items_[index(next[cell_of(ends[index(e)])]++)] = e;
  }
  struct Found {
    double far2;
    std::int32_t end;
  };
  /// The nearest ends of other stops, nearest first, as many as there is room for; how many.
  template <std::size_t most>
  std::size_t nearest(std::int32_t end, std::array<Found, most>& out) const {
    const Vec from = ends_[index(end)];
    const int c0 = column(from.x), r0 = row(from.y), reach = std::max(columns_, rows_);
    std::size_t found = 0;
    for (int ring = 0; ring <= reach; ++ring) {
      if (found == most && ring > 1 && sq((ring - 1) * cell_) > out[most - 1].far2) break;
      for (int r = std::max(0, r0 - ring); r <= std::min(rows_ - 1, r0 + ring); ++r) {
        const int step = r == r0 - ring || r == r0 + ring ? 1 : std::max(1, 2 * ring);
        for (int c = c0 - ring; c <= c0 + ring; c += step) {
          if (c < 0 || c >= columns_) continue;
          const std::size_t cell = index(r) * index(columns_) + index(c);
          for (std::int32_t k = first_[cell]; k < first_[cell + 1]; ++k) {
            const std::int32_t e = items_[index(k)];
            const double far2 = norm2(ends_[index(e)] - from);
            if (e / 2 == end / 2 || (found == most && far2 >= out[most - 1].far2)) continue;
            std::size_t at = found < most ? found++ : most - 1;
            for (; at > 0 && out[at - 1].far2 > far2; --at) out[at] = out[at - 1];
            out[at] = {far2, e};
          }
        }
      }
    }
    return found;
  }

 private:
  static std::size_t index(int i) { return static_cast<std::size_t>(i); }
  static double sq(double v) { return v * v; }
  static double norm2(Vec v) { return v.x * v.x + v.y * v.y; }
  [[nodiscard]] int column(double x) const {
    return static_cast<int>(std::clamp((x - x0_) / cell_, 0.0, columns_ - 1.0));
  }
  [[nodiscard]] int row(double y) const { return static_cast<int>(std::clamp((y - y0_) / cell_, 0.0, rows_ - 1.0)); }
  [[nodiscard]] std::size_t cell_of(Vec p) const { return index(row(p.y)) * index(columns_) + index(column(p.x)); }

  const std::vector<Vec>& ends_;
  double x0_ = 0, y0_ = 0, cell_ = 1;
  int columns_ = 1, rows_ = 1;
  std::vector<std::int32_t> first_, items_;
};

}  // namespace dotlane
