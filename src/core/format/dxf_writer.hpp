// DXF out, as of R2000: what other drawing and cutting programs read.
#pragma once

#include <string>

#include "core/plan/selection.hpp"

namespace dotlane {

/// The plan's lines, mm on the mat with y up from its lower edge, on a layer for each role ("cut", "score"...; with the
/// number of the sheet where there are several) in its colour; lines that no pass runs on layers of theirs. Contours of
/// straight lines are LWPOLYLINEs, all others one SPLINE of degree 3 each, which is exact.
[[nodiscard]] std::string write_dxf(const Project& project, const Layout& layout, const Plan& plan,
                                    const ExportSelection& selection = {});

}  // namespace dotlane
