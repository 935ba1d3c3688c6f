// Rulers along the top and left edge of the bench, in the project's unit.
#pragma once

#include <QPainter>

#include "core/project/project.hpp"
#include "render/theme.hpp"
#include "render/view.hpp"

namespace dotlane {

inline constexpr double kRulerHeight = 22, kRulerWidth = 28;

/// `marked` is shown as a shade on both rulers: where the selection lies. Empty for none.
void paint_rulers(QPainter& painter, const QRectF& area, const View& view, LengthUnit unit, const Box& marked,
                  const Theme& theme);

/// The distance between labelled ticks, in the unit, so that they are at least `min_px` apart.
[[nodiscard]] double ruler_step(double px_per_unit, double min_px, bool inch);

}  // namespace dotlane
