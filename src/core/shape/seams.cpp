#include "core/shape/seams.hpp"

#include <algorithm>

namespace dotlane {
namespace {

constexpr double kBeyond = 2e-3;  // mm that the knife goes on beyond an edge, so that it parts

Vec along_of(const Seam& seam) { return (seam.b - seam.a) * (1 / seam.length()); }
/// To the left as seen, y down.
Vec left_of(const Seam& seam) {
  const Vec d = along_of(seam);
  return {d.y, -d.x};
}

/// A box beside the seam: from `from` to `to` along it, and from `low` to `high` to its left.
Ring beside(const Seam& seam, double from, double to, double low, double high) {
  const Vec d = along_of(seam), n = left_of(seam);
  return {seam.a + d * from + n * low, seam.a + d * to + n * low, seam.a + d * to + n * high,
          seam.a + d * from + n * high};
}

Region as_region(std::vector<Ring> rings) { return region_of(rings, FillRule::nonzero); }

Region knife_of(const Seam& seam) {
  return as_region({beside(seam, -kBeyond, seam.length() + kBeyond, -kSeamGap / 2, kSeamGap / 2)});
}

/// The stretch of the seam's line in the material that its middle is in, or that is nearest to it.
std::optional<Seam> run_of(const Region& material, const Seam& seam) {
  if (!(seam.length() > 0)) return std::nullopt;
  const Box box = bounds_of(material);
  const double reach = box.width() + box.height() + distance(seam.middle(), box.centre());
  const Vec d = along_of(seam), from = seam.middle() - d * reach;
  std::optional<Seam> best;
  double least = seam.length() / 2;
  for (const auto& stretch : clip({Polyline{{from, seam.middle() + d * reach}, false}}, material, true)) {
    Seam run{stretch.points.front(), stretch.points.back()};
    double first = dot(run.a - from, d) - reach, last = dot(run.b - from, d) - reach;  // from the middle
    if (first > last) std::swap(first, last), std::swap(run.a, run.b);
    const double off = std::max({0.0, first, -last});
    if (last - first > kSeamGap && off <= least) best = run, least = off;
  }
  return best;
}

/// The tile at a place, or none.
std::optional<std::size_t> tile_at(const std::vector<Region>& tiles, Vec p) {
  for (std::size_t i = 0; i < tiles.size(); ++i) {
    if (bounds_of(tiles[i]).contains(p) && encloses(tiles[i], p)) return i;
  }
  return std::nullopt;
}

/// Tabs of one width evenly along the seam, as boxes beside it; wider at their ends, if wished. `more` is added around.
std::vector<Ring> tabs_of(const Seam& seam, const SeamStyle& style, double more) {
  const double length = seam.length(), wide = 1.5 * style.width;
  const auto many = std::max(1, static_cast<int>(length / (2.5 * wide)));
  const double flare = style.kind == SeamKind::dovetail ? wide / 6 : 0;
  std::vector<Ring> out;
  for (int k = 0; k < many; ++k) {
    const double middle = length * (k + 0.5) / many, half = std::min(wide, length / 2) / 2 + more;
    Ring ring = beside(seam, middle - half + flare, middle + half - flare, -2 * kSeamGap, style.width + more);
    const Vec d = along_of(seam) * (2 * flare);
    ring[2] = ring[2] + d, ring[3] = ring[3] - d;
    out.push_back(std::move(ring));
  }
  return out;
}

/// The part of a region that holds the place, or that reaches nearest to it.
Region part_with(const Region& region, Vec p) {
  for (auto& part : parts_of(region)) {
    if (encloses(part, p)) return part;
  }
  return region;
}

void interlock(std::vector<Region>& tiles, const Seam& seam, const SeamStyle& style) {
  constexpr double kOffSeam = 1e-3, kClear = 1;  // mm; between a tab and the far edge of its hole
  const Vec n = left_of(seam);
  const auto left = tile_at(tiles, seam.middle() + n * kOffSeam), right = tile_at(tiles, seam.middle() - n * kOffSeam);
  if (!left || !right || *left == *right) return;
  const Vec inside_right = seam.middle() - n * kOffSeam;
  if (style.kind == SeamKind::overlap) {
    // What of the strip hangs together with the seam, over the gap and a little more.
    const Region bridge = as_region({beside(seam, 0, seam.length(), -3 * kSeamGap, 3 * kSeamGap)});
    const Region strip = intersect(as_region({beside(seam, 0, seam.length(), -3 * kSeamGap, style.width)}),
                                   unite({tiles[*left], bridge}));
    tiles[*right] = part_with(unite({tiles[*right], strip}), inside_right);
    return;
  }
  // Tabs stand only where all of one, and a little around it, is material of the two tiles.
  const auto wide = tabs_of(seam, style, kClear), holes = tabs_of(seam, style, kSeamGap),
             tabs = tabs_of(seam, style, 0);
  const Region both = unite({tiles[*left], tiles[*right], knife_of(seam)});
  for (std::size_t k = 0; k < tabs.size(); ++k) {
    if (area_of(subtract(as_region({wide[k]}), both)) > 1e-3) continue;
    tiles[*left] = subtract(tiles[*left], as_region({holes[k]}));
    tiles[*right] = unite({tiles[*right], as_region({tabs[k]})});
  }
}

}  // namespace

Divided divide(const Region& part, const std::vector<Seam>& seams, const SeamStyle& style) {
  Divided out;
  Region rest = part;
  for (const auto& seam : seams) {
    out.seams.push_back(run_of(rest, seam));
    if (out.seams.back()) rest = subtract(rest, knife_of(*out.seams.back()));
  }
  out.tiles = parts_of(rest);
  if (style.kind == SeamKind::butt) return out;
  for (const auto& seam : out.seams) {
    if (seam) interlock(out.tiles, *seam, style);
  }
  return out;
}

}  // namespace dotlane
