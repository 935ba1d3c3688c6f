// How long a pass takes, stroke by stroke, with its tool led as it has to be.
#pragma once

#include "core/plan/plan.hpp"

namespace dotlane {

/// Fills in what follows from the strokes of a pass in their order: length, travel, lifts, seconds and when each stroke
/// ends. `head` is where the head is before, and then where it is afterwards; a blade is turned in where the pass says.
void time_pass(Pass& pass, const Machine& machine, Vec& head);

}  // namespace dotlane
