#include "core/project/nodes.hpp"

#include <algorithm>

#include "core/geometry/nearest.hpp"
#include "core/project/edit.hpp"

namespace dotlane {
namespace {

constexpr double kStraightOn = 0.9998;  // cosine: about one degree

Vec node_at(const Contour& c, std::size_t node) { return node == 0 ? c.start : c.segments[node - 1].end; }

/// The segments that end and begin at the node; npos where there is none.
constexpr auto kNone = static_cast<std::size_t>(-1);
std::pair<std::size_t, std::size_t> beside(const Contour& c, std::size_t node) {
  const std::size_t n = c.segments.size();
  const std::size_t in = node > 0 ? node - 1 : c.closed ? n - 1 : kNone;
  const std::size_t out = node < n ? node : c.closed ? 0 : kNone;
  return {in, out};
}

bool is_smooth(const Contour& c, std::size_t node) {
  const auto [in, out] = beside(c, node);
  if (in == kNone || out == kNone) return false;
  const Vec at = node_at(c, node);
  const Segment &a = c.segments[in], &b = c.segments[out];
  if (a.straight && b.straight) return false;
  const Vec from = in == 0 ? c.start : c.segments[in - 1].end;
  const Vec arriving = a.straight ? at - from : at - a.c2, leaving = b.straight ? b.end - at : b.c1 - at;
  return dot(arriving, leaving) > kStraightOn * norm(arriving) * norm(leaving);
}

/// Changes the contour of the node in its own line; the piece must be plain.
template <class Change>
Project change_contour(Project project, const NodeRef& ref, Change&& change) {
  const Piece* known = find_piece(project, ref.piece);
  if (!known || !known->plain()) return project;
  return edit_piece(std::move(project), ref.piece, [&](Piece& piece) {
    for (auto& line : piece.lines) {
      if (line.id != ref.line || ref.contour >= line.path->contours.size()) continue;
      line.path.edit([&](Path& path) {
        Contour& contour = path.contours[ref.contour];
        if (ref.node <= contour.segments.size()) change(contour, piece.placement * line.at);
      });
    }
  });
}

/// Of a closed contour the end of the last segment is where it starts.
void keep_closed(Contour& c) {
  if (c.closed && !c.segments.empty()) c.segments.back().end = c.start;
}

}  // namespace

std::vector<Node> nodes_of(const Drawing& drawing, const LineRef& ref, std::size_t most) {
  std::vector<Node> out;
  const DrawnPiece* drawn = find_drawn(drawing, ref.piece);
  if (!drawn || !drawn->outcomes.empty()) return out;
  for (const auto& line : drawn->piece->lines) {
    if (line.id != ref.line) continue;
    if (segment_count(*line.path) > most) return {};
    const Affine map = drawn->map * line.at;
    for (std::size_t c = 0; c < line.path->contours.size(); ++c) {
      const Contour& contour = line.path->contours[c];
      for (std::size_t n = contour.closed ? 1 : 0; n <= contour.segments.size(); ++n)
        out.push_back({{ref.piece, ref.line, c, n}, map(node_at(contour, n)), is_smooth(contour, n)});
    }
  }
  return out;
}

Project move_node(Project project, const NodeRef& node, Vec by) {
  return change_contour(std::move(project), node, [&](Contour& c, const Affine& map) {
    const Affine back = map.inverse();
    const Vec d = back(by) - back(Vec{0, 0});
    const auto [in, out] = beside(c, node.node);
    if (in != kNone) c.segments[in].c2 = c.segments[in].c2 + d, c.segments[in].end = c.segments[in].end + d;
    if (out != kNone) c.segments[out].c1 = c.segments[out].c1 + d;
    if (node.node == 0 || (c.closed && node.node == c.segments.size())) c.start = c.start + d;
    for (auto& s : c.segments) {
      if (s.straight) s = Segment::line(s.end);
    }
    keep_closed(c);
  });
}

Project add_node(Project project, const LineRef& ref, Vec at, std::optional<NodeRef>* made) {
  const Piece* piece = find_piece(project, ref.piece);
  if (!piece || !piece->plain()) return project;
  for (const auto& line : piece->lines) {
    if (line.id != ref.line) continue;
    const auto found =
        nearest_place(transformed(*line.path, piece->placement * line.at), at, std::numeric_limits<double>::infinity());
    if (!found || found->t <= 1e-6 || found->t >= 1 - 1e-6) return project;
    const NodeRef node{ref.piece, ref.line, found->contour, found->segment + 1};
    if (made) *made = node;
    return change_contour(std::move(project), node, [&](Contour& c, const Affine&) {
      const std::size_t i = found->segment;
      const Vec from = i == 0 ? c.start : c.segments[i - 1].end;
      const Segment whole = c.segments[i];
      c.segments[i] = part_of(from, whole, 0, found->t).second;
      Segment rest = part_of(from, whole, found->t, 1).second;
      rest.end = whole.end;
      if (rest.straight) rest = Segment::line(rest.end);
      c.segments.insert(c.segments.begin() + static_cast<std::ptrdiff_t>(i) + 1, rest);
      keep_closed(c);
    });
  }
  return project;
}

Project remove_node(Project project, const NodeRef& node) {
  return change_contour(std::move(project), node, [&](Contour& c, const Affine&) {
    const std::size_t n = c.segments.size();
    if (n < (c.closed ? 3u : 2u)) return;
    const auto [in, out] = beside(c, node.node);
    if (in == kNone) {  // the start of an open one
      c.start = c.segments.front().end;
      c.segments.erase(c.segments.begin());
      return;
    }
    if (out == kNone) {
      c.segments.pop_back();
      return;
    }
    const Segment a = c.segments[in], b = c.segments[out];
    const Vec from = in == 0 ? c.start : c.segments[in - 1].end;
    Segment joined = Segment::line(b.end);
    if (!a.straight || !b.straight) {
      // The directions at the far ends stay; reaching over both, the handles reach twice as far.
      const Vec c1 = a.straight ? lerp(from, a.end, 1.0 / 3) : a.c1,
                c2 = b.straight ? lerp(a.end, b.end, 2.0 / 3) : b.c2;
      joined = Segment::cubic(from + (c1 - from) * 2, b.end + (c2 - b.end) * 2, b.end);
    }
    c.segments[in] = joined;
    c.segments.erase(c.segments.begin() + static_cast<std::ptrdiff_t>(out));
    // Where it started, the contour starts at what is now the end of its last segment.
    if (c.closed) c.start = c.segments.back().end;
  });
}

Project turn_node(Project project, const NodeRef& node) {
  return change_contour(std::move(project), node, [&](Contour& c, const Affine&) {
    const auto [in, out] = beside(c, node.node);
    if (in == kNone || out == kNone) return;
    Segment &a = c.segments[in], &b = c.segments[out];
    const Vec at = node_at(c, node.node), from = in == 0 ? c.start : c.segments[in - 1].end, to = b.end;
    if (is_smooth(c, node.node)) {
      a = Segment::line(at), b = Segment::line(to);
      keep_closed(c);
      return;
    }
    const Vec way = to - from;
    const double length = norm(way);
    if (length <= 0) return;
    const Vec u = way * (1 / length);
    a = Segment::cubic(a.straight ? lerp(from, at, 1.0 / 3) : a.c1, at - u * (distance(from, at) / 3), at);
    b = Segment::cubic(at + u * (distance(at, to) / 3), b.straight ? lerp(at, to, 2.0 / 3) : b.c2, to);
    keep_closed(c);
  });
}

}  // namespace dotlane
