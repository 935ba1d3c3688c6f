// The part of CSS that decides how an SVG element is painted: style sheets, style attributes, inheritance.
#pragma once

#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "core/color.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// The typeface that text asks for.
struct SvgFont {
  std::string family;  ///< names in the order they are liked, as CSS writes them
  double size = 16;    ///< px
  int weight = 400;
  bool italic = false;
};

enum class TextAnchor { start, middle, end };
/// Which line of the letters lies where the text stands (CSS Inline 3, dominant-baseline).
enum class TextBaseline { alphabetic, middle, central, hanging, top, bottom };

/// A length that may be one of the letters, whose size may be said after it.
struct SvgAlong {
  double px = 0, em = 0;
};

/// The painting properties Dot Lane reads, as they stand on one element. `display`, clips, masks and baseline shifts
/// alone are not inherited.
struct SvgStyle {
  std::optional<Color> stroke;         ///< nothing = none
  std::optional<Color> fill{Color{}};  ///< black unless said otherwise, as SVG has it
  Color current_color;
  FillRule fill_rule = FillRule::nonzero;
  FillRule clip_rule = FillRule::nonzero;  ///< as `fill_rule`, of what is in a clip path
  std::string clip;                        ///< id of the clip path; "" = none
  bool masked = false;                     ///< by a mask, or clipped by a shape of CSS
  bool dashed = false;
  bool capped = false;  ///< round or square ends: a stroke of no length is a dot
  bool visible = true;
  bool displayed = true;
  SvgFont font;
  double outer_size = 16;                 ///< px, of the text around it: what em and % are of
  SvgAlong letter_spacing, word_spacing;  ///< the latter after each space
  SvgAlong shift;                         ///< up from the line of the text around it
  double raised = 0;                      ///< px: all shifts up to here
  TextBaseline baseline = TextBaseline::alphabetic;
  TextAnchor anchor = TextAnchor::start;
};

using Declarations = std::vector<std::pair<std::string, std::string>>;

/// "stroke: red; fill: none" as name and value pairs; anything unreadable is passed over, as CSS asks.
[[nodiscard]] Declarations parse_declarations(std::string_view text);

/// All of an element's properties are applied: its shift raises it, and lengths are px from here on.
void settle(SvgStyle& style);

/// Finds the colour of a paint server ("url(#sunset)") by its id.
using PaintServer = std::function<std::optional<Color>(std::string_view id)>;

/// The id in "url(#sunset)"; nothing where it is none.
[[nodiscard]] std::optional<std::string_view> id_in_url(std::string_view value);

/// Applies one property; unknown properties and values leave the style as it is.
void apply(SvgStyle& style, std::string_view property, std::string_view value, const PaintServer& server);

/// Rules with type, class and id selectors ("path", ".cut", "#roof", "path.cut", "*"), in cascade order.
class StyleSheet {
 public:
  /// Adds the text of a style element.
  void add(std::string_view css);
  /// All declarations that fit the element, weakest first.
  [[nodiscard]] Declarations matching(std::string_view tag, std::string_view id, std::string_view classes) const;
  /// Selectors that were passed over because they are of another kind.
  [[nodiscard]] const std::vector<std::string>& ignored() const { return ignored_; }
  [[nodiscard]] bool empty() const { return rules_.empty(); }

 private:
  struct Rule {
    std::string tag, id;
    std::vector<std::string> classes;
    int weight = 0;
    Declarations declarations;
  };
  std::vector<Rule> rules_;
  std::vector<std::string> ignored_;
};

}  // namespace dotlane
