// How parts come to lie on stock: what a person says about parts, sheets and the shelf. Parts themselves are worked out
// (core/layout/parts.hpp); here is what is remembered of them.
#pragma once

#include <array>
#include <cstddef>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/geometry/vec.hpp"
#include "core/project/recipe.hpp"

namespace dotlane {

/// What a part is known by: the contour that makes it one.
struct PartKey {
  int piece = 0;
  std::string line;         ///< empty in the record of a part that is not there now
  std::size_t contour = 0;  ///< in the line's path
  friend auto operator<=>(const PartKey&, const PartKey&) = default;
};

/// Where a copy of a part lies. It is turned and moved, never sized or mirrored.
struct Place {
  int copy = 1;         ///< from 1
  int sheet = 0;        ///< sheet id; 0: it waits
  double turn_deg = 0;  ///< counter-clockwise as seen; at 0 the part's piece stands upright on the sheet
  Vec at;               ///< the part's centre, mm from the sheet's top left corner
  bool pinned = false;  ///< nothing but a hand moves it
  Unknown unknown{};
  friend bool operator==(const Place&, const Place&) = default;
};

inline constexpr int kMostCopies = 1000;  ///< of one part

/// What is remembered of a part: by what it is found again after an edit, how many are made, where they lie.
struct PartRecord {
  PartKey key;
  /// As it was when it was last seen, in the upright frame of its piece: moving or turning the piece changes neither.
  Vec centre;
  double area_mm2 = 0;
  int copies = 1;
  std::vector<Place> places;  ///< at most one for each copy
  int together = 0;           ///< parts with the same number here are turned and moved as one; 0: on its own
  std::vector<int> not_now;   ///< copies that are left out of the run, in order
  std::vector<int> in_place;  ///< copies that have been put in their place in the figure, in order
  Unknown unknown{};
  friend bool operator==(const PartRecord&, const PartRecord&) = default;
};

/// Where parts of a stock lie that have no place of their own.
enum class LaidOut {
  as_drawn,  ///< as in the figure, onto which each sheet is a window
  packed,    ///< nowhere yet: packing finds a place
  by_hand,   ///< nowhere yet: a hand does
};
inline constexpr std::array kLaidOut{LaidOut::as_drawn, LaidOut::packed, LaidOut::by_hand};
/// As files and the command line say it.
[[nodiscard]] constexpr std::string_view word(LaidOut way) {
  constexpr std::array<std::string_view, 3> words{"as-drawn", "packed", "by-hand"};
  return words[static_cast<std::size_t>(way)];
}

/// Which way a stock's grain runs on its sheets. Parts stand upright along it, or upside down.
enum class Grain { none, upright, across };
inline constexpr std::array kGrains{Grain::none, Grain::upright, Grain::across};
[[nodiscard]] constexpr std::string_view word(Grain grain) {
  constexpr std::array<std::string_view, 3> words{"none", "upright", "across"};
  return words[static_cast<std::size_t>(grain)];
}

/// Closed runs of points, mm, that enclose an area by the even-odd rule: an outline, and holes in it.
using Outline = std::vector<std::vector<Vec>>;

/// A sheet of stock lying on a mat.
struct Sheet {
  int id = 0;
  std::string stock;
  int load = 1;          ///< which mat load it is on: sheets of one load are run together
  Box area;              ///< mm on the mat; of a scrap, the box around it
  Vec window;            ///< the place in the figure that is at the sheet's top left corner, for what lies as drawn
  Outline outline;       ///< of a scrap, mm from the top left corner of its box; empty: the sheet is its whole box
  int shelf = 0;         ///< id of what it is taken from on the shelf; 0: nobody said
  bool not_now = false;  ///< left out of the run
  bool printed =
      false;  ///< printed first, with marks by which the cutter finds the print (core/layout/print_marks.hpp)
  Unknown unknown{};
  [[nodiscard]] Box seen() const { return Box::of(window.x, window.y, area.width(), area.height()); }
  friend bool operator==(const Sheet&, const Sheet&) = default;
};

/// How parts are to be laid out.
struct LaySettings {
  double gap_mm = 2;          ///< kept between parts
  double turn_step_deg = 15;  ///< parts are turned by whole steps of so many degrees; 0: not at all
  double bleed_mm = 2;        ///< what is printed to an edge that is cut runs on so far beyond it
  std::string number_tool;    ///< rack id of what draws each part's number beside it; empty: nobody does
  bool top_first = false;     ///< put together from the top layer, as transfers are, not from the back layer up
  Unknown unknown{};
  friend bool operator==(const LaySettings&, const LaySettings&) = default;
};

/// What is owned: sheets of one size, or a scrap.
struct ShelfItem {
  int id = 0;
  std::string stock;
  double width_mm = 0, height_mm = 0;  ///< of a scrap, the box around it
  std::optional<int> count;            ///< nothing: as many as are wanted
  Outline outline;                     ///< of a scrap, mm from the top left corner of its box; else empty
  std::string from;                    ///< where it came from, for people
  double price = 0;                    ///< of one sheet, or of the scrap, in the user's money; 0: nobody said
  Unknown unknown{};
  friend bool operator==(const ShelfItem&, const ShelfItem&) = default;
};

}  // namespace dotlane
