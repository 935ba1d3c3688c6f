#include "core/shape/picture_layers.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>
#include <span>

#include "core/color_space.hpp"
#include "core/shape/trace.hpp"

namespace dotlane {
namespace {

constexpr double kFlatSteps = 10;   // CIELAB steps to the neighbours up to which a pixel lies in a surface
constexpr double kOwnSteps = 22;    // a thin line is farther than this from what it lies in,
constexpr double kOwnMatch = 14;    // and as near as this to its own colour,
constexpr double kMixture = 9;      // and this far from any mixture of the two beside it
constexpr int kBesideReach = 3;     // px to look for what lies beside
constexpr double kFlatShare = 0.2;  // of pixels; below, the picture has no surfaces, and all of it proposes colours
constexpr int kMeanRounds = 16;

struct Grid {
  int width, height;
  [[nodiscard]] std::size_t at(int x, int y) const {
    return static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x);
  }
  [[nodiscard]] std::size_t size() const { return static_cast<std::size_t>(width) * static_cast<std::size_t>(height); }
  /// The places left, above, right and below.
  template <class Visit>
  void beside(std::size_t i, const Visit& visit) const {
    const auto w = static_cast<std::size_t>(width);
    const std::size_t x = i % w;
    if (x > 0) visit(i - 1);
    if (i >= w) visit(i - w);
    if (x + 1 < w) visit(i + 1);
    if (i + w < size()) visit(i + w);
  }
};

double steps(const Lab& a, const Lab& b) {
  return std::sqrt((a.l - b.l) * (a.l - b.l) + (a.a - b.a) * (a.a - b.a) + (a.b - b.b) * (a.b - b.b));
}

/// 6 bits a channel: finer differences do not decide what a person calls one colour.
constexpr std::size_t kBins = std::size_t{1} << 18;
std::uint32_t bin(Color c) {
  return static_cast<std::uint32_t>(c.r >> 2) << 12 | static_cast<std::uint32_t>(c.g >> 2) << 6 |
         static_cast<std::uint32_t>(c.b >> 2);
}
Color middle(std::size_t bin) {
  const auto channel = [](std::size_t v) { return static_cast<std::uint8_t>((v & 63) * 255 / 63); };
  return {channel(bin >> 12), channel(bin >> 6), channel(bin)};
}

struct Proposed {
  Lab lab;
  double weight;
};

/// Colours far apart first, by how different they look and how much there is of them.
std::vector<Lab> chosen(const std::vector<Proposed>& all, int count) {
  std::vector<Lab> means;
  if (all.empty()) return means;
  std::vector<double> nearest(all.size(), 1e9);
  const auto add = [&](const Lab& lab) {
    means.push_back(lab);
    for (std::size_t i = 0; i < all.size(); ++i) nearest[i] = std::min(nearest[i], ciede2000(all[i].lab, lab));
  };
  double whole = 0;
  for (const auto& p : all) whole += p.weight;
  add(std::max_element(all.begin(), all.end(), [](const auto& a, const auto& b) { return a.weight < b.weight; })->lab);
  const auto spread = [&] {
    while (static_cast<int>(means.size()) < count) {
      double best = 0;
      std::optional<std::size_t> next;
      for (std::size_t i = 0; i < all.size(); ++i) {
        if (nearest[i] < kSameColor) continue;
        const double worth = nearest[i] * std::sqrt(all[i].weight / whole);
        if (worth > best) best = worth, next = i;
      }
      if (!next) return;
      add(all[*next].lab);
    }
  };
  const auto refine = [&] {
    for (int round = 0; round < kMeanRounds; ++round) {
      std::vector<Lab> sum(means.size());
      std::vector<double> weight(means.size(), 0.0);
      for (const auto& p : all) {
        std::size_t near = 0;
        for (std::size_t m = 1; m < means.size(); ++m) {
          if (steps(p.lab, means[m]) < steps(p.lab, means[near])) near = m;
        }
        sum[near] = {sum[near].l + p.lab.l * p.weight, sum[near].a + p.lab.a * p.weight,
                     sum[near].b + p.lab.b * p.weight};
        weight[near] += p.weight;
      }
      double moved = 0;
      for (std::size_t m = 0; m < means.size(); ++m) {
        if (weight[m] <= 0) continue;
        const Lab mean{sum[m].l / weight[m], sum[m].a / weight[m], sum[m].b / weight[m]};
        moved = std::max(moved, steps(mean, means[m]));
        means[m] = mean;
      }
      if (moved < 0.05) break;
    }
  };
  // What grew alike gives its place to another, a few times over.
  for (int again = 0; again < 4; ++again) {
    spread();
    refine();
    std::vector<Lab> kept;
    for (const auto& mean : means) {
      if (std::none_of(kept.begin(), kept.end(), [&](const Lab& k) { return ciede2000(k, mean) < kSameColor; }))
        kept.push_back(mean);
    }
    const bool same = kept.size() == means.size();
    means.clear();
    std::fill(nearest.begin(), nearest.end(), 1e9);
    for (const auto& mean : kept) add(mean);
    if (same) break;
  }
  return means;
}

/// How far the colour is from all mixtures of two.
double off_mixture(const Lab& c, const Lab& a, const Lab& b) {
  const Lab d{b.l - a.l, b.a - a.a, b.b - a.b};
  const double length = d.l * d.l + d.a * d.a + d.b * d.b;
  const double t =
      length > 0 ? std::clamp(((c.l - a.l) * d.l + (c.a - a.a) * d.a + (c.b - a.b) * d.b) / length, 0.0, 1.0) : 0;
  return steps(c, {a.l + t * d.l, a.a + t * d.a, a.b + t * d.b});
}

class Sorter {
 public:
  Sorter(const Picture& picture, const Crop& crop, const LayerOptions& options)
      : picture_(picture), crop_(crop), options_(options), grid_{crop.width, crop.height}, lab_of_(kBins) {
    std::vector<bool> occurs(kBins, false);
    bin_.reserve(grid_.size());
    for (std::size_t i = 0; i < grid_.size(); ++i) {
      bin_.push_back(bin(color(i)));
      occurs[bin_.back()] = true;
    }
    for (std::size_t b = 0; b < kBins; ++b) {
      if (occurs[b]) bins_.push_back(static_cast<std::uint32_t>(b)), lab_of_[b] = to_cielab(middle(b));
    }
  }

