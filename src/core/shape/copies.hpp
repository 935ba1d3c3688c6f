// Copies of a motif: where they lie, how many there are and how far apart.
#pragma once

#include <cstddef>
#include <optional>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {

struct CopyOptions {
  enum class Way { row, grid, brick, hex, ring, path };
  /// What is said of distance and number; the rest follows.
  enum class By { gap, shapes, pitch, spread };
  /// Which of a grid are mirrored or turned: the seven plane groups that are made of one motif so, by their names in
  /// crystallography, and two chequered ones.
  enum class Turned { p1, pm, pg, pmm, p2, p4, p6, mirrored, turned };
  /// What happens at the edge of a room: whole copies only; cut off there; or cut so that the room repeats endlessly.
  enum class Edge { whole, cut, wrap };

  Way way = Way::row;
  By by = By::gap;
  bool fill = false;         ///< as many as a room takes, else `across` and `down`
  int across = 3, down = 2;  ///< of a ring or path: `across`
  double gap_mm = 2;         ///< between boxes, or at least between shapes
  double pitch_mm = 20;      ///< from one to the next
  double pitch_down_mm = 0;  ///< from row to row; 0: as across
  Vec room;                  ///< width and height, mm; its middle is the motif's
  double shift = 0.5;        ///< of a pitch, by which every other row of bricks is shifted
  Turned turned = Turned::p1;
  Edge edge = Edge::whole;
  double radius_mm = 30;        ///< of a ring; its middle lies so far below the motif's
  bool radius_follows = false;  ///< from the number and the gap between shapes
  bool turn = true;             ///< with the ring or path
  std::vector<Polyline> path;   ///< the longest one is taken
};

/// As the values of a "repeat" step say; the path is not among them, and a room of 0 is the sheet's.
[[nodiscard]] CopyOptions copy_options(const Reading& take);

struct Copy {
  int column = 0, row = 0;  ///< of the lattice; the motif's own is (0, 0) where the number is said
  Affine map;               ///< from where the motif is
  bool cut = false;         ///< it reaches over the edge of the room
};

struct Copies {
  std::vector<Copy> copies;  ///< where the room wraps around, one that crosses its edge is there more than once
  Box room;                  ///< empty where there is none
  int columns = 0, rows = 0;
  double pitch_mm = 0, pitch_down_mm = 0;  ///< 0 where there is only one
  double radius_mm = 0;                    ///< of a ring
  Vec left_over;                           ///< of the room across and down, mm; half of it is at either edge
  [[nodiscard]] std::size_t count() const;
};

enum class CopyTrouble { none, no_room, no_path, too_many, no_wrap };

/// Lays copies out. Any two of the room, the number and the distance give the third. Distances between shapes are those
/// of what is drawn (see spacing.hpp); they hold for every pair of copies, not only for neighbours. At most `most`.
/// Where something is wrong, there are no copies and `trouble` says why; `no_wrap` is only a warning.
[[nodiscard]] Copies copies_of(const std::vector<Polyline>& motif, const CopyOptions& options, std::size_t most,
                               CopyTrouble& trouble);

/// What repeating came to.
struct Repeated {
  std::size_t count = 0;
  int columns = 0, rows = 0;
  double pitch_mm = 0, pitch_down_mm = 0, radius_mm = 0;  ///< 0 where there is none
  std::optional<double> between_mm;                       ///< the least there is between shapes
  Vec left_over;                                          ///< of the room, mm
  Box room;                                               ///< empty where there is none
};

/// The least distance between the motif's copies that are next to each other, mm; nothing where there is only one.
[[nodiscard]] std::optional<double> least_between(const std::vector<Polyline>& motif, const Copies& copies);

}  // namespace dotlane
