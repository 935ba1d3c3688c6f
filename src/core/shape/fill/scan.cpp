#include "core/shape/fill/scan.hpp"

#include <algorithm>
#include <numbers>

#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

constexpr double kOnLine = 2e-6;      // mm: a vertex this near to a line lies on it
constexpr double kInsetChord = 5e-4;  // mm

/// The union of two sorted lists of spans; spans that meet become one.
std::vector<Span> united(const std::vector<Span>& a, const std::vector<Span>& b) {
  std::vector<Span> out;
  std::size_t i = 0, k = 0;
  while (i < a.size() || k < b.size()) {
    const Span& next = k == b.size() || (i < a.size() && a[i].from <= b[k].from) ? a[i++] : b[k++];
    if (!out.empty() && next.from <= out.back().to) {
      if (next.to > out.back().to) out.back().to = next.to, out.back().to_edge = next.to_edge;
    } else {
      out.push_back(next);
    }
  }
  return out;
}

}  // namespace

FillArea fill_area(const Region& region, double inset) {
  const auto parts = parts_of(region);
  std::vector<Region> kept(parts.size());
  for_each_index(parts.size(), 8, [&](std::size_t i) {
    kept[i] = inset > 0 ? offset(parts[i], -inset, {Corners::round, 4, kInsetChord}) : parts[i];
  });
  FillArea out;
  out.parts = parts.size();
  for (std::size_t i = 0; i < kept.size(); ++i) {
    for (auto& ring : kept[i].rings) {
      out.rings.push_back(std::move(ring));
      out.part_of.push_back(static_cast<std::uint32_t>(i));
    }
  }
  return out;
}

