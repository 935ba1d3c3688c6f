// Fills: what a pen, a foil tip or an engraving tip follows to colour a region in.
#pragma once

#include <optional>
#include <string>

#include "core/error.hpp"
#include "core/geometry/region.hpp"
#include "core/shape/fill/strokes.hpp"

namespace dotlane {

enum class FillPattern {
  hatch,    ///< parallel strokes, each by itself
  cross,    ///< two hatches across one another
  zigzag,   ///< a hatch joined along the edge
  contour,  ///< nested insets
  spiral,   ///< nested insets in one sweep
  grid,     ///< squares
  rules,    ///< lines to write on, the first one spacing below the top
  dots,
  stipple,  ///< dots strewn at random
};

/// What a second pass over the same region does differently.
enum class SecondCoat { none, shifted, turned };

/// Lengths mm, angles degrees counter-clockwise.
struct FillOptions {
  FillPattern pattern = FillPattern::hatch;
  double spacing = 0.5;     ///< between strokes; of a grid its squares; cost grows as this shrinks
  double angle = 20;        ///< of the strokes
  double cross_angle = 90;  ///< cross: of the second hatch, from the first
  double phase = 0;         ///< a shift across the strokes, in spacings
  double inset = 0.4;       ///< kept clear along the edge; half the tip keeps ink inside
  double join = 3;          ///< zigzag, cross: ends are joined along the edge up to this far; 0 = never
  double shortest = 0.3;    ///< strokes shorter than this are left out; touches are never too short
  bool edge = false;        ///< a stroke along the edge of what is filled too; contour and spiral have it anyway
  std::uint64_t seed = 1;   ///< stipple
  SecondCoat second = SecondCoat::none;  ///< shifted: by half a spacing; turned: by a right angle
  friend bool operator==(const FillOptions&, const FillOptions&) = default;
};

/// A fill that would take more strokes than this is refused.
inline constexpr double kMostStrokes = 8e6;

/// About how many strokes the fill would have (within a factor of two or so), for free.
[[nodiscard]] double expected_strokes(const Region& region, const FillOptions& options);

/// The strokes of one coat (0, or 1 for the second one), all inside the region less its inset; never closer to its edge
/// than the inset less 1 µm. Every stroke's part() is its place in parts_of(region). The error says that it would be
/// too many strokes.
[[nodiscard]] Result<Strokes> fill(const Region& region, const FillOptions& options, int coat = 0);

/// A place well inside the region: the middle of the longest of a few level lines across it. The region must not be
/// empty.
[[nodiscard]] Vec inner_point(const Region& region);

/// The parts of the region (their places in parts_of()) that none of these strokes fills.
[[nodiscard]] std::vector<std::size_t> unfilled(std::size_t parts, const Strokes& strokes);

}  // namespace dotlane
