#include "core/shape/trace.hpp"

#include <potracelib.h>

#include <algorithm>
#include <memory>

#include "core/color_space.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {
namespace {

/// Pixels of the cropped part, true where they belong to the shape.
struct Mask {
  int width = 0, height = 0;
  std::vector<bool> set;
};

Color pixel(const Picture& picture, const Crop& crop, int x, int y) {
  const auto at = 3 * (static_cast<std::size_t>(crop.y0 + y) * static_cast<std::size_t>(picture.width) +
                       static_cast<std::size_t>(crop.x0 + x));
  return {picture.rgb[at], picture.rgb[at + 1], picture.rgb[at + 2]};
}

/// The mask's outlines in mm, `scale` mm a pixel.
Path outlines(const Mask& mask, const Reading& take, double scale) {
  constexpr int kBits = 8 * sizeof(potrace_word);
  const int words = (mask.width + kBits - 1) / kBits;
  std::vector<potrace_word> bits(static_cast<std::size_t>(words) * static_cast<std::size_t>(mask.height), 0);
  for (int y = 0; y < mask.height; ++y) {
    // Row 0 is the lowest for potrace.
    potrace_word* row = bits.data() + static_cast<std::size_t>(mask.height - 1 - y) * static_cast<std::size_t>(words);
    for (int x = 0; x < mask.width; ++x) {
      if (mask.set[static_cast<std::size_t>(y) * static_cast<std::size_t>(mask.width) + static_cast<std::size_t>(x)])
        row[x / kBits] |= potrace_word{1} << (kBits - 1 - x % kBits);
    }
  }
  potrace_bitmap_t bitmap{mask.width, mask.height, words, bits.data()};
  const std::unique_ptr<potrace_param_t, decltype(&potrace_param_free)> param(potrace_param_default(),
                                                                              &potrace_param_free);
  if (!param) return {};
  param->turdsize = take.count("despeckle");
  param->alphamax = take.number("smoothing");
  const std::unique_ptr<potrace_state_t, decltype(&potrace_state_free)> state(potrace_trace(param.get(), &bitmap),
                                                                              &potrace_state_free);
  Path out;
  if (!state || state->status != POTRACE_STATUS_OK) return out;
  auto mm = [&](const potrace_dpoint_t& p) { return Vec{p.x * scale, (mask.height - p.y) * scale}; };
  for (const potrace_path_t* path = state->plist; path; path = path->next) {
    const potrace_curve_t& curve = path->curve;
    Contour c;
    c.closed = true;
    c.start = mm(curve.c[curve.n - 1][2]);
    for (int i = 0; i < curve.n; ++i) {
      if (curve.tag[i] == POTRACE_CORNER) {
        c.segments.push_back(Segment::line(mm(curve.c[i][1])));
        c.segments.push_back(Segment::line(mm(curve.c[i][2])));
      } else {
        c.segments.push_back(Segment::cubic(mm(curve.c[i][0]), mm(curve.c[i][1]), mm(curve.c[i][2])));
      }
    }
    c.segments.back().end = c.start;
    out.contours.push_back(std::move(c));
  }
  return out;
}

double apart(const Lab& a, const Lab& b) {
  const double l = a.l - b.l, x = a.a - b.a, y = a.b - b.b;
  return l * l + x * x + y * y;
}

/// k means over the colours that occur, by their frequency; the first means are spread as far apart as may be, so the
/// same picture always gives the same colours.
std::vector<Lab> dominant(const std::vector<std::pair<Lab, double>>& colors, int k) {
  std::vector<Lab> means;
  const auto most =
      std::max_element(colors.begin(), colors.end(), [](const auto& a, const auto& b) { return a.second < b.second; });
  means.push_back(most->first);
  while (static_cast<int>(means.size()) < k) {
    double best = 0;
    Lab next = means.front();
    for (const auto& [lab, n] : colors) {
      double near = 1e9;
      for (const auto& m : means) near = std::min(near, apart(lab, m));
      if (near * std::sqrt(n) > best) best = near * std::sqrt(n), next = lab;
    }
    if (best <= 0) break;
    means.push_back(next);
  }
  for (int round = 0; round < 20; ++round) {
    std::vector<Lab> sum(means.size());
    std::vector<double> weight(means.size(), 0.0);
    for (const auto& [lab, n] : colors) {
      std::size_t near = 0;
      for (std::size_t i = 1; i < means.size(); ++i) {
        if (apart(lab, means[i]) < apart(lab, means[near])) near = i;
      }
      sum[near] = {sum[near].l + lab.l * n, sum[near].a + lab.a * n, sum[near].b + lab.b * n};
      weight[near] += n;
    }
    double moved = 0;
    for (std::size_t i = 0; i < means.size(); ++i) {
      if (weight[i] <= 0) continue;
      const Lab mean{sum[i].l / weight[i], sum[i].a / weight[i], sum[i].b / weight[i]};
      moved = std::max(moved, apart(mean, means[i]));
      means[i] = mean;
    }
    if (moved < 1e-8) break;
  }
  std::sort(means.begin(), means.end(), [](const Lab& a, const Lab& b) { return a.l > b.l; });
  return means;
}

std::vector<TracedLayer> in_colors(const Picture& picture, const Crop& crop, const Reading& take, double scale) {
  // Colours are counted on 5 bits a channel: finer differences do not decide what a person calls one colour.
  std::vector<double> counts(std::size_t{1} << 15, 0.0);
  auto bin = [](Color c) {
    return static_cast<std::size_t>(c.r >> 3) << 10 | static_cast<std::size_t>(c.g >> 3) << 5 |
           static_cast<std::size_t>(c.b >> 3);
  };
  for (int y = 0; y < crop.height; ++y) {
    for (int x = 0; x < crop.width; ++x) ++counts[bin(pixel(picture, crop, x, y))];
  }
  std::vector<std::pair<Lab, double>> colors;
  std::vector<std::size_t> bins;
  for (std::size_t b = 0; b < counts.size(); ++b) {
    if (counts[b] <= 0) continue;
    auto middle = [](std::size_t v) { return static_cast<std::uint8_t>((v & 31) * 255 / 31); };
    colors.push_back({to_oklab({middle(b >> 10), middle(b >> 5), middle(b)}), counts[b]});
    bins.push_back(b);
  }
  const auto means = dominant(colors, take.count("layers"));
  std::vector<std::uint8_t> layer_of(counts.size(), 0);
  for (std::size_t i = 0; i < colors.size(); ++i) {
    std::size_t near = 0;
    for (std::size_t m = 1; m < means.size(); ++m) {
      if (apart(colors[i].first, means[m]) < apart(colors[i].first, means[near])) near = m;
    }
    layer_of[bins[i]] = static_cast<std::uint8_t>(near);
  }
  std::vector<TracedLayer> out;
  const bool stacked = take.is("meet", "stack");
  for (std::size_t m = 0; m < means.size(); ++m) {
    Mask mask{crop.width, crop.height,
              std::vector<bool>(static_cast<std::size_t>(crop.width) * static_cast<std::size_t>(crop.height))};
    for (int y = 0; y < crop.height; ++y) {
      for (int x = 0; x < crop.width; ++x) {
        const std::size_t l = layer_of[bin(pixel(picture, crop, x, y))];
        mask.set[static_cast<std::size_t>(y) * static_cast<std::size_t>(crop.width) + static_cast<std::size_t>(x)] =
            l == m || (stacked && l > m);
      }
    }
    Path path = outlines(mask, take, scale);
    if (!path.contours.empty()) out.push_back({from_oklab(means[m]), std::move(path)});
  }
  return out;
}

}  // namespace

