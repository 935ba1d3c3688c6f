// DXF in: what other drawing programs hand over, R12 to 2018, as text.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// Reads LINE, LWPOLYLINE and POLYLINE with bulges, ARC, CIRCLE, ELLIPSE, SPLINE, SOLID, TRACE and 3DFACE, INSERT with
/// rows and columns, nested, with layers, colours by layer and block, line types (dashed or not) and extrusion
/// directions. Lines and arcs that meet end to end on a layer become one contour. $INSUNITS states the size; where it
/// says nothing, a millimetre is assumed and that is asked about. y points down from the top of the drawing, as
/// everywhere here. Text, points, pictures, hatches, what is hidden and what nobody knows are reported in `notes`.
/// A number that cannot be read counts as not given. Errors name `file_name` and the line.
///
/// A reader of our own: the format is pairs of lines, and Debian's libraries for it hand out entities without
/// resolving units, blocks or colours, do not say where something is wrong, and one of them had its memory overrun by
/// hostile files. The tests read what we write, and write what we read, with ezdxf, which is not ours.
[[nodiscard]] Result<Artwork> read_dxf(std::string_view bytes, const std::string& file_name,
                                       const ReadOptions& options = {});

/// The colour of an index of the format's own palette (1 to 255); black where a screen shows white on black.
[[nodiscard]] Color dxf_color(int index);
/// The index whose colour is nearest.
[[nodiscard]] int nearest_dxf_color(Color color);

}  // namespace dotlane
