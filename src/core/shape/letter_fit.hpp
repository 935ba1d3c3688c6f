// How the letters of a lettering stand to each other: what touches, what closes, and how far to shift what does not.
#pragma once

#include <optional>

#include "core/geometry/region.hpp"
#include "core/shape/lettering.hpp"

namespace dotlane {

/// What joined letters need. Lengths in mm of the lettering itself.
struct FitLimits {
  double neck = 0.4;       ///< letters that touch share at least this length
  double counter_mm2 = 2;  ///< a counter may not fall under this, or under half of what it was when that is less
};

/// Two letters that stand beside each other in a word: indices into Lettering::letters, left one first.
struct LetterPair {
  std::size_t left = 0, right = 0;
};

struct PairFit {
  LetterPair pair;
  bool touches = true;
  double gap = 0;  ///< between the outlines, mm; 0 where they meet
  /// The counter that suffers most: what is left of it when this pair overlaps.
  struct Counter {
    std::size_t letter = 0;
    double was_mm2 = 0, left_mm2 = 0;
  };
  std::optional<Counter> closed;
};

/// Neighbours in the words, line by line.
[[nodiscard]] std::vector<LetterPair> neighbours(const Lettering& lettering);

/// The area of every letter where it stands, mm; empty for blanks. Letters of the same form are worked out once.
[[nodiscard]] std::vector<Region> letter_regions(const Lettering& lettering);

/// How every pair stands.
[[nodiscard]] std::vector<PairFit> pair_fits(const Lettering& lettering, const std::vector<Region>& regions,
                                             const FitLimits& limits);

/// By how much to shift the right letter along the baseline (mm, negative = closer) so that the pair touches and keeps
/// its counters: the least shift that does. Nothing when there is none.
[[nodiscard]] std::optional<double> mending_shift(const Lettering& lettering, const std::vector<Region>& regions,
                                                  const LetterPair& pair, const FitLimits& limits);

/// The lettering closed up, or opened, so that every word is one piece and no counter is lost: by letter spacing alone
/// where one spacing suits all pairs (the one nearest to today's), else pair by pair. Nothing needs to change when it
/// fits already. The error names the pairs for which nothing helps.
[[nodiscard]] Result<Values> closed_up(const Values& values, const FitLimits& limits);

/// The values with this much more space before the letter, mm.
[[nodiscard]] Values with_space_before(Values values, const Lettering& lettering, std::size_t letter, double by);

/// Its characters.
[[nodiscard]] std::string name_of(const Lettering& lettering, std::size_t letter);

/// The shortest distance between the outlines, mm; 0 when the areas meet, infinity when one is empty.
[[nodiscard]] double distance_between(const Region& a, const Region& b);

}  // namespace dotlane
