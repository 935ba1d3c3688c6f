#include "core/layout/pack/settle.hpp"

#include <algorithm>
#include <array>
#include <map>

#include "core/geometry/clearance.hpp"
#include "core/geometry/failure.hpp"

namespace dotlane::pack {
namespace {

constexpr double kThin = 0.002;  // mm: outlines are thinned this much
constexpr std::array kSlides{16.0, 8.0, 4.0, 2.0, 1.0, 0.5, 0.2, 0.1, 0.03, 0.01};  // mm
constexpr int kMostTurns = 12;                                                      // of going through all parts

class Settler {
 public:
  Settler(const Task& task, Packing& packing, const std::function<bool()>& stop)
      : task_(task), packing_(packing), stop_(stop) {}

  void run() {
    for (std::size_t s = 0; s < packing_.sheets.size(); ++s) settle(s);
  }

 private:
  const Clearance& shape(std::size_t number, double turn) {
    const auto known = shapes_.find({number, turn});
    if (known != shapes_.end()) return known->second;
    Region region;
    for (const auto& ring : task_.shapes[number].rings) {
      Ring r = thinned(ring, kThin);
      if (r.size() >= 3) region.rings.push_back(std::move(r));
    }
    return shapes_.emplace(std::pair(number, turn), Clearance(transformed(region, Affine::rotate(-turn))))
        .first->second;
  }

  void settle(std::size_t sheet) {
    const Stand& stand = task_.stands[packing_.sheets[sheet]];
    const Clearance area(offset(stand.area, 1e-6, {Corners::mitre}));
    std::vector<Clearance> taken;
    for (const auto& region : stand.taken) taken.emplace_back(region);
    std::vector<Lies*> parts;
    std::vector<const Clearance*> own;
    for (auto& part : packing_.parts) {
      if (part.sheet != sheet) continue;
      parts.push_back(&part);
      own.push_back(&shape(task_.items[part.item], part.turn));
    }
    const double gap = task_.gap + 2 * kThin;
    const auto fits = [&](std::size_t i, Vec move) {
      if (!area.holds(*own[i], move)) return false;
      for (const auto& t : taken) {
        if (!t.keeps(gap, *own[i], move)) return false;
      }
      for (std::size_t k = 0; k < parts.size(); ++k) {
        if (k != i && !own[k]->keeps(gap, *own[i], move - parts[k]->move)) return false;
      }
      return true;
    };
    const auto around = [&] {
      Box box;
      for (std::size_t i = 0; i < parts.size(); ++i) {
        const Box& b = own[i]->bounds();
        const Vec m = parts[i]->move;
        box.add(Box{b.x0 + m.x, b.y0 + m.y, b.x1 + m.x, b.y1 + m.y});
      }
      return box;
    };
    const Box was = around();
    std::vector<Vec> before;
    for (const auto* part : parts) before.push_back(part->move);
    for (int turn = 0; turn < kMostTurns; ++turn) {
      std::vector<std::size_t> order(parts.size());
      for (std::size_t i = 0; i < order.size(); ++i) order[i] = i;
      const auto near = [&](std::size_t i) {
        return own[i]->bounds().y0 + parts[i]->move.y + own[i]->bounds().x0 + parts[i]->move.x;
      };
      std::sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return near(a) < near(b); });
      double moved = 0;
      for (const std::size_t i : order) {
        if (stop_ && stop_()) break;
        for (const Vec way : {Vec{0, -1}, Vec{-1, 0}}) {
          for (const double step : kSlides) {
            while (fits(i, parts[i]->move + way * step)) parts[i]->move = parts[i]->move + way * step, moved += step;
          }
        }
      }
      if (moved < 0.05) break;
    }
    if (sheet + 1 < packing_.sheets.size()) return;
    // The box around what lies on the last sheet is not to grow by one that went its own way.
    const Box now = around();
    if (now.width() * now.height() > was.width() * was.height()) {
      for (std::size_t i = 0; i < parts.size(); ++i) parts[i]->move = before[i];
    }
    const Box last = around();
    packing_.used_mm2 = last.width() * last.height();
    for (std::size_t s = 0; s < sheet; ++s) packing_.used_mm2 += area_of(task_.stands[packing_.sheets[s]].area);
  }

  const Task& task_;
  Packing& packing_;
  const std::function<bool()>& stop_;
  std::map<std::pair<std::size_t, double>, Clearance> shapes_;
};

}  // namespace

Packing settled(const Task& task, Packing packing, const std::function<bool()>& stop) {
  Packing out = packing;
  try {
    Settler(task, out, stop).run();
  } catch (const GeometryFailure&) {
    return packing;
  }
  return out;
}

Box largest_clean(const Region& area, const std::vector<Region>& bodies, double gap, double step) {
  const Box box = bounds_of(area);
  const int width = static_cast<int>(std::floor(box.width() / step)),
            height = static_cast<int>(std::floor(box.height() / step));
  if (width < 1 || height < 1) return {};
  Grid grid(width, height);
  const Vec corner{box.x0, box.y0};
  const Box wide = box.grown(1);
  grid.take(cells_of(subtract(region_of(wide), area), corner, step), 0, 0);
  for (const auto& body : bodies) grid.take(cells_of(gap > 0 ? offset(body, gap) : body, corner, step), 0, 0);
  // The largest rectangle under a row of column heights, row by row: each column is put onto and taken off a stack
  // once.
  std::vector<int> free(static_cast<std::size_t>(width) + 1);
  long best = 0;
  Box out;
  for (int y = 0; y < height; ++y) {
    for (int x = 0; x < width; ++x)
      free[static_cast<std::size_t>(x)] = grid.taken({{0, x, x}}, 0, y) > 0 ? 0 : free[static_cast<std::size_t>(x)] + 1;
    std::vector<int> open;
    for (int x = 0; x <= width; ++x) {
      while (!open.empty() && free[static_cast<std::size_t>(open.back())] >= free[static_cast<std::size_t>(x)]) {
        const int tall = free[static_cast<std::size_t>(open.back())];
        open.pop_back();
        const int from = open.empty() ? 0 : open.back() + 1;
        const long cells = static_cast<long>(tall) * (x - from);
        if (cells > best) {
          best = cells;
          out = Box::of(corner.x + from * step, corner.y + (y + 1 - tall) * step, (x - from) * step, tall * step);
        }
      }
      open.push_back(x);
    }
  }
  return out;
}

}  // namespace dotlane::pack
