#include "core/place/snap.hpp"

#include <algorithm>

#include "core/geometry/measure.hpp"
#include "core/geometry/nearest.hpp"
#include "core/place/axes.hpp"
#include "core/project/edit.hpp"

namespace dotlane {
namespace {

constexpr double kSame = 1e-6;           // mm: what meets anyway
constexpr std::size_t kHasCentre = 200;  // segments: what is finer is no shape whose middle anybody means
constexpr std::size_t kExact = 100'000;  // segments of a piece from which on its frame is taken as flattened
constexpr double kFarMm = 150;           // from here on it counts nothing more how far off something lies

/// The coordinate that all nodes of the straight contour have in common, if they do.
std::optional<double> straight_on(const Contour& contour, Axis axis) {
  const auto value = [axis](Vec p) { return axis == Axis::x ? p.x : p.y; };
  const double at = value(contour.start);
  for (const auto& s : contour.segments) {
    if (!s.straight || std::abs(value(s.end) - at) > kSame) return std::nullopt;
  }
  return at;
}

/// Calls with every line whose bounds a place is within reach of, and where it stands.
template <class Each>
void each_line_near(const DrawnPiece& piece, Vec at, double reach, Each&& each) {
  const auto& lines = piece.piece->lines;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    // Bounds as flattened may be a hair smaller than the curve.
    if (piece.line_bounds[i].grown(reach + 0.02).contains(at)) each(lines[i], piece.map * lines[i].at);
  }
}

/// Whether the line turns by more than 10 degrees from one direction to the other.
bool is_corner(Vec in, Vec out) {
  constexpr double kCos = 0.985;
  return dot(in, out) < kCos * norm(in) * norm(out);
}

Vec leaving(Vec from, const Segment& s) { return s.straight || s.c1 == from ? s.end - from : s.c1 - from; }
Vec arriving(Vec from, const Segment& s) { return s.straight || s.c2 == s.end ? s.end - from : s.end - s.c2; }

/// Calls with the nodes of a line, or its corners and ends alone; with middles of straight segments and of closed
/// contours.
template <class Each>
void each_node(const Line& line, const Affine& map, bool corners_only, Each&& each) {
  for (const auto& contour : line.path->contours) {
    const auto& segments = contour.segments;
    Box around;
    Vec from = contour.start;
    around.add(from);
    for (std::size_t i = 0; i < segments.size(); ++i) {
      const Segment& s = segments[i];
      const bool last = i + 1 == segments.size();
      const Segment& next = segments[last ? 0 : i + 1];
      if (i == 0 && !contour.closed) each(map(from));
      if (!corners_only || (last && !contour.closed) || is_corner(arriving(from, s), leaving(s.end, next)))
        each(map(s.end));
      if (s.straight) each(map(lerp(from, s.end, 0.5)));
      from = s.end;
    }
    if (contour.closed && segments.size() <= kHasCentre) each(bounds_of(Path{{contour}, {}}, map).centre());
  }
}

}  // namespace

std::optional<Vec> node_at(const Drawing& drawing, const std::vector<int>& pieces, Vec at, double reach) {
  std::optional<Vec> node;
  for (const int id : pieces) {
    const DrawnPiece* piece = find_drawn(drawing, id);
    if (!piece || !piece->bounds.grown(reach).contains(at)) continue;
    each_line_near(*piece, at, reach, [&](const Line& line, const Affine& map) {
      each_node(line, map, false, [&](Vec p) {
        if (const double far = distance(p, at); far <= reach) reach = far, node = p;
      });
    });
  }
  return node;
}

Ground ground_of(const Project& project, int load) {
  Ground out;
  out.guides = project.guides;
  for (const auto& sheet : project.sheets) {
    if (load != 0 && sheet.load != load) continue;
    out.sheets.push_back(sheet.seen());
    const Vec by = sheet.window - Vec{sheet.area.x0, sheet.area.y0};
    const Box reach = project.machine.usable_area();
    const Box area{std::max(sheet.area.x0, reach.x0), std::max(sheet.area.y0, reach.y0),
                   std::min(sheet.area.x1, reach.x1), std::min(sheet.area.y1, reach.y1)};
    if (!area.empty()) out.borders.push_back(moved(area, by));
  }
  return out;
}

