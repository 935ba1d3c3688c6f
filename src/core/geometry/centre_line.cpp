#include "core/geometry/centre_line.hpp"

#include <algorithm>
#include <array>
#include <map>
#include <numbers>
#include <optional>
#include <unordered_map>

#include "core/geometry/geos.hpp"

namespace dotlane {
namespace {

constexpr double kPi = std::numbers::pi;
constexpr double kCorner = 25;   // degrees of turn from which a vertex is kept when the outline is sampled
constexpr double kPerWidth = 4;  // samples to a stroke's mean width
constexpr double kMostSamples = 1500;
constexpr double kTwig = 0.95;   // of the width at its root: shorter branches only reach into corners
constexpr double kTaper = 0.25;  // a stroke whose width grows faster than this from its end is still its end

using Corners3 = std::array<std::size_t, 3>;
using Side = std::pair<std::size_t, std::size_t>;
Side side_of(std::size_t a, std::size_t b) { return {std::min(a, b), std::max(a, b)}; }

/// The ring with points about `step` apart, corners kept.
Ring sampled(const Ring& ring, double step) {
  const std::size_t n = ring.size();
  std::vector<std::size_t> corners;
  for (std::size_t i = 0; i < n; ++i) {
    const Vec a = ring[i] - ring[(i + n - 1) % n], b = ring[(i + 1) % n] - ring[i];
    if (std::abs(std::atan2(cross(a, b), dot(a, b))) > kCorner * kPi / 180) corners.push_back(i);
  }
  if (corners.empty()) corners.push_back(0);
  Ring out;
  for (std::size_t k = 0; k < corners.size(); ++k) {
    const std::size_t from = corners[k], to = k + 1 < corners.size() ? corners[k + 1] : corners[0] + n;
    double length = 0;
    for (std::size_t i = from; i < to; ++i) length += distance(ring[i % n], ring[(i + 1) % n]);
    const int parts = std::max(corners.size() < 3 ? 3 : 1, static_cast<int>(std::ceil(length / step)));
    out.push_back(ring[from % n]);
    double gone = 0;
    int next = 1;
    for (std::size_t i = from; i < to; ++i) {
      const Vec a = ring[i % n], b = ring[(i + 1) % n];
      const double d = distance(a, b);
      for (; next < parts && length * next / parts <= gone + d; ++next)
        out.push_back(lerp(a, b, d > 0 ? (length * next / parts - gone) / d : 0));
      gone += d;
    }
  }
  return out;
}

/// The axis as a graph: nodes at the middles of inner sides and in triangles where strokes meet.
class Axis {
 public:
  explicit Axis(const Region& part) {
    const double area = area_of(part), around = perimeter_of(part);
    if (!(area > 0) || !(around > 0)) return;
    const double step = std::max(2 * area / around / kPerWidth, around / kMostSamples);
    Region outline;
    for (const auto& ring : part.rings) outline.rings.push_back(sampled(ring, step));
    triangulate(outline);
    connect();
    for (int round = 0; round < 4 && prune(); ++round) {
    }
  }

  void trace(CentreLines& out) {
    std::vector<std::vector<char>> used(nodes_.size());
    for (std::size_t i = 0; i < nodes_.size(); ++i) used[i].assign(nodes_[i].next.size(), 0);
    auto walk = [&](std::size_t start, std::size_t way) {
      std::vector<std::size_t> line{start};
      std::size_t at = start;
      for (;;) {
        used[at][way] = 1;
        const std::size_t to = nodes_[at].next[way];
        const auto back = std::find(nodes_[to].next.begin(), nodes_[to].next.end(), at) - nodes_[to].next.begin();
        used[to][static_cast<std::size_t>(back)] = 1;
        line.push_back(to);
        at = to;
        if (nodes_[at].next.size() != 2 || at == start) break;
        way = used[at][0] ? 1 : 0;
        if (used[at][way]) break;
      }
      add(line, out);
    };
    for (const bool ends : {true, false}) {
      for (std::size_t i = 0; i < nodes_.size(); ++i) {
        if (ends == (nodes_[i].next.size() == 2)) continue;
        for (std::size_t way = 0; way < nodes_[i].next.size(); ++way) {
          if (!used[i][way]) walk(i, way);
        }
      }
    }
  }

