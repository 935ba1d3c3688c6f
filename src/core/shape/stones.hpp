// Where stones and studs sit in a template: along lines, or all over a shape.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/geometry/region.hpp"

namespace dotlane {

/// How wide a stone of this size is, mm: "ss6", "ss10", "ss16", "ss20", "ss30". The middle of what sellers' charts give
/// (1.9-2.1, 2.7-2.9, 3.8-4.0 to 4.2, 4.6-4.8 to 5.0, 6.3-6.5): common practice, from memory, no published source.
/// Nothing for others.
[[nodiscard]] std::optional<double> stone_across(const std::string& size);

/// More are not made.
inline constexpr std::size_t kMostStones = 20'000;

/// Places along the lines, as many as leave `pitch` mm between any two, evenly by length on each line: at both ends of
/// open ones. Where lines come nearer to each other than that, the later ones give way.
/// Nothing where there would be more than kMostStones.
[[nodiscard]] std::optional<std::vector<Vec>> stones_along(const std::vector<Polyline>& lines, double pitch);

/// Places in rows, those of one between those of the next, all within the region: the most that any of 48 shifts of the
/// rows gives, `pitch` mm apart. Nothing where there would be more than kMostStones. O(rows x crossings).
[[nodiscard]] std::optional<std::vector<Vec>> stones_all_over(const Region& region, double pitch);

}  // namespace dotlane
