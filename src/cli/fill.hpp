// What `shape fill` reports beside what every step does.
#pragma once

#include <optional>

#include "cli/report.hpp"

namespace dotlane::cli {

/// Figures of all fill steps of these pieces together: strokes, lifts, length_mm, travel_mm, seconds, coverage (0 to 1,
/// counted in cells of cell_mm), outside_mm2, largest_gap_mm, unfilled (ids of lines with a part that got no stroke).
/// `tip_mm` stands in for the width of the tool's tip.
[[nodiscard]] Json fill_report(const Project& project, const std::vector<int>& pieces, std::optional<double> tip_mm);

/// One line for a person.
[[nodiscard]] std::string fill_text(const Json& report);

}  // namespace dotlane::cli
