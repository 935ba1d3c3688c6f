#include "core/layout/photograph.hpp"

#include <algorithm>
#include <cmath>

#include "core/color_space.hpp"
#include "core/shape/trace.hpp"

namespace dotlane {
namespace {

constexpr double kLeastApart = 0.035;  // in Oklab: nearer colours pass for the mat's own
constexpr std::size_t kBins = 256;     // of distances, from 0 to kFarthestApart
constexpr double kFarthestApart = 0.6;

double cross(Vec a, Vec b, Vec c) { return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x); }

/// Whether the corners go around once, without three in a line.
bool goes_around(const Quad& q) {
  int turns = 0;
  double size = 0;
  for (std::size_t i = 0; i < 4; ++i) size = std::max(size, distance(q[i], q[(i + 1) % 4]));
  for (std::size_t i = 0; i < 4; ++i) {
    const double c = cross(q[i], q[(i + 1) % 4], q[(i + 2) % 4]);
    if (std::abs(c) < 1e-4 * size * size) return false;
    turns += c > 0 ? 1 : -1;
  }
  return std::abs(turns) == 4;
}

/// Solves a square system by Gaussian elimination with pivoting; false where it is singular.
template <std::size_t N>
bool solve(std::array<std::array<double, N + 1>, N>& a) {
  for (std::size_t i = 0; i < N; ++i) {
    std::size_t pivot = i;
    for (std::size_t r = i; r < N; ++r) {
      if (std::abs(a[r][i]) > std::abs(a[pivot][i])) pivot = r;
    }
    if (std::abs(a[pivot][i]) < 1e-12) return false;
    std::swap(a[i], a[pivot]);
    for (std::size_t r = 0; r < N; ++r) {
      if (r == i) continue;
      const double f = a[r][i] / a[i][i];
      for (std::size_t c = i; c <= N; ++c) a[r][c] -= f * a[i][c];
    }
  }
  for (std::size_t i = 0; i < N; ++i) a[i][N] /= a[i][i];
  return true;
}

/// A channel as it is at the edges and falls off evenly between them: p + q x + r y, least squares without outliers.
struct Ground {
  double p = 0, q = 0, r = 0;
  [[nodiscard]] double at(double x, double y) const { return p + q * x + r * y; }
};
struct Sample {
  double x, y, v;
};

Ground fitted(std::vector<Sample> samples) {
  Ground out;
  for (int round = 0; round < 4 && samples.size() > 20; ++round) {
    std::array<std::array<double, 4>, 3> a{};
    for (const auto& s : samples) {
      const std::array<double, 3> row{1, s.x, s.y};
      for (std::size_t i = 0; i < 3; ++i) {
        for (std::size_t j = 0; j < 3; ++j) a[i][j] += row[i] * row[j];
        a[i][3] += row[i] * s.v;
      }
    }
    if (!solve<3>(a)) break;
    out = {a[0][3], a[1][3], a[2][3]};
    // What lies off the ground is a scrap at the edge, or a shadow: half of the samples stay.
    std::vector<double> off;
    for (const auto& s : samples) off.push_back(std::abs(s.v - out.at(s.x, s.y)));
    const auto middle = off.begin() + static_cast<std::ptrdiff_t>(off.size() / 2);
    std::nth_element(off.begin(), middle, off.end());
    const double most = std::max(2.5 * *middle, 1e-4);
    std::erase_if(samples, [&](const Sample& s) { return std::abs(s.v - out.at(s.x, s.y)) > most; });
  }
  return out;
}

/// The distance that parts two heaps of distances best (N. Otsu, IEEE Transactions on Systems, Man, and Cybernetics
/// 9(1), 1979).
double threshold_of(const std::vector<float>& apart) {
  std::array<double, kBins> count{};
  for (const float d : apart)
    ++count[std::min(kBins - 1, static_cast<std::size_t>(static_cast<double>(d) / kFarthestApart * kBins))];
  double all = 0, sum = 0;
  for (std::size_t i = 0; i < kBins; ++i) all += count[i], sum += count[i] * static_cast<double>(i);
  double below = 0, sum_below = 0, best = -1, at = 0;
  for (std::size_t i = 0; i + 1 < kBins; ++i) {
    below += count[i], sum_below += count[i] * static_cast<double>(i);
    if (below <= 0 || below >= all) continue;
    const double gap = sum_below / below - (sum - sum_below) / (all - below);
    const double between = below * (all - below) * gap * gap;
    if (between > best) best = between, at = static_cast<double>(i + 1) / kBins * kFarthestApart;
  }
  return std::max(at, kLeastApart);
}

}  // namespace

std::optional<Homography> homography(const Quad& from, const Quad& to) {
  if (!goes_around(from) || !goes_around(to)) return std::nullopt;
  std::array<std::array<double, 9>, 8> a{};
  for (std::size_t i = 0; i < 4; ++i) {
    const Vec p = from[i], q = to[i];
    a[2 * i] = {p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y, q.x};
    a[2 * i + 1] = {0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y, q.y};
  }
  if (!solve<8>(a)) return std::nullopt;
  Homography out;
  for (std::size_t i = 0; i < 8; ++i) out.m[i] = a[i][8];
  out.m[8] = 1;
  return out;
}

