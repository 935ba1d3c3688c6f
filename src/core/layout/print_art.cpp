#include "core/layout/print_art.hpp"

#include <algorithm>
#include <map>
#include <set>

#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

/// The part's body without its holes where the copy lies, mm on the mat.
Region body_of(const Layout& layout, std::size_t laid) {
  const LaidPart& copy = layout.laid[laid];
  const Part& part = layout.parts[copy.part];
  return part.has_body() ? transformed(*part.shape, copy.map * part.at) : Region{};
}

}  // namespace

Affine onto_print(const Project& project, const Sheet& sheet) {
  return project.plan.mirrored ? Affine{-1, 0, 0, 1, sheet.area.x0 + sheet.area.x1, 0} : Affine{};
}

bool prints(const Project& project, const LaidSheet& sheet) {
  return std::any_of(sheet.pieces.begin(), sheet.pieces.end(), [&](const LaidPiece& there) {
    if (printed_picture(project, *there.drawn)) return true;
    const auto& lines = there.drawn->piece->lines;
    for (std::size_t i = 0; i < lines.size(); ++i) {
      if (lines[i].role == Role::print && !there.drawn->flat->lines[i].polylines->empty()) return true;
    }
    return false;
  });
}

std::vector<PrintShape> print_art(const Project& project, const Layout& layout, const LaidSheet& sheet) {
  const double bleed = project.laying.bleed_mm;
  std::map<std::size_t, Region> bodies;  // of the copies on the sheet
  std::map<std::size_t, Box> boxes;
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {
    if (layout.laid[k].sheet != sheet.sheet.id) continue;
    Region body = body_of(layout, k);
    if (body.empty()) continue;
    boxes[k] = bounds_of(body);
    bodies.emplace(k, std::move(body));
  }
  /// Without what would lie over other parts.
  const auto clear_of = [&](Region area, std::size_t laid) {
    const Box reach = boxes.at(laid).grown(bleed);
    for (const auto& [other, there] : bodies) {
      if (other != laid && boxes.at(other).overlaps(reach)) area = subtract(area, there);
    }
    return area;
  };
  /// What is printed of a shape in the copy `laid` of a part.
  const auto within = [&](const Region& shape, std::size_t laid) {
    const auto own = bodies.find(laid);
    if (own == bodies.end()) return shape;
    const Region& body = own->second;
    const Region rim = intersect(shape, subtract(body, offset(body, -kPrintEdge, {Corners::mitre})));
    Region out = unite({intersect(shape, body), subtract(offset(rim, bleed), body)});
    // Its own outside is as good as a bleed, as far as that goes.
    out = unite({out, intersect(subtract(shape, body), offset(body, bleed))});
    return clear_of(std::move(out), laid);
  };
  std::vector<PrintShape> out;
  const auto add_picture = [&](const LaidPiece& there) {
    auto picture = printed_picture(project, *there.drawn);
    if (!picture) return;
    std::set<std::size_t> copies;  // of parts, that its lines lie in
    for (const auto& line : *there.laid) copies.insert(line.begin(), line.end());
    copies.erase(npos);
    const double w = picture->width, h = picture->height;
    Ring frame;
    for (const Vec corner : {Vec{0, 0}, Vec{w, 0}, Vec{w, h}, Vec{0, h}}) frame.push_back(picture->onto(corner));
    const Region all = region_of({frame}, FillRule::nonzero);
    std::vector<Region> shown;
    for (const std::size_t copy : copies) {
      const auto own = bodies.find(copy);
      // As within, but that a picture does not end at the cut: it goes on beyond by itself.
      shown.push_back(own == bodies.end() ? all : clear_of(intersect(all, offset(own->second, bleed)), copy));
    }
    Region area = unite(shown);
    if (!area.empty()) out.push_back({std::move(area), {}, there.drawn->piece->id, std::move(picture)});
  };
  for (auto there = sheet.pieces.rbegin(); there != sheet.pieces.rend(); ++there) {
    const DrawnPiece& drawn = *there->drawn;
    add_picture(*there);
    for (std::size_t i = 0; i < drawn.piece->lines.size(); ++i) {
      const Line& line = drawn.piece->lines[i];
      const auto& polylines = *drawn.flat->lines[i].polylines;
      if (line.role != Role::print || polylines.empty()) continue;
      // Each copy of a part has contours of its own.
      std::map<std::size_t, std::pair<std::vector<Ring>, std::vector<Polyline>>> of_copy;
      for (std::size_t c = 0; c < polylines.size(); ++c) {
        Polyline course = drawn.course(i, c);
        auto& [rings, lines] = of_copy[(*there->laid)[i][c]];
        if (line.filled && course.closed) {
          rings.push_back(std::move(course.points));
        } else {
          lines.push_back(std::move(course));
        }
      }
      for (auto& [copy, shapes] : of_copy) {
        std::vector<Region> all;
        if (!shapes.first.empty()) all.push_back(region_of(shapes.first, line.path->fill_rule));
        if (!shapes.second.empty()) all.push_back(buffer(shapes.second, kPrintLine / 2));
        Region area = within(all.size() == 1 ? std::move(all.front()) : unite(all), copy);
        if (!area.empty()) out.push_back({std::move(area), line.color, drawn.piece->id, {}});
      }
    }
  }
  return out;
}

}  // namespace dotlane
