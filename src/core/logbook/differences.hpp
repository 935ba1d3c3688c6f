// Two runs beside each other: what was set otherwise, and which came out better.
#pragma once

#include "core/logbook/logged_run.hpp"
#include "core/said.hpp"

namespace dotlane {

/// Codes with what it was and what it became; the last one says how they came out.
[[nodiscard]] Sayings differences(const LoggedRun& before, const LoggedRun& after);

}  // namespace dotlane
