// Parts larger than a sheet: their tiles beside GEOS, beside rows laid greedily, and beside a plain grid.
#include "core/layout/split/split.hpp"

#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "random_figures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

constexpr double kRoom = 292;

tiling::Task task_for(const RandomFigure& figure) {
  tiling::Task task;
  task.part = figure.body, task.over = figure.over(), task.rooms = {{kRoom, kRoom}};
  return task;
}

Region together(const std::vector<tiling::Tile>& tiles) {
  Region out;
  for (const auto& tile : tiles) out.rings.insert(out.rings.end(), tile.shape.rings.begin(), tile.shape.rings.end());
  return out;
}

/// The fewest rows of parallel cuts in one of these directions: each row as high as its parts still fit.
std::size_t fewest_rows(const tiling::Task& task, int directions) {
  std::size_t best = 1000;
  for (int d = 0; d < directions; ++d) {
    const Region turned = transformed(task.part, Affine::rotate(180.0 * d / directions));
    const Box box = bounds_of(turned);
    const auto row = [&](double y0, double y1) {
      return parts_of(intersect(turned, region_of(Box{box.x0 - 1, y0, box.x1 + 1, y1})));
    };
    const auto fits = [&](double y0, double y1) {
      const auto parts = row(y0, y1);
      return std::all_of(parts.begin(), parts.end(), [&](const Region& r) { return fit_in(task, r).scale >= 1; });
    };
    std::size_t tiles = 0;
    for (double y = box.y0; y < box.y1 - 1e-6 && tiles < best;) {
      double fit = y, not_fit = std::min(box.y1 + 1e-3, y + 1.5 * kRoom);
      if (fits(y, not_fit)) {
        fit = not_fit;
      } else {
        for (int k = 0; k < 9; ++k) (fits(y, (fit + not_fit) / 2) ? fit : not_fit) = (fit + not_fit) / 2;
      }
      if (fit <= y + 1) {
        tiles = 1000;
        break;
      }
      tiles += row(y, fit).size();
      y = fit;
    }
    best = std::min(best, tiles);
  }
  return best;
}

}  // namespace

TEST_CASE("60 figures in tiles: together they are the figure, each fits as it is said to lie, none is a sliver") {
  double visible = 0, by_grid = 0;
  std::size_t tiles = 0, grid_tiles = 0;
  for (std::uint32_t seed = 0; seed < static_cast<std::uint32_t>(rounds(60)); ++seed) {
    CAPTURE(seed);
    const bool large = seed % 4 == 3;  // more than one room high as well
    const RandomFigure figure = random_figure(1500 + seed, large ? 800 : 690, large ? 420 : 250);
    const tiling::Task task = task_for(figure);
    const tiling::Split split = split_part(task);
    REQUIRE_FALSE(split.seams.empty());
    const Region all = together(split.tiles);
    const double area = area_of(figure.body);
    CHECK(geos_boolean(figure.body, all, Boolean::cut_away).area < 5e-7 * area);
    CHECK(geos_boolean(all, figure.body, Boolean::cut_away).area < 5e-7 * area);
    double sum = 0;
    for (const auto& tile : split.tiles) {
      CHECK(tile.fits);
      const Box box = bounds_of(transformed(tile.shape, Affine::rotate(-tile.turn)));
      CHECK(box.width() <= kRoom + 0.011);
      CHECK(box.height() <= kRoom + 0.011);
      CHECK_FALSE(tile.sliver);
      CHECK(geos_offset(tile.shape, -2.49, Corners::mitre, 4, 8).area > 0);
      sum += figures_of(tile.shape).area;
      CHECK(figures_of(tile.shape).area >= 100);
      CHECK(figures_of(tile.shape).parts == 1);
    }
    CHECK(sum == Approx(area).epsilon(1e-6));  // so no two lie on each other
    CHECK(split.visible_mm <= split.seam_mm + 1e-6);
    const tiling::Split grid = split_by_grid(task);
    visible += split.visible_mm, by_grid += grid.visible_mm;
    tiles += split.tiles.size(), grid_tiles += grid.tiles.size();
    CHECK(split.tiles.size() <= grid.tiles.size());
  }
  CHECK(visible < 0.7 * by_grid);
  CHECK(10 * tiles < 8 * grid_tiles);
}

