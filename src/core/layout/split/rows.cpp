#include "core/layout/split/rows.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <optional>

namespace dotlane::tiling {
namespace {

struct Span {
  double x0, x1;
  [[nodiscard]] double length() const { return x1 - x0; }
};
using Spans = std::vector<Span>;

/// What lies in the region on level lines: `lines` of them, a step apart from y0 on.
std::vector<Spans> spans_of(const Region& region, double y0, double step, std::size_t lines) {
  std::vector<std::vector<double>> crossings(lines);
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      Vec a = ring[i], b = ring[i + 1 == ring.size() ? 0 : i + 1];
      if (a.y > b.y) std::swap(a, b);
      // From the first line at or below a to the last one above b.
      const auto first = static_cast<long>(std::max(0.0, std::ceil((a.y - y0) / step)));
      for (long k = first; k < static_cast<long>(lines); ++k) {
        const double y = y0 + static_cast<double>(k) * step;
        if (y < a.y) continue;
        if (y >= b.y) break;
        crossings[static_cast<std::size_t>(k)].push_back(a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y));
      }
    }
  }
  std::vector<Spans> out(lines);
  for (std::size_t k = 0; k < lines; ++k) {
    auto& xs = crossings[k];
    std::sort(xs.begin(), xs.end());
    for (std::size_t i = 0; i + 1 < xs.size(); i += 2) out[k].push_back({xs[i], xs[i + 1]});
  }
  return out;
}

/// How much of a span is in others.
double shared(const Span& span, const Spans& others) {
  double out = 0;
  for (const Span& o : others) out += std::max(0.0, std::min(span.x1, o.x1) - std::max(span.x0, o.x0));
  return out;
}

/// How far something reaches in directions all around.
struct Reach {
  std::array<float, 2 * kDirections> far;
  Reach() { far.fill(-1e9F); }
  void add(const Reach& other) {
    for (std::size_t k = 0; k < far.size(); ++k) far[k] = std::max(far[k], other.far[k]);
  }
  [[nodiscard]] float extent(int k) const {
    const auto at = static_cast<std::size_t>(k % kDirections);
    return far[at] + far[at + kDirections];
  }
  [[nodiscard]] float narrowest() const {
    float out = extent(0);
    for (int k = 1; k < kDirections; ++k) out = std::min(out, extent(k));
    return out;
  }
};

struct Compass {
  std::array<float, 2 * kDirections> x, y;
  Compass() {
    for (std::size_t k = 0; k < x.size(); ++k) {
      const double angle = std::numbers::pi * static_cast<double>(k) / kDirections;
      x[k] = static_cast<float>(std::cos(angle)), y[k] = static_cast<float>(std::sin(angle));
    }
  }
  [[nodiscard]] Reach of(const Span& span, double y_mm) const {
    Reach out;
    const auto a = static_cast<float>(span.x0), b = static_cast<float>(span.x1), h = static_cast<float>(y_mm);
    for (std::size_t k = 0; k < x.size(); ++k) out.far[k] = std::max(x[k] * a, x[k] * b) + y[k] * h;
    return out;
  }
};

/// What hangs together between two cuts.
struct Clump {
  Reach reach;
  double area = 0;
  bool gone = false, changed = true;  // merged into another one; since it was judged
  RowsCost cost;
};

class Search {
 public:
  Search(const RowsTask& task, double angle) : task_(task), angle_(angle) {
    const Affine turn = Affine::rotate(angle);
    const Region part = transformed(task.part, turn);
    const Box box = bounds_of(part);
    for (const Vec room : task.rooms) {
      least_ = std::min({least_, room.x, room.y}), most_ = std::max({most_, room.x, room.y});
    }
    constexpr double kLinesARoom = 200, kMostLines = 1600;
    step_ = std::max(least_ / kLinesARoom, box.height() / kMostLines);
    lines_ = 2 * static_cast<std::size_t>(std::ceil(box.height() / step_ / 2)) + 1;
    constexpr double kHair = 1e-4;  // off its highest and lowest places, which a line would only touch
    step_ = (box.height() - 2 * kHair) / static_cast<double>(lines_ - 1);
    y0_ = box.y0 + kHair;
    spans_ = spans_of(part, y0_, step_, lines_);
    over_ = spans_of(transformed(task.over, turn), y0_, step_, lines_);
    avoid_ = spans_of(transformed(task.avoid, turn), y0_, step_, lines_);
    for (std::size_t k = 0; k < lines_; ++k) {
      reaches_.emplace_back();
      for (const Span& span : spans_[k]) reaches_.back().push_back(compass_.of(span, y_of(k)));
    }
    // A turn of the tile as the part lies is another one in this frame.
    const int shift = static_cast<int>(std::lround(angle / kStepDeg));
    for (int k = 0; k < kDirections; ++k)
      turns_.push_back(task.turns[static_cast<std::size_t>(((k + shift) % kDirections + kDirections) % kDirections)]);
  }