Ground ground_on_mat(const Project& project, int load) {
  Ground out;
  for (const auto& sheet : project.sheets) {
    if (sheet.load == load) out.sheets.push_back(sheet.area);
  }
  out.borders = {project.machine.usable_area()};
  return out;
}

SnapPiece snap_piece(std::shared_ptr<const DrawnPiece> drawn) {
  SnapPiece out;
  out.bounds = drawn->flat->segments > kExact ? drawn->bounds : tight_bounds(*drawn);
  for (const auto& line : drawn->piece->lines) {
    if (line.role != Role::score || line.path->contours.size() != 1 || line.path->contours[0].closed) continue;
    const Path placed = transformed(*line.path, drawn->map * line.at);
    for (const Axis axis : kAxes) {
      if (const auto at = straight_on(placed.contours[0], axis))
        out.folds.push_back({axis, *at, bounds_of(placed), line.id});
    }
  }
  out.drawn = std::move(drawn);
  return out;
}

SnapScene::SnapScene(std::vector<SnapPiece> pieces, Ground ground)
    : pieces_(std::move(pieces)), ground_(std::move(ground)) {
  for (const Axis axis : kAxes) {
    auto& lines = lines_[static_cast<std::size_t>(axis)];
    lines.reserve(pieces_.size() * 5);
    for (const auto& piece : pieces_) {
      const int id = piece.drawn->piece->id;
      const auto add = [&](double share, Met met) {
        lines.push_back({share_of(piece.bounds, axis, share), met, piece.bounds, {{id, "", share}}, met == Met::half});
      };
      if (piece.bounds.empty()) continue;
      add(0, Met::edge), add(1, Met::edge), add(0.5, Met::middle), add(0.25, Met::half), add(0.75, Met::half);
      for (const auto& fold : piece.folds) {
        if (fold.axis != axis) continue;
        lines.push_back({fold.at, Met::fold, fold.of, {{id, fold.line, 0.5}}, false});
        for (const double edge : {0.0, 1.0}) {
          const double middle = (fold.at + share_of(piece.bounds, axis, edge)) / 2;
          lines.push_back({middle, Met::half, piece.bounds, {{id, fold.line, 0.5}, {id, "", edge}}, true});
        }
      }
    }
    for (const auto& [boxes, met] :
         {std::pair(&ground_.sheets, Met::sheet), std::pair(&ground_.borders, Met::border)}) {
      for (const Box& box : *boxes) {
        for (const double share : {0.0, 0.5, 1.0}) {
          std::vector<Anchor> to;
          if (met == Met::sheet && ground_.sheets.size() == 1) to = {{0, "", share}};
          if (met == Met::border && share == 0.5) continue;  // near the sheet's own, or the same
          lines.push_back({share_of(box, axis, share), met, box, std::move(to), false});
        }
      }
    }
    for (const auto& guide : ground_.guides) {
      if (guide.axis == axis) lines.push_back({guide.at_mm, Met::guide, {}, {}, false});
    }
    std::sort(lines.begin(), lines.end(), [](const Line& a, const Line& b) { return a.at < b.at; });
  }
}

const SnapScene::Line* SnapScene::nearest(Axis axis, double at, double own_share, const Box& near, double reach,
                                          double* off) const {
  const auto& lines = lines_[static_cast<std::size_t>(axis)];
  const auto cost = [&](const Line& line) {
    const double far = line.of.empty() ? 0 : std::min(1.0, apart(line.of, near, other(axis)) / kFarMm);
    return std::abs(line.at - at) / reach + 0.3 * far + 0.001 * static_cast<double>(line.met);
  };
  const Line* best = nullptr;
  double least = 0;
  for (auto it = std::lower_bound(lines.begin(), lines.end(), at - reach,
                                  [](const Line&line, double value) { return line.at < value; });
       it != lines.end() && it->at <= at + reach; ++it) {
    if (it->middles_only && own_share != 0.5) continue;
    const double here = cost(*it);
    if (!best || here < least) best = &*it, least = here;
  }
  if (best && off) *off = least;
  return best;
}

