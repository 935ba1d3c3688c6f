// Exercises for the simulated cutter: jobs with a fault in them, easy ones first. Who learns looks at plan and outcome,
// finds the cause, mends the project and runs it again.
#pragma once

#include <string_view>
#include <vector>

#include "core/project/project.hpp"
#include "core/said.hpp"

namespace dotlane {

struct Exercise {
  std::string_view id;  ///< "drawn-and-cut"; its words are "trainer/ID", "trainer-story/ID" and "trainer-hint/ID"
  int level = 1;        ///< 1 to 3
  Figures figures{};    ///< of its story: what somebody measured
};
/// At least twelve, in the order in which they are best done.
[[nodiscard]] const std::vector<Exercise>& exercises();
[[nodiscard]] const Exercise* find_exercise(std::string_view id);
[[nodiscard]] Said title_of(const Exercise& exercise);
[[nodiscard]] Said story_of(const Exercise& exercise);
[[nodiscard]] Said hint_of(const Exercise& exercise);

/// What an exercise is made of.
struct Lesson {
  Project start;          ///< with the fault
  Project goal;           ///< what is wanted: only what its plan leaves on the mats counts
  Project real;           ///< what tools, machine and stock are like
  bool anywhere = false;  ///< it may lie elsewhere on its sheet than in the goal
};
[[nodiscard]] Lesson lesson_of(const Exercise& exercise);

}  // namespace dotlane