  PictureLayers sorted() {
    find_flat();
    find_colors();
    assign();
    give_away_small_parts();
    if (options_.without_edge) take_away_edge();
    return by_lightness();
  }

 private:
  const Picture& picture_;
  const Crop& crop_;
  const LayerOptions& options_;
  Grid grid_;
  std::vector<std::uint32_t> bin_;   // of each pixel
  std::vector<std::uint32_t> bins_;  // those that occur
  std::vector<Lab> lab_of_;          // by bin
  std::vector<Lab> palette_;
  std::vector<bool> flat_;
  std::vector<std::uint8_t> layer_;

  [[nodiscard]] Color color(std::size_t i) const {
    const auto w = static_cast<std::size_t>(grid_.width);
    const std::size_t at =
        3 * ((static_cast<std::size_t>(crop_.y0) + i / w) * static_cast<std::size_t>(picture_.width) +
             static_cast<std::size_t>(crop_.x0) + i % w);
    return {picture_.rgb[at], picture_.rgb[at + 1], picture_.rgb[at + 2]};
  }
  [[nodiscard]] const Lab& lab(std::size_t i) const { return lab_of_[bin_[i]]; }

  void find_flat() {
    flat_.assign(grid_.size(), true);
    for (int y = 0; y < grid_.height; ++y) {
      for (int x = 0; x < grid_.width; ++x) {
        const std::size_t i = grid_.at(x, y);
        for (int v = std::max(0, y - 1); v <= std::min(grid_.height - 1, y + 1) && flat_[i]; ++v) {
          for (int u = std::max(0, x - 1); u <= std::min(grid_.width - 1, x + 1); ++u) {
            const std::size_t k = grid_.at(u, v);
            if (bin_[k] == bin_[i] || steps(lab(i), lab(k)) <= kFlatSteps) continue;
            flat_[i] = false;
            break;
          }
        }
      }
    }
  }

