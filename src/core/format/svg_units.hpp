// The small languages inside SVG attributes: lengths with units, viewports, transform lists.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/geometry/vec.hpp"

namespace dotlane {

inline constexpr double kPxPerInch = 96;  ///< CSS Values and Units 4, section 6.2

struct SvgLength {
  double value = 0;
  std::string unit;  ///< lower case; "" for bare numbers
};

/// A number with whatever follows it as its unit; nothing when there is no number.
[[nodiscard]] std::optional<SvgLength> parse_svg_length(std::string_view text);

/// CSS px per unit for absolute units (in, cm, mm, q, pt, pc, px, none), nothing for others.
[[nodiscard]] std::optional<double> px_per(std::string_view unit);

/// True for units that say something about paper: px and bare numbers do not.
[[nodiscard]] bool is_physical(std::string_view unit);

/// The map from viewBox units to a viewport of this size, as preserveAspectRatio asks (SVG 2, section 8.2).
[[nodiscard]] Affine fit_view_box(const Box& box, double width, double height, std::string_view aspect);

/// A transform attribute: matrix, translate, scale, rotate, skewX and skewY, in any number. The result is finite.
[[nodiscard]] Result<Affine> parse_transform(std::string_view text);

}  // namespace dotlane
