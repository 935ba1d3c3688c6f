#include "core/shape/fill/coverage.hpp"

#include <bit>

#include "core/shape/fill/scan.hpp"

namespace dotlane {
namespace {

constexpr double kCellsToTip = 12;
constexpr double kAskew = 34.567;  // degrees, near no angle that people draw at
constexpr double kMostSpotCells = 8e6;

std::size_t count_of(const BitGrid& a) {
  std::size_t n = 0;
  for (std::size_t r = 0; r < a.rows(); ++r) {
    for (std::size_t w = 0; w < a.stride(); ++w) n += static_cast<std::size_t>(std::popcount(a.row(r)[w]));
  }
  return n;
}

/// Squared distances (in cells) from each place of a row to the nearest zero of the transform so far: the lower
/// envelope of the parabolas above it. `f` is read and written.
void distances(std::vector<double>& f, std::vector<double>& out, std::vector<std::size_t>& v, std::vector<double>& z) {
  const std::size_t n = f.size();
  constexpr double kFar = 1e20;
  std::size_t k = 0;
  v[0] = 0;
  z[0] = -kFar;
  z[1] = kFar;
  for (std::size_t q = 1; q < n; ++q) {
    const auto x = static_cast<double>(q);
    auto meet = [&] {
      const auto p = static_cast<double>(v[k]);
      return ((f[q] + x * x) - (f[v[k]] + p * p)) / (2 * x - 2 * p);
    };
    double s = meet();
    while (s <= z[k] && k > 0) --k, s = meet();
    if (s <= z[k]) {
      v[k] = q;
    } else {
      ++k;
      v[k] = q;
      z[k] = s;
    }
    z[k + 1] = kFar;
  }
  k = 0;
  for (std::size_t q = 0; q < n; ++q) {
    while (z[k + 1] < static_cast<double>(q)) ++k;
    const double d = static_cast<double>(q) - static_cast<double>(v[k]);
    out[q] = d * d + f[v[k]];
  }
  f.swap(out);
}

/// The largest round spot of cells that are in the region and not inked.
void largest_spot(const BitGrid& region, const BitGrid& ink, Coverage& out) {
  std::size_t every = 1;
  while (static_cast<double>(region.rows() / every + 1) * static_cast<double>(region.columns() / every + 1) >
         kMostSpotCells)
    ++every;
  // A rim of cells around that are not bare, so that the region's edge bounds spots at the grid's edge too.
  const std::size_t columns = region.columns() / every + 2, rows = region.rows() / every + 2;
  std::vector<float> d2(columns * rows, 0.0F);
  auto source = [&](std::size_t i) { return (i - 1) * every + every / 2; };
  bool any = false;
  for (std::size_t r = 1; r + 1 < rows; ++r) {
    for (std::size_t c = 1; c + 1 < columns; ++c) {
      const std::size_t sc = source(c), sr = source(r);
      if (sc >= region.columns() || sr >= region.rows()) continue;
      if (region.at(sc, sr) && !ink.at(sc, sr)) d2[r * columns + c] = 1e12F, any = true;
    }
  }
  if (!any) return;
  std::vector<double> f, g, z(std::max(columns, rows) + 1);
  std::vector<std::size_t> v(std::max(columns, rows));
  f.resize(rows), g.resize(rows);
  for (std::size_t c = 0; c < columns; ++c) {
    for (std::size_t r = 0; r < rows; ++r) f[r] = static_cast<double>(d2[r * columns + c]);
    distances(f, g, v, z);
    for (std::size_t r = 0; r < rows; ++r) d2[r * columns + c] = static_cast<float>(f[r]);
  }
  f.resize(columns), g.resize(columns);
  double best = 0;
  std::size_t at = 0;
  for (std::size_t r = 0; r < rows; ++r) {
    for (std::size_t c = 0; c < columns; ++c) f[c] = static_cast<double>(d2[r * columns + c]);
    distances(f, g, v, z);
    for (std::size_t c = 0; c < columns; ++c) {
      if (f[c] > best) best = f[c], at = r * columns + c;
    }
  }
  // The nearest cell that is not bare is met about half a cell before its middle.
  out.largest_gap_mm = std::max(0.0, 2 * std::sqrt(best) - 1) * region.cell() * static_cast<double>(every);
  out.gap_at = region.middle(source(at % columns), source(at / columns));
}

}  // namespace

BitGrid::BitGrid(const Box& box, double cell)
    : origin_{box.x0, box.y0},
      cell_(cell),
      columns_(static_cast<std::size_t>(std::ceil(box.width() / cell)) + 1),
      rows_(static_cast<std::size_t>(std::ceil(box.height() / cell)) + 1),
      stride_((columns_ + 63) / 64),
      words_(stride_ * rows_, 0) {}

void BitGrid::set(std::size_t r, double x0, double x1) {
  // The cells whose middles lie from x0 to x1.
  const double first = std::ceil((x0 - origin_.x) / cell_ - 0.5), last = std::floor((x1 - origin_.x) / cell_ - 0.5);
  const auto a = static_cast<std::ptrdiff_t>(std::max(first, 0.0));
  const auto b = static_cast<std::ptrdiff_t>(std::min(last, static_cast<double>(columns_ - 1)));
  if (a > b) return;
  std::uint64_t* words = row(r);
  const auto wa = static_cast<std::size_t>(a) / 64, wb = static_cast<std::size_t>(b) / 64;
  const std::uint64_t from = ~std::uint64_t{0} << (a % 64), to = ~std::uint64_t{0} >> (63 - b % 64);
  if (wa == wb) {
    words[wa] |= from & to;
    return;
  }
  words[wa] |= from;
  for (std::size_t w = wa + 1; w < wb; ++w) words[w] = ~std::uint64_t{0};
  words[wb] |= to;
}

void BitGrid::add_track(std::span<const Vec> course, double radius, Vec by) {
  for (std::size_t i = 0; i < course.size(); ++i) {
    if (i > 0 || course.size() == 1) {
      const Vec a = course[i > 0 ? i - 1 : 0] + by, b = course[i] + by;
      const double length = distance(a, b);
      const double low = std::min(a.y, b.y) - radius, high = std::max(a.y, b.y) + radius;
      const auto r0 = static_cast<std::ptrdiff_t>(std::max(std::ceil((low - origin_.y) / cell_ - 0.5), 0.0));
      const auto r1 = static_cast<std::ptrdiff_t>(
          std::min(std::floor((high - origin_.y) / cell_ - 0.5), static_cast<double>(rows_) - 1));
      const Vec side = length > 0 ? Vec{-(b.y - a.y), b.x - a.x} * (radius / length) : Vec{};
      for (std::ptrdiff_t r = r0; r <= r1; ++r) {
        const double y = origin_.y + (static_cast<double>(r) + 0.5) * cell_;
        double x0 = std::numeric_limits<double>::infinity(), x1 = -x0;
        for (const Vec c : {a, b}) {  // the round ends
          const double d2 = radius * radius - (y - c.y) * (y - c.y);
          if (d2 < 0) continue;
          const double d = std::sqrt(d2);
          x0 = std::min(x0, c.x - d);
          x1 = std::max(x1, c.x + d);
        }
        if (length > 0) {  // the straight sides
          for (const auto& [p, q] : {std::pair{a + side, b + side}, std::pair{a - side, b - side}}) {
            if ((y < p.y) == (y < q.y)) continue;
            const double x = p.x + (q.x - p.x) * ((y - p.y) / (q.y - p.y));
            x0 = std::min(x0, x);
            x1 = std::max(x1, x);
          }
        }
        if (x0 <= x1) set(static_cast<std::size_t>(r), x0, x1);
      }
    }
  }
}

void BitGrid::add_region(const Region& region) {
  FillArea area;
  area.rings = region.rings;
  area.part_of.assign(region.rings.size(), 0);
  // Scan lines through the middles of the rows.
  const Scan scan(area, 0, cell_, (origin_.y + cell_ / 2) / cell_);
  for (std::size_t k = 0; k < scan.lines(); ++k) {
    const double y = scan.at(0, static_cast<double>(k)).y;
    const auto r = static_cast<std::ptrdiff_t>(std::floor((y - origin_.y) / cell_));
    if (r < 0 || r >= static_cast<std::ptrdiff_t>(rows_)) continue;
    for (std::size_t i = scan.start(k); i < scan.start(k + 1); ++i)
      set(static_cast<std::size_t>(r), scan.span(i).from, scan.span(i).to);
  }
}

double cell_for(const Box& box, const CoverageOptions& o) {
  const double fine = o.cell_mm > 0 ? o.cell_mm : o.tip_mm / kCellsToTip;
  return std::max(fine, std::sqrt(std::max(box.width(), 1e-6) * std::max(box.height(), 1e-6) / o.most_cells));
}

Coverage coverage_of(const Region& upright, const Strokes& strokes, const CoverageOptions& options) {
  Coverage out;
  // Cells askew: along no edge or row of strokes do their middles then fall alike, so what one edge loses another
  // gains.
  const Affine turn = Affine::rotate(kAskew);
  const Region region = transformed(upright, turn);
  const Box bounds = bounds_of(region);
  if (bounds.empty() || !(options.tip_mm > 0)) return out;
  const double radius = options.tip_mm / 2;
  const Box box = bounds.grown(radius);
  out.cell_mm = cell_for(box, options);
  BitGrid ink(box, out.cell_mm), whole(box, out.cell_mm);
  std::vector<Vec> course;
  for (std::size_t i = 0; i < strokes.size(); ++i) {
    course.clear();
    for (const Vec p : strokes[i]) course.push_back(turn(p));
    ink.add_track(course, radius);
  }
  const auto parts = parts_of(region);
  const double cell_area = out.cell_mm * out.cell_mm;
  std::size_t cells = 0, inked = 0;
  for (const auto& part : parts) {
    // Each part on a grid of its own that lies on the cells of the whole one, and is as small as the part.
    const Box own = bounds_of(part);
    const auto c0 = std::floor((own.x0 - box.x0) / out.cell_mm / 64) * 64,
               r0 = std::floor((own.y0 - box.y0) / out.cell_mm);
    const Vec corner{box.x0 + c0 * out.cell_mm, box.y0 + r0 * out.cell_mm};
    BitGrid piece({corner.x, corner.y, own.x1, own.y1}, out.cell_mm);
    piece.add_region(part);
    std::size_t of_part = 0, of_ink = 0;
    const auto word = static_cast<std::size_t>(c0) / 64;
    for (std::size_t r = 0; r < piece.rows(); ++r) {
      const std::size_t at = static_cast<std::size_t>(r0) + r;
      if (at >= whole.rows()) break;
      for (std::size_t w = 0; w < piece.stride() && word + w < whole.stride(); ++w) {
        const std::uint64_t bits = piece.row(r)[w];
        whole.row(at)[word + w] |= bits;
        of_part += static_cast<std::size_t>(std::popcount(bits));
        of_ink += static_cast<std::size_t>(std::popcount(bits & ink.row(at)[word + w]));
      }
    }
    cells += of_part;
    inked += of_ink;
    out.part_share.push_back(of_part > 0 ? static_cast<double>(of_ink) / static_cast<double>(of_part) : 0);
  }
  out.region_mm2 = area_of(region);
  // The share is counted; the areas follow from it and from the region's true one.
  out.share = cells > 0 ? static_cast<double>(inked) / static_cast<double>(cells) : 0;
  out.inked_mm2 = out.share * out.region_mm2;
  out.outside_mm2 = static_cast<double>(count_of(ink) - inked) * cell_area;
  if (options.spot) largest_spot(whole, ink, out);
  out.gap_at = turn.inverse()(out.gap_at);
  return out;
}

}  // namespace dotlane
