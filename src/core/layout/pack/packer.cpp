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
constexpr double kOutline = 0.002;  // mm: halos are thinned this much, and grown by twice as much
constexpr std::size_t kAtOnce = 4;  // tries in a round, whatever the cores
constexpr std::size_t kLate = 12;
constexpr std::array<std::size_t, 3> kAhead{1, 3, 6};  // parts of which the one that fits best comes next
constexpr double kAlike = 0.6;                         // of the next part's area, that others must have to pass it by
constexpr double kPatience = 0.02;                     // how much better it must fit for each that it passes by
constexpr int kEvery = 3;                              // rows of a shape that are looked at first: one of so many
constexpr std::array kStrips{1.0, 0.7, 0.5, 0.35};     // of the last sheet's width
constexpr double kBox = 4;                             // how much the box around all counts against touching

Region thinned_region(const Region& region) {
  Region out;
  for (const auto& ring : region.rings) {
    Ring r = thinned(ring, kOutline);
    if (r.size() >= 3) out.rings.push_back(std::move(r));
  }
  return out;
}

}  // namespace

Packer::Packer(Task task) : task_(std::move(task)), random_(task_.seed) {
  double sizes = 0;
  for (const std::size_t s : task_.items) sizes += std::sqrt(std::max(0.0, area_of(task_.shapes[s])));
  const bool large = task_.items.empty() || sizes / static_cast<double>(task_.items.size()) > kLargeShape;
  fine_ = large ? kCoarse : kFine;
  for (const auto& stand : task_.stands) {
    boxes_.push_back(bounds_of(stand.area));
    fine_ = std::max(fine_, std::max(boxes_.back().width(), 1.0) / (Grid::kWidest - 1));
  }
  now_.order.resize(task_.items.size());
  std::iota(now_.order.begin(), now_.order.end(), std::size_t{0});
  std::vector<double> weight;
  for (const auto& shape : task_.shapes) {
    const Box box = bounds_of(shape);
    weight.push_back(area_of(shape) * std::max(box.width(), box.height()));
  }
  std::stable_sort(now_.order.begin(), now_.order.end(),
                   [&](std::size_t a, std::size_t b) { return weight[task_.items[a]] > weight[task_.items[b]]; });
  prepare(task_.items.size() > kMany ? std::max(kQuick, fine_) : fine_);
  best_ = now_.packing;
  best_cost_ = now_.cost;
}

/// Turns everything into cells of this size, and lays it down once.
bool Packer::prepare(double cell, const Stop& stop) {
  cell_ = cell;
  empty_.clear();
  for (const auto& stand : task_.stands) empty_.push_back(grid_of(stand));
  shapes_.assign(task_.shapes.size(), {});
  for_each_index(shapes_.size(), 2, [this](std::size_t i) {
    const Region& region = task_.shapes[i];
    Shape& shape = shapes_[i];
    shape.area = area_of(region);
    const Region halo = thinned_region(offset(region, task_.gap + 2 * kOutline, {Corners::round, 4, kOutline}));
    for (const double turn : task_.turns) {
      Pose pose = pose_of(region, halo, turn);
      const bool again = std::any_of(shape.poses.begin(), shape.poses.end(),
                                     [&](const Pose& p) { return p.body == pose.body && p.halo == pose.halo; });
      if (!again) shape.poses.push_back(std::move(pose));
    }
  });
  if (!lay_down(now_, stop)) return false;
  late_.assign(kLate, now_.cost);
  return true;
}

Packer::Pose Packer::pose_of(const Region& shape, const Region& halo, double turn) const {
  Pose pose;
  pose.turn = turn;
  const Affine map = Affine::rotate(-turn);
  const Region body = transformed(shape, map);
  const Box box = bounds_of(body);
  pose.corner = {box.x0, box.y0};
  pose.body = cells_of(body, pose.corner, cell_);
  pose.halo = cells_of(transformed(halo, map), pose.corner, cell_);
  pose.rim = rim_of(pose.body);
  for (const Run& r : pose.body)
    pose.width = std::max(pose.width, r.to + 1), pose.height = std::max(pose.height, r.row + 1);
  for (const Run& r : pose.rim) pose.rim_cells += r.to - r.from + 1;
  for (const Run& r : pose.body) {
    if (r.row % kEvery == 0 || r.row + 1 == pose.height) pose.some.push_back(r);
  }
  // What is most likely to meet something comes first: long runs.
  for (auto* runs : {&pose.body, &pose.some}) {
    std::stable_sort(runs->begin(), runs->end(),
                     [](const Run& a, const Run& b) { return a.to - a.from > b.to - b.from; });
  }
  return pose;
}

