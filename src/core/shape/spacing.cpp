#include "core/shape/spacing.hpp"

#include <algorithm>
#include <limits>

#include "core/geometry/region.hpp"

namespace dotlane {
namespace {

/// An edge in the frame of a direction: how far along it, by how far across.
struct Side {
  double across0, along0, across1, along1;  // across0 <= across1
  [[nodiscard]] double along_at(double across) const {
    return across1 > across0 ? along0 + (along1 - along0) * (across - across0) / (across1 - across0)
                             : std::max(along0, along1);
  }
};

struct Along {
  Vec direction, moved;
  [[nodiscard]] Vec operator()(Vec p) const {
    const Vec q = p + moved;
    return {cross(direction, q), dot(direction, q)};  // across, along
  }
};

std::vector<Side> sides_of(const std::vector<Polyline>& lines, const Along& frame, double sign) {
  std::vector<Side> out;
  for (const auto& line : lines) {
    for (std::size_t i = 0; i < line.points.size(); ++i) {
      if (i == 0 && line.points.size() > 1) continue;
      const Vec a = frame(line.points[i == 0 ? 0 : i - 1]), b = frame(line.points[i]);
      if (a.x <= b.x) {
        out.push_back({a.x, sign * a.y, b.x, sign * b.y});
      } else {
        out.push_back({b.x, sign * b.y, a.x, sign * a.y});
      }
    }
  }
  return out;
}

/// How far edges reach along the direction, for any place across it.
class FarSide {
 public:
  FarSide(const std::vector<Side>& sides, double low, double high) : low_(low) {
    const std::size_t cells = std::max<std::size_t>(1, sides.size() / 2);
    step_ = std::max((high - low) / static_cast<double>(cells), 1e-9);
    cells_.resize(cells);
    for (const Side& s : sides) {
      if (s.across1 < low || s.across0 > high) continue;
      for (std::size_t c = cell(s.across0); c <= cell(s.across1); ++c) cells_[c].push_back(s);
    }
  }
  [[nodiscard]] double at(double across) const {
    double most = -std::numeric_limits<double>::infinity();
    for (const Side& s : cells_[cell(across)]) {
      if (s.across0 <= across && across <= s.across1) most = std::max(most, s.along_at(across));
    }
    return most;
  }

 private:
  [[nodiscard]] std::size_t cell(double across) const {
    const double c = std::clamp((across - low_) / step_, 0.0, static_cast<double>(cells_.size() - 1));
    return static_cast<std::size_t>(c);
  }
  double low_, step_;
  std::vector<std::vector<Side>> cells_;
};

std::pair<double, double> extent(const std::vector<Side>& sides) {
  double low = std::numeric_limits<double>::infinity(), high = -low;
  for (const Side& s : sides) low = std::min(low, s.across0), high = std::max(high, s.across1);
  return {low, high};
}

}  // namespace

Spaced spaced(std::vector<Polyline> lines, double gap_mm) {
  Spaced out{std::move(lines), {}};
  if (gap_mm <= 0) {
    out.grown = out.lines;
  } else {
    for (const auto& ring : buffer(out.lines, gap_mm).rings) out.grown.push_back(as_polyline(ring));
  }
  return out;
}

Spaced transformed(const Spaced& motif, const Affine& map) {
  Spaced out = motif;
  for (auto& line : out.lines) line = transformed(line, map);
  for (auto& line : out.grown) line = transformed(line, map);
  return out;
}

std::optional<double> clear_from(const Spaced& first, const std::vector<Polyline>& other, Vec direction, Vec beside) {
  // The near side of the other is the far side of its reflection.
  const auto far = sides_of(first.grown, {direction, {}}, 1), near = sides_of(other, {direction, beside}, -1);
  const auto [low1, high1] = extent(far);
  const auto [low2, high2] = extent(near);
  const double low = std::max(low1, low2), high = std::min(high1, high2);
  if (low > high) return std::nullopt;
  const FarSide reach(far, low, high), comes(near, low, high);
  double most = -std::numeric_limits<double>::infinity();
  const auto look = [&](const std::vector<Side>& vertices, const FarSide& across_from) {
    for (const Side& s : vertices) {
      if (s.across0 >= low && s.across0 <= high) most = std::max(most, s.along0 + across_from.at(s.across0));
      if (s.across1 >= low && s.across1 <= high) most = std::max(most, s.along1 + across_from.at(s.across1));
    }
  };
  look(far, comes);
  look(near, reach);
  return most;
}

}  // namespace dotlane
