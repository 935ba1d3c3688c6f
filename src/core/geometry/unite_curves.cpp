#include "core/geometry/unite_curves.hpp"

#include <algorithm>
#include <array>
#include <cstdint>
#include <unordered_map>

#include "core/geometry/flatten.hpp"
#include "core/geometry/grid.hpp"

namespace dotlane {
namespace {

constexpr double kOnLine = 5e-6;  // mm: a vertex this near an edge lies on it (the grid rounds to 1 nm)
constexpr int kMostDropped = 64;  // vertices in line that a union may have left out between two that remain

Box hull_of(Vec from, const Segment& s) {
  Box box;
  box.add(from);
  box.add(s.end);
  if (!s.straight) box.add(s.c1), box.add(s.c2);
  return box;
}

/// The control points of the part of a cubic between two parameters (de Casteljau's blossom).
std::array<Vec, 4> part_of(Vec p0, const Segment& s, double t0, double t1) {
  auto blossom = [&](double a, double b, double c) {
    const Vec q0 = lerp(p0, s.c1, a), q1 = lerp(s.c1, s.c2, a), q2 = lerp(s.c2, s.end, a);
    return lerp(lerp(q0, q1, b), lerp(q1, q2, b), c);
  };
  return {blossom(t0, t0, t0), blossom(t0, t0, t1), blossom(t0, t1, t1), blossom(t1, t1, t1)};
}

class Union {
 public:
  explicit Union(const Path& path) : path_(path) {
    collect();
    find_crowded();
    flatten_all();
  }

  Path run() {
    Path out;
    const Region region = region_of(rings_, path_.fill_rule);
    for (const auto& ring : region.rings) {
      Contour c = curved(ring);
      if (!c.segments.empty()) out.contours.push_back(std::move(c));
    }
    return out;
  }

 private:
  struct Piece {  // a segment with where it starts
    Vec from;
    const Segment* segment = nullptr;
    std::size_t contour = 0, next = 0, before = 0;
    Box box;
    bool crowded = false;
  };
  /// A vertex of the flattened contours. The edge that leaves it runs on `piece` from `t` to `t_end`.
  struct Vertex {
    Vec at;
    std::size_t piece = 0;
    double t = 0, t_end = 1;
    std::size_t next = 0, before = 0;
  };
  struct Stretch {
    std::size_t piece = SIZE_MAX;  // none: a straight line
    double from = 0, to = 0;
    Vec end;
  };

  void collect() {
    for (std::size_t c = 0; c < path_.contours.size(); ++c) {
      const auto& contour = path_.contours[c];
      if (!contour.closed || contour.segments.empty()) continue;
      const std::size_t first = pieces_.size();
      Vec at = contour.start;
      for (const auto& s : contour.segments) {
        if (!(s.straight && s.end == at)) pieces_.push_back({at, &s, c, 0, 0, hull_of(at, s), false});
        at = s.end;
      }
      const std::size_t n = pieces_.size() - first;
      for (std::size_t i = 0; i < n; ++i) {
        pieces_[first + i].next = first + (i + 1) % n;
        pieces_[first + i].before = first + (i + n - 1) % n;
      }
    }
  }

  /// Pieces whose hulls meet another's are crowded: they may cross. Neighbours that only share their joint are not. The
  /// chord of any other piece may stand for it: it stays inside its hull, where nothing else is.
  void find_crowded() {
    std::vector<std::size_t> order(pieces_.size());
    for (std::size_t i = 0; i < order.size(); ++i) order[i] = i;
    std::sort(order.begin(), order.end(),
              [&](std::size_t a, std::size_t b) { return pieces_[a].box.x0 < pieces_[b].box.x0; });
    std::vector<std::size_t> open;
    for (const std::size_t i : order) {
      Piece& a = pieces_[i];
      std::erase_if(open, [&](std::size_t k) { return pieces_[k].box.x1 < a.box.x0 - kOnLine; });
      for (const std::size_t k : open) {
        Piece& b = pieces_[k];
        if (a.crowded && b.crowded) continue;
        if (!a.box.grown(kOnLine).overlaps(b.box)) continue;
        if (a.segment->straight && b.segment->straight && (a.next == k || b.next == i)) continue;
        if (a.next == k && only_joint(a, b, b.from)) continue;
        if (b.next == i && only_joint(a, b, a.from)) continue;
        a.crowded = b.crowded = true;
      }
      open.push_back(i);
    }
  }
  /// Whether two neighbours share nothing but their joint: their hulls meet in a line at most, and each leaves it.
  static bool only_joint(const Piece& a, const Piece& b, Vec joint) {
    if (a.next == a.before) return false;
    const Box both{std::max(a.box.x0, b.box.x0), std::max(a.box.y0, b.box.y0), std::min(a.box.x1, b.box.x1),
                   std::min(a.box.y1, b.box.y1)};
    auto far = [&](const Piece& p) { return p.from == joint ? p.segment->end : p.from; };
    const Vec fa = far(a), fb = far(b);
    auto leaves = [](double from, double to) { return std::abs(to - from) > kOnLine; };
    if (both.width() <= kOnLine && leaves(joint.x, fa.x) && leaves(joint.x, fb.x)) return true;
    return both.height() <= kOnLine && leaves(joint.y, fa.y) && leaves(joint.y, fb.y);
  }

