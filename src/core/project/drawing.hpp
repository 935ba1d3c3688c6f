// Drawing: every line of the project resolved to mm in the figure, ready to lay out, paint and check.
#pragma once

#include <memory>
#include <optional>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/project/project.hpp"
#include "core/said.hpp"

namespace dotlane {

/// A line's contours as polylines within the tolerance they were made for. Copies of a pattern share them.
struct FlatLine {
  Shared<std::vector<Polyline>> polylines;  ///< in the path's coordinates
  Affine at;                                ///< to the piece's
  Box bounds;                               ///< in the piece's
};

struct FlatPiece {
  std::vector<FlatLine> lines;  ///< one for each line of the piece, in the same order
  Box bounds;
  std::size_t segments = 0;
};

struct FillMade;  // core/shape/fill/fill_made.hpp
struct Bridged;   // core/shape/bridges.hpp
struct Repeated;  // core/shape/copies.hpp
struct Underlap;  // core/shape/applique.hpp
struct Seamed;    // core/shape/seams.hpp

/// What a step did, for people to read.
struct StepOutcome {
  int step = 0;  ///< its id; 0 for the source
  Box bounds;    ///< after it, in piece coordinates
  std::size_t nodes = 0, contours = 0;
  double area_mm2 = 0;                       ///< enclosed by cut lines, after it
  double removed_mm2 = 0;                    ///< taken away by it
  std::size_t dropped = 0;                   ///< contours or slivers it left out
  std::size_t stones = 0;                    ///< holes for stones it made
  Sayings trouble;                           ///< why it could do nothing, when it could not
  std::optional<Color> paint;                ///< of a stencil's plate: what is painted through its openings
  std::shared_ptr<const FillMade> fill;      ///< what a fill filled and how
  std::shared_ptr<const Bridged> bridged;    ///< what bridges hold, and where they are
  std::shared_ptr<const Repeated> repeated;  ///< how copies lie
  std::shared_ptr<const Underlap> underlap;  ///< where fabric runs under other fabric
  std::shared_ptr<const Seamed> seamed;      ///< how seams run
};

/// One piece as placed. `piece` holds the lines as they are in the end, and as its placement where these stand: for a
/// piece with a recipe neither is what the project holds. `flat` is in those lines' coordinates; `map` puts it into the
/// figure, and of what is laid out (core/layout) onto the mat.
struct DrawnPiece {
  Shared<Piece> piece;
  Affine map;
  std::vector<StepOutcome> outcomes;  ///< the source's, then one for each step that is on; none for a plain piece
  bool stale = false;                 ///< an older result, shown while the present one is worked out
  std::shared_ptr<const FlatPiece> flat;
  Box bounds;                    ///< mm where `map` puts it
  std::vector<Box> line_bounds;  ///< the same, one for each line

  /// What puts the polylines of a line where `map` puts the piece.
  [[nodiscard]] Affine map_of(std::size_t line) const { return map * flat->lines[line].at; }
  /// The contour of the line where `map` puts it.
  [[nodiscard]] Polyline course(std::size_t line, std::size_t contour) const;
};

/// Width and height in the piece's own frame, as large as it is drawn, mm.
[[nodiscard]] Vec own_size(const DrawnPiece& piece);

/// Works the bounds out from the lines and the map.
void find_bounds(DrawnPiece& piece);

/// The numbers of parts that are drawn on a sheet (core/layout/numbers.hpp) are a piece there with this id, which none
/// of the project has: nobody picks them.
inline constexpr int kNumbersPiece = 0;

struct Drawing {
  std::vector<std::shared_ptr<const DrawnPiece>> pieces;  ///< top layer first, as in the project
  [[nodiscard]] Box bounds() const;
  [[nodiscard]] std::size_t segments() const;
};

/// The piece as drawn, or null.
[[nodiscard]] const DrawnPiece* find_drawn(const Drawing& drawing, int piece);

/// Every line of the pieces that has this colour, or this layer.
[[nodiscard]] std::vector<LineRef> lines_of_color(const Drawing& drawing, Color color);
[[nodiscard]] std::vector<LineRef> lines_of_layer(const Drawing& drawing, int piece, const std::string& layer);
[[nodiscard]] std::vector<LineRef> lines_of_piece(const Drawing& drawing, int piece);

/// The line whose drawn course passes nearest to `at`, if one does within `reach` mm; upper layers win ties.
[[nodiscard]] std::optional<LineRef> pick_line(const Drawing& drawing, Vec at, double reach);

/// All lines that lie wholly inside the box; a piece that does is one reference with an empty line id.
[[nodiscard]] std::vector<LineRef> lines_inside(const Drawing& drawing, const Box& box);

/// The bounds of these lines; of whole pieces where a reference has an empty line id.
[[nodiscard]] Box bounds_of(const Drawing& drawing, const std::vector<LineRef>& lines);

}  // namespace dotlane
