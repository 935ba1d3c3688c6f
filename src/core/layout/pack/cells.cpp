#include "core/layout/pack/cells.hpp"

#include <bit>
#include <cmath>
#include <cstring>
#include <utility>

namespace dotlane::pack {
namespace {

constexpr double kNothing = 0.005;  // mm: what only touches shares no area

/// Row by row from left to right, without overlaps; runs that touch are one.
std::vector<Run> merged(std::vector<Run> runs) {
  std::sort(runs.begin(), runs.end(),
            [](const Run& a, const Run& b) { return a.row != b.row ? a.row < b.row : a.from < b.from; });
  std::size_t n = 0;
  for (const Run& r : runs) {
    if (n > 0 && runs[n - 1].row == r.row && r.from <= runs[n - 1].to + 1) {
      runs[n - 1].to = std::max(runs[n - 1].to, r.to);
    } else {
      runs[n++] = r;
    }
  }
  runs.resize(n);
  return runs;
}

}  // namespace

namespace {

/// Where the edges of a region lie in the grid.
struct Edges {
  std::vector<Run> runs;                          // the cells that they pass through
  std::vector<std::pair<int, double>> crossings;  // of the middle of each row, from left to right
};

void add(std::vector<Run>& to, int row, double x0, double x1, double left, double cell) {
  const int first = static_cast<int>(std::floor((x0 + kNothing - left) / cell));
  const int last = static_cast<int>(std::ceil((x1 - kNothing - left) / cell)) - 1;
  if (last >= first) to.push_back({row, first, last});
}

Edges edges_of(const Region& region, Vec origin, double cell) {
  Edges out;
  const auto row_of = [&](double y) { return static_cast<int>(std::floor((y - origin.y) / cell)); };
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if (a.y > b.y) std::swap(a, b);
      // The rows that the edge passes through, and where in each.
      for (int row = row_of(a.y); row <= row_of(b.y); ++row) {
        const double top = origin.y + row * cell, bottom = top + cell, middle = top + cell / 2;
        const double y0 = std::max(a.y, top), y1 = std::min(b.y, bottom);
        if (y1 - y0 < kNothing && b.y - a.y > kNothing) continue;
        const auto x_at = [&](double y) { return b.y > a.y ? a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y) : a.x; };
        if (b.y - a.y <= kNothing) {
          // A level edge on the line between two rows bounds the inside, which the other edges tell.
          if (std::min(a.y - top, bottom - b.y) > kNothing)
            add(out.runs, row, std::min(a.x, b.x), std::max(a.x, b.x), origin.x, cell);
        } else {
          add(out.runs, row, std::min(x_at(y0), x_at(y1)), std::max(x_at(y0), x_at(y1)), origin.x, cell);
        }
        if (a.y <= middle && middle < b.y) out.crossings.emplace_back(row, x_at(middle));
      }
    }
  }
  std::sort(out.crossings.begin(), out.crossings.end());
  return out;
}

}  // namespace

std::vector<Run> cells_of(const Region& region, Vec origin, double cell) {
  auto [runs, crossings] = edges_of(region, origin, cell);
  for (std::size_t i = 0; i + 1 < crossings.size(); i += 2)
    add(runs, crossings[i].first, crossings[i].second, crossings[i + 1].second, origin.x, cell);
  return merged(std::move(runs));
}

std::vector<Run> cells_beyond(const Region& region, Vec origin, double cell, int width, int height) {
  auto [runs, crossings] = edges_of(region, origin, cell);
  const double right = origin.x + width * cell;
  std::size_t i = 0;
  for (int row = 0; row < height; ++row) {
    double from = origin.x;
    while (i < crossings.size() && crossings[i].first < row) ++i;
    for (; i + 1 < crossings.size() && crossings[i].first == row; i += 2) {
      add(runs, row, from, crossings[i].second, origin.x, cell);
      from = crossings[i + 1].second;
    }
    add(runs, row, from, right, origin.x, cell);
  }
  return merged(std::move(runs));
}

