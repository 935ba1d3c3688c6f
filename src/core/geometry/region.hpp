// Filled areas and what can be done with them: unions, differences, offsets. One thin layer over Clipper.
#pragma once

#include <cstddef>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// A closed run of points, mm; the last joins the first without being repeated.
using Ring = std::vector<Vec>;

/// An area as rings that neither cross themselves nor each other: outlines have positive signed area, holes negative
/// (see signed_area_of). Every function below gives and takes this form. Points lie on a grid of 1 nm, so results do
/// not depend on the order or the size of what went in; coordinates may reach 1,000 km, and are fastest within half a
/// metre.
struct Region {
  std::vector<Ring> rings;
  [[nodiscard]] bool empty() const { return rings.empty(); }
};

/// Curves become chords within this many mm before an area is computed, round corners likewise.
inline constexpr double kChord = 0.002;

/// What the closed contours enclose under the path's fill rule, curves flattened within `chord` mm. Contours that cross
/// themselves, touch, double back or turn the wrong way are resolved; open ones enclose nothing.
[[nodiscard]] Region region_of(const Path& path, double chord = kChord);
/// Whether very dense rings that cross themselves may be thinned before they are resolved.
enum class Detail { enough, all };
/// The same for closed rings as they are, in any direction and state.
[[nodiscard]] Region region_of(const std::vector<Ring>& rings, FillRule rule, Detail detail = Detail::enough);
/// What is open where the rings are cut, in any direction: within a ring, but not within an island in it, and so on.
/// Rings that cross or touch each other open what any of them encloses, but for those that lie wholly within the rest.
[[nodiscard]] Region openings_of(const std::vector<Ring>& rings);

[[nodiscard]] Region unite(const std::vector<Region>& regions);
[[nodiscard]] Region subtract(const Region& from, const Region& what);
[[nodiscard]] Region intersect(const Region& a, const Region& b);

enum class Corners { round, mitre, bevel };

struct OffsetOptions {
  Corners corners = Corners::round;
  double mitre_limit = 4;  ///< a mitred corner reaches at most this many distances; sharper ones are bevelled
  double chord = kChord;   ///< arcs of round corners become chords within this many mm
};

/// The region grown by `by` mm all around (shrunk when negative). Detail finer than half of `chord` may be lost; on
/// parts that still have more than 20,000 vertices then, detail finer than 5 µm or a hundredth of `by`.
[[nodiscard]] Region offset(const Region& region, double by, const OffsetOptions& options = {});

/// The buffer within `by` mm of the polylines, with round ends and corners.
[[nodiscard]] Region buffer(const std::vector<Polyline>& polylines, double by, double chord = kChord);

/// The region without what is narrower than `width` mm (a mitred opening): corners stay, slivers go. The outline does
/// not move by more than a micrometre elsewhere.
[[nodiscard]] Region without_slivers(const Region& region, double width);

/// All of the box; empty where that is.
[[nodiscard]] Region region_of(const Box& box);

/// One region for each connected part: an outline with its holes.
[[nodiscard]] std::vector<Region> parts_of(const Region& region);

/// The stretches of the polylines inside the region, or outside it; what runs along an edge counts as inside. Closed
/// polylines that are cut become open ones.
[[nodiscard]] std::vector<Polyline> clip(const std::vector<Polyline>& polylines, const Region& region, bool inside);

/// The polylines and rings with vertices left out that lie within `tolerance` mm of what remains (Douglas and Peucker,
/// Cartographica 10(2), 1973).
[[nodiscard]] Ring thinned(const Ring& ring, double tolerance);
[[nodiscard]] Polyline thinned(const Polyline& polyline, double tolerance);

[[nodiscard]] double area_of(const Region& region);
/// The centre of area (holes count against it); the middle of its box where it has no area.
[[nodiscard]] Vec centre_of(const Region& region);
[[nodiscard]] double perimeter_of(const Region& region);
[[nodiscard]] std::size_t holes_in(const Region& region);
[[nodiscard]] std::size_t vertices_in(const Region& region);
[[nodiscard]] Box bounds_of(const Region& region);
[[nodiscard]] Box bounds_of(const Ring& ring);
[[nodiscard]] double signed_area_of(const Ring& ring);
[[nodiscard]] bool encloses(const Region& region, Vec p);
[[nodiscard]] Polyline as_polyline(const Ring& ring);
[[nodiscard]] Region transformed(const Region& region, const Affine& map);

}  // namespace dotlane