Grid Packer::grid_of(const Stand& stand) const {
  const Box box = bounds_of(stand.area);
  // Whole cells only: what is left over at the right and the lower edge is less than one.
  const int width = std::max(1, static_cast<int>(std::floor(box.width() / cell_ + 1e-6)));
  const int height = std::max(1, static_cast<int>(std::floor(box.height() / cell_ + 1e-6)));
  Grid grid(width, height);
  const Vec corner{box.x0, box.y0};
  const Region whole{
      {{{box.x0 - 1, box.y0 - 1}, {box.x1 + 1, box.y0 - 1}, {box.x1 + 1, box.y1 + 1}, {box.x0 - 1, box.y1 + 1}}}};
  const Region outside = subtract(whole, stand.area);
  grid.take(cells_of(outside, corner, cell_), 0, 0);
  for (const auto& region : stand.taken) grid.take(cells_of(offset(region, task_.gap + kOutline), corner, cell_), 0, 0);
  return grid;
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
  Grid grid = empty_[stand];
  const std::size_t sheet = out.sheets.size();
  struct Known {
    bool fresh = false, full = false;
    Spot spot;
  };
  std::vector<Known> known(shapes_.size());
  std::vector<std::size_t> left;
  while (!stop || !stop()) {
    // Of the next few that fit, the one that fits best.
    std::size_t best = items.size(), seen = 0;
    double most = -1e9, first_area = 0;
    for (std::size_t i = 0; i < items.size() && seen < how.ahead; ++i) {
      const std::size_t number = task_.items[items[i]];
      Known& k = known[number];
      if (k.full) continue;
      // Small ones come late in any case: they find room between others.
      if (seen > 0 && shapes_[number].area < kAlike * first_area) continue;
      if (k.fresh && !grid.free(shapes_[number].poses[k.spot.pose].body, k.spot.x, k.spot.y)) k.fresh = false;
      if (!k.fresh) k.spot = best_spot(grid, shapes_[number], how.low), k.fresh = true;
      if (k.spot.score <= -1e9) {
        k.full = true;
        continue;
      }
      if (seen == 0) first_area = shapes_[number].area;
      const double score = k.spot.score - kPatience * static_cast<double>(seen);
      ++seen;
      if (score > most) best = i, most = score;
    }
    if (best == items.size()) break;
    const std::size_t item = items[best];
    Known& k = known[task_.items[item]];
    k.fresh = false;
    const Pose& pose = shapes_[task_.items[item]].poses[k.spot.pose];
    grid.take(pose.halo, k.spot.x, k.spot.y);
    const Vec at{boxes_[stand].x0 + k.spot.x * cell_, boxes_[stand].y0 + k.spot.y * cell_};
    used.add(Box::of(at.x, at.y, pose.width * cell_, pose.height * cell_));
    out.parts.push_back({item, sheet, pose.turn, at - pose.corner});
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
      whole += area_of(task_.stands[stand].area);
      last = used;
    }
  }
  out.waiting = std::move(rest);
  for (const auto& part : out.parts) out.parts_mm2 += shapes_[task_.items[part.item]].area;
  if (!out.sheets.empty()) {
    whole -= area_of(task_.stands[out.sheets.back()].area);
    squeeze(out, last);
    out.used_mm2 = whole + last.width() * last.height();
  }
  attempt.cost = out.used_mm2;
  for (const std::size_t item : out.waiting) attempt.cost += 1e6 + 10 * shapes_[task_.items[item]].area;
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
    Grid grid = empty_[stand];
    const int width = static_cast<int>(share * grid.width());
    for (int y = 0; y < grid.height(); ++y) grid.take({{y, width, grid.width() - 1}}, 0, 0);
    std::vector<Lies> laid;
    Box box, cells;
    for (const auto* part : parts) {
      const Shape& shape = shapes_[task_.items[part->item]];
      const Spot spot = best_spot(grid, shape, 0, &cells);
      if (spot.score <= -1e9) break;
      const Pose& pose = shape.poses[spot.pose];
      grid.take(pose.halo, spot.x, spot.y);
      cells.add(Box::of(spot.x, spot.y, pose.width, pose.height));
      const Vec at{boxes_[stand].x0 + spot.x * cell_, boxes_[stand].y0 + spot.y * cell_};
      box.add(Box::of(at.x, at.y, pose.width * cell_, pose.height * cell_));
      if (box.width() * box.height() >= used.width() * used.height()) break;
      laid.push_back({part->item, sheet, pose.turn, at - pose.corner});
    }
    if (laid.size() < parts.size()) continue;
    used = box;
    for (std::size_t i = 0; i < parts.size(); ++i) *parts[i] = laid[i];
  }
}

bool Packer::take(const Try& t) {
  if (t.cost >= best_cost_ - 1e-9) return false;
  best_ = t.packing;
  best_cost_ = t.cost;
  return true;
}

bool Packer::improve(const Stop& stop) {
  const std::size_t n = task_.items.size();
  if (n < 2) return false;
  if (cell_ > fine_) {
    return prepare(fine_, stop) && take(now_);
  }
  std::vector<Try> tries(kAtOnce);
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
    better = take(t) || better;
    double& late = late_[tries_++ % kLate];
    const bool taken = t.cost <= now_.cost || t.cost <= late;
    late = std::min(late, now_.cost);
    if (taken) now_ = std::move(t);
  }
  return better;
}

}  // namespace dotlane::pack
