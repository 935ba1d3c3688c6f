#include "core/format/svg_units.hpp"

#include <array>
#include <numbers>

#include "core/text_scan.hpp"

namespace dotlane {

std::optional<SvgLength> parse_svg_length(std::string_view text) {
  TextScan in(trimmed(text));
  const auto v = in.number();
  if (!v) return std::nullopt;
  return SvgLength{*v, lower_case(trimmed(in.rest()))};
}

std::optional<double> px_per(std::string_view unit) {
  if (unit.empty() || unit == "px") return 1;
  if (unit == "in") return kPxPerInch;
  if (unit == "mm") return kPxPerInch / 25.4;
  if (unit == "cm") return kPxPerInch / 2.54;
  if (unit == "q") return kPxPerInch / 101.6;
  if (unit == "pt") return kPxPerInch / 72;
  if (unit == "pc") return kPxPerInch / 6;
  return std::nullopt;
}

bool is_physical(std::string_view unit) { return !unit.empty() && unit != "px" && px_per(unit).has_value(); }

Affine fit_view_box(const Box& box, double width, double height, std::string_view aspect) {
  double sx = width / box.width(), sy = height / box.height();
  double dx = 0, dy = 0;
  if (aspect.find("none") == std::string_view::npos) {
    const double s = aspect.find("slice") != std::string_view::npos ? std::max(sx, sy) : std::min(sx, sy);
    sx = sy = s;
    // "Min" leaves the spare room behind, "Max" before, "Mid" (the default) shares it.
    auto share = [&](std::string_view low, std::string_view high) {
      if (aspect.find(low) != std::string_view::npos) return 0.0;
      return aspect.find(high) != std::string_view::npos ? 1.0 : 0.5;
    };
    dx = share("xMin", "xMax") * (width - box.width() * s);
    dy = share("YMin", "YMax") * (height - box.height() * s);
  }
  return {sx, 0, 0, sy, dx - box.x0 * sx, dy - box.y0 * sy};
}

namespace {

/// One function of a transform list, or nothing when its name or the count of its numbers is wrong.
std::optional<Affine> transform_function(std::string_view kind, const std::array<double, 6>& v, std::size_t n) {
  auto slope = [&] { return std::tan(v[0] * std::numbers::pi / 180); };
  if (kind == "matrix" && n == 6) return Affine{v[0], v[1], v[2], v[3], v[4], v[5]};
  if (kind == "translate" && (n == 1 || n == 2)) return Affine::move(v[0], v[1]);
  if (kind == "scale" && (n == 1 || n == 2)) return Affine::scale(v[0], n == 2 ? v[1] : v[0]);
  if (kind == "rotate" && (n == 1 || n == 3)) {
    return Affine::move(v[1], v[2]) * Affine::rotate(v[0]) * Affine::move(-v[1], -v[2]);
  }
  if (kind == "skewX" && n == 1) return Affine{1, 0, slope(), 1, 0, 0};
  if (kind == "skewY" && n == 1) return Affine{1, slope(), 0, 1, 0, 0};
  return std::nullopt;
}

}  // namespace

Result<Affine> parse_transform(std::string_view text) {
  Affine out;
  TextScan in(text);
  while (in.skip_separators(), !in.done()) {
    const auto rest = in.rest();
    const auto open = rest.find('('), close = rest.find(')');
    if (open == std::string_view::npos || close == std::string_view::npos || close < open) {
      return fail(ErrorKind::malformed, {"transform-bracket"});
    }
    TextScan numbers(rest.substr(open + 1, close - open - 1));
    std::array<double, 6> v{};
    std::size_t n = 0;
    while (n < v.size()) {
      const auto value = numbers.number();
      if (!value) break;
      v[n++] = *value;
    }
    numbers.skip_separators();
    const auto map = numbers.done() ? transform_function(trimmed(rest.substr(0, open)), v, n) : std::nullopt;
    if (!map) {
      return fail(ErrorKind::malformed,
                  {"transform-unread", {{"text", std::string(rest.substr(0, std::min<std::size_t>(close + 1, 40)))}}});
    }
    out = out * *map;
    in.advance(close + 1);
  }
  if (!out.finite()) return fail(ErrorKind::malformed, {"transform-infinite"});
  return out;
}

}  // namespace dotlane