  void find_colors() {
    if (!options_.given.empty()) {
      for (const Color c : options_.given) palette_.push_back(to_cielab(c));
      return;
    }
    const auto surfaces = static_cast<double>(std::count(flat_.begin(), flat_.end(), true));
    const bool all = surfaces < kFlatShare * static_cast<double>(grid_.size());
    // Thin lines have no flat pixel: what is no blend proposes as well, with less weight.
    constexpr double kOfEdges = 0.15;
    std::vector<double> weight(kBins, 0.0);
    for (std::size_t i = 0; i < grid_.size(); ++i) weight[bin_[i]] += all || flat_[i] ? 1 : kOfEdges;
    std::vector<Proposed> proposed;
    for (const std::uint32_t b : bins_) proposed.push_back({lab_of_[b], weight[b]});
    palette_ = chosen(proposed, options_.count);
  }

  [[nodiscard]] std::uint8_t nearest(const Lab& lab) const {
    std::size_t near = 0;
    double best = 1e9;
    for (std::size_t m = 0; m < palette_.size(); ++m) {
      if (const double d = ciede2000(lab, palette_[m]); d < best) best = d, near = m;
    }
    return static_cast<std::uint8_t>(near);
  }

  void assign() {
    std::vector<std::uint8_t> own_of(kBins, 0);  // by bin
    for (const std::uint32_t b : bins_) own_of[b] = nearest(lab_of_[b]);
    layer_.assign(grid_.size(), PictureLayers::kNone);
    std::vector<std::size_t> front;
    for (int y = 0; y < grid_.height; ++y) {
      for (int x = 0; x < grid_.width; ++x) {
        const std::size_t i = grid_.at(x, y);
        const std::uint8_t own = own_of[bin_[i]];
        if (flat_[i] || has_own_color(x, y, own)) layer_[i] = own, front.push_back(i);
      }
    }
    if (front.empty()) {
      for (std::size_t i = 0; i < grid_.size(); ++i) layer_[i] = own_of[bin_[i]];
      return;
    }
    // From surfaces and lines into the blends between them, ring by ring.
    while (!front.empty()) {
      std::vector<std::size_t> next;
      for (const std::size_t i : front) {
        grid_.beside(i, [&](std::size_t k) {
          if (layer_[k] == PictureLayers::kNone) layer_[k] = kWaiting, next.push_back(k);
        });
      }
      std::vector<std::uint8_t> given(next.size());
      for (std::size_t n = 0; n < next.size(); ++n) {
        double best = 1e9;
        grid_.beside(next[n], [&](std::size_t k) {
          const std::uint8_t l = layer_[k];
          if (l >= kWaiting) return;
          if (const double d = steps(lab(next[n]), palette_[l]); d < best) best = d, given[n] = l;
        });
      }
      for (std::size_t n = 0; n < next.size(); ++n) layer_[next[n]] = given[n];
      front = std::move(next);
    }
  }

  static constexpr std::uint8_t kWaiting = 254;

