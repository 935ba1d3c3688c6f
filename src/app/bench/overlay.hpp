// What the bench writes over the art: names of sheets, live sizes, a word of welcome.
#pragma once

#include <QPainter>

#include "core/shape/step_handles.hpp"
#include "render/view.hpp"

namespace dotlane {

/// Stock and size of each sheet of the mat load: below it where there is room on the mat, else inside it.
void paint_sheet_names(QPainter& painter, const View& view, const Project& project, int load);

/// A rounded label in the accent colour, kept inside the canvas.
void paint_pill(QPainter& painter, const QString& text, QPointF centre, const QRectF& canvas);

/// Width above and height beside a frame (px), as pills that stay inside `canvas`.
void paint_size_pills(QPainter& painter, const QRectF& frame, const Box& size, LengthUnit unit, const QRectF& canvas);

/// What copies fill, and a handle that sets a value of a step.
void paint_room(QPainter& painter, const View& view, const std::vector<Vec>& room);
/// Seams in sight as lines, those that upper layers hide as dots.
void paint_seams(QPainter& painter, const View& view, const std::vector<SeamStretch>& seams);
inline constexpr double kStepHandlePx = 6;
void paint_step_handle(QPainter& painter, QPointF at, const StepHandle& handle, bool held);
/// What the handle's value is now: "every 22.0 mm", "12 across".
/// Whether it is the one that is dragged: bridges are known by the place that they are set at.
[[nodiscard]] bool same_handle(const StepHandle& now, const StepHandle& dragged);
/// A ring around a place that a finding names.
void paint_place(QPainter& painter, QPointF at);
[[nodiscard]] QString step_text(const Drawing& drawing, const StepHandle& handle, LengthUnit unit);

/// A link from what is held to what holds it.
void paint_link(QPainter& painter, QPointF from, QPointF to, bool selected);
/// How far something is being turned, beside the pointer.
void paint_turn(QPainter& painter, QPointF at, double degrees, const QRectF& canvas);
/// What clicks mean just now.
void paint_hint(QPainter& painter, const QString& text, const QRectF& canvas);
/// What to do first, where nothing lies on the bench yet.
void paint_empty_bench(QPainter& painter, const QRectF& canvas);

}  // namespace dotlane
