// HPGL in: what plotters and cutters are driven with, as drawings.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// Whether the bytes begin as HPGL does: with an instruction that such files start with, or an escape to it.
[[nodiscard]] bool looks_like_hpgl(std::string_view bytes);

/// Reads PU PD PA PR, arcs AA AR AT RT, CI, rectangles EA ER RA RR, wedges EW WG, curves BZ BR, polygons PM EP FP,
/// packed polylines PE, pens SP with colours PC, line types LT, and RO IP IR SC IW as far as they place what is drawn.
/// A stretch with the pen down is a line; what meets end to end with the same pen becomes one contour. A unit is
/// 0.025 mm; where SC scales to corners that IP never told, the size is a guess, which is said: each machine has its
/// own. y points down from the top of the drawing, as everywhere here. Labels are reported in `notes`, as is what
/// nobody knows; what only sets the machine (VS, FS, PW...) is passed over. Errors name `file_name`. Instructions as in
/// the HP-GL/2 reference (PCL 5 Printer Language Technical Reference, part two), from memory; hp2xx judges in the
/// tests.
[[nodiscard]] Result<Artwork> read_hpgl(std::string_view bytes, const std::string& file_name,
                                        const ReadOptions& options = {});

}  // namespace dotlane
