#include "core/place/catch.hpp"

#include "core/geometry/within.hpp"

namespace dotlane {

std::vector<LineRef> caught(const Drawing& drawing, const std::vector<Vec>& loop, Caught how) {
  std::vector<LineRef> out;
  const Region area = region_of({loop}, FillRule::nonzero);
  if (area.empty()) return out;
  const Within within(area);
  const Box box = bounds_of(area);
  const bool all = how == Caught::enclosed;
  for (const auto& piece : drawing.pieces) {
    if (piece->bounds.empty() || !box.overlaps(piece->bounds)) continue;
    std::vector<LineRef> lines;
    std::size_t drawn = 0;
    for (std::size_t i = 0; i < piece->line_bounds.size(); ++i) {
      const Box& bounds = piece->line_bounds[i];
      if (bounds.empty()) continue;
      ++drawn;
      if (!(all ? box.contains(bounds) : box.overlaps(bounds))) continue;
      const std::size_t contours = piece->flat->lines[i].polylines->size();
      bool caught = all;
      for (std::size_t c = 0; c < contours && caught == all; ++c) {
        const Polyline course = piece->course(i, c);
        caught = all ? within.holds(course) : within.touches(course);
      }
      if (caught) lines.push_back({piece->piece->id, piece->piece->lines[i].id});
    }
    // What touches one line of a piece touches the piece.
    if (!lines.empty() && (!all || lines.size() == drawn)) {
      out.push_back({piece->piece->id, ""});
    } else {
      out.insert(out.end(), lines.begin(), lines.end());
    }
  }
  return out;
}

}  // namespace dotlane
