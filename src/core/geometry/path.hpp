// Curves as they are kept: straight and cubic segments in contours, contours in paths.
#pragma once

#include <utility>
#include <vector>

#include "core/geometry/vec.hpp"

namespace dotlane {

/// One step from the previous point to `end`: a straight line (c1, c2 unused) or a cubic Bézier.
struct Segment {
  Vec c1, c2, end;
  bool straight = true;
  static Segment line(Vec to) { return {to, to, to, true}; }
  static Segment cubic(Vec c1, Vec c2, Vec to) { return {c1, c2, to, false}; }
  friend bool operator==(const Segment&, const Segment&) = default;
};

/// A connected run of segments. When `closed`, the last segment ends exactly at `start`.
struct Contour {
  Vec start;
  std::vector<Segment> segments;
  bool closed = false;
  friend bool operator==(const Contour&, const Contour&) = default;
};

enum class FillRule { nonzero, evenodd };

/// All contours of one line of the drawing, with the rule that says what they enclose.
struct Path {
  std::vector<Contour> contours;
  FillRule fill_rule = FillRule::nonzero;
  friend bool operator==(const Path&, const Path&) = default;
};

/// Ends nearer than this (mm) count as meeting: a contour whose ends meet is closed.
inline constexpr double kMeetingEnds = 0.001;

/// The point of the segment at a parameter from 0 to 1.
[[nodiscard]] Vec point_at(Vec from, const Segment& segment, double t);
/// The part of the segment between two parameters (de Casteljau's blossom), and where it starts.
[[nodiscard]] std::pair<Vec, Segment> part_of(Vec from, const Segment& segment, double t0, double t1);

[[nodiscard]] Path transformed(const Path& path, const Affine& map);
[[nodiscard]] std::size_t segment_count(const Path& path);

/// Whether the contour goes nowhere: a dot, or a move alone.
[[nodiscard]] bool is_point(const Contour& contour);

/// Closes every contour whose ends meet within kMeetingEnds and drops contours without any length.
/// The last point is moved onto the first, so a closed contour is exactly closed.
[[nodiscard]] Path with_meeting_ends_closed(Path path);

/// An elliptical arc as SVG 2 (appendix B.2.4) defines it, as cubic segments appended to `out`.
/// `scale` is the largest mm per unit of the coordinates; the curve stays within 1 µm of the true arc.
/// Zero radii give a straight line; radii too small are scaled up, both as SVG says.
void append_arc(std::vector<Segment>& out, Vec from, double rx, double ry, double turn_degrees, bool large, bool sweep,
                Vec to, double scale);
/// Straight from point to point, and back to the first where it is closed.
[[nodiscard]] Contour straight_through(const std::vector<Vec>& points, bool closed);
/// A whole one, from its right end on.
[[nodiscard]] Contour ellipse(Vec centre, double rx, double ry);

}  // namespace dotlane
