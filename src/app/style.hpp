// The theme in use and the style sheet made from it.
#pragma once

#include <QWidget>

#include "render/theme.hpp"

class QComboBox;

namespace dotlane {

/// The theme all windows paint with.
[[nodiscard]] const Theme& theme();

/// Switches the theme: sets palette, font and style sheet of the application and repaints every window.
void use_theme(bool dark, const QColor& mat = {});

/// Gives a widget one of the style sheet's kinds ("pill", "primary", "quiet", "heading", "card", ...).
void set_kind(QWidget* widget, const char* kind);
/// A box that is as narrow as its panel, however long its entries are.
void keep_narrow(QComboBox* box);

}  // namespace dotlane
