// The whole road in one call: what a project resolves to, up to its findings.
#pragma once

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

}  // namespace dotlane
