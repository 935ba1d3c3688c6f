#include "core/shape/fit_rows.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace dotlane {
namespace {

constexpr int kStarts = 120;       // heights at which the first row may begin
constexpr double kExactly = 1e-4;  // mm: how exactly the height of a row is found

constexpr double kOffMiddle = 6;  // how much a row beside the middle is worth less, by its share of the width
constexpr double kSmall = 0.35;   // of a row's height

struct Room {
  double left = 0, right = 0, middle = 0;
  [[nodiscard]] double width() const { return right - left; }
};

/// The heights of crossings of the region's edges with a level line.
std::vector<double> crossings(const Region& region, double y) {
  std::vector<double> out;
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if ((a.y <= y) == (b.y <= y)) continue;
      out.push_back(a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y));
    }
  }
  std::sort(out.begin(), out.end());
  return out;
}

/// The widest stretch that lies in the region all along the band.
Room widest(const Region& region, double y0, double y1) {
  Room best;
  const auto spans = crossings(region, (y0 + y1) / 2);
  for (std::size_t k = 0; k + 1 < spans.size(); k += 2) {
    Room room{spans[k], spans[k + 1], (spans[k] + spans[k + 1]) / 2};
    if (room.width() <= best.width()) continue;
    for (const auto& ring : region.rings) {
      for (std::size_t i = 0; i < ring.size(); ++i) {
        Vec a = ring[i], b = ring[(i + 1) % ring.size()];
        if (a.y > b.y) std::swap(a, b);
        if (b.y < y0 || a.y > y1) continue;
        const auto x_at = [&](double y) { return b.y > a.y ? a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y) : a.x; };
        double low = x_at(std::max(y0, a.y)), high = b.y > a.y ? x_at(std::min(y1, b.y)) : b.x;
        if (low > high) std::swap(low, high);
        if (high <= room.middle) {
          room.left = std::max(room.left, high);
        } else if (low >= room.middle) {
          room.right = std::min(room.right, low);
        } else {
          room.left = room.right;
        }
      }
    }
    if (room.width() > best.width()) best = room;
  }
  return best;
}

}  // namespace

Affine FittedRow::map() const {
  const double scale = was.width() > 0 ? room.width() / was.width() : 1;
  return Affine::move(room.x0, room.y0) * Affine::scale(scale, scale) * Affine::move(-was.x0, -was.y0);
}

std::vector<std::vector<std::size_t>> rows_of(const std::vector<Box>& boxes) {
  std::vector<std::size_t> order(boxes.size());
  std::iota(order.begin(), order.end(), std::size_t{0});
  std::stable_sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return boxes[a].y0 < boxes[b].y0; });
  std::vector<std::vector<std::size_t>> out;
  std::vector<Box> around;
  for (const std::size_t i : order) {
    if (boxes[i].empty()) continue;
    if (out.empty() || boxes[i].y0 > around.back().y1) out.emplace_back(), around.emplace_back();
    out.back().push_back(i);
    around.back().add(boxes[i]);
  }
  // What is small and just above a row, as the dots of letters, belongs to it.
  for (std::size_t r = out.size(); r-- > 1;) {
    const double tall = around[r].height();
    if (around[r - 1].height() > kSmall * tall || around[r].y0 - around[r - 1].y1 > kSmall * tall) continue;
    out[r].insert(out[r].begin(), out[r - 1].begin(), out[r - 1].end());
    around[r].add(around[r - 1]);
    out.erase(out.begin() + static_cast<std::ptrdiff_t>(r) - 1),
        around.erase(around.begin() + static_cast<std::ptrdiff_t>(r) - 1);
  }
  return out;
}

std::vector<FittedRow> fit_rows(const std::vector<Box>& rows, const Region& region, double gap) {
  const Box box = bounds_of(region);
  std::vector<FittedRow> best;
  if (rows.empty() || box.empty()) return best;
  double best_worth = -1e300;
  for (int start = 0; start < kStarts; ++start) {
    double y = box.y0 + box.height() * start / kStarts, worth = 0;
    std::vector<FittedRow> tried;
    for (const Box& row : rows) {
      if (row.width() <= 0 || row.height() <= 0) return {};
      // The room narrows as the row grows, so there is one height at which they meet.
      double fits = 0, too_high = box.y1 - y;
      while (too_high - fits > kExactly) {
        const double h = (fits + too_high) / 2;
        (widest(region, y, y + h).width() * row.height() / row.width() >= h ? fits : too_high) = h;
      }
      if (fits < 10 * kExactly) break;
      const Room room = widest(region, y, y + fits);
      const double width = fits * row.width() / row.height(), left = (room.left + room.right - width) / 2;
      tried.push_back({row, Box::of(left, y, width, fits), {room.middle, y + fits / 2}});
      worth += std::log(fits) - kOffMiddle * std::abs(tried.back().room.centre().x - box.centre().x) / box.width();
      y += fits + gap;
    }
    if (tried.size() < rows.size() || worth <= best_worth) continue;
    best_worth = worth, best = std::move(tried);
  }
  return best;
}

std::optional<std::pair<double, double>> room_at(const Region& region, double middle, double y) {
  const auto spans = crossings(region, y);
  for (std::size_t k = 0; k + 1 < spans.size(); k += 2) {
    if (spans[k] <= middle && middle <= spans[k + 1]) return std::pair(spans[k], spans[k + 1]);
  }
  return std::nullopt;
}

Vec bent(const FittedRow& row, const Region& region, Vec at) {
  const double u = (at.x - row.was.x0) / row.was.width(), v = (at.y - row.was.y0) / row.was.height();
  const double y = row.room.y0 + v * row.room.height();
  const auto room = room_at(region, row.middle.x, y);
  const double left = room ? room->first : row.room.x0, right = room ? room->second : row.room.x1;
  return {left + u * (right - left), y};
}

}  // namespace dotlane
