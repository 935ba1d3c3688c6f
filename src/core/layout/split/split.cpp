#include "core/layout/split/split.hpp"

#include <algorithm>
#include <cmath>
#include <tuple>

#include "core/geometry/parallel.hpp"
#include "core/layout/split/rows.hpp"

namespace dotlane::tiling {
namespace {

constexpr double kSlackMm = 0.01;  // that a tile may be larger than its room
constexpr double kThin = 0.1;      // detail that is left aside while looking, mm

Region thin_of(const Region& region) {
  Region out;
  for (const auto& ring : region.rings) out.rings.push_back(thinned(ring, kThin));
  return region_of(out.rings, FillRule::nonzero);
}

bool is_sliver(const Task& task, const Region& shape) {
  const double area = area_of(shape);
  if (area < task.least_area) return true;
  // What is as wide as that on average is so somewhere.
  return area < task.least_width * perimeter_of(shape) && offset(shape, -task.least_width / 2).empty();
}

/// How much of a seam is seen.
double seen_of(const Seam& seam, const Region& over) {
  double out = 0;
  for (const auto& stretch : clip({Polyline{{seam.a, seam.b}, false}}, over, false)) out += length_of(stretch);
  return out;
}

/// A line across everything, level in the frame turned by `angle`.
Seam across(const Region& part, double angle, double y) {
  const Box box = bounds_of(part);
  const double reach = box.width() + box.height() + norm(box.centre());
  const Affine back = Affine::rotate(-angle);
  return {back({-reach, y}), back({reach, y})};
}

/// Where such a line runs in the part: a seam for each stretch.
void add_seams(const Region& part, const Seam& line, std::vector<Seam>& out) {
  constexpr double kShort = 0.01;  // a stretch that only touches the part
  for (const auto& stretch : clip({Polyline{{line.a, line.b}, false}}, part, true)) {
    if (length_of(stretch) > kShort) out.push_back({stretch.points.front(), stretch.points.back()});
  }
}

/// The tiles on both sides of seams, where each side is one.
struct Joint {
  std::size_t seam, one, other;
};

std::vector<Joint> joints_of(const std::vector<Region>& tiles, const std::vector<Seam>& seams) {
  constexpr double kBeside = 2e-3;
  constexpr int kLooks = 9;
  std::vector<Box> boxes;
  for (const auto& tile : tiles) boxes.push_back(bounds_of(tile));
  const auto at = [&](Vec p) {
    for (std::size_t i = 0; i < tiles.size(); ++i) {
      if (boxes[i].contains(p) && encloses(tiles[i], p)) return i;
    }
    return tiles.size();
  };
  std::vector<Joint> out;
  for (std::size_t s = 0; s < seams.size(); ++s) {
    const Vec d = (seams[s].b - seams[s].a) * (kBeside / seams[s].length()), n{d.y, -d.x};
    Joint joint{s, tiles.size(), tiles.size()};
    bool one_each = true;
    for (int k = 0; k < kLooks && one_each; ++k) {
      const Vec p = lerp(seams[s].a, seams[s].b, (k + 0.5) / kLooks);
      const std::size_t left = at(p + n), right = at(p - n);
      if (k == 0) joint.one = left, joint.other = right;
      one_each = left == joint.one && right == joint.other && left < tiles.size() && right < tiles.size();
    }
    if (one_each && joint.one != joint.other) out.push_back(joint);
  }
  return out;
}

class Splitter {
 public:
  explicit Splitter(const Task& task) : task_(task), thin_(thin_of(task.part)), over_(thin_of(task.over)) {
    for (const auto& other : task.others)
      avoid_ = unite({avoid_, buffer({Polyline{{other.a, other.b}, false}}, task.apart)});
    for (Vec& room : task_.rooms) room.x -= task.allowance, room.y -= task.allowance;
    task_.kept.clear();
    for (const auto& seam : divide(thin_, task.kept).seams) {
      if (seam) task_.kept.push_back(*seam);
    }
  }

  Split best() {
    Split out = measured(task_.part, task_.kept);
    constexpr double kMostTiles = 200;  // nobody glues more
    double room = 0;
    for (const Vec r : task_.rooms) room = std::max(room, r.x > 0 && r.y > 0 ? r.x * r.y : 0.0);
    if (out.fits() || area_of(task_.part) > kMostTiles * room) return out;
    std::vector<Seam> seams = task_.kept;
    for (const auto& tile : divide(thin_, task_.kept).tiles) {
      if (fit_in(task_, tile).scale < 1) divide_further(tile, 0, seams);
    }
    join(thin_, task_.kept.size(), seams);
    nudge(seams);
    return measured(task_.part, seams);
  }