  Rows best() {
    const std::size_t places = (lines_ + 1) / 2;  // every second line
    constexpr RowsCost kNone{1e9, 0};
    std::vector<RowsCost> until(places, kNone);
    std::vector<std::size_t> from(places, 0);
    until[0] = {};
    for (std::size_t i = 0; i + 1 < places; ++i) {
      if (until[i].tiles >= kNone.tiles) continue;
      begin();
      add(2 * i);
      for (std::size_t j = i + 1; j < places; ++j) {
        add(2 * j - 1), add(2 * j);
        if (i == 0 && j + 1 == places) break;  // nothing would be divided
        const auto row = judge(static_cast<double>(2 * (j - i)) * step_);
        if (!row) break;
        RowsCost cost = until[i] + *row;
        if (j + 1 < places) cost.mm += cut_mm(2 * j);
        if (cost < until[j]) until[j] = cost, from[j] = i;
      }
    }
    Rows out;
    out.angle = angle_;
    out.found = until.back().tiles < kNone.tiles;
    if (!out.found) return out;
    out.cost = until.back();
    for (std::size_t j = from.back(); j > 0; j = from[j]) out.cuts.push_back(y_of(2 * j));
    std::reverse(out.cuts.begin(), out.cuts.end());
    return out;
  }

 private:
  const RowsTask& task_;
  double angle_, step_ = 1, y0_ = 0, least_ = 1e9, most_ = 0;
  std::size_t lines_ = 0;
  std::vector<Spans> spans_, over_, avoid_;
  std::vector<std::vector<Reach>> reaches_;  // of each span
  std::vector<bool> turns_;
  Compass compass_;
  std::vector<Clump> tiles_;
  std::vector<std::size_t> tile_of_;  // of each span on the last line
  Spans last_;

  [[nodiscard]] double y_of(std::size_t line) const { return y0_ + step_ * static_cast<double>(line); }

  void begin() { tiles_.clear(), tile_of_.clear(), last_.clear(); }

  void add(std::size_t line) {
    const Spans& spans = spans_[line];
    std::vector<std::size_t> tile_of(spans.size());
    for (std::size_t s = 0; s < spans.size(); ++s) {
      std::size_t tile = tiles_.size();
      for (std::size_t t = 0; t < last_.size(); ++t) {
        if (last_[t].x1 < spans[s].x0 || last_[t].x0 > spans[s].x1) continue;
        const std::size_t other = tile_of_[t];
        if (tile == tiles_.size()) {
          tile = other;
        } else if (tile != other) {
          tiles_[tile].reach.add(tiles_[other].reach);
          tiles_[tile].area += tiles_[other].area;
          tiles_[other].gone = true;
          std::replace(tile_of_.begin(), tile_of_.end(), other, tile);
          std::replace(tile_of.begin(), tile_of.begin() + static_cast<std::ptrdiff_t>(s), other, tile);
        }
      }
      if (tile == tiles_.size()) tiles_.emplace_back();
      tiles_[tile].reach.add(reaches_[line][s]);
      tiles_[tile].area += spans[s].length() * step_;
      tiles_[tile].changed = true;
      tile_of[s] = tile;
    }
    last_ = spans, tile_of_ = std::move(tile_of);
  }

  [[nodiscard]] bool fits(const Reach& reach) const {
    for (int k = 0; k < kDirections; ++k) {
      if (!turns_[static_cast<std::size_t>(k)]) continue;
      const double w = static_cast<double>(reach.extent(k)), h = static_cast<double>(reach.extent(k + kDirections / 2));
      for (const Vec room : task_.rooms) {
        if (w <= room.x && h <= room.y) return true;
      }
    }
    return false;
  }

  /// What the row so far costs; nothing where something in it can never be divided into what fits by cuts across it.
  std::optional<RowsCost> judge(double height) {
    constexpr double kSliverMm = 60, kDivideMm = 0.5;
    RowsCost out;
    for (Clump& tile : tiles_) {
      if (tile.gone) continue;
      if (tile.changed) {
        tile.changed = false;
        tile.cost = {1, 0};
        if (!fits(tile.reach)) {
          double longest = 0;
          for (const Vec room : task_.rooms) {
            if (height <= room.y) longest = std::max(longest, room.x);
            if (height <= room.x) longest = std::max(longest, room.y);
          }
          if (longest <= 0) return std::nullopt;
          const double more = std::max(1.0, std::ceil(static_cast<double>(tile.reach.extent(0)) / longest) - 1);
          tile.cost = {1 + more, kDivideMm * height * more};
        } else if (tile.area < task_.least_area || static_cast<double>(tile.reach.narrowest()) < task_.least_width) {
          tile.cost = {0.5, kSliverMm};  // mostly it can be joined to another one
        }
      }
      out = out + tile.cost;
    }
    return out;
  }

  [[nodiscard]] double cut_mm(std::size_t line) const {
    double out = 0;
    for (const Span& span : spans_[line])
      out += price_of_seam(span.length(), span.length() - shared(span, over_[line]), shared(span, avoid_[line]));
    return out;
  }
};

}  // namespace

double price_of_seam(double length, double seen, double along) {
  constexpr double kHidden = 0.1, kNeck = 10, kNeckMm = 25, kAlong = 5;
  return seen + kHidden * length + kAlong * along + (length < kNeck ? kNeckMm : 0);
}

Rows best_rows(const RowsTask& task, double angle) { return Search(task, angle).best(); }

}  // namespace dotlane::tiling
