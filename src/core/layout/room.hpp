// The room on a sheet: what lies there, how near parts come to each other, and whether a part would fit.
#pragma once

#include <optional>
#include <vector>

#include "core/geometry/clearance.hpp"
#include "core/layout/layout.hpp"

namespace dotlane {

/// What a part takes up on a sheet, mm in the upright frame of its piece: its body without the holes, and what runs
/// over its edge; of very many lines that do, the box around them. A cluster of lines takes up the box around it.
[[nodiscard]] Region packed_shape(const Drawing& drawing, const Part& part);
/// The same where such a map puts it, mm on the mat.
[[nodiscard]] Region body_on_mat(const Drawing& drawing, const Part& part, const Affine& map);

/// Where parts may lie on the sheet, mm on the mat: all of it, and as far as tools reach. In a job that is mirrored,
/// which happens across the sheet's upright middle line when it is planned, both are the other way round.
[[nodiscard]] Region area_of(const Project& project, const Sheet& sheet);
[[nodiscard]] Region usable_on(const Project& project, const Sheet& sheet);

/// Two parts on a sheet that are nearer to each other than they should be.
struct Clash {
  std::size_t a = 0, b = 0;  ///< indices in Layout::laid
  double apart_mm = 0;       ///< 0 where they touch or overlap
  double over_mm2 = 0;       ///< how much of them lies on each other; only Room::clashes() says
};

/// A sheet with what lies on it, made ready for many questions; drawing and layout must outlive it. Functions throw
/// GeometryFailure where GEOS gives up.
class Room {
 public:
  /// `lifted` are those, by their indices in Layout::laid, that are taken off the sheet.
  Room(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet,
       const std::vector<std::size_t>& lifted = {});

  /// What lies nearer than the gap to one of the shapes, all moved by so much, nearest first; 0 for `a`.
  [[nodiscard]] std::vector<Clash> around(const std::vector<Clearance>& shapes, Vec moved, double gap_mm) const;
  /// Whether the shapes, moved by so much, lie where parts may lie.
  [[nodiscard]] bool holds(const std::vector<Clearance>& shapes, Vec moved) const;
  /// All that lie nearer to each other than the gap, in the order of the layout. Two that both lie as drawn may be as
  /// near as they like, and count where they overlap by more than `least_mm2`. Clusters of loose lines count in
  /// neither: what is drawn may cross what is drawn.
  [[nodiscard]] std::vector<Clash> clashes(double gap_mm, double least_mm2) const;
  /// The body of a copy that lies on the sheet, by its index in Layout::laid; see body_on_mat(). Worked out once.
  [[nodiscard]] const Region& body(std::size_t laid) const;

 private:
  struct Body {
    std::size_t laid = 0;
    Box box;  ///< around the shape, perhaps a little wider
    bool loose = false;
    mutable std::optional<Region> shape{};  ///< these once somebody asks, or comes near
    mutable std::optional<Clearance> ready{};
  };
  const Region& shape(const Body& body) const;
  const Clearance& ready(const Body& body) const;

  const Drawing& drawing_;
  const Layout& layout_;
  std::vector<Body> bodies_;
  Clearance area_;
};

}  // namespace dotlane
