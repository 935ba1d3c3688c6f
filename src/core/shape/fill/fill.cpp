#include "core/shape/fill/fill.hpp"

#include <numbers>

#include "core/shape/fill/contours.hpp"
#include "core/shape/fill/hatch.hpp"
#include "core/shape/fill/spots.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// How far the area reaches across lines at the angle, mm.
struct Reach {
  double low = std::numeric_limits<double>::infinity(), high = -low;
};
Reach across(const FillArea& area, double angle) {
  const double turn = angle * std::numbers::pi / 180;
  Reach out;
  for (const auto& ring : area.rings) {
    for (const Vec p : ring) {
      const double v = p.x * std::sin(turn) + p.y * std::cos(turn);
      out.low = std::min(out.low, v);
      out.high = std::max(out.high, v);
    }
  }
  return out;
}

/// The phase at which as many lines as possible fit, with as much left over on either side.
double centred(const FillArea& area, double angle, double spacing) {
  const Reach r = across(area, angle);
  if (!(r.low <= r.high)) return 0;
  const double whole = std::floor((r.high - r.low) / spacing + 1e-9) * spacing;
  return (r.low + (r.high - r.low - whole) / 2) / spacing;
}

Strokes along_edges(const FillArea& area) {
  Strokes out;
  for (std::size_t i = 0; i < area.rings.size(); ++i) {
    for (const Vec p : area.rings[i]) out.add(p);
    out.add(area.rings[i].front());
    out.end(area.part_of[i]);
  }
  return out;
}

Strokes inner_strokes(const FillArea& area, const FillOptions& o, int coat) {
  switch (o.pattern) {
    case FillPattern::cross: {
      Strokes out;
      for (const double angle : {o.angle, o.angle + o.cross_angle}) {
        const Scan scan(area, angle, o.spacing, o.phase);
        out.append(o.join > 0 ? zigzag(area, scan, o.join, o.shortest) : hatch(area, scan, o.shortest));
      }
      return out;
    }
    case FillPattern::zigzag:
      return zigzag(area, Scan(area, o.angle, o.spacing, o.phase), o.join, o.shortest);
    case FillPattern::grid: {
      Strokes out;
      for (const double angle : {o.angle, o.angle + 90})
        out.append(hatch(area, Scan(area, angle, o.spacing, centred(area, angle, o.spacing) + o.phase), o.shortest));
      return out;
    }
    case FillPattern::rules: {
      // Counted from the top; the line on the very top would be the edge itself.
      const double top = across(area, o.angle).low / o.spacing;
      return hatch(area, Scan(area, o.angle, o.spacing, (std::isfinite(top) ? top : 0) + o.phase), o.shortest, 1);
    }
    case FillPattern::dots:
      return dots(area, Scan(area, o.angle, o.spacing, o.phase), o.spacing);
    case FillPattern::stipple:
      return stipple(area, o.spacing, o.seed + static_cast<std::uint64_t>(coat) * 0x9e3779b97f4a7c15ULL);
    default:
      return hatch(area, Scan(area, o.angle, o.spacing, o.phase), o.shortest);
  }
}

}  // namespace

double expected_strokes(const Region& region, const FillOptions& o) {
  const double area = area_of(region), around = perimeter_of(region);
  switch (o.pattern) {
    case FillPattern::dots:
    case FillPattern::stipple:
      return area / (o.spacing * o.spacing);
    case FillPattern::contour:
    case FillPattern::spiral:
      return 1 + area / (o.spacing * std::max(std::sqrt(area), o.spacing));
    default:
      // A line enters and leaves the region where it crosses the edge; on average 2/π of the edge lies across it.
      return around / std::numbers::pi / o.spacing * (o.pattern == FillPattern::cross ? 2 : 1);
  }
}

Result<Strokes> fill(const Region& region, const FillOptions& options, int coat) {
  FillOptions o = options;
  if (coat == 1 && o.second == SecondCoat::shifted) o.phase += 0.5;
  if (coat == 1 && o.second == SecondCoat::turned) o.angle += 90;
  if (expected_strokes(region, o) > kMostStrokes) {
    return fail(ErrorKind::bad_request, {"fill-refused", {{"spacing", o.spacing}, {"millions", kMostStrokes / 1e6}}});
  }
  if (o.pattern == FillPattern::contour || o.pattern == FillPattern::spiral) {
    // Half a spacing further in: a shifted coat runs between the rings of the first.
    const double inset = o.inset + (o.phase - std::floor(o.phase)) * o.spacing;
    return o.pattern == FillPattern::contour ? nested_insets(region, inset, o.spacing, o.shortest)
                                             : spirals(region, inset, o.spacing, o.shortest);
  }
  const FillArea area = fill_area(region, o.inset);
  Strokes out = o.edge && coat == 0 ? along_edges(area) : Strokes{};
  out.append(inner_strokes(area, o, coat));
  return out;
}

Vec inner_point(const Region& region) {
  constexpr int kLines = 8;
  const Box box = bounds_of(region);
  const double spacing = std::max(box.height() / kLines, 1e-6);
  const Scan scan(fill_area(region, 0), 0, spacing, box.y0 / spacing + 0.5);
  double widest = -1;
  Vec out = region.rings.front().front();
  for (std::size_t k = 0; k < scan.lines(); ++k) {
    for (std::size_t i = scan.start(k); i < scan.start(k + 1); ++i) {
      const Span& s = scan.span(i);
      if (s.to - s.from > widest) widest = s.to - s.from, out = scan.at((s.from + s.to) / 2, static_cast<double>(k));
    }
  }
  return out;
}

std::vector<std::size_t> unfilled(std::size_t parts, const Strokes& strokes) {
  std::vector<char> has(parts, 0);
  for (std::size_t i = 0; i < strokes.size(); ++i) has[strokes.part(i)] = 1;
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < parts; ++i) {
    if (!has[i]) out.push_back(i);
  }
  return out;
}

}  // namespace dotlane