 private:
  struct Node {
    Vec at, side;  // the inner side's direction, as long as the stroke is wide across it
    bool meeting = false;
    double reach = 0;  // of a meeting: the longest of its sides
    std::vector<std::size_t> next;
  };

  void triangulate(const Region& outline) {
    const Geos geos;
    std::map<std::pair<double, double>, std::size_t> index;
    std::size_t first = 0;
    for (const auto& ring : outline.rings) {
      for (std::size_t i = 0; i < ring.size(); ++i) {
        points_.push_back(ring[i]);
        index[{ring[i].x, ring[i].y}] = first + i;
        rim_[side_of(first + i, first + (i + 1) % ring.size())] = true;
      }
      first += ring.size();
    }
    const auto polygon = geos.polygons({outline});
    if (!polygon) return;
    const auto triangles = geos.own(GEOSConstrainedDelaunayTriangulation_r(*geos, polygon.get()));
    if (!triangles) return;
    const int n = GEOSGetNumGeometries_r(*geos, triangles.get());
    for (int i = 0; i < n; ++i) {
      const Ring ring = geos.points(GEOSGetExteriorRing_r(*geos, GEOSGetGeometryN_r(*geos, triangles.get(), i)), true);
      if (ring.size() != 3) continue;
      Corners3 corners{};
      bool known = true;
      for (std::size_t k = 0; k < 3; ++k) {
        const auto found = index.find({ring[k].x, ring[k].y});
        known = known && found != index.end();
        if (known) corners[k] = found->second;
      }
      if (known) triangles_.push_back(corners);
    }
  }

  std::size_t node_of(std::size_t a, std::size_t b) {
    const auto [at, fresh] = on_side_.try_emplace(side_of(a, b), nodes_.size());
    if (fresh) nodes_.push_back({(points_[a] + points_[b]) * 0.5, points_[b] - points_[a], false, 0, {}});
    return at->second;
  }
  void link(std::size_t a, std::size_t b) {
    nodes_[a].next.push_back(b);
    nodes_[b].next.push_back(a);
  }
  void unlink(std::size_t a, std::size_t b) {
    std::erase(nodes_[a].next, b);
    std::erase(nodes_[b].next, a);
  }

  void connect() {
    for (const auto& t : triangles_) {
      std::vector<std::size_t> inner;
      double longest = 0;
      for (std::size_t k = 0; k < 3; ++k) {
        const std::size_t a = t[k], b = t[(k + 1) % 3];
        if (rim_.contains(side_of(a, b))) continue;
        inner.push_back(node_of(a, b));
        longest = std::max(longest, distance(points_[a], points_[b]));
      }
      if (inner.size() == 2) link(inner[0], inner[1]);
      if (inner.size() != 3) continue;
      const std::size_t middle = nodes_.size();
      nodes_.push_back({(points_[t[0]] + points_[t[1]] + points_[t[2]]) * (1.0 / 3), {}, true, longest, {}});
      for (const std::size_t node : inner) link(middle, node);
    }
  }

  /// Takes out the branches that end freely and are no longer than their root is wide. False when there were none.
  bool prune() {
    struct Twig {
      double length = 0;
      std::size_t root = 0;
      std::vector<std::size_t> nodes;
    };
    std::vector<Twig> twigs;
    for (std::size_t end = 0; end < nodes_.size(); ++end) {
      if (nodes_[end].next.size() != 1) continue;
      Twig twig{0, end, {}};
      std::size_t before = end;
      while (nodes_[twig.root].next.size() <= 2) {
        twig.nodes.push_back(twig.root);
        std::size_t to = twig.root;
        for (const std::size_t next : nodes_[twig.root].next) {
          if (next != before) to = next;
        }
        if (to == twig.root) break;  // the other end of a lone line
        twig.length += distance(nodes_[twig.root].at, nodes_[to].at);
        before = twig.root;
        twig.root = to;
      }
      if (nodes_[twig.root].next.size() > 2 && twig.length < kTwig * nodes_[twig.root].reach)
        twigs.push_back(std::move(twig));
    }
    std::sort(twigs.begin(), twigs.end(), [](const Twig& a, const Twig& b) { return a.length < b.length; });
    bool any = false;
    for (const auto& twig : twigs) {
      // Two twigs of one root are the two corners of a stroke's end: the stroke goes on between them.
      if (nodes_[twig.root].next.size() < 2) continue;
      unlink(twig.nodes.back(), twig.root);
      for (std::size_t i = 0; i + 1 < twig.nodes.size(); ++i) unlink(twig.nodes[i], twig.nodes[i + 1]);
      any = true;
    }
    return any;
  }

