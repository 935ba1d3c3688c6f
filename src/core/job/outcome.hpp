// What a run left on the mats, held against what was planned.
#pragma once

#include <map>
#include <vector>

#include "core/job/job.hpp"
#include "core/job/run_record.hpp"

namespace dotlane {

struct OutcomeReport {
  double most_mm = 0, mean_mm = 0;  ///< how far marks lie from the courses that they were to follow
  Vec worst;                        ///< where that is most, mm on the mat
  int worst_mat = 1;
  std::size_t worst_pass = npos;                 ///< index into the plan's passes
  std::size_t made = 0, twice = 0, missing = 0;  ///< strokes: whole and once, some of it again, some of it not
  std::size_t corners_rounded = 0;   ///< turns of over 30 degrees that are missed by kRounded more than the rest
  double gaps_mm = 0, twice_mm = 0;  ///< of courses without a mark, and of those marked again
  double weak_mm = 0, deep_mm = 0;   ///< of marks: not through, and into the mat
};

inline constexpr double kRounded = 0.1;
/// Of what it takes to go just through. A blade that is given half as much again scars the mat: common practice, no
/// published source.
inline constexpr double kThrough = 0.99, kScars = 1.5;

/// Marks belong to their instructions, so lines that cross or lie close are not taken for each other. Marks on printed
/// sheets are held against where their marks were found.
[[nodiscard]] OutcomeReport compare(const Job& job, const RunRecord& record);

}  // namespace dotlane