std::vector<Run> rim_of(const std::vector<Run>& runs) {
  std::vector<Run> wide;
  for (const Run& r : runs) {
    for (int d = -1; d <= 1; ++d) wide.push_back({r.row + d, r.from - 1, r.to + 1});
  }
  std::vector<Run> out;
  auto own = runs.begin();
  for (const Run& r : merged(std::move(wide))) {
    while (own != runs.end() && (own->row < r.row || (own->row == r.row && own->to < r.from))) ++own;
    int from = r.from;
    for (auto in = own; in != runs.end() && in->row == r.row && in->from <= r.to; ++in) {
      if (in->from > from) out.push_back({r.row, from, in->from - 1});
      from = in->to + 1;
    }
    if (from <= r.to) out.push_back({r.row, from, r.to});
  }
  return out;
}

namespace {

constexpr int kBlock = 8;                // rows that are asked at once
constexpr int kBlocks = 8;               // of which a lane can hold the sum
constexpr std::int16_t kEmpty = 10'000;  // beyond every cell, even of a shape that is moved
static_assert(kBlocks * Grid::kWidest < 32'768 && 2 * kEmpty + Grid::kWidest < 32'768);

/// As many rows at once; compilers turn it into one register.
using Lanes [[gnu::vector_size(kBlock * sizeof(std::int16_t))]] = std::int16_t;

Lanes lanes(const std::vector<std::int16_t>& rows, int from) {
  Lanes out;
  std::memcpy(&out, rows.data() + from, sizeof out);
  return out;
}
Lanes greater(Lanes a, Lanes b) { return a > b ? a : b; }
Lanes less(Lanes a, Lanes b) { return a < b ? a : b; }
int total(Lanes v) {
  int out = 0;
  for (int i = 0; i < kBlock; ++i) out += v[i];
  return out;
}

}  // namespace

Layers::Layers(const std::vector<Run>& runs) {
  if (runs.empty()) return;
  left_ = runs.front().from, right_ = runs.front().to;
  std::size_t k = 0;
  for (std::size_t i = 0; i < runs.size(); ++i) {
    const Run& r = runs[i];
    k = i > 0 && runs[i - 1].row == r.row ? k + 1 : 0;
    if (k == layers_.size()) layers_.push_back({r.row, 0, {}, {}});
    Layer& layer = layers_[k];
    layer.rows = r.row + 1 - layer.first;
    layer.from.resize(static_cast<std::size_t>(layer.rows), kEmpty);
    layer.to.resize(static_cast<std::size_t>(layer.rows), -kEmpty);
    layer.from.back() = static_cast<std::int16_t>(r.from), layer.to.back() = static_cast<std::int16_t>(r.to);
    left_ = std::min(left_, r.from), right_ = std::max(right_, r.to);
  }
  for (Layer& layer : layers_) {
    layer.from.resize(layer.from.size() + kBlock, kEmpty);
    layer.to.resize(layer.to.size() + kBlock, -kEmpty);
  }
}

int Layers::common(const Layers& other, int x, int y) const {
  if (other.left_ + x > right_ || other.right_ + x < left_) return 0;
  const Lanes dx = Lanes{} + static_cast<std::int16_t>(x), one = Lanes{} + std::int16_t{1};
  int out = 0;
  for (const Layer& a : layers_) {
    for (const Layer& b : other.layers_) {
      const int from = std::max(a.first, b.first + y), end = std::min(a.first + a.rows, b.first + y + b.rows);
      Lanes sum{};
      for (int row = from, n = 1; row < end; row += kBlock, ++n) {
        const Lanes left = greater(lanes(a.from, row - a.first), lanes(b.from, row - b.first - y) + dx);
        const Lanes right = less(lanes(a.to, row - a.first), lanes(b.to, row - b.first - y) + dx);
        sum += greater(right - left + one, Lanes{});
        if (n % kBlocks == 0) out += total(sum), sum = Lanes{};
      }
      out += total(sum);
    }
  }
  return out;
}

Grid::Grid(int width, int height)
    : width_(width),
      height_(height),
      words_((width + 63) / 64),
      stride_(2 * words_ + 2),
      levels_(static_cast<int>(std::bit_width(static_cast<unsigned>(width)))),
      bits_(static_cast<std::size_t>(levels_) * static_cast<std::size_t>(height) * static_cast<std::size_t>(stride_)) {}

