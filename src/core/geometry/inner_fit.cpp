#include "core/geometry/inner_fit.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/grid.hpp"

namespace dotlane {
namespace {

constexpr double kDetail = 0.03, kCoarse = 0.3;  // mm
constexpr double kSliver = 1e-4;                 // mm
constexpr double kFound = 0.0005;                // of the scale
constexpr double kFirstTurns = 5;                // degrees

/// The outlines of a region, without its holes, with no more points than such detail needs.
std::vector<Ring> outlines_of(const Region& region, double detail) {
  std::vector<Ring> out;
  for (const auto& ring : region.rings) {
    if (signed_area_of(ring) > 0) out.push_back(thinned(ring, detail));
  }
  return out;
}

class RoomInside {
 public:
  /// For outlines of such detail.
  RoomInside(const Region& room, double detail) {
    // What is thinned may reach farther out than it seems.
    const Region inner = offset(room, -detail, {Corners::mitre});
    for (const auto& ring : inner.rings) room_.push_back(grid::to_grid(ring));
    box_ = bounds_of(inner);
  }

  [[nodiscard]] bool empty() const { return room_.empty(); }
  [[nodiscard]] const Box& box() const { return box_; }

  /// Where outlines that are mapped so lie within.
  [[nodiscard]] std::optional<Vec> place(const std::vector<Ring>& outlines, const Affine& map) const {
    Box size;
    std::vector<Ring> mapped;
    for (const auto& outline : outlines) {
      Ring ring;
      for (const Vec p : outline) ring.push_back(map(p)), size.add(ring.back());
      mapped.push_back(std::move(ring));
    }
    if (room_.empty() || mapped.empty() || size.width() > box_.width() || size.height() > box_.height())
      return std::nullopt;
    using ClipperLib::Paths;
    ClipperLib::Clipper clipper;
    Paths free;
    for (std::size_t k = 0; k < mapped.size(); ++k) {
      // Its first corner has to be within: so the room moved by that is where it may be moved to.
      Paths start;
      for (const auto& ring : room_) start.push_back(moved(ring, grid::to_grid(mapped[k].front() * -1)));
      if (k == 0) {
        free = std::move(start);
        continue;
      }
      ClipperLib::Clipper both;
      both.AddPaths(free, ClipperLib::ptSubject, true);
      both.AddPaths(start, ClipperLib::ptClip, true);
      grid::execute(both, ClipperLib::ctIntersection, free, ClipperLib::pftEvenOdd);
    }
    Paths blocked;
    for (const auto& ring : mapped) {
      ClipperLib::Path mirrored;
      for (const Vec p : ring) mirrored.push_back(grid::to_grid(p * -1));
      for (const auto& edge : room_) {
        Paths sum;
        ClipperLib::MinkowskiSum(mirrored, edge, sum, true);
        blocked.insert(blocked.end(), sum.begin(), sum.end());
        // An edge wholly inside of the shape is crossed by none of its sides.
        ClipperLib::Path whole = moved(mirrored, edge.front());
        if (!ClipperLib::Orientation(whole)) ClipperLib::ReversePath(whole);
        blocked.push_back(std::move(whole));
      }
    }
    clipper.AddPaths(free, ClipperLib::ptSubject, true);
    ClipperLib::Clipper joined;
    joined.AddPaths(blocked, ClipperLib::ptSubject, true);
    Paths all;
    grid::execute(joined, ClipperLib::ctUnion, all, ClipperLib::pftNonZero);
    clipper.AddPaths(all, ClipperLib::ptClip, true);
    Paths left;
    grid::execute(clipper, ClipperLib::ctDifference, left, ClipperLib::pftEvenOdd);
    // Where the room's edge and what is blocked along it differ by a step of the grid, slivers are left: no places.
    std::optional<Vec> best;
    double most = kSliver;
    const Region region = grid::to_region(left);
    for (const auto& part : parts_of(region)) {
      const double wide = area_of(part) / std::max(perimeter_of(part), 1e-9);
      if (wide <= most) continue;
      const Vec middle = centre_of(part);
      best = encloses(part, middle) ? middle : part.rings.front().front(), most = wide;
    }
    return best;
  }

 private:
  static ClipperLib::Path moved(const ClipperLib::Path& ring, const ClipperLib::IntPoint& by) {
    ClipperLib::Path out;
    for (const auto& p : ring) out.push_back({p.X + by.X, p.Y + by.Y});
    return out;
  }

  ClipperLib::Paths room_;
  Box box_;
};

Affine sized(double scale, double turn) { return Affine::rotate(-turn) * Affine::scale(scale, scale); }

}  // namespace

std::optional<Vec> place_within(const Region& shape, const Region& room) {
  return RoomInside(room, kDetail).place(outlines_of(shape, kDetail), {});
}

InnerFit largest_within(const Region& shape, const Region& room, std::vector<double> turns, double at_least) {
  struct Search {
    const RoomInside& inside;
    const std::vector<Ring>& outlines;
    InnerFit best;
    bool any = false;

    void look(double turn) {
      // Never larger than the room around it.
      Box size;
      for (const auto& outline : outlines) {
        for (const Vec p : outline) size.add(sized(1, turn)(p));
      }
      double high = std::min(inside.box().width() / std::max(size.width(), 1e-9),
                             inside.box().height() / std::max(size.height(), 1e-9));
      double low = best.scale * (1 + kFound);
      if (high <= low) return;
      auto found = inside.place(outlines, sized(low, turn));
      if (!found) return;
      while (high - low > kFound * high) {
        const double middle = (low + high) / 2;
        if (const auto there = inside.place(outlines, sized(middle, turn))) {
          low = middle, found = there;
        } else {
          high = middle;
        }
      }
      best = {low, turn, *found};
      any = true;
    }
  };
  const bool free = turns.empty();
  for (double turn = 0; free && turn < 360; turn += kFirstTurns) turns.push_back(turn);
  const double least = std::max(at_least, 1e-6);
  // Where it is largest is found on outlines with few points, how large it may be there on all of them.
  const RoomInside room_roughly(room, kCoarse), room_finely(room, kDetail);
  const auto roughly = outlines_of(shape, kCoarse), finely = outlines_of(shape, kDetail);
  if (room_finely.empty() || finely.empty()) return {};
  Search rough{room_roughly, roughly, {least * (1 - 4 * kFound), 0, {}}}, fine{room_finely, finely, {least, 0, {}}};
  std::vector<double> seem;  // turns that seemed best, one after another
  for (const double turn : turns) {
    const double before = rough.best.scale;
    rough.look(turn);
    if (rough.best.scale > before) seem.push_back(turn);
  }
  for (double step = kFirstTurns / 2; free && rough.any && step > 0.3; step /= 2) {
    const double around = rough.best.turn;
    rough.look(around - step), rough.look(around + step);
  }
  if (rough.any) fine.look(rough.best.turn);
  for (auto turn = seem.rbegin(); turn != seem.rend() && turn - seem.rbegin() < 3; ++turn) fine.look(*turn);
  for (double step = 0.6; free && fine.any && step > 0.05; step /= 2) {
    const double around = fine.best.turn;
    fine.look(around - step), fine.look(around + step);
  }
  if (!fine.any) return {};
  fine.best.turn = std::fmod(fine.best.turn + 360, 360);
  return fine.best;
}

}  // namespace dotlane
