// The basic shapes of SVG (path, rect, circle, ellipse, line, polyline, polygon) as curves.
#pragma once

#include "core/format/svg_document.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// In the element's own units; `scale` is the largest mm per unit. Empty where SVG draws nothing.
[[nodiscard]] Path svg_shape(SvgDocument& document, pugi::xml_node node, std::string_view name, SvgViewport viewport,
                             double scale);

}  // namespace dotlane
