// How many sheets a figure takes at several sizes, as it is and with lower layers trimmed.
#pragma once

#include <functional>
#include <optional>

#include "core/layout/how_big.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

/// The figure as it is, or with all that upper layers hide trimmed away but for kTuckMm; with how big it may be then.
struct School {
  bool trimmed = false;
  Project project;
  Drawing drawing;
  Layout layout;
  HowBig big;
};
/// As it is; and trimmed, where that changes anything.
[[nodiscard]] std::vector<School> schools_of(const Project& project, DrawingCache& cache);

struct SizePoint {
  double scale = 0;                           ///< share of its size today
  std::map<std::string, std::size_t> sheets;  ///< by stock
  [[nodiscard]] std::size_t total() const;
};

/// Sheets at sizes from a quarter of the largest that fits up to that, of so many evenly spaced ones those between
/// which the count changes, and today's. Each is told as it is there, in no order; it ends early when `stop` says so.
void size_curve(const School& school, std::size_t points, const std::function<void(const SizePoint&)>& tell,
                const std::function<bool()>& stop);

/// The largest scale, to half a percent of the largest that fits, that takes no more than so many sheets in all;
/// nothing where even a quarter of that takes more. Sheets are counted by a first good packing, so that now and then a
/// little more would do.
[[nodiscard]] std::optional<SizePoint> largest_for(const School& school, std::size_t sheets,
                                                   const std::function<bool()>& stop);

}  // namespace dotlane
