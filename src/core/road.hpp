// The whole road in one call: what a project resolves to, up to its findings.
#pragma once

#include <functional>

#include "core/check/checks.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

struct Derived {
  Project project;  ///< what all the rest follows from
  Drawing drawing;
  Layout layout;
  Plan plan;
  std::vector<Finding> findings;
};

/// Evaluates, lays out, plans and checks the project.
[[nodiscard]] inline Derived derive(const Project& project, DrawingCache& cache) {
  Derived d;
  d.project = project;
  d.drawing = evaluate(project, cache);
  d.layout = lay_out(project, d.drawing);
  d.plan = make_plan(project, d.layout);
  d.findings = check(project, d.drawing, d.layout, d.plan);
  return d;
}

/// The same with better orders of strokes, where they are found. What is found out of them stays.
[[nodiscard]] inline Derived with_better_order(Derived d, std::function<bool()> stop = {}) {
  Plan better = make_plan(d.project, d.layout, thorough(d.plan, std::move(stop)));
  if (better.seconds < d.plan.seconds) d.plan = std::move(better);
  return d;
}

}  // namespace dotlane
