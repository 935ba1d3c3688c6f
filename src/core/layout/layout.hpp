// Layout: which parts lie where on which sheet, sheet by sheet, mat load by mat load. The only value that knows the
// figure as well as the mats.
#pragma once

#include <vector>

#include "core/layout/placing.hpp"

namespace dotlane {

/// A copy of a part, on a sheet or waiting for one.
struct LaidPart {
  std::size_t part = 0;  ///< index in Layout::parts
  int copy = 1;
  int sheet = 0;       ///< sheet id; 0: it waits
  Affine map;          ///< from the figure onto the mat; as it is drawn where it waits
  bool drawn = false;  ///< it lies as drawn, through the sheet's window
  bool pinned = false;
  bool not_now = false;   ///< left out of the run, by itself or with its sheet
  bool in_place = false;  ///< put in its place in the figure by hands that assemble it
};

/// What lies on a sheet of one piece under one map: a piece as drawn on the mat, with the contours that lie there
/// alone. Its lines keep their numbers; those of which nothing lies there are empty.
struct LaidPiece {
  std::shared_ptr<const DrawnPiece> drawn;
  std::size_t layer = 0;  ///< index of the piece in the drawing
  /// For each contour of each line the index in Layout::laid; npos for what belongs to no part, as guides.
  std::shared_ptr<const std::vector<std::vector<std::size_t>>> laid;
  bool filled_anew = false;  ///< its fill's angle counts on the mat, and was made for how it lies there
};

struct LaidSheet {
  Sheet sheet;
  std::vector<LaidPiece> pieces;  ///< top layer first
};

struct Layout {
  std::vector<Part> parts;
  std::vector<std::size_t> records;  ///< for each part, the index of its record in the project; npos where it has none
  std::vector<LaidPart> laid;        ///< by part, then by copy
  std::vector<LaidSheet> sheets;     ///< in load order, then as in the project
  std::vector<std::size_t> unnumbered;  ///< copies, as in `laid`, that want a number and have no room for it
  [[nodiscard]] int loads() const;
  /// Whether every part lies on the mat where it stands in the figure.
  [[nodiscard]] bool as_figure() const;
  /// The sheet with this id, or null.
  [[nodiscard]] const Sheet* sheet(int id) const;
  /// The copies, by their indices in `laid`, that are turned and moved with this one, itself among them: those of the
  /// same number of the parts that are kept together with its part.
  [[nodiscard]] std::vector<std::size_t> moved_with(const Project& project, std::size_t laid) const;
  /// What lies on the mats of a load (0: of all), top layer first: a drawing on the mat to paint and to pick.
  [[nodiscard]] Drawing on_mats(int load) const;
};

/// Around what a copy covers where it lies, mm on the mat.
[[nodiscard]] Box bounds_on_mat(const Layout& layout, std::size_t laid);

/// Lays every copy of every part where its record says, the first copy of others as drawn where its stock is laid out
/// so, and leaves the rest waiting. As drawn, a part lies on the sheet of its stock whose window shows most of it.
[[nodiscard]] Layout lay_out(const Project& project, const Drawing& drawing);

}  // namespace dotlane
