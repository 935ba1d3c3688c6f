#include "core/geometry/unite_curves.hpp"

#include <algorithm>
#include <array>
#include <cstdint>
#include <limits>
#include <numeric>
#include <tuple>
#include <unordered_map>

#include "core/geometry/flatten.hpp"
#include "core/geometry/grid.hpp"
#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

constexpr double kOnLine = 5e-6;  // mm: a vertex this near an edge lies on it (the grid rounds to 1 nm)
constexpr int kMostDropped = 64;  // vertices in line that a union may have left out between two that remain

constexpr std::size_t kNone = static_cast<std::size_t>(-1);

/// The control points of the part of a cubic between two parameters.
std::array<Vec, 4> controls_of(Vec p0, const Segment& s, double t0, double t1) {
  const auto [start, part] = part_of(p0, s, t0, t1);
  return {start, part.c1, part.c2, part.end};
}

class Union {
 public:
  explicit Union(const Path& path) : path_(path) {
    collect();
    halve_crowded();
    make_rings();
  }

  Path run() {
    Path out;
    const Region region = region_of(rings_, path_.fill_rule, Detail::all);
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
    std::size_t contour = 0;
  };
  struct Span {
    double low = std::numeric_limits<double>::infinity(), high = -std::numeric_limits<double>::infinity();
    void add(double v) { low = std::min(low, v), high = std::max(high, v); }
  };
  /// A stretch of a piece that one chord may stand for, once nothing else is near it.
  struct Part {
    std::array<Vec, 4> points;  // the ends and, of a curve, the handles between them
    bool straight = true;
    std::size_t piece = 0;
    double t0 = 0, t1 = 1;
    std::size_t joint = 0, next_joint = 0;  // where it begins and ends
    Box box;
    bool crowded = false;
    Vec chord;        // its direction
    Span on, beside;  // where the control points lie along and across the chord
    void measure() {
      box = {};
      box.add(points[0]), box.add(points[3]);
      if (!straight) box.add(points[1]), box.add(points[2]);
      chord = unit(points[3] - points[0]);
      on = along(*this, chord, points[0]);
      beside = along(*this, {-chord.y, chord.x}, points[0]);
    }
  };
  /// A vertex of the flattened contours. The edge that leaves it runs on `piece` from `t` to `t_end`.
  struct Vertex {
    Vec at;
    std::size_t piece = 0;
    double t = 0, t_end = 1;
    std::size_t next = 0, before = 0;
    std::size_t twin = kNone;  // another vertex at the same place
  };
  struct Stretch {
    std::size_t piece = kNone;  // none: a straight line
    double from = 0, to = 0;
    Vec end;
  };

  void collect() {
    for (std::size_t c = 0; c < path_.contours.size(); ++c) {
      const auto& contour = path_.contours[c];
      if (!contour.closed || contour.segments.empty()) continue;
      const std::size_t first = pieces_.size(), first_joint = joints_;
      Vec at = contour.start;
      for (const auto& s : contour.segments) {
        if (!(s.straight && s.end == at)) pieces_.push_back({at, &s, c});
        at = s.end;
      }
      const std::size_t n = pieces_.size() - first;
      joints_ += n;
      for (std::size_t i = 0; i < n; ++i) {
        const Piece& p = pieces_[first + i];
        Part part{{p.from, p.segment->c1, p.segment->c2, p.segment->end},
                  p.segment->straight,
                  first + i,
                  0,
                  1,
                  first_joint + i,
                  first_joint + (i + 1) % n,
                  {},
                  false,
                  {},
                  {},
                  {}};
        part.measure();
        parts_.push_back(part);
      }
    }
  }

  /// Parts whose hulls meet another's may cross it; neighbours that only share their joint do not. A curve that may is
  /// halved, until it may not any more or its chord is as good as the curve. The chord of any other part may stand for
  /// it: it stays inside its hull, where nothing else is.
  void halve_crowded() {
    std::vector<Part> done;
    for (bool halved = true; halved;) {
      halved = false;
      for (auto& part : parts_) part.crowded = false;
      find_crowded();
      std::vector<Part> next;
      for (auto& part : parts_) {
        if (!part.crowded || part.straight || flat(part)) {
          // What cannot be halved stays in the way of its neighbours.
          (part.crowded ? next : done).push_back(part);
          continue;
        }
        halved = true;
        const double middle = (part.t0 + part.t1) / 2;
        const Piece& p = pieces_[part.piece];
        Part left = part, right = part;
        left.points = controls_of(p.from, *p.segment, part.t0, middle);
        right.points = controls_of(p.from, *p.segment, middle, part.t1);
        left.points[0] = part.points[0], right.points[3] = part.points[3];
        right.points[0] = left.points[3];
        left.t1 = right.t0 = middle;
        left.next_joint = right.joint = joints_++;
        for (Part* half : {&left, &right}) {
          half->measure();
          next.push_back(*half);
        }
      }
      parts_ = std::move(next);
    }
    done.insert(done.end(), parts_.begin(), parts_.end());
    std::sort(done.begin(), done.end(),
              [](const Part& a, const Part& b) { return std::tie(a.piece, a.t0) < std::tie(b.piece, b.t0); });
    parts_ = std::move(done);
  }
  /// Wang's bound for a single chord.
  static bool flat(const Part& p) {
    const Vec a = p.points[0] - p.points[1] * 2 + p.points[2], b = p.points[1] - p.points[2] * 2 + p.points[3];
    return 0.75 * std::max(norm(a), norm(b)) <= kChord;
  }

