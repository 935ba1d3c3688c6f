#include "core/place/fitted.hpp"

#include <algorithm>

#include "core/geometry/convex_hull.hpp"
#include "core/geometry/within.hpp"
#include "core/project/edit.hpp"
#include "core/shape/sizing.hpp"

namespace dotlane {
namespace {

constexpr double kOnMiddle = 1e-7;  // mm

/// All that a piece is around of, its openings filled.
Region outline_of(const DrawnPiece& piece) {
  std::vector<Region> shapes;
  for (const auto& line : piece.piece->lines) {
    Region shape = region_of(transformed(*line.path, piece.map * line.at));
    std::erase_if(shape.rings, [](const Ring& ring) { return signed_area_of(ring) < 0; });
    shapes.push_back(std::move(shape));
  }
  return unite(shapes);
}

}  // namespace

std::optional<std::pair<double, Vec>> room_inside(const DrawnPiece& piece, const DrawnPiece& around, double margin) {
  const Region room = offset(outline_of(around), -margin);
  const Vec middle = bounds_of(outline_of(around)).centre();
  const Box own = tight_bounds(piece);
  if (room.empty() || own.empty()) return std::nullopt;
  std::vector<Vec> points;
  for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
    for (std::size_t c = 0; c < piece.flat->lines[i].polylines->size(); ++c) {
      const auto course = piece.course(i, c);
      points.insert(points.end(), course.points.begin(), course.points.end());
    }
  }
  const Ring hull = convex_hull(std::move(points));
  if (hull.size() < 2) return std::nullopt;
  const Within within(room);
  const auto holds = [&](double scale) {
    Polyline there;
    for (const Vec p : hull) there.points.push_back(middle + (p - own.centre()) * scale);
    there.points.push_back(there.points.front());
    return within.holds(there);
  };
  const Box box = bounds_of(room);
  double small = 0, large = 1.01 * std::max(box.width(), box.height()) / std::max({own.width(), own.height(), 1e-6});
  for (int i = 0; i < 50 && large - small > 1e-7 * large; ++i) {
    const double half = (small + large) / 2;
    (holds(half) ? small : large) = half;
  }
  if (small <= 0) return std::nullopt;
  return std::pair(small, middle);
}

std::optional<Project> fitted_inside(const Project& project, const Drawing& drawing, int id, const Fit& fit,
                                     DrawingCache& cache, Effort effort) {
  const DrawnPiece *piece = find_drawn(drawing, id), *around = find_drawn(drawing, fit.piece);
  if (!piece || !around || piece->stale || around->stale) return std::nullopt;
  const auto room = room_inside(*piece, *around, fit.margin_mm);
  if (!room) return std::nullopt;
  const Box own = tight_bounds(*piece);
  Project next = project;
  if (std::abs(room->first - 1) > 1e-5) {
    const bool wide = own.width() >= own.height();
    Sizing sizing;
    (wide ? sizing.width_mm : sizing.height_mm) = room->first * (wide ? own.width() : own.height());
    const bool kept = find_piece(project, id)->aspect_locked;
    auto sized = size_pieces(set_aspect_lock(next, id, true), {id}, sizing, cache, effort);
    if (!sized) return std::nullopt;
    next = set_aspect_lock(std::move(*sized), id, kept);
  }
  const Box now = tight_bounds(*find_drawn(evaluate(next, cache, effort), id));
  const Vec by = room->second - now.centre();
  if (norm(by) > kOnMiddle) next = move_pieces(std::move(next), {id}, by);
  return next;
}

}  // namespace dotlane