  /// Whether a pixel between surfaces is no mixture of them: a thin line.
  [[nodiscard]] bool has_own_color(int x, int y, std::uint8_t own) const {
    const Lab& here = lab(grid_.at(x, y));
    if (steps(here, palette_[own]) > kOwnMatch) return false;
    std::array<Lab, 8> around;
    std::size_t count = 0;
    for (int v = std::max(0, y - kBesideReach); v <= std::min(grid_.height - 1, y + kBesideReach); ++v) {
      for (int u = std::max(0, x - kBesideReach); u <= std::min(grid_.width - 1, x + kBesideReach); ++u) {
        const std::size_t k = grid_.at(u, v);
        if (!flat_[k]) continue;
        const Lab& there = lab(k);
        if (steps(there, here) < kOwnSteps) return false;  // at a surface of its own colour: the flood comes there
        const auto end = around.begin() + static_cast<std::ptrdiff_t>(count);
        if (count < around.size() &&
            std::none_of(around.begin(), end, [&](const Lab& a) { return steps(a, there) < kFlatSteps; }))
          around[count++] = there;
      }
    }
    for (std::size_t a = 0; a < count; ++a) {
      for (std::size_t b = a; b < count; ++b) {
        if (off_mixture(here, around[a], around[b]) < kMixture) return false;
      }
    }
    return true;
  }

  /// All pixels, part by part, and where each part begins among them.
  struct Parts {
    std::vector<std::uint32_t> pixels, starts;
    [[nodiscard]] std::span<const std::uint32_t> part(std::size_t n) const {
      const std::size_t end = n + 1 < starts.size() ? starts[n + 1] : pixels.size();
      return {pixels.data() + starts[n], pixels.data() + end};
    }
  };

  [[nodiscard]] Parts parts() const {
    Parts out;
    out.pixels.reserve(grid_.size());
    std::vector<bool> seen(grid_.size(), false);
    for (std::size_t i = 0; i < grid_.size(); ++i) {
      if (seen[i]) continue;
      out.starts.push_back(static_cast<std::uint32_t>(out.pixels.size()));
      out.pixels.push_back(static_cast<std::uint32_t>(i));
      seen[i] = true;
      for (std::size_t at = out.starts.back(); at < out.pixels.size(); ++at) {
        grid_.beside(out.pixels[at], [&](std::size_t k) {
          if (!seen[k] && layer_[k] == layer_[i]) seen[k] = true, out.pixels.push_back(static_cast<std::uint32_t>(k));
        });
      }
    }
    return out;
  }

  /// Twice the distance of each pixel to the next one of another layer or the edge, as a square's side, px: the
  /// chessboard distance in two sweeps.
  [[nodiscard]] std::vector<int> widths() const {
    std::vector<int> out(grid_.size(), 1);
    const auto sweep = [&](int x, int y, std::initializer_list<std::pair<int, int>> from) {
      const std::size_t i = grid_.at(x, y);
      int least = 1 << 20;
      for (const auto& [dx, dy] : from) {
        const int u = x + dx, v = y + dy;
        const bool outside = u < 0 || v < 0 || u >= grid_.width || v >= grid_.height;
        const bool other = outside || layer_[grid_.at(u, v)] != layer_[i];
        least = std::min(least, other ? 0 : out[grid_.at(u, v)]);
      }
      return least + 1;
    };
    for (int y = 0; y < grid_.height; ++y) {
      for (int x = 0; x < grid_.width; ++x) out[grid_.at(x, y)] = sweep(x, y, {{-1, 0}, {-1, -1}, {0, -1}, {1, -1}});
    }
    for (int y = grid_.height - 1; y >= 0; --y) {
      for (int x = grid_.width - 1; x >= 0; --x) {
        auto& here = out[grid_.at(x, y)];
        here = std::min(here, sweep(x, y, {{1, 0}, {1, 1}, {0, 1}, {-1, 1}}));
      }
    }
    return out;
  }

