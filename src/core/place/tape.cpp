#include "core/place/tape.hpp"

#include "core/geometry/measure.hpp"
#include "core/geometry/region.hpp"
#include "core/place/axes.hpp"

namespace dotlane {
namespace {

Path placed(const DrawnPiece& piece, std::size_t line) {
  const Line& l = piece.piece->lines[line];
  return transformed(*l.path, piece.map * l.at);
}

/// The nearest points of two parts, found on their vertices.
Vec between(const Region& a, const Region& b) {
  double least = std::numeric_limits<double>::infinity();
  Vec at{};
  for (const auto& ring : a.rings) {
    for (const auto& other : b.rings) {
      for (const Vec p : ring) {
        for (std::size_t i = 0; i < other.size(); ++i) {
          const Vec q = nearest_on(other[i], other[(i + 1) % other.size()], p);
          if (const double far = distance(p, q); far < least) least = far, at = lerp(p, q, 0.5);
        }
      }
    }
  }
  return at;
}

}  // namespace

std::array<std::optional<Distance>, 4> distances(const Box& of, const Box& to) {
  std::array<std::optional<Distance>, 4> out;
  if (of.empty() || to.empty()) return out;
  std::size_t side = 0;
  for (const Axis axis : kAxes) {
    // Drawn at the middle of what both have in common along the other axis, else at its own middle.
    const Axis across = other(axis);
    const double from = std::max(low(of, across), low(to, across)), till = std::min(high(of, across), high(to, across));
    const double at = from <= till ? (from + till) / 2 : share_of(of, across, 0.5);
    const auto place = [&](double v) { return axis == Axis::x ? Vec{v, at} : Vec{at, v}; };
    // Towards lower numbers: the other's low edge where it is around it, its high edge where it is beside.
    for (const bool down : {true, false}) {
      const double edge = down ? low(of, axis) : high(of, axis);
      const double near = down ? high(to, axis) : low(to, axis), far = down ? low(to, axis) : high(to, axis);
      const auto ahead = [&](double v) { return down ? v <= edge : v >= edge; };
      if (ahead(near)) {
        out[side] = Distance{place(edge), place(near), std::abs(edge - near)};
      } else if (ahead(far)) {
        out[side] = Distance{place(edge), place(far), std::abs(edge - far)};
      }
      ++side;
    }
  }
  return out;
}

LineFigures figures_of(const DrawnPiece& piece, std::size_t line) {
  LineFigures out;
  const Path path = placed(piece, line);
  out.length_mm = length_of(path);
  out.closed = std::any_of(path.contours.begin(), path.contours.end(), [](const Contour& c) { return c.closed; });
  if (out.closed) out.area_mm2 = enclosed_area_of(path);
  return out;
}

std::optional<Thinnest> thinnest_of(const DrawnPiece& piece, std::size_t line) {
  const Region whole = region_of(placed(piece, line));
  if (whole.empty()) return std::nullopt;
  std::optional<Thinnest> best;
  for (const Region& part : parts_of(whole)) {
    const Box box = bounds_of(part);
    // Whether a disc of this width still gets everywhere: shrunk by its radius the area stays in one.
    const auto holds = [&](double width) { return parts_of(offset(part, -width / 2)).size() == 1; };
    double small = 0, large = std::min(box.width(), box.height()) + 0.01;
    while (large - small > 0.01) {
      const double half = (small + large) / 2;
      (holds(half) ? small : large) = half;
    }
    const double width = (small + large) / 2;
    if (best && best->width_mm <= width) continue;
    best = Thinnest{width, centre_of(part)};
    const auto pieces = parts_of(offset(part, -large / 2));
    if (pieces.size() > 1) {
      best->at = between(pieces[0], pieces[1]);
    } else if (const auto left = offset(part, -small / 2); !left.empty()) {
      best->at = centre_of(left);  // it vanishes as a whole: the middle of its widest place
    }
  }
  return best;
}

}  // namespace dotlane