Scan::Scan(const FillArea& area, double angle, double spacing, double phase) : spacing_(spacing) {
  const double turn = angle * std::numbers::pi / 180;
  cos_ = std::cos(turn);
  sin_ = std::sin(turn);
  // The quarter turns are exact, so that sides along the axes are met exactly.
  if (std::abs(cos_) < 1e-15) cos_ = 0;
  if (std::abs(sin_) < 1e-15) sin_ = 0;
  shift_ = phase * spacing;
  std::size_t n = 0;
  for (const auto& ring : area.rings) n += ring.size();
  corners_.reserve(n);
  rings_.reserve(area.rings.size() + 1);
  double low = std::numeric_limits<double>::infinity(), high = -low;
  for (const auto& ring : area.rings) {
    rings_.push_back(static_cast<std::uint32_t>(corners_.size()));
    for (const Vec p : ring) {
      double line = (p.x * sin_ + p.y * cos_ - shift_) / spacing;
      if (const double near = std::round(line); std::abs(line - near) * spacing < kOnLine) line = near;
      corners_.push_back({p.x * cos_ - p.y * sin_, line});
      low = std::min(low, line);
      high = std::max(high, line);
    }
  }
  rings_.push_back(static_cast<std::uint32_t>(corners_.size()));
  if (!(low <= high)) return;
  first_ = std::ceil(low);
  const auto count = static_cast<std::ptrdiff_t>(std::floor(high) - first_) + 1;
  if (count <= 0) return;
  const auto lines = static_cast<std::size_t>(count);
  for (auto& c : corners_) c.line -= first_;

  // How many crossings each line has, when it is taken just above where it runs (an edge counts from its lower end on,
  // up to but without its upper end), and which lines run through vertices.
  std::vector<std::size_t> from(lines + 1, 0);
  std::vector<char> touched(lines, 0);
  bool any_touched = false;
  auto each_edge = [&](auto&& visit) {
    for (std::size_t r = 0; r + 1 < rings_.size(); ++r) {
      for (std::uint32_t i = rings_[r]; i < rings_[r + 1]; ++i)
        visit(i, corners_[i], corners_[i + 1 < rings_[r + 1] ? i + 1 : rings_[r]]);
    }
  };
  each_edge([&](std::uint32_t, const Corner& a, const Corner& b) {
    const double lo = std::min(a.line, b.line), hi = std::max(a.line, b.line);
    const double start = std::ceil(lo), end = std::ceil(hi);
    if (a.line == std::round(a.line)) touched[static_cast<std::size_t>(a.line)] = 1, any_touched = true;
    // A difference array: one step at either end, summed up below.
    if (start < end) ++from[static_cast<std::size_t>(start)], --from[static_cast<std::size_t>(end)];
  });
  std::size_t open = 0, total = 0;
  for (std::size_t k = 0; k <= lines; ++k) {
    open += from[k];
    from[k] = total;
    total += open;
  }
  auto crossing = [&](const Corner& a, const Corner& b, double line) {
    return a.along + (line - a.line) * ((b.along - a.along) / (b.line - a.line));
  };
  std::vector<Crossing> crossings(total);
  std::vector<std::size_t> fill(from.begin(), from.end() - 1);
  each_edge([&](std::uint32_t edge, const Corner& a, const Corner& b) {
    const double lo = std::min(a.line, b.line), hi = std::max(a.line, b.line);
    const double slope = (b.along - a.along) / (b.line - a.line);
    const auto end = static_cast<std::size_t>(std::ceil(hi));
    for (auto k = static_cast<std::size_t>(std::ceil(lo)); k < end; ++k)
      crossings[fill[k]++] = {a.along + (static_cast<double>(k) - a.line) * slope, edge};
  });
  // Lines through vertices once more, just below.
  std::vector<std::vector<Crossing>> below;
  std::vector<std::size_t> below_of;
  if (any_touched) {
    below_of.assign(lines, 0);
    for (std::size_t k = 0; k < lines; ++k) {
      if (touched[k]) below_of[k] = below.size(), below.emplace_back();
    }
    each_edge([&](std::uint32_t edge, const Corner& a, const Corner& b) {
      const double lo = std::min(a.line, b.line), hi = std::max(a.line, b.line);
      const double end = std::min(std::floor(hi), static_cast<double>(lines - 1));
      for (double k = std::floor(lo) + 1; k <= end; ++k) {
        const auto line = static_cast<std::size_t>(k);
        if (touched[line]) below[below_of[line]].push_back({crossing(a, b, k), edge});
      }
    });
  }
  starts_.reserve(lines + 1);
  spans_.reserve(total / 2);
  std::vector<Crossing> line;
  std::vector<Span> above, under;
  for (std::size_t k = 0; k < lines; ++k) {
    line.assign(crossings.begin() + static_cast<std::ptrdiff_t>(from[k]),
                crossings.begin() + static_cast<std::ptrdiff_t>(from[k + 1]));
    above.clear();
    pair_up(line, above);
    if (touched[k]) {
      under.clear();
      pair_up(below[below_of[k]], under);
      above = united(above, under);
    }
    spans_.insert(spans_.end(), above.begin(), above.end());
    starts_.push_back(spans_.size());
  }
}

void Scan::pair_up(std::vector<Crossing>& line, std::vector<Span>& out) const {
  std::sort(line.begin(), line.end(), [](const Crossing& a, const Crossing& b) { return a.along < b.along; });
  for (std::size_t i = 0; i + 1 < line.size(); i += 2) {
    const Span span{line[i].along, line[i + 1].along, line[i].edge, line[i + 1].edge};
    if (!out.empty() && span.from <= out.back().to) {
      out.back().to = span.to;
      out.back().to_edge = span.to_edge;
    } else if (span.to > span.from) {
      out.push_back(span);
    }
  }
}

std::uint32_t Scan::ring_of(std::uint32_t edge) const {
  return static_cast<std::uint32_t>(std::upper_bound(rings_.begin(), rings_.end(), edge) - rings_.begin()) - 1;
}

std::uint32_t Scan::next(std::uint32_t edge) const {
  const std::uint32_t r = ring_of(edge);
  return edge + 1 < rings_[r + 1] ? edge + 1 : rings_[r];
}

std::uint32_t Scan::before(std::uint32_t corner) const {
  const std::uint32_t r = ring_of(corner);
  return corner > rings_[r] ? corner - 1 : rings_[r + 1] - 1;
}

}  // namespace dotlane