  /// The smallest first, to the neighbour with which they share most of their edge.
  void give_away_small_parts() {
    constexpr int kMostRounds = 8;  // what was given away may leave others small
    for (int round = 0; round < kMostRounds; ++round) {
      const Parts all = parts();
      const std::vector<int> wide = options_.narrowest_px > 1 ? widths() : std::vector<int>();
      std::vector<std::span<const std::uint32_t>> small;
      for (std::size_t n = 0; n < all.starts.size(); ++n) {
        const auto part = all.part(n);
        const bool goes = static_cast<double>(part.size()) < options_.smallest_px2 ||
                          (!wide.empty() && std::all_of(part.begin(), part.end(), [&](std::uint32_t i) {
                            return 2 * wide[i] - 1 < options_.narrowest_px;
                          }));
        if (goes) small.push_back(part);
      }
      std::stable_sort(small.begin(), small.end(), [](const auto& a, const auto& b) { return a.size() < b.size(); });
      bool changed = false;
      for (const auto& part : small) {
        const std::uint8_t own = layer_[part.front()];
        std::array<int, 256> shared{};
        for (const std::uint32_t i : part) {
          grid_.beside(i, [&](std::size_t k) {
            if (layer_[k] != own) ++shared[layer_[k]];
          });
        }
        const auto most = std::max_element(shared.begin(), shared.end());
        if (*most == 0) continue;
        for (const std::uint32_t i : part) layer_[i] = static_cast<std::uint8_t>(most - shared.begin());
        changed = true;
      }
      if (!changed) return;
    }
  }

  void take_away_edge() {
    std::array<std::size_t, 256> at_edge{};
    std::vector<std::size_t> edge;
    for (int x = 0; x < grid_.width; ++x) edge.push_back(grid_.at(x, 0)), edge.push_back(grid_.at(x, grid_.height - 1));
    for (int y = 0; y < grid_.height; ++y) edge.push_back(grid_.at(0, y)), edge.push_back(grid_.at(grid_.width - 1, y));
    for (const std::size_t i : edge) ++at_edge[layer_[i]];
    const auto background =
        static_cast<std::uint8_t>(std::max_element(at_edge.begin(), at_edge.end()) - at_edge.begin());
    std::vector<std::size_t> front;
    for (const std::size_t i : edge) {
      if (layer_[i] == background) layer_[i] = PictureLayers::kNone, front.push_back(i);
    }
    while (!front.empty()) {
      const std::size_t i = front.back();
      front.pop_back();
      grid_.beside(i, [&](std::size_t k) {
        if (layer_[k] == background) layer_[k] = PictureLayers::kNone, front.push_back(k);
      });
    }
  }

  /// A layer's colour is the mean of its flat pixels, or as it was given.
  [[nodiscard]] PictureLayers by_lightness() const {
    std::vector<std::array<double, 4>> sum(palette_.size());
    for (std::size_t i = 0; i < grid_.size(); ++i) {
      if (layer_[i] >= palette_.size()) continue;
      const double weight = flat_[i] ? 1 : 1e-3;
      auto& s = sum[layer_[i]];
      const Color c = color(i);
      s[0] += weight * c.r, s[1] += weight * c.g, s[2] += weight * c.b, s[3] += weight;
    }
    std::vector<std::pair<Color, std::size_t>> colors;
    for (std::size_t m = 0; m < palette_.size(); ++m) {
      const auto& s = sum[m];
      if (s[3] <= 0) continue;
      const auto channel = [&](std::size_t k) { return static_cast<std::uint8_t>(std::lround(s[k] / s[3])); };
      colors.emplace_back(options_.given.empty() ? Color{channel(0), channel(1), channel(2)} : options_.given[m], m);
    }
    std::stable_sort(colors.begin(), colors.end(),
                     [](const auto& a, const auto& b) { return to_cielab(a.first).l > to_cielab(b.first).l; });
    PictureLayers out{grid_.width, grid_.height, {}, layer_};
    std::array<std::uint8_t, 256> renamed{};
    renamed.fill(PictureLayers::kNone);
    for (const auto& [color, m] : colors) {
      renamed[m] = static_cast<std::uint8_t>(out.colors.size());
      out.colors.push_back(color);
    }
    for (auto& l : out.layer) l = renamed[l];
    return out;
  }
};

}  // namespace

PictureLayers layers_of(const Picture& picture, const Crop& crop, const LayerOptions& options) {
  return Sorter(picture, crop, options).sorted();
}

}  // namespace dotlane
