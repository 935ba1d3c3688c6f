// Small painted things: icons with a role's glyph, a colour's swatch, a lock.
#pragma once

#include <QIcon>
#include <QLabel>

#include "core/project/project.hpp"

namespace dotlane {

[[nodiscard]] QIcon role_icon(Role role, const QColor& color);
[[nodiscard]] QIcon swatch_icon(const QColor& color);
[[nodiscard]] QIcon holder_icon(int holder);
[[nodiscard]] QIcon lock_icon(bool locked, const QColor& color);
[[nodiscard]] QIcon eye_icon(bool open, const QColor& color);

/// A label that shows a heading in quiet semi-bold, or text of another kind.
[[nodiscard]] QLabel* make_label(const QString& text, const char* kind, QWidget* parent);
/// A hairline across a panel.
[[nodiscard]] QWidget* make_line(QWidget* parent);

}  // namespace dotlane
