// Packing: what lies on the sheets keeps its gap, lies inside and is all there, measured by GEOS on the outlines.
#include <atomic>
#include <set>

#include "core/geometry/clearance.hpp"
#include "core/layout/pack/settle.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "pack_instances.hpp"

using namespace dotlane;
using namespace dotlane::test;
using namespace dotlane::pack;

namespace {

Region rectangle(double w, double h) { return Region{{{{0, 0}, {w, 0}, {w, h}, {0, h}}}}; }

/// A sheet that was used before: a corner is gone, and some holes.
Region scrap(Chance& chance) {
  const double w = chance.between(120, 292), h = chance.between(120, 292);
  Region out = rectangle(w, h);
  out =
      subtract(out, transformed(rectangle(w / 3, h / 3), Affine::move(chance.coin() ? -1 : w * 2 / 3 + 1, h * 2 / 3)));
  for (int n = chance.whole(0, 3); n > 0; --n) {
    const Region hole = scaled_to({heart()}, chance.between(15, 60));
    const Box box = bounds_of(hole);
    out = subtract(
        out, transformed(hole, Affine::move(chance.between(10, w - 70) - box.x0, chance.between(10, h - 70) - box.y0)));
  }
  return out;
}

/// Everything a packing promises.
void check_packing(const Task& task, const Packing& packing) {
  std::multiset<std::size_t> wanted, found(packing.waiting.begin(), packing.waiting.end());
  for (std::size_t i = 0; i < task.items.size(); ++i) wanted.insert(i);
  for (const auto& part : packing.parts) found.insert(part.item);
  CHECK(found == wanted);
  std::vector<int> used(task.stands.size());
  for (const std::size_t stand : packing.sheets) ++used[stand];
  for (std::size_t s = 0; s < used.size(); ++s) CHECK((task.stands[s].most == 0 || used[s] <= task.stands[s].most));
  std::vector<std::vector<Region>> on(packing.sheets.size());
  for (const auto& part : packing.parts) {
    const Region body = transformed(task.shapes[task.items[part.item]], part.map());
    const Region& area = task.stands[packing.sheets[part.sheet]].area;
    CHECK(geos_boolean(body, area, Boolean::cut_away).area < 0.01 * perimeter_of(body));
    CHECK(std::find(task.turns.begin(), task.turns.end(), part.turn) != task.turns.end());
    on[part.sheet].push_back(body);
  }
  for (std::size_t s = 0; s < on.size(); ++s) {
    CHECK_FALSE(on[s].empty());
    std::vector<Region> all = on[s];
    for (const auto& region : task.stands[packing.sheets[s]].taken) all.push_back(region);
    std::vector<Clearance> ready;
    for (const auto& region : all) ready.emplace_back(region);
    for (std::size_t i = 0; i < on[s].size(); ++i) {
      for (std::size_t k = i + 1; k < all.size(); ++k) {
        INFO("sheet " << s << ": " << i << " and " << k);
        CHECK(ready[k].keeps(task.gap - 0.01, ready[i], {0, 0}));
        if (ready[k].bounds().overlaps(ready[i].bounds()))
          CHECK(geos_boolean(all[k], all[i], Boolean::overlap).area == 0);
      }
    }
  }
  CHECK(packing.density() <= 1);
}

}  // namespace

TEST_CASE("cells are those that share an area with the shape, as GEOS says") {
  Chance chance(91);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    const Region shape = region_of(chance.rings(), chance.rule());
    const double cell = chance.between(3, 9);
    const Vec origin{chance.between(-5, 5), chance.between(-5, 5)};
    std::set<std::pair<int, int>> cells;
    int last = -1000;
    for (const Run& r : cells_of(shape, origin, cell)) {
      CHECK(r.row >= last);
      last = r.row;
      for (int x = r.from; x <= r.to; ++x) CHECK(cells.insert({r.row, x}).second);
    }
    const Box box = bounds_of(shape);
    if (box.empty()) continue;
    for (int row = static_cast<int>((box.y0 - origin.y) / cell) - 2; origin.y + row * cell < box.y1 + cell; ++row) {
      for (int x = static_cast<int>((box.x0 - origin.x) / cell) - 2; origin.x + x * cell < box.x1 + cell; ++x) {
        const Region square =
            transformed(rectangle(cell, cell), Affine::move(origin.x + x * cell, origin.y + row * cell));
        const double shared = geos_boolean(shape, square, Boolean::overlap).area;
        if (shared > 0.02) CHECK(cells.count({row, x}));
        if (shared < 1e-9) CHECK_FALSE(cells.count({row, x}));
      }
    }
  }
}

