#include "core/format/svg_shapes.hpp"

#include <algorithm>

#include "core/geometry/path_data.hpp"
#include "core/text_scan.hpp"

namespace dotlane {

Path svg_shape(SvgDocument& document, pugi::xml_node node, std::string_view name, SvgViewport v, double scale) {
  Path path;
  auto ellipse = [&](Vec c, double rx, double ry) {
    if (rx == 0 || ry == 0) return;
    Contour ring{{c.x + rx, c.y}, {}, true};
    append_arc(ring.segments, ring.start, rx, ry, 0, false, true, {c.x - rx, c.y}, scale);
    append_arc(ring.segments, {c.x - rx, c.y}, rx, ry, 0, false, true, ring.start, scale);
    path.contours.push_back(std::move(ring));
  };
  if (name == "path") {
    PathRead read = read_path_data(node.attribute("d").value(), scale);
    if (read.error) document.amiss(document.cut_short, node, name);
    path = std::move(read.path);
  } else if (name == "rect") {
    const double x = document.length(node, "x", 0, v, SvgDocument::Axis::x),
                 y = document.length(node, "y", 0, v, SvgDocument::Axis::y);
    const double w = document.positive(node, "width", 0, v, SvgDocument::Axis::x),
                 h = document.positive(node, "height", 0, v, SvgDocument::Axis::y);
    if (w == 0 || h == 0) return path;
    double rx = document.positive_or_none(node, "rx", v, SvgDocument::Axis::x),
           ry = document.positive_or_none(node, "ry", v, SvgDocument::Axis::y);
    if (rx < 0) rx = ry;
    if (ry < 0) ry = rx;
    rx = std::clamp(rx, 0.0, w / 2), ry = std::clamp(ry, 0.0, h / 2);
    if (rx == 0 || ry == 0) rx = ry = 0;  // SVG: square corners
    Contour ring{{x + rx, y}, {}, true};
    auto corner = [&](Vec from, Vec to) {
      if (rx > 0 && ry > 0) append_arc(ring.segments, from, rx, ry, 0, false, true, to, scale);
    };
    auto side = [&](Vec to) {
      const Vec from = ring.segments.empty() ? ring.start : ring.segments.back().end;
      if (!(from == to)) ring.segments.push_back(Segment::line(to));
    };
    side({x + w - rx, y}), corner({x + w - rx, y}, {x + w, y + ry});
    side({x + w, y + h - ry}), corner({x + w, y + h - ry}, {x + w - rx, y + h});
    side({x + rx, y + h}), corner({x + rx, y + h}, {x, y + h - ry});
    side({x, y + ry}), corner({x, y + ry}, {x + rx, y});
    path.contours.push_back(std::move(ring));
  } else if (name == "circle") {
    const double r = document.positive(node, "r", 0, v, SvgDocument::Axis::diagonal);
    ellipse({document.length(node, "cx", 0, v, SvgDocument::Axis::x),
             document.length(node, "cy", 0, v, SvgDocument::Axis::y)},
            r, r);
  } else if (name == "ellipse") {
    double rx = document.positive_or_none(node, "rx", v, SvgDocument::Axis::x),
           ry = document.positive_or_none(node, "ry", v, SvgDocument::Axis::y);
    if (rx < 0) rx = std::max(0.0, ry);
    if (ry < 0) ry = std::max(0.0, rx);
    ellipse({document.length(node, "cx", 0, v, SvgDocument::Axis::x),
             document.length(node, "cy", 0, v, SvgDocument::Axis::y)},
            rx, ry);
  } else if (name == "line") {
    Contour c{{document.length(node, "x1", 0, v, SvgDocument::Axis::x),
               document.length(node, "y1", 0, v, SvgDocument::Axis::y)},
              {},
              false};
    c.segments.push_back(Segment::line({document.length(node, "x2", 0, v, SvgDocument::Axis::x),
                                        document.length(node, "y2", 0, v, SvgDocument::Axis::y)}));
    path.contours.push_back(std::move(c));
  } else {
    TextScan in(node.attribute("points").value());
    std::vector<Vec> points;
    bool odd = false;
    while (const auto x = in.number()) {
      const auto y = in.number();
      odd = !y;
      if (odd) break;
      points.push_back({*x, *y});
    }
    in.skip_separators();
    if (odd || !in.done()) document.amiss(document.cut_short, node, "points");
    if (points.size() < 2) return path;
    Contour c{points.front(), {}, name == "polygon"};
    for (std::size_t i = 1; i < points.size(); ++i) c.segments.push_back(Segment::line(points[i]));
    if (c.closed && !(points.back() == c.start)) c.segments.push_back(Segment::line(c.start));
    path.contours.push_back(std::move(c));
  }
  return path;
}

}  // namespace dotlane
