// Snapping: what a frame, an edge or a point that is being placed comes to meet.
#pragma once

#include <memory>
#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// What was met, the more welcome first.
enum class Met { node, edge, middle, half, fold, gap, sheet, border, guide, curve, grid };

/// What can be met besides the pieces.
struct Ground {
  std::vector<Box> sheets, borders;  ///< where they are in the figure, and what tools reach on them
  std::vector<Guide> guides;
  double grid_mm = 0;  ///< between dots that start at the origin; 0: none
};
/// The sheets of the project as windows onto the figure, of one mat load or of all (0); its guides.
[[nodiscard]] Ground ground_of(const Project& project, int load);

/// The sheets of one mat load where they lie on the mat, and what tools reach.
[[nodiscard]] Ground ground_on_mat(const Project& project, int load);

/// A piece as what is placed meets it.
struct SnapPiece {
  std::shared_ptr<const DrawnPiece> drawn;
  Box bounds;  ///< of the curves themselves
  struct Fold {
    Axis axis;  ///< upright ones are met on x
    double at;
    Box of;
    std::string line;
  };
  std::vector<Fold> folds;
};
[[nodiscard]] SnapPiece snap_piece(std::shared_ptr<const DrawnPiece> drawn);
/// The node of these pieces that is nearest to a place, within reach.
[[nodiscard]] std::optional<Vec> node_at(const Drawing& drawing, const std::vector<int>& pieces, Vec at, double reach);

/// One thing met on one axis.
struct Meeting {
  Axis axis = Axis::x;
  Met met = Met::edge;
  double at = 0;           ///< mm, where they meet
  double own_share = 0;    ///< which place of the frame does
  Box other;               ///< what was met lies there
  std::vector<Anchor> to;  ///< how it could be held there; empty: it cannot
  std::vector<int> row;    ///< for equal gaps: the pieces of the row, in order, but for the one placed (0)
  std::vector<Box> gaps;   ///< for equal gaps: where they are, as flat boxes
};

/// By how much to move so that it meets, and what it meets then.
struct Snapped {
  Vec by;
  std::vector<Meeting> meetings;
  std::optional<Vec> point;  ///< the node or the place of a curve that was met
  Met met = Met::node;       ///< which of both
};

/// Everything that what is being placed can meet, looked up fast. Built when a drag begins.
class SnapScene {
 public:
  SnapScene(std::vector<SnapPiece> pieces, Ground ground);

  /// A frame that would lie here. `held` is a node of it that is in the hand and meets nodes, and curves; without one
  /// its middle meets corners. Reach in mm.
  [[nodiscard]] Snapped frame(const Box& at, std::optional<Vec> held, double reach) const;
  /// A point alone, as when drawing or measuring.
  [[nodiscard]] Snapped point(Vec at, double reach) const;
  /// One coordinate, as of an edge that is dragged to size; `near` says where along the other axis it is looked at.
  [[nodiscard]] std::optional<Meeting> edge(Axis axis, double at, const Box& near, double reach) const;

 private:
  struct Line {
    double at = 0;
    Met met = Met::edge;
    Box of;
    std::vector<Anchor> to;
    bool middles_only = false;  // met by middles alone
  };
  [[nodiscard]] const Line* nearest(Axis axis, double at, double own_share, const Box& near, double reach,
                                    double* off) const;
  void gaps(Axis axis, const Box& at, double reach, double& best, std::optional<Meeting>& out) const;
  enum class Places { corners, nodes, curves };  // each with those before it
  [[nodiscard]] std::optional<std::pair<Vec, Met>> place(Vec at, double reach, Places what) const;

  std::vector<SnapPiece> pieces_;
  Ground ground_;
  std::vector<Line> lines_[2];  // by axis, in order
};

/// The angle (degrees) nearest to `turned` that is a multiple of 15 or, by quarter turns, one of the neighbours' when
/// `own` is the angle it had before; `turned` itself where none is within `reach`.
[[nodiscard]] double snapped_turn(double turned, double own, const std::vector<double>& neighbours, double reach);

}  // namespace dotlane
