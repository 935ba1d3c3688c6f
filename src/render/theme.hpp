// The look: colours, type and the words of the eye. One place for all of it.
#pragma once

#include <QColor>
#include <QFont>

#include "core/color.hpp"

namespace dotlane {

struct Theme {
  bool dark = false;
  QColor ground, panel, hairline, ink, quiet, accent, accent_soft, hands, hands_soft, serious, serious_soft;
  QColor mat, mat_edge, mat_dot, field;
};

[[nodiscard]] const Theme& light_theme();
[[nodiscard]] const Theme& dark_theme();

/// Registers the fonts that ship with Dot Lane; harmless when called again.
void load_fonts();

/// The interface face at this pixel size.
[[nodiscard]] QFont ui_font(double px, bool semibold = false);

[[nodiscard]] inline QColor to_qcolor(Color c) { return {c.r, c.g, c.b}; }
[[nodiscard]] inline Color to_color(const QColor& c) {
  return {static_cast<std::uint8_t>(c.red()), static_cast<std::uint8_t>(c.green()),
          static_cast<std::uint8_t>(c.blue())};
}

/// Contrast ratio after WCAG 2.2, 1 to 21.
[[nodiscard]] double contrast(Color a, Color b);

}  // namespace dotlane
