// Letterforms and words as small pictures, for lists and pickers.
#pragma once

#include <QPainter>
#include <QPainterPath>

#include "core/geometry/path.hpp"

namespace dotlane {

/// The path as Qt draws it, closed outlines filled by the path's rule.
[[nodiscard]] QPainterPath painter_path(const Path& path, const Affine& map = {});

/// Fills outlines, or draws strokes, as large as the box allows but no larger than `largest` px to the unit.
void paint_letters(QPainter& painter, const QRectF& box, const Path& path, bool strokes, const QColor& ink,
                   double largest, Qt::Alignment align);

}  // namespace dotlane
