#include "core/shape/fill/spots.hpp"

#include <algorithm>
#include <numbers>
#include <optional>
#include <random>
#include <unordered_map>

namespace dotlane {
namespace {

/// Square cells so small that each holds one dot at most. Only those that hold one take memory: a thin frame around a
/// large void has few.
class Occupied {
 public:
  Occupied(const Box& box, double spacing)
      : origin_{box.x0, box.y0}, cell_(spacing / std::numbers::sqrt2), spacing_(spacing) {}
  /// Takes the place unless another dot is too near.
  bool take(Vec p) {
    const auto c = static_cast<std::int64_t>(std::floor((p.x - origin_.x) / cell_)),
               r = static_cast<std::int64_t>(std::floor((p.y - origin_.y) / cell_));
    for (std::int64_t y = r - 2; y <= r + 2; ++y) {
      for (std::int64_t x = c - 2; x <= c + 2; ++x) {
        const auto other = dots_.find(key(x, y));
        if (other != dots_.end() && distance(other->second, p) < spacing_) return false;
      }
    }
    dots_[key(c, r)] = p;
    return true;
  }

 private:
  static std::uint64_t key(std::int64_t x, std::int64_t y) {
    return static_cast<std::uint64_t>(x) << 32 ^ (static_cast<std::uint64_t>(y) & 0xffffffffu);
  }
  Vec origin_;
  double cell_, spacing_;
  std::unordered_map<std::uint64_t, Vec> dots_;
};

}  // namespace

Strokes dots(const FillArea& area, const Scan& scan, double spacing) {
  Strokes out;
  for (std::size_t k = 0; k < scan.lines(); ++k) {
    const auto line = static_cast<double>(k);
    // Rows are told apart by where they run, not by which is the first, so that a larger shape keeps the pattern.
    const double shift = scan.odd(k) ? spacing / 2 : 0;
    std::vector<std::pair<Vec, std::uint32_t>> row;
    for (std::size_t i = scan.start(k); i < scan.start(k + 1); ++i) {
      const Span& span = scan.span(i);
      const auto part = area.part_of[scan.ring_of(span.from_edge)];
      for (double at = std::ceil((span.from - shift) / spacing) * spacing + shift; at <= span.to; at += spacing)
        row.emplace_back(scan.at(at, line), part);
    }
    if (k % 2 != 0) std::reverse(row.begin(), row.end());
    for (const auto& [p, part] : row) {
      out.add(p);
      out.end(part);
    }
  }
  return out;
}

Strokes stipple(const FillArea& area, double spacing, std::uint64_t seed) {
  constexpr int kTries = 24;    // throws around each dot; Bridson takes 30
  constexpr double kRows = 16;  // to a spacing
  std::mt19937_64 random(seed);
  // The standard's distributions differ between libraries; this is the same everywhere.
  auto any = [&random] { return static_cast<double>(random() >> 11) * 0x1p-53; };
  Strokes out;
  for (std::size_t first = 0; first < area.rings.size();) {
    std::size_t last = first;
    while (last < area.rings.size() && area.part_of[last] == area.part_of[first]) ++last;
    const FillArea part{{area.rings.begin() + static_cast<std::ptrdiff_t>(first),
                         area.rings.begin() + static_cast<std::ptrdiff_t>(last)},
                        std::vector<std::uint32_t>(last - first, 0),
                        1};
    const std::uint32_t name = area.part_of[first];
    first = last;
    // Throws land on fine rows, whose spans say at once what is inside.
    const Scan rows(part, 0, spacing / kRows, any());
    if (rows.size() == 0) continue;
    Occupied taken(bounds_of(part.region()), spacing);
    auto throw_at = [&](Vec p) -> std::optional<Vec> {
      const double line = std::round(rows.line_of(p));
      if (line < 0 || line >= static_cast<double>(rows.lines())) return std::nullopt;
      const auto k = static_cast<std::size_t>(line);
      for (std::size_t i = rows.start(k); i < rows.start(k + 1) && rows.span(i).from <= p.x; ++i) {
        if (p.x > rows.span(i).to) continue;
        const Vec landed = rows.at(p.x, line);
        if (!taken.take(landed)) return std::nullopt;
        out.add(landed);
        out.end(name);
        return landed;
      }
      return std::nullopt;
    };
    std::vector<Vec> lively;
    // A start in every span of the rows: no corner is out of reach of the throws.
    for (std::size_t k = 0; k < rows.lines(); ++k) {
      for (std::size_t i = rows.start(k); i < rows.start(k + 1); ++i) {
        const Span& span = rows.span(i);
        if (const auto p = throw_at(rows.at(span.from + (span.to - span.from) * any(), static_cast<double>(k))))
          lively.push_back(*p);
        while (!lively.empty()) {
          const auto pick = static_cast<std::size_t>(any() * static_cast<double>(lively.size()));
          const Vec around = lively[pick];
          bool hit = false;
          for (int t = 0; t < kTries && !hit; ++t) {
            const double turn = 2 * std::numbers::pi * any(), away = spacing * (1 + any());
            const auto landed = throw_at(around + Vec{std::cos(turn), std::sin(turn)} * away);
            if ((hit = landed.has_value())) lively.push_back(*landed);
          }
          if (!hit) {
            lively[pick] = lively.back();
            lively.pop_back();
          }
        }
      }
    }
  }
  return out;
}

}  // namespace dotlane
