// How far what was cut on a printed sheet came to lie from where the print asks for it.
#pragma once

#include "core/job/mark_sensor.hpp"
#include "core/job/run_record.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {

struct OffPrint {
  double most_mm = 0, mean_mm = 0;  ///< of places along the marks, a millimetre apart
  Vec worst;                        ///< mm on the mat
  double marked_mm = 0;             ///< how much was looked at
};

/// Marks on the sheet against the strokes planned for it, moved as the print truly lies. `area` is the sheet's, as
/// planned. Nothing is looked at where the run marked nothing there.
[[nodiscard]] OffPrint off_print(const Plan& plan, const RunRecord& record, const PrintedSheet& printed,
                                 const Box& area);

}  // namespace dotlane
