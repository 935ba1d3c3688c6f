#include "core/layout/room.hpp"

#include <algorithm>
#include <set>

#include "core/geometry/parallel.hpp"
#include "core/layout/print_marks.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

constexpr double kOver = 0.05;                  // mm: half the width of what runs over an edge
constexpr std::size_t kMostOver = 300;          // strokes that run over an edge; of more,
constexpr std::size_t kMostPointsOver = 5'000;  // or of so many points, the box around all is taken
constexpr double kThin = 0.002;                 // mm: outlines are thinned this much before they are compared
constexpr double kEdge = 1e-3;                  // mm: what reaches so little past an edge lies inside

/// Mirrored as the plan will mirror what lies there.
Region as_planned(const Project& project, const Sheet& sheet, Region region) {
  if (!project.plan.mirrored) return region;
  for (auto& ring : region.rings) {
    for (Vec& q : ring) q.x = sheet.area.x0 + sheet.area.x1 - q.x;
    std::reverse(ring.begin(), ring.end());
  }
  return region;
}

}  // namespace

Region packed_shape(const Drawing& drawing, const Part& part) {
  Region shape = part.has_body() ? part.body() : region_of(part.reach.grown(kOver));
  const Box body = bounds_of(shape).grown(kOver);
  if (part.has_body() && !body.contains(part.reach)) {
    // Of many lines, as of a fill, only those that leave the box around the body.
    std::vector<Polyline> lines;
    for (const auto& at : part.lines) {
      const DrawnPiece* piece = find_drawn(drawing, at.piece);
      Polyline line = piece->course(at.line, at.contour);
      const bool all = part.lines.size() <= kMostOver;
      if (all || !std::all_of(line.points.begin(), line.points.end(), [&](Vec q) { return body.contains(q); }))
        lines.push_back(std::move(line));
    }
    if (lines.size() <= kMostOver) lines = clip(lines, shape, false);
    std::size_t points = 0;
    for (const auto& line : lines) points += line.points.size();
    const bool many = lines.size() > kMostOver || points > kMostPointsOver;
    shape = unite({shape, many ? region_of(part.reach) : buffer(lines, kOver, kOver)});
  }
  return transformed(shape, frame_of(find_drawn(drawing, part.key.piece)->map).to_figure.inverse());
}

Region body_on_mat(const Drawing& drawing, const Part& part, const Affine& map) {
  return transformed(packed_shape(drawing, part), map * frame_of(find_drawn(drawing, part.key.piece)->map).to_figure);
}

Region area_of(const Project& project, const Sheet& sheet) {
  if (sheet.outline.empty()) return region_of(sheet.area);
  return as_planned(
      project, sheet,
      transformed(region_of(sheet.outline, FillRule::evenodd), Affine::move(sheet.area.x0, sheet.area.y0)));
}

Region usable_on(const Project& project, const Sheet& sheet) {
  Region out = intersect(area_of(project, sheet), as_planned(project, sheet, region_of(project.machine.usable_area())));
  if (const auto marks = marks_of(project, sheet)) out = subtract(out, as_planned(project, sheet, zones_of(*marks)));
  return out;
}

Room::Room(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet,
           const std::vector<std::size_t>& lifted)
    : drawing_(drawing), layout_(layout), area_(offset(usable_on(project, sheet), kEdge, {Corners::mitre})) {
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {
    const LaidPart& laid = layout.laid[k];
    if (laid.sheet != sheet.id || std::find(lifted.begin(), lifted.end(), k) != lifted.end()) continue;
    const Part& part = layout.parts[laid.part];
    const Box reach = part.reach.grown(kOver);
    Body body{k, {}, !part.has_body()};
    for (const Vec corner :
         {Vec{reach.x0, reach.y0}, Vec{reach.x1, reach.y0}, Vec{reach.x1, reach.y1}, Vec{reach.x0, reach.y1}})
      body.box.add(laid.map(corner));
    bodies_.push_back(std::move(body));
  }
}

const Region& Room::shape(const Body& body) const {
  if (!body.shape) {
    const LaidPart& laid = layout_.laid[body.laid];
    body.shape = body_on_mat(drawing_, layout_.parts[laid.part], laid.map);
  }
  return *body.shape;
}