TEST_CASE("a grid knows what is taken as a plain table of cells does") {
  Chance chance(17);
  for (int round = 0; round < rounds(100); ++round) {
    const int w = chance.whole(1, 200), h = chance.whole(1, 40);
    Grid grid(w, h);
    std::set<std::pair<int, int>> table;
    for (int n = chance.whole(0, 30); n > 0; --n) {
      const int from = chance.whole(-5, w), row = chance.whole(-2, h + 1);
      const Run run{row, from, from + chance.whole(0, 30)};
      const int dx = chance.whole(-3, 3), dy = chance.whole(-2, 2);
      grid.take({run}, dx, dy);
      for (int x = run.from + dx; x <= run.to + dx; ++x) {
        if (x >= 0 && x < w && row + dy >= 0 && row + dy < h) table.insert({row + dy, x});
      }
    }
    const auto is_taken = [&](int row, int x) {
      return x < 0 || x >= w || row < 0 || row >= h || table.count({row, x});
    };
    const int tall = chance.whole(1, h), wide = chance.whole(1, w);
    std::vector<Run> shape;
    for (int row = 0; row < tall; ++row) {
      const int from = chance.whole(0, wide - 1);
      shape.push_back({row, from, chance.whole(from, wide - 1)});
    }
    for (int y = 0; y + tall <= h; ++y) {
      std::vector<std::uint64_t> met(static_cast<std::size_t>(w) / 64 + 2);
      std::vector<Run> runs = shape;
      const bool any = grid.meets(runs, y, w - wide, met.data());
      bool free_somewhere = false;
      for (int x = 0; x + wide <= w; ++x) {
        int count = 0;
        for (const Run& r : shape) {
          for (int c = r.from; c <= r.to; ++c) count += is_taken(r.row + y, c + x) ? 1 : 0;
        }
        free_somewhere = free_somewhere || count == 0;
        REQUIRE(grid.free(shape, x, y) == (count == 0));
        REQUIRE(grid.taken(shape, x, y) == count);
        if (any) REQUIRE((met[static_cast<std::size_t>(x) / 64] >> (x % 64) & 1) == (count > 0 ? 1u : 0u));
      }
      REQUIRE(any == free_somewhere);
    }
    CHECK(grid.taken(shape, -w - 40, 0) > 0);
  }
}

TEST_CASE("200 random packings: gaps kept, all inside, nothing lost, scraps and what lies there included") {
  Chance chance(4711);
  for (int round = 0; round < rounds(200); ++round) {
    INFO("round " << round);
    Task task;
    for (int n = chance.whole(1, 5); n > 0; --n)
      task.shapes.push_back(
          transformed(mixed_part(chance, chance.between(12, 90)), Affine::move(chance.between(-500, 500), 30)));
    if (round % 7 == 0) task.shapes.push_back(rectangle(900, 20));  // fits nowhere
    for (int n = chance.whole(1, 14); n > 0; --n)
      task.items.push_back(static_cast<std::size_t>(chance.whole(0, static_cast<int>(task.shapes.size()) - 1)));
    for (int n = chance.whole(0, 2); n > 0; --n) task.stands.push_back({scrap(chance), 1, {}});
    if (chance.coin()) {
      task.stands.push_back({rectangle(200, 150), 1, {}});
      task.stands.back().taken.push_back(transformed(scaled_to({star(5, 0.5)}, 70), Affine::move(100, 80)));
    }
    task.stands.push_back({rectangle(292, 292), chance.whole(0, 2), {}});
    task.gap = chance.coin() ? 2 : chance.between(0.2, 6);
    const double steps[] = {360, 180, 90, 15};
    task.turns.clear();
    const double step = steps[chance.whole(0, 3)];
    for (double t = 0; t < 360; t += step) task.turns.push_back(t);
    task.seed = static_cast<unsigned>(round);
    Packer packer(task);
    check_packing(task, packer.best());
    const double before = packer.best().density();
    const std::size_t waiting = packer.best().waiting.size();
    for (int i = 0; i < 4; ++i) packer.improve();
    if (packer.best().waiting.size() == waiting) CHECK(packer.best().density() >= before - 1e-12);
    CHECK(packer.best().waiting.size() <= waiting);
    const Packing settled_one = settled(task, packer.best());
    check_packing(task, settled_one);
    CHECK(settled_one.used_mm2 <= packer.best().used_mm2 + 1e-6);
    CHECK(settled_one.parts.size() == packer.best().parts.size());
  }
}

