// What a person types to find a project.
#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace dotlane {

/// Everything in it has to be met: each word begins a word of the project or of a piece of it, or of the stock of one;
/// each size is that of the project or of a piece, lying or standing, within a hundredth or a millimetre. A single
/// length is one side of it.
struct ProjectQuery {
  std::vector<std::string> words;
  struct Size {
    double width_mm = 0, height_mm = 0;  ///< the second is 0 where one side alone was said
  };
  std::vector<Size> sizes;
  [[nodiscard]] bool empty() const { return words.empty() && sizes.empty(); }
};

/// "star kraft", "5 x 7 in", "heron 105x148", "tag 120 mm". A bare number is a word, not a length; two with an "x"
/// between them are a size, in `unit_mm` where no unit stands behind.
[[nodiscard]] ProjectQuery query_from(std::string_view text, double unit_mm = 1);

/// Whether something so large is what is asked for.
[[nodiscard]] bool matches(const ProjectQuery::Size& asked, double width_mm, double height_mm);

}  // namespace dotlane
