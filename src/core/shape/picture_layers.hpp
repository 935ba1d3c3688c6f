// A picture taken apart by colour: every pixel belongs to one of a few colours, in parts that can be cut.
#pragma once

#include <cstdint>
#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

struct Crop;  // core/shape/trace.hpp

/// Colours nearer than this (CIEDE2000) are one to whoever cuts card.
inline constexpr double kSameColor = 8;

struct LayerOptions {
  int count = 4;               ///< colours, where none are given
  std::vector<Color> given{};  ///< these and no others: of stock, say
  double narrowest_px = 0;     ///< parts that are nowhere wider are given to what surrounds them
  double smallest_px2 = 4;     ///< likewise parts smaller than this
  bool without_edge = false;   ///< what touches the picture's edge and has the colour that is most common there
};

/// Row by row, the index of each pixel's colour; the colours are sorted from light to dark. kNone: taken away.
struct PictureLayers {
  int width = 0, height = 0;
  std::vector<Color> colors;
  std::vector<std::uint8_t> layer;
  static constexpr std::uint8_t kNone = 255;
};

/// Method: colours are proposed by pixels in flat surroundings, chosen far apart as CIEDE2000 tells them apart (those
/// nearer than kSameColor to one that is chosen give their place to others; Sharma, Wu and Dalal 2005 for the formula)
/// and refined by k-means in CIELAB. Pixels where colours change are blends: they go to the neighbour that is nearest
/// to them, unless they have a colour of their own that no mixture of their neighbours makes, as thin lines have.
[[nodiscard]] PictureLayers layers_of(const Picture& picture, const Crop& crop, const LayerOptions& options);

}  // namespace dotlane
