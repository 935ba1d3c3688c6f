// Whether a run left what was wanted, point by point: by the marks on the mats, by the order in which they came, and by
// the checks.
#pragma once

#include "core/job/physics.hpp"
#include "core/job/rehearsal.hpp"
#include "core/road.hpp"
#include "core/trainer/exercise.hpp"

namespace dotlane {

/// The cutter of a lesson, for what somebody tried: made as the lesson says, with its stock on the mats.
[[nodiscard]] Physics physics_of(const Lesson& lesson, const Project& tried);

struct Verdict {
  struct Point {
    Said said;
    bool holds = false;
  };
  std::vector<Point> points;  ///< always the same ones, whatever the exercise: nothing gives its fault away
  [[nodiscard]] bool passed() const;
};

/// `job` is made from what was tried, `record` is what came of it on the lesson's cutter.
[[nodiscard]] Verdict judge(const Lesson& lesson, const Derived& tried, const Job& job, const RunRecord& record);

/// All at once: plans, runs and judges.
[[nodiscard]] Verdict judge(const Lesson& lesson, const Project& tried);

}  // namespace dotlane