Picture rectified(const Picture& photograph, const Quad& corners, double width_mm, double height_mm, double px_per_mm) {
  Picture out;
  const double w = std::round(width_mm * px_per_mm), h = std::round(height_mm * px_per_mm);
  const auto to_photograph = homography({Vec{0, 0}, {w, 0}, {w, h}, {0, h}}, corners);
  if (photograph.empty() || !to_photograph || !(w >= 1 && h >= 1 && w * h <= 5e7)) return out;
  out.width = static_cast<int>(w), out.height = static_cast<int>(h);
  out.rgb.resize(3 * static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
  auto* to = out.rgb.data();
  const auto from = [&](int x, int y, std::size_t c) {
    const auto at =
        static_cast<std::size_t>(std::clamp(y, 0, photograph.height - 1)) * static_cast<std::size_t>(photograph.width) +
        static_cast<std::size_t>(std::clamp(x, 0, photograph.width - 1));
    return static_cast<double>(photograph.rgb[3 * at + c]);
  };
  for (int y = 0; y < out.height; ++y) {
    for (int x = 0; x < out.width; ++x) {
      // Pixels are as large as they are: their middles are half a pixel in.
      const Vec p = (*to_photograph)({x + 0.5, y + 0.5}) - Vec{0.5, 0.5};
      const double fx = std::clamp(std::floor(p.x), -1e6, 1e6), fy = std::clamp(std::floor(p.y), -1e6, 1e6);
      const int ix = static_cast<int>(fx), iy = static_cast<int>(fy);
      const double u = std::clamp(p.x - fx, 0.0, 1.0), v = std::clamp(p.y - fy, 0.0, 1.0);
      for (std::size_t c = 0; c < 3; ++c) {
        const double value = (from(ix, iy, c) * (1 - u) + from(ix + 1, iy, c) * u) * (1 - v) +
                             (from(ix, iy + 1, c) * (1 - u) + from(ix + 1, iy + 1, c) * u) * v;
        *to++ = static_cast<std::uint8_t>(std::lround(value));
      }
    }
  }
  return out;
}

std::vector<Region> things_on(const Picture& mat, double px_per_mm, double least_mm2, double edge_mm) {
  if (mat.empty()) return {};
  const auto width = static_cast<std::size_t>(mat.width), height = static_cast<std::size_t>(mat.height);
  std::vector<Lab> lab(width * height);
  for (std::size_t i = 0; i < lab.size(); ++i)
    lab[i] = to_oklab({mat.rgb[3 * i], mat.rgb[3 * i + 1], mat.rgb[3 * i + 2]});
  const auto edge = static_cast<std::size_t>(std::max(2.0, edge_mm * px_per_mm));
  const auto in_border = [&](std::size_t x, std::size_t y) {
    return x < edge || y < edge || x + edge >= width || y + edge >= height;
  };
  std::array<std::vector<Sample>, 3> samples;
  for (std::size_t y = 0; y < height; y += 2) {
    for (std::size_t x = 0; x < width; x += 2) {
      // Twice the border, without its outermost pixels, which may show what is beside the mat.
      const bool near = x < 2 * edge || y < 2 * edge || x + 2 * edge >= width || y + 2 * edge >= height;
      if (!near || x < edge / 3 || y < edge / 3 || x + edge / 3 >= width || y + edge / 3 >= height) continue;
      const Lab& c = lab[y * width + x];
      const double fx = static_cast<double>(x) / static_cast<double>(width),
                   fy = static_cast<double>(y) / static_cast<double>(height);
      samples[0].push_back({fx, fy, c.l}), samples[1].push_back({fx, fy, c.a}), samples[2].push_back({fx, fy, c.b});
    }
  }
  const Ground l = fitted(std::move(samples[0])), a = fitted(std::move(samples[1])), b = fitted(std::move(samples[2]));
  std::vector<float> apart(lab.size());
  for (std::size_t y = 0; y < height; ++y) {
    for (std::size_t x = 0; x < width; ++x) {
      const double fx = static_cast<double>(x) / static_cast<double>(width),
                   fy = static_cast<double>(y) / static_cast<double>(height);
      const Lab& c = lab[y * width + x];
      apart[y * width + x] = static_cast<float>(std::hypot(c.l - l.at(fx, fy), c.a - a.at(fx, fy), c.b - b.at(fx, fy)));
    }
  }
  const auto threshold = static_cast<float>(threshold_of(apart));
  Picture mask{mat.width, mat.height, std::vector<std::uint8_t>(mat.rgb.size(), 255)};
  for (std::size_t y = 0; y < height; ++y) {
    for (std::size_t x = 0; x < width; ++x) {
      if (in_border(x, y) || apart[y * width + x] <= threshold) continue;
      for (std::size_t c = 0; c < 3; ++c) mask.rgb[3 * (y * width + x) + c] = 0;
    }
  }
  Sayings trouble;
  const auto layers = trace(mask,
                            {{"width", static_cast<double>(mat.width) / px_per_mm},
                             {"threshold", 50.0},
                             {"smoothing", 0.6},
                             {"despeckle", std::floor(least_mm2 * px_per_mm * px_per_mm / 4)}},
                            trouble);
  std::vector<Region> out;
  for (const auto& layer : layers) {
    for (auto& part : parts_of(region_of(layer.path))) {
      if (area_of(part) >= least_mm2) out.push_back(std::move(part));
    }
  }
  std::sort(out.begin(), out.end(), [](const Region& x, const Region& y) { return area_of(x) > area_of(y); });
  return out;
}

}  // namespace dotlane
