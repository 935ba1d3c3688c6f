// How the head has to go so that a tool's tip runs along the course that is wanted.
//
// A drag blade's edge touches so far behind the axis about which it swivels. Along a straight cut the axis leads the
// edge by that much; at a corner it goes round the edge on an arc of that radius, so that the edge turns where it
// stands; what the edge does when the axis is led otherwise is a tractrix (tip_follower.hpp). Where courses bend
// gently, the axis goes straight from one lead to the next. A tip that touches beside the middle of its holder is led
// beside its course. The geometry: the axis's way is the course's involute band of constant tangent length; J. D.
// Lawrence, "A Catalog of Special Plane Curves", 1972, tractrix (from memory).
#pragma once

#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

struct ToolLead {
  double trail_mm = 0;    ///< how far its edge touches behind its axis; 0: a tip, or a machine that sees to it itself
  double overcut_mm = 0;  ///< how far closed courses run on past their start
  Vec tip;                ///< where it touches, seen from the middle of the holder, mm on the mat
  int tabs = 0;           ///< places of a closed course that are left standing, so that the part stays held
  double tab_mm = 0;
  Slowed slowed{};  ///< of the head's way
  [[nodiscard]] bool slows() const { return slowed.radius_mm > 0; }
  [[nodiscard]] bool plain() const { return trail_mm <= 0 && overcut_mm <= 0 && tip == Vec{} && tabs <= 0 && !slows(); }
  [[nodiscard]] bool trails() const { return trail_mm > 0; }
  friend bool operator==(const ToolLead&, const ToolLead&) = default;
};

/// One lowering: where the head goes, and where the tip is meanwhile, point by point.
struct HeadRun {
  std::vector<Vec> head;
  std::vector<Vec> tip{};          ///< empty where it is the head's way
  std::vector<double> ceilings{};  ///< of each move of the head, mm/s; empty: none
  [[nodiscard]] const std::vector<Vec>& course() const { return tip.empty() ? head : tip; }
};

/// Where a blade points while it cuts along +x: what turning it in leaves it at.
inline constexpr Vec kTurnedIn{1, 0};

/// The runs of a course: one, or one between each two tabs. `points` is what the tip runs through; of a closed course
/// the last point is the first. `heading` is where a trailing blade points when it is lowered, a unit vector; it is set
/// to where it points afterwards.
[[nodiscard]] std::vector<HeadRun> head_runs(const std::vector<Vec>& points, bool closed, const ToolLead& lead,
                                             Vec& heading);
/// Moves along a curve that is tighter than the radius, each shorter than that, have the speed as their ceiling; empty
/// where there is none. How tight a curve is follows from how much it turns between two moves and from the shorter one.
[[nodiscard]] std::vector<double> ceilings_of(const std::vector<Vec>& head, const Slowed& slowed);
/// Where a trailing blade points after a course.
[[nodiscard]] Vec heading_after(const std::vector<Vec>& points, bool closed, const ToolLead& lead, Vec before);

/// A straight cut along +x by which a blade that points anywhere comes to lie as kTurnedIn says, within 0.0004 of its
/// trail across: eight times as long as that.
[[nodiscard]] HeadRun turn_in(Vec from, const ToolLead& lead);

/// Where a blade is turned in for the nth time: at the lower left of the mat, in the border that parts keep clear of.
[[nodiscard]] Vec turn_in_place(double mat_height_mm, double border_mm, int nth, const ToolLead& lead);

/// Turns a blade that stands at a place from one heading to another.
[[nodiscard]] HeadRun swivel(Vec at, Vec from, Vec to, const ToolLead& lead);

/// What the tip has run through once the head has gone so far, mm.
[[nodiscard]] std::vector<Vec> course_until(const HeadRun& run, double mm);

/// What is left of a run after so many mm of the head's way.
[[nodiscard]] HeadRun rest_of(const HeadRun& run, double mm);

}  // namespace dotlane
