#include "core/layout/pack/packer.hpp"

#include <algorithm>
#include <array>
#include <atomic>
#include <bit>
#include <cmath>
#include <numeric>

#include "core/geometry/parallel.hpp"

namespace dotlane::pack {
namespace {

constexpr double kFine = 0.5, kCoarse = 1;  // mm, sides of a cell
constexpr double kQuick = 2;                // mm, of a first answer where there are more parts than kMany
constexpr std::size_t kMany = 60;
constexpr double kLargeShape = 35;  // mm, root of a shape's area from which on coarse cells do
constexpr std::size_t kTries = 4;   // orders in a round, whatever the cores
constexpr std::size_t kLate = 12;
constexpr std::size_t kOrdersEvery = 400;              // rounds, the others rearrange
constexpr std::array<std::size_t, 3> kAhead{1, 3, 6};  // parts of which the one that fits best comes next
constexpr double kAlike = 0.6;                         // of the next part's area, that others must have to pass it by
constexpr double kPatience = 0.02;                     // how much better it must fit for each that it passes by
constexpr std::array kStrips{1.0, 0.7, 0.5, 0.35};     // of the last sheet's width
constexpr double kBox = 4;                             // how much the box around all counts against touching

}  // namespace

Packer::Packer(Task task) : task_(std::move(task)), random_(task_.seed) {
  const std::size_t n = task_.items.size();
  double sizes = 0;
  std::vector<double> weight;
  for (const auto& shape : task_.shapes) {
    const Box box = bounds_of(shape);
    weight.push_back(area_of(shape) * std::max(box.width(), box.height()));
  }
  for (const std::size_t s : task_.items) sizes += std::sqrt(std::max(0.0, area_of(task_.shapes[s])));
  const bool large = sizes > kLargeShape * static_cast<double>(n);
  ground_.emplace(task_, cell_for(task_, n > kMany ? kQuick : large ? kCoarse : kFine));
  now_.order.resize(n);
  std::iota(now_.order.begin(), now_.order.end(), std::size_t{0});
  std::stable_sort(now_.order.begin(), now_.order.end(),
                   [&](std::size_t a, std::size_t b) { return weight[task_.items[a]] > weight[task_.items[b]]; });
  lay_down(now_);
  late_.assign(kLate, now_.cost);
  best_ = now_.packing;
  best_cost_ = now_.cost;
}

Packer::Spot Packer::best_spot(const Grid& grid, const Shape& shape, double low, const Box* box) const {
  Spot best;
  std::uint64_t met[Grid::kWidest / 64 + 1], above[Grid::kWidest / 64 + 1], corners[Grid::kWidest / 64 + 1];
  for (std::size_t p = 0; p < shape.poses.size(); ++p) {
    const Pose& pose = shape.poses[p];
    const int last_x = grid.width() - pose.width, last_y = grid.height() - pose.height;
    if (last_x < 0 || last_y < 0) continue;
    const int used = last_x / 64 + 1;
    std::vector<Run> some = pose.some;
    std::fill_n(above, used, ~std::uint64_t{0});
    for (int y = 0; y <= std::min(last_y, grid.lowest() + 1); ++y) {
      // Not even with the best of touches would it do any better.
      if (!box && 1 - low * (y + pose.height) / grid.height() < best.score) break;
      const bool any = grid.meets(some, y, last_x, met);
      if (any) {
        // Where it can be, but neither a step to the left nor a step up.
        for (int w = 0; w < used; ++w) {
          const std::uint64_t free = ~met[w], left = (free << 1) | (w > 0 ? ~met[w - 1] >> 63 : 0);
          corners[w] = free & ~left & above[w];
          if (w + 1 == used) corners[w] &= ~std::uint64_t{0} >> (63 - last_x % 64);
        }
        for (int w = 0; w < used; ++w) {
          for (std::uint64_t bits = corners[w]; bits != 0; bits &= bits - 1) {
            // The rows left out decide, a little to the right if need be.
            int x = 64 * w + std::countr_zero(bits);
            const int end = std::min(x + kEvery, last_x);
            while (x <= end && !grid.free(pose.body, x, y)) ++x;
            if (x > end) continue;
            const double touch = static_cast<double>(grid.taken(pose.rim, x, y)) / pose.rim_cells;
            double score = touch - low * (y + pose.height) / grid.height() - 1e-4 * x / grid.width();
            if (box) {
              Box all = *box;  // in cells
              all.add(Box::of(x, y, pose.width, pose.height));
              score = touch - kBox * all.width() * all.height() / grid.width() / grid.height();
            }
            if (score > best.score) best = {p, x, y, score};
          }
        }
        for (int w = 0; w < used; ++w) above[w] = met[w];
      } else {
        for (int w = 0; w < used; ++w) above[w] = ~std::uint64_t{0};
      }
    }
  }
  return best;
}

std::vector<std::size_t> Packer::fill(Packing& out, std::size_t stand, std::vector<std::size_t> items, const Try& how,
                                      const Stop& stop, Box& used) const {
  Grid grid = ground_->empty[stand];
  const std::size_t sheet = out.sheets.size();
  struct Known {
    bool fresh = false, full = false;
    Spot spot;
  };
  std::vector<Known> known(ground_->shapes.size());
  while (!stop || !stop()) {
    // Of the next few that fit, the one that fits best.
    std::size_t best = items.size(), seen = 0;
    double most = -1e9, first_area = 0;
    for (std::size_t i = 0; i < items.size() && seen < how.ahead; ++i) {
      const std::size_t number = task_.items[items[i]];
      Known& k = known[number];
      if (k.full) continue;
      // Small ones come late in any case: they find room between others.
      if (seen > 0 && ground_->shapes[number].area < kAlike * first_area) continue;
      if (k.fresh && !grid.free(ground_->shapes[number].poses[k.spot.pose].body, k.spot.x, k.spot.y)) k.fresh = false;
      if (!k.fresh) k.spot = best_spot(grid, ground_->shapes[number], how.low), k.fresh = true;
      if (k.spot.score <= -1e9) {
        k.full = true;
        continue;
      }
      if (seen == 0) first_area = ground_->shapes[number].area;
      const double score = k.spot.score - kPatience * static_cast<double>(seen);
      ++seen;
      if (score > most) best = i, most = score;
    }
    if (best == items.size()) break;
    const std::size_t item = items[best];
    Known& k = known[task_.items[item]];
    k.fresh = false;
    const Pose& pose = ground_->shapes[task_.items[item]].poses[k.spot.pose];
    grid.take(pose.halo, k.spot.x, k.spot.y);
    out.parts.push_back(ground_->lies(item, sheet, stand, pose, k.spot.x, k.spot.y));
    used.add(Box::of(k.spot.x, k.spot.y, pose.width, pose.height));
    items.erase(items.begin() + static_cast<std::ptrdiff_t>(best));
  }
  return items;
}

bool Packer::lay_down(Try& attempt, const Stop& stop) const {
  Packing out;
  std::vector<std::size_t> rest = attempt.order;
  Box last;
  double whole = 0;
  for (std::size_t stand = 0; stand < task_.stands.size(); ++stand) {
    for (int n = 0; !rest.empty() && (task_.stands[stand].most == 0 || n < task_.stands[stand].most); ++n) {
      Box used;
      const std::size_t before = rest.size();
      rest = fill(out, stand, std::move(rest), attempt, stop, used);
      if (stop && stop()) return false;
      if (rest.size() == before) break;  // what is left fits on none of these
      out.sheets.push_back(stand);
      whole += ground_->whole[stand];
      last = used;
    }
  }
  out.waiting = std::move(rest);
  for (const auto& part : out.parts) out.parts_mm2 += ground_->area_of_item(part.item);
  if (!out.sheets.empty()) {
    squeeze(out, last);
    out.used_mm2 = whole - ground_->whole[out.sheets.back()] + ground_->mm2(last.width() * last.height());
  }
  attempt.cost = ground_->cost_of(out);
  attempt.packing = std::move(out);
  return true;
}

void Packer::squeeze(Packing& packing, Box& used) const {
  const std::size_t sheet = packing.sheets.size() - 1, stand = packing.sheets.back();
  std::vector<Lies*> parts;
  for (auto& part : packing.parts) {
    if (part.sheet == sheet) parts.push_back(&part);
  }
  for (const double share : kStrips) {
    Grid grid = ground_->empty[stand];
    const int width = static_cast<int>(share * grid.width());
    for (int y = 0; y < grid.height(); ++y) grid.take({{y, width, grid.width() - 1}}, 0, 0);
    std::vector<Lies> laid;
    Box cells;
    for (const auto* part : parts) {
      const Shape& shape = ground_->shapes[task_.items[part->item]];
      const Spot spot = best_spot(grid, shape, 0, &cells);
      if (spot.score <= -1e9) break;
      const Pose& pose = shape.poses[spot.pose];
      grid.take(pose.halo, spot.x, spot.y);
      cells.add(Box::of(spot.x, spot.y, pose.width, pose.height));
      if (cells.width() * cells.height() >= used.width() * used.height()) break;
      laid.push_back(ground_->lies(part->item, sheet, stand, pose, spot.x, spot.y));
    }
    if (laid.size() < parts.size()) continue;
    used = cells;
    for (std::size_t i = 0; i < parts.size(); ++i) *parts[i] = laid[i];
  }
}

bool Packer::take(const Packing& packing, double cost) {
  if (cost >= best_cost_ - 1e-9) return false;
  best_ = packing;
  best_cost_ = cost;
  return true;
}

bool Packer::improve(const Stop& stop) {
  if (task_.items.size() < 2) return false;
  if (!rearranger_) {
    // Whole cells in a cell, so that what lies on the coarse grid lies on the fine one.
    const double parts = std::max(1.0, std::floor(ground_->cell / cell_for(task_, kFine)));
    rearranger_.emplace(task_, ground_->cell / parts);
    rearranger_->offer(best_);
  }
  if (++rounds_ % kOrdersEvery == 0 || !rearranger_->able()) {
    const bool better = try_orders(stop);
    if (better) rearranger_->offer(best_);
    return better;
  }
  const auto packing = rearranger_->improve(random_, stop);
  return packing && take(*packing, rearranger_->ground().cost_of(*packing));
}

bool Packer::try_orders(const Stop& stop) {
  const std::size_t n = task_.items.size();
  std::vector<Try> tries(kTries);
  for (auto& t : tries) {
    t.order = now_.order;
    t.low = now_.low;
    t.ahead = now_.ahead;
    const auto pick = [&](std::size_t below) {
      return std::uniform_int_distribution<std::size_t>(0, below - 1)(random_);
    };
    const int moves = 1 + static_cast<int>(pick(3));
    for (int m = 0; m < moves; ++m) {
      const std::size_t a = pick(n), b = pick(n);
      switch (pick(3)) {
        case 0:
          std::swap(t.order[a], t.order[b]);
          break;
        case 1: {  // one comes earlier
          const std::size_t from = std::max(a, b), to = std::min(a, b);
          std::rotate(t.order.begin() + static_cast<std::ptrdiff_t>(to),
                      t.order.begin() + static_cast<std::ptrdiff_t>(from),
                      t.order.begin() + static_cast<std::ptrdiff_t>(from) + 1);
          break;
        }
        default:
          if (a + 1 < n) std::swap(t.order[a], t.order[a + 1]);
      }
    }
    if (pick(3) == 0) t.ahead = kAhead[pick(kAhead.size())];
    if (pick(4) == 0) t.low = std::exp(std::uniform_real_distribution<double>(-1.2, 1.2)(random_));
  }
  std::atomic<bool> stopped = false;
  for_each_index(tries.size(), 2, [&](std::size_t i) {
    if (!lay_down(tries[i], stop)) stopped = true;
  });
  if (stopped) return false;
  bool better = false;
  for (auto& t : tries) {
    better = take(t.packing, t.cost) || better;
    double& late = late_[tries_++ % kLate];
    const bool taken = t.cost <= now_.cost || t.cost <= late;
    late = std::min(late, now_.cost);
    if (taken) now_ = std::move(t);
  }
  return better;
}

}  // namespace dotlane::pack
