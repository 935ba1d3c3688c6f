// The handles of the frame around what is selected: eight that size it, one that turns it.
#pragma once

#include <QPainter>
#include <optional>

#include "core/geometry/vec.hpp"
#include "render/theme.hpp"

namespace dotlane {

struct Handle {
  Vec anchor;  ///< the opposite place in the frame, 0..1 each way
  bool across = false, along = false;
  bool turns = false;
  Qt::CursorShape cursor = Qt::ArrowCursor;
};

/// The handle within reach of a place on the screen.
[[nodiscard]] std::optional<Handle> handle_at(const QRectF& frame, QPointF at);
/// Where the turning knob of a frame is.
[[nodiscard]] QPointF turn_knob(const QRectF& frame);
void paint_turn_knob(QPainter& p, const QRectF& frame, const Theme& theme);
void paint_handles(QPainter& p, const QRectF& frame, const Theme& theme);

}  // namespace dotlane
