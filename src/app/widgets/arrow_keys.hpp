// Arrow keys as directions.
#pragma once

#include <QPointF>
#include <Qt>
#include <optional>

namespace dotlane {

/// One step the way an arrow key points, y down; nothing for other keys.
[[nodiscard]] inline std::optional<QPointF> arrow(int key) {
  switch (key) {
    case Qt::Key_Left:
      return QPointF(-1, 0);
    case Qt::Key_Right:
      return QPointF(1, 0);
    case Qt::Key_Up:
      return QPointF(0, -1);
    case Qt::Key_Down:
      return QPointF(0, 1);
    default:
      return std::nullopt;
  }
}

}  // namespace dotlane
