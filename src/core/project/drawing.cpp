#include "core/project/drawing.hpp"

#include <algorithm>
#include <set>

#include "core/geometry/measure.hpp"
#include "core/project/ids.hpp"

namespace dotlane {
namespace {

Box mapped_bounds(const FlatLine& line, const Affine& map) {
  Box out;
  if (line.bounds.empty()) return out;
  if (map.b == 0 && map.c == 0) {
    out.add(map({line.bounds.x0, line.bounds.y0}));
    out.add(map({line.bounds.x1, line.bounds.y1}));
  } else {
    const Affine all = map * line.at;
    for (const auto& polyline : *line.polylines) {
      for (const Vec p : polyline.points) out.add(all(p));
    }
  }
  return out;
}

template <class Match>
std::vector<LineRef> lines_where(const Drawing& drawing, Match match) {
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    for (const auto& line : piece->piece->lines) {
      if (match(*piece->piece, line)) out.push_back({piece->piece->id, line.id});
    }
  }
  return out;
}

}  // namespace

Polyline DrawnPiece::course(std::size_t line, std::size_t contour) const {
  return transformed((*flat->lines[line].polylines)[contour], map_of(line));
}

Box Drawing::bounds() const {
  Box box;
  for (const auto& piece : pieces) box.add(piece->bounds);
  return box;
}

std::size_t Drawing::segments() const {
  std::size_t n = 0;
  for (const auto& piece : pieces) n += piece->flat->segments;
  return n;
}

const DrawnPiece* find_drawn(const Drawing& drawing, int piece) {
  const auto found = find_id(drawing.pieces, piece, [](const auto& drawn) { return drawn->piece->id; });
  return found == drawing.pieces.end() ? nullptr : found->get();
}

std::vector<LineRef> lines_of_color(const Drawing& drawing, Color color) {
  return lines_where(drawing, [&](const Piece&, const Line& line) { return line.color == color; });
}

std::vector<LineRef> lines_of_layer(const Drawing& drawing, int piece, const std::string& layer) {
  return lines_where(drawing, [&](const Piece& p, const Line& l) { return p.id == piece && l.layer == layer; });
}

std::vector<LineRef> lines_of_piece(const Drawing& drawing, int piece) {
  return lines_where(drawing, [&](const Piece& p, const Line&) { return p.id == piece; });
}

std::optional<LineRef> pick_line(const Drawing& drawing, Vec at, double reach) {
  std::optional<LineRef> best;
  double nearest = reach;
  for (const auto& piece : drawing.pieces) {
    if (piece->piece->id == kNumbersPiece || !piece->bounds.grown(reach).contains(at)) continue;
    for (std::size_t i = 0; i < piece->flat->lines.size(); ++i) {
      if (!piece->line_bounds[i].grown(nearest).contains(at)) continue;
      for (std::size_t c = 0; c < piece->flat->lines[i].polylines->size(); ++c) {
        const double d = distance_to(piece->course(i, c), at);
        if (d < nearest) {
          nearest = d;
          best = LineRef{piece->piece->id, piece->piece->lines[i].id};
        }
      }
    }
  }
  return best;
}

std::vector<LineRef> lines_inside(const Drawing& drawing, const Box& box) {
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    if (piece->piece->id == kNumbersPiece) continue;
    if (!piece->bounds.empty() && box.contains(piece->bounds)) {
      out.push_back({piece->piece->id, ""});
      continue;
    }
    for (std::size_t i = 0; i < piece->line_bounds.size(); ++i) {
      if (!piece->line_bounds[i].empty() && box.contains(piece->line_bounds[i])) {
        out.push_back({piece->piece->id, piece->piece->lines[i].id});
      }
    }
  }
  return out;
}

Box bounds_of(const Drawing& drawing, const std::vector<LineRef>& lines) {
  Box out;
  const std::set<LineRef> wanted(lines.begin(), lines.end());
  for (const auto& piece : drawing.pieces) {
    const int id = piece->piece->id;
    if (wanted.contains({id, ""})) {
      out.add(piece->bounds);
      continue;
    }
    const auto first = wanted.lower_bound({id, ""});
    if (first == wanted.end() || first->piece != id) continue;
    for (std::size_t i = 0; i < piece->line_bounds.size(); ++i) {
      if (wanted.contains({id, piece->piece->lines[i].id})) out.add(piece->line_bounds[i]);
    }
  }
  return out;
}

Vec own_size(const DrawnPiece& piece) {
  const Box& box = piece.flat->bounds;
  return {box.width() * std::hypot(piece.map.a, piece.map.b), box.height() * std::hypot(piece.map.c, piece.map.d)};
}

void find_bounds(DrawnPiece& piece) {
  piece.bounds = {};
  piece.line_bounds.clear();
  for (const auto& line : piece.flat->lines) {
    piece.line_bounds.push_back(mapped_bounds(line, piece.map));
    piece.bounds.add(piece.line_bounds.back());
  }
}

}  // namespace dotlane
