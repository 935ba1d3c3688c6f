// Figures read off a path: bounds, length, enclosed area.
#pragma once

#include "core/geometry/path.hpp"

namespace dotlane {

/// The tight box of the curve itself (not of its control points) where a map puts it, without any stroke width; mm.
[[nodiscard]] Box bounds_of(const Path& path, const Affine& map = {});

/// Arc length of all contours, mm. Curves are integrated (Gauss-Legendre, halved until two levels agree to 1e-7).
[[nodiscard]] double length_of(const Path& path);

/// What the closed contours enclose together under the path's fill rule, mm². Open contours enclose nothing.
/// Curves are flattened within 0.05 µm and united on a 0.1 µm grid: an error of about 0.1 µm times the outline's
/// length.
[[nodiscard]] double enclosed_area_of(const Path& path);

}  // namespace dotlane