Crop crop_of(const Picture& picture, const Reading& take) {
  auto at = [](int size, double percent) { return static_cast<int>(size * percent / 100); };
  Crop crop{at(picture.width, take.number("crop-left")), at(picture.height, take.number("crop-top")), 0, 0};
  crop.width = picture.width - crop.x0 - at(picture.width, take.number("crop-right"));
  crop.height = picture.height - crop.y0 - at(picture.height, take.number("crop-bottom"));
  return crop;
}

std::vector<TracedLayer> trace(const Picture& picture, const Values& values, Sayings& trouble) {
  const Reading take(*find_kind(shape_kinds(), "picture"), values);
  if (picture.empty() || picture.rgb.size() < std::size_t{3} * static_cast<std::size_t>(picture.width) *
                                                  static_cast<std::size_t>(picture.height)) {
    trouble = {{"trace-no-picture"}};
    return {};
  }
  const Crop crop = crop_of(picture, take);
  if (crop.width < 2 || crop.height < 2) {
    trouble = {{"trace-cropped"}};
    return {};
  }
  const double scale = take.number("width") / crop.width;
  std::vector<TracedLayer> out;
  if (take.is("colors", "several")) {
    out = in_colors(picture, crop, take, scale);
  } else {
    const double below = take.number("threshold") / 100 * 255;
    const bool invert = take.flag("invert");
    Mask mask{crop.width, crop.height, {}};
    for (int y = 0; y < crop.height; ++y) {
      for (int x = 0; x < crop.width; ++x) {
        const Color c = pixel(picture, crop, x, y);
        const double luma = 0.2126 * c.r + 0.7152 * c.g + 0.0722 * c.b;  // ITU-R BT.709
        mask.set.push_back((luma < below) != invert);
      }
    }
    Path path = outlines(mask, take, scale);
    if (!path.contours.empty()) out.push_back({{34, 34, 34}, std::move(path)});
  }
  if (out.empty()) trouble = {{"trace-nothing"}};
  return out;
}

std::vector<Line> traced_lines(const Picture& picture, const Values& values, Sayings& trouble) {
  std::vector<Line> out;
  int number = 0;
  for (auto& layer : trace(picture, values, trouble)) {
    Line line;
    line.id = "trace-" + std::to_string(++number);
    line.layer = hex(layer.color);
    line.color = layer.color;
    line.filled = true;
    line.path = std::move(layer.path);
    out.push_back(std::move(line));
  }
  return out;
}

double smallest_bit(const std::vector<Line>& lines) {
  double smallest = 0;
  for (const auto& line : lines) {
    for (const auto& contour : line.path->contours) {
      const Box box = bounds_of(Path{{contour}, FillRule::nonzero});
      const double side = std::min(box.width(), box.height());
      if (smallest == 0 || side < smallest) smallest = side;
    }
  }
  return smallest;
}

}  // namespace dotlane
