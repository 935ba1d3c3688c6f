// Text of an SVG drawing, set with the typefaces at hand and turned into outlines.
#pragma once

#include "core/format/svg_document.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// A stretch of text that is painted alike.
struct SvgTextRun {
  pugi::xml_node node;  ///< the text or tspan it stands in
  SvgStyle style;
  Path path;  ///< closed outlines under the non-zero rule, in the text element's units
};

struct SvgText {
  std::vector<SvgTextRun> runs;
  std::string left_out;     ///< words that could not be set: along a path, or in letters that no typeface here has
  std::string asked, used;  ///< a typeface that is not here, and the one that stands in for it; empty where none does
};

/// Sets a `text` element as SVG 1.1 chapter 10 says: tspans, positions by x, y, dx and dy (lists too), anchors,
/// letters that are turned (rotate), text that is fitted into a length (textLength), spacing of letters and words,
/// baselines and their shifts, white space as SVG 2 (11.7) has it. Not carried out: writing from top to bottom, and a
/// textLength whose text is given several positions. `style` is the element's own.
[[nodiscard]] SvgText svg_text(SvgDocument& document, pugi::xml_node text, const SvgStyle& style, SvgViewport viewport);

/// The words in an element, of any kind.
[[nodiscard]] std::string svg_words(pugi::xml_node node);

}  // namespace dotlane
