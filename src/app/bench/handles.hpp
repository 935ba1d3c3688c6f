// The handles of the frame around what is selected: eight that size it, one that turns it, two that slant it, two that
// mirror it, and the middle that it is turned and mirrored about.
#pragma once

#include <QPainter>
#include <optional>

#include "core/geometry/vec.hpp"
#include "render/theme.hpp"

namespace dotlane {

struct Handle {
  enum class Does { size, turn, slant, mirror, middle };
  Does does = Does::size;
  bool across = false, along = false;  ///< which way it sizes, slants or mirrors
  Vec anchor{};                        ///< of those that size: the opposite place in the frame, 0..1 each way
  Qt::CursorShape cursor = Qt::ArrowCursor;
  QPointF at{};  ///< px from its place in the frame, for those beside it
  Vec place{};   ///< in the frame, 0..1 each way
};

/// The handle within reach of a place on the screen; `middle` is where the frame is turned about, px, where that shows.
[[nodiscard]] std::optional<Handle> handle_at(const QRectF& frame, std::optional<QPointF> middle, QPointF at);
/// What a handle does, for people.
[[nodiscard]] QString handle_text(const Handle& handle);
/// Where the turning knob of a frame is.
[[nodiscard]] QPointF turn_knob(const QRectF& frame);
void paint_turn_knob(QPainter& p, const QRectF& frame, const Theme& theme);
void paint_handles(QPainter& p, const QRectF& frame, std::optional<QPointF> middle, const Theme& theme);

}  // namespace dotlane
