#include "core/shape/trace.hpp"

#include <potracelib.h>

#include <algorithm>
#include <memory>

#include "core/color.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/picture_layers.hpp"

namespace dotlane {
namespace {

/// Pixels of the cropped part, true where they belong to the shape.
struct Mask {
  int width = 0, height = 0;
  std::vector<bool> set;
};

constexpr std::size_t kMostColors = 32;  // that are given

Color pixel(const Picture& picture, const Crop& crop, int x, int y) {
  const auto at = 3 * (static_cast<std::size_t>(crop.y0 + y) * static_cast<std::size_t>(picture.width) +
                       static_cast<std::size_t>(crop.x0 + x));
  return {picture.rgb[at], picture.rgb[at + 1], picture.rgb[at + 2]};
}

/// The mask's outlines in mm, `scale` mm a pixel.
Path outlines(const Mask& mask, int despeckle, double smoothing, double scale) {
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
  param->turdsize = despeckle;
  param->alphamax = smoothing;
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

std::vector<TracedLayer> in_colors(const Picture& picture, const Crop& crop, const Reading& take, double scale) {
  LayerOptions options;
  options.count = take.count("layers");
  if (take.is("colors", "given")) options.given = palette_of(take.text("palette"));
  options.narrowest_px = take.number("narrowest") / scale;
  options.smallest_px2 = take.number("despeckle");
  options.without_edge = take.flag("no-background");
  const PictureLayers layers = layers_of(picture, crop, options);
  std::vector<TracedLayer> out;
  const bool stacked = take.is("meet", "stack");
  for (std::size_t m = 0; m < layers.colors.size(); ++m) {
    Mask mask{crop.width, crop.height, std::vector<bool>(layers.layer.size())};
    for (std::size_t i = 0; i < layers.layer.size(); ++i) {
      const std::uint8_t l = layers.layer[i];
      mask.set[i] = l != PictureLayers::kNone && (l == m || (stacked && l > m));
    }
    // Small parts were given away: to leave out more of them would leave holes.
    Path path = outlines(mask, 0, take.number("smoothing"), scale);
    if (!path.contours.empty()) out.push_back({layers.colors[m], std::move(path)});
  }
  return out;
}

}  // namespace

std::vector<Color> palette_of(const std::string& text) {
  std::vector<Color> out;
  std::string word;
  for (const char c : text + " ") {
    if (c != ' ' && c != ',' && c != ';') {
      word += c;
      continue;
    }
    if (const auto color = word.empty() ? std::nullopt : parse_color(word); color && out.size() < kMostColors)
      out.push_back(*color);
    word.clear();
  }
  return out;
}

std::string with_or_without(const std::string& palette, Color color) {
  std::vector<Color> colors = palette_of(palette);
  if (std::erase_if(colors, [&](Color c) { return difference(c, color) < kSameColor; }) == 0) colors.push_back(color);
  std::string out;
  for (const Color c : colors) out += (out.empty() ? "" : " ") + hex(c);
  return out;
}

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
  if (!take.is("colors", "two")) {
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
    Path path = outlines(mask, take.count("despeckle"), take.number("smoothing"), scale);
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