  /// The part along these seams, exactly.
  [[nodiscard]] Split measured(const Region& part, const std::vector<Seam>& seams) const {
    Split out;
    const Divided divided = divide(part, seams);
    for (std::size_t s = 0; s < seams.size(); ++s) {
      if (!divided.seams[s]) continue;
      out.kept += s < task_.kept.size();
      out.seams.push_back(*divided.seams[s]);
      out.seam_mm += divided.seams[s]->length();
      out.visible_mm += seen_of(*divided.seams[s], task_.over);
    }
    for (const auto& shape : divided.tiles) {
      const BoxFit fit = fit_in(task_, shape);
      out.tiles.push_back({shape, fit.scale >= 1, fit.turn, is_sliver(task_, shape)});
    }
    return out;
  }

 private:
  Task task_;
  Region thin_, over_, avoid_;

  /// Adds the seams of the best rows in which the part, which fits no room, may lie.
  void divide_further(const Region& part, int depth, std::vector<Seam>& seams) {
    constexpr int kDeepest = 6;
    const std::size_t candidates = depth == 0 ? 6 : 1;
    if (depth == kDeepest) return;
    RowsTask rows{part, over_, avoid_, task_.rooms, {}, task_.least_width, task_.least_area};
    // What the lines between which shapes are looked at may miss; more each time that something still did not fit.
    for (Vec& room : rows.rooms) room.x -= 0.2 + depth, room.y -= 0.2 + depth;
    rows.turns.assign(kDirections, task_.turns.empty());
    for (const double turn : task_.turns) {
      const int k = static_cast<int>(std::lround(turn / kStepDeg)) % kDirections;
      rows.turns[static_cast<std::size_t>(k < 0 ? k + kDirections : k)] = true;
    }
    std::vector<Rows> found(kDirections);
    for_each_index(kDirections, 2,
                   [&](std::size_t k) { found[k] = best_rows(rows, kStepDeg * static_cast<double>(k)); });
    std::erase_if(found, [](const Rows& r) { return !r.found; });
    std::stable_sort(found.begin(), found.end(), [](const Rows& a, const Rows& b) { return a.cost < b.cost; });
    if (found.size() > candidates) found.resize(candidates);
    std::vector<std::vector<Seam>> ways(found.size());
    for (std::size_t i = 0; i < found.size(); ++i) {
      for (const double y : found[i].cuts) add_seams(part, across(part, found[i].angle, y), ways[i]);
      for (const auto& tile : divide(part, ways[i]).tiles) {
        if (fit_in(task_, tile).scale < 1) divide_further(tile, depth + 1, ways[i]);
      }
      join(part, 0, ways[i]);
    }
    const std::vector<Seam>* best = nullptr;
    Worth least{};
    for (const auto& way : ways) {
      const Worth worth = worth_of(divide(part, way));
      if (!best || worth < least) best = &way, least = worth;
    }
    if (best) seams.insert(seams.end(), best->begin(), best->end());
  }

  /// What fits no room, slivers, tiles, then millimetres.
  using Worth = std::tuple<std::size_t, std::size_t, std::size_t, double>;
  [[nodiscard]] Worth worth_of(const Divided& divided) const {
    std::size_t misfits = 0, slivers = 0;
    for (const auto& tile : divided.tiles) misfits += fit_in(task_, tile).scale < 1, slivers += is_sliver(task_, tile);
    double mm = 0;
    for (const auto& seam : divided.seams) {
      if (seam) mm += mm_of(*seam);
    }
    return {misfits, slivers, divided.tiles.size(), mm};
  }
  [[nodiscard]] double mm_of(const Seam& seam) const {
    double along = 0;
    for (const auto& stretch : clip({Polyline{{seam.a, seam.b}, false}}, avoid_, true)) along += length_of(stretch);
    return price_of_seam(seam.length(), seen_of(seam, over_), along);
  }