void SnapScene::gaps(Axis axis, const Box& at, double reach, double& best, std::optional<Meeting>& out) const {
  // Neighbours in the same row: the next ones on either side, and the ones behind these.
  const Axis across = other(axis);
  const SnapPiece *left = nullptr, *right = nullptr;
  const double from = low(at, axis), to = high(at, axis), size = to - from;
  const auto before = [&](const SnapPiece* of, double limit) {
    const SnapPiece* found = nullptr;
    for (const auto& p : pieces_) {
      if (&p == of || p.bounds.empty() || apart(p.bounds, at, across) > 0 || high(p.bounds, axis) > limit) continue;
      if (!found || high(p.bounds, axis) > high(found->bounds, axis)) found = &p;
    }
    return found;
  };
  const auto after = [&](const SnapPiece* of, double limit) {
    const SnapPiece* found = nullptr;
    for (const auto& p : pieces_) {
      if (&p == of || p.bounds.empty() || apart(p.bounds, at, across) > 0 || low(p.bounds, axis) < limit) continue;
      if (!found || low(p.bounds, axis) < low(found->bounds, axis)) found = &p;
    }
    return found;
  };
  left = before(nullptr, from + reach);
  right = after(nullptr, to - reach);
  const auto flat = [&](double a, double b) {
    const double y = share_of(at, across, 0.5);
    return axis == Axis::x ? Box{a, y, b, y} : Box{y, a, y, b};
  };
  const auto take = [&](double place, double own, std::vector<Anchor> anchors, std::vector<int> row,
                        std::vector<Box> spaces, const Box& of) {
    const double off = std::abs(place - share_of(at, axis, own));
    // What is alike by chance far off is no row.
    const double cost = off / reach + 0.05;
    if (off > reach || cost >= best) return;
    best = cost;
    out = Meeting{axis, Met::gap, place, own, of, std::move(anchors), std::move(row), std::move(spaces)};
  };
  const auto id = [](const SnapPiece* p) { return p->drawn->piece->id; };
  if (left && right) {
    const double a = high(left->bounds, axis), b = low(right->bounds, axis), gap = (b - a - size) / 2;
    if (gap > kSame)
      take((a + b) / 2, 0.5, {{id(left), "", 1}, {id(right), "", 0}}, {0}, {flat(a, a + gap), flat(b - gap, b)},
           left->bounds);
  }
  if (left) {
    if (const SnapPiece* behind = before(left, low(left->bounds, axis))) {
      const double a = high(behind->bounds, axis), b = low(left->bounds, axis), c = high(left->bounds, axis);
      if (b - a > kSame) take(c + b - a, 0, {{id(left), "", 1}}, {}, {flat(a, b), flat(c, c + b - a)}, left->bounds);
    }
  }
  if (right) {
    if (const SnapPiece* behind = after(right, high(right->bounds, axis))) {
      const double a = low(behind->bounds, axis), b = high(right->bounds, axis), c = low(right->bounds, axis);
      if (a - b > kSame)
        take(c - (a - b), 1, {{id(right), "", 0}}, {}, {flat(c - (a - b), c), flat(b, a)}, right->bounds);
    }
  }
}

std::optional<std::pair<Vec, Met>> SnapScene::place(Vec at, double reach, Places what) const {
  std::optional<Vec> node, on_curve;
  double least = reach, nearest_curve = reach;
  const auto meet = [&](Vec p) {
    if (const double far = distance(p, at); far <= least) least = far, node = p;
  };
  for (const auto& piece : pieces_) {
    if (!piece.bounds.grown(reach).contains(at)) continue;
    each_line_near(*piece.drawn, at, reach, [&](const dotlane::Line& line, const Affine& map) {
      each_node(line, map, what == Places::corners, meet);
      if (what != Places::curves) return;
      if (const auto found = nearest_place(transformed(*line.path, map), at, nearest_curve))
        nearest_curve = found->distance, on_curve = found->at;
    });
  }
  if (node) return std::pair(*node, Met::node);
  if (on_curve) return std::pair(*on_curve, Met::curve);
  return std::nullopt;
}