  void add(const std::vector<std::size_t>& line, CentreLines& out) const {
    CentreLine made;
    made.closed = line.size() > 3 && line.front() == line.back();
    for (const std::size_t i : line) made.points.push_back(nodes_[i].at);
    made.free_start = nodes_[line.front()].next.size() == 1;
    made.free_end = nodes_[line.back()].next.size() == 1;
    // The middles of sides that slant to and fro zigzag a little.
    const std::size_t n = made.points.size();
    for (int round = 0; round < 3; ++round) {
      const auto before = made.points;
      for (std::size_t i = 1; i + 1 < n; ++i) made.points[i] = (before[i - 1] + before[i] * 2 + before[i + 1]) * 0.25;
      if (made.closed) {
        made.points.front() = (before[n - 2] + before[0] * 2 + before[1]) * 0.25;
        made.points.back() = made.points.front();
      }
    }
    for (std::size_t i = 0; i < n; ++i) {
      const Node& node = nodes_[line[i]];
      const Vec along = made.points[std::min(i + 1, n - 1)] - made.points[i == 0 ? 0 : i - 1];
      const double length = norm(along);
      made.widths.push_back(node.meeting ? node.reach
                            : length > 0 ? std::abs(cross(node.side, along)) / length
                                         : norm(node.side));
    }
    if (length_of(as_polyline(made)) > 0) out.lines.push_back(std::move(made));
  }

  static Polyline as_polyline(const CentreLine& line) { return {line.points, line.closed}; }

  std::vector<Vec> points_;
  std::map<Side, bool> rim_;
  std::vector<Corners3> triangles_;
  std::map<Side, std::size_t> on_side_;
  std::vector<Node> nodes_;
};

}  // namespace

CentreLines centre_lines(const Region& region) {
  CentreLines out;
  for (const auto& part : parts_of(region)) {
    const std::size_t before = out.lines.size();
    Axis(part).trace(out);
    // A dot has no length to run along: it stays a point, drawn as a short line.
    if (out.lines.size() == before) {
      const Box box = bounds_of(part);
      const double width = std::min(box.width(), box.height()),
                   reach = std::max(width * 0.02, (std::max(box.width(), box.height()) - width) / 2);
      const Vec way = box.width() > box.height() ? Vec{reach, 0} : Vec{0, reach};
      out.lines.push_back({{box.centre() - way, box.centre() + way}, {width, width}, false, false, false});
    }
  }
  return out;
}

Narrowest narrowest(const CentreLines& lines) {
  Narrowest out;
  bool any = false;
  for (const auto& line : lines.lines) {
    std::size_t first = 0, last = line.points.size() - 1;
    // An end tapers as far as the width keeps growing inward.
    auto grows = [&](std::size_t from, std::size_t to) {
      return line.widths[to] - line.widths[from] > kTaper * distance(line.points[from], line.points[to]);
    };
    if (line.free_start) {
      while (first < last && grows(first, first + 1)) ++first;
    }
    if (line.free_end) {
      while (last > first && grows(last, last - 1)) --last;
    }
    for (std::size_t i = first; i <= last; ++i) {
      if (line.free_start && i == 0 && last > 0) continue;
      if (line.free_end && i + 1 == line.points.size() && first < i) continue;
      if (!any || line.widths[i] < out.width) out = {line.widths[i], line.points[i]};
      any = true;
    }
  }
  return out;
}

}  // namespace dotlane