const Region& Room::body(std::size_t laid) const {
  // They come in the order of the layout.
  return shape(*std::lower_bound(bodies_.begin(), bodies_.end(), laid,
                                 [](const Body& body, std::size_t k) { return body.laid < k; }));
}

const Clearance& Room::ready(const Body& body) const {
  if (!body.ready) {
    Region region;
    for (const auto& ring : shape(body).rings) {
      Ring r = thinned(ring, kThin);
      if (r.size() >= 3) region.rings.push_back(std::move(r));
    }
    body.ready.emplace(region);
  }
  return *body.ready;
}

std::vector<Clash> Room::around(const std::vector<Clearance>& shapes, Vec moved, double gap_mm) const {
  std::vector<Clash> out;
  for (const auto& body : bodies_) {
    double apart = gap_mm;
    for (const auto& shape : shapes) {
      const Box& b = shape.bounds();
      const Box near = Box{b.x0 + moved.x, b.y0 + moved.y, b.x1 + moved.x, b.y1 + moved.y}.grown(gap_mm);
      if (near.overlaps(body.box)) apart = std::min(apart, ready(body).distance(shape, moved));
    }
    if (apart < gap_mm) out.push_back({0, body.laid, apart});
  }
  std::stable_sort(out.begin(), out.end(), [](const Clash& a, const Clash& c) { return a.apart_mm < c.apart_mm; });
  return out;
}

bool Room::holds(const std::vector<Clearance>& shapes, Vec moved) const {
  return std::all_of(shapes.begin(), shapes.end(), [&](const Clearance& shape) { return area_.holds(shape, moved); });
}

std::vector<Clash> Room::clashes(double gap_mm, double least_mm2) const {
  struct Pair {
    const Body *one, *other;
    bool as_drawn;
    double apart_mm = 0, over_mm2 = 0;
  };
  std::vector<const Body*> by_left;
  for (const auto& body : bodies_) {
    if (!body.loose) by_left.push_back(&body);
  }
  std::sort(by_left.begin(), by_left.end(), [](const Body* a, const Body* b) { return a->box.x0 < b->box.x0; });
  const auto drawn = [&](const Body& body) { return layout_.laid[body.laid].drawn; };
  std::vector<Pair> pairs;
  std::set<const Body*> shapes, indexed;
  for (std::size_t i = 0; i < by_left.size(); ++i) {
    const Body& one = *by_left[i];
    const Box near = one.box.grown(gap_mm);
    for (std::size_t j = i + 1; j < by_left.size() && by_left[j]->box.x0 <= near.x1; ++j) {
      const Body& other = *by_left[j];
      if (!near.overlaps(other.box)) continue;
      const bool as_drawn = drawn(one) && drawn(other);
      const Box both = common(one.box, other.box);
      if (as_drawn && both.width() * both.height() <= least_mm2) continue;
      pairs.push_back({&one, &other, as_drawn});
      shapes.insert({&one, &other});
      if (!as_drawn) indexed.insert({&one, &other});
    }
  }
  const auto each = [](const std::set<const Body*>& of, auto make) {
    const std::vector<const Body*> bodies(of.begin(), of.end());
    for_each_index(bodies.size(), 8, [&](std::size_t i) { make(*bodies[i]); });
  };
  each(shapes, [&](const Body& body) { static_cast<void>(shape(body)); });
  each(indexed, [&](const Body& body) { static_cast<void>(ready(body)); });
  for (auto& pair : pairs) {  // indexes of Clearance are built as they are asked: not by several at once
    if (!pair.as_drawn) pair.apart_mm = ready(*pair.one).distance(ready(*pair.other), {});
  }
  for_each_index(pairs.size(), 16, [&](std::size_t i) {
    Pair& pair = pairs[i];
    if (pair.apart_mm <= 0) pair.over_mm2 = area_of(intersect(shape(*pair.one), shape(*pair.other)));
  });
  std::vector<Clash> out;
  for (const auto& pair : pairs) {
    if (pair.as_drawn ? pair.over_mm2 <= least_mm2 : pair.apart_mm >= gap_mm) continue;
    const auto [a, b] = std::minmax(pair.one->laid, pair.other->laid);
    out.push_back({a, b, pair.apart_mm, pair.over_mm2});
  }
  std::sort(out.begin(), out.end(),
            [](const Clash& a, const Clash& b) { return std::tie(a.a, a.b) < std::tie(b.a, b.b); });
  return out;
}

}  // namespace dotlane
