// A small picture of a whole project, as it lies: for the shelf of projects, and for file managers.
#pragma once

#include <QImage>

#include "core/project/drawing.hpp"
#include "render/theme.hpp"

namespace dotlane {

/// The figure as large as the size allows, on ground that can be seen through. Empty pixels where nothing is drawn.
[[nodiscard]] QImage project_picture(const Project& project, const Drawing& drawing, QSize size);

/// A piece alone, in a frame.
[[nodiscard]] QImage piece_picture(const Project& project, const DrawnPiece& piece, QSize size, const Theme& theme);

}  // namespace dotlane