  void flatten_all() {
    for (std::size_t first = 0; first < pieces_.size();) {
      const std::size_t start = vertices_.size();
      Ring ring;
      std::size_t i = first;
      for (; i < pieces_.size() && pieces_[i].contour == pieces_[first].contour; ++i) {
        const Piece& p = pieces_[i];
        int parts = 1;
        if (p.crowded && !p.segment->straight)
          parts = static_cast<int>(flatten({p.from, {*p.segment}, false}, kChord).points.size()) - 1;
        for (int k = 0; k < parts; ++k) {
          const double t = static_cast<double>(k) / parts;
          const Vec at = k == 0 ? p.from : part_of(p.from, *p.segment, t, t)[0];
          vertices_.push_back({at, i, t, static_cast<double>(k + 1) / parts, 0, 0});
          ring.push_back(at);
        }
      }
      const std::size_t n = vertices_.size() - start;
      for (std::size_t k = 0; k < n; ++k) {
        vertices_[start + k].next = start + (k + 1) % n;
        vertices_[start + k].before = start + (k + n - 1) % n;
        at_[key_of(vertices_[start + k].at)].push_back(start + k);
      }
      rings_.push_back(std::move(ring));
      first = i;
    }
  }

  static std::pair<std::int64_t, std::int64_t> key_of(Vec p) {
    const auto g = grid::to_grid(p);
    return {g.X, g.Y};
  }
  [[nodiscard]] const std::vector<std::size_t>* known(Vec p) const {
    const auto found = at_.find(key_of(p));
    return found == at_.end() ? nullptr : &found->second;
  }

  /// Walks along the contour from a vertex to a place in line with it; the stretches gone over, or nothing when it
  /// does not lie that way.
  [[nodiscard]] std::vector<Stretch> walk(std::size_t vertex, Vec to, bool forward) const {
    std::vector<Stretch> out;
    const Vec from = vertices_[vertex].at, way = to - from;
    const double length = norm(way);
    double gone = 0;
    for (int step = 0; step < kMostDropped && length > 0; ++step) {
      const std::size_t other = forward ? vertices_[vertex].next : vertices_[vertex].before;
      const Vertex& edge = vertices_[forward ? vertex : other];
      const Vec end = vertices_[other].at;
      const double reach = dot(end - from, way) / length;
      // Off the line, or backwards: only the last edge may go on past the place, never beside it.
      if (std::abs(cross(end - from, way)) / length > kOnLine && reach <= length + kOnLine) return {};
      if (reach <= gone) return {};
      const Vec start = vertices_[vertex].at;
      if (reach >= length - kOnLine) {
        const double whole = distance(start, end), part = std::min(1.0, distance(start, to) / whole);
        const Vec near = lerp(start, end, part);
        if (distance(near, to) > kOnLine) return {};
        const double t = forward ? edge.t + (edge.t_end - edge.t) * part : edge.t_end - (edge.t_end - edge.t) * part;
        const bool meets = reach <= length + kOnLine;
        out.push_back({edge.piece, forward ? edge.t : edge.t_end, meets ? (forward ? edge.t_end : edge.t) : t, to});
        return out;
      }
      out.push_back({edge.piece, forward ? edge.t : edge.t_end, forward ? edge.t_end : edge.t, end});
      gone = reach;
      vertex = other;
    }
    return {};
  }

  [[nodiscard]] std::vector<Stretch> stretches(Vec a, Vec b) const {
    if (const auto* starts = known(a)) {
      for (const std::size_t v : *starts) {
        for (const bool forward : {true, false}) {
          if (auto way = walk(v, b, forward); !way.empty()) return way;
        }
      }
    }
    if (const auto* ends = known(b)) {
      for (const std::size_t v : *ends) {
        for (const bool forward : {true, false}) {
          auto way = walk(v, a, forward);
          if (way.empty()) continue;
          // Gone over the other way round.
          std::vector<Stretch> out;
          for (std::size_t i = way.size(); i-- > 0;)
            out.push_back({way[i].piece, way[i].to, way[i].from, i == 0 ? b : way[i - 1].end});
          return out;
        }
      }
    }
    return {{SIZE_MAX, 0, 1, b}};
  }

