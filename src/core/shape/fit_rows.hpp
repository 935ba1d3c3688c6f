// Words that fill a shape: rows of contours, each as large as the room it finds.
#pragma once

#include <optional>
#include <utility>
#include <vector>

#include "core/geometry/region.hpp"

namespace dotlane {

/// A row of what is fitted, and the room that was found for it: as wide as the region is all along its height.
struct FittedRow {
  Box was, room;
  Vec middle;  ///< in the room; `left_of` and `right_of` look for the region's edges from here
  /// Keeps proportions: the room is as wide to its height as the row was.
  [[nodiscard]] Affine map() const;
};

/// The boxes' indices row by row, from the top: boxes that share some of their height are one row.
[[nodiscard]] std::vector<std::vector<std::size_t>> rows_of(const std::vector<Box>& boxes);

/// Places rows under each other within the region, `gap` mm apart, each as wide as there is room for, such that the
/// product of their heights is as large as any of 120 starts gives, but rather in the middle than beside it. Empty
/// where they find no room.
[[nodiscard]] std::vector<FittedRow> fit_rows(const std::vector<Box>& rows, const Region& region, double gap);

/// Where the region ends to the left and right of the middle, at this height; nothing outside of it.
[[nodiscard]] std::optional<std::pair<double, double>> room_at(const Region& region, double middle, double y);

/// The point of the row carried to where it is when the row is bent to the region's edges.
[[nodiscard]] Vec bent(const FittedRow& row, const Region& region, Vec at);

}  // namespace dotlane
