// Colours as the eye sees them: CIELAB, Oklab and the difference between two colours.
#pragma once

#include <string>
#include <vector>

#include "core/color.hpp"

namespace dotlane {

/// CIELAB for D65 (L 0 to 100), or Oklab (L 0 to 1), as said by the function that made it.
struct Lab {
  double l = 0, a = 0, b = 0;
};

/// sRGB (IEC 61966-2-1) to CIELAB with the D65 white point.
[[nodiscard]] Lab to_cielab(Color color);

/// sRGB to Oklab (B. Ottosson, 2020).
[[nodiscard]] Lab to_oklab(Color color);

/// The CIEDE2000 colour difference with unit weights (G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 Color-Difference
/// Formula: Implementation Notes, Supplementary Test Data, and Mathematical Observations", Color Research and
/// Application 30(1), 2005). About 1 is just seen side by side; under 5 passes for the same card.
[[nodiscard]] double ciede2000(const Lab& one, const Lab& other);
[[nodiscard]] double difference(Color one, Color other);

/// What a person would call the colour: the nearest of some thirty everyday names by its distance in Oklab.
[[nodiscard]] std::string color_name(Color color);
/// All that there are, each once.
[[nodiscard]] std::vector<std::string> color_names();

}  // namespace dotlane