TEST_CASE("in nine of ten figures there are no more tiles than in the fewest rows that parallel cuts can make") {
  int same = 0, compared = 0;
  for (std::uint32_t seed = 0; seed < static_cast<std::uint32_t>(rounds(24)); ++seed) {
    CAPTURE(seed);
    const tiling::Task task = task_for(random_figure(1700 + seed, 690, 250));
    const std::size_t fewest = fewest_rows(task, 36), ours = split_part(task).tiles.size();
    INFO(ours << " tiles, " << fewest << " in the fewest rows");
    if (fewest >= 1000) continue;  // wider than a room whichever way it is cut
    ++compared, same += ours <= fewest;
    CHECK(ours <= fewest + 1);
  }
  CHECK(compared >= rounds(12));
  CHECK(10 * same >= 9 * compared);
}

TEST_CASE("seams keep clear of those of other layers, and those that are pinned stay") {
  for (std::uint32_t seed = 0; seed < static_cast<std::uint32_t>(rounds(8)); ++seed) {
    CAPTURE(seed);
    const RandomFigure figure = random_figure(1900 + seed, 690, 250);
    tiling::Task task = task_for(figure);
    const tiling::Split first = split_part(task);
    REQUIRE(first.fits());
    tiling::Task again = task;
    again.others = first.seams;
    const tiling::Split other = split_part(again);
    REQUIRE(other.fits());
    // Along each other: stretches of one within a few mm of the other.
    std::vector<Polyline> theirs;
    for (const auto& seam : first.seams) theirs.push_back({{seam.a, seam.b}, false});
    const Region band = buffer(theirs, 5);
    double beside = 0, length = 0;
    for (const auto& seam : other.seams) {
      length += seam.length();
      for (const auto& stretch : clip({Polyline{{seam.a, seam.b}, false}}, band, true)) beside += length_of(stretch);
    }
    CHECK(beside < 0.12 * length);  // where they cross

    task.kept = {first.seams.front()};
    const tiling::Split kept = split_part(task);
    CHECK(kept.fits());
    REQUIRE_FALSE(kept.seams.empty());
    CHECK(distance(kept.seams.front().a, first.seams.front().a) < 0.3);
    CHECK(distance(kept.seams.front().b, first.seams.front().b) < 0.3);
  }
}

TEST_CASE("what fits is left whole, what can never fit comes back as it is, a grain is heeded") {
  tiling::Task task;
  task.part = region_of(Box{0, 0, 200, 100}), task.rooms = {{292, 292}};
  CHECK(split_part(task).seams.empty());
  CHECK(split_part(task).tiles.size() == 1);

  task.rooms = {{0.5, 0.5}};
  const tiling::Split hopeless = split_part(task);
  CHECK_FALSE(hopeless.fits());

  // A strip of 400 x 40 lies in a room of 300 x 300 along its diagonal, but not where it may not be turned.
  task.part = region_of(Box{0, 0, 370, 40}), task.rooms = {{300, 300}};
  CHECK(split_part(task).tiles.size() == 1);
  task.turns = {0, 180};
  const tiling::Split along = split_part(task);
  CHECK(along.fits());
  CHECK(along.tiles.size() == 2);
  CHECK(along.seam_mm < 45);
}

TEST_CASE("an allowance for seams leaves tiles smaller by it") {
  tiling::Task task;
  task.part = region_of(Box{0, 0, 560, 250}), task.rooms = {{290, 290}};
  CHECK(split_part(task).tiles.size() == 2);
  task.rooms = {{285, 285}}, task.allowance = 10;
  const tiling::Split split = split_part(task);
  CHECK(split.tiles.size() > 2);
  for (const auto& tile : split.tiles) {
    const BoxFit fit = largest_in_box(hull_of(tile.shape), 275.02, 275.02);
    CHECK(fit.scale >= 1);
  }
}