  [[nodiscard]] std::pair<Vec, Vec> point_and_way(std::size_t piece, double t) const {
    const Piece& p = pieces_[piece];
    if (p.segment->straight) return {lerp(p.from, p.segment->end, t), p.segment->end - p.from};
    const auto q = part_of(p.from, *p.segment, t, t);
    const Vec a = p.segment->c1 - p.from, b = p.segment->c2 - p.segment->c1, c = p.segment->end - p.segment->c2;
    return {q[0], (a * ((1 - t) * (1 - t)) + b * (2 * t * (1 - t)) + c * (t * t)) * 3};
  }

  /// Where two stretches of different curves meet, chords have met: Newton's rule finds the place on the curves
  /// themselves, so that what is left of them does not move.
  void meet_exactly(Stretch& a, Stretch& b) const {
    if (a.piece == SIZE_MAX || b.piece == SIZE_MAX || a.piece == b.piece) return;
    const bool joint = (a.to == 0 || a.to == 1) && (b.from == 0 || b.from == 1);
    if (joint) return;
    double t = a.to, u = b.from;
    for (int round = 0; round < 6; ++round) {
      const auto [pa, wa] = point_and_way(a.piece, t);
      const auto [pb, wb] = point_and_way(b.piece, u);
      const Vec off = pb - pa;
      const double turn = cross(wa, wb);
      if (std::abs(turn) < 1e-6 * norm(wa) * norm(wb)) return;  // they touch rather than cross
      t += cross(off, wb) / turn;
      u += cross(off, wa) / turn;
    }
    if (!(t >= 0 && t <= 1 && u >= 0 && u <= 1)) return;
    const Vec at = point_and_way(a.piece, t).first;
    const bool near = distance(at, a.end) < 10 * kChord && distance(at, point_and_way(b.piece, u).first) < 1e-7;
    const bool in_order = (t - a.from) * (a.to - a.from) > 0 && (b.to - u) * (b.to - b.from) > 0;
    if (!near || !in_order) return;
    a.to = t, b.from = u, a.end = at;
  }

  [[nodiscard]] Contour curved(const Ring& ring) const {
    std::vector<Stretch> all;
    auto home = [&](Vec p) {
      const auto* refs = known(p);
      return refs ? vertices_[refs->front()].at : p;
    };
    const std::size_t n = ring.size();
    for (std::size_t i = 0; i < n; ++i) {
      for (auto& s : stretches(ring[i], ring[(i + 1) % n])) {
        s.end = home(s.end);
        // What goes on along the same curve is one stretch.
        if (!all.empty() && s.piece != SIZE_MAX && all.back().piece == s.piece && all.back().to == s.from &&
            (all.back().to > all.back().from) == (s.to > s.from)) {
          all.back().to = s.to;
          all.back().end = s.end;
        } else {
          all.push_back(s);
        }
      }
    }
    Contour out;
    if (all.empty()) return out;
    // The ring may begin in the middle of a curve.
    const Stretch &head = all.front(), &tail = all.back();
    const bool split = all.size() > 1 && head.piece != SIZE_MAX && head.piece == tail.piece && tail.to == head.from &&
                       (tail.to > tail.from) == (head.to > head.from);
    if (split) {
      all.front().from = tail.from;
      all.pop_back();
    }
    for (std::size_t i = 0; i < all.size(); ++i) meet_exactly(all[i], all[(i + 1) % all.size()]);
    out.start = all.back().end;
    out.closed = true;
    Vec at = out.start;
    for (const auto& s : all) {
      const Piece* piece = s.piece == SIZE_MAX ? nullptr : &pieces_[s.piece];
      if (!piece || piece->segment->straight) {
        out.segments.push_back(Segment::line(s.end));
      } else if (s.from == 0 && s.to == 1) {
        out.segments.push_back(Segment::cubic(piece->segment->c1, piece->segment->c2, s.end));
      } else {
        // The ends are where the outline really is; the handles move along.
        const auto p = part_of(piece->from, *piece->segment, s.from, s.to);
        out.segments.push_back(Segment::cubic(p[1] + (at - p[0]), p[2] + (s.end - p[3]), s.end));
      }
      at = s.end;
    }
    return out;
  }

  const Path& path_;
  std::vector<Piece> pieces_;
  std::vector<Vertex> vertices_;
  std::vector<Ring> rings_;
  struct Hash {
    std::size_t operator()(const std::pair<std::int64_t, std::int64_t>& p) const {
      return static_cast<std::size_t>(p.first) * 0x9e3779b97f4a7c15ull +
             static_cast<std::size_t>(p.second) * 0xc2b2ae3d27d4eb4full;
    }
  };
  std::unordered_map<std::pair<std::int64_t, std::int64_t>, std::vector<std::size_t>, Hash> at_;
};

}  // namespace

Path united_curves(const Path& path) { return Union(path).run(); }

}  // namespace dotlane
