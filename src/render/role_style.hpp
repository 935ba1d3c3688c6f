// How roles and holders are told apart: a glyph and a line pattern first, a colour second.
#pragma once

#include <QPainter>

#include "core/project/project.hpp"
#include "render/theme.hpp"

namespace dotlane {

/// The role's mark, centred, about `size` px high: cut = filled triangle, score = double chevron, draw = open ring,
/// foil = open diamond, engrave = three bars, print = soft square, guide = three dots.
void paint_role_glyph(QPainter& painter, QPointF centre, Role role, const QColor& color, double size = 10);

/// A holder's mark: its number in a rounded square.
void paint_holder(QPainter& painter, const QRectF& box, int holder, const Theme& theme);

/// The role's own colour on a light or dark ground; draw lines take the ink of their tool instead.
[[nodiscard]] QColor role_color(Role role, bool on_dark);

/// The colour a tool leaves on a stock: its ink; engraving frosts what is clear, and shows darker on light stock and
/// lighter on dark.
[[nodiscard]] QColor mark_color(const Tool& tool, Role role, const Stock* stock);

/// The colour of a line of this role on this stock: the ink for draw, lifted where it could not be seen.
[[nodiscard]] QColor line_color(Role role, Color ink, Color ground);

/// A cosmetic pen with the role's pattern; px. Foil is painted twice: a wide pen, then the ground inside it.
[[nodiscard]] QPen role_pen(Role role, const QColor& color);

}  // namespace dotlane
