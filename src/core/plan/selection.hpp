// Part of a plan, for exports.
#pragma once

#include "core/plan/plan.hpp"

namespace dotlane {

/// What of a plan to take; 0 = all.
struct ExportSelection {
  int sheet = 0;  ///< sheet id
  int pass = 0;   ///< pass index, from 1
  [[nodiscard]] bool takes(const Pass& p) const {
    return (sheet == 0 || p.sheet == sheet) && (pass == 0 || p.index == pass);
  }
};

/// The plan with only the passes that the selection takes. Pauses stay where a tool or mat that is still needed goes
/// in; what must be loaded before the first remaining pass becomes the first loading. Times are left as planned.
[[nodiscard]] Plan select(const Plan& plan, const ExportSelection& selection);

}  // namespace dotlane