  void find_crowded() {
    std::vector<std::size_t> order(parts_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::sort(order.begin(), order.end(),
              [&](std::size_t a, std::size_t b) { return parts_[a].box.x0 < parts_[b].box.x0; });
    // Swept from left to right, in level strips of a few parts' height each.
    Box all;
    double heights = 0;
    for (const auto& part : parts_) {
      all.add(part.box);
      heights += part.box.height();
    }
    const double mean = heights / static_cast<double>(std::max<std::size_t>(1, parts_.size()));
    const double strips = mean > 0 ? std::clamp(all.height() / (4 * mean), 1.0, 1000.0) : 1;
    const double per_mm = all.height() > 0 ? std::floor(strips) / all.height() : 0;
    struct Open {  // what the sweep looks at most, close together
      double x1, y0, y1;
      std::size_t part;
    };
    std::vector<std::vector<Open>> open(static_cast<std::size_t>(strips) + 1);
    auto strip_of = [&](double y) {
      return static_cast<std::size_t>(std::clamp((y - all.y0) * per_mm, 0.0, static_cast<double>(open.size() - 1)));
    };
    for (const std::size_t i : order) {
      const Box& box = parts_[i].box;
      const double x0 = box.x0 - kOnLine, y0 = box.y0 - kOnLine, y1 = box.y1 + kOnLine;
      for (std::size_t strip = strip_of(y0); strip <= strip_of(y1); ++strip) {
        auto& near = open[strip];
        std::size_t kept = 0;
        for (std::size_t n = 0; n < near.size(); ++n) {
          if (near[n].x1 < x0) continue;
          const Open other = near[kept++] = near[n];
          if (y0 <= other.y1 && other.y0 <= y1) look_at(parts_[i], parts_[other.part]);
        }
        near.resize(kept);
        near.push_back({box.x1, box.y0, box.y1, i});
      }
    }
  }
  static void look_at(Part& a, Part& b) {
    if ((a.crowded && b.crowded) || hulls_apart(a, b)) return;
    const bool follows = a.next_joint == b.joint, leads = b.next_joint == a.joint;
    if (follows != leads && only_joint(follows ? a : b, follows ? b : a)) return;
    a.crowded = b.crowded = true;
  }
  /// Where the control points lie along a direction, seen from a point.
  static Span along(const Part& p, Vec way, Vec from) {
    Span out;
    out.add(dot(p.points[0] - from, way));
    out.add(dot(p.points[3] - from, way));
    if (!p.straight) out.add(dot(p.points[1] - from, way)), out.add(dot(p.points[2] - from, way));
    return out;
  }
  static Vec unit(Vec v) {
    const double n = norm(v);
    return n > 0 ? v * (1 / n) : v;
  }
  /// Whether a line along or across one of the chords parts the hulls.
  static bool hulls_apart(const Part& a, const Part& b) {
    for (const auto& [p, other] : {std::pair{&a, &b}, std::pair{&b, &a}}) {
      const Span across = along(*other, {-p->chord.y, p->chord.x}, p->points[0]);
      if (across.low > p->beside.high + kOnLine || p->beside.low > across.high + kOnLine) return true;
      const Span on = along(*other, p->chord, p->points[0]);
      if (on.low > p->on.high + kOnLine || p->on.low > on.high + kOnLine) return true;
    }
    return false;
  }
  /// Whether two neighbours share nothing but the joint from `a` to `b`: a line through it has one hull on either side,
  /// and both leave it.
  static bool only_joint(const Part& a, const Part& b) {
    const Vec joint = b.points[0];
    const Vec before = unit(joint - a.points[a.straight ? 0 : 2]), after = unit(b.points[b.straight ? 3 : 1] - joint);
    for (const Vec way : {unit(before + after), unit(joint - a.points[0]), unit(b.points[3] - joint), Vec{1, 0},
                          Vec{0, 1}, Vec{-1, 0}, Vec{0, -1}}) {
      const bool parted = along(a, way, joint).high <= kOnLine && along(b, way, joint).low >= -kOnLine;
      if (parted && dot(a.points[0] - joint, way) < -kOnLine && dot(b.points[3] - joint, way) > kOnLine) return true;
    }
    // Straight neighbours that go on in another direction meet in their joint alone.
    return a.straight && b.straight && std::abs(cross(before, after)) > 1e-6;
  }

  void make_rings() {
    for (std::size_t first = 0; first < parts_.size();) {
      const std::size_t start = vertices_.size(), contour = pieces_[parts_[first].piece].contour;
      Ring ring;
      std::size_t i = first;
      for (; i < parts_.size() && pieces_[parts_[i].piece].contour == contour; ++i) {
        const Part& p = parts_[i];
        vertices_.push_back({p.points[0], p.piece, p.t0, p.t1, 0, 0, kNone});
        ring.push_back(p.points[0]);
      }
      const std::size_t n = vertices_.size() - start;
      for (std::size_t k = 0; k < n; ++k) {
        vertices_[start + k].next = start + (k + 1) % n;
        vertices_[start + k].before = start + (k + n - 1) % n;
        const auto [home, fresh] = at_.try_emplace(key_of(vertices_[start + k].at), start + k);
        if (!fresh) {
          vertices_[start + k].twin = home->second;
          home->second = start + k;
        }
      }
      rings_.push_back(std::move(ring));
      first = i;
    }
  }

  static std::pair<std::int64_t, std::int64_t> key_of(Vec p) {
    const auto g = grid::to_grid(p);
    return {g.X, g.Y};
  }
  /// A vertex at this place, the first of its twins; kNone where the union has made a new one.
  [[nodiscard]] std::size_t known(Vec p) const {
    const auto found = at_.find(key_of(p));
    return found == at_.end() ? kNone : found->second;
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

  /// Appends the stretches from one point of a ring to the next, of which the vertices are known or not.
  void add_stretches(Vec a, std::size_t at_a, Vec b, std::size_t at_b, std::vector<Stretch>& out) const {
    for (std::size_t v = at_a; v != kNone && at_b != kNone; v = vertices_[v].twin) {
      for (std::size_t w = at_b; w != kNone; w = vertices_[w].twin) {
        if (vertices_[v].next == w) return add({vertices_[v].piece, vertices_[v].t, vertices_[v].t_end, b}, out);
        if (vertices_[v].before == w) return add({vertices_[w].piece, vertices_[w].t_end, vertices_[w].t, b}, out);
      }
    }
    for (std::size_t v = at_a; v != kNone; v = vertices_[v].twin) {
      for (const bool forward : {true, false}) {
        const auto way = walk(v, b, forward);
        for (const auto& s : way) add(s, out);
        if (!way.empty()) return;
      }
    }
    for (std::size_t v = at_b; v != kNone; v = vertices_[v].twin) {
      for (const bool forward : {true, false}) {
        const auto way = walk(v, a, forward);
        // Gone over the other way round.
        for (std::size_t i = way.size(); i-- > 0;)
          add({way[i].piece, way[i].to, way[i].from, i == 0 ? b : way[i - 1].end}, out);
        if (!way.empty()) return;
      }
    }
    add({kNone, 0, 1, b}, out);
  }

  /// What goes on along the same curve is one stretch.
  static void add(const Stretch& s, std::vector<Stretch>& out) {
    const bool on = !out.empty() && s.piece != kNone && out.back().piece == s.piece && out.back().to == s.from &&
                    (out.back().to > out.back().from) == (s.to > s.from);
    if (on) {
      out.back().to = s.to;
      out.back().end = s.end;
    } else {
      out.push_back(s);
    }
  }

  [[nodiscard]] std::pair<Vec, Vec> point_and_way(std::size_t piece, double t) const {
    const Piece& p = pieces_[piece];
    if (p.segment->straight) return {lerp(p.from, p.segment->end, t), p.segment->end - p.from};
    const Vec a = p.segment->c1 - p.from, b = p.segment->c2 - p.segment->c1, c = p.segment->end - p.segment->c2;
    return {point_at(p.from, *p.segment, t), (a * ((1 - t) * (1 - t)) + b * (2 * t * (1 - t)) + c * (t * t)) * 3};
  }

  /// Where two stretches of different curves meet, chords have met: Newton's rule finds the place on the curves
  /// themselves, so that what is left of them does not move.
  void meet_exactly(Stretch& a, Stretch& b) const {
    if (a.piece == kNone || b.piece == kNone || a.piece == b.piece) return;
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
    const std::size_t n = ring.size();
    std::vector<std::size_t> homes(n);
    std::vector<Vec> at_ring(n);
    for (std::size_t i = 0; i < n; ++i) {
      homes[i] = known(ring[i]);
      at_ring[i] = homes[i] == kNone ? ring[i] : vertices_[homes[i]].at;
    }
    for (std::size_t i = 0; i < n; ++i) {
      const std::size_t k = (i + 1) % n;
      add_stretches(at_ring[i], homes[i], at_ring[k], homes[k], all);
    }
    Contour out;
    if (all.empty()) return out;
    // The ring may begin in the middle of a curve.
    const Stretch &head = all.front(), &tail = all.back();
    const bool split = all.size() > 1 && head.piece != kNone && head.piece == tail.piece && tail.to == head.from &&
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
      const Piece* piece = s.piece == kNone ? nullptr : &pieces_[s.piece];
      if (!piece || piece->segment->straight) {
        out.segments.push_back(Segment::line(s.end));
      } else if (s.from == 0 && s.to == 1) {
        out.segments.push_back(Segment::cubic(piece->segment->c1, piece->segment->c2, s.end));
      } else {
        // The ends are where the outline really is; the handles move along.
        const auto p = controls_of(piece->from, *piece->segment, s.from, s.to);
        out.segments.push_back(Segment::cubic(p[1] + (at - p[0]), p[2] + (s.end - p[3]), s.end));
      }
      at = s.end;
    }
    return out;
  }

  const Path& path_;
  std::vector<Piece> pieces_;
  std::vector<Part> parts_;
  std::size_t joints_ = 0;
  std::vector<Vertex> vertices_;
  std::vector<Ring> rings_;
  struct Hash {
    std::size_t operator()(const std::pair<std::int64_t, std::int64_t>& p) const {
      return static_cast<std::size_t>(p.first) * 0x9e3779b97f4a7c15ull +
             static_cast<std::size_t>(p.second) * 0xc2b2ae3d27d4eb4full;
    }
  };
  std::unordered_map<std::pair<std::int64_t, std::int64_t>, std::size_t, Hash> at_;
};

Box hull_box(const Contour& contour) {
  Box box;
  box.add(contour.start);
  for (const auto& s : contour.segments) {
    box.add(s.end);
    if (!s.straight) box.add(s.c1), box.add(s.c2);
  }
  return box;
}

/// The contours in groups whose boxes meet, directly or through others, in the order of each group's first contour.
std::vector<Path> neighbourhoods(const Path& path) {
  const std::size_t n = path.contours.size();
  std::vector<Box> boxes;
  for (const auto& c : path.contours) boxes.push_back(hull_box(c).grown(kOnLine));
  std::vector<std::size_t> order(n), leader(n);
  std::iota(order.begin(), order.end(), std::size_t{0});
  std::iota(leader.begin(), leader.end(), std::size_t{0});
  std::sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return boxes[a].x0 < boxes[b].x0; });
  auto leads = [&](std::size_t i) {
    while (leader[i] != i) i = leader[i] = leader[leader[i]];
    return i;
  };
  std::vector<std::size_t> open;
  for (const std::size_t i : order) {
    std::erase_if(open, [&](std::size_t o) { return boxes[o].x1 < boxes[i].x0; });
    for (const std::size_t o : open) {
      if (!boxes[o].overlaps(boxes[i])) continue;
      const std::size_t a = leads(o), b = leads(i);
      leader[std::max(a, b)] = std::min(a, b);
    }
    open.push_back(i);
  }
  std::vector<Path> out;
  std::vector<std::size_t> group(n, kNone);
  for (std::size_t i = 0; i < n; ++i) {
    std::size_t& own = group[leads(i)];
    if (own == kNone) {
      own = out.size();
      out.emplace_back().fill_rule = path.fill_rule;
    }
    out[own].contours.push_back(path.contours[i]);
  }
  return out;
}

}  // namespace

Path united_curves(const Path& path) {
  const auto groups = neighbourhoods(path);
  std::vector<Path> united(groups.size());
  for_each_index(groups.size(), 4, [&](std::size_t i) { united[i] = Union(groups[i]).run(); });
  Path out;
  for (auto& part : united) std::move(part.contours.begin(), part.contours.end(), std::back_inserter(out.contours));
  return out;
}

}  // namespace dotlane