Snapped SnapScene::frame(const Box& at, std::optional<Vec> held, double reach) const {
  Snapped out;
  if (const auto met = place(held.value_or(at.centre()), reach, held ? Places::nodes : Places::corners)) {
    out.by = met->first - held.value_or(at.centre());
    out.point = met->first;
    return out;
  }
  bool any = false;
  double by[2] = {0, 0};
  std::optional<Meeting> gap[2];
  for (const Axis axis : kAxes) {
    const auto i = static_cast<std::size_t>(axis);
    double least = std::numeric_limits<double>::infinity();
    const bool flat = high(at, axis) - low(at, axis) < kSame;
    for (const double share : {0.0, 0.5, 1.0}) {
      if (flat && share != 0.5) continue;
      const double own = share_of(at, axis, share);
      double cost = 0;
      const Line* line = nearest(axis, own, share, at, reach, &cost);
      if (line && cost < least) least = cost, by[i] = line->at - own, any = true;
    }
    gaps(axis, at, reach, least, gap[i]);
    if (gap[i]) by[i] = gap[i]->at - share_of(at, axis, gap[i]->own_share), any = true;
    if (least == std::numeric_limits<double>::infinity() && ground_.grid_mm > 0) {
      const double own = low(at, axis), dot = std::round(own / ground_.grid_mm) * ground_.grid_mm;
      if (std::abs(dot - own) <= reach / 2) by[i] = dot - own;
    }
  }
  if (!any && held) {
    if (const auto met = place(*held, reach, Places::curves)) {
      out.by = met->first - *held;
      out.point = met->first, out.met = met->second;
      return out;
    }
  }
  out.by = {by[0], by[1]};
  // All that meets there, not only what it was brought to.
  const Box there = moved(at, out.by);
  for (const Axis axis : kAxes) {
    const auto i = static_cast<std::size_t>(axis);
    if (gap[i]) out.meetings.push_back(*gap[i]);
    const bool flat = high(at, axis) - low(at, axis) < kSame;
    for (const double share : {0.0, 0.5, 1.0}) {
      if (flat && share != 0.5) continue;
      const double own = share_of(there, axis, share);
      if (const Line* line = nearest(axis, own, share, there, kSame, nullptr))
        out.meetings.push_back({axis, line->met, line->at, share, line->of, line->to, {}, {}});
    }
  }
  return out;
}

Snapped SnapScene::point(Vec at, double reach) const {
  Snapped out;
  const Box here{at.x, at.y, at.x, at.y};
  const auto met = place(at, reach, Places::curves);
  if (met && met->second == Met::node) {
    out.by = met->first - at;
    out.point = met->first;
    return out;
  }
  for (const Axis axis : kAxes) {
    const double own = axis == Axis::x ? at.x : at.y;
    if (const Line* line = nearest(axis, own, 0, here, reach, nullptr)) {
      (axis == Axis::x ? out.by.x : out.by.y) = line->at - own;
      out.meetings.push_back({axis, line->met, line->at, 0.5, line->of, line->to, {}, {}});
    }
  }
  if (out.meetings.empty() && met) {
    out.by = met->first - at;
    out.point = met->first, out.met = met->second;
    return out;
  }
  if (ground_.grid_mm > 0) {
    for (const Axis axis : kAxes) {
      double& by = axis == Axis::x ? out.by.x : out.by.y;
      const double own = axis == Axis::x ? at.x : at.y, dot = std::round(own / ground_.grid_mm) * ground_.grid_mm;
      if (by == 0 && std::abs(dot - own) <= reach / 2) by = dot - own;
    }
  }
  return out;
}

std::optional<Meeting> SnapScene::edge(Axis axis, double at, const Box& near, double reach) const {
  const Line* line = nearest(axis, at, 0, near, reach, nullptr);
  if (line) return Meeting{axis, line->met, line->at, 0, line->of, line->to, {}, {}};
  if (ground_.grid_mm > 0) {
    const double dot = std::round(at / ground_.grid_mm) * ground_.grid_mm;
    if (std::abs(dot - at) <= reach / 2) return Meeting{axis, Met::grid, dot, 0, {}, {}, {}, {}};
  }
  return std::nullopt;
}

double snapped_turn(double turned, double own, const std::vector<double>& neighbours, double reach) {
  double best = turned, least = reach;
  const auto take = [&](double target) {
    if (const double off = std::abs(std::remainder(target - turned, 360.0)); off <= least) {
      least = off;
      best = turned + std::remainder(target - turned, 360.0);
    }
  };
  take(std::round((own + turned) / 15) * 15 - own);
  for (const double neighbour : neighbours) take(std::round((own + turned - neighbour) / 90) * 90 + neighbour - own);
  return best;
}

}  // namespace dotlane