namespace {

/// Word `w` of the bits from `s` on; rows have words to spare behind them.
struct Shifted {
  const std::uint64_t* from;
  int by;
  Shifted(const std::uint64_t* row, int s) : from(row + s / 64), by(s % 64) {}
  std::uint64_t operator[](int w) const { return (from[w] >> by) | (from[w + 1] << 1 << (63 - by)); }
};

}  // namespace

void Grid::take(const std::vector<Run>& runs, int x, int y) {
  int last_row = -1;
  const auto lift = [&](int at) {
    for (int k = 1; k < levels_; ++k) {
      const std::uint64_t* below = row(k - 1, at);
      std::uint64_t* mine = row(k, at);
      const Shifted beside(below, 1 << (k - 1));
      for (int w = 0; w < words_; ++w) mine[w] = below[w] | beside[w];
    }
  };
  for (const Run& r : runs) {
    const int at = r.row + y, from = std::max(0, r.from + x), to = std::min(width_ - 1, r.to + x);
    if (at < 0 || at >= height_ || from > to) continue;
    if (last_row >= 0 && at != last_row) lift(last_row);
    last_row = at;
    lowest_ = std::max(lowest_, at);
    std::uint64_t* p = row(0, at);
    for (int w = from / 64; w <= to / 64; ++w) {
      const int a = std::max(from - 64 * w, 0), b = std::min(to - 64 * w, 63);
      p[w] |= (~std::uint64_t{0} >> (63 - (b - a))) << a;
    }
  }
  if (last_row >= 0) lift(last_row);
}

int Grid::taken(const std::vector<Run>& runs, int x, int y) const {
  int out = 0;
  for (const Run& r : runs) {
    const int at = r.row + y, from = r.from + x, to = r.to + x;
    if (at < 0 || at >= height_) {
      out += to - from + 1;
      continue;
    }
    const int a = std::max(0, from), b = std::min(width_ - 1, to);
    if (a > b) {
      out += to - from + 1;
      continue;
    }
    out += (a - from) + (to - b);
    const std::uint64_t* p = row(0, at);
    for (int w = a / 64; w <= b / 64; ++w) {
      const int low = std::max(a - 64 * w, 0), high = std::min(b - 64 * w, 63);
      out += std::popcount(p[w] & ((~std::uint64_t{0} >> (63 - (high - low))) << low));
    }
  }
  return out;
}

bool Grid::free(const std::vector<Run>& runs, int x, int y) const {
  for (const Run& r : runs) {
    const int length = r.to - r.from + 1, k = static_cast<int>(std::bit_width(static_cast<unsigned>(length))) - 1;
    const std::uint64_t* p = row(k, r.row + y);
    for (const int at : {r.from + x, r.to + x + 1 - (1 << k)}) {
      if (p[at / 64] >> (at % 64) & 1) return false;
    }
  }
  return true;
}

bool Grid::meets(std::vector<Run>& runs, int y, int last, std::uint64_t* out) const {
  const int used = last / 64 + 1;
  const std::uint64_t tail = ~std::uint64_t{0} >> (63 - last % 64);
  for (int w = 0; w < used; ++w) out[w] = 0;
  for (std::size_t i = 0; i < runs.size(); ++i) {
    const Run& r = runs[i];
    const int length = r.to - r.from + 1, k = static_cast<int>(std::bit_width(static_cast<unsigned>(length))) - 1;
    const std::uint64_t* p = row(k, r.row + y);
    const Shifted left(p, r.from), right(p, r.to + 1 - (1 << k));
    std::uint64_t free = 0;
    for (int w = 0; w + 1 < used; ++w) {
      out[w] |= left[w] | right[w];
      free |= ~out[w];
    }
    out[used - 1] |= left[used - 1] | right[used - 1];
    free |= ~out[used - 1] & tail;
    if (free == 0) {
      std::rotate(runs.begin(), runs.begin() + static_cast<std::ptrdiff_t>(i),
                  runs.begin() + static_cast<std::ptrdiff_t>(i) + 1);
      return false;
    }
  }
  return true;
}

}  // namespace dotlane::pack