TEST_CASE("the same task gives the same row of packings") {
  Task task = mixed_parts(7, 0.5);
  task.seed = 3;
  const auto row = [&] {
    std::vector<double> out;
    Packer packer(task);
    for (int i = 0; i < 3; ++i) {
      for (const auto& part : packer.best().parts)
        out.insert(out.end(), {static_cast<double>(part.item), part.turn, part.move.x, part.move.y});
      packer.improve();
    }
    return out;
  };
  CHECK(row() == row());
}

TEST_CASE("what two shapes have in common is what counting every cell finds") {
  Chance chance(12);
  for (int round = 0; round < rounds(40); ++round) {
    const std::vector<Run> a = cells_of(mixed_part(chance, chance.between(5, 60)), {-40, -40}, 1);
    const std::vector<Run> b = cells_of(mixed_part(chance, chance.between(5, 60)), {-40, -40}, 1);
    const Layers layers(a), others(b);
    for (int n = 0; n < 20; ++n) {
      const int x = chance.whole(-70, 70), y = chance.whole(-70, 70);
      Grid grid(300, 300);
      grid.take(a, 100, 100);
      CHECK(layers.common(others, x, y) == grid.taken(b, 100 + x, 100 + y));
    }
    CHECK(layers.common(Layers(), 0, 0) == 0);
  }
}

TEST_CASE("parts thrown on a heap are taken apart where there is room, and left where there is none") {
  Task task = mixed_parts(24, 0.5);
  task.stands[0].taken.push_back(transformed(scaled_to({star(5, 0.5)}, 70), Affine::move(200, 80)));
  const Ground ground(task, 1);
  const Grid& sheet = ground.empty[0];
  std::mt19937 random(4);
  std::vector<Laid> heap;
  for (const auto& shape : ground.shapes) heap.push_back({&shape, 0, 100, 100});
  REQUIRE(taken_apart(heap, sheet, sheet.width(), sheet.height(), 4000, random));
  Packing packing;
  packing.sheets = {0};
  for (std::size_t i = 0; i < heap.size(); ++i)
    packing.parts.push_back(ground.lies(i, 0, 0, heap[i].as(), heap[i].x, heap[i].y));
  for (const auto& part : packing.parts) {
    packing.parts_mm2 += ground.area_of_item(part.item);
    const Ground::Spot spot = ground.spot_of(part, 0);
    CHECK(std::tuple(spot.pose, spot.x, spot.y) ==
          std::tuple(heap[part.item].pose, heap[part.item].x, heap[part.item].y));
  }
  check_packing(task, packing);
  CHECK_FALSE(taken_apart(heap, sheet, 120, 120, 4000, random));
  CHECK_FALSE(taken_apart(heap, sheet, 5, 5, 4000, random));
}

TEST_CASE("what waits is exchanged for what is smaller, and goes onto what is left on the shelf") {
  // The long strip comes first and keeps both squares out; without it they fit, and it fits on the narrow sheet.
  Task task = packing_task({rectangle(290, 60), rectangle(140, 140)}, 292, 2, 180);
  task.items = {0, 1, 1};
  task.stands[0] = {rectangle(292, 145), 1, {}};
  Packer packer(task);
  REQUIRE(packer.best().waiting == std::vector<std::size_t>{1, 2});
  for (int i = 0; i < 40; ++i) packer.improve();
  check_packing(task, packer.best());
  CHECK(packer.best().waiting == std::vector<std::size_t>{0});
  task.stands.push_back({rectangle(292, 70), 1, {}});
  Packer both(task);
  REQUIRE(both.best().waiting.size() == 2);
  for (int i = 0; i < 80; ++i) both.improve();
  check_packing(task, both.best());
  CHECK(both.best().waiting.empty());
}