  /// Leaves out seams, but for the first `kept`, between tiles that fit a room together: slivers first, then where most
  /// is won.
  void join(const Region& part, std::size_t kept, std::vector<Seam>& seams) const {
    for (;;) {
      const Divided divided = divide(part, seams);
      seams.clear();
      for (const auto& seam : divided.seams) {
        if (seam) seams.push_back(*seam);
      }
      std::vector<bool> sliver;
      for (const auto& tile : divided.tiles) sliver.push_back(is_sliver(task_, tile));
      const auto joints = joints_of(divided.tiles, seams);
      std::vector<std::size_t> best;
      double most = -1;
      for (const auto& first : joints) {
        std::vector<std::size_t> between;
        double won = 0;
        bool may = true;
        for (const auto& joint : joints) {
          if (std::minmax(joint.one, joint.other) != std::minmax(first.one, first.other)) continue;
          between.push_back(joint.seam), won += mm_of(seams[joint.seam]);
          may = may && joint.seam >= kept;
        }
        constexpr double kSliverFirst = 1e6;
        if (sliver[first.one] || sliver[first.other]) won += kSliverFirst;
        if (!may || won <= most) continue;
        Region both = divided.tiles[first.one];
        const auto& more = divided.tiles[first.other].rings;
        both.rings.insert(both.rings.end(), more.begin(), more.end());
        if (fit_in(task_, both).scale >= 1) most = won, best = between;
      }
      if (best.empty()) return;
      std::sort(best.rbegin(), best.rend());
      for (const std::size_t s : best) seams.erase(seams.begin() + static_cast<std::ptrdiff_t>(s));
    }
  }

  /// Moves and turns each seam that alone parts two tiles a little, as long as that is better.
  void nudge(std::vector<Seam>& seams) const {
    for (std::size_t s = task_.kept.size(); s < seams.size(); ++s) {
      const auto tiles = divide(thin_, seams).tiles;
      const auto joints = joints_of(tiles, seams);
      const auto own = std::find_if(joints.begin(), joints.end(), [s](const Joint& j) { return j.seam == s; });
      if (own == joints.end()) continue;
      const auto parts_the_same = [&](const Joint& j) {
        return std::minmax(j.one, j.other) == std::minmax(own->one, own->other);
      };
      if (std::count_if(joints.begin(), joints.end(), parts_the_same) > 1) continue;
      const Region both =
          unite({tiles[own->one], tiles[own->other], buffer({Polyline{{seams[s].a, seams[s].b}, false}}, kSeamGap)});
      seams[s] = nudged(both, seams[s]);
    }
  }
  [[nodiscard]] Seam nudged(const Region& both, Seam seam) const {
    constexpr double kFirst = 8, kLast = 0.4;  // mm
    Worth worth = worth_of(divide(both, {seam}));
    for (double step = kFirst; step > kLast; step /= 2) {
      for (const double sign : {1.0, -1.0}) {
        for (const bool turned : {false, true}) {
          const Vec d = (seam.b - seam.a) * (sign * step / seam.length()), n{d.y, -d.x};
          const Divided divided = divide(both, {turned ? Seam{seam.a + n, seam.b - n} : Seam{seam.a + n, seam.b + n}});
          if (!divided.seams.front() || divided.tiles.size() < 2) continue;
          const Worth now = worth_of(divided);
          if (now < worth) worth = now, seam = *divided.seams.front();
        }
      }
    }
    return seam;
  }
};

}  // namespace

std::size_t Split::slivers() const {
  return static_cast<std::size_t>(std::count_if(tiles.begin(), tiles.end(), [](const Tile& t) { return t.sliver; }));
}

bool Split::fits() const {
  return std::all_of(tiles.begin(), tiles.end(), [](const Tile& t) { return t.fits; });
}

BoxFit fit_in(const Task& task, const Region& shape) {
  return largest_in_any(hull_of(shape), task.rooms, task.turns, kSlackMm);
}

Split split_part(const Task& task) { return Splitter(task).best(); }

Split split_by_grid(const Task& task) {
  std::vector<Seam> seams;
  const Box box = bounds_of(task.part);
  const Vec room = task.rooms.front();
  for (double y = box.y0 + room.y; y < box.y1; y += room.y)
    add_seams(task.part, {{box.x0 - 1, y}, {box.x1 + 1, y}}, seams);
  const std::vector<Region> rows = divide(task.part, seams).tiles;
  for (double x = box.x0 + room.x; x < box.x1; x += room.x) {
    for (const auto& row : rows) add_seams(row, {{x, box.y0 - 1}, {x, box.y1 + 1}}, seams);
  }
  return Splitter(task).measured(task.part, seams);
}

}  // namespace dotlane::tiling
