#include "core/project/drawing.hpp"

#include <algorithm>
#include <set>

#include "core/geometry/measure.hpp"

namespace dotlane {
namespace {

FlatPiece flatten_piece(const Piece& piece, double tolerance) {
  FlatPiece out;
  out.lines.reserve(piece.lines.size());
  for (const auto& line : piece.lines) {
    auto& flat = out.lines.emplace_back();
    for (const auto& contour : line.path->contours) {
      flat.chains.push_back(flatten(contour, tolerance));
      for (const Vec p : flat.chains.back().points) flat.bounds.add(p);
      out.segments += flat.chains.back().points.size() - 1;
    }
    out.bounds.add(flat.bounds);
  }
  return out;
}

Box mapped(const FlatLine& line, const Affine& map) {
  Box out;
  if (line.bounds.empty()) return out;
  if (map.b == 0 && map.c == 0) {
    out.add(map({line.bounds.x0, line.bounds.y0}));
    out.add(map({line.bounds.x1, line.bounds.y1}));
  } else {
    for (const auto& chain : line.chains) {
      for (const Vec p : chain.points) out.add(map(p));
    }
  }
  return out;
}

}  // namespace

Polyline DrawnPiece::on_mat(const Polyline& chain) const {
  Polyline out;
  out.closed = chain.closed;
  out.points.reserve(chain.points.size());
  for (const Vec p : chain.points) out.points.push_back(to_mat(p));
  return out;
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

std::shared_ptr<const DrawnPiece> DrawingCache::resolve(const Shared<Piece>& piece) {
  // The tolerance steps by powers of two, so that resizing seldom flattens anew.
  const double stretch = std::max(piece->placement.max_stretch(), 1e-9);
  const double tolerance = kFlatness / std::exp2(std::ceil(std::log2(stretch)));
  std::vector<std::shared_ptr<const Path>> paths;
  std::shared_ptr<const FlatPiece> flat;
  {
    const std::lock_guard lock(mutex_);
    const auto known = drawn_.find(piece.handle().get());
    if (known != drawn_.end() && known->second.piece.lock() == piece.handle()) return known->second.drawn;
    paths.reserve(piece->lines.size());
    for (const auto& line : piece->lines) paths.push_back(line.path.handle());
    const auto made = flat_.find(piece->id);
    if (made != flat_.end() && made->second.tolerance == tolerance && made->second.paths == paths) {
      flat = made->second.flat;
    }
  }
  const bool fresh = flat == nullptr;
  if (fresh) flat = std::make_shared<const FlatPiece>(flatten_piece(*piece, tolerance));

  auto drawn = std::make_shared<DrawnPiece>();
  drawn->piece = piece;
  drawn->to_mat = piece->placement;
  drawn->flat = flat;
  for (const auto& line : flat->lines) {
    drawn->line_bounds.push_back(mapped(line, drawn->to_mat));
    drawn->bounds.add(drawn->line_bounds.back());
  }
  const std::lock_guard lock(mutex_);
  if (fresh) flat_[piece->id] = {std::move(paths), tolerance, flat};
  if (drawn_.size() > 256) {
    std::erase_if(drawn_, [](const auto& entry) { return entry.second.piece.expired(); });
    if (drawn_.size() > 256) drawn_.clear();
  }
  drawn_[piece.handle().get()] = {piece.handle(), drawn};
  return drawn;
}

Drawing evaluate(const Project& project, DrawingCache& cache) {
  Drawing out;
  out.pieces.reserve(project.pieces.size());
  for (const auto& piece : project.pieces) out.pieces.push_back(cache.resolve(piece));
  return out;
}

std::optional<LineRef> pick_line(const Drawing& drawing, Vec at, double reach) {
  std::optional<LineRef> best;
  double nearest = reach;
  for (const auto& piece : drawing.pieces) {
    if (!piece->bounds.grown(reach).contains(at)) continue;
    for (std::size_t i = 0; i < piece->flat->lines.size(); ++i) {
      if (!piece->line_bounds[i].grown(nearest).contains(at)) continue;
      for (const auto& chain : piece->flat->lines[i].chains) {
        const double d = distance_to(piece->on_mat(chain), at);
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

}  // namespace dotlane