TEST_CASE("the box around the parts on a scrap is narrowed where it is") {
  Task task = packing_task(std::vector<Region>(5, scaled_to({star(6, 0.5)}, 40)), 292, 2, 30);
  const Region scrap{{{{0, 0}, {200, 10}, {210, 120}, {0, 130}}}};
  task.stands[0] = {subtract(scrap, transformed(rectangle(20, 20), Affine::move(40, 40))), 1, {}};
  Packer packer(task);
  const double before = packer.best().used_mm2;
  for (int i = 0; i < 40; ++i) packer.improve();
  check_packing(task, packer.best());
  CHECK(packer.best().used_mm2 < 0.97 * before);
}

TEST_CASE("a packing that is stopped keeps the best it had") {
  Packer packer(mixed_parts(20, 0.5));
  const Packing before = packer.best();
  std::atomic<int> asked = 0;
  CHECK_FALSE(packer.improve([&] { return ++asked > 7; }));
  CHECK(packer.best().parts.size() == before.parts.size());
  CHECK(packer.best().used_mm2 == before.used_mm2);
  CHECK(asked > 7);
}

TEST_CASE("squares fill a sheet as chocolate does its box, and what is too many takes the next") {
  Task task = packing_task(std::vector<Region>(10, rectangle(96, 96)), 292, 2, 90);
  const Packer packer(task);
  REQUIRE(packer.best().sheets.size() == 2);
  CHECK(std::count_if(packer.best().parts.begin(), packer.best().parts.end(),
                      [](const Lies& l) { return l.sheet == 0; }) == 9);
  CHECK(packer.best().used_mm2 == Approx(292 * 292 + 96 * 96));
  Task one = task;
  one.stands[0].most = 1;
  CHECK(Packer(one).best().waiting.size() == 1);
  Task none = task;
  none.items.clear();
  CHECK(Packer(none).best().sheets.empty());
}

TEST_CASE("settled, two discs come as near as the gap and no nearer") {
  Task task = packing_task({scaled_to({star(200, 1)}, 60), scaled_to({star(200, 1)}, 60)}, 292, 2, 360);
  Packing packing = Packer(task).best();
  packing.parts[1].move = packing.parts[0].move + Vec{90, 0};
  packing = settled(task, packing);
  const Vec apart = packing.parts[1].move - packing.parts[0].move;
  CHECK(norm(apart) == Approx(62).margin(0.05));
  CHECK(norm(apart) >= 61.99);
}

TEST_CASE("the largest clean rectangle is what trying every rectangle finds") {
  Chance chance(8);
  for (int round = 0; round < rounds(30); ++round) {
    const Region area = chance.coin() ? rectangle(30, 24)
                                      : subtract(rectangle(30, 24), transformed(rectangle(8, 9), Affine::move(22, 15)));
    std::vector<Region> bodies;
    for (int n = chance.whole(0, 4); n > 0; --n)
      bodies.push_back(transformed(rectangle(chance.whole(1, 6), chance.whole(1, 6)),
                                   Affine::move(chance.whole(0, 26), chance.whole(0, 20))));
    double best = 0;
    for (int x0 = 0; x0 < 30; ++x0) {
      for (int y0 = 0; y0 < 24; ++y0) {
        for (int x1 = x0 + 1; x1 <= 30; ++x1) {
          for (int y1 = y0 + 1; y1 <= 24; ++y1) {
            if ((x1 - x0) * (y1 - y0) <= best) continue;
            const bool inside = area.rings.front().size() == 4 || x1 <= 22 || y1 <= 15;
            const bool clean = std::none_of(bodies.begin(), bodies.end(), [&](const Region& b) {
              const Box box = bounds_of(b);
              return x0 < box.x1 && x1 > box.x0 && y0 < box.y1 && y1 > box.y0;
            });
            if (inside && clean) best = (x1 - x0) * (y1 - y0);
          }
        }
      }
    }
    const Box found = largest_clean(area, bodies, 0);
    CHECK(found.width() * found.height() == Approx(best).margin(1e-9));
  }
}
