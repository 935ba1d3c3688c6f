#include "core/format/svg_clip.hpp"

#include <algorithm>

#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"

namespace dotlane {
namespace {

// Less than this is lost to the grid that areas lie on, and is no part of a drawing.
constexpr double kLeastMm = 1e-4, kLeastMm2 = 1e-6;

double length_of(const std::vector<Polyline>& polylines) {
  double out = 0;
  for (const auto& polyline : polylines) out += dotlane::length_of(polyline);
  return out;
}

Clipped clip_area(Path& path, const Region& all, const SvgClip& clip) {
  const Region seen = intersect(all, clip.region);
  const double whole = area_of(all), left = area_of(seen);
  if (left <= kLeastMm2) return Clipped::gone;
  if (whole - left <= kLeastMm2) return Clipped::whole;
  path = refit(seen);
  return Clipped::cut;
}

Clipped clip_strokes(Path& path, const SvgClip& clip) {
  std::vector<Polyline> all;
  for (const auto& contour : path.contours) all.push_back(flatten(contour, kChord));
  const auto seen = dotlane::clip(all, clip.region, true);
  const double left = length_of(seen);
  if (left <= kLeastMm) return Clipped::gone;
  if (length_of(all) - left <= kLeastMm) return Clipped::whole;
  path.contours.clear();
  for (const auto& stretch : seen) path.contours.push_back(refit(stretch));
  return Clipped::cut;
}

}  // namespace

SvgClip clip_of(Region region) {
  SvgClip out{std::move(region), {}, false};
  out.bounds = bounds_of(out.region);
  out.box = out.region.rings.size() == 1 &&
            std::abs(area_of(out.region) - out.bounds.width() * out.bounds.height()) <= kLeastMm2;
  return out;
}

Clipped clip_line(ArtLine& line, const SvgClip& clip) {
  const Box bounds = bounds_of(line.path);
  if (clip.region.empty() || !clip.bounds.overlaps(bounds)) return Clipped::gone;
  if (clip.box && clip.bounds.contains(bounds)) return Clipped::whole;
  const auto& contours = line.path.contours;
  if (line.fill && std::all_of(contours.begin(), contours.end(), [](const Contour& c) { return c.closed; })) {
    const Region all = region_of(line.path);
    if (area_of(all) > kLeastMm2) return clip_area(line.path, all, clip);
  }
  return clip_strokes(line.path, clip);
}

}  // namespace dotlane
